package mardun.app.logbook;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.batch.BatchLife;
import mardun.app.batch.BatchLife.NamedLine;
import mardun.app.calendar.FreeDays;
import mardun.app.design.DesignCosts;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.log.BenchLog;
import mardun.app.log.Estimates;
import mardun.app.log.EventKind;
import mardun.app.log.LoggedTouch;
import mardun.app.logbook.FigureViews.FiguresView;
import mardun.app.logbook.FigureViews.PaceView;
import mardun.app.logbook.FigureViews.PointView;
import mardun.app.logbook.FigureViews.ReasonView;
import mardun.app.logbook.FigureViews.SetUpsView;
import mardun.app.logbook.FigureViews.StepTimesView;
import mardun.app.logbook.FigureViews.WeekView;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.planning.FreeTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the logbook adds up to: hours, slips, set-ups, bags an hour, and how long a step takes. */
@Service
class LogbookFigures {

    private static final BigDecimal SECONDS_PER_HOUR = BigDecimal.valueOf(3600);

    private final BenchLog log;
    private final BatchLife batches;
    private final Estimates estimates;
    private final DesignService designs;
    private final FreeDays days;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<Asked, FiguresView> known;

    /** What was asked, and when: another day has other weeks. */
    private record Asked(int weeks, LocalDate today) {}

    LogbookFigures(
            BenchLog log,
            BatchLife batches,
            Estimates estimates,
            DesignService designs,
            FreeDays days,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.log = log;
        this.batches = batches;
        this.estimates = estimates;
        this.designs = designs;
        this.days = days;
        this.settings = settings;
        this.clock = clock;
        this.known = Remembered.exceptOf(changes, DesignCosts.NO_COST_FOLLOWS);
    }

    /** What the last so many weeks add up to, this one among them. */
    @Transactional(readOnly = true)
    FiguresView of(int weeks) {
        return known.get(new Asked(weeks, LocalDate.now(clock)), asked -> workedOut(asked.weeks(), asked.today()));
    }

    private FiguresView workedOut(int weeks, LocalDate today) {
        ViewWriter writer = settings.current().writer();
        LocalDate first = monday(today).minusWeeks(weeks - 1L);
        List<LoggedTouch> touches = log.touches(start(first), start(today.plusDays(1)));
        FreeTime free = days.freeTime(first, first.plusWeeks(weeks));
        return new FiguresView(
                weeks(first, weeks, touches, free, writer),
                writer.time(touches.stream().map(LoggedTouch::worked).reduce(Duration.ZERO, Duration::plus)),
                writer.time(free(free, first, first.plusWeeks(weeks))),
                reasons(touches),
                setUps(touches),
                pace(first, touches, writer));
    }

    private static Duration free(FreeTime free, LocalDate from, LocalDate until) {
        return from.datesUntil(until).map(free::on).reduce(Duration.ZERO, Duration::plus);
    }

    private static List<WeekView> weeks(
            LocalDate first, int count, List<LoggedTouch> touches, FreeTime free, ViewWriter writer) {
        Map<LocalDate, Duration> worked = touches.stream()
                .collect(Collectors.groupingBy(
                        touch -> monday(day(touch.at())),
                        Collectors.reducing(Duration.ZERO, LoggedTouch::worked, Duration::plus)));
        List<WeekView> weeks = new ArrayList<>();
        for (LocalDate monday = first; monday.isBefore(first.plusWeeks(count)); monday = monday.plusWeeks(1)) {
            Duration its = worked.getOrDefault(monday, Duration.ZERO);
            Duration wasFree = free(free, monday, monday.plusWeeks(1));
            weeks.add(new WeekView(monday, writer.time(its), writer.time(wasFree), hours(its), hours(wasFree)));
        }
        return weeks;
    }

    private static List<ReasonView> reasons(List<LoggedTouch> touches) {
        Map<String, ReasonView> byReason = new TreeMap<>();
        touches.stream()
                .filter(touch -> touch.kind() == EventKind.SLIPPED && !touch.isWithdrawn())
                .forEach(touch -> byReason.merge(
                        named(touch),
                        reason(touch),
                        (one, other) -> new ReasonView(
                                one.reason(),
                                one.mended() + other.mended(),
                                one.seconds() + other.seconds(),
                                one.scrap() + other.scrap())));
        return byReason.values().stream()
                .sorted(Comparator.comparing((ReasonView one) -> -one.mended() - one.seconds() - one.scrap()))
                .toList();
    }

    private static String named(LoggedTouch touch) {
        return touch.reason().isBlank() ? "no reason given" : touch.reason();
    }

    private static ReasonView reason(LoggedTouch touch) {
        String reason = named(touch);
        return switch (touch.outcome()) {
            case MENDED -> new ReasonView(reason, touch.bags(), 0, 0);
            case SECOND -> new ReasonView(reason, 0, touch.bags(), 0);
            case SCRAP -> new ReasonView(reason, 0, 0, touch.bags());
        };
    }

    private record OfBatch(BatchId batch, String stepName) {}

    private record OfLine(BatchId batch, int line, String step) {}

