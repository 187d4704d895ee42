package mardun.app.season;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.id.DesignId;
import mardun.app.season.SeasonKinds.SeasonKind;
import mardun.app.season.SeasonReading.Asked;
import mardun.app.season.SeasonReading.Occasion;
import mardun.app.season.SeasonShelf.Material;
import mardun.app.season.SeasonViews.OccasionView;
import mardun.app.season.SeasonViews.SeasonForm;
import mardun.app.season.SeasonViews.SeasonJudgement;
import mardun.app.season.SeasonViews.SeasonLimit;
import mardun.app.season.SeasonViews.SeasonOutcomeView;
import mardun.app.season.SeasonViews.SeasonRow;
import mardun.app.selling.FairRecords.FairRecord;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.MoneyView;
import mardun.core.measure.UnitSystem;
import mardun.core.planning.FreeAhead;
import mardun.core.season.DemandEstimate;
import mardun.core.season.LimitPrices;
import mardun.core.season.Outlet;
import mardun.core.season.PastEvent;
import mardun.core.season.Season;
import mardun.core.season.SeasonItem;
import mardun.core.season.SeasonLimits;
import mardun.core.season.SeasonOutcome;
import mardun.core.season.SeasonPlan;
import mardun.core.season.SeasonPlanner;
import mardun.core.season.SeasonUse;
import mardun.core.season.SoldTogether;
import org.jspecify.annotations.Nullable;

/** Writes a plan of a season as its maker reads it: figures, limits, and for each bag why so many. */
final class SeasonWriter {

    private static final double MINUTES = 60;
    private static final double METRES_PER_YARD = 0.9144;
    private static final double WORTH_SAYING = 0.05;
    private static final double FEW = 9.95;

    private final Planned its;
    private final ViewWriter writer;
    private final FreeAhead ahead;

    SeasonWriter(Planned its, ViewWriter writer, FreeAhead ahead) {
        this.its = its;
        this.writer = writer;
        this.ahead = ahead;
    }

    /** A plan with what it was chosen from. */
    record Planned(Asked asked, SeasonPlanner planner, SeasonPlan plan, LimitPrices prices, List<Estimate> estimates) {

        static Planned of(Asked asked, SeasonPlanner planner, SeasonPlan plan) {
            DemandEstimate estimate = planner.estimate();
            return new Planned(
                    asked,
                    planner,
                    plan,
                    planner.prices(plan),
                    IntStream.range(0, asked.season().items().size())
                            .mapToObj(item -> new Estimate(estimate.range(item), estimate.ofItsOwn(item)))
                            .toList());
        }
    }

    /**
     * What is expected of an item.
     *
     * @param ofItsOwn how much of it rests on its own records, from 0 to 1
     */
    record Estimate(DemandEstimate.Range buyers, double ofItsOwn) {}

    /** Why the numbers that are made in any case can't be made within the limits; empty where they can. */
    Optional<String> contradiction() {
        Season season = its.asked().season();
        int[] least = season.items().stream().mapToInt(SeasonItem::atLeast).toArray();
        SeasonUse use = SeasonUse.of(season, least);
        List<SeasonUse.Broken> broken = use.broken(season, least);
        return broken.isEmpty()
                ? Optional.empty()
                : Optional.of("What is asked contradicts itself: " + use.pieces()
                        + (use.pieces() == 1 ? " bag is" : " bags are") + " to be made in any case. "
                        + broken.stream().map(this::broken).collect(Collectors.joining(" "))
                        + " Ask for fewer of them, or allow more.");
    }

    /** What the whole plan rests on. */
    String rests() {
        Asked asked = its.asked();
        long fairs = asked.season().past().stream()
                .filter(event -> event.outlet() == Outlet.FAIR)
                .count();
        long weeks = asked.season().past().size() - fairs;
        int sold = asked.season().past().stream()
                .flatMap(event -> event.lines().stream())
                .mapToInt(PastEvent.Line::sold)
                .sum();
        int along =
                asked.season().together().stream().mapToInt(SoldTogether::sets).sum();
        return sold == 0
                ? "Nothing was sold yet, so it goes by what small shops usually sell. Judge each kind yourself, or come back after a fair."
                : "It rests on " + sold + " bags sold at " + fairs + (fairs == 1 ? " fair" : " fairs")
                        + (weeks == 0
                                ? ""
                                : " and in " + weeks + (weeks == 1 ? " week of the shop" : " weeks of the shop"))
                        + (along == 0 ? "." : ", and on " + along + " that went along.");
    }

