package mardun.app.season;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchEntry;
import mardun.app.id.BatchId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.season.SeasonReading.Asked;
import mardun.app.season.SeasonReading.Typed;
import mardun.app.season.SeasonViews.SeasonBatchForm;
import mardun.app.season.SeasonViews.SeasonFairChoice;
import mardun.app.season.SeasonViews.SeasonForm;
import mardun.app.season.SeasonViews.SeasonLaidOut;
import mardun.app.season.SeasonViews.SeasonNumber;
import mardun.app.season.SeasonViews.SeasonPlanView;
import mardun.app.season.SeasonViews.SeasonTried;
import mardun.app.season.SeasonViews.SeasonTry;
import mardun.app.season.SeasonWriter.Planned;
import mardun.app.selling.FairRecords.FairRecord;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.planning.FreeAhead;
import mardun.core.season.BatchTakes;
import mardun.core.season.DemandPrior;
import mardun.core.season.SeasonAim;
import mardun.core.season.SeasonOutcome;
import mardun.core.season.SeasonPlan;
import mardun.core.season.SeasonPlanner;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What to make for the coming fairs and the shop: planned, tried by hand, and made a batch of. */
@Service
public class SeasonService {

    private static final long SEED = 1;
    private static final int FAIRS_AT_FIRST = 3;
    private static final int TOO_SOON = 5;
    private static final double MINUTES = 60;

    private final SeasonWishRepository wishes;
    private final SeasonReading reading;
    private final SeasonAsBatch asBatch;
    private final BatchEntry batches;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<Key, Planned> planned;
    private volatile @Nullable SeasonPlanner last;

    SeasonService(
            SeasonWishRepository wishes,
            SeasonReading reading,
            SeasonAsBatch asBatch,
            BatchEntry batches,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.wishes = wishes;
        this.reading = reading;
        this.asBatch = asBatch;
        this.batches = batches;
        this.settings = settings;
        this.clock = clock;
        this.planned = new Remembered<>(changes);
    }

    private record Key(SeasonForm form, LocalDate today) {}

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

    /** What the plan is asked now: what was asked last, or at first the next fairs and the shop. */
    @Transactional(readOnly = true)
    public SeasonForm form() {
        SeasonWish wish = wishes.findById(SeasonWish.ONE).orElseThrow();
        return wish.form()
                .map(form -> form.shownAs(wish.version()))
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
                        List.of(),
                        List.of(),
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
            SeasonPlanner earlier = last;
            SeasonPlanner planner = earlier == null
                    ? new SeasonPlanner(asked.season(), DemandPrior.USUAL, SEED)
                    : SeasonPlanner.after(earlier, asked.season(), DemandPrior.USUAL, SEED);
            last = planner;
            SeasonPlan plan = planner.plan(form.aim());
            Optional<BatchTakes> takes = asBatch.takes(asked, plan.made())
                    .filter(its -> its.differsFrom(plan.outcome().use()));
            if (takes.isEmpty()) {
                return Planned.of(asked, planner, plan);
            }
            SeasonPlanner asOneBatch = planner.taking(takes.get(), plan.made());
            return Planned.of(asked.taking(asOneBatch.season()), asOneBatch, asOneBatch.plan(form.aim()));
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
        FreeAhead ahead = reading.free();
        Duration free = ahead.before(asked.fairs().stream()
                .map(FairRecord::heldOn)
                .min(Comparator.naturalOrder())
                .orElse(asked.until()));
        String sentence = cannot(form, asked);
        if (sentence != null) {
            return new SeasonPlanView(
                    form,
                    LocalDate.now(clock),
                    sentence,
                    asked.until(),
                    writer.time(free),
                    choices,
                    null,
                    null,
                    List.of(),
                    List.of(),
                    asked.leftOut(),
                    List.of(),
                    "");
        }
        SeasonWriter written = new SeasonWriter(its, writer, ahead);
        return new SeasonPlanView(
                form,
                LocalDate.now(clock),
                written.contradiction().orElse(null),
                asked.until(),
                writer.time(free),
                choices,
                written.outcome(its.plan().outcome(), its.plan().made()),
                written.money(its.plan().gap()),
                written.limits(),
                written.rows(form, LocalDate.now(clock)),
                asked.leftOut(),
                written.sets(),
                written.rests());
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

    /** What other numbers would leave; nothing is stored. */
    @Transactional(readOnly = true)
    public SeasonTried tryOut(SeasonTry form) {
        Planned its = plan(form());
        int[] made = made(its, form.made());
        SeasonOutcome outcome = its.planner().outcome(made);
        SeasonWriter written = new SeasonWriter(its, settings.current().writer(), reading.free());
        return new SeasonTried(
                written.outcome(outcome, made),
                written.money(its.plan().outcome().expected() - outcome.expected()));
    }

    /** Numbers made as one batch, on its cloths and on the coming days; nothing is stored. */
    @Transactional(readOnly = true)
    public SeasonLaidOut layOut(SeasonTry form) {
        Planned its = plan(form());
        return asBatch.layOut(its.asked(), made(its, form.made()));
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
        return batches.create(asBatch.form(form.requestId(), its.asked(), made));
    }
}
