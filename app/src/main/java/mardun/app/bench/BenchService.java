package mardun.app.bench;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchViews.BatchRow;
import mardun.app.batch.OpenWork;
import mardun.app.bench.BenchViews.BenchView;
import mardun.app.bench.BenchViews.FirstStep;
import mardun.app.bench.BenchViews.LaneView;
import mardun.app.bench.BenchViews.NextView;
import mardun.app.days.DayPlans;
import mardun.app.days.DayPlans.Laid;
import mardun.app.days.DaysReading;
import mardun.app.days.TapeWriter;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.material.MaterialService;
import mardun.app.material.MaterialService.LowStock;
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

    private static final int DAYS_ON_THE_TAPE = 14;
    private static final int LOW_SHOWN = 12;

    private final BatchReading batches;
    private final DesignService designs;
    private final MaterialService materials;
    private final TapeWriter tapes;
    private final DayPlans days;
    private final SettingsService settings;
    private final Clock clock;

    BenchService(
            BatchReading batches,
            DesignService designs,
            MaterialService materials,
            TapeWriter tapes,
            DayPlans days,
            SettingsService settings,
            Clock clock) {
        this.batches = batches;
        this.designs = designs;
        this.materials = materials;
        this.tapes = tapes;
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
                tapes.tape(laid, today.plusDays(DAYS_ON_THE_TAPE), current.writer()),
                next(laid, current.writer()).orElse(null),
                open.stream().map(b -> lane(b, works.get(b.id()), laid)).toList(),
                all.shown().shortages(),
                low.some(),
                low.together(),
                firstSteps(current));
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
