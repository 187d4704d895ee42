package mardun.app.days;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import mardun.app.batch.OpenWork;
import mardun.app.days.DayPlans.Laid;
import mardun.app.days.TapeViews.DayView;
import mardun.app.days.TapeViews.LaidView;
import mardun.app.days.TapeViews.PinView;
import mardun.app.days.TapeViews.TapeView;
import mardun.app.id.BatchId;
import mardun.app.selling.FairService;
import mardun.app.show.ViewWriter;
import mardun.core.planning.DayPlan;
import org.springframework.stereotype.Component;

/** Draws laid work on the tape, with the fairs and due days that are pinned to it. */
@Component
public class TapeWriter {

    /** Pauses, preparing and clearing up, in days on the tape, don't part work. */
    private static final double LITTLE_GAP = 0.35;

    private final FairService fairs;

    public TapeWriter(FairService fairs) {
        this.fairs = fairs;
    }

    /** The days from today to before another one. */
    public TapeView tape(Laid laid, LocalDate end, ViewWriter writer) {
        LocalDate today = laid.today();
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
                                work.keptAs().orElse(null),
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
            BatchId kept = work.keptAs().orElse(null);
            int worker = stretch.worker() + 1;
            double from = place(stretch.from(), laid);
            int last = stretches.size() - 1;
            while (last >= 0 && stretches.get(last).worker() != worker) {
                last--;
            }
            boolean goesOn = last >= 0
                    && Objects.equals(stretches.get(last).batchId(), kept)
                    && from - stretches.get(last).to() < LITTLE_GAP;
            if (goesOn) {
                from = stretches.remove(last).from();
            }
            stretches.add(new LaidView(kept, work.name(), work.stage(), from, place(stretch.to(), laid), worker));
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
}
