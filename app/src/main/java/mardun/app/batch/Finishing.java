package mardun.app.batch;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchViews.DoneForm;
import mardun.app.batch.BatchViews.FinishForm;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsViews.NewGoods;
import mardun.app.goods.Quality;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Spool;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.FrozenInputs;
import mardun.app.plan.FrozenReader;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.costing.LotCost;
import mardun.core.making.ThreadUse;
import mardun.core.material.Amount;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import mardun.core.money.Apportionment;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Bags that are done, all at once or ten on Saturday and the others later: they are goods now, with what they cost. */
@Service
public class Finishing {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final StockShelves shelves;
    private final GoodsService goods;
    private final FrozenReader frozen;
    private final SettingsService settings;
    private final Clock clock;

    Finishing(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            BatchHolds holds,
            ReservationService reservations,
            StockShelves shelves,
            GoodsService goods,
            FrozenReader frozen,
            SettingsService settings,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.holds = holds;
        this.reservations = reservations;
        this.shelves = shelves;
        this.goods = goods;
        this.frozen = frozen;
        this.settings = settings;
        this.clock = clock;
    }

    /** How many bags of a line are done now. */
    private record Done(int line, int good, int seconds, int scrap) {

        int all() {
            return good + seconds + scrap;
        }

        int carrying() {
            return good + seconds;
        }
    }

    /** Bags are done: their trims and notions leave the stock, and those that came out are among the finished goods. */
    @Transactional
    public void finish(long id, FinishForm form) {
        Batch batch = batches.forChange(id);
        switch (batch.stage()) {
            case FINISHED -> throw RefusedException.conflict("Batch " + id + " is finished already.");
            case PLANNED, CUTTING -> throw RefusedException.conflict("Batch " + id + " must be cut first.");
            case CUT -> {}
        }
        ChangedMeanwhileException.check("Batch " + id, form.version(), batch.version());
        Settings current = settings.current();
        Planned planned = plans.of(batches.chosen(batch), current);
        List<Done> done = read(form, planned);
        BatchRefusals.checkMark(form.mark(), planned);
        boolean held = reservations.holdsAnything(id);
        take(id, form, planned, done);
        done.forEach(one -> batch.done(one.line(), one.good(), one.seconds(), one.scrap()));
        repository.saveAndFlush(batch);
        settle(batch, planned, done, held, current);
    }

    /** After bags were done: what is held follows, the bags are received, and a batch that is done is closed. */
    private void settle(Batch batch, Planned before, List<Done> done, boolean held, Settings current) {
        boolean all = batch.lines().stream().allMatch(line -> line.chosen().open() == 0);
        if (all) {
            reservations.release(batch.id());
            batch.finish(frozen.write(FrozenInputs.asUsed(before, shelves)), clock.instant());
            repository.saveAndFlush(batch);
        } else if (held) {
            holds.hold(batch);
        }
        receive(batch, plans.of(batches.chosen(batch), current), done, all);
    }

