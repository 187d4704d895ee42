package mardun.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchStage;
import mardun.app.batch.BatchViews.BatchRow;
import mardun.app.batch.BatchViews.OpenBatches;
import mardun.app.batch.OpenWork;
import mardun.app.bench.BenchViews.BenchView;
import mardun.app.days.DayPlans;
import mardun.app.days.DayPlans.Laid;
import mardun.app.days.TapeViews.LaidView;
import mardun.app.days.TapeViews.PinView;
import mardun.app.days.TapeWriter;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.FairId;
import mardun.app.material.MaterialService;
import mardun.app.selling.FairService;
import mardun.app.selling.PinnedFair;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.TimeView;
import mardun.core.making.ChangeTimes;
import mardun.core.making.Operation;
import mardun.core.making.OrderWishes;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Standing;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.making.StillToDo;
import mardun.core.making.WorkOrder;
import mardun.core.making.Workplace;
import mardun.core.making.Workshop;
import mardun.core.measure.InchStep;
import mardun.core.measure.Length;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.UnitSystem;
import mardun.core.planning.DayPlanner;
import mardun.core.planning.FreeTime;
import mardun.core.planning.Job;
import mardun.core.planning.Missing;
import org.joda.money.CurrencyUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

@ExtendWith(MockitoExtension.class)
class BenchServiceTest {

    /** A Monday. */
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

    private static final ChangeTimes NOTHING = new ChangeTimes(Map.of(), Duration.ZERO, Duration.ZERO);

    @Mock
    private BatchReading batches;

    @Mock
    private DesignService designs;

    @Mock
    private MaterialService materials;

    @Mock
    private FairService fairs;

    @Mock
    private DayPlans days;

    @Mock
    private SettingsService settingsService;

    @Mock
    private Settings settings;

