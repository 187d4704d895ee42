package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import mardun.core.making.ChangeTimes;
import mardun.core.making.SetUp;
import mardun.core.making.Standing;
import mardun.core.making.Station;
import mardun.core.making.Workplace;
import mardun.core.planning.DayPlan.Stretch;
import mardun.core.planning.Job.Task;
import mardun.core.planning.WorkClock.Place;

/**
 * Lays jobs on free time. What is wanted first comes first, unless the maker puts something before it, and each job's tasks come in their order. While something dries, what
 * else can be done is done, if that takes less changing of machines than the waiting would take; nights and days without free time
 * cost no waiting. Work stops for a day between two bags; only a bag that takes longer than a whole day is left half done. What a
 * task takes once covers the changes it needs; where those take longer, they count. What is on a machine in the evening is on it in
 * the morning. Of a job that is put away at night, tasks after which it can't be are begun only if what lets it be put away again is
 * done on the same day; where no day is long enough for that, in the morning.
 */
public final class DayPlanner {

    /** How far is planned. */
    public static final int FARTHEST_DAYS = 366;

    private static final long NEVER = Long.MAX_VALUE;
    private static final int NONE = -1;

    private final List<Job> jobs;
    private final LocalDate today;
    private final WorkClock clock;
    private final int people;
    private final SetUp.Part[] parts = SetUp.Part.values();
    private final long[] changing = new long[parts.length];
    private final List<Workplace> places = new ArrayList<>(List.of(Workplace.of(Station.CUTTING_TABLE)));
    private final int[] where;
    private final long[][] walk;
    private final int[] begin;
    private final Task[] tasks;
    private final int[] jobOf;
    private final int[][] after;
    /** The parts of its set-up that each task needs, and what it needs on each of them. */
    private final int[][] needed;

    private final int[][] values;
    private final int[][] start;
    private final long[] passive;
    private final long[] notBefore;
    private final long[] sewing;
    private final long[] once;

    /** The last of the tasks that are done on the same day as this one, so that its job can be put away; mostly itself. */
    private final int[] untilPutAway;

    /**
     * Prepares the laying of jobs.
     *
     * @param jobs each with a key of its own
     * @param standing what is on each machine now
     * @param today the first day
     */
    public DayPlanner(List<Job> jobs, FreeTime free, ChangeTimes times, Standing standing, LocalDate today) {
        this.jobs = jobs.stream()
                .sorted(Comparator.comparing(Job::isFirst)
                        .reversed()
                        .thenComparing(job -> job.due().orElse(LocalDate.MAX)))
                .toList();
        this.today = today;
        clock = new WorkClock(free, today, FARTHEST_DAYS);
        people = free.people();
        for (SetUp.Part part : parts) {
            changing[part.ordinal()] = times.of(part).toSeconds();
        }
        int count = this.jobs.stream().mapToInt(job -> job.tasks().size()).sum();
        begin = new int[this.jobs.size() + 1];
        tasks = new Task[count];
        jobOf = new int[count];
        after = new int[count][];
        where = new int[count];
        needed = new int[count][];
        values = new int[count][];
        passive = new long[count];
        notBefore = new long[this.jobs.size()];
        sewing = new long[count];
        once = new long[count];
        Map<String, Integer> known = new HashMap<>();
        int next = 0;
        for (int job = 0; job < this.jobs.size(); job++) {
            Job its = this.jobs.get(job);
            begin[job] = next;
            notBefore[job] = its.notBefore().map(clock::beginOf).orElse(0L);
            for (Task task : its.tasks()) {
                int first = begin[job];
                tasks[next] = task;
                jobOf[next] = job;
                where[next] = number(task.at());
                after[next] = task.after().stream().mapToInt(one -> first + one).toArray();
                passive[next] = task.passive().toSeconds();
                sewing[next] = task.sewing().toSeconds();
                once[next] = task.once().toSeconds();
                int[] all = new int[parts.length];
                number(task.setUp(), all, known);
                needed[next] = IntStream.range(0, parts.length)
                        .filter(part -> all[part] != 0)
                        .toArray();
                values[next] =
                        Arrays.stream(needed[next]).map(part -> all[part]).toArray();
                next++;
            }
        }
        begin[this.jobs.size()] = next;
        untilPutAway = IntStream.range(0, count).toArray();
        for (int task = count - 1; task >= 0; task--) {
            if (this.jobs.get(jobOf[task]).putsAway()) {
                int first = begin[jobOf[task]];
                untilPutAway[task] = PutAway.follower(this.jobs.get(jobOf[task]).tasks(), task - first)
                        .map(follower -> untilPutAway[first + follower])
                        .orElse(task);
            }
        }
        start = new int[places.size()][parts.length];
        for (int place = 0; place < start.length; place++) {
            number(standing.at(places.get(place)), start[place], known);
        }
        walk = new long[places.size()][places.size()];
        for (int from = 0; from < walk.length; from++) {
            for (int to = 0; to < walk.length; to++) {
                walk[from][to] = times.between(places.get(from), places.get(to)).toSeconds();
            }
        }
    }

