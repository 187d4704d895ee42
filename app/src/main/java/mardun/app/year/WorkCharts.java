package mardun.app.year;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchLife.FinishedLine;
import mardun.app.id.DesignId;
import mardun.app.log.BenchLog.Worked;
import mardun.app.log.EventKind;
import mardun.app.selling.FairRecords.FairLeft;
import mardun.app.settings.Settings;
import mardun.app.year.YearViews.AnswerView;
import mardun.app.year.YearViews.FigureRow;
import mardun.app.year.YearViews.FigureTable;
import mardun.app.year.YearViews.Question;
import mardun.core.making.Machine;
import mardun.core.making.Station;
import mardun.core.making.WorkKind;
import mardun.core.year.Spoilage;
import mardun.core.year.TimesKept;

/** What work answers: where hours went, how estimates came true, what was spoiled. */
final class WorkCharts {

    private static final String SETTING_UP = "setting up";
    private static final String MENDING = "mending";
    private static final String OTHER = "elsewhere at the bench";
    private static final String AT_STALLS = "at stalls";
    private static final String ON_THE_WAY = "on the way to fairs";

    private final Settings current;
    private final Cells cells;
    private final Map<DesignId, String> designs;
    private final Clock clock;

    /** Charts with the designs' names. */
    WorkCharts(Settings current, Map<DesignId, String> designs, Clock clock) {
        this.current = current;
        this.cells = new Cells(current);
        this.designs = designs;
        this.clock = clock;
    }

    /** Where the hours went. */
    AnswerView hours(List<Worked> worked, List<FairLeft> fairs) {
        Map<String, Station> machines = current.equipment().machines().stream()
                .collect(Collectors.toMap(Machine::key, Machine::kind, (one, other) -> one));
        Map<String, Duration> hours = new LinkedHashMap<>();
        worked.forEach(one -> hours.merge(what(one, machines), one.time(), Duration::plus));
        fairs.forEach(fair -> {
            hours.merge(AT_STALLS, fair.there(), Duration::plus);
            hours.merge(ON_THE_WAY, fair.onTheWay(), Duration::plus);
        });
        hours.values().removeIf(Duration::isZero);
        Duration all = hours.values().stream().reduce(Duration.ZERO, Duration::plus);
        List<Map.Entry<String, Duration>> sorted = hours.entrySet().stream()
                .sorted(Map.Entry.<String, Duration>comparingByValue().reversed())
                .toList();
        return new AnswerView(
                Question.HOURS,
                "Where did the hours go?",
                sorted.isEmpty()
                        ? "No hour was logged in these months."
                        : "Of " + current.writer().time(all).text() + ", most was "
                                + sorted.get(0).getKey() + ": "
                                + percent(sorted.get(0).getValue(), all) + " %.",
                "",
                null,
                new FigureTable(
                        List.of(Cells.words("what"), Cells.hours("time"), Cells.percent("of all")),
                        sorted.stream()
                                .map(one -> new FigureRow(
                                        List.of(
                                                Cells.text(one.getKey()),
                                                cells.time(one.getValue()),
                                                Cells.percentage(percent(one.getValue(), all))),
                                        false))
                                .toList()));
    }

    private static int percent(Duration part, Duration whole) {
        return (int) Math.round(100.0 * part.toSeconds() / Math.max(1, whole.toSeconds()));
    }

    private static String what(Worked worked, Map<String, Station> machines) {
        if (worked.kind() == EventKind.SET_UP) {
            return SETTING_UP;
        }
        if (worked.kind() == EventKind.SLIPPED) {
            return MENDING;
        }
        return Optional.ofNullable(machines.get(worked.place()))
                .or(() -> Stream.of(Station.values())
                        .filter(station -> station.name().equals(worked.place()))
                        .findFirst())
                .map(WorkKind::at)
                .map(WorkKind::words)
                .orElse(OTHER);
    }

