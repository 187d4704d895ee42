package mardun.app.season;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.batch.BatchEntry;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.LineForm;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import mardun.app.season.SeasonKinds.SeasonKind;
import mardun.app.season.SeasonReading.Asked;
import mardun.app.season.SeasonReading.Typed;
import mardun.app.season.SeasonShelf.Material;
import mardun.app.season.SeasonViews.SeasonBatchForm;
import mardun.app.season.SeasonViews.SeasonFairChoice;
import mardun.app.season.SeasonViews.SeasonForm;
import mardun.app.season.SeasonViews.SeasonJudgement;
import mardun.app.season.SeasonViews.SeasonLimit;
import mardun.app.season.SeasonViews.SeasonNumber;
import mardun.app.season.SeasonViews.SeasonOutcomeView;
import mardun.app.season.SeasonViews.SeasonPlanView;
import mardun.app.season.SeasonViews.SeasonRow;
import mardun.app.season.SeasonViews.SeasonTried;
import mardun.app.season.SeasonViews.SeasonTry;
import mardun.app.selling.FairRecords.FairRecord;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.MoneyView;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.measure.UnitSystem;
import mardun.core.season.DemandEstimate;
import mardun.core.season.DemandPrior;
import mardun.core.season.LimitPrices;
import mardun.core.season.Outlet;
import mardun.core.season.PastEvent;
import mardun.core.season.SeasonAim;
import mardun.core.season.SeasonItem;
import mardun.core.season.SeasonLimits;
import mardun.core.season.SeasonOutcome;
import mardun.core.season.SeasonPlan;
import mardun.core.season.SeasonPlanner;
import mardun.core.season.SeasonUse;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What to make for the coming fairs and the shop: planned, tried by hand, and made a batch of. */
@Service
public class SeasonService {

    private static final long SEED = 1;
    private static final int FAIRS_AT_FIRST = 3;
    private static final int TOO_SOON = 5;
    private static final int LONGEST_FOR_WHAT = 120;
    private static final double MINOR = 100;
    private static final double MINUTES = 60;
    private static final double METRES_PER_YARD = 0.9144;
    private static final double WORTH_SAYING = 0.05;
    private static final double FEW = 9.95;

    private final SeasonWishRepository wishes;
    private final SeasonReading reading;
    private final BatchEntry batches;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<Key, Planned> planned;

    SeasonService(
            SeasonWishRepository wishes,
            SeasonReading reading,
            BatchEntry batches,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.wishes = wishes;
        this.reading = reading;
        this.batches = batches;
        this.settings = settings;
        this.clock = clock;
        this.planned = new Remembered<>(changes);
    }

    private record Key(SeasonForm form, LocalDate today) {}

    /** A plan with what it was chosen from. */
    private record Planned(Asked asked, SeasonPlanner planner, SeasonPlan plan, LimitPrices prices) {}

    /** The plan that was last asked for; at first one for the next fairs and the shop. */
    @Transactional(readOnly = true)
    public SeasonPlanView get() {
        return view(form());
    }

    /** Asks anew. */
    @Transactional
    public void ask(SeasonForm form) {
        reading.read(form);
        SeasonWish wish = wishes.findById(SeasonWish.ONE).orElseThrow();
        ChangedMeanwhileException.check("What this plan is asked", form.version(), wish.version());
        wish.ask(form);
        wishes.saveAndFlush(wish);
    }

    private SeasonForm form() {
        SeasonWish wish = wishes.findById(SeasonWish.ONE).orElseThrow();
        return wish.form()
                .map(form -> new SeasonForm(
                        wish.version(),
                        form.fairs(),
                        form.shop(),
                        form.weeks(),
                        form.hours(),
                        form.money(),
                        form.pieces(),
                        form.keeps(),
                        form.aim(),
                        form.judgements()))
                .orElseGet(() -> new SeasonForm(
                        wish.version(),
                        atFirst().stream()
                                .limit(FAIRS_AT_FIRST)
                                .map(FairRecord::id)
                                .toList(),
                        true,
                        "8",
                        "",
                        "",
                        "",
                        "30",
                        SeasonAim.BEST_MEAN,
                        List.of()));
    }

    /** The fairs that there is still time to make for; all of them where there is none. */
    private List<FairRecord> atFirst() {
        LocalDate soon = LocalDate.now(clock).plusDays(TOO_SOON);
        List<FairRecord> coming = reading.coming();
        List<FairRecord> later =
                coming.stream().filter(fair -> !fair.heldOn().isBefore(soon)).toList();
        return later.isEmpty() ? coming : later;
    }

