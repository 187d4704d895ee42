package mardun.app.year;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.batch.BatchLife;
import mardun.app.batch.BatchLife.FinishedLine;
import mardun.app.channel.Channels;
import mardun.app.channel.KeptChannel;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.log.BenchLog;
import mardun.app.sale.SalesBook;
import mardun.app.selling.FairRecords;
import mardun.app.selling.FairRecords.FairLeft;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.app.year.YearReading.Sold;
import mardun.app.year.YearViews.AnswerView;
import mardun.app.year.YearViews.FigureTable;
import mardun.app.year.YearViews.Question;
import mardun.app.year.YearViews.YearView;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What twelve months say: each question with its answer, its figures and its sheet. */
@Service
class YearService {

    private final YearReading reading;
    private final SalesBook sales;
    private final FairRecords fairs;
    private final BatchLife batches;
    private final BenchLog log;
    private final DesignService designs;
    private final Channels channels;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<Asked, YearView> years;

    YearService(
            YearReading reading,
            SalesBook sales,
            FairRecords fairs,
            BatchLife batches,
            BenchLog log,
            DesignService designs,
            Channels channels,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.reading = reading;
        this.sales = sales;
        this.fairs = fairs;
        this.batches = batches;
        this.log = log;
        this.designs = designs;
        this.channels = channels;
        this.settings = settings;
        this.clock = clock;
        this.years = new Remembered<>(changes);
    }

    /** What is asked, and on which day: what lies and a year that isn't over are another thing tomorrow. */
    private record Asked(YearSpan span, LocalDate today) {}

    /** The twelve months from a day's month on; the last twelve where no day is given. */
    @Transactional(readOnly = true)
    public YearView year(@Nullable LocalDate from) {
        LocalDate today = LocalDate.now(clock);
        return years.get(new Asked(span(from, today), today), this::answered);
    }

    private static YearSpan span(@Nullable LocalDate from, LocalDate today) {
        return from == null ? YearSpan.endingWith(today) : new YearSpan(from);
    }

    private YearView answered(Asked asked) {
        YearSpan span = asked.span();
        Settings current = settings.current();
        List<Sold> sold = reading.sold(span.first(), span.until());
        return new YearView(
                span.first(),
                span.until().minusDays(1),
                span.words(),
                sold.stream().mapToInt(one -> one.bags().bags()).sum(),
                sales.firstDay().orElse(null),
                charts(asked, sold, current));
    }

    private List<AnswerView> charts(Asked asked, List<Sold> sold, Settings current) {
        YearSpan span = asked.span();
        List<Sold> before = reading.sold(span.before().first(), span.first());
        List<FairLeft> left = fairs.left(span.first(), span.until());
        Map<ChannelId, String> names =
                channels.all().stream().collect(Collectors.toMap(KeptChannel::id, KeptChannel::name));
        SalesCharts ofSales = new SalesCharts(current, span);
        Map<DesignId, String> designNames =
                designs.names().stream().collect(Collectors.toMap(DesignName::id, DesignName::name));
        WorkCharts ofWork = new WorkCharts(current, designNames, clock);
        List<FinishedLine> finished = batches.finished(span.begins(clock.getZone()), span.ends(clock.getZone()));
        List<AnswerView> charts = new ArrayList<>();
        charts.add(ofSales.earns(Question.EARNS_BY_DESIGN, "design", sold, Sold::design));
        charts.add(ofSales.earns(Question.EARNS_BY_SIZE, "size", sold, Sold::size));
        charts.add(ofSales.earns(Question.EARNS_BY_CLOTH, "cloth", sold, Sold::cloth));
        charts.add(ofSales.earns(
                Question.EARNS_BY_CHANNEL,
                "channel",
                sold,
                one -> names.getOrDefault(one.line().channel(), "a channel")));
        charts.add(ofSales.months(sold, before, asked.today()));
        charts.add(ofSales.flow(sold, left));
        charts.add(ofSales.fairs(left));
        charts.add(ofSales.shelf(reading.lying()));
        charts.add(ofWork.hours(log.worked(span.first(), span.until()), left));
        charts.add(ofWork.times(finished));
        charts.add(ofSales.prices(sold, before));
        charts.add(ofWork.spoiled(finished));
        return charts;
    }

    /** The figures of one question as a CSV sheet. */
    @Transactional(readOnly = true)
    public String csv(Question question, @Nullable LocalDate from) {
        return year(from).charts().stream()
                .filter(chart -> chart.key() == question)
                .map(chart -> sheet(chart.table()))
                .findFirst()
                .orElseThrow();
    }

    /** A table as a CSV sheet; its figures' units stand in the head. */
    String sheet(FigureTable table) {
        CsvSheet sheet = new CsvSheet(
                settings.current().decimalMark(),
                table.columns().stream()
                        .map(column ->
                                column.unit().isEmpty() ? column.name() : column.name() + " (" + column.unit() + ")")
                        .toArray(String[]::new));
        table.rows()
                .forEach(row -> sheet.line(
                        row.cells().stream().map(YearViews.FigureCell::exact).toArray(String[]::new)));
        return sheet.text();
    }
}
