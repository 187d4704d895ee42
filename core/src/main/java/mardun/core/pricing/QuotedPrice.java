package mardun.core.pricing;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * What is asked for one bag of an order, and what is given away with it.
 *
 * @param usual what the maker's school asks for it; empty where that gives no price
 * @param priced the price that is asked, with what it leaves
 * @param given what the price is below the usual one; nothing where it isn't
 */
public record QuotedPrice(Optional<Money> usual, SchoolPrices.Priced priced, Money given) {

    /**
     * The price of one bag.
     *
     * @param takes what it takes in an order of that size, wishes included
     * @param own the price that the maker typed, if any: it counts before all others
     * @return empty where nothing gives a price
     */
    public static Optional<QuotedPrice> of(
            UnitTakes takes, Channel channel, PriceChoice choice, Favour favour, Optional<Money> own) {
        Optional<Money> usual = SchoolPrices.price(takes, channel, choice, Optional.empty());
        Optional<Money> asked = favour.wanted(takes)
                .map(wanted -> channel.terms().priceFor(wanted, choice.rounding()))
                .orElse(usual);
        return own.or(() -> asked)
                .map(price -> new QuotedPrice(
                        usual,
                        SchoolPrices.priced(choice.school(), price, takes, channel),
                        usual.map(its -> below(price, its)).orElse(Money.zero(price.getCurrencyUnit()))));
    }

    private static Money below(Money price, Money usual) {
        return price.isLessThan(usual) ? usual.minus(price) : Money.zero(price.getCurrencyUnit());
    }

    /**
     * What an hour of several kinds of bags earns: each counts for the time that it takes.
     *
     * @return empty where any of them has no such figure, or where they take no time
     */
    public static Optional<Money> perHour(List<Earning> all) {
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

    /** What an hour of some bags earns, and how long all of them take. */
    public record Earning(Optional<Money> perHour, Duration time) {}

    /** What is paid before the work is begun: a share of the whole, rounded up to the coin so that both parts make the whole. */
    public static Money deposit(Money total, BigDecimal share) {
        BigFraction exact = Exact.minor(total).multiply(Exact.of(share));
        return Money.ofMinor(
                total.getCurrencyUnit(),
                exact.bigDecimalValue(0, RoundingMode.CEILING).longValueExact());
    }
}
