package mardun.core.pricing;

import java.math.BigDecimal;
import java.util.Optional;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * Bags that are sold otherwise than one at its price: a set, three for the price of two and a half, with free postage, or the last one of a
 * day.
 *
 * @param left of one bag, after the fees and all it cost
 * @param perHour what an hour of its work earns; empty where it takes no time
 */
public record Bargain(Money left, Optional<Money> perHour) {

    /** What is left of each when so many alike are sold together. */
    public static Bargain together(int units, Money together, UnitTakes takes, Terms terms) {
        Money net = terms.ofUnits(units).leftOfAll(together);
        BigFraction each = Exact.minor(net).divide(units);
        return of(Money.ofMinor(together.getCurrencyUnit(), Apportionment.rounded(each)), takes);
    }

    /** What is left of one when the maker pays all of the postage. */
    public static Bargain postedFree(Money price, UnitTakes takes, Terms terms) {
        return of(terms.postedFree().left(price), takes);
    }

    private static Bargain of(Money net, UnitTakes takes) {
        return new Bargain(
                net.minus(takes.full()), takes.takesTime() ? Optional.of(takes.perHour(net)) : Optional.empty());
    }

    /**
     * The least price at which a bag should be let go today. What it cost is spent either way, so it is what brings as much as the bag
     * would bring elsewhere later, as likely as it is sold there.
     *
     * @param later the terms on which it would be sold later
     * @param price what would be asked for it then
     * @param likelihood how likely it is sold then, from 0 to 1
     * @param rounding to the coin
     * @return empty where no price here brings as much
     */
    public static Optional<Money> leastToday(
            Terms here, Terms later, Money price, BigDecimal likelihood, PriceRounding rounding) {
        BigFraction brings = Exact.minor(later.left(price)).multiply(Exact.of(likelihood));
        return here.priceFor(brings.signum() < 0 ? BigFraction.ZERO : brings, rounding);
    }
}
