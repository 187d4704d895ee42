package mardun.app.logbook;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import mardun.app.batch.BatchLife;
import mardun.app.batch.BatchLife.NamedLine;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.goods.GoodsHistory;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.log.BenchLog;
import mardun.app.log.EventKind;
import mardun.app.log.LoggedTouch;
import mardun.app.logbook.LogbookViews.LogDay;
import mardun.app.logbook.LogbookViews.LogKind;
import mardun.app.logbook.LogbookViews.LogLine;
import mardun.app.logbook.LogbookViews.LogbookView;
import mardun.app.logbook.LogbookViews.LoggedTime;
import mardun.app.logbook.LogbookViews.Sitting;
import mardun.app.material.StockHistory;
import mardun.app.note.NoteService;
import mardun.app.plan.ChosenLine;
import mardun.app.problem.Days;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.upkeep.UpkeepService;
import mardun.core.making.Upkeep;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that happened, by day, in sentences. */
@Service
class LogbookService {

    /** So much of each kind is read at a time; days that aren't read to their end wait for the next time. */
    private static final int AT_A_TIME = 250;

    private static final int FEWEST_LINES = 30;

    private static final int ALL = Integer.MAX_VALUE;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("H:mm");

    private final BenchLog log;
    private final BatchLife batches;
    private final StockHistory stock;
    private final GoodsHistory goods;
    private final NoteService notes;
    private final UpkeepService upkeep;
    private final DesignService designs;
    private final SettingsService settings;
    private final Clock clock;

    LogbookService(
            BenchLog log,
            BatchLife batches,
            StockHistory stock,
            GoodsHistory goods,
            NoteService notes,
            UpkeepService upkeep,
            DesignService designs,
            SettingsService settings,
            Clock clock) {
        this.log = log;
        this.batches = batches;
        this.stock = stock;
        this.goods = goods;
        this.notes = notes;
        this.upkeep = upkeep;
        this.designs = designs;
        this.settings = settings;
        this.clock = clock;
    }

    /** A line with the moment that it is told at. */
    private record Told(ZonedDateTime at, Duration worked, LogLine line) {

        LocalDate day() {
            return at.toLocalDate();
        }
    }

    /**
     * Some days before one, the newest first.
     *
     * @param before the day after the last; absent for all until now
     * @param query what is looked for; empty for all
     * @param kind only of this kind; absent for all
     */
    @Transactional(readOnly = true)
    LogbookView read(@Nullable LocalDate before, String query, @Nullable LogKind kind) {
        ViewWriter writer = settings.current().writer();
        List<LogDay> days = new ArrayList<>();
        LocalDate until = before == null ? Days.AFTER_ALL : before;
        LocalDate next;
        int lines = 0;
        do {
            Read read = readOnce(until, query, kind, writer);
            next = read.next();
            for (Map.Entry<LocalDate, List<Told>> day : read.days().entrySet()) {
                List<LogLine> its = day.getValue().stream()
                        .map(Told::line)
                        .filter(line -> kind == null || line.kind() == kind)
                        .toList();
                if (!its.isEmpty()) {
                    Duration worked = day.getValue().stream().map(Told::worked).reduce(Duration.ZERO, Duration::plus);
                    days.add(new LogDay(day.getKey(), writer.time(worked), its));
                    lines += its.size();
                }
            }
            until = next;
        } while (next != null && lines < FEWEST_LINES);
        return new LogbookView(days, next);
    }

    /** Days that were read to their end, and the day before which the others lie. */
    private record Read(
            Map<LocalDate, List<Told>> days, @Nullable LocalDate next) {}

    private Read readOnce(LocalDate before, String query, @Nullable LogKind kind, ViewWriter writer) {
        Instant until = before.atStartOfDay(ZoneId.systemDefault()).toInstant();
        Set<DesignId> named = named(query);
        Sources sources = new Sources();
        List<LoggedTouch> touches = sources.take(touches(until, query, named, kind), LoggedTouch::at);
        List<BatchLife.Moment> moments =
                sources.take(asked(kind, LogKind.BATCH, () -> moments(until, query)), BatchLife.Moment::at);
        List<StockHistory.Moved> moved = sources.take(
                asked(kind, LogKind.STOCK, () -> stock.before(until, query, AT_A_TIME)), StockHistory.Moved::at);
        List<GoodsHistory.Moved> goodsMoved =
                sources.take(asked(kind, LogKind.GOODS, () -> goods(until, query)), GoodsHistory.Moved::at);
        List<NoteService.Noted> noted =
                sources.take(asked(kind, LogKind.NOTE, () -> noted(until, query)), NoteService.Noted::at);
        List<UpkeepService.Told> cared =
                sources.take(asked(kind, LogKind.UPKEEP, () -> cared(until, query)), UpkeepService.Told::at);

        List<Told> all = new ArrayList<>();
        cared.forEach(one -> all.add(told(one)));
        all.addAll(work(touches, writer));
        moments.forEach(moment -> all.add(told(moment)));
        moved.forEach(one -> all.add(told(one, writer)));
        goodsMoved.forEach(one -> all.add(told(one)));
        noted.forEach(one -> all.add(told(one)));
        Map<LocalDate, List<Told>> byDay = new TreeMap<>(Comparator.reverseOrder());
        LocalDate from = sources.readFrom(before);
        all.stream()
                .filter(one -> from == null || !one.day().isBefore(from))
                .sorted(Comparator.comparing(Told::at).reversed())
                .forEach(one -> byDay.computeIfAbsent(one.day(), day -> new ArrayList<>())
                        .add(one));
        return new Read(byDay, from);
    }