    /** How estimates of time came true, batch by batch. */
    AnswerView times(List<FinishedLine> lines) {
        Map<Long, List<FinishedLine>> byBatch = lines.stream()
                .filter(line -> line.times().isPresent())
                .collect(Collectors.groupingBy(FinishedLine::batch, LinkedHashMap::new, Collectors.toList()));
        List<FigureRow> rows = new ArrayList<>();
        List<TimesKept.Batch> batches = new ArrayList<>();
        byBatch.forEach((id, its) -> {
            TimesKept.Batch batch = its.get(0).times().orElseThrow();
            batches.add(batch);
            rows.add(new FigureRow(
                    List.of(
                            Cells.text(id + ", " + words(its)),
                            Cells.day(LocalDate.ofInstant(its.get(0).at(), clock.getZone())),
                            cells.time(batch.planned()),
                            cells.time(batch.took()),
                            Cells.percentage(batch.beyond())),
                    batch.isFar()));
        });
        TimesKept all = TimesKept.of(batches);
        return new AnswerView(
                Question.TIMES,
                "How true were the times?",
                all.beyond().map(beyond -> timesAnswer(all, beyond)).orElse("No batch that was timed was finished."),
                "",
                null,
                new FigureTable(
                        List.of(
                                Cells.words("batch"),
                                Cells.words("finished"),
                                Cells.hours("planned"),
                                Cells.hours("took"),
                                Cells.percent("beyond")),
                        rows));
    }

    private String words(List<FinishedLine> lines) {
        return lines.stream().map(line -> name(line.design())).distinct().collect(Collectors.joining(", "));
    }

    private String name(DesignId design) {
        return designs.getOrDefault(design, "a design");
    }

    private static String timesAnswer(TimesKept all, int beyond) {
        String together = beyond == 0
                ? "as long as planned"
                : Math.abs(beyond) + " % " + (beyond > 0 ? "longer" : "less long") + " than planned";
        return all.batches() == 1
                ? "The batch took " + together + "."
                : all.near() + " of " + all.batches()
                        + " batches took what was planned, give or take a tenth; all together " + together + ".";
    }

    private record OfDesign(String name, Spoilage spoilage) {}

    /** What was begun and didn't come out well. */
    AnswerView spoiled(List<FinishedLine> lines) {
        Map<DesignId, Spoilage> byDesign = new LinkedHashMap<>();
        lines.forEach(line ->
                byDesign.merge(line.design(), new Spoilage(line.good(), line.seconds(), line.scrap()), Spoilage::plus));
        List<OfDesign> sorted = byDesign.entrySet().stream()
                .map(one -> new OfDesign(name(one.getKey()), one.getValue()))
                .filter(one -> one.spoilage().begun() > 0)
                .sorted(Comparator.comparing((OfDesign one) -> -one.spoilage().percent())
                        .thenComparing(OfDesign::name))
                .toList();
        return new AnswerView(
                Question.SPOILED,
                "What is spoiled?",
                spoiledAnswer(sorted),
                "",
                null,
                new FigureTable(
                        List.of(
                                Cells.words("design"),
                                Cells.figure("begun"),
                                Cells.figure("came out well"),
                                Cells.figure("seconds"),
                                Cells.figure("scrap"),
                                Cells.percent("not well")),
                        sorted.stream()
                                .map(one -> new FigureRow(
                                        List.of(
                                                Cells.text(one.name()),
                                                Cells.count(one.spoilage().begun()),
                                                Cells.count(one.spoilage().good()),
                                                Cells.count(one.spoilage().seconds()),
                                                Cells.count(one.spoilage().scrap()),
                                                Cells.percentage(one.spoilage().percent())),
                                        one.spoilage().scrap() > 0))
                                .toList()));
    }

    private static String spoiledAnswer(List<OfDesign> sorted) {
        Spoilage all = sorted.stream().map(OfDesign::spoilage).reduce(Spoilage.NONE, Spoilage::plus);
        if (all.begun() == 0) {
            return "No batch was finished in these months.";
        }
        if (all.spoilt() == 0) {
            return "Nothing: all " + all.begun() + " bags came out well.";
        }
        OfDesign most = sorted.get(0);
        return all.spoilt() + " of " + all.begun() + " bags didn’t come out well; most often " + most.name() + ", "
                + most.spoilage().spoilt() + " of " + most.spoilage().begun() + ".";
    }
}
