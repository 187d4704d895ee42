package mardun.app.batch;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.app.batch.BatchViews.JoinForm;
import mardun.app.batch.BatchViews.SplitForm;
import mardun.app.batch.BatchViews.SplitLine;
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
 * Planned batches that are parted and put together. What was parted off and put back is as it was: lines keep their numbers, places and
 * materials, and what is held follows.
 */
@Service
public class Splitting {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final OnceOnly onceOnly;
    private final Clock clock;

    Splitting(
            BatchRepository repository,
            Batches batches,
            BatchHolds holds,
            ReservationService reservations,
            OnceOnly onceOnly,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.holds = holds;
        this.reservations = reservations;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** So many bags of a line that go, and what of the line stays: nothing where all of it goes. */
    private record Going(StoredLine line, ChosenLine goes, Optional<ChosenLine> stays) {}

    /** Parts bags off into a planned batch of their own, for the same day and the same purpose. Answers its number. */
    public long split(long id, SplitForm form) {
        return onceOnly.make(form.requestId(), "split of batch " + id, form, () -> part(id, form));
    }

    private long part(long id, SplitForm form) {
        Batch batch = planned(batches.forChange(id, form.version()));
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
        long made = repository.saveAndFlush(other).id();
        boolean held = reservations.holdsAnything(id);
        holds.follow(batch);
        if (held) {
            holds.hold(other);
        }
        return made;
    }

    private static List<Going> read(SplitForm form, Batch batch) {
        FieldReader fields = new FieldReader();
        List<Going> going = new ArrayList<>();
        for (int i = 0; i < form.lines().size(); i++) {
            SplitLine typed = form.lines().get(i);
            if (typed.units().isBlank()) {
                continue;
            }
            String place = "lines." + i + ".units";
            StoredLine line = batch.line(typed.number())
                    .orElseThrow(() -> RefusedException.missing("This batch has no line " + typed.number() + "."));
            ChosenLine chosen = line.chosen();
            int units = fields.count(place, typed.units(), 0, chosen.started());
            if (units == chosen.started()) {
                going.add(new Going(line, chosen, Optional.empty()));
            } else if (chosen.counts().canPart(units)) {
                LineCounts.Parts parts = chosen.counts().part(units);
                going.add(new Going(line, chosen.with(parts.goes()), Optional.of(chosen.with(parts.stays()))));
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
            throw RefusedException.conflict("Nothing is said to go. Type how many bags become a batch of their own.");
        }
        return going;
    }

    /** Takes another planned batch into this one; what both are made of alike is one line again. */
    @Transactional
    public void join(long id, JoinForm form) {
        if (id == form.otherId()) {
            throw RefusedException.conflict("A batch can't be joined to itself. Choose another one.");
        }
        // Held in the order of their numbers, so that two who join them crosswise wait for one another.
        Batch first = batches.forChange(Math.min(id, form.otherId()));
        Batch second = batches.forChange(Math.max(id, form.otherId()));
        Batch batch = planned(first.id() == id ? first : second);
        Batch other = planned(first.id() == id ? second : first);
        ChangedMeanwhileException.check("Batch " + id, form.version(), batch.version());
        ChangedMeanwhileException.check("Batch " + other.id(), form.otherVersion(), other.version());
        boolean held = reservations.holdsAnything(id) || reservations.holdsAnything(other.id());
        List<Long> offcuts = Stream.concat(batch.offcuts().stream(), other.offcuts().stream())
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
        reservations.release(other.id());
        repository.delete(other);
        repository.saveAndFlush(batch);
        if (held) {
            holds.hold(batch);
        }
    }

    private static void take(StoredLine line, Batch into) {
        ChosenLine chosen = line.chosen();
        Optional<StoredLine> like =
                into.lines().stream().filter(its -> its.chosen().isLike(chosen)).findFirst();
        if (like.isPresent()) {
            ChosenLine its = like.get().chosen();
            into.put(its.with(its.counts().with(chosen.counts())), like.get().position());
            return;
        }
        boolean taken = into.line(chosen.number()).isPresent();
        into.put(taken ? chosen.numbered(into.freeNumber()) : chosen, line.position());
    }

    private static Batch planned(Batch batch) {
        if (batch.stage() != BatchStage.PLANNED) {
            throw RefusedException.conflict("Cloth of batch " + batch.id()
                    + " is cut. Only batches of which nothing is cut yet can be parted or joined.");
        }
        return batch;
    }
}
