package mardun.core.pricing;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/** The endings that a maker's prices have. */
public enum PricePoint {
    WHOLE("to the next whole amount", "1", "0"),
    HALF("to the next half", "0.5", "0"),
    NINETY_FIVE("to the next that ends in .95", "1", "-0.05"),
    FIVES("to the next even five", "5", "0"),
    OWN("to the next of your own prices", "1", "0"),
    EXACT("to the smallest coin", "0", "0");

    private final String words;
    private final BigDecimal step;
    private final BigDecimal offset;

    PricePoint(String words, String step, String offset) {
        this.words = words;
        this.step = new BigDecimal(step);
        this.offset = new BigDecimal(offset);
    }

    public String words() {
        return words;
    }

    /** The lowest price of this kind that is not below {@code minorUnits}. */
    Money roundUp(BigFraction minorUnits, CurrencyUnit currency) {
        BigDecimal minor = minorUnits.bigDecimalValue(0, RoundingMode.CEILING);
        BigDecimal amount = minor.movePointLeft(currency.getDecimalPlaces());
        if (isEveryCoin(currency)) {
            return Money.of(currency, amount);
        }
        BigDecimal steps = amount.subtract(offset).divide(step, 0, RoundingMode.CEILING);
        return Money.of(currency, steps.multiply(step).add(offset), RoundingMode.UNNECESSARY);
    }

    /** The highest price of this kind below another. */
    Money below(Money price) {
        if (isEveryCoin(price.getCurrencyUnit())) {
            return price.minusMinor(1);
        }
        BigDecimal steps = price.getAmount().subtract(offset).divide(step, 0, RoundingMode.CEILING);
        return Money.of(
                price.getCurrencyUnit(),
                steps.subtract(BigDecimal.ONE).multiply(step).add(offset),
                RoundingMode.UNNECESSARY);
    }

    /** A currency without smaller coins has no halves, and nothing that ends in .95. */
    private boolean isEveryCoin(CurrencyUnit currency) {
        return step.signum() == 0
                || Math.max(
                                step.stripTrailingZeros().scale(),
                                offset.stripTrailingZeros().scale())
                        > currency.getDecimalPlaces();
    }
}
