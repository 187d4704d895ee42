package mardun.app.days;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchStage;
import mardun.app.batch.OpenWork;
import mardun.app.calendar.FreeDays;
import mardun.app.days.DayPlans.Laid;
import mardun.app.days.DayViews.DayPlanView;
import mardun.app.days.DayViews.DaysView;
import mardun.app.days.DayViews.MovedBatch;
import mardun.app.days.DayViews.OtherBatch;
import mardun.app.days.DayViews.OutlookView;
import mardun.app.days.DayViews.StretchView;
import mardun.app.days.DayViews.WhatIfDay;
import mardun.app.id.BatchId;
import mardun.app.problem.FieldReader;
import mardun.app.selling.FairService;
import mardun.app.selling.PinnedFair;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.making.OrderWishes.Habit;
import mardun.core.making.WorkOrder.Turn;
import mardun.core.planning.DayPlan.Stretch;
import mardun.core.planning.FreeTime;
import mardun.core.planning.Job;
import mardun.core.planning.Outlook;
import mardun.core.planning.Sureness;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The days to come as they are shown: what is done when, where to stop, and when each batch is done. */
@Service
public class DaysReading {

    static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final BigDecimal MINUTES_PER_HOUR = BigDecimal.valueOf(60);

    private final BatchReading batches;
    private final DayPlans plans;
    private final FreeDays freeDays;
    private final NotedDays noted;
    private final FairService fairs;
    private final SettingsService settings;

    DaysReading(
            BatchReading batches,
            DayPlans plans,
            FreeDays freeDays,
            NotedDays noted,
            FairService fairs,
            SettingsService settings) {
        this.batches = batches;
        this.plans = plans;
        this.freeDays = freeDays;
        this.noted = noted;
        this.fairs = fairs;
        this.settings = settings;
    }