    /** What a set-up says of each part, as numbers from 1; 0 for nothing. */
    private static void number(SetUp setUp, int[] numbers, Map<String, Integer> known) {
        setUp.on()
                .forEach((part, text) -> numbers[part.ordinal()] =
                        known.computeIfAbsent(part + " " + SetUp.plain(text), its -> known.size() + 1));
    }

    private int number(Workplace place) {
        if (!places.contains(place)) {
            places.add(place);
        }
        return places.indexOf(place);
    }

    /** Lays them. */
    public DayPlan lay() {
        List<Stretch> stretches = new ArrayList<>();
        long[] ends = new Run(sewing, once, notBefore, NONE, Optional.of(stretches)).ends();
        Map<String, LocalDate> ready = new HashMap<>();
        for (int job = 0; job < jobs.size(); job++) {
            if (ends[job] != NEVER) {
                ready.put(jobs.get(job).key(), clock.dayOf(ends[job]));
            }
        }
        stretches.sort(Comparator.comparing(Stretch::from).thenComparing(Stretch::worker));
        return new DayPlan(stretches, ready);
    }

    /** The jobs in the order in which they come first. */
    List<Job> jobs() {
        return jobs;
    }

    LocalDate today() {
        return today;
    }

    /** All tasks, job after job. */
    List<Task> tasks() {
        return List.of(tasks);
    }

    /** Lays them with other times for the tasks; answers on which day from today on each job is done, {@link #FARTHEST_DAYS} for never. */
    int[] days(long[] otherSewing, long[] otherOnce) {
        return days(new Run(otherSewing, otherOnce, notBefore, NONE, Optional.empty()));
    }

    /** The same where one of the jobs isn't begun before a day, counted from today on. */
    int[] daysFrom(int job, int day) {
        long[] others = notBefore.clone();
        others[job] = Math.max(others[job], WorkClock.DAY * day);
        return days(new Run(sewing, once, others, NONE, Optional.empty()));
    }

    /** The same without one of the jobs. */
    int[] daysWithout(int job) {
        return days(new Run(sewing, once, notBefore, job, Optional.empty()));
    }

    private static int[] days(Run run) {
        return Arrays.stream(run.ends())
                .mapToInt(end -> end == NEVER ? FARTHEST_DAYS : (int) (end / WorkClock.DAY))
                .toArray();
    }

    /** One laying. */
    private final class Run {

        private final long[] sewing;
        private final long[] once;
        private final long[] notBefore;
        private final int without;
        private final Optional<List<Stretch>> stretches;
        private final Place[] at = new Place[people];
        private final int[] standing = new int[people];
        private final int[][] on = Arrays.stream(start).map(int[]::clone).toArray(int[][]::new);
        private final long[] busyUntil = new long[places.size()];

        /** When what comes after a task can begin; nothing where it wasn't begun yet. */
        private final long[] dry;

        private final int[] head;
        private int firstOpen;

        /** For each who works the task until whose end there is no stopping for the day, or none. */
        private final int[] goingOnUntil = new int[people];

        /** What is wanted first can be begun, but not put away today. */
        private boolean waitsForTomorrow;

