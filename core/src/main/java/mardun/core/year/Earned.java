package mardun.core.year;

import java.math.BigInteger;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.ToLongFunction;
import mardun.core.money.Apportionment;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * What bags that were sold earned. An hour's earning counts only those of which the time is known: of what was paid for them come off the
 * tax, what selling took, and all that they cost but the work; the rest is for the hours of making them.
 *
 * @param bags how many were sold
 * @param paid what buyers paid
 * @param left what is left of it, the work paid by the maker's own rate
 * @param timed of how many the time is known
 * @param time hands-on time of these
 * @param perHour what an hour of making these earned, rounded half up; empty where no time is known
 */
public record Earned(int bags, Money paid, Money left, int timed, Duration time, Optional<Figure<Money>> perHour) {

    private static final BigInteger NANOS_PER_HOUR =
            BigInteger.valueOf(Duration.ofHours(1).toNanos());

    /** What they earned together; of none it is nothing. */
    public static Earned of(Collection<SoldBags> sold, CurrencyUnit currency) {
        List<SoldBags> timed =
                sold.stream().filter(one -> one.making().isPresent()).toList();
        Duration time =
                timed.stream().map(one -> one.making().orElseThrow().time()).reduce(Duration.ZERO, Duration::plus);
        return new Earned(
                bags(sold),
                sum(sold, currency, SoldBags::paid),
                sum(sold, currency, SoldBags::left),
                bags(timed),
                time,
                time.isZero() ? Optional.empty() : Optional.of(perHour(timed, time, currency)));
    }

    private static int bags(Collection<SoldBags> sold) {
        return sold.stream().mapToInt(SoldBags::bags).reduce(0, Math::addExact);
    }

    private static Money sum(Collection<SoldBags> sold, CurrencyUnit currency, ToLongFunction<SoldBags> of) {
        return Money.ofMinor(currency, sold.stream().mapToLong(of).reduce(0, Math::addExact));
    }

    private static Figure<Money> perHour(List<SoldBags> timed, Duration time, CurrencyUnit currency) {
        Money paid = sum(timed, currency, SoldBags::paid);
        Money tax = sum(timed, currency, SoldBags::tax);
        Money fees = sum(timed, currency, SoldBags::fees);
        Money bought = sum(
                timed, currency, one -> one.cost() - one.making().orElseThrow().labour());
        Money rest = paid.minus(tax).minus(fees).minus(bought);
        BigFraction hours = BigFraction.of(BigInteger.valueOf(time.toNanos()), NANOS_PER_HOUR);
        Money anHour = Money.ofMinor(
                currency,
                Apportionment.rounded(BigFraction.of(rest.getAmountMinorLong()).divide(hours)));
        return new Figure<>(
                anHour,
                Working.of(
                                "Of what buyers paid come off the tax, what selling took, and what the bags cost but the work;"
                                        + " the rest is for the hours of making them.")
                        .expression("({paid} − {tax} − {fees} − {bought}) ÷ {hours}")
                        .input("paid", "what buyers paid", Value.of(paid))
                        .input("tax", "tax", Value.of(tax))
                        .input("fees", "fees of selling", Value.of(fees))
                        .input("bought", "material and overheads", Value.of(bought))
                        .input("hours", "hours of making", Value.of(time))
                        .rounded("rounded once, half up")
                        .gives(Value.of(anHour)));
    }
}
