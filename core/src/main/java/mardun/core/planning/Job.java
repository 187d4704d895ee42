package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import mardun.core.making.SetUp;
import mardun.core.making.Station;
import mardun.core.making.WorkOrder;
import mardun.core.making.Workplace;

/**
 * What is to be laid on days of one batch.
 *
 * @param key the caller's name for it
 * @param isFirst it comes before all that isn't, whatever day it is wanted
 * @param due the day by which it is wanted
 * @param notBefore the first day on which it may be begun; empty for today
 * @param tasks in the order in which they are done
 * @param putsAway work on it stops for the day only where what is half made can be put away, if a day is long enough for that
 */
public record Job(
        String key,
        boolean isFirst,
        Optional<LocalDate> due,
        Optional<LocalDate> notBefore,
        List<Task> tasks,
        boolean putsAway) {

    /**
     * Something that is done for some bags at one place.
     *
     * @param setUp what it needs on the machine
     * @param bags for how many it is done, at least one; work stops for the day between two of them
     * @param sewing hands-on time for all of them
     * @param once hands-on time that is spent once, the set-up with it
     * @param passive time that needs no hands after it, before what comes after it can begin
     * @param after the places in the list of what must be done before it
     * @param spread how far its true time usually is from the estimate, as a share of it
     * @param goesOn what is half made can't be put away after it
     */
    public record Task(
            Workplace at,
            SetUp setUp,
            int bags,
            Duration sewing,
            Duration once,
            Duration passive,
            List<Integer> after,
            double spread,
            boolean goesOn) {

        /** A task after which what is half made can be put away. */
        public Task(
                Workplace at,
                SetUp setUp,
                int bags,
                Duration sewing,
                Duration once,
                Duration passive,
                List<Integer> after,
                double spread) {
            this(at, setUp, bags, sewing, once, passive, after, spread, false);
        }

        public Task {
            after = List.copyOf(after);
            if (bags < 1) {
                throw new IllegalArgumentException("a task is done for at least one bag: " + bags);
            }
            if (sewing.isNegative() || once.isNegative() || passive.isNegative()) {
                throw new IllegalArgumentException("a time can't be negative");
            }
        }

        /** Hands-on time. */
        public Duration time() {
            return sewing.plus(once);
        }
    }

    public Job {
        tasks = List.copyOf(tasks);
    }

    /** A job that stops wherever the day ends. */
    public Job(String key, boolean isFirst, Optional<LocalDate> due, Optional<LocalDate> notBefore, List<Task> tasks) {
        this(key, isFirst, due, notBefore, tasks, false);
    }

    /**
     * The work of a batch in its order.
     *
     * @param may which turns can be done; what comes after one that can't must not be among them
     */
    public static Job of(String key, Optional<LocalDate> due, WorkOrder.Ordered order, Predicate<WorkOrder.Turn> may) {
        List<Task> tasks = new ArrayList<>();
        Map<Integer, Integer> places = new HashMap<>();
        for (int i = 0; i < order.turns().size(); i++) {
            WorkOrder.Turn turn = order.turns().get(i);
            if (!may.test(turn)) {
                continue;
            }
            places.put(i, tasks.size());
            tasks.add(new Task(
                    turn.at(),
                    turn.setUp(),
                    turn.operation().units(),
                    turn.operation().sewing(),
                    turn.once(),
                    turn.operation().passive(),
                    order.after().get(i).stream().map(places::get).toList(),
                    turn.operation().timing().spread(),
                    turn.operation().goesOn()));
        }
        return new Job(key, false, due, Optional.empty(), tasks);
    }

    /** Work of which only its hours are known. */
    public static Job ofHours(String key, Duration hours, Optional<LocalDate> due) {
        int minutes = Math.toIntExact(Math.max(1, hours.toMinutes()));
        return new Job(
                key,
                false,
                due,
                Optional.empty(),
                hours.isZero()
                        ? List.of()
                        : List.of(new Task(
                                Workplace.of(Station.WORK_TABLE),
                                SetUp.NONE,
                                minutes,
                                hours,
                                Duration.ZERO,
                                Duration.ZERO,
                                List.of(),
                                0)));
    }

    /** The same, before all others or in its turn. */
    public Job first(boolean first) {
        return new Job(key, first, due, notBefore, tasks, putsAway);
    }

    /** The same, where work stops for the day only if what is half made can be put away, or wherever the day ends. */
    public Job puttingAway(boolean on) {
        return new Job(key, isFirst, due, notBefore, tasks, on);
    }

    /** Hands-on time of all of it. */
    public Duration time() {
        return tasks.stream().map(Task::time).reduce(Duration.ZERO, Duration::plus);
    }

    /** Whether a day is after the one by which it is wanted; work that is never done is late. */
    public boolean isLate(Optional<LocalDate> ready) {
        return due.filter(day -> ready.isEmpty() || ready.get().isAfter(day)).isPresent();
    }
}
