package mardun.app.tally;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.batch.BatchWork;
import mardun.app.batch.BatchWork.Outcome;
import mardun.app.batch.StepTimes;
import mardun.app.channel.Channels;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.log.Estimates;
import mardun.app.log.EventKind;
import mardun.app.log.LoggedTouch;
import mardun.app.log.SlipOutcome;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.tally.TallyViews.TallyLine;
import mardun.app.tally.TallyViews.TallyMaterial;
import mardun.app.tally.TallyViews.TallyPrice;
import mardun.app.tally.TallyViews.TallySlip;
import mardun.app.tally.TallyViews.TallyStep;
import mardun.app.tally.TallyViews.TallyView;
import mardun.core.batch.Need;
import mardun.core.design.Design;
import mardun.core.making.Step;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.material.Part;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.SchoolPrices;
import mardun.core.pricing.UnitPricing;
import mardun.core.pricing.UnitTakes;
import mardun.core.working.Figure;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of a batch: what came out, what it took, what it cost, and what was learnt. */
@Service
class TallyService {

    /** A step whose estimate moved by less than this share of it is no news. */
    private static final double WORTH_TELLING = 0.08;

    private final BatchWork work;
    private final Estimates estimates;
    private final Channels channels;
    private final SetPrices prices;
    private final SettingsService settings;

