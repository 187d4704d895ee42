package mardun.core.costing;

import java.math.BigDecimal;
import java.time.Duration;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * What a bag bears of what no bag takes by itself: thread, power, blades, the room. By the hour at the bench, as a share of its material and
 * labour, or both.
 *
 * @param perHour for an hour at the bench
 * @param share of material and labour together, 0 or more
 */
public record Overheads(Money perHour, BigDecimal share) {

    private static final long NANOS_PER_HOUR = Duration.ofHours(1).toNanos();

    public Overheads {
        if (share.signum() < 0) {
            throw new IllegalArgumentException("overheads can't be less than nothing: " + share);
        }
    }

    /** By the hour alone. */
    public static Overheads of(Money perHour) {
        return new Overheads(perHour, BigDecimal.ZERO);
    }

    /** Whether some of them go with material and labour. */
    public boolean hasShare() {
        return share.signum() > 0;
    }

    /**
     * What some work bears, in exact minor units.
     *
     * @param time hands-on
     * @param others what its material and labour cost, in exact minor units
     */
    public BigFraction borne(Duration time, BigFraction others) {
        return BigFraction.of(perHour.getAmountMinorLong())
                .multiply(BigFraction.of(time.toNanos(), NANOS_PER_HOUR))
                .add(Exact.of(share).multiply(others));
    }
}
