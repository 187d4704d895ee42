package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** So many an hour, over all steps. */
class PaceTest {

    private static List<Long> spread(long whole, Long... steps) {
        return Pace.spread(
                        Duration.ofSeconds(whole),
                        List.of(steps).stream().map(Duration::ofSeconds).toList())
                .stream()
                .map(Duration::toSeconds)
                .toList();
    }

    @Test
    void eachStepKeepsItsShare() {
        assertThat(Pace.each(BigDecimal.valueOf(5))).isEqualTo(Duration.ofMinutes(12));
        assertThat(Pace.each(new BigDecimal("2.5"))).isEqualTo(Duration.ofMinutes(24));
        assertThat(spread(720, 120L, 240L, 0L)).containsExactly(240L, 480L, 0L);
        assertThat(spread(720, 0L, 0L, 0L)).containsExactly(240L, 240L, 240L);
    }

    @Test
    void togetherTheyAreTheWhole() {
        Random random = new Random(2);
        for (int round = 0; round < 300; round++) {
            long whole = 1 + random.nextInt(20_000);
            Long[] steps = IntStream.range(0, 1 + random.nextInt(15))
                    .mapToObj(i -> (long) random.nextInt(900))
                    .toArray(Long[]::new);
            assertThat(spread(whole, steps).stream().mapToLong(Long::longValue).sum())
                    .isEqualTo(whole);
        }
    }
}
