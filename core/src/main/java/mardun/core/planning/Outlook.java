package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import mardun.core.making.ChangeTimes;
import mardun.core.making.Standing;

/**
 * What can be said of each job beside the day on which it is done: how sure that is, and what would bring it in time.
 *
 * @param jobs by their keys
 */
public record Outlook(Map<String, OfJob> jobs) {

    /** How sure a day must be to be named as the likely one. */
    public static final double LIKELY = 0.8;

    /**
     * What can be said of a job.
     *
     * @param sure how sure it is that it is done by the day it is wanted, from 0 to 1; empty where none is said
     * @param likely the day by which it is done in eight of ten cases; empty where a year isn't enough
     * @param lastBegin the last day on which it can be begun and still be done in time; empty for one that is wanted by no day, or is
     *     late already
     * @param missing so much more free time until the day it is wanted would bring it in time; nothing for one that isn't late
     * @param inTimeWithout the jobs each of which, if it were put off, would bring it in time
     */
    public record OfJob(
            Optional<Double> sure,
            Optional<LocalDate> likely,
            Optional<LocalDate> lastBegin,
            Duration missing,
            List<String> inTimeWithout) {}

    public Outlook {
        jobs = Map.copyOf(jobs);
    }

    /** The outlook of jobs from a day on. */
    public static Outlook of(List<Job> jobs, FreeTime free, ChangeTimes times, Standing standing, LocalDate today) {
        DayPlanner planner = new DayPlanner(jobs, free, times, standing, today);
        DayPlan plan = planner.lay();
        Sureness sureness = Sureness.of(planner);
        List<Job> inOrder = planner.jobs();
        Map<String, OfJob> outlook = new HashMap<>();
        for (int place = 0; place < inOrder.size(); place++) {
            Job job = inOrder.get(place);
            boolean late = job.isLate(plan.ready(job.key()));
            outlook.put(
                    job.key(),
                    new OfJob(
                            job.due().map(due -> sureness.by(job.key(), due)),
                            sureness.day(job.key(), LIKELY),
                            late || job.due().isEmpty() || job.tasks().isEmpty()
                                    ? Optional.empty()
                                    : Optional.of(lastBegin(place, planner)),
                            late ? plan.after(job.key(), job.due().orElseThrow()) : Duration.ZERO,
                            late ? inTimeWithout(place, planner) : List.of()));
        }
        return new Outlook(outlook);
    }

    private static int dueIn(int job, DayPlanner planner) {
        LocalDate due = planner.jobs().get(job).due().orElseThrow();
        return (int) ChronoUnit.DAYS.between(planner.today(), due);
    }

    /** The last day, found by halving: begun later, it is never done earlier. */
    private static LocalDate lastBegin(int job, DayPlanner planner) {
        int due = dueIn(job, planner);
        int inTime = 0;
        int late = due + 1;
        while (late - inTime > 1) {
            int middle = (inTime + late) / 2;
            if (planner.daysFrom(job, middle)[job] <= due) {
                inTime = middle;
            } else {
                late = middle;
            }
        }
        return planner.today().plusDays(inTime);
    }

    private static List<String> inTimeWithout(int job, DayPlanner planner) {
        int due = dueIn(job, planner);
        return IntStream.range(0, planner.jobs().size())
                .filter(other ->
                        other != job && !planner.jobs().get(other).tasks().isEmpty())
                .filter(other -> planner.daysWithout(other)[job] <= due)
                .mapToObj(other -> planner.jobs().get(other).key())
                .toList();
    }
}
