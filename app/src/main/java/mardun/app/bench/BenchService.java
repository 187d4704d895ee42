package mardun.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchStage;
import mardun.app.batch.BatchViews.BatchRow;
import mardun.app.batch.BatchViews.StepLine;
import mardun.app.batch.OpenWork;
import mardun.app.bench.BenchViews.BenchView;
import mardun.app.bench.BenchViews.DayView;
import mardun.app.bench.BenchViews.FirstStep;
import mardun.app.bench.BenchViews.LaidView;
import mardun.app.bench.BenchViews.LaneView;
import mardun.app.bench.BenchViews.NextView;
import mardun.app.bench.BenchViews.PinView;
import mardun.app.bench.BenchViews.TapeView;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.material.MaterialService;
import mardun.app.material.MaterialService.LowStock;
import mardun.app.selling.FairService;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.making.DayPlan;
import mardun.core.making.Stage;
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
    private final FairService fairs;
    private final SettingsService settings;
    private final Clock clock;

    BenchService(
            BatchReading batches,
            DesignService designs,
            MaterialService materials,
            FairService fairs,
            SettingsService settings,
            Clock clock) {
        this.batches = batches;
        this.designs = designs;
        this.materials = materials;
        this.fairs = fairs;
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
        DayPlan.Plan plan = DayPlan.lay(
                all.works().stream()
                        .filter(work -> !work.paused())
                        .map(OpenWork::work)
                        .toList(),
                current.freeTime(),
                today);
        return new BenchView(
                today,
                tape(open, plan, current, today),
                open.stream()
                        .filter(batch -> !batch.paused())
                        .findFirst()
                        .map(batch -> next(batch, all.shown().stepsOfTheFirst()))
                        .orElse(null),
                open.stream()
                        .map(b -> lane(b, works.get(b.id()), plan.ready().get(b.id().key())))
                        .toList(),
                all.shown().shortages(),
                low.some(),
                low.together(),
                firstSteps(current));
    }

    private TapeView tape(List<BatchRow> open, DayPlan.Plan plan, Settings current, LocalDate today) {
        ViewWriter writer = current.writer();
        Map<BatchId, BatchRow> byId = new HashMap<>();
        open.forEach(b -> byId.put(b.id(), b));
        List<DayView> days = new ArrayList<>();
        Duration free = Duration.ZERO;
        for (int i = 0; i < DAYS_ON_THE_TAPE; i++) {
            LocalDate day = today.plusDays(i);
            Duration freeThen = current.freeTime().get(day.getDayOfWeek());
            free = free.plus(freeThen);
            days.add(new DayView(day, writer.time(freeThen)));
        }
        LocalDate end = today.plusDays(DAYS_ON_THE_TAPE);
        List<LaidView> laid = laid(plan, byId, current, today, end);
        List<PinView> pins = new ArrayList<>();
        fairs.coming().stream()
                .filter(fair -> fair.heldOn().isBefore(end))
                .forEach(fair -> pins.add(new PinView(PinView.Kind.FAIR, fair.name(), fair.heldOn(), null, fair.id())));
        open.stream()
                .filter(b -> b.dueOn() != null
                        && b.dueOn().isBefore(end)
                        && !b.dueOn().isBefore(today))
                .filter(b -> pins.stream()
                        .noneMatch(pin ->
                                pin.label().equals(b.forWhat()) && pin.date().equals(b.dueOn())))
                .forEach(b -> pins.add(new PinView(
                        PinView.Kind.DUE,
                        b.forWhat().isEmpty() ? b.designName() + " due" : b.forWhat(),
                        b.dueOn(),
                        b.id(),
                        null)));
        Duration planned = plan.laid().stream()
                .filter(l -> l.day().isBefore(end))
                .map(DayPlan.Laid::hours)
                .reduce(Duration.ZERO, Duration::plus);
        return new TapeView(days, laid, pins, writer.time(free), writer.time(planned));
    }

    /** Work that goes on from one day to the next is one stretch on the tape. */
    private static List<LaidView> laid(
            DayPlan.Plan plan, Map<BatchId, BatchRow> byId, Settings current, LocalDate today, LocalDate end) {
        List<LaidView> stretches = new ArrayList<>();
        Map<LocalDate, Duration> used = new HashMap<>();
        for (DayPlan.Laid laid : plan.laid()) {
            if (!laid.day().isBefore(end)) {
                continue;
            }
            BatchRow batch = byId.get(BatchId.valueOf(laid.key()));
            double free = current.freeTime().get(laid.day().getDayOfWeek()).toSeconds();
            Duration before = used.getOrDefault(laid.day(), Duration.ZERO);
            used.put(laid.day(), before.plus(laid.hours()));
            double day = today.until(laid.day()).getDays();
            double from = day + before.toSeconds() / free;
            double to = day + used.get(laid.day()).toSeconds() / free;
            int last = stretches.size() - 1;
            boolean goesOn = last >= 0
                    && stretches.get(last).batchId().equals(batch.id())
                    && stretches.get(last).to() == from;
            if (goesOn) {
                from = stretches.remove(last).from();
            }
            stretches.add(
                    new LaidView(batch.id(), batch.designName() + " " + batch.sizeName(), batch.stage(), from, to));
        }
        return stretches;
    }

    private static LaneView lane(BatchRow batch, OpenWork work, LocalDate ready) {
        return new LaneView(batch, ready, work.isLate(Optional.ofNullable(ready)));
    }

    private static NextView next(BatchRow batch, List<StepLine> steps) {
        String subject = batch.designName()
                + (batch.sizeName().isEmpty() ? "" : ", " + batch.sizeName())
                + (batch.clothName().isEmpty() ? "" : ", in " + batch.clothName());
        boolean planned = batch.stage() == BatchStage.PLANNED || batch.stage() == BatchStage.CUTTING;
        Optional<StepLine> step =
                steps.stream().filter(s -> (s.stage() == Stage.CUT) == planned).findFirst();
        boolean waits = planned && batch.isShort();
        return new NextView(
                batch.id(),
                waits
                        ? "Next, once the material is here"
                        : "Next at the " + step.map(s -> s.station().words()).orElse("bench"),
                planned
                        ? "Cut " + batch.units() + " × " + batch.designName()
                        : "Sew " + batch.units() + " × " + batch.designName(),
                subject,
                steps.stream()
                        .filter(s -> (s.stage() == Stage.CUT) == planned)
                        .filter(s -> !s.changes().isEmpty())
                        .findFirst()
                        .map(StepLine::changes)
                        .orElseGet(List::of),
                step.map(StepLine::check).orElse(""),
                batch.hoursLeft(),
                planned ? "Open the cut list" : "Open the steps",
                waits);
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