    private List<BatchLife.Moment> moments(Instant until, String query) {
        return query.isBlank() ? batches.before(until, AT_A_TIME) : batches.found(until, query, AT_A_TIME);
    }

    private List<GoodsHistory.Moved> goods(Instant until, String query) {
        return query.isBlank() ? goods.before(until, AT_A_TIME) : goods.found(until, query, AT_A_TIME);
    }

    private List<NoteService.Noted> noted(Instant until, String query) {
        return query.isBlank() ? notes.before(until, AT_A_TIME) : notes.found(until, query, AT_A_TIME);
    }

    /** What is cared for is few; it is looked for in its sentences. */
    private List<UpkeepService.Told> cared(Instant until, String query) {
        if (query.isBlank()) {
            return upkeep.before(until, AT_A_TIME);
        }
        String words = query.strip().toLowerCase(Locale.ROOT);
        return upkeep.before(until, ALL).stream()
                .filter(one -> sentence(one).toLowerCase(Locale.ROOT).contains(words))
                .limit(AT_A_TIME)
                .toList();
    }

    /** What a source gives, where it is asked for. */
    private static <T> List<T> asked(@Nullable LogKind asked, LogKind its, Supplier<List<T>> source) {
        return asked == null || asked == its ? source.get() : List.of();
    }

    private List<LoggedTouch> touches(Instant until, String query, Set<DesignId> named, @Nullable LogKind kind) {
        Optional<EventKind> only = Optional.ofNullable(kind).flatMap(LogbookService::logged);
        if (kind != null && only.isEmpty()) {
            return List.of();
        }
        if (!query.isBlank()) {
            return log.found(until, query, named, AT_A_TIME);
        }
        return only.map(one -> log.before(until, one, AT_A_TIME)).orElseGet(() -> log.before(until, AT_A_TIME));
    }

    /** What the bench logs of a kind of line; empty where that isn't from the bench. */
    private static Optional<EventKind> logged(LogKind kind) {
        return switch (kind) {
            case WORK -> Optional.of(EventKind.WORKED);
            case SET_UP -> Optional.of(EventKind.SET_UP);
            case SLIP -> Optional.of(EventKind.SLIPPED);
            case NOTE, BATCH, STOCK, GOODS, UPKEEP -> Optional.empty();
        };
    }

    /** How far back each of several sources was read. */
    private static final class Sources {

        private @Nullable LocalDate from;

        /** What a source gave; where there may be more, its last day may lack some of it. */
        <T> List<T> take(List<T> some, Function<T, Instant> at) {
            if (some.size() >= AT_A_TIME) {
                LocalDate last = day(at.apply(some.get(some.size() - 1)));
                LocalDate first = day(at.apply(some.get(0)));
                LocalDate whole = last.equals(first) ? last : last.plusDays(1);
                from = from == null || whole.isAfter(from) ? whole : from;
            }
            return some;
        }

        /** From which day on all was read; absent where nothing is left. */
        @Nullable
        LocalDate readFrom(LocalDate before) {
            return from == null || from.isBefore(before) ? from : before.minusDays(1);
        }
    }

    private static LocalDate day(Instant at) {
        return at.atZone(ZoneId.systemDefault()).toLocalDate();
    }

    private Set<DesignId> named(String query) {
        String words = query.strip().toLowerCase(Locale.ROOT);
        return words.isEmpty()
                ? Set.of()
                : designs.names().stream()
                        .filter(design -> design.name().toLowerCase(Locale.ROOT).contains(words))
                        .map(DesignName::id)
                        .collect(Collectors.toSet());
    }

    /** The touches of a step of a line on one day are one line of the book. */
    private record Group(LocalDate day, BatchId batch, int line, String step, LogKind kind) {

