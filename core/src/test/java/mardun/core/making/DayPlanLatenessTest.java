package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DayPlanLatenessTest {

    private static final LocalDate DUE = LocalDate.of(2026, 12, 7);

    private static DayPlan.Work work(Optional<LocalDate> due) {
        return new DayPlan.Work("9", Duration.ofHours(3), due);
    }

    @Test
    void whatIsReadyOnItsDayIsInTimeAndADayAfterIsLate() {
        assertThat(work(Optional.of(DUE)).isLate(Optional.of(DUE))).isFalse();
        assertThat(work(Optional.of(DUE)).isLate(Optional.of(DUE.plusDays(1)))).isTrue();
        assertThat(work(Optional.of(DUE)).isLate(Optional.empty())).isTrue();
        assertThat(work(Optional.empty()).isLate(Optional.empty())).isFalse();
    }
}
