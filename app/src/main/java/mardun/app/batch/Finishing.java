package mardun.app.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchViews.DoneForm;
import mardun.app.batch.BatchViews.FinishForm;
import mardun.app.id.BatchId;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Spool;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.making.ThreadUse;
import mardun.core.material.Amount;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Bags that are done, all at once or ten on Saturday and the others later: they are goods now, with what they cost. */
@Service
public class Finishing {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final ReservationService reservations;
    private final StockShelves shelves;
    private final Closing closing;
    private final Threads threads;
    private final SettingsService settings;

    Finishing(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            ReservationService reservations,
            StockShelves shelves,
            Closing closing,
            Threads threads,
            SettingsService settings) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.reservations = reservations;
        this.shelves = shelves;
        this.closing = closing;
        this.threads = threads;
        this.settings = settings;
    }

    /** Bags are done: their trims and notions leave the stock, and those that came out are among the finished goods. */
    @Transactional
    public void finish(BatchId id, FinishForm form) {
        Batch batch = batches.forChange(id);
        switch (batch.stage()) {
            case FINISHED, DROPPED -> throw RefusedException.conflict("Batch " + id + " is finished already.");
            case PLANNED, CUTTING -> throw RefusedException.conflict("Batch " + id + " must be cut first.");
            case CUT -> {}
        }
        ChangedMeanwhileException.check("Batch " + id, form.version(), batch.version());
        Settings current = settings.current();
        Planned planned = plans.of(batches.chosen(batch), current);
        List<DoneBags> done = read(form, planned);
        BatchRefusals.checkMark(form.mark(), planned);
        boolean held = reservations.holdsAnything(id);
        take(batch, form, planned, done);
        done.forEach(one -> batch.done(one.line(), one.good(), one.seconds(), one.scrap()));
        repository.saveAndFlush(batch);
        closing.settle(batch, planned, done, held, current);
    }

    private static List<DoneBags> read(FinishForm form, Planned planned) {
        FieldReader fields = new FieldReader();
        List<DoneBags> done = new ArrayList<>();
        for (int i = 0; i < form.lines().size(); i++) {
            DoneForm typed = form.lines().get(i);
            String place = form.lines().size() == 1 ? "" : "lines." + i + ".";
            PlannedLine line = planned.lines().stream()
                    .filter(one -> one.number() == typed.number())
                    .findFirst()
                    .orElseThrow(() -> RefusedException.missing("This batch has no line " + typed.number() + "."));
            int open = line.chosen().open();
            DoneBags its = new DoneBags(
                    line.number(),
                    count(fields, place + "good", typed.good(), open),
                    count(fields, place + "seconds", typed.seconds(), open),
                    count(fields, place + "scrap", typed.scrap(), open));
            if (its.all() > open) {
                fields.refuse(
                        place + "good",
                        typed.good(),
                        "These are " + its.all() + " together, and " + open + " are still to come of "
                                + line.design().name() + ", " + line.sizeWords() + ".");
            }
            if (its.all() > 0) {
                done.add(its);
            }
        }
        fields.check();
        if (done.isEmpty()) {
            throw RefusedException.conflict("Nothing is said to be done. Type how many came out well.");
        }
        return done;
    }

    private static int count(FieldReader fields, String field, String typed, int most) {
        return typed.isBlank() ? 0 : fields.count(field, typed, 0, most);
    }

    private void take(Batch batch, FinishForm form, Planned planned, List<DoneBags> done) {
        BatchId id = batch.id();
        Map<Integer, Integer> bags =
                done.stream().collect(Collectors.toMap(DoneBags::line, DoneBags::all, Integer::sum));
        List<Want> wants = BatchHolds.wants(plans.besideCloth(planned, bags));
        List<Spool> spools = shelves.spools();
        reservations.lock(Stream.concat(
                        wants.stream().map(Want::materialId), spools.stream().map(Spool::materialId))
                .toList());
        reservations.take(id, MovementKind.USED, wants, form.reason().strip());
        Map<Integer, String> matching = threads.shelf().matching(planned, batch.orderWishes());
        spools.forEach(spool -> takeThread(planned, bags, spool, matching));
    }

    /** Thread that is sewn with, named or matching, goes off its spool, by the hours at the machine; no more than is there. */
    private void takeThread(Planned planned, Map<Integer, Integer> bags, Spool spool, Map<Integer, String> matching) {
        Duration hours = planned.lines().stream()
                .map(line -> ThreadUse.time(
                        line.design().steps(),
                        bags.getOrDefault(line.number(), 0),
                        spool.name(),
                        spool.materialId().key(),
                        matching.getOrDefault(line.number(), "")))
                .reduce(Duration.ZERO, Duration::plus);
        Amount used = Amount.of(ThreadUse.length(hours, spool.perHour()));
        Amount there = shelves.read(List.of(spool.materialId())).onHand(spool.materialId(), Part.WHOLE);
        Amount taken = used.compareTo(there) < 0 ? used : there;
        if (taken.isPositive()) {
            reservations.take(
                    planned.batchId(),
                    MovementKind.USED,
                    List.of(new Want(spool.materialId(), Part.WHOLE, taken, Map.of(), Map.of())),
                    "by the hours at the machine");
        }
    }
}