    /** Which designs sell as sets, and what that rests on. */
    List<String> sets() {
        Map<String, String> names = its.asked().kinds().stream()
                .collect(Collectors.toMap(
                        kind -> kind.size().designId().key(),
                        kind -> kind.size().designName(),
                        (one, other) -> one));
        return its.asked().season().together().stream()
                .map(one -> "“" + names.get(one.second()) + "” went along in " + one.sets() + " of " + one.sales()
                        + " sales of “" + names.get(one.first()) + "”; the plan reckons with "
                        + writer.percent(BigDecimal.valueOf(one.share()).setScale(2, RoundingMode.HALF_UP))
                        + ", in the same cloth where there is one.")
                .toList();
    }

    MoneyView money(double amount) {
        return writer.money(Math.round(amount * SeasonReading.MINOR));
    }

    SeasonOutcomeView outcome(SeasonOutcome outcome, int[] made) {
        SeasonUse use = outcome.use();
        Duration work = Duration.ofSeconds(Math.round(use.minutes() * MINUTES));
        Optional<LocalDate> doneOn = use.pieces() == 0 ? Optional.empty() : ahead.doneOn(work);
        return new SeasonOutcomeView(
                use.pieces(),
                writer.time(work),
                money(use.spent()),
                money(outcome.expected()),
                money(outcome.ofMaking()),
                money(outcome.badDay()),
                money(outcome.goodDay()),
                use.minutes() < 1 ? null : money(outcome.ofMaking() / use.minutes() * MINUTES),
                doneOn.orElse(null),
                use.pieces() > 0
                        && its.asked().fairs().stream()
                                .map(FairRecord::heldOn)
                                .anyMatch(fair ->
                                        doneOn.isEmpty() || !doneOn.get().isBefore(fair)),
                use.broken(its.asked().season(), made).stream()
                        .map(broken -> broken(broken))
                        .toList());
    }

    private String broken(SeasonUse.Broken broken) {
        if (broken instanceof SeasonUse.Broken.Hours hours) {
            return "It takes " + hours(hours.needed()) + ", and " + hours(hours.free()) + " are free.";
        }
        if (broken instanceof SeasonUse.Broken.Money money) {
            return "It takes " + money(money.needed()).amount() + " of material, and "
                    + money(money.free()).amount() + " may be spent.";
        }
        if (broken instanceof SeasonUse.Broken.Pieces pieces) {
            return "It makes " + pieces.made() + " bags, and " + pieces.most() + " are the most.";
        }
        if (broken instanceof SeasonUse.Broken.Licence licence) {
            return "Of “" + its.asked().kinds().get(licence.item()).words() + "” only " + licence.most()
                    + " may be made.";
        }
        SeasonUse.Broken.Cloth cloth = (SeasonUse.Broken.Cloth) broken;
        return "There isn’t enough of "
                + its.asked().materials().get(cloth.cloth()).name() + ".";
    }

    private String hours(double hours) {
        return writer.time(Duration.ofMinutes(Math.round(hours * MINUTES))).text();
    }

