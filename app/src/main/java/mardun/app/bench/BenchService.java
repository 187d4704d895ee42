package mardun.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchViews.BatchRow;
import mardun.app.batch.OpenWork;
import mardun.app.bench.BenchViews.BenchView;
import mardun.app.bench.BenchViews.DayView;
import mardun.app.bench.BenchViews.FirstStep;
import mardun.app.bench.BenchViews.LaidView;
import mardun.app.bench.BenchViews.LaneView;
import mardun.app.bench.BenchViews.NextView;
import mardun.app.bench.BenchViews.PinView;
import mardun.app.bench.BenchViews.TapeView;
import mardun.app.days.DayPlans;
import mardun.app.days.DayPlans.Laid;
import mardun.app.days.DaysReading;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.material.MaterialService;
import mardun.app.material.MaterialService.LowStock;
import mardun.app.selling.FairService;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.making.Stage;
import mardun.core.making.Step;
import mardun.core.making.WorkOrder;
import mardun.core.planning.DayPlan;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The home screen: what is coming, what to do next, what is short. */
@Service
public class BenchService {

    /** Pauses, preparing and clearing up, in days on the tape, don't part work. */
    private static final double LITTLE_GAP = 0.35;

    private static final int DAYS_ON_THE_TAPE = 14;
    private static final int LOW_SHOWN = 12;

    private final BatchReading batches;
    private final DesignService designs;
    private final MaterialService materials;
    private final FairService fairs;
    private final DayPlans days;
    private final SettingsService settings;
    private final Clock clock;

