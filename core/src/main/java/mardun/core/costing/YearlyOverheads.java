package mardun.core.costing;

import java.math.BigInteger;
import java.time.Duration;
import java.util.Optional;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * What a year costs beside material and labour (service of the machines, needles, blades, thread, power, insurance, the room), spread over
 * the hours that are worked at the bench in a year.
 *
 * @param together what a year costs
 * @param hours hands-on time of a year
 */
public record YearlyOverheads(Money together, Duration hours) {

    /** Fewer days of a log say nothing about a year. */
    public static final int FEWEST_DAYS = 28;

    private static final int DAYS_OF_A_YEAR = 365;

    /**
     * The hours of a year by what was logged: those of the last year, or of a shorter log as if all of the year were like it.
     *
     * @param logged in the days that are known
     * @param days how many these are, at most a year
     * @return empty where they are too few to say anything, or nothing was logged in them
     */
    public static Optional<Duration> ofAYear(Duration logged, int days) {
        return days < FEWEST_DAYS || logged.isZero()
                ? Optional.empty()
                : Optional.of(logged.multipliedBy(DAYS_OF_A_YEAR).dividedBy(Math.min(days, DAYS_OF_A_YEAR)));
    }

    /** What an hour at the bench bears of it, rounded half up to the coin; empty without hours. */
    public Optional<Money> perHour() {
        if (hours.isZero()) {
            return Optional.empty();
        }
        BigFraction exact = Exact.minor(together)
                .multiply(BigFraction.of(
                        BigInteger.valueOf(Duration.ofHours(1).toSeconds()), BigInteger.valueOf(hours.toSeconds())));
        return Optional.of(Money.ofMinor(together.getCurrencyUnit(), Apportionment.rounded(exact)));
    }
}