        static Group of(LoggedTouch touch) {
            return new Group(
                    LogbookService.day(touch.at()),
                    touch.batchId(),
                    touch.line(),
                    touch.step(),
                    touch.kind() == EventKind.SET_UP ? LogKind.SET_UP : LogKind.WORK);
        }
    }

    private List<Told> work(List<LoggedTouch> touches, ViewWriter writer) {
        Map<BatchId, List<NamedLine>> lines =
                batches.lines(touches.stream().map(LoggedTouch::batchId).collect(Collectors.toSet()));
        Map<Group, List<LoggedTouch>> groups = new LinkedHashMap<>();
        List<Told> told = new ArrayList<>();
        for (LoggedTouch touch : touches) {
            switch (touch.kind()) {
                case WORKED, SET_UP ->
                    groups.computeIfAbsent(Group.of(touch), group -> new ArrayList<>())
                            .add(touch);
                case SLIPPED -> told.add(slip(touch, what(touch, lines), writer));
                case FINISHED, LEFT_OUT, PUT_RIGHT, WITHDRAWN, NOTED -> {}
            }
        }
        groups.forEach((group, its) -> told.add(work(group, its, what(its.get(0), lines), writer)));
        return told;
    }

    private static String what(LoggedTouch touch, Map<BatchId, List<NamedLine>> lines) {
        return lines.getOrDefault(touch.batchId(), List.of()).stream()
                .filter(line -> line.line().number() == touch.line())
                .map(NamedLine::what)
                .findFirst()
                .orElse("batch " + touch.batchId());
    }

    private static Told work(Group group, List<LoggedTouch> touches, String what, ViewWriter writer) {
        LoggedTouch newest = touches.get(0);
        int bags = touches.stream().mapToInt(LoggedTouch::bags).sum();
        Duration worked = touches.stream().map(LoggedTouch::worked).reduce(Duration.ZERO, Duration::plus);
        boolean isCorrected = touches.stream().anyMatch(touch -> touch.isLeftOut() || touch.isPutRight());
        StringBuilder sentence = new StringBuilder();
        if (group.kind() == LogKind.SET_UP) {
            sentence.append("Set up for “")
                    .append(newest.stepName())
                    .append("”, ")
                    .append(what);
        } else {
            sentence.append(newest.stepName())
                    .append(": ")
                    .append(bags)
                    .append(" of ")
                    .append(what);
        }
        if (!worked.isZero()) {
            sentence.append(", ").append(writer.time(worked).text());
        }
        if (bags > 1 && !worked.isZero()) {
            sentence.append(", ")
                    .append(writer.time(worked.dividedBy(bags)).text())
                    .append(" each");
        }
        if (isCorrected) {
            sentence.append("; put right later");
        }
        return told(
                newest.at(),
                worked,
                group.kind(),
                sentence.append('.').toString(),
                group.batch(),
                newest.designId(),
                new Sitting(group.batch(), group.line(), group.step(), group.day()));
    }

    private static Told slip(LoggedTouch touch, String what, ViewWriter writer) {
        String ended = touch.isWithdrawn()
                ? "it was none"
                : switch (Optional.ofNullable(touch.outcome()).orElseThrow()) {
                    case MENDED ->
                        "mended"
                                + (touch.time().isZero()
                                        ? ""
                                        : " in " + writer.time(touch.time()).text());
                    case SECOND -> touch.bags() == 1 ? "it becomes a second" : "they become seconds";
                    case SCRAP -> "scrap";
                };
        return told(
                touch.at(),
                touch.worked(),
                LogKind.SLIP,
                touch.stepName() + ": " + touch.bags() + " of " + what + " went wrong"
                        + (touch.reason().isBlank() ? "" : ", " + touch.reason()) + "; " + ended + ".",
                touch.batchId(),
                touch.designId(),
                null);
    }

    private static Told told(BatchLife.Moment moment) {
        Map<String, List<NamedLine>> together = moment.lines().stream()
                .collect(Collectors.groupingBy(NamedLine::what, LinkedHashMap::new, Collectors.toList()));
        String lines = together.entrySet().stream()
                .map(one -> count(one.getValue(), moment.step()) + " " + one.getKey())
                .collect(Collectors.joining(", "));
        String sentence = switch (moment.step()) {
            case PLANNED ->
                "Batch " + moment.id() + " planned: " + lines
                        + (moment.forWhat().isBlank() ? "" : ", for " + moment.forWhat()) + ".";
            case CUT -> "The cloth of batch " + moment.id() + " is cut: " + lines + ".";
            case FINISHED -> "Batch " + moment.id() + " is finished: " + lines + ".";
            case DROPPED -> "Batch " + moment.id() + " was given up: " + lines + ".";
        };
        return told(moment.at(), Duration.ZERO, LogKind.BATCH, sentence, moment.id(), null, null);
    }