    private Planned plan(SeasonForm form) {
        return planned.get(new Key(form, LocalDate.now(clock)), key -> {
            Typed typed = reading.read(form);
            Asked asked = reading.asked(form, typed, reading.coming());
            SeasonPlanner planner = new SeasonPlanner(asked.season(), DemandPrior.USUAL, SEED);
            SeasonPlan plan = planner.plan(form.aim());
            return new Planned(asked, planner, plan, planner.prices(plan));
        });
    }

    private SeasonPlanView view(SeasonForm form) {
        ViewWriter writer = settings.current().writer();
        List<FairRecord> coming = reading.coming();
        List<SeasonFairChoice> choices = coming.stream()
                .map(fair -> new SeasonFairChoice(
                        fair.id(), fair.name(), fair.heldOn(), form.fairs().contains(fair.id())))
                .toList();
        Planned its = plan(form);
        Asked asked = its.asked();
        Duration free = reading.freeBefore(asked.fairs().stream()
                .map(FairRecord::heldOn)
                .min(Comparator.naturalOrder())
                .orElse(asked.until()));
        String sentence = cannot(form, asked);
        if (sentence != null) {
            return new SeasonPlanView(
                    form,
                    sentence,
                    asked.until(),
                    writer.time(free),
                    choices,
                    null,
                    null,
                    List.of(),
                    List.of(),
                    asked.leftOut(),
                    "");
        }
        return new SeasonPlanView(
                form,
                null,
                asked.until(),
                writer.time(free),
                choices,
                outcome(its, its.plan().outcome(), its.plan().made(), writer),
                money(its.plan().gap(), writer),
                limits(its, writer),
                rows(its, form, writer),
                asked.leftOut(),
                rests(asked));
    }

    private static String cannot(SeasonForm form, Asked asked) {
        if (asked.season().items().isEmpty()) {
            return "There is nothing that could be made yet: no design has both a cost and a price.";
        }
        if (asked.season().coming().isEmpty()) {
            return form.shop()
                    ? "Nothing is ahead: no fair is chosen, and no online shop is looked after. Choose a fair, or connect the shop."
                    : "Nothing is ahead: choose a fair, or count the online shop.";
        }
        if (asked.season().limits().hours() * MINUTES < 1) {
            return "There are no free hours before "
                    + asked.fairs().stream()
                            .map(FairRecord::name)
                            .findFirst()
                            .map(name -> "“" + name + "”")
                            .orElse("the end")
                    + ": open work takes all of them. Type how many hours you would give it, or choose later fairs.";
        }
        return null;
    }

    private static String rests(Asked asked) {
        long fairs = asked.season().past().stream()
                .filter(event -> event.outlet() == Outlet.FAIR)
                .count();
        long weeks = asked.season().past().size() - fairs;
        int sold = asked.season().past().stream()
                .flatMap(event -> event.lines().stream())
                .mapToInt(PastEvent.Line::sold)
                .sum();
        return sold == 0
                ? "Nothing was sold yet, so it goes by what small shops usually sell. Judge each kind yourself, or come back after a fair."
                : "It rests on " + sold + " bags sold at " + fairs + (fairs == 1 ? " fair" : " fairs")
                        + (weeks == 0 ? "" : " and in " + weeks + " weeks of the shop") + ".";
    }

    private MoneyView money(double amount, ViewWriter writer) {
        return writer.money(Math.round(amount * MINOR));
    }

    private SeasonOutcomeView outcome(Planned its, SeasonOutcome outcome, int[] made, ViewWriter writer) {
        SeasonUse use = outcome.use();
        return new SeasonOutcomeView(
                use.pieces(),
                writer.time(Duration.ofSeconds(Math.round(use.minutes() * MINUTES))),
                money(use.spent(), writer),
                money(outcome.expected(), writer),
                money(outcome.ofMaking(), writer),
                money(outcome.badDay(), writer),
                money(outcome.goodDay(), writer),
                use.minutes() < 1 ? null : money(outcome.ofMaking() / use.minutes() * MINUTES, writer),
                use.broken(its.asked().season(), made).stream()
                        .map(broken -> broken(broken, its.asked(), writer))
                        .toList());
    }

    private String broken(SeasonUse.Broken broken, Asked asked, ViewWriter writer) {
        if (broken instanceof SeasonUse.Broken.Hours hours) {
            return "It takes " + hours(hours.needed(), writer) + ", and " + hours(hours.free(), writer) + " are free.";
        }
        if (broken instanceof SeasonUse.Broken.Money money) {
            return "It takes " + money(money.needed(), writer).amount() + " of material, and "
                    + money(money.free(), writer).amount() + " may be spent.";
        }
        if (broken instanceof SeasonUse.Broken.Pieces pieces) {
            return "It makes " + pieces.made() + " bags, and " + pieces.most() + " are the most.";
        }
        if (broken instanceof SeasonUse.Broken.Licence licence) {
            return "Of “" + asked.kinds().get(licence.item()).words() + "” only " + licence.most() + " may be made.";
        }
        SeasonUse.Broken.Cloth cloth = (SeasonUse.Broken.Cloth) broken;
        return "There isn’t enough of " + asked.materials().get(cloth.cloth()).name() + ".";
    }

