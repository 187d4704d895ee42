package mardun.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.core.making.ChangeTimes;
import mardun.core.making.SetUp;
import mardun.core.making.Standing;
import mardun.core.making.Station;
import mardun.core.making.Workplace;
import mardun.core.planning.Job.Task;
import org.junit.jupiter.api.Test;

/** How sure it is that work is done by a day. */
class SurenessTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final ChangeTimes NOTHING = new ChangeTimes(Map.of(), Duration.ZERO, Duration.ZERO);
    private static final Map<DayOfWeek, Duration> AN_HOUR = Arrays.stream(DayOfWeek.values())
            .collect(Collectors.toMap(Function.identity(), day -> Duration.ofHours(1)));

    /** Work that can stop at any second. */
    private static Task task(int minutes, double spread) {
        return new Task(
                Workplace.of(Station.WORK_TABLE),
                SetUp.NONE,
                minutes * 60,
                Duration.ofMinutes(minutes),
                Duration.ZERO,
                Duration.ZERO,
                List.of(),
                spread);
    }

    private static DayPlanner planner(List<Task> tasks) {
        Job job = new Job("bags", false, Optional.empty(), Optional.empty(), tasks);
        return new DayPlanner(List.of(job), FreeTime.of(AN_HOUR), NOTHING, Standing.UNKNOWN, MONDAY);
    }

    /** Φ, by its series. */
    private static double normal(double z) {
        double sum = z;
        double term = z;
        for (int i = 1; i < 200; i++) {
            term *= z * z / (2 * i + 1);
            sum += term;
        }
        return 0.5 + sum * Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
    }

    @Test
    void independentTimesComeOutAsTheClosedFormSays() {
        List<Task> tasks = List.of(task(100, 0.2), task(150, 0.1), task(80, 0.3), task(170, 0.15));
        double mean = 500;
        double deviation = Math.sqrt(20 * 20 + 15 * 15 + 24 * 24 + 25.5 * 25.5);
        Sureness sureness = Sureness.of(planner(tasks), 0, 4000);
        for (int days = 7; days <= 10; days++) {
            assertThat(sureness.by("bags", MONDAY.plusDays(days - 1)))
                    .isCloseTo(normal((60 * days - mean) / deviation), within(0.025));
        }
    }

    @Test
    void whatIsOffTogetherDoesNotCancel() {
        List<Task> tasks = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            tasks.add(task(20, 0.2));
        }
        double deviation = Math.sqrt(30 * 4 * 4 + 90 * 90);
        Sureness sureness = Sureness.of(planner(tasks), 0.15, 4000);
        assertThat(sureness.by("bags", MONDAY.plusDays(10))).isCloseTo(normal((660 - 600) / deviation), within(0.025));
        Sureness.Range range = Sureness.likely(tasks);
        assertThat(range.to().toMinutes()).isCloseTo(Math.round(600 + 1.2816 * deviation), within(1L));
        assertThat(range.from().toMinutes()).isCloseTo(Math.round(600 - 1.2816 * deviation), within(1L));
    }

    @Test
    void theSamePlanIsAlwaysEquallySure() {
        List<Task> tasks = List.of(task(100, 0.3), task(300, 0.3));
        assertThat(Sureness.of(planner(tasks))).isEqualTo(Sureness.of(planner(tasks)));
    }

    @Test
    void aDayIsNamedForEachShareOfTheRuns() {
        Sureness sureness = Sureness.of(planner(List.of(task(300, 0.3))));
        LocalDate likely = sureness.day("bags", 0.5).orElseThrow();
        assertThat(sureness.by("bags", likely)).isGreaterThanOrEqualTo(0.5);
        assertThat(sureness.by("bags", likely.minusDays(1))).isLessThan(0.5);
        assertThat(sureness.day("bags", 0.9))
                .hasValueSatisfying(day -> assertThat(day).isAfter(likely));
    }

    @Test
    void whatIsNeverDoneIsNeverSure() {
        Job job = new Job("bags", false, Optional.of(MONDAY), Optional.empty(), List.of(task(60, 0.3)));
        Sureness sureness =
                Sureness.of(new DayPlanner(List.of(job), FreeTime.of(Map.of()), NOTHING, Standing.UNKNOWN, MONDAY));
        assertThat(sureness.by("bags", MONDAY.plusYears(1))).isZero();
        assertThat(sureness.day("bags", 0.5)).isEmpty();
    }
}
