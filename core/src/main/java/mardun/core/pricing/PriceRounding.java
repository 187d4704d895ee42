package mardun.core.pricing;

import java.util.List;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * How a maker rounds prices.
 *
 * @param own the maker's own price points in order, where {@code point} is that; above the last of them whole amounts
 * @param toNearest to the nearest price point as long as nothing is lost by it; else upwards
 */
public record PriceRounding(PricePoint point, List<Money> own, boolean toNearest) {

    public PriceRounding {
        own = own.stream().sorted().distinct().toList();
    }

    /** Upwards to the next price point. */
    public static PriceRounding up(PricePoint point) {
        return new PriceRounding(point, List.of(), false);
    }

    /** The lowest price point that isn't below an amount. */
    public Money up(BigFraction minor, CurrencyUnit currency) {
        if (point != PricePoint.OWN) {
            return point.roundUp(minor, currency);
        }
        return own.stream()
                .filter(one -> Exact.minor(one).compareTo(minor) >= 0)
                .findFirst()
                .orElseGet(() -> PricePoint.WHOLE.roundUp(minor, currency));
    }

    /** The highest price point below another; the same where there is none above zero. */
    public Money below(Money price) {
        CurrencyUnit currency = price.getCurrencyUnit();
        if (point == PricePoint.OWN) {
            Money last = own.isEmpty() ? Money.zero(currency) : own.get(own.size() - 1);
            if (!price.isGreaterThan(last.plusMajor(1))) {
                return own.stream()
                        .filter(price::isGreaterThan)
                        .reduce((one, next) -> next)
                        .orElse(price);
            }
        }
        PricePoint steps = point == PricePoint.OWN ? PricePoint.WHOLE : point;
        Money before = steps.below(price);
        return before.isPositive() ? before : price;
    }

    /** The lowest price point above another. */
    public Money above(Money price) {
        return up(Exact.minor(price).add(BigFraction.ONE), price.getCurrencyUnit());
    }
}
