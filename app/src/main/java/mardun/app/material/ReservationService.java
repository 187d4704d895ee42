package mardun.app.material;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockLedger.Leaving;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.DyeLots;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Holds material for batches, and takes it for them. Each material is held for the transaction, in the order of the ids,
 * so that of two who reserve the last metre at once one gets it and the other is told.
 */
@Service
public class ReservationService {

    private final ReservationRepository reservations;
    private final StockLedger ledger;
    private final SettingsService settings;

    ReservationService(ReservationRepository reservations, StockLedger ledger, SettingsService settings) {
        this.reservations = reservations;
        this.ledger = ledger;
        this.settings = settings;
    }

    /**
     * What a batch takes of a material.
     *
     * @param pieces how many offcuts or precuts, by their lot
     * @param rolls how much of which roll, by its lot, where it was worked out; else any
     */
    public record Want(
            MaterialId materialId, Part part, Amount amount, Map<LotId, Long> pieces, Map<LotId, Long> rolls) {

        /** All of it comes from rolls that are named. */
        boolean isOfRolls() {
            return !rolls.isEmpty()
                    && rolls.values().stream().mapToLong(Long::longValue).sum() >= amount.value();
        }
    }

    /** Holds for a batch what it wants, as far as it is free, in the place of what it held. Answers what is missing. */
    @Transactional
    public List<String> reserve(BatchId batchId, List<Want> wants) {
        List<String> missing = new ArrayList<>();
        reservations.release(batchId);
        for (Want want : inOrder(wants)) {
            MaterialShelf shelf = ledger.held(want.materialId());
            missing.addAll(reserve(batchId, want, shelf));
        }
        reservations.flush();
        return missing;
    }

    /** Whether a batch holds anything of any material. */
    @Transactional(readOnly = true)
    public boolean holdsAnything(BatchId batchId) {
        return !reservations.findByBatchIdOrderById(batchId).isEmpty();
    }

    /** Holds the materials themselves for the caller's transaction, before it moves several of them. */
    @Transactional
    public void lock(Collection<MaterialId> materialIds) {
        ledger.hold(materialIds);
    }

    /** Gives back all that a batch holds. */
    @Transactional
    public void release(BatchId batchId) {
        reservations.release(batchId);
    }

    private List<String> reserve(BatchId batchId, Want want, MaterialShelf shelf) {
        List<String> missing = new ArrayList<>();
        want.pieces().forEach((lot, count) -> {
            long free = shelf.left().getOrDefault(lot, 0L) - shelf.heldPieces(lot, batchId);
            if (Math.min(free, count) > 0) {
                reservations.save(
                        new Reservation(batchId, want.materialId(), want.part(), lot, true, Math.min(free, count)));
            }
            if (free < count) {
                missing.add("Of the offcuts of “" + shelf.material().name() + "” only " + Math.max(0, free) + " of "
                        + count + " are free.");
            }
        });
        if (want.amount().isPositive()) {
            hold(batchId, want, shelf, missing);
        }
        return missing;
    }

    private void hold(BatchId batchId, Want want, MaterialShelf shelf, List<String> missing) {
        ViewWriter writer = settings.current().writer();
        Amount free = shelf.onHand(want.part()).minus(shelf.held(want.part(), batchId));
        String name = shelf.material().name();
        if (want.isOfRolls() && hasThem(want, shelf, batchId)) {
            want.rolls()
                    .forEach((lot, value) -> reservations.save(
                            new Reservation(batchId, want.materialId(), want.part(), lot, false, value)));
            return;
        }
        if (shelf.material().facts().oneDyeLot()) {
            List<DyeLots.Lot> lots = shelf.rolls(want.part(), batchId);
            Optional<DyeLots.Pick> pick =
                    free.compareTo(want.amount()) < 0 ? Optional.empty() : DyeLots.pick(want.amount(), lots);
            pick.ifPresentOrElse(
                    found -> found.fromLot()
                            .forEach((lot, amount) -> reservations.save(new Reservation(
                                    batchId,
                                    want.materialId(),
                                    want.part(),
                                    LotId.valueOf(lot),
                                    false,
                                    amount.value()))),
                    () -> missing.add("No one dye lot of “" + name + "” has "
                            + writer.text(want.amount().shown()) + " free; the largest has "
                            + writer.text(
                                    DyeLots.most(lots, want.amount().counting()).shown())
                            + ". Nothing of it is held."));
            return;
        }
        Amount holds = free.compareTo(want.amount()) < 0 ? free : want.amount();
        if (holds.isPositive()) {
            reservations.save(new Reservation(batchId, want.materialId(), want.part(), null, false, holds.value()));
        }
        if (holds.compareTo(want.amount()) < 0) {
            Amount held = holds.isPositive() ? holds : Amount.none(holds.counting());
            missing.add("“" + name + "” goes short by "
                    + writer.text(want.amount().minus(held).shown()) + ": of "
                    + writer.text(shelf.onHand(want.part()).shown()) + " on the shelf "
                    + writer.text(shelf.held(want.part(), batchId).shown()) + " are held for other batches.");
        }
    }