    List<SeasonLimit> limits() {
        LimitPrices prices = its.prices();
        List<SeasonLimit> limits = new ArrayList<>();
        limits.add(limit("Time", "One more free hour would bring ", prices.hour()));
        limits.add(limit("Tables", "Tables a tenth larger would bring ", prices.table()));
        if (prices.money() >= WORTH_SAYING) {
            String more = money(LimitPrices.MONEY_STEP).amount();
            limits.add(limit("Money", more + " more to spend would bring, over itself, ", prices.money()));
        }
        if (prices.piece() >= WORTH_SAYING) {
            limits.add(limit("Number of bags", "One more bag would bring ", prices.piece()));
        }
        boolean isInch = writer.system() == UnitSystem.INCH;
        prices.cloth().forEach((key, price) -> {
            Material material = its.asked().materials().get(key);
            double brings = material.isByLength() && isInch ? price * METRES_PER_YARD : price;
            if (brings >= WORTH_SAYING) {
                String one = !material.isByLength() ? "One more" : isInch ? "One more yard" : "One more metre";
                limits.add(limit(material.name(), one + " would bring ", brings));
            }
        });
        limits.sort(Comparator.comparingLong((SeasonLimit one) -> one.brings().minor())
                .reversed());
        return limits;
    }

    private SeasonLimit limit(String what, String more, double brings) {
        MoneyView its = money(Math.max(0, brings));
        return new SeasonLimit(
                what, brings < WORTH_SAYING ? "This is not what holds you back." : more + its.amount() + ".", its);
    }

    List<SeasonRow> rows(SeasonForm form, LocalDate today) {
        Map<String, Integer> judged = form.judgements().stream()
                .collect(Collectors.toMap(SeasonJudgement::kind, SeasonJudgement::percent, (one, other) -> other));
        List<SeasonRow> rows = new ArrayList<>();
        for (int item = 0; item < its.asked().kinds().size(); item++) {
            rows.add(row(item, judged, today));
        }
        rows.sort(Comparator.comparing((SeasonRow row) -> row.design().toLowerCase(Locale.ROOT))
                .thenComparing(SeasonRow::size)
                .thenComparing(SeasonRow::cloth));
        return rows;
    }

    private SeasonRow row(int item, Map<String, Integer> judged, LocalDate today) {
        SeasonKind kind = its.asked().kinds().get(item);
        SeasonItem one = its.asked().season().items().get(item);
        DemandEstimate.Range buyers = its.estimates().get(item).buyers();
        return new SeasonRow(
                kind.key(),
                kind.size().designId(),
                kind.size().designName(),
                kind.size().sizeName(),
                kind.clothName(),
                kind.have(),
                its.plan().made()[item],
                tenth(buyers.likely()),
                tenth(buyers.low()),
                tenth(buyers.high()),
                written(buyers.likely()) + " (" + written(buyers.low()) + " to " + written(buyers.high()) + ")",
                tenth(its.plan().outcome().sold()[item]),
                (int) Math.round(100 * its.plan().outcome().soldOut()[item]),
                writer.time(Duration.ofSeconds(Math.round(one.minutes() * MINUTES))),
                money(one.price()),
                money(its.plan().next()[item]),
                reason(item, one),
                rests(its.asked(), item),
                judged.getOrDefault(kind.key(), 100),
                one.atLeast(),
                occasion(kind.size().designId(), today));
    }

    private @Nullable OccasionView occasion(DesignId design, LocalDate today) {
        Occasion occasion = its.asked().occasions().get(design);
        if (occasion == null) {
            return null;
        }
        boolean isOver = occasion.lastDay().isBefore(today);
        Optional<LocalDate> lastSale = isOver
                ? Optional.empty()
                : its.asked().fairs().stream()
                        .map(FairRecord::heldOn)
                        .filter(day -> !day.isAfter(occasion.lastDay()))
                        .max(Comparator.naturalOrder())
                        .or(() -> its.asked().shop() ? Optional.of(occasion.lastDay()) : Optional.empty());
        double minutes = minutesFor(design);
        return new OccasionView(
                occasion.name(),
                occasion.lastDay(),
                isOver,
                lastSale.orElse(null),
                minutes == 0
                        ? null
                        : lastSale.flatMap(day ->
                                        ahead.lastToBegin(day, Duration.ofSeconds(Math.round(minutes * MINUTES))))
                                .orElse(null));
    }