    /**
     * How often machines were set up: once for a step of a batch, however often the maker paused meanwhile. Each line by itself would have
     * been set up for each of its steps at a machine.
     */
    private static SetUpsView setUps(List<LoggedTouch> touches) {
        Set<OfBatch> made = touches.stream()
                .filter(touch -> touch.kind() == EventKind.SET_UP)
                .map(touch -> new OfBatch(touch.batchId(), touch.stepName()))
                .collect(Collectors.toSet());
        Set<OfLine> apart = touches.stream()
                .filter(touch -> touch.kind() == EventKind.WORKED && touch.bags() > 0)
                .filter(touch -> !touch.place().isEmpty() && isMachine(touch.place()))
                .map(touch -> new OfLine(touch.batchId(), touch.line(), touch.step()))
                .collect(Collectors.toSet());
        int all = Math.max(made.size(), apart.size());
        return new SetUpsView(made.size(), all, all - made.size());
    }

    /** A machine that the maker listed, or a station at which is sewn; not a table. */
    private static boolean isMachine(String place) {
        return Arrays.stream(Station.values())
                .filter(station -> station.name().equals(place))
                .findFirst()
                .map(Station::sews)
                .orElse(true);
    }

    private List<PaceView> pace(LocalDate first, List<LoggedTouch> touches, ViewWriter writer) {
        Map<BatchId, List<LoggedTouch>> byBatch = touches.stream().collect(Collectors.groupingBy(LoggedTouch::batchId));
        Map<DesignId, Integer> bags = new HashMap<>();
        Map<DesignId, Duration> worked = new HashMap<>();
        Map<DesignId, String> names = new HashMap<>();
        batches.finishedSince(start(first)).forEach((batch, lines) -> {
            List<LoggedTouch> its = byBatch.getOrDefault(batch, List.of());
            for (NamedLine line : lines) {
                Duration time = its.stream()
                        .filter(touch -> touch.line() == line.line().number())
                        .map(LoggedTouch::worked)
                        .reduce(Duration.ZERO, Duration::plus);
                int came = line.line().good() + line.line().seconds();
                if (!time.isZero() && came > 0) {
                    DesignId design = line.line().designId();
                    bags.merge(design, came, Integer::sum);
                    worked.merge(design, time, Duration::plus);
                    names.put(design, line.design());
                }
            }
        });
        return names.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .map(design -> {
                    Duration time = worked.get(design.getKey());
                    int came = bags.get(design.getKey());
                    return new PaceView(
                            design.getKey(),
                            design.getValue(),
                            came,
                            writer.time(time),
                            BigDecimal.valueOf(came)
                                    .multiply(SECONDS_PER_HOUR)
                                    .divide(
                                            BigDecimal.valueOf(Math.max(1, time.toSeconds())),
                                            1,
                                            RoundingMode.HALF_UP));
                })
                .toList();
    }

    /** How long a step of a design took, day by day, and how long it is reckoned with. */
    @Transactional(readOnly = true)
    StepTimesView stepTimes(DesignId id, String key) {
        Step step = designs.design(id, designs.latest(id).revision()).steps().stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("The design has no such step any more."));
        Estimates.StepEstimate estimate = estimates.of(id, List.of(step)).get(key);
        return new StepTimesView(
                step.name(),
                points(log.worked(id, step.name())),
                settings.current().writer().time(estimate.each().each()),
                estimate.each().each().toSeconds(),
                estimate.each().atLeast().toSeconds(),
                estimate.each().atMost().toSeconds(),
                estimate.each().bags());
    }

    private record Sat(LocalDate day, BatchId batch) {}

    private static List<PointView> points(List<LoggedTouch> touches) {
        Map<Sat, List<LoggedTouch>> sat = touches.stream()
                .filter(touch -> !touch.slow() && !touch.isLeftOut())
                .collect(Collectors.groupingBy(touch -> new Sat(day(touch.at()), touch.batchId())));
        return sat.entrySet().stream()
                .filter(one -> bags(one.getValue()) > 0)
                .map(one -> new PointView(
                        one.getKey().day(),
                        one.getKey().batch().value(),
                        bags(one.getValue()),
                        one.getValue().stream()
                                        .map(LoggedTouch::time)
                                        .reduce(Duration.ZERO, Duration::plus)
                                        .toSeconds()
                                / bags(one.getValue())))
                .filter(point -> point.each() > 0)
                .sorted(Comparator.comparing(PointView::day).thenComparing(PointView::batchId))
                .toList();
    }

    private static int bags(List<LoggedTouch> touches) {
        return touches.stream().mapToInt(LoggedTouch::bags).sum();
    }

    private static BigDecimal hours(Duration time) {
        return BigDecimal.valueOf(time.toSeconds()).divide(SECONDS_PER_HOUR, 1, RoundingMode.HALF_UP);
    }

    private static LocalDate monday(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static LocalDate day(Instant at) {
        return at.atZone(ZoneId.systemDefault()).toLocalDate();
    }

    private static Instant start(LocalDate day) {
        return day.atStartOfDay(ZoneId.systemDefault()).toInstant();
    }
}