    @BeforeEach
    void aWorkroomWithTwoHoursADay() {
        Map<DayOfWeek, Duration> free = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            free.put(day, day == DayOfWeek.WEDNESDAY ? Duration.ZERO : Duration.ofHours(2));
        }
        when(settingsService.current()).thenReturn(settings);
        when(days.lay(any())).thenAnswer(asked -> laid(asked.getArgument(0), FreeTime.of(free)));
        when(settings.writer())
                .thenReturn(new ViewWriter(UnitSystem.METRIC, new LengthWriter(InchStep.EIGHTH), CurrencyUnit.EUR));
        when(materials.low(12)).thenReturn(new MaterialService.LowStock(List.of(), 0));
    }

    @Test
    void workLiesOnTheTapeInStretchesThatStepOverDaysWithoutHours() {
        when(batches.open()).thenReturn(open(batch(1, 5, null, "", false), batch(2, 1, null, "", false)));
        BenchView bench = bench();
        assertThat(bench.tape().laid())
                .extracting(LaidView::batchId, LaidView::from, LaidView::to)
                .containsExactly(
                        tuple(new BatchId(1), 0.0, 2.0),
                        tuple(new BatchId(1), 3.0, 3.5),
                        tuple(new BatchId(2), 3.5, 4.0));
        assertThat(bench.tape().planned().seconds()).isEqualTo(6 * 3600);
        assertThat(bench.tape().free().seconds()).isEqualTo(12 * 2 * 3600);
        assertThat(bench.lanes().get(0).ready()).isEqualTo(TODAY.plusDays(3));
    }

    @Test
    void aBatchThatEndsAfterItsDayIsLate() {
        when(batches.open())
                .thenReturn(open(batch(1, 3, TODAY.plusDays(1), "", false), batch(2, 2, TODAY.plusDays(1), "", false)));
        assertThat(bench().lanes()).extracting(BenchViews.LaneView::late).containsExactly(false, true);
    }

    @Test
    void aDueDayThatIsAFairIsPinnedOnce() {
        LocalDate fair = TODAY.plusDays(4);
        when(fairs.coming())
                .thenReturn(List.of(
                        new PinnedFair(new FairId(7), "Mill yard", fair, fair, List.of()),
                        new PinnedFair(new FairId(8), "Far", TODAY.plusDays(40), TODAY.plusDays(41), List.of())));
        when(batches.open())
                .thenReturn(
                        open(batch(1, 1, fair, "Mill yard", false), batch(2, 1, TODAY.plusDays(5), "A school", false)));
        assertThat(bench().tape().pins())
                .extracting(PinView::label, PinView::kind)
                .containsExactly(tuple("Mill yard", PinView.Kind.FAIR), tuple("A school", PinView.Kind.DUE));
    }

    @Test
    void whatComesNextWaitsWhereMaterialIsShort() {
        when(batches.open()).thenReturn(open(batch(1, 1, null, "", true)));
        BenchView bench = bench();
        assertThat(bench.next()).isNotNull();
        assertThat(bench.next().waits()).isTrue();
        assertThat(bench.next().place()).contains("once the material is here");
        when(batches.open()).thenReturn(open(batch(1, 1, null, "", false)));
        assertThat(bench().next().place()).isEqualTo("Next at the machine");
        assertThat(bench().next().title()).isEqualTo("Sew, 1 ×");
        assertThat(bench().next().day()).isNull();
        assertThat(bench().next().check()).isEqualTo("Print upright.");
    }

    @Test
    void firstStepsStandUntilAllAreDone() {
        when(batches.open()).thenReturn(open());
        assertThat(bench().firstSteps()).hasSize(4).noneMatch(BenchViews.FirstStep::done);
        assertThat(bench().next()).isNull();
        when(settings.areEntered()).thenReturn(true);
        when(designs.hasAny()).thenReturn(true);
        when(batches.hasAny()).thenReturn(true);
        when(materials.hasAny()).thenReturn(true);
        assertThat(bench().firstSteps()).isNull();
    }

    private BenchView bench() {
        Clock clock = Clock.fixed(Instant.parse("2026-03-02T09:00:00Z"), ZoneOffset.UTC);
        return new BenchService(batches, designs, materials, new TapeWriter(fairs), days, settingsService, clock)
                .bench();
    }

    private static BatchRow batch(long id, int hours, LocalDate due, String forWhat, boolean isShort) {
        return new BatchRow(
                new BatchId(id),
                "Heron pouch",
                "small",
                1,
                4,
                BatchStage.PLANNED,
                false,
                due,
                forWhat,
                "Reed Stripe",
                0,
                null,
                isShort,
                new TimeView(hours + " h", hours * 3600L),
                null,
                null,
                null,
                null);
    }

    private static BatchReading.Open open(BatchRow... lines) {
        OpenBatches shown = new OpenBatches(List.of(lines), List.of());
        return new BatchReading.Open(
                List.of(lines).stream()
                        .map(row -> new OpenWork(
                                row.id(),
                                0,
                                row.designName(),
                                row.stage(),
                                row.paused(),
                                false,
                                Optional.ofNullable(row.dueOn()),
                                row.forWhat(),
                                List.of(new OpenWork.Bags(
                                        new DesignId(1), Optional.empty(), Optional.empty(), row.units(), row.units())),
                                new StillToDo(List.of(new Operation(List.of(new Operation.Part(
                                        1, 1, sewing(row.hoursLeft().seconds()), Length.ZERO))))),
                                false,
                                Map.of(),
                                Map.of(),
                                OrderWishes.NONE,
                                row.isShort() ? new Missing(List.of("Reed Stripe"), List.of()) : Missing.NOTHING))
                        .toList(),
                shown);
    }

    private static Step sewing(long seconds) {
        return new Step(
                "sew",
                "Sew",
                Stage.SEW,
                Station.MACHINE,
                SetUp.NONE,
                Duration.ofSeconds(seconds),
                Duration.ZERO,
                Duration.ZERO,
                "Print upright.",
                "",
                "",
                List.of(),
                List.of());
    }

    private static List<WorkOrder.Turn> turns(OpenWork work) {
        return work.toDo().operations().stream()
                .map(its -> new WorkOrder.Turn(
                        "sew|1",
                        its.parts(),
                        Workplace.of(Station.MACHINE),
                        SetUp.NONE,
                        Duration.ZERO,
                        List.of(SetUp.Part.FOOT),
                        true))
                .toList();
    }

    private static Laid laid(List<OpenWork> works, FreeTime free) {
        List<Job> jobs = works.stream()
                .filter(work -> !work.paused() && work.missing().cloths().isEmpty())
                .map(OpenWork::hours)
                .toList();
        return new Laid(
                TODAY,
                free,
                Workshop.USUAL,
                works,
                works.stream().collect(Collectors.toMap(OpenWork::id, BenchServiceTest::turns)),
                jobs,
                new DayPlanner(jobs, free, NOTHING, Standing.UNKNOWN, TODAY).lay(),
                List.of());
    }
}