    /** So many days from today on. */
    @Transactional(readOnly = true)
    public DaysView days(int count) {
        ViewWriter writer = settings.current().writer();
        Laid laid = plans.lay(batches.openWork());
        Map<LocalDate, String> others = freeDays.notes();
        Map<LocalDate, List<PinnedFair>> onDay = fairs.coming().stream()
                .flatMap(fair ->
                        fair.heldOn().datesUntil(fair.endsOn().plusDays(1)).map(day -> Map.entry(day, fair)))
                .collect(Collectors.groupingBy(
                        Map.Entry::getKey, Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
        return new DaysView(
                laid.today(),
                laid.free().people(),
                laid.today()
                        .datesUntil(laid.today().plusDays(count))
                        .map(day -> day(day, laid, Optional.ofNullable(others.get(day)), onDay, writer))
                        .toList(),
                outlooks(laid, writer),
                noted.on().orElse(null),
                noted.slipped(laid));
    }

    private static DayPlanView day(
            LocalDate day,
            Laid laid,
            Optional<String> other,
            Map<LocalDate, List<PinnedFair>> fairs,
            ViewWriter writer) {
        List<Stretch> its = laid.plan().stretches().stream()
                .filter(stretch -> stretch.day().equals(day))
                .toList();
        Stream<String> due = laid.works().stream()
                .filter(work -> work.dueOn().filter(day::equals).isPresent())
                .map(work ->
                        work.forWhat().isEmpty() ? work.name() + " due" : work.name() + " due for " + work.forWhat());
        return new DayPlanView(
                day,
                laid.free().begins().format(TIME),
                writer.time(laid.free().on(day)),
                writer.hours(laid.free().on(day)),
                writer.time(laid.free().worked(day)),
                writer.time(laid.plan().on(day)),
                other.isPresent(),
                other.orElse(""),
                its.stream().map(stretch -> stretch(stretch, laid, writer)).toList(),
                stop(its, laid),
                lies(day, laid),
                Stream.concat(fairs.getOrDefault(day, List.of()).stream().map(PinnedFair::name), due)
                        .distinct()
                        .toList());
    }

    static StretchView stretch(Stretch stretch, Laid laid, ViewWriter writer) {
        OpenWork work = laid.work(stretch.job());
        Turn turn = laid.turn(stretch);
        int bags = turn.operation().units();
        Duration passive = turn.operation().passive();
        return new StretchView(
                work.id(),
                work.name(),
                work.stage(),
                turn.step().name(),
                turn.step().station(),
                turn.at().name(),
                stretch.from().format(TIME),
                stretch.to().format(TIME),
                writer.time(stretch.hands()),
                goesOn(stretch, laid),
                stretch.bagsBefore() + 1,
                stretch.bagsAfter(),
                bags,
                stretch.isOnlySetUp(),
                stretch.changes().stream().map(turn.setUp()::words).toList(),
                turn.operation().text(step -> step.check()),
                turn.operation().text(step -> step.caution()),
                stretch.bagsAfter() == bags && !passive.isZero() ? writer.time(passive) : null,
                stretch.worker() + 1);
    }

    /** Whether some of the task is done on a day before. */
    private static boolean goesOn(Stretch stretch, Laid laid) {
        return laid.plan().stretches().stream()
                .anyMatch(other -> other.job().equals(stretch.job())
                        && other.task() == stretch.task()
                        && other.from().isBefore(stretch.from()));
    }

    /** Where work stops in the evening: after which bag of what, for each who works. */
    private static String stop(List<Stretch> its, Laid laid) {
        return its.stream()
                .collect(Collectors.toMap(Stretch::worker, Function.identity(), (earlier, later) -> later))
                .values()
                .stream()
                .map(last -> stop(last, laid))
                .filter(sentence -> !sentence.isEmpty())
                .collect(Collectors.joining(" "));
    }

    /** What lies half made on a day's evening and can't be put away. */
    private static String lies(LocalDate day, Laid laid) {
        return laid.notPutAway().stream()
                .filter(evening -> evening.day().equals(day))
                .map(evening -> {
                    BatchId batch = BatchId.valueOf(evening.job());
                    String step =
                            laid.turns().get(batch).get(evening.task()).step().name();
                    String lie = evening.bags() == 1 ? "One bag of batch " : evening.bags() + " bags of batch ";
                    return lie + batch.value() + " can’t be put away: “" + step
                            + "” is done, what comes after it isn’t.";
                })
                .collect(Collectors.joining(" "));
    }

    private static String stop(Stretch last, Laid laid) {
        Turn turn = laid.turn(last);
        int bags = turn.operation().units();
        String name = "“" + turn.step().name() + "”";
        if (last.bagsAfter() >= bags) {
            return "Stop when " + name + " is done.";
        }
        if (last.isOnlySetUp()) {
            return "Set up for " + name + "; its first bag waits for the next time.";
        }
        return last.bagsAfter() == last.bagsBefore()
                ? name + " goes on the next time, in the middle of bag " + (last.bagsAfter() + 1) + " of " + bags + "."
                : "Stop " + name + " after bag " + last.bagsAfter() + " of " + bags + "; the others wait.";
    }

    private List<OutlookView> outlooks(Laid laid, ViewWriter writer) {
        Outlook outlook = plans.outlook(laid);
        Map<String, Job> jobs = laid.jobs().stream().collect(Collectors.toMap(Job::key, Function.identity()));
        return laid.works().stream()
                .filter(work -> !work.paused())
                .map(work -> outlook(
                        work,
                        Optional.ofNullable(jobs.get(work.id().key())),
                        Optional.ofNullable(outlook.jobs().get(work.id().key())).filter(its -> laid.isWhole(work)),
                        laid,
                        writer))
                .toList();
    }

    /** What it costs a batch that its days end only where it can be put away. */
    private String putAway(OpenWork work, Laid laid) {
        if (!work.wishes().habits().contains(Habit.PUT_AWAY) || !laid.isWhole(work)) {
            return "";
        }
        Optional<LocalDate> with = laid.ready(work);
        Optional<LocalDate> without = plans.readyWithoutPuttingAway(laid, work);
        String wish = "Days end only where it can be put away";
        if (with.equals(without)) {
            return wish + ": that costs no day.";
        }
        if (with.isEmpty() || without.isEmpty()) {
            return wish + ": so it isn’t done within a year.";
        }
        long days = ChronoUnit.DAYS.between(without.get(), with.get());
        return wish + ": done " + Math.abs(days) + (Math.abs(days) == 1 ? " day " : " days ")
                + (days > 0 ? "later than if they ended anywhere." : "sooner than if they ended anywhere.");
    }

    private OutlookView outlook(
            OpenWork work, Optional<Job> job, Optional<Outlook.OfJob> its, Laid laid, ViewWriter writer) {
        Optional<LocalDate> ready = laid.ready(work);
        Sureness.Range range = job.filter(one -> laid.isWhole(work))
                .map(one -> Sureness.likely(one.tasks()))
                .orElseGet(() -> new Sureness.Range(work.left(), work.left()));
        return new OutlookView(
                work.id(),
                work.version(),
                work.isFirst(),
                work.name(),
                work.stage(),
                work.dueOn().orElse(null),
                work.forWhat(),
                writer.time(work.left()),
                writer.time(range.from()),
                writer.time(range.to()),
                ready.orElse(null),
                its.flatMap(Outlook.OfJob::likely).orElse(null),
                work.isLate(ready),
                percent(its),
                its.filter(one -> work.stage() == BatchStage.PLANNED)
                        .flatMap(Outlook.OfJob::lastBegin)
                        .orElse(null),
                its.map(Outlook.OfJob::missing)
                        .filter(missing -> !missing.isZero())
                        .map(writer::time)
                        .orElse(null),
                its.map(Outlook.OfJob::inTimeWithout).orElse(List.of()).stream()
                        .map(laid::work)
                        .map(other -> new OtherBatch(other.id(), other.name()))
                        .toList(),
                waits(work),
                putAway(work, laid));
    }

    private static Integer percent(Optional<Outlook.OfJob> its) {
        return its.flatMap(Outlook.OfJob::sure)
                .map(share -> (int) Math.round(100 * share))
                .orElse(null);
    }

    /** What a batch waits for, in a sentence; empty for nothing. */
    public static String waits(OpenWork work) {
        if (!work.missing().cloths().isEmpty()) {
            return "Waits for " + and(work.missing().cloths()) + ".";
        }
        return work.missing().others().isEmpty()
                ? ""
                : (work.stage().isToCut() ? "It can be cut; the sewing waits for " : "Waits for ")
                        + and(work.missing().others()) + ".";
    }

    private static String and(List<String> names) {
        int last = names.size() - 1;
        return last == 0 ? names.get(0) : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
    }

    /** Which batches another length of a day would move, or make surer; nothing is stored. */
    @Transactional(readOnly = true)
    public List<MovedBatch> whatIf(WhatIfDay form) {
        FieldReader fields = new FieldReader();
        BigDecimal hours = fields.decimal(
                "hours", form.hours(), BigDecimal.ZERO, BigDecimal.valueOf(FreeTime.LONGEST_DAY.toHours()));
        fields.check();
        List<OpenWork> works = batches.openWork();
        Laid now = plans.lay(works);
        Laid then = plans.lay(
                works,
                now.free()
                        .with(
                                form.day(),
                                Duration.ofMinutes(
                                        hours.multiply(MINUTES_PER_HOUR).longValue())));
        Outlook sureNow = plans.outlook(now);
        Outlook sureThen = plans.outlook(then);
        List<MovedBatch> moved = new ArrayList<>();
        for (OpenWork work : works) {
            String key = work.id().key();
            Integer before = percent(Optional.ofNullable(sureNow.jobs().get(key)));
            Integer after = percent(Optional.ofNullable(sureThen.jobs().get(key)));
            if (!now.ready(work).equals(then.ready(work)) || !Objects.equals(before, after)) {
                moved.add(new MovedBatch(
                        work.id(),
                        work.name(),
                        now.ready(work).orElse(null),
                        then.ready(work).orElse(null),
                        before,
                        after));
            }
        }
        return moved;
    }
}
