package mardun.app.unsewn;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.CutPieces;
import mardun.app.problem.RefusedException;
import mardun.app.unsewn.UnsewnHoldRepository.Held;
import mardun.core.batch.UnsewnPieces;
import mardun.core.batch.UnsewnPieces.Pile;
import mardun.core.batch.UnsewnPieces.Taken;
import mardun.core.design.SizedPiece;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Pieces that are cut and not sewn: batches put them by and take them. Whoever moves pieces holds their piles, in the order of their
 * numbers, after the batch and before materials.
 */
@Service
public class UnsewnShelf implements CutPieces {

    private final UnsewnPieceRepository pieces;
    private final UnsewnMovementRepository movements;
    private final UnsewnHoldRepository holds;
    private final Clock clock;

    UnsewnShelf(
            UnsewnPieceRepository pieces, UnsewnMovementRepository movements, UnsewnHoldRepository holds, Clock clock) {
        this.pieces = pieces;
        this.movements = movements;
        this.holds = holds;
        this.clock = clock;
    }

    /**
     * Pieces of one kind that a line of a batch doesn't make.
     *
     * @param count how many
     * @param minor what their cloth cost
     */
    public record PutBy(
            int line,
            DesignId designId,
            String designName,
            String sizeName,
            MaterialId materialId,
            SizedPiece piece,
            long count,
            long minor) {}

    /** What was there of some designs' pieces, and what batches hold of it. */
    public static final class Snapshot {

        private final List<PileThere> there;
        private final List<Held> held;

        private Snapshot(List<PileThere> there, List<Held> held) {
            this.there = there;
            this.held = held;
        }

        /** What isn't held for another batch than this one. */
        public UnsewnPieces freeFor(@Nullable BatchId batchId) {
            return new UnsewnPieces(piles(batchId));
        }

        private List<Pile> piles(@Nullable BatchId batchId) {
            Map<Long, Long> forOthers = held.stream()
                    .filter(one -> !one.getBatchId().equals(batchId))
                    .collect(Collectors.toMap(Held::getPieceId, Held::getPieces, Long::sum));
            return there.stream()
                    .map(one -> {
                        Pile all = pile(one);
                        long count = Math.max(
                                0,
                                all.count() - forOthers.getOrDefault(one.piece().id(), 0L));
                        return new Pile(all.key(), all.kind(), count, all.worth(count));
                    })
                    .filter(pile -> pile.count() > 0)
                    .toList();
        }
    }

    private static Pile pile(PileThere there) {
        return new Pile(Long.toString(there.piece().id()), there.piece().kind(), there.pieces(), there.minor());
    }

    /** What is there of some designs' pieces. */
    @Transactional(readOnly = true)
    public Snapshot read(Collection<DesignId> designIds) {
        return snapshot(designIds.isEmpty() ? List.of() : pieces.ofDesigns(designIds));
    }

    private Snapshot snapshot(List<PileThere> there) {
        return new Snapshot(
                there,
                there.isEmpty()
                        ? List.of()
                        : holds.held(there.stream().map(one -> one.piece().id()).toList()));
    }

    /** Puts pieces on the shelf; inside the caller's transaction. */
    @Transactional
    public void putBy(BatchId batchId, List<PutBy> cut, String reason) {
        Instant now = clock.instant();
        for (PutBy one : cut) {
            UnsewnPiece piece = pieces.findByBatchIdAndLineNumberAndMaterialIdAndLetter(
                            batchId,
                            one.line(),
                            one.materialId(),
                            one.piece().piece().letter())
                    .orElseGet(() -> pieces.save(new UnsewnPiece(batchId, one)));
            movements.save(
                    new UnsewnMovement(piece.id(), UnsewnKind.PUT_BY, one.count(), one.minor(), batchId, reason, now));
        }
    }

    public boolean holdsAnything(BatchId batchId) {
        return holds.existsByBatchId(batchId);
    }

