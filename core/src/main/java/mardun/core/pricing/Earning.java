package mardun.core.pricing;

import java.math.BigInteger;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * What an hour of some bags earns, and how long all of them take.
 *
 * @param perHour empty where that isn't known
 */
public record Earning(Optional<Money> perHour, Duration time) {

    /**
     * What an hour of several kinds of bags earns: each counts for the time that it takes; rounded half up to the coin.
     *
     * @return empty where any of them has no such figure, or where they take no time
     */
    public static Optional<Money> together(List<Earning> all) {
        BigFraction earned = BigFraction.ZERO;
        BigFraction time = BigFraction.ZERO;
        for (Earning one : all) {
            if (one.perHour().isEmpty()) {
                return Optional.empty();
            }
            BigFraction its = BigFraction.of(BigInteger.valueOf(one.time().toNanos()));
            earned = earned.add(Exact.minor(one.perHour().get()).multiply(its));
            time = time.add(its);
        }
        if (time.signum() == 0) {
            return Optional.empty();
        }
        CurrencyUnit currency = all.get(0).perHour().orElseThrow().getCurrencyUnit();
        return Optional.of(Money.ofMinor(currency, Apportionment.rounded(earned.divide(time))));
    }
}
