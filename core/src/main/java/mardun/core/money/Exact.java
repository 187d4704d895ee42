package mardun.core.money;

import java.math.BigDecimal;
import java.math.BigInteger;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/** Money and shares as exact fractions. */
public final class Exact {

    private Exact() {}

    /** Money in minor units. */
    public static BigFraction minor(Money money) {
        return BigFraction.of(money.getAmountMinorLong());
    }

    /** A decimal number as it is written. */
    public static BigFraction of(BigDecimal decimal) {
        return decimal.scale() > 0
                ? BigFraction.of(decimal.unscaledValue(), BigInteger.TEN.pow(decimal.scale()))
                : BigFraction.of(decimal.toBigIntegerExact(), BigInteger.ONE);
    }
}