    /**
     * What a planned batch will take, as far as no other holds it by now, in the place of all that it held; inside the caller's transaction.
     */
    @Transactional
    public void hold(BatchId batchId, List<Taken> taken) {
        holds.releaseOf(batchId);
        Map<Long, Long> wanted = new TreeMap<>();
        taken.forEach(one -> wanted.merge(Long.valueOf(one.pile()), one.count(), Long::sum));
        wanted.forEach((id, count) -> {
            long forOthers = 0;
            PileThere there = forMoving(id);
            for (Held held : holds.held(List.of(id))) {
                forOthers += held.getPieces();
            }
            long free = Math.min(count, there.pieces() - forOthers);
            if (free > 0) {
                holds.save(new UnsewnHold(batchId, id, free));
            }
        });
    }

    /**
     * A batch takes pieces; inside the caller's transaction.
     *
     * @throws RefusedException if fewer are there by now
     */
    @Transactional
    public void use(BatchId batchId, List<Taken> taken) {
        holds.releaseOf(batchId);
        take(batchId, UnsewnKind.USED, taken);
    }

    private void take(BatchId batchId, UnsewnKind kind, List<Taken> taken) {
        Instant now = clock.instant();
        taken.stream()
                .sorted(Comparator.comparing(one -> Long.valueOf(one.pile())))
                .forEach(one -> {
                    long id = Long.parseLong(one.pile());
                    PileThere there = forMoving(id);
                    if (there.pieces() < one.count()) {
                        throw RefusedException.conflict(
                                "Of the cut pieces “" + there.piece().pieceName() + "” of “"
                                        + there.piece().designName() + "” only " + there.pieces()
                                        + " are there by now. Nothing was booked; look at the batch as it is now.");
                    }
                    movements.save(new UnsewnMovement(id, kind, -one.count(), -one.minor(), batchId, "", now));
                });
    }

    PileThere forMoving(long id) {
        pieces.findForMoving(id).orElseThrow(() -> RefusedException.missing("There are no such pieces, or no longer."));
        return pieces.there(id);
    }

    /** For how many bags of each line pieces of a batch lie here that no other batch will take. */
    @Transactional(readOnly = true)
    public Map<Integer, Integer> bagsOf(BatchId batchId) {
        List<PileThere> there = pieces.ofBatch(batchId);
        Map<String, Pile> free =
                snapshot(there).piles(batchId).stream().collect(Collectors.toMap(Pile::key, pile -> pile));
        Map<Integer, Integer> bags = new TreeMap<>();
        there.forEach(one -> {
            UnsewnPiece piece = one.piece();
            Pile pile = free.get(Long.toString(piece.id()));
            int its = pile == null ? 0 : (int) (pile.count() / piece.perBag());
            bags.merge(piece.lineNumber(), its, Math::min);
        });
        return bags;
    }

    /**
     * Pieces for some bags of a line go back to their batch; inside the caller's transaction. Answers what they cost, by the material.
     *
     * @param bags no more than {@link #bagsOf} says
     */
    @Transactional
    public Map<MaterialId, Long> takeUp(BatchId batchId, int line, int bags) {
        return takeOf(batchId, line, bags, UnsewnKind.TAKEN_UP);
    }

    /**
     * Pieces for some bags of a line are bundled to kits; inside the caller's transaction. Answers what they cost, by the material.
     *
     * @param kits no more than {@link #bagsOf} says
     */
    @Transactional
    public Map<MaterialId, Long> bundle(BatchId batchId, int line, int kits) {
        return takeOf(batchId, line, kits, UnsewnKind.BUNDLED);
    }

    private Map<MaterialId, Long> takeOf(BatchId batchId, int line, int bags, UnsewnKind kind) {
        Map<MaterialId, Long> minor = new HashMap<>();
        List<Taken> taken = pieces.ofBatch(batchId).stream()
                .filter(one -> one.piece().lineNumber() == line)
                .map(one -> {
                    UnsewnPiece piece = one.piece();
                    Pile pile = pile(one);
                    long count = piece.perBag() * bags;
                    Taken its = new Taken(pile.key(), count, pile.worth(count));
                    minor.merge(piece.materialId(), its.minor(), Long::sum);
                    return its;
                })
                .toList();
        take(batchId, kind, taken);
        return minor;
    }

    @Override
    @Transactional(readOnly = true)
    public Worth at(Instant until) {
        return new Worth(movements.pieces(until), movements.worth(until));
    }
}
