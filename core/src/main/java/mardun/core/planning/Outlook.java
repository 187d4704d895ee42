package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.making.ChangeTimes;

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
    public static Outlook of(List<Job> jobs, FreeTime free, ChangeTimes times, LocalDate today) {
        DayPlanner planner = new DayPlanner(jobs, free, times, today);
        DayPlan plan = planner.lay();
        Sureness sureness = Sureness.of(planner);
        Map<String, OfJob> outlook = new LinkedHashMap<>();
        for (Job job : jobs) {
            boolean late = job.isLate(plan.ready(job.key()));
            outlook.put(
                    job.key(),
                    new OfJob(
                            job.due().map(due -> sureness.by(job.key(), due)),
                            sureness.day(job.key(), LIKELY),
                            late ? Optional.empty() : lastBegin(job, jobs, free, times, today),
                            late ? missing(job, plan) : Duration.ZERO,
                            late ? inTimeWithout(job, jobs, free, times, today) : List.of()));
        }
        return new Outlook(outlook);
    }

    private static Duration missing(Job job, DayPlan plan) {
        return plan.after(job.key(), job.due().orElseThrow());
    }

    /** The last day, found by halving: begun later, it is never done earlier. */
    private static Optional<LocalDate> lastBegin(
            Job job, List<Job> jobs, FreeTime free, ChangeTimes times, LocalDate today) {
        if (job.due().isEmpty() || job.tasks().isEmpty()) {
            return Optional.empty();
        }
        long inTime = 0;
        long late = ChronoUnit.DAYS.between(today, job.due().get()) + 1;
        while (late - inTime > 1) {
            long middle = (inTime + late) / 2;
            if (isInTime(job.notBefore(today.plusDays(middle)), jobs, free, times, today)) {
                inTime = middle;
            } else {
                late = middle;
            }
        }
        return Optional.of(today.plusDays(inTime));
    }

    private static boolean isInTime(Job job, List<Job> jobs, FreeTime free, ChangeTimes times, LocalDate today) {
        List<Job> all = new ArrayList<>();
        jobs.forEach(one -> all.add(one.key().equals(job.key()) ? job : one));
        return !job.isLate(new DayPlanner(all, free, times, today).lay().ready(job.key()));
    }

    private static List<String> inTimeWithout(
            Job job, List<Job> jobs, FreeTime free, ChangeTimes times, LocalDate today) {
        return jobs.stream()
                .filter(other ->
                        !other.key().equals(job.key()) && !other.tasks().isEmpty())
                .filter(other ->
                        isInTime(job, jobs.stream().filter(one -> one != other).toList(), free, times, today))
                .map(Job::key)
                .toList();
    }
}