        /**
         * Prepares a laying.
         *
         * @param without the job that is left out, or none
         * @param stretches where what is laid is written down; empty where nobody wants to know
         */
        Run(long[] sewing, long[] once, long[] notBefore, int without, Optional<List<Stretch>> stretches) {
            this.sewing = sewing;
            this.once = once;
            this.notBefore = notBefore;
            this.without = without;
            this.stretches = stretches;
            dry = new long[tasks.length];
            Arrays.fill(dry, NEVER);
            head = Arrays.copyOf(begin, jobs.size());
            if (without != NONE) {
                head[without] = begin[without + 1];
            }
            Arrays.fill(at, clock.start());
            Arrays.fill(goingOnUntil, NONE);
        }

        /** When each job is done, with all that has to dry; never where the time isn't enough. */
        long[] ends() {
            while (true) {
                while (firstOpen < jobs.size() && head[firstOpen] == begin[firstOpen + 1]) {
                    firstOpen++;
                }
                int worker = people == 2 && at[1].moment() < at[0].moment() ? 1 : 0;
                if (firstOpen == jobs.size() || clock.isOver(at[worker])) {
                    break;
                }
                long now = at[worker].moment();
                int task = next(worker, now);
                if (task < 0) {
                    at[worker] = waitsForTomorrow ? clock.nextDay(at[worker]) : clock.at(nextMoment(now));
                } else {
                    place(task, worker);
                }
            }
            long[] ends = new long[jobs.size()];
            for (int job = 0; job < jobs.size(); job++) {
                for (int task = begin[job]; task < begin[job + 1] && job != without; task++) {
                    ends[job] = Math.max(ends[job], dry[task]);
                }
            }
            return ends;
        }

        /** The first task that isn't begun is done next; while it waits, another that is worth it, or none (-1). */
        private int next(int worker, long now) {
            waitsForTomorrow = false;
            int going = goingOn(worker);
            if (going != NONE && ready(going) <= now) {
                return going;
            }
            int wanted = head[firstOpen];
            long ready = ready(wanted);
            if (ready <= now && canBePutAway(wanted, worker)) {
                return wanted;
            }
            if (ready <= now) {
                waitsForTomorrow = true;
                ready = clock.nextDay(at[worker]).moment();
            }
            long waiting = clock.worked(at[worker], ready);
            for (int job = firstOpen; job < jobs.size(); job++) {
                for (int task = head[job]; task < begin[job + 1]; task++) {
                    if (dry[task] == NEVER
                            && ready(task) <= now
                            && detour(task, wanted) < waiting
                            && canBePutAway(task, worker)) {
                        return task;
                    }
                }
            }
            return -1;
        }

        /** The next of the tasks between which somebody doesn't stop for the day; none where it may be stopped. */
        private int goingOn(int worker) {
            int last = goingOnUntil[worker];
            if (last == NONE) {
                return NONE;
            }
            for (int task = begin[jobOf[last]]; task <= last; task++) {
                if (dry[task] == NEVER) {
                    return task;
                }
            }
            goingOnUntil[worker] = NONE;
            return NONE;
        }

        /** Whether a task and what must follow it, so that its job can be put away, are done today; in the morning they are begun anyhow. */
        private boolean canBePutAway(int task, int worker) {
            int last = untilPutAway[task];
            if (last == task || clock.isFresh(at[worker])) {
                return true;
            }
            int[][] then = Arrays.stream(on).map(int[]::clone).toArray(int[][]::new);
            int here = standing[worker];
            long takes = 0;
            for (int one = task; one <= last; one++) {
                if (dry[one] == NEVER) {
                    int there = where[one];
                    takes += Math.max(once[one], changes(one, then[there]) + walk[here][there]) + sewing[one];
                    takes += one < last ? passive[one] : 0;
                    putOn(one, then[there]);
                    here = there;
                }
            }
            return takes <= clock.leftOfDay(at[worker]);
        }

        /** The next moment at which something becomes possible. */
        private long nextMoment(long now) {
            long next = NEVER;
            for (int job = firstOpen; job < jobs.size(); job++) {
                for (int task = head[job]; task < begin[job + 1]; task++) {
                    if (dry[task] == NEVER) {
                        long ready = ready(task);
                        if (ready > now) {
                            next = Math.min(next, ready);
                        }
                    }
                }
            }
            return next;
        }

