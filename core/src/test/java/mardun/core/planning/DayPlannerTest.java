package mardun.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.making.ChangeTimes;
import mardun.core.making.SetUp;
import mardun.core.making.Standing;
import mardun.core.making.Station;
import mardun.core.making.Workplace;
import mardun.core.planning.DayPlan.Stretch;
import mardun.core.planning.Job.Task;
import org.junit.jupiter.api.Test;

/** Jobs on free days. */
class DayPlannerTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final ChangeTimes NOTHING = new ChangeTimes(Map.of(), Duration.ZERO, Duration.ZERO);

    private static FreeTime hours(int each) {
        return FreeTime.of(Arrays.stream(DayOfWeek.values())
                .collect(Collectors.toMap(Function.identity(), day -> Duration.ofHours(each))));
    }

    private static Task task(int bags, int minutesEach, int passive, Integer... after) {
        return task(SetUp.NONE, bags, minutesEach, passive, after);
    }

    private static Task task(SetUp setUp, int bags, int minutesEach, int passive, Integer... after) {
        return new Task(
                Workplace.of(Station.MACHINE),
                setUp,
                bags,
                Duration.ofMinutes((long) bags * minutesEach),
                Duration.ZERO,
                Duration.ofMinutes(passive),
                List.of(after),
                0);
    }

    private static Job job(String key, LocalDate due, Task... tasks) {
        return new Job(key, false, Optional.ofNullable(due), Optional.empty(), List.of(tasks));
    }

    private static DayPlan lay(FreeTime free, Job... jobs) {
        return new DayPlanner(List.of(jobs), free, NOTHING, Standing.UNKNOWN, MONDAY).lay();
    }

    @Test
    void whatIsWantedFirstComesFirstAndADayIsFilledBeforeTheNext() {
        DayPlan plan = lay(
                hours(3),
                job("without a day", null, task(4, 30, 0)),
                job("later", MONDAY.plusDays(9), task(4, 30, 0)),
                job("sooner", MONDAY.plusDays(4), task(8, 30, 0)));
        assertThat(plan.ready())
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        "sooner",
                        MONDAY.plusDays(1),
                        "later",
                        MONDAY.plusDays(1),
                        "without a day",
                        MONDAY.plusDays(2)));
        assertThat(plan.on(MONDAY)).isEqualTo(Duration.ofHours(3));
        assertThat(plan.after("later", MONDAY)).isEqualTo(Duration.ofHours(2));
    }

    @Test
    void whatTheMakerPutsFirstComesBeforeWhatIsWantedSooner() {
        DayPlan plan = lay(
                hours(2),
                job("sooner", MONDAY, task(4, 30, 0)),
                job("first", null, task(4, 30, 0)).first(true));
        assertThat(plan.ready()).containsEntry("first", MONDAY).containsEntry("sooner", MONDAY.plusDays(1));
    }

    @Test
    void workStopsForTheDayBetweenTwoBags() {
        DayPlan plan = lay(hours(1), job("bags", null, task(3, 25, 0)));
        assertThat(plan.stretches())
                .extracting(Stretch::day, Stretch::bagsBefore, Stretch::bagsAfter, Stretch::hands)
                .containsExactly(
                        tuple(MONDAY, 0, 2, Duration.ofMinutes(50)),
                        tuple(MONDAY.plusDays(1), 2, 3, Duration.ofMinutes(25)));
    }

    @Test
    void aBagThatTakesLongerThanADayIsLeftHalfDone() {
        DayPlan plan = lay(hours(1), job("a big bag", null, task(1, 150, 0)));
        assertThat(plan.stretches())
                .extracting(Stretch::hands)
                .containsExactly(Duration.ofHours(1), Duration.ofHours(1), Duration.ofMinutes(30));
        assertThat(plan.ready("a big bag")).contains(MONDAY.plusDays(2));
    }

    private static Task loose(int bags, int minutesEach, Integer... after) {
        Task task = task(bags, minutesEach, 0, after);
        return new Task(
                task.at(),
                task.setUp(),
                task.bags(),
                task.sewing(),
                task.once(),
                task.passive(),
                task.after(),
                0,
                true);
    }

    /** Turned and filled on Monday the bags would lie open overnight; they are, and closed, on Tuesday. */
    @Test
    void whatCantBePutAwayIsBegunWhenItCanBeFinishedThatDay() {
        Job filled = job("filled", null, task(4, 30, 0), loose(4, 10, 0), task(4, 15, 0, 1));
        DayPlan anywhere = lay(hours(3), filled);
        assertThat(PutAway.notPutAway(List.of(filled), anywhere))
                .containsExactly(new PutAway.Evening(MONDAY, "filled", 1, 3));
        DayPlan putAway = lay(hours(3), filled.puttingAway(true));
        assertThat(PutAway.notPutAway(List.of(filled), putAway)).isEmpty();
        assertThat(putAway.stretches())
                .extracting(Stretch::task, Stretch::day)
                .containsExactly(tuple(0, MONDAY), tuple(1, MONDAY.plusDays(1)), tuple(2, MONDAY.plusDays(1)));
    }

    @Test
    void whatIsLeftOfADayIsUsedForOtherWork() {
        DayPlan plan = lay(
                hours(3),
                job("filled", MONDAY.plusDays(3), task(4, 30, 0), loose(4, 10, 0), task(4, 15, 0, 1))
                        .puttingAway(true),
                job("other", null, task(2, 20, 0)));
        assertThat(plan.stretches()).extracting(Stretch::job).containsExactly("filled", "other", "filled", "filled");
        assertThat(plan.ready("other")).contains(MONDAY);
    }

    /** Where each evening has room for what must be done in one go, nothing ever lies there half made; by one person, whatever else is to be done. */
    @Test
    void nothingLiesHalfMadeWhereADayIsLongEnough() {
        Random random = new Random(12);
        for (int round = 0; round < 200; round++) {
            List<Job> jobs = new ArrayList<>();
            for (int number = 0; number < 1 + random.nextInt(4); number++) {
                List<Task> tasks = new ArrayList<>();
                for (int task = 0; task < 2 + random.nextInt(6); task++) {
                    int bags = 1 + random.nextInt(6);
                    Integer[] after = task == 0 ? new Integer[0] : new Integer[] {task - 1};
                    boolean goesOn = random.nextInt(3) == 0;
                    int minutes = 1 + random.nextInt(4);
                    tasks.add(goesOn ? loose(bags, minutes, after) : task(bags, minutes, 0, after));
                }
                jobs.add(new Job(
                        "job " + number,
                        false,
                        random.nextBoolean() ? Optional.empty() : Optional.of(MONDAY.plusDays(random.nextInt(9))),
                        Optional.empty(),
                        tasks,
                        true));
            }
            FreeTime free = hours(3);
            DayPlan plan = new DayPlanner(jobs, free, NOTHING, Standing.UNKNOWN, MONDAY).lay();
            assertThat(PutAway.notPutAway(jobs, plan)).as("round %d", round).isEmpty();
            check(plan, jobs, free);
        }
    }

    /** No day is long enough: the bags are begun in the morning, and it is said how many lie there in the evening. */
    @Test
    void whatNeverFitsADayIsBegunInTheMorning() {
        Job filled = job("filled", null, task(4, 15, 0), loose(8, 10, 0), task(8, 25, 0, 1))
                .puttingAway(true);
        DayPlan plan = lay(hours(2), filled);
        assertThat(plan.stretches().get(1).day()).isEqualTo(MONDAY.plusDays(1));
        assertThat(PutAway.notPutAway(List.of(filled), plan))
                .containsExactly(
                        new PutAway.Evening(MONDAY.plusDays(1), "filled", 1, 7),
                        new PutAway.Evening(MONDAY.plusDays(2), "filled", 1, 3));
    }

    @Test
    void glueDriesAtNightAndWhileOtherWorkIsDone() {
        DayPlan overnight = lay(hours(1), job("glued", null, task(1, 60, 600), task(1, 30, 0, 0)));
        assertThat(overnight.ready("glued")).contains(MONDAY.plusDays(1));
        DayPlan meanwhile = lay(
                hours(8), job("glued", MONDAY, task(1, 60, 60), task(1, 30, 0, 0)), job("other", null, task(1, 45, 0)));
        assertThat(meanwhile.stretches()).extracting(Stretch::job).containsExactly("glued", "other", "glued");
        assertThat(meanwhile.stretches().get(2).from()).isEqualTo(MONDAY.atTime(11, 0));
    }

    /** Waiting two minutes is cheaper than changing needle and thread there and back. */
    @Test
    void nothingIsTakenInBetweenThatCostsMoreThanTheWaiting() {
        SetUp navy = SetUp.of("80", "navy", "", "");
        SetUp white = SetUp.of("100", "white", "", "");
        List<Job> jobs = List.of(
                job("glued", MONDAY, task(navy, 1, 60, 2), task(navy, 1, 30, 0, 0)),
                job("other", null, task(white, 1, 45, 0)));
        DayPlan plan = new DayPlanner(jobs, hours(8), ChangeTimes.USUAL, Standing.UNKNOWN, MONDAY).lay();
        assertThat(plan.stretches()).extracting(Stretch::job).containsExactly("glued", "glued", "other");
        assertThat(plan.stretches().get(1).changes()).isEmpty();
        assertThat(plan.stretches().get(2).changes()).containsExactly(SetUp.Part.NEEDLE, SetUp.Part.THREAD);
    }

    @Test
    void aSetUpThatIsKeptOvernightCostsNothingInTheMorning() {
        SetUp navy = SetUp.of("80", "navy", "", "");
        List<Job> jobs = List.of(job("navy", null, task(navy, 2, 50, 0), task(navy, 1, 50, 0, 0)));
        ChangeTimes slow = new ChangeTimes(
                Map.of(SetUp.Part.NEEDLE, Duration.ofMinutes(5), SetUp.Part.THREAD, Duration.ofMinutes(5)),
                Duration.ZERO,
                Duration.ZERO);
        DayPlan plan = new DayPlanner(jobs, hours(1), slow, Standing.UNKNOWN, MONDAY).lay();
        assertThat(plan.stretches())
                .extracting(Stretch::hands)
                .containsExactly(Duration.ofMinutes(60), Duration.ofMinutes(50), Duration.ofMinutes(50));
    }

    @Test
    void aWeekAwayHasNoWorkAndALongSaturdayHasMore() {
        FreeTime free = hours(1);
        for (int day = 1; day < 5; day++) {
            free = free.with(MONDAY.plusDays(day), Duration.ZERO);
        }
        free = free.with(MONDAY.plusDays(5), Duration.ofHours(6));
        DayPlan plan = lay(free, job("bags", null, task(7, 60, 0)));
        assertThat(plan.stretches()).extracting(Stretch::day).containsExactly(MONDAY, MONDAY.plusDays(5));
    }

    @Test
    void pausesPreparingAndClearingUpAreNotWorked() {
        FreeTime free = new FreeTime(
                hours(3).usual(),
                Map.of(),
                LocalTime.of(18, 0),
                Duration.ofMinutes(60),
                Duration.ofMinutes(15),
                Duration.ofMinutes(10),
                Duration.ofMinutes(5),
                1);
        assertThat(free.worked(MONDAY)).isEqualTo(Duration.ofMinutes(60 + 60 + 15));
        DayPlan plan = lay(free, job("bags", null, task(9, 15, 0)));
        assertThat(plan.ready("bags")).contains(MONDAY);
        Stretch stretch = plan.stretches().get(0);
        assertThat(stretch.from()).isEqualTo(MONDAY.atTime(18, 10));
        assertThat(stretch.to()).isEqualTo(MONDAY.atTime(20, 55));
    }

    @Test
    void withoutAFreeHourNothingIsEverReady() {
        DayPlan plan = lay(FreeTime.of(Map.of()), job("bags", MONDAY, task(1, 15, 0)));
        assertThat(plan.ready()).isEmpty();
        assertThat(plan.stretches()).isEmpty();
        assertThat(job("bags", MONDAY, task(1, 15, 0)).isLate(plan.ready("bags")))
                .isTrue();
    }

    @Test
    void aDayThatIsOnlyLongEnoughToPrepareIsNoDay() {
        FreeTime free = new FreeTime(
                Map.of(DayOfWeek.MONDAY, Duration.ofMinutes(10)),
                Map.of(),
                LocalTime.NOON,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ofMinutes(5),
                Duration.ofMinutes(5),
                1);
        assertThat(free.worked(MONDAY)).isZero();
    }

    @Test
    void twoPeopleShareWhatDoesNotWait() {
        FreeTime two = new FreeTime(
                hours(2).usual(),
                Map.of(),
                LocalTime.NOON,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                2);
        Task sew = task(2, 60, 0);
        Task press = new Task(
                Workplace.of(Station.PRESS),
                SetUp.NONE,
                2,
                Duration.ofMinutes(120),
                Duration.ZERO,
                Duration.ZERO,
                List.of(),
                0);
        assertThat(lay(two, job("both", null, sew, press)).ready("both")).contains(MONDAY);
        assertThat(lay(two, job("one machine", null, sew, sew)).ready("one machine"))
                .contains(MONDAY.plusDays(1));
    }

    @Test
    void twoPeopleSewAtTwoMachinesAtOnce() {
        FreeTime two = new FreeTime(
                hours(3).usual(),
                Map.of(),
                hours(3).begins(),
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                2);
        List<Task> tasks = Stream.of("1", "2")
                .map(key -> new Task(
                        new Workplace(key, Station.MACHINE, "machine " + key),
                        SetUp.NONE,
                        2,
                        Duration.ofMinutes(120),
                        Duration.ZERO,
                        Duration.ZERO,
                        List.of(),
                        0))
                .toList();
        assertThat(lay(two, job("both", null, tasks.get(0), tasks.get(1))).ready("both"))
                .contains(MONDAY);
    }

    @Test
    void neverIsAnHourUsedTwiceAPersonInTwoPlacesOrAnythingBeforeItsTime() {
        Random random = new Random(11);
        for (int room = 0; room < 300; room++) {
            FreeTime free = randomTime(random);
            List<Job> jobs = randomJobs(random);
            DayPlan plan = new DayPlanner(jobs, free, ChangeTimes.USUAL, Standing.UNKNOWN, MONDAY).lay();
            check(plan, jobs, free);
        }
    }

    private static FreeTime randomTime(Random random) {
        Map<DayOfWeek, Duration> usual = new HashMap<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            usual.put(day, Duration.ofMinutes(random.nextInt(4) == 0 ? 0 : 30 + random.nextInt(400)));
        }
        Map<LocalDate, Duration> others = new HashMap<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            others.put(MONDAY.plusDays(random.nextInt(14)), Duration.ofMinutes(random.nextInt(500)));
        }
        return new FreeTime(
                usual,
                others,
                LocalTime.of(9 + random.nextInt(6), 0),
                Duration.ofMinutes(random.nextBoolean() ? 0 : 45 + random.nextInt(60)),
                Duration.ofMinutes(random.nextInt(20)),
                Duration.ofMinutes(random.nextInt(10)),
                Duration.ofMinutes(random.nextInt(10)),
                1 + random.nextInt(2));
    }

    private static List<Job> randomJobs(Random random) {
        List<Job> jobs = new ArrayList<>();
        for (int number = 0; number < 1 + random.nextInt(4); number++) {
            List<Task> tasks = new ArrayList<>();
            for (int task = 0; task < random.nextInt(8); task++) {
                List<Integer> after = new ArrayList<>();
                for (int before = 0; before < task; before++) {
                    if (random.nextInt(3) == 0) {
                        after.add(before);
                    }
                }
                int bags = 1 + random.nextInt(20);
                tasks.add(new Task(
                        Workplace.of(Station.values()[random.nextInt(Station.values().length)]),
                        SetUp.of(random.nextBoolean() ? "" : "80", random.nextBoolean() ? "navy" : "rust", "", ""),
                        bags,
                        Duration.ofSeconds(random.nextInt(40 * 60)),
                        Duration.ofSeconds(random.nextInt(900)),
                        Duration.ofMinutes(random.nextInt(3) == 0 ? random.nextInt(300) : 0),
                        after,
                        0,
                        random.nextInt(4) == 0));
            }
            jobs.add(new Job(
                    "job " + number,
                    random.nextInt(4) == 0,
                    random.nextBoolean() ? Optional.empty() : Optional.of(MONDAY.plusDays(random.nextInt(20))),
                    random.nextInt(4) > 0 ? Optional.empty() : Optional.of(MONDAY.plusDays(random.nextInt(5))),
                    tasks,
                    random.nextBoolean()));
        }
        return jobs;
    }

    private static void check(DayPlan plan, List<Job> jobs, FreeTime free) {
        Map<Integer, LocalDateTime> workerUntil = new HashMap<>();
        Map<Workplace, LocalDateTime> placeUntil = new HashMap<>();
        Map<String, LocalDateTime> dry = new HashMap<>();
        Map<String, Duration> hands = new HashMap<>();
        Map<String, Job> byKey = jobs.stream().collect(Collectors.toMap(Job::key, Function.identity()));
        for (Stretch stretch : plan.stretches()) {
            Job job = byKey.get(stretch.job());
            Task task = job.tasks().get(stretch.task());
            String key = stretch.job() + "/" + stretch.task();
            assertThat(stretch.from())
                    .isAfterOrEqualTo(workerUntil.getOrDefault(stretch.worker(), MONDAY.atStartOfDay()));
            workerUntil.put(stretch.worker(), stretch.to());
            assertThat(stretch.from()).isAfterOrEqualTo(placeUntil.getOrDefault(task.at(), MONDAY.atStartOfDay()));
            placeUntil.put(task.at(), stretch.to());
            job.notBefore().ifPresent(day -> assertThat(stretch.day()).isAfterOrEqualTo(day));
            task.after()
                    .forEach(before ->
                            assertThat(stretch.from()).isAfterOrEqualTo(dry.get(stretch.job() + "/" + before)));
            if (stretch.bagsAfter() == task.bags()) {
                dry.put(key, stretch.to().plus(task.passive()));
            }
            LocalDateTime begin = stretch.day().atTime(free.begins());
            assertThat(stretch.from()).isAfterOrEqualTo(begin.plus(free.preparing()));
            assertThat(stretch.to())
                    .isBeforeOrEqualTo(begin.plus(free.on(stretch.day())).minus(free.clearing()));
            assertThat(stretch.bagsAfter()).isBetween(stretch.bagsBefore(), task.bags());
            hands.merge(key, stretch.hands(), Duration::plus);
        }
        for (LocalDate day = MONDAY; day.isBefore(MONDAY.plusDays(40)); day = day.plusDays(1)) {
            assertThat(plan.on(day)).isLessThanOrEqualTo(free.worked(day).multipliedBy(free.people()));
        }
        for (Job job : jobs) {
            assertThat(plan.ready()).containsKey(job.key());
            for (int i = 0; i < job.tasks().size(); i++) {
                Task task = job.tasks().get(i);
                Duration done = hands.getOrDefault(job.key() + "/" + i, Duration.ZERO);
                assertThat(done).isBetween(task.time(), task.time().plusMinutes(6));
                if (!done.isZero()) {
                    assertThat(plan.ready().get(job.key()))
                            .isAfterOrEqualTo(dry.get(job.key() + "/" + i).toLocalDate());
                }
            }
        }
    }
}
