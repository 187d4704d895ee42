package mardun.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Two hours are free on Mondays and three on Thursdays, of which work that is planned takes one on the first Thursday. */
class FreeAheadTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 6, 1);
    private static final LocalDate THURSDAY = MONDAY.plusDays(3);

    private static FreeAhead ahead(Map<DayOfWeek, Duration> usual) {
        DayPlan.Stretch one = new DayPlan.Stretch(
                "a", 0, 0, THURSDAY.atTime(9, 0), THURSDAY.atTime(10, 0), Duration.ofHours(1), 0, 1, false, List.of());
        return new FreeAhead(FreeTime.of(usual), new DayPlan(List.of(one), Map.of()), MONDAY);
    }

    private static final FreeAhead AHEAD =
            ahead(Map.of(DayOfWeek.MONDAY, Duration.ofHours(2), DayOfWeek.THURSDAY, Duration.ofHours(3)));

    @Test
    void addsUpWhatPlannedWorkLeaves() {
        assertThat(AHEAD.before(MONDAY)).isZero();
        assertThat(AHEAD.before(THURSDAY)).isEqualTo(Duration.ofHours(2));
        assertThat(AHEAD.before(MONDAY.plusDays(7))).isEqualTo(Duration.ofHours(4));
        assertThat(AHEAD.before(MONDAY.minusDays(3))).isZero();
    }

    @Test
    void isDoneOnTheDayWhoseTimeSuffices() {
        assertThat(AHEAD.doneOn(Duration.ofHours(2))).contains(MONDAY);
        assertThat(AHEAD.doneOn(Duration.ofMinutes(121))).contains(THURSDAY);
        assertThat(AHEAD.doneOn(Duration.ofHours(5))).contains(MONDAY.plusDays(7));
        assertThat(ahead(Map.of()).doneOn(Duration.ofMinutes(1))).isEmpty();
    }

    @Test
    void isBegunAsLateAsTheTimeBeforeADayAllows() {
        LocalDate friday = THURSDAY.plusDays(1);
        assertThat(AHEAD.lastToBegin(friday, Duration.ofHours(2))).contains(THURSDAY);
        assertThat(AHEAD.lastToBegin(friday, Duration.ofHours(4))).contains(MONDAY);
        assertThat(AHEAD.lastToBegin(friday, Duration.ofHours(5))).isEmpty();
        assertThat(AHEAD.lastToBegin(THURSDAY, Duration.ofHours(1))).contains(MONDAY);
    }
}