        /** When a task can be begun; never as long as something before it isn't begun. */
        private long ready(int task) {
            long ready = Math.max(notBefore[jobOf[task]], busyUntil[where[task]]);
            for (int before : after[task]) {
                ready = Math.max(ready, dry[before]);
            }
            return ready;
        }

        /** What more is changed if a task is done before the one that is wanted and those of its job after it. */
        private long detour(int task, int wanted) {
            int[] mine = on[where[task]];
            long there = changes(task, mine);
            int next = wanted;
            while (next < begin[jobOf[wanted] + 1] && (dry[next] != NEVER || where[next] != where[task])) {
                next++;
            }
            if (next == begin[jobOf[wanted] + 1] || next == task) {
                return there;
            }
            int[] then = mine.clone();
            putOn(task, then);
            return there + changes(next, then) - changes(next, mine);
        }

        private long changes(int task, int[] state) {
            long seconds = 0;
            int[] its = needed[task];
            int[] mine = values[task];
            for (int i = 0; i < its.length; i++) {
                if (mine[i] != state[its[i]]) {
                    seconds += changing[its[i]];
                }
            }
            return seconds;
        }

        private void putOn(int task, int[] state) {
            int[] its = needed[task];
            for (int i = 0; i < its.length; i++) {
                state[its[i]] = values[task][i];
            }
        }

        private List<SetUp.Part> changed(int task, int[] state) {
            List<SetUp.Part> changed = new ArrayList<>();
            for (int i = 0; i < needed[task].length; i++) {
                if (values[task][i] != state[needed[task][i]]) {
                    changed.add(parts[needed[task][i]]);
                }
            }
            return changed;
        }

        private void place(int task, int worker) {
            int there = where[task];
            List<SetUp.Part> changed = stretches.isEmpty() ? List.of() : changed(task, on[there]);
            long preparing = Math.max(once[task], changes(task, on[there]) + walk[standing[worker]][there]);
            putOn(task, on[there]);
            standing[worker] = there;
            int bags = tasks[task].bags();
            double each = (double) sewing[task] / bags;
            long all = preparing + sewing[task];
            long done = 0;
            int bagsDone = 0;
            Place place = at[worker];
            while (done < all && !clock.isOver(place)) {
                long now = today(all - done, done, preparing, each, place);
                if (now == 0) {
                    place = clock.nextDay(place);
                    continue;
                }
                Place end = clock.after(place, now);
                done += now;
                int bagsNow = done >= all ? bags : whole(done - preparing, each);
                if (stretches.isPresent()) {
                    stretches
                            .get()
                            .add(new Stretch(
                                    jobs.get(jobOf[task]).key(),
                                    task - begin[jobOf[task]],
                                    worker,
                                    clock.timeOf(place.moment()),
                                    clock.timeOf(end.moment()),
                                    Duration.ofSeconds(now),
                                    bagsDone,
                                    bagsNow,
                                    done <= preparing && bagsNow == 0,
                                    changed));
                    changed = List.of();
                }
                bagsDone = bagsNow;
                place = end;
                if (done < all) {
                    place = clock.nextDay(place);
                }
            }
            boolean isDone = done >= all;
            dry[task] = isDone ? place.moment() + passive[task] : NEVER;
            busyUntil[there] = isDone ? place.moment() : NEVER;
            at[worker] = isDone ? clock.settled(place) : place;
            if (untilPutAway[task] != task) {
                goingOnUntil[worker] = untilPutAway[task];
            }
            if (isDone) {
                int job = jobOf[task];
                while (head[job] < begin[job + 1] && dry[head[job]] != NEVER) {
                    head[job]++;
                }
            }
        }

        /** How much of a task is done today: all that is left of it, or whole bags. */
        private long today(long left, long done, long preparing, double each, Place place) {
            long room = clock.leftOfDay(place);
            if (left <= room) {
                return left;
            }
            long untilBag = preparing + Math.round(whole(done + room - preparing, each) * each) - done;
            if (untilBag > 0) {
                return Math.min(untilBag, room);
            }
            return clock.isFresh(place) ? room : 0;
        }

        /** How many whole bags are done in a time, to the second. */
        private static int whole(long seconds, double each) {
            return each <= 0 || seconds <= 0 ? 0 : (int) Math.floor((seconds + 0.5) / each);
        }
    }
}