    private static List<Done> read(FinishForm form, Planned planned) {
        FieldReader fields = new FieldReader();
        List<Done> done = new ArrayList<>();
        for (int i = 0; i < form.lines().size(); i++) {
            DoneForm typed = form.lines().get(i);
            String place = form.lines().size() == 1 ? "" : "lines." + i + ".";
            PlannedLine line = planned.lines().stream()
                    .filter(one -> one.number() == typed.number())
                    .findFirst()
                    .orElseThrow(() -> RefusedException.missing("This batch has no line " + typed.number() + "."));
            int open = line.chosen().open();
            Done its = new Done(
                    line.number(),
                    count(fields, place + "good", typed.good(), open),
                    count(fields, place + "seconds", typed.seconds(), open),
                    count(fields, place + "scrap", typed.scrap(), open));
            if (its.all() > open) {
                fields.refuse(
                        place + "good",
                        typed.good(),
                        "These are " + its.all() + " together, and " + open + " are still to come of "
                                + line.design().name() + ", " + line.sizeName() + ".");
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

    private void take(long id, FinishForm form, Planned planned, List<Done> done) {
        Map<Integer, Integer> bags = done.stream().collect(Collectors.toMap(Done::line, Done::all, Integer::sum));
        List<Want> wants = BatchHolds.wants(plans.besideCloth(planned, bags));
        List<Spool> spools = shelves.spools();
        reservations.lock(Stream.concat(
                        wants.stream().map(Want::materialId), spools.stream().map(Spool::materialId))
                .toList());
        reservations.take(id, MovementKind.USED, wants, form.reason().strip());
        spools.forEach(spool -> takeThread(id, planned, bags, spool));
    }

    /** Thread that a step's set-up names goes off its spool, by the hours at the machine; no more than is there. */
    private void takeThread(long id, Planned planned, Map<Integer, Integer> bags, Spool spool) {
        Duration hours = planned.lines().stream()
                .map(line -> ThreadUse.time(line.design().steps(), bags.getOrDefault(line.number(), 0), spool.name()))
                .reduce(Duration.ZERO, Duration::plus);
        Amount used = Amount.of(ThreadUse.length(hours, spool.perHour()));
        Amount there = shelves.read(List.of(spool.materialId())).onHand(spool.materialId(), Part.WHOLE);
        Amount taken = used.compareTo(there) < 0 ? used : there;
        if (taken.isPositive()) {
            reservations.take(
                    id,
                    MovementKind.USED,
                    List.of(new Want(spool.materialId(), Part.WHOLE, taken, Map.of(), Map.of())),
                    "by the hours at the machine");
        }
    }

    /**
     * The bags are goods, each lot with its part of what its line costs. What earlier lots of other lines carry too much or too little, because
     * something turned out otherwise, is borne by the last lot of all, so that the goods are just what the batch cost.
     */
    private void receive(Batch batch, Planned planned, List<Done> done, boolean last) {
        Map<Integer, Long> carried = goods.costOfLines(batch.id());
        List<Done> came = done.stream().filter(one -> one.carrying() > 0).toList();
        Map<Integer, Money> costs = new LinkedHashMap<>();
        for (Done one : came) {
            PlannedLine line = planned.line(one.line());
            Money total = line.plan().total().orElseThrow();
            costs.put(
                    one.line(),
                    LotCost.of(
                            total,
                            Money.ofMinor(total.getCurrencyUnit(), carried.getOrDefault(one.line(), 0L)),
                            one.carrying(),
                            line.chosen().open()));
        }
        if (last && !came.isEmpty()) {
            Money all = planned.plan().cost().orElseThrow();
            long before = carried.values().stream().mapToLong(Long::longValue).sum();
            long now =
                    costs.values().stream().mapToLong(Money::getAmountMinorLong).sum();
            int lastLine = came.get(came.size() - 1).line();
            costs.computeIfPresent(lastLine, (line, cost) -> cost.plusMinor(all.getAmountMinorLong() - before - now));
        }
        came.forEach(one -> receive(batch, planned, one, costs.get(one.line())));
    }

    private void receive(Batch batch, Planned planned, Done done, Money cost) {
        long minor = cost.getAmountMinorLong();
        long ofGood = Apportionment.share(minor, done.good(), done.carrying());
        receive(batch, planned, done.line(), Quality.GOOD, done.good(), ofGood);
        receive(batch, planned, done.line(), Quality.SECOND, done.seconds(), minor - ofGood);
    }

    private void receive(Batch batch, Planned planned, int number, Quality quality, int units, long costMinor) {
        if (units == 0) {
            return;
        }
        PlannedLine line = planned.line(number);
        OuterCloth cloth = OuterCloth.of(planned, line);
        goods.receive(new NewGoods(
                batch.id(),
                number,
                line.chosen().designId(),
                line.design().name(),
                line.chosen().sizeKey(),
                line.sizeName(),
                cloth.materialId().orElse(null),
                cloth.name(),
                quality,
                units,
                costMinor,
                line.plan()
                        .pricing()
                        .map(pricing -> pricing.price().getAmountMinorLong())
                        .orElse(0L)));
    }
}