    /** The time that the plan's bags of a design take, in all sizes and cloths. */
    private double minutesFor(DesignId design) {
        List<SeasonItem> items = its.asked().season().items();
        int[] made = new int[items.size()];
        for (int item = 0; item < made.length; item++) {
            made[item] =
                    items.get(item).design().equals(design.key()) ? its.plan().made()[item] : 0;
        }
        return SeasonUse.of(its.asked().season(), made).minutes();
    }

    private double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }

    /** To the tenth where there are few, else whole. */
    private String written(double buyers) {
        return writer.decimal(BigDecimal.valueOf(buyers).setScale(buyers < FEW ? 1 : 0, RoundingMode.HALF_UP));
    }

    /** Why so many are made: what the last one and one more bring, held against the hour. */
    private String reason(int item, SeasonItem one) {
        int made = its.plan().made()[item];
        double next = its.plan().next()[item];
        double hour = its.prices().hour();
        String more = made == 0 ? "One would bring " : "One more would bring ";
        String forTime = money(next).amount() + " for its "
                + writer.time(Duration.ofSeconds(Math.round(one.minutes() * MINUTES)))
                        .text();
        double hours = (one.minutes() + (isOpen(item) ? 0 : one.setUpMinutes())) / MINUTES;
        String held;
        if (isNeverWanted(item)) {
            return "What it is sold for is over before anything that counts here.";
        }
        if (next < WORTH_SAYING) {
            held = ": there are enough of it";
        } else if (isLicenceUsedUp(item)) {
            held = ", but its licence allows no more";
        } else if (next < hour * hours) {
            held = (isOpen(item) ? "" : " and its set-up of " + minutes(one.setUpMinutes())) + "; the hour brings "
                    + money(hour).amount() + " elsewhere";
        } else {
            held = ", but time or material for it is taken by what brings more";
        }
        String last = made == 0
                ? ""
                : (made == 1 ? "It brings " : "The last of the " + made + " brings ")
                        + money(its.plan().last()[item]).amount() + ". ";
        return last + more + forTime + held + ".";
    }

    /** Whether it is for an occasion that is over before whatever comes. */
    private boolean isNeverWanted(int item) {
        return its.estimates().get(item).buyers().likely() == 0;
    }

    private boolean isLicenceUsedUp(int item) {
        String licence =
                SeasonShelf.licenceOf(its.asked().kinds().get(item).size().designId());
        SeasonLimits.Cloth left = its.asked().season().limits().cloth().get(licence);
        return left != null && its.plan().outcome().use().cloth().getOrDefault(licence, 0.0) >= left.shelf();
    }

    /** Whether anything of its design is made, so that its set-up is paid for. */
    private boolean isOpen(int item) {
        List<SeasonItem> items = its.asked().season().items();
        return IntStream.range(0, items.size())
                .anyMatch(other -> its.plan().made()[other] > 0
                        && items.get(other).design().equals(items.get(item).design()));
    }

    private String minutes(double minutes) {
        return writer.time(Duration.ofSeconds(Math.round(minutes * MINUTES))).text();
    }

    private String rests(Asked asked, int item) {
        int brought = 0;
        int sold = 0;
        int times = 0;
        int out = 0;
        for (PastEvent event : asked.season().past()) {
            for (PastEvent.Line line : event.lines()) {
                if (line.item() == item) {
                    times++;
                    brought += event.outlet() == Outlet.FAIR ? line.brought() : 0;
                    sold += line.sold();
                    out += line.isSoldOut() ? 1 : 0;
                }
            }
        }
        if (times == 0) {
            return "It was never offered, so it goes by its kind, its cloth and its size.";
        }
        return sold + " sold in " + times + (times == 1 ? " fair or week" : " fairs or weeks")
                + (brought == 0 ? "" : ", " + brought + " brought to fairs")
                + (out == 0 ? "" : "; sold out " + out + (out == 1 ? " time" : " times")) + ". "
                + writer.percent(
                        BigDecimal.valueOf(its.estimates().get(item).ofItsOwn()).setScale(2, RoundingMode.HALF_UP))
                + " of the estimate rests on these, the rest on its design, its kind and its cloth.";
    }
}