    private static String hours(double hours, ViewWriter writer) {
        return writer.time(Duration.ofMinutes(Math.round(hours * MINUTES))).text();
    }

    private List<SeasonLimit> limits(Planned its, ViewWriter writer) {
        LimitPrices prices = its.prices();
        List<SeasonLimit> limits = new ArrayList<>();
        limits.add(limit("Time", "One more free hour would bring ", prices.hour(), writer));
        limits.add(limit("Tables", "Tables a tenth larger would bring ", prices.table(), writer));
        if (prices.money() >= WORTH_SAYING) {
            String more = money(LimitPrices.MONEY_STEP, writer).amount();
            limits.add(limit("Money", more + " more to spend would bring, over itself, ", prices.money(), writer));
        }
        if (prices.piece() >= WORTH_SAYING) {
            limits.add(limit("Number of bags", "One more bag would bring ", prices.piece(), writer));
        }
        boolean isInch = settings.current().unitSystem() == UnitSystem.INCH;
        prices.cloth().forEach((key, price) -> {
            Material material = its.asked().materials().get(key);
            double brings = material.isByLength() && isInch ? price * METRES_PER_YARD : price;
            if (brings >= WORTH_SAYING) {
                String one = !material.isByLength() ? "One more" : isInch ? "One more yard" : "One more metre";
                limits.add(limit(material.name(), one + " would bring ", brings, writer));
            }
        });
        limits.sort(Comparator.comparingLong((SeasonLimit one) -> one.brings().minor())
                .reversed());
        return limits;
    }

    private SeasonLimit limit(String what, String more, double brings, ViewWriter writer) {
        MoneyView its = money(Math.max(0, brings), writer);
        return new SeasonLimit(
                what, brings < WORTH_SAYING ? "This is not what holds you back." : more + its.amount() + ".", its);
    }

    private List<SeasonRow> rows(Planned its, SeasonForm form, ViewWriter writer) {
        Map<String, Integer> judged = form.judgements().stream()
                .collect(Collectors.toMap(SeasonJudgement::kind, SeasonJudgement::percent, (one, other) -> other));
        List<SeasonRow> rows = new ArrayList<>();
        for (int item = 0; item < its.asked().kinds().size(); item++) {
            rows.add(row(its, item, judged, writer));
        }
        rows.sort(Comparator.comparing((SeasonRow row) -> row.design().toLowerCase(Locale.ROOT))
                .thenComparing(SeasonRow::size)
                .thenComparing(SeasonRow::cloth));
        return rows;
    }

    private SeasonRow row(Planned its, int item, Map<String, Integer> judged, ViewWriter writer) {
        SeasonKind kind = its.asked().kinds().get(item);
        SeasonItem one = its.asked().season().items().get(item);
        DemandEstimate.Range buyers = its.planner().estimate().range(item);
        return new SeasonRow(
                kind.key(),
                kind.size().designName(),
                kind.size().sizeName(),
                kind.clothName(),
                kind.have(),
                its.plan().made()[item],
                tenth(buyers.likely()),
                tenth(buyers.low()),
                tenth(buyers.high()),
                written(buyers.likely(), writer) + " (" + written(buyers.low(), writer) + " to "
                        + written(buyers.high(), writer) + ")",
                tenth(its.plan().outcome().sold()[item]),
                (int) Math.round(100 * its.plan().outcome().soldOut()[item]),
                writer.time(Duration.ofSeconds(Math.round(one.minutes() * MINUTES))),
                money(one.price(), writer),
                money(its.plan().next()[item], writer),
                reason(its, item, one, writer),
                rests(its.asked(), item),
                judged.getOrDefault(kind.key(), 100));
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }

    /** To the tenth where there are few, else whole. */
    private static String written(double buyers, ViewWriter writer) {
        return writer.decimal(BigDecimal.valueOf(buyers).setScale(buyers < FEW ? 1 : 0, RoundingMode.HALF_UP));
    }

