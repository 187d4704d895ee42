package mardun.app.batch;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.stream.Stream;
import mardun.app.batch.BatchViews.JoinForm;
import mardun.app.batch.BatchViews.LineUnits;
import mardun.app.batch.BatchViews.SplitForm;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.ReservationService;
import mardun.app.plan.ChosenLine;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.core.batch.LineCounts;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Batches that are parted and put together. What was parted off and put back is as it was: lines keep their numbers, places and
 * materials, and what is held follows. Of a batch whose cloth is cut, bags take their cut pieces along ({@link CutParts}).
 */
@Service
public class Splitting {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final CutParts cutParts;
    private final PlannedDesigns designs;
    private final OnceOnly onceOnly;
    private final Clock clock;

    Splitting(
            BatchRepository repository,
            Batches batches,
            BatchHolds holds,
            ReservationService reservations,
            CutParts cutParts,
            PlannedDesigns designs,
            OnceOnly onceOnly,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.holds = holds;
        this.reservations = reservations;
        this.cutParts = cutParts;
        this.designs = designs;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** So many bags of a line that go, and what of the line stays: nothing where all of it goes. */
    private record Going(StoredLine line, ChosenLine goes, Optional<ChosenLine> stays) {}

    /** Parts bags off into a batch of their own, for the same day and the same purpose. Answers its number. */
    public BatchId split(BatchId id, SplitForm form) {
        return new BatchId(onceOnly.make(
                form.requestId(),
                "split of batch " + id,
                form,
                () -> part(id, form).value()));
    }

    private BatchId part(BatchId id, SplitForm form) {
        Batch batch = batches.open(id, form.version());
        if (batch.stage() != BatchStage.PLANNED) {
            return partOfCut(batch, form);
        }
        List<Going> going = read(form, batch);
        boolean allGo = going.stream().filter(one -> one.stays().isEmpty()).count()
                == batch.lines().size();
        if (allGo) {
            throw RefusedException.conflict(
                    "All bags of batch " + id + " would go, and none would stay. Leave at least one.");
        }
        Batch other = new Batch(clock.instant());
        other.wantedFor(batch.dueOn(), batch.forWhat());
        for (Going one : going) {
            other.put(one.goes(), one.line().position());
            one.stays()
                    .ifPresentOrElse(
                            stays -> batch.put(stays, one.line().position()),
                            () -> batch.takeOut(one.goes().number()));
        }
        repository.saveAndFlush(batch);
        BatchId made = repository.saveAndFlush(other).id();
        boolean held = reservations.holdsAnything(id);
        holds.follow(batch);
        if (held) {
            holds.hold(other);
        }
        holds.followPieces(batch);
        holds.followPieces(other);
        return made;
    }

    private BatchId partOfCut(Batch batch, SplitForm form) {
        Map<Integer, Integer> bags = readCut(form, batch);
        Batch other = new Batch(clock.instant());
        cutParts.part(batch, other, bags);
        boolean held = reservations.holdsAnything(batch.id());
        repository.saveAndFlush(batch);
        BatchId made = repository.saveAndFlush(other).id();
        if (held) {
            holds.hold(batch);
            holds.hold(other);
        }
        return made;
    }

    /** How many bags of each line go, of those that are still to be made. */
    private static Map<Integer, Integer> readCut(SplitForm form, Batch batch) {
        Map<Integer, Integer> bags = OpenBags.read(form.lines(), batch);
        int open = batch.lines().stream().mapToInt(line -> line.chosen().open()).sum();
        if (bags.isEmpty()) {
            throw nothingGoes();
        }
        if (bags.values().stream().mapToInt(Integer::intValue).sum() == open) {
            throw RefusedException.conflict("All bags of batch " + batch.id()
                    + " that are still to be made would go, and none would stay. Leave at least one.");
        }
        return bags;
    }

    private static RefusedException nothingGoes() {
        return RefusedException.conflict("Nothing is said to go. Type how many bags become a batch of their own.");
    }

    private static List<Going> read(SplitForm form, Batch batch) {
        FieldReader fields = new FieldReader();
        List<Going> going = new ArrayList<>();
        for (int i = 0; i < form.lines().size(); i++) {
            LineUnits typed = form.lines().get(i);
            if (typed.units().isBlank()) {
                continue;
            }
            String place = "lines." + i + ".units";
            StoredLine line = batch.line(typed.number()).orElseThrow(() -> OpenBags.noSuchLine(typed.number()));
            ChosenLine chosen = line.chosen();
            int units = fields.count(place, typed.units(), 0, chosen.started());
            if (units == chosen.started()) {
                going.add(new Going(line, chosen, Optional.empty()));
            } else if (chosen.counts().canPart(units)) {
                LineCounts.Parts parts = chosen.counts().part(units);
                int staying = parts.stays().started();
                going.add(new Going(
                        line,
                        chosen.with(parts.goes()).bringing(brought(chosen, bags -> Math.max(0, bags - staying))),
                        Optional.of(chosen.with(parts.stays())
                                .bringing(brought(chosen, bags -> Math.min(bags, staying))))));
            } else if (units > 0) {
                fields.refuse(
                        place,
                        typed.units(),
                        chosen.wanted() + " are wanted and " + chosen.started() + " begun. Let at most "
                                + (chosen.wanted() - 1) + " go, or all " + chosen.started() + ".");
            }
        }
        fields.check();
        if (going.isEmpty()) {
            throw nothingGoes();
        }
        return going;
    }

    /** Pieces from the shelf for so many of the bags that a line takes them for; those that stay have them first. */
    private static Map<MaterialId, Integer> brought(ChosenLine chosen, IntUnaryOperator some) {
        Map<MaterialId, Integer> brought = new HashMap<>();
        chosen.brought().forEach((cloth, bags) -> {
            int its = some.applyAsInt(bags);
            if (its > 0) {
                brought.put(cloth, its);
            }
        });
        return brought;
    }

    /**
     * Takes another planned batch into this one; what both are made of alike is one line again. What was parted off a batch whose cloth is
     * cut can be put back.
     */
    @Transactional
    public void join(BatchId id, JoinForm form) {
        if (id.equals(form.otherId())) {
            throw RefusedException.conflict("A batch can't be joined to itself. Choose another one.");
        }
        // Held in the order of their numbers, so that two who join them crosswise wait for one another.
        boolean isFirst = id.compareTo(form.otherId()) < 0;
        Batch first = batches.forChange(isFirst ? id : form.otherId());
        Batch second = batches.forChange(isFirst ? form.otherId() : id);
        Batch batch = isFirst ? first : second;
        Batch other = isFirst ? second : first;
        ChangedMeanwhileException.check("Batch " + id, form.version(), batch.version());
        ChangedMeanwhileException.check("Batch " + other.id(), form.otherVersion(), other.version());
        boolean held = reservations.holdsAnything(id) || reservations.holdsAnything(other.id());
        if (batch.stage() != BatchStage.PLANNED || other.stage() != BatchStage.PLANNED) {
            cutParts.putBack(batch, other);
        } else {
            designs.meet(batch, other);
            takeIn(batch, other);
        }
        reservations.release(other.id());
        repository.delete(other);
        repository.saveAndFlush(batch);
        if (held) {
            holds.hold(batch);
        }
        holds.followPieces(batch);
    }

    private static void takeIn(Batch batch, Batch other) {
        List<LotId> offcuts = Stream.concat(batch.offcuts().stream(), other.offcuts().stream())
                .distinct()
                .toList();
        other.lines().forEach(line -> take(line, batch));
        if (batch.lines().size() > BatchViews.MOST_LINES) {
            throw RefusedException.conflict("Together they have "
                    + batch.lines().size() + " lines, and a batch has at most " + BatchViews.MOST_LINES + ".");
        }
        int units =
                batch.lines().stream().mapToInt(line -> line.chosen().started()).sum();
        if (units > BatchEntry.MOST_UNITS) {
            throw RefusedException.conflict(
                    "Together they are " + units + " bags, and a batch has at most " + BatchEntry.MOST_UNITS + ".");
        }
        batch.cutFrom(offcuts);
    }

    private static void take(StoredLine line, Batch into) {
        ChosenLine chosen = line.chosen();
        Optional<StoredLine> like =
                into.lines().stream().filter(its -> its.chosen().isLike(chosen)).findFirst();
        if (like.isPresent()) {
            ChosenLine its = like.get().chosen();
            Map<MaterialId, Integer> brought = new HashMap<>(its.brought());
            chosen.brought().forEach((cloth, bags) -> brought.merge(cloth, bags, Integer::sum));
            into.put(
                    its.with(its.counts().with(chosen.counts())).bringing(brought),
                    like.get().position());
            return;
        }
        boolean taken = into.line(chosen.number()).isPresent();
        into.put(taken ? chosen.numbered(into.freeNumber()) : chosen, line.position());
    }
}