    BenchService(
            BatchReading batches,
            DesignService designs,
            MaterialService materials,
            FairService fairs,
            DayPlans days,
            SettingsService settings,
            Clock clock) {
        this.batches = batches;
        this.designs = designs;
        this.materials = materials;
        this.fairs = fairs;
        this.days = days;
        this.settings = settings;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public BenchView bench() {
        Settings current = settings.current();
        LocalDate today = LocalDate.now(clock);
        BatchReading.Open all = batches.open();
        LowStock low = materials.low(LOW_SHOWN);
        List<BatchRow> open = all.shown().lines();
        Map<BatchId, OpenWork> works = all.works().stream().collect(Collectors.toMap(OpenWork::id, work -> work));
        Laid laid = days.lay(all.works());
        return new BenchView(
                today,
                tape(laid, current),
                next(laid, current.writer()).orElse(null),
                open.stream().map(b -> lane(b, works.get(b.id()), laid)).toList(),
                all.shown().shortages(),
                low.some(),
                low.together(),
                firstSteps(current));
    }

    private TapeView tape(Laid laid, Settings current) {
        ViewWriter writer = current.writer();
        LocalDate today = laid.today();
        LocalDate end = today.plusDays(DAYS_ON_THE_TAPE);
        List<DayView> days = today.datesUntil(end)
                .map(day -> new DayView(day, writer.time(laid.free().on(day))))
                .toList();
        Duration free = today.datesUntil(end).map(laid.free()::on).reduce(Duration.ZERO, Duration::plus);
        List<PinView> pins = new ArrayList<>();
        fairs.coming().stream()
                .filter(fair -> fair.heldOn().isBefore(end))
                .forEach(fair -> pins.add(new PinView(
                        PinView.Kind.FAIR,
                        fair.name(),
                        fair.heldOn().isBefore(today) ? today : fair.heldOn(),
                        null,
                        fair.id())));
        laid.works()
                .forEach(work -> work.dueOn()
                        .filter(due -> due.isBefore(end) && !due.isBefore(today))
                        .filter(due -> pins.stream()
                                .noneMatch(pin -> pin.label().equals(work.forWhat())
                                        && pin.date().equals(due)))
                        .ifPresent(due -> pins.add(new PinView(
                                PinView.Kind.DUE,
                                work.forWhat().isEmpty() ? work.name() + " due" : work.forWhat(),
                                due,
                                work.id(),
                                null))));
        Duration planned = today.datesUntil(end).map(laid.plan()::on).reduce(Duration.ZERO, Duration::plus);
        return new TapeView(days, laid(laid, end), pins, writer.time(free), writer.time(planned));
    }

    /** Work on a batch that goes on, with its pauses and from one day to the next, is one stretch on the tape. */
    private static List<LaidView> laid(Laid laid, LocalDate end) {
        List<LaidView> stretches = new ArrayList<>();
        for (DayPlan.Stretch stretch : laid.plan().stretches()) {
            if (!stretch.day().isBefore(end)) {
                continue;
            }
            OpenWork work = laid.work(stretch.job());
            int worker = stretch.worker() + 1;
            double from = place(stretch.from(), laid);
            int last = stretches.size() - 1;
            while (last >= 0 && stretches.get(last).worker() != worker) {
                last--;
            }
            boolean goesOn = last >= 0
                    && stretches.get(last).batchId().equals(work.id())
                    && from - stretches.get(last).to() < LITTLE_GAP;
            if (goesOn) {
                from = stretches.remove(last).from();
            }
            stretches.add(new LaidView(work.id(), work.name(), work.stage(), from, place(stretch.to(), laid), worker));
        }
        return stretches;
    }

    /** A moment in days from today on, of each day's free time. */
    private static double place(LocalDateTime moment, Laid laid) {
        LocalDate day = moment.toLocalDate();
        double gone = Duration.between(day.atTime(laid.free().begins()), moment).toSeconds();
        return ChronoUnit.DAYS.between(laid.today(), day)
                + gone / laid.free().on(day).toSeconds();
    }

    private static LaneView lane(BatchRow batch, OpenWork work, Laid laid) {
        Optional<LocalDate> ready = laid.ready(work);
        String waits = work.paused() ? "" : DaysReading.waits(work);
        return new LaneView(batch, ready.orElse(null), work.isLate(ready), waits);
    }

    /** What is laid first; where nothing is, the first batch that waits, for its material or for a free hour. */
    private static Optional<NextView> next(Laid laid, ViewWriter writer) {
        return laid.plan().stretches().stream()
                .findFirst()
                .map(first -> next(first, laid, writer))
                .or(() -> laid.works().stream()
                        .filter(work -> !work.paused())
                        .findFirst()
                        .map(work -> waiting(work, writer)));
    }

    private static NextView next(DayPlan.Stretch first, Laid laid, ViewWriter writer) {
        OpenWork work = laid.work(first.job());
        WorkOrder.Turn turn = laid.turn(first);
        int bags = turn.operation().units() - first.bagsBefore();
        return new NextView(
                work.id(),
                "Next at " + turn.at().words(),
                first.day().equals(laid.today()) ? null : first.day(),
                turn.step().name() + ", " + bags + " ×",
                subject(work),
                first.changes().stream().map(turn.setUp()::words).toList(),
                turn.operation().text(Step::check),
                writer.time(work.left()),
                turn.step().stage() == Stage.CUT ? "Open the cut list" : "Work on it",
                turn.step().stage() != Stage.CUT,
                false);
    }

    private static NextView waiting(OpenWork work, ViewWriter writer) {
        String waits = DaysReading.waits(work);
        boolean isToCut = work.stage().isToCut();
        return new NextView(
                work.id(),
                waits.isEmpty() ? "Next, once there is a free hour" : "Next, once the material is here",
                null,
                (isToCut ? "Cut " : "Sew ") + work.units() + " × " + work.name(),
                waits.isEmpty() ? subject(work) : waits,
                List.of(),
                "",
                writer.time(work.left()),
                isToCut ? "Open the cut list" : "Work on it",
                !isToCut,
                !waits.isEmpty());
    }

    private static String subject(OpenWork work) {
        return work.units() + " × " + work.name() + (work.forWhat().isEmpty() ? "" : ", for " + work.forWhat());
    }

    private List<FirstStep> firstSteps(Settings current) {
        List<FirstStep> steps = List.of(
                new FirstStep(FirstStep.Key.SETTINGS, current.areEntered()),
                new FirstStep(FirstStep.Key.MATERIALS, materials.hasAny()),
                new FirstStep(FirstStep.Key.DESIGN, designs.hasAny()),
                new FirstStep(FirstStep.Key.BATCH, batches.hasAny()));
        return steps.stream().allMatch(FirstStep::done) ? null : steps;
    }
}
