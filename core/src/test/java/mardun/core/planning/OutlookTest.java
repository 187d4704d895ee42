package mardun.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.core.making.ChangeTimes;
import mardun.core.making.Standing;
import org.junit.jupiter.api.Test;

/** What would bring work in time. */
class OutlookTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final FreeTime TWO_HOURS = FreeTime.of(Arrays.stream(DayOfWeek.values())
            .collect(Collectors.toMap(Function.identity(), day -> Duration.ofHours(2))));

    private static final ChangeTimes NOTHING = new ChangeTimes(Map.of(), Duration.ZERO, Duration.ZERO);

    private static Job job(String key, int hours, Integer due) {
        return Job.ofHours(
                key, Duration.ofHours(hours), Optional.ofNullable(due).map(MONDAY::plusDays));
    }

    private static Outlook.OfJob of(String key, Job... jobs) {
        return Outlook.of(List.of(jobs), TWO_HOURS, NOTHING, Standing.UNKNOWN, MONDAY)
                .jobs()
                .get(key);
    }

    @Test
    void theLastDayToBeginLeavesJustEnoughDays() {
        assertThat(of("six hours", job("six hours", 6, 9)).lastBegin()).contains(MONDAY.plusDays(7));
        assertThat(of("six hours", job("six hours", 6, 2)).lastBegin()).contains(MONDAY);
    }

    /** What is wanted later waits behind it, but is done on the days before it if it is begun late. */
    @Test
    void workThatIsBegunLateLetsOthersGoFirst() {
        assertThat(of("sooner", job("sooner", 2, 4), job("later", 4, 5)).lastBegin())
                .contains(MONDAY.plusDays(4));
    }

    @Test
    void whatIsLateSaysHowMuchTimeIsMissingAndWhatStandsInItsWay() {
        Outlook.OfJob late = of("late", job("first", 4, 1), job("late", 4, 2), job("someday", 3, null));
        assertThat(late.missing()).isEqualTo(Duration.ofHours(2));
        assertThat(late.inTimeWithout()).containsExactly("first");
        assertThat(late.lastBegin()).isEmpty();
        assertThat(late.sure().orElseThrow()).isLessThan(0.1);
    }

    @Test
    void justSoMuchMoreTimeBringsItInTime() {
        List<Job> jobs = List.of(job("first", 4, 1), job("late", 4, 2));
        FreeTime more = TWO_HOURS.with(MONDAY.plusDays(1), Duration.ofHours(4));
        assertThat(new DayPlanner(jobs, more, NOTHING, Standing.UNKNOWN, MONDAY)
                        .lay()
                        .ready("late"))
                .contains(MONDAY.plusDays(2));
    }

    @Test
    void workThatIsWantedByNoDayIsNeitherSureNorLate() {
        Outlook.OfJob someday = of("someday", job("someday", 3, null));
        assertThat(someday.sure()).isEmpty();
        assertThat(someday.lastBegin()).isEmpty();
        assertThat(someday.missing()).isZero();
        assertThat(someday.likely())
                .hasValueSatisfying(day -> assertThat(day).isBetween(MONDAY.plusDays(1), MONDAY.plusDays(2)));
    }
}