    private static boolean hasThem(Want want, MaterialShelf shelf, BatchId batchId) {
        Map<String, Long> free = new HashMap<>();
        shelf.rolls(want.part(), batchId)
                .forEach(lot -> free.put(lot.key(), lot.free().value()));
        return want.rolls().entrySet().stream()
                .allMatch(roll -> free.getOrDefault(roll.getKey().key(), 0L) >= roll.getValue());
    }

    /**
     * Takes from the shelf what a batch wants: from the rolls that it names or else holds first, and of one dye where that
     * matters. What it held of these materials is given back.
     *
     * @return the movements with which it left, by material
     */
    @Transactional
    public Map<MaterialId, List<Long>> take(BatchId batchId, MovementKind kind, List<Want> wants, String reason) {
        Map<MaterialId, List<Long>> made = new LinkedHashMap<>();
        for (Want want : inOrder(wants)) {
            MaterialShelf shelf = ledger.held(want.materialId());
            Map<LotId, Long> first = first(batchId, want, shelf, reason);
            List<Long> left = made.computeIfAbsent(want.materialId(), id -> new ArrayList<>());
            want.pieces()
                    .forEach((lot, count) -> left.add(ledger.leaveLot(
                            lot, new Leaving(kind, batchId, want.part(), Amount.pieces(count), reason))));
            if (want.amount().isPositive()) {
                left.addAll(ledger.leave(
                        want.materialId(), new Leaving(kind, batchId, want.part(), want.amount(), reason), first));
            }
            reservations.release(batchId, want.materialId());
        }
        return made;
    }

    /**
     * Takes from the shelf what no batch takes; what batches hold stays.
     *
     * @return the movements with which it left, by material
     */
    @Transactional
    public Map<MaterialId, List<Long>> takeForNone(List<Want> wants, String reason) {
        Map<MaterialId, List<Long>> made = new LinkedHashMap<>();
        for (Want want : inOrder(wants)) {
            made.computeIfAbsent(want.materialId(), id -> new ArrayList<>())
                    .addAll(ledger.leave(
                            want.materialId(),
                            new Leaving(MovementKind.USED, null, want.part(), want.amount(), reason),
                            Map.of()));
        }
        return made;
    }

    /** Whether what left with some movements can be put back: the offcuts that were kept of it still lie there, and nobody holds them. */
    @Transactional(readOnly = true)
    public boolean canPutBack(Collection<Long> movements) {
        return ledger.areRestsThere(movements);
    }

    /** Puts back what left with some movements and wasn't used after all: into the lots it came from, for what it was worth there. */
    @Transactional
    public void putBack(Collection<Long> movements, String reason) {
        ledger.putBack(movements, reason);
    }

    private Map<LotId, Long> first(BatchId batchId, Want want, MaterialShelf shelf, String reason) {
        if (want.isOfRolls() && hasThem(want, shelf, batchId)) {
            return want.rolls();
        }
        if (shelf.material().facts().oneDyeLot()) {
            return ofOneDye(batchId, want, shelf, reason);
        }
        Map<LotId, Long> held = shelf.heldLots(want.part(), batchId);
        return held.isEmpty() ? want.rolls() : held;
    }

    /** The lots of one dye to take it from: those that are held, if they are enough; mixed dyes need a reason. */
    private Map<LotId, Long> ofOneDye(BatchId batchId, Want want, MaterialShelf shelf, String reason) {
        Map<LotId, Long> held = shelf.heldLots(want.part(), batchId);
        long enough = held.values().stream().mapToLong(Long::longValue).sum();
        if (enough >= want.amount().value()) {
            return held;
        }
        List<DyeLots.Lot> lots = shelf.rolls(want.part(), batchId);
        Map<LotId, Long> picked = new LinkedHashMap<>();
        DyeLots.pick(want.amount(), lots)
                .ifPresent(pick ->
                        pick.fromLot().forEach((lot, amount) -> picked.put(LotId.valueOf(lot), amount.value())));
        if (picked.isEmpty() && want.amount().isPositive() && reason.isBlank()) {
            ViewWriter writer = settings.current().writer();
            throw RefusedException.conflict("No one dye lot of “"
                    + shelf.material().name() + "” has "
                    + writer.text(want.amount().shown())
                    + "; the largest has "
                    + writer.text(DyeLots.most(lots, want.amount().counting()).shown())
                    + ". Make fewer, take another cloth, or say why dyes may be mixed.");
        }
        return picked;
    }

    private static List<Want> inOrder(List<Want> wants) {
        return wants.stream()
                .sorted(Comparator.comparing(Want::materialId).thenComparing(Want::part))
                .toList();
    }
}
