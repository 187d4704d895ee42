package mardun.app.batch;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.ChangeView;
import mardun.app.batch.BatchViews.MarginalView;
import mardun.app.calendar.FreeDays;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.Marginal;
import mardun.core.making.Standing;
import mardun.core.planning.DayPlanner;
import mardun.core.planning.Job;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What one bag more, or one fewer, of a line of a batch really changes: cloth, minutes, money, the day. */
@Service
class Marginals {

    private static final String NEW = "new";

    private final BatchEntry entry;
    private final BatchReading reading;
    private final BatchPlanner planner;
    private final SettingsService settings;
    private final FreeDays days;
    private final Clock clock;

    Marginals(
            BatchEntry entry,
            BatchReading reading,
            BatchPlanner planner,
            SettingsService settings,
            FreeDays days,
            Clock clock) {
        this.entry = entry;
        this.reading = reading;
        this.planner = planner;
        this.settings = settings;
        this.days = days;
        this.clock = clock;
    }

    /**
     * Both changes.
     *
     * @param line which of the form's lines, from 0
     */
    @Transactional(readOnly = true)
    public MarginalView of(BatchForm form, int line) {
        Settings current = settings.current();
        if (line >= form.lines().size()) {
            throw RefusedException.missing("The batch has no such line.");
        }
        Planned planned = entry.preview(form, current);
        List<OpenWork> others = reading.openWork().stream()
                .filter(work -> !work.paused())
                .filter(work -> form.batchId() == null || !work.id().equals(form.batchId()))
                .toList();
        return new MarginalView(
                change(planned, line, 1, form, others, current).orElse(null),
                change(planned, line, -1, form, others, current).orElse(null));
    }

    private Optional<ChangeView> change(
            Planned planned, int line, int by, BatchForm form, List<OpenWork> others, Settings current) {
        List<BatchLine> lines =
                planned.lines().stream().map(one -> one.plan().line()).toList();
        PlannedLine its = planned.lines().get(line);
        ViewWriter writer = current.writer();
        return Marginal.of(planner, lines, its.number(), by, planned.workroom()).map(change -> {
            Duration now = planned.plan().time().asBatch().value();
            Optional<LocalDate> ready = ready(now, form, others, current);
            Optional<LocalDate> then = ready(now.plus(change.time()), form, others, current);
            return new ChangeView(
                    writer.more(change.money()),
                    writer.more(change.time()),
                    change.materials().stream()
                            .map(one -> one.supply().name() + " " + writer.more(one.more()))
                            .toList(),
                    then.orElse(null),
                    ready.isPresent() && then.isPresent() ? ChronoUnit.DAYS.between(ready.get(), then.get()) : 0);
        });
    }

    /** When the batch is ready if its hours are laid on the free days among those of the others. */
    private Optional<LocalDate> ready(Duration hours, BatchForm form, List<OpenWork> others, Settings current) {
        List<Job> jobs = new ArrayList<>(others.stream().map(OpenWork::hours).toList());
        jobs.add(Job.ofHours(NEW, hours, Optional.ofNullable(form.dueOn())));
        return new DayPlanner(jobs, days.freeTime(), current.changeTimes(), Standing.UNKNOWN, LocalDate.now(clock))
                .lay()
                .ready(NEW);
    }
}
