package mardun.core.planning;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import mardun.core.planning.DayPlan.Stretch;
import mardun.core.planning.Job.Task;

/** Whether what is half made can be put away in the evening. */
public final class PutAway {

    private PutAway() {}

    /**
     * An evening on which something lies half made that can't be put away.
     *
     * @param task the place in its job of the task after which it can't be
     * @param bags how many lie so
     */
    public record Evening(LocalDate day, String job, int task, int bags) {}

    /** All such evenings of a plan, in the order of jobs and their tasks. */
    public static List<Evening> notPutAway(List<Job> jobs, DayPlan plan) {
        List<Evening> evenings = new ArrayList<>();
        for (Job job : jobs) {
            for (int task = 0; task < job.tasks().size(); task++) {
                int its = task;
                follower(job.tasks(), task).ifPresent(follower -> evenings.addAll(evenings(job, its, follower, plan)));
            }
        }
        return evenings;
    }

    /** The first task that comes after one after which nothing can be put away. */
    static Optional<Integer> follower(List<Task> tasks, int task) {
        return tasks.get(task).goesOn()
                ? IntStream.range(task + 1, tasks.size())
                        .filter(other -> tasks.get(other).after().contains(task))
                        .boxed()
                        .findFirst()
                : Optional.empty();
    }

    private static List<Evening> evenings(Job job, int task, int follower, DayPlan plan) {
        TreeMap<LocalDate, Integer> done = done(job, task, plan);
        TreeMap<LocalDate, Integer> followed = done(job, follower, plan);
        double each = (double) job.tasks().get(task).bags()
                / job.tasks().get(follower).bags();
        List<Evening> evenings = new ArrayList<>();
        if (done.isEmpty()) {
            return evenings;
        }
        LocalDate last = followed.isEmpty() ? done.lastKey() : followed.lastKey();
        for (LocalDate day : plan.stretches().stream()
                .map(Stretch::day)
                .distinct()
                .filter(day -> !day.isBefore(done.firstKey()) && !day.isAfter(last))
                .toList()) {
            int lie = of(done, day) - (int) Math.floor(of(followed, day) * each);
            if (lie > 0) {
                evenings.add(new Evening(day, job.key(), task, lie));
            }
        }
        return evenings;
    }

    private static int of(TreeMap<LocalDate, Integer> done, LocalDate day) {
        return Optional.ofNullable(done.floorEntry(day))
                .map(Map.Entry::getValue)
                .orElse(0);
    }

    /** How many bags of a task are done by the evening of each day on which some are. */
    private static TreeMap<LocalDate, Integer> done(Job job, int task, DayPlan plan) {
        TreeMap<LocalDate, Integer> done = new TreeMap<>();
        plan.stretches().stream()
                .filter(stretch -> stretch.job().equals(job.key()) && stretch.task() == task)
                .forEach(stretch -> done.merge(stretch.day(), stretch.bagsAfter(), Math::max));
        return done;
    }
}
