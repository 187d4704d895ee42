package mardun.core.material;

import java.math.BigInteger;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * What so much of a material costs: 8.40 a yard, 1.20 for ten.
 *
 * @param price zero or more; zero for what was given
 * @param per a positive amount
 */
public record UnitPrice(Money price, Amount per) {

    public UnitPrice {
        if (price.isNegative() || !per.isPositive()) {
            throw new IllegalArgumentException("a price is zero or more, for a positive amount");
        }
    }

    /** What {@code amount} costs, in exact minor units. */
    public BigFraction cost(Amount amount) {
        if (amount.counting() != per.counting()) {
            throw new IllegalArgumentException("a length and a count can't be put together");
        }
        return BigFraction.of(BigInteger.valueOf(price.getAmountMinorLong()), BigInteger.valueOf(per.value()))
                .multiply(BigInteger.valueOf(amount.value()));
    }
}
