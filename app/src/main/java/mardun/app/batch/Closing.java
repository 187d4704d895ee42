package mardun.app.batch;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsViews.Made;
import mardun.app.goods.Quality;
import mardun.app.material.ReservationService;
import mardun.app.material.StockShelves;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.FrozenInputs;
import mardun.app.plan.FrozenReader;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.plan.StepTook;
import mardun.app.settings.Settings;
import mardun.core.costing.LotCost;
import mardun.core.design.Design;
import mardun.core.money.Apportionment;
import mardun.core.pricing.UnitTakes;
import org.joda.money.Money;
import org.springframework.stereotype.Component;

/** What follows when bags are done or aren't made: what is held, the goods that came, the end of a batch of which nothing is to come. */
@Component
class Closing {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final StockShelves shelves;
    private final GoodsService goods;
    private final FrozenReader frozen;
    private final TrueTimes times;
    private final Clock clock;

    Closing(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            BatchHolds holds,
            ReservationService reservations,
            StockShelves shelves,
            GoodsService goods,
            FrozenReader frozen,
            TrueTimes times,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.holds = holds;
        this.reservations = reservations;
        this.shelves = shelves;
        this.goods = goods;
        this.frozen = frozen;
        this.times = times;
        this.clock = clock;
    }

    /**
     * After bags were done or taken out of the plan, inside the caller's transaction.
     *
     * @param planned what the batch took in all, as it is planned now
     * @param done the bags that are done now; none where bags were only taken out
     * @param held whether it held anything on the shelf
     */
    void settle(Batch batch, Planned planned, List<DoneBags> done, boolean held, Settings current) {
        boolean all = batch.lines().stream().allMatch(line -> line.chosen().open() == 0);
        boolean anyMade = batch.lines().stream().anyMatch(line -> line.chosen().done() > 0);
        Map<Integer, List<StepTook>> took = all ? times.of(batch.id(), planned) : Map.of();
        if (all) {
            reservations.release(batch.id());
            if (!took.isEmpty()) {
                StepTimes steps = StepTimes.of(planned.lines(), designs(planned), took);
                batch.took(steps.planned(), steps.took());
            }
            String inputs = frozen.write(FrozenInputs.asUsed(planned, shelves, took));
            if (anyMade) {
                batch.finish(inputs, clock.instant());
            } else {
                batch.drop(inputs, clock.instant());
            }
            repository.saveAndFlush(batch);
        } else if (held) {
            holds.hold(batch);
        }
        Planned now = plans.of(batches.chosen(batch), current);
        receive(batch, now, done, all);
        if (!took.isEmpty()) {
            share(batch, now);
        }
    }

    private static Map<Integer, Design> designs(Planned planned) {
        return planned.lines().stream().collect(Collectors.toMap(PlannedLine::number, PlannedLine::design));
    }

    /** What was timed is known of all bags now: those that came earlier cost what the others of their line do. */
    private void share(Batch batch, Planned planned) {
        Map<Integer, Long> totals = new LinkedHashMap<>();
        planned.lines()
                .forEach(line -> totals.put(
                        line.number(), line.plan().total().orElseThrow().getAmountMinorLong()));
        goods.share(batch.id(), totals);
        Map<Integer, Made> made = new LinkedHashMap<>();
        planned.lines()
                .forEach(line -> made.put(
                        line.number(),
                        made(line, line.chosen().good() + line.chosen().seconds())));
        goods.timed(batch.id(), made);
    }

    /** The work in some bags of a line. */
    private static Made made(PlannedLine line, int bags) {
        return line.plan()
                .cost()
                .map(cost -> UnitTakes.of(cost, line.plan().time()))
                .map(takes -> new Made(
                        takes.labourOf(bags).getAmountMinorLong(),
                        takes.overheadsOf(bags).getAmountMinorLong(),
                        takes.timeOf(bags).toSeconds()))
                .orElse(new Made(0, 0, 0));
    }

    /**
     * The bags are goods, each lot with its part of what its line costs. What earlier lots of other lines carry too much or too little,
     * because something turned out otherwise, is borne by the last lot of all, so that the goods are just what the batch cost.
     */
    private void receive(Batch batch, Planned planned, List<DoneBags> done, boolean last) {
        Map<Integer, Long> carried = goods.costOfLines(batch.id());
        List<DoneBags> came = done.stream().filter(one -> one.carrying() > 0).toList();
        Map<Integer, Money> costs = new LinkedHashMap<>();
        for (DoneBags one : came) {
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
        if (last) {
            Money all = planned.plan().cost().orElseThrow();
            long before = carried.values().stream().mapToLong(Long::longValue).sum();
            long now =
                    costs.values().stream().mapToLong(Money::getAmountMinorLong).sum();
            long rest = all.getAmountMinorLong() - before - now;
            if (came.isEmpty()) {
                goods.bear(batch.id(), rest);
            } else {
                costs.computeIfPresent(came.get(came.size() - 1).line(), (line, cost) -> cost.plusMinor(rest));
            }
        }
        came.forEach(one -> receive(planned, one, costs.get(one.line())));
    }

    private void receive(Planned planned, DoneBags done, Money cost) {
        long minor = cost.getAmountMinorLong();
        long ofGood = Apportionment.share(minor, done.good(), done.carrying());
        receive(planned, done.line(), Quality.GOOD, done.good(), ofGood);
        receive(planned, done.line(), Quality.SECOND, done.seconds(), minor - ofGood);
    }

    private void receive(Planned planned, int number, Quality quality, int units, long costMinor) {
        if (units == 0) {
            return;
        }
        PlannedLine line = planned.line(number);
        goods.receive(
                LineGoods.of(
                        planned,
                        line,
                        quality,
                        units,
                        costMinor,
                        line.plan()
                                .pricing()
                                .map(pricing -> pricing.price().getAmountMinorLong())
                                .orElse(0L),
                        made(line, units)),
                "");
    }
}