    private static String count(List<NamedLine> lines, BatchLife.Step step) {
        if (step != BatchLife.Step.FINISHED) {
            return String.valueOf(sum(lines, ChosenLine::started));
        }
        List<String> came = new ArrayList<>();
        came.add(String.valueOf(sum(lines, ChosenLine::good)));
        int seconds = sum(lines, ChosenLine::seconds);
        if (seconds > 0) {
            came.add(seconds + (seconds == 1 ? " second" : " seconds"));
        }
        int scrap = sum(lines, ChosenLine::scrap);
        if (scrap > 0) {
            came.add(scrap + " spoiled");
        }
        return String.join(" and ", came);
    }

    private static int sum(List<NamedLine> lines, ToIntFunction<ChosenLine> of) {
        return lines.stream().map(NamedLine::line).mapToInt(of).sum();
    }

    private static Told told(StockHistory.Moved moved, ViewWriter writer) {
        String amount = writer.text(moved.amount().shown());
        String sentence = moved.material() + ": " + amount + " " + moved.kind().words()
                + (moved.batchId().map(batch -> " for batch " + batch).orElse(""))
                + (moved.reason().isBlank() ? "" : ", " + moved.reason()) + ".";
        ZonedDateTime at = moved.at().atZone(ZoneId.systemDefault());
        return new Told(
                at,
                Duration.ZERO,
                new LogLine(
                        TIME.format(at),
                        LogKind.STOCK,
                        sentence,
                        moved.batchId().orElse(null),
                        null,
                        moved.materialId(),
                        null));
    }

    private static Told told(GoodsHistory.Moved moved) {
        String sentence = Math.abs(moved.units()) + " " + moved.design() + " " + moved.size() + " "
                + moved.kind().words() + (moved.units() < 0 ? " from " : " to ") + moved.place()
                + (moved.reason().isBlank() ? "" : ", " + moved.reason()) + ".";
        return told(moved.at(), Duration.ZERO, LogKind.GOODS, sentence, null, null, null);
    }

    private static Told told(UpkeepService.Told cared) {
        return told(cared.at(), Duration.ZERO, LogKind.UPKEEP, sentence(cared), null, null, null);
    }

    private static String sentence(UpkeepService.Told cared) {
        String what = cared.kind() == Upkeep.Kind.OIL
                ? "Oiled "
                : "Changed " + cared.kind().words() + " of ";
        return what + cared.place() + (cared.note().isBlank() ? "" : ", " + cared.note()) + ".";
    }

    private static Told told(NoteService.Noted noted) {
        String about = noted.note().pin().stepName();
        return told(
                noted.at(),
                Duration.ZERO,
                LogKind.NOTE,
                "Noted" + (about.isBlank() ? "" : " at “" + about + "”") + ": "
                        + noted.note().text(),
                noted.note().batchId(),
                noted.note().pin().designId(),
                null);
    }

    private static Told told(
            Instant at,
            Duration worked,
            LogKind kind,
            String sentence,
            @Nullable BatchId batch,
            @Nullable DesignId design,
            @Nullable Sitting sitting) {
        ZonedDateTime local = at.atZone(ZoneId.systemDefault());
        return new Told(local, worked, new LogLine(TIME.format(local), kind, sentence, batch, design, null, sitting));
    }

    /** What was logged of one step of a line on one day, one by one. */
    @Transactional(readOnly = true)
    List<LoggedTime> times(Sitting sitting) {
        return log.touches(sitting.batchId()).stream()
                .filter(touch -> touch.line() == sitting.line()
                        && touch.step().equals(sitting.step())
                        && day(touch.at()).equals(sitting.day())
                        && (touch.kind() == EventKind.WORKED || touch.kind() == EventKind.SET_UP))
                .map(touch -> new LoggedTime(
                        touch.id(),
                        TIME.format(touch.at().atZone(ZoneId.systemDefault())),
                        touch.bags(),
                        touch.time().toMillis(),
                        clock(touch.time()),
                        touch.kind() == EventKind.SET_UP,
                        touch.slow(),
                        touch.isLeftOut(),
                        touch.isPutRight(),
                        touch.isLeftOut() || touch.isPutRight() ? touch.reason() : ""))
                .toList();
    }

    /** Minutes and seconds. */
    private static String clock(Duration time) {
        return time.toMinutes() + ":" + String.format(Locale.ROOT, "%02d", time.toSecondsPart());
    }
}
