package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * How sure it is that work is done by a day. The plan is laid many times, each time with other true times for its tasks: each is off
 * by its own spread, and all together by what they share, since a maker who guesses one time too short guesses others too short as
 * well, and a bad week is bad for everything. Seeded, so that the same plan is always equally sure.
 *
 * @param today the day from which days are counted
 * @param days of each job, by its key, after how many days it is done in each run, the earliest first
 */
public record Sureness(LocalDate today, Map<String, List<Integer>> days) {

    /** What all estimates are usually off by together, as a share of them. */
    public static final double SHARED = 0.15;

    /** How often the plan is laid. */
    public static final int RUNS = 2000;

    private static final long SEED = 20_260_301;

    /** No time comes out shorter than this share of its estimate. */
    private static final double LEAST = 0.1;

    public Sureness {
        days = Map.copyOf(days);
    }

    /** Lays a plan {@link #RUNS} times. */
    public static Sureness of(DayPlanner planner) {
        return of(planner, SHARED, RUNS);
    }

    /**
     * Lays a plan so many times.
     *
     * @param shared by how much all times are off together, as a share of them
     */
    static Sureness of(DayPlanner planner, double shared, int runs) {
        List<Job.Task> tasks = planner.tasks();
        int count = tasks.size();
        double[] spread = tasks.stream().mapToDouble(Job.Task::spread).toArray();
        double[] sewing =
                tasks.stream().mapToDouble(task -> task.sewing().toSeconds()).toArray();
        double[] once =
                tasks.stream().mapToDouble(task -> task.once().toSeconds()).toArray();
        int jobs = planner.jobs().size();
        int[][] days = new int[jobs][runs];
        // Each run has numbers of its own, so that they can be made beside one another and come out the same.
        IntStream.range(0, runs).parallel().forEach(run -> {
            SplittableRandom random = new SplittableRandom(SEED + run);
            long[] trueSewing = new long[count];
            long[] trueOnce = new long[count];
            double together = 1 + shared * random.nextGaussian();
            for (int task = 0; task < count; task++) {
                double off = Math.max(LEAST, together + spread[task] * random.nextGaussian());
                trueSewing[task] = Math.round(sewing[task] * off);
                trueOnce[task] = Math.round(once[task] * off);
            }
            int[] done = planner.days(trueSewing, trueOnce);
            for (int job = 0; job < jobs; job++) {
                days[job][run] = done[job];
            }
        });
        Map<String, List<Integer>> byKey = new HashMap<>();
        for (int job = 0; job < jobs; job++) {
            byKey.put(
                    planner.jobs().get(job).key(),
                    Arrays.stream(days[job]).sorted().boxed().toList());
        }
        return new Sureness(planner.today(), byKey);
    }

    /** In which share of the runs a job is done on a day or before it. */
    public double by(String job, LocalDate day) {
        List<Integer> its = days.get(job);
        long until = ChronoUnit.DAYS.between(today, day);
        return its.stream()
                        .filter(one -> one <= until && one < DayPlanner.FARTHEST_DAYS)
                        .count()
                / (double) its.size();
    }

    /**
     * The day by which a job is done in a share of the runs.
     *
     * @return empty where that is never
     */
    public Optional<LocalDate> day(String job, double share) {
        List<Integer> its = days.get(job);
        int day = its.get((int) Math.min(its.size() - 1, Math.ceil(share * its.size()) - 1));
        return day == DayPlanner.FARTHEST_DAYS ? Optional.empty() : Optional.of(today.plusDays(day));
    }

    /**
     * Between which times the hands-on time of tasks likely lies: in eight of ten cases. Each task is off by its own spread, and all by
     * what they share, so that errors of many tasks cancel only in part.
     */
    public static Range likely(List<Job.Task> tasks) {
        double mean = 0;
        double own = 0;
        for (Job.Task task : tasks) {
            double seconds = task.time().toSeconds();
            mean += seconds;
            own += Math.pow(task.spread() * seconds, 2);
        }
        double off = 1.2816 * Math.sqrt(own + Math.pow(SHARED * mean, 2));
        return new Range(
                Duration.ofSeconds(Math.round(Math.max(LEAST * mean, mean - off))),
                Duration.ofSeconds(Math.round(mean + off)));
    }

    /** A shorter and a longer time. */
    public record Range(Duration from, Duration to) {}
}