    TallyService(BatchWork work, Estimates estimates, Channels channels, SetPrices prices, SettingsService settings) {
        this.work = work;
        this.estimates = estimates;
        this.channels = channels;
        this.prices = prices;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    TallyView of(BatchId id) {
        Outcome outcome = work.outcome(id);
        ViewWriter writer = settings.current().writer();
        StepTimes times = StepTimes.of(outcome.planned().lines(), outcome.asPlanned(), outcome.took());
        Selling selling = selling(outcome);
        return new TallyView(
                id,
                outcome.isOpen(),
                !outcome.took().isEmpty(),
                outcome.planned().lines().stream()
                        .map(line -> line(line, outcome, selling, writer))
                        .toList(),
                times.steps().stream().map(step -> view(step, writer)).toList(),
                outcome.planned().plan().needs().stream()
                        .map(need -> material(need, outcome, writer))
                        .toList(),
                outcome.touches().stream()
                        .filter(touch -> touch.kind() == EventKind.SLIPPED && !touch.isWithdrawn())
                        .map(touch -> new TallySlip(touch.stepName(), touch.bags(), touch.outcome(), touch.reason()))
                        .toList(),
                writer.time(times.planned()),
                writer.time(times.took()),
                (int) outcome.touches().stream()
                        .filter(touch -> touch.kind() == EventKind.SET_UP)
                        .map(LoggedTouch::stepName)
                        .distinct()
                        .count(),
                outcome.planned().plan().cost().map(writer::money).orElse(null),
                outcome.planned().plan().perHour().map(writer::money).orElse(null),
                learnt(outcome, writer));
    }

    private static TallyLine line(PlannedLine line, Outcome outcome, Selling selling, ViewWriter writer) {
        return new TallyLine(
                line.number(),
                line.chosen().designId(),
                line.design().name() + (line.sizeName().isEmpty() ? "" : " " + line.sizeName()),
                OuterCloth.of(outcome.planned(), line).name(),
                line.chosen().wanted(),
                line.chosen().started(),
                line.chosen().good(),
                line.chosen().seconds(),
                line.chosen().scrap(),
                line.plannedCost().map(writer::money).orElse(null),
                line.cost().map(writer::money).orElse(null),
                line.plan().pricing().map(UnitPricing::price).map(writer::money).orElse(null),
                line.plan()
                        .pricing()
                        .flatMap(UnitPricing::perHour)
                        .map(Figure::value)
                        .map(writer::money)
                        .orElse(null),
                selling.prices(line, writer));
    }

    /** How the maker sells now: the channels, with the prices that are set in each. */
    private record Selling(List<KeptChannel> channels, Map<PricePlace, Long> set, Settings current) {

        List<TallyPrice> prices(PlannedLine line, ViewWriter writer) {
            if (line.plan().cost().isEmpty()) {
                return List.of();
            }
            UnitTakes takes = UnitTakes.of(line.plan().cost().get(), line.plan().time());
            PriceChoice choice =
                    current.workroom().prices().forSort(line.design().sort());
            List<TallyPrice> prices = new ArrayList<>();
            for (KeptChannel kept : channels) {
                Channel channel = kept.channel(current.workroom().rates());
                Optional<Money> own = new PricePlace(
                                line.chosen().designId(), line.chosen().sizeKey(), kept.id())
                        .in(line.design()
                                .outerSlot()
                                .map(slot -> line.chosen().materials().get(slot)))
                        .of(set)
                        .map(current::money);
                SchoolPrices.counting(takes, channel, choice, own)
                        .ifPresent(priced -> prices.add(new TallyPrice(
                                kept.name(),
                                writer.money(priced.price()),
                                writer.money(priced.left()),
                                priced.perHour().map(writer::money).orElse(null))));
            }
            return prices;
        }
    }

    private Selling selling(Outcome outcome) {
        Set<DesignId> designs = outcome.planned().lines().stream()
                .map(line -> line.chosen().designId())
                .collect(Collectors.toSet());
        List<KeptChannel> open =
                channels.all().stream().filter(channel -> !channel.putAway()).toList();
        Map<PricePlace, Long> set = new HashMap<>();
        open.forEach(channel -> set.putAll(prices.of(designs, channel.id())));
        return new Selling(open, set, settings.current());
    }

    private static TallyStep view(StepTimes.OfStep step, ViewWriter writer) {
        return new TallyStep(
                step.name(),
                writer.time(step.planned()),
                writer.time(step.took()),
                step.took().minus(step.planned()).toSeconds(),
                step.timed());
    }

    private static TallyMaterial material(Need need, Outcome outcome, ViewWriter writer) {
        MaterialId id = MaterialId.valueOf(need.supply().key());
        boolean isThere = outcome.planned().shelves().has(id);
        Amount used = isThere ? outcome.planned().shelves().takenOfRoll(outcome.id(), id, need.part()) : need.amount();
        return new TallyMaterial(
                id,
                need.part(),
                need.supply().name()
                        + (need.part() == Part.WHOLE ? "" : ", " + need.part().words()),
                writer.amount(need.amount()),
                writer.amount(used),
                writer.amount(isThere ? outcome.planned().shelves().onHand(id, need.part()) : used),
                isThere && need.supply().kind().counting() == Counting.LENGTH);
    }

    /** What the next batch is reckoned with, where that is another than this one was planned with; and what was lost. */
    private List<String> learnt(Outcome outcome, ViewWriter writer) {
        List<String> learnt = new ArrayList<>();
        for (PlannedLine line : outcome.planned().lines()) {
            Design asPlanned = outcome.asPlanned().get(line.number());
            Map<String, Estimates.StepEstimate> now = estimates.of(line.chosen().designId(), asPlanned.steps());
            for (Step step : asPlanned.steps()) {
                Duration each = now.get(step.key()).each().each();
                boolean isNews = now.get(step.key()).isMeasured()
                        && outcome.touches().stream()
                                .anyMatch(touch -> touch.line() == line.number()
                                        && touch.step().equals(step.key())
                                        && touch.kind() == EventKind.WORKED)
                        && Math.abs(each.toMillis() - step.perUnit().toMillis())
                                > WORTH_TELLING * step.perUnit().toMillis();
                if (isNews) {
                    learnt.add("“" + step.name() + "” is planned with "
                            + writer.time(each).text() + " each from now on, and was with "
                            + writer.time(step.perUnit()).text() + ".");
                }
            }
        }
        outcome.touches().stream()
                .filter(touch -> touch.kind() == EventKind.SLIPPED
                        && !touch.isWithdrawn()
                        && touch.outcome() == SlipOutcome.SCRAP)
                .collect(Collectors.groupingBy(
                        LoggedTouch::stepName, LinkedHashMap::new, Collectors.summingInt(LoggedTouch::bags)))
                .forEach((step, bags) -> learnt.add(bags + (bags == 1 ? " bag was" : " bags were") + " lost at “" + step
                        + "”: the next batch of it is told to begin with more."));
        return learnt.stream().distinct().toList();
    }
}
