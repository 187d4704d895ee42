package mardun.core.year;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.Collection;
import java.util.Optional;

/**
 * How estimates of time came true over some batches.
 *
 * @param batches how many
 * @param near how many took within a tenth of what was planned
 * @param planned for all of them
 * @param took all of them
 */
public record TimesKept(int batches, int near, Duration planned, Duration took) {

    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
    private static final long TENTH = 10;
    private static final long FIFTH = 5;

    /** What a batch was planned to take, more than nothing, and what it took. */
    public record Batch(Duration planned, Duration took) {

        boolean isNear() {
            return took.minus(planned).abs().multipliedBy(TENTH).compareTo(planned) <= 0;
        }

        /** Whether it took more than a fifth longer, or less long, than planned: worth a look. */
        public boolean isFar() {
            return took.minus(planned).abs().multipliedBy(FIFTH).compareTo(planned) > 0;
        }

        /** By how many percent it took longer than planned, or less long where it is below zero; whole, half up. */
        public int beyond() {
            return percent(planned, took);
        }
    }

    public static TimesKept of(Collection<Batch> batches) {
        return new TimesKept(
                batches.size(),
                (int) batches.stream().filter(Batch::isNear).count(),
                batches.stream().map(Batch::planned).reduce(Duration.ZERO, Duration::plus),
                batches.stream().map(Batch::took).reduce(Duration.ZERO, Duration::plus));
    }

    /** By how many percent all together took longer than planned; empty where nothing was planned. */
    public Optional<Integer> beyond() {
        return planned.isZero() ? Optional.empty() : Optional.of(percent(planned, took));
    }

    private static int percent(Duration planned, Duration took) {
        return BigDecimal.valueOf(took.minus(planned).toMillis())
                .multiply(HUNDRED)
                .divide(BigDecimal.valueOf(planned.toMillis()), 0, RoundingMode.HALF_UP)
                .intValueExact();
    }
}
