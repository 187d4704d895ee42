package mardun.core.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class TimesKeptTest {

    @Test
    void saysByHowMuchBatchesTookLonger() {
        TimesKept times = TimesKept.of(List.of(batch(100, 110), batch(50, 70), batch(60, 54)));

        assertThat(times.batches()).isEqualTo(3);
        assertThat(times.near()).isEqualTo(2);
        // 234 minutes of 210
        assertThat(times.beyond()).contains(11);
        assertThat(batch(60, 54).beyond()).isEqualTo(-10);
    }

    @Test
    void aFifthBesideIsWorthALook() {
        assertThat(batch(100, 120).isFar()).isFalse();
        assertThat(batch(100, 121).isFar()).isTrue();
        assertThat(batch(100, 79).isFar()).isTrue();
    }

    @Test
    void nothingPlannedIsNothingToCompare() {
        assertThat(TimesKept.of(List.of()).beyond()).isEmpty();
    }

    private static TimesKept.Batch batch(int planned, int took) {
        return new TimesKept.Batch(Duration.ofMinutes(planned), Duration.ofMinutes(took));
    }
}