    /** Why so many are made: what the last one and one more bring, held against the hour. */
    private String reason(Planned its, int item, SeasonItem one, ViewWriter writer) {
        int made = its.plan().made()[item];
        double next = its.plan().next()[item];
        double hour = its.prices().hour();
        String more = made == 0 ? "One would bring " : "One more would bring ";
        String forTime = money(next, writer).amount() + " for its "
                + writer.time(Duration.ofSeconds(Math.round(one.minutes() * MINUTES)))
                        .text();
        double hours = (one.minutes() + (isOpen(its, item) ? 0 : one.setUpMinutes())) / MINUTES;
        String held;
        if (next < WORTH_SAYING) {
            held = ": there are enough of it";
        } else if (isLicenceUsedUp(its, item)) {
            held = ", but its licence allows no more";
        } else if (next < hour * hours) {
            held = (isOpen(its, item) ? "" : " and its set-up of " + minutes(one.setUpMinutes(), writer))
                    + "; the hour brings " + money(hour, writer).amount() + " elsewhere";
        } else {
            held = ", but time or material for it is taken by what brings more";
        }
        String last = made == 0
                ? ""
                : (made == 1 ? "It brings " : "The last of the " + made + " brings ")
                        + money(its.plan().last()[item], writer).amount() + ". ";
        return last + more + forTime + held + ".";
    }

    private static boolean isLicenceUsedUp(Planned its, int item) {
        String licence =
                SeasonShelf.licenceOf(its.asked().kinds().get(item).size().designId());
        SeasonLimits.Cloth left = its.asked().season().limits().cloth().get(licence);
        return left != null && its.plan().outcome().use().cloth().getOrDefault(licence, 0.0) >= left.shelf();
    }

    /** Whether anything of its design is made, so that its set-up is paid for. */
    private static boolean isOpen(Planned its, int item) {
        List<SeasonItem> items = its.asked().season().items();
        return IntStream.range(0, items.size())
                .anyMatch(other -> its.plan().made()[other] > 0
                        && items.get(other).design().equals(items.get(item).design()));
    }

    private static String minutes(double minutes, ViewWriter writer) {
        return writer.time(Duration.ofSeconds(Math.round(minutes * MINUTES))).text();
    }

    private static String rests(Asked asked, int item) {
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
                + (out == 0 ? "" : "; sold out " + out + (out == 1 ? " time" : " times")) + ".";
    }

    /** What other numbers would leave; nothing is stored. */
    @Transactional(readOnly = true)
    public SeasonTried tryOut(SeasonTry form) {
        Planned its = plan(form());
        int[] made = made(its, form.made());
        SeasonOutcome outcome = its.planner().outcome(made);
        ViewWriter writer = settings.current().writer();
        return new SeasonTried(
                outcome(its, outcome, made, writer),
                money(its.plan().outcome().expected() - outcome.expected(), writer));
    }

    /** The design's usual materials, with the kind's own outer cloth. */
    private static List<SlotChoice> materials(SeasonKind kind) {
        Map<String, MaterialId> chosen = new LinkedHashMap<>(kind.size().materials());
        kind.clothId().ifPresent(cloth -> chosen.put(kind.size().outer(), cloth));
        return chosen.entrySet().stream()
                .map(slot -> new SlotChoice(slot.getKey(), slot.getValue()))
                .toList();
    }

    private static int[] made(Planned its, List<SeasonNumber> numbers) {
        Map<String, Integer> typed = numbers.stream()
                .collect(Collectors.toMap(SeasonNumber::kind, SeasonNumber::units, (one, other) -> other));
        return its.asked().kinds().stream()
                .mapToInt(kind -> typed.getOrDefault(kind.key(), 0))
                .toArray();
    }

    /** Numbers become a batch, a line for each kind, due the day before the first fair. Sent twice, one. */
    public BatchId batch(SeasonBatchForm form) {
        Planned its = plan(form());
        int[] made = made(its, form.made());
        List<LineForm> lines = new ArrayList<>();
        for (int item = 0; item < made.length; item++) {
            SeasonKind kind = its.asked().kinds().get(item);
            if (made[item] > 0) {
                lines.add(new LineForm(
                        null,
                        kind.size().designId(),
                        null,
                        kind.size().nameOfSize(),
                        Integer.toString(made[item]),
                        null,
                        materials(kind),
                        "",
                        null));
            }
        }
        if (lines.isEmpty()) {
            throw RefusedException.conflict("No bag is to be made. Type how many of at least one kind.");
        }
        List<FairRecord> fairs = its.asked().fairs();
        String forWhat = fairs.stream().map(FairRecord::name).collect(Collectors.joining(", "));
        LocalDate today = LocalDate.now(clock);
        LocalDate due = fairs.stream()
                .map(fair -> fair.heldOn().minusDays(1))
                .min(Comparator.naturalOrder())
                .orElse(its.asked().until());
        return batches.create(new BatchForm(
                form.requestId(),
                0,
                null,
                lines,
                due.isBefore(today) ? today : due,
                forWhat.substring(0, Math.min(LONGEST_FOR_WHAT, forWhat.length())),
                List.of()));
    }
}
