package mardun.core.material;

import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * How much a shelf, a batch and a price go up to. They lie far above any workroom, and far enough below what can be reckoned
 * with that sums over everything that is stored stay exact. They are kept when something is entered, together with all that it
 * is added to; reading never has to refuse.
 */
public final class ShelfLimits {

    private static final long THOUSAND_KILOMETRES_NM = 1_000_000_000_000_000L;
    private static final long MILLIARD_PIECES = 1_000_000_000L;
    private static final long THOUSAND_KILOGRAMS_NG = 1_000_000_000_000_000L;
    private static final long THOUSAND_LITRES_FL = 1_000_000_000_000_000_000L;

    private static final long METRE_NM = 1_000_000_000L;
    private static final long KILOGRAM_NG = 1_000_000_000_000L;
    private static final long LITRE_FL = 1_000_000_000_000_000L;

    /** No metre, piece, kilogram or litre is dearer than this many whole units of money. */
    private static final long DEAREST = 1_000_000;

    private ShelfLimits() {}

    /** No shelf holds more of one material, and no batch takes more of it; nor does a shelf owe more. */
    public static Amount most(Counting counting) {
        return new Amount(
                counting,
                switch (counting) {
                    case LENGTH -> THOUSAND_KILOMETRES_NM;
                    case PIECES -> MILLIARD_PIECES;
                    case WEIGHT -> THOUSAND_KILOGRAMS_NG;
                    case VOLUME -> THOUSAND_LITRES_FL;
                });
    }

    /** What prices are compared by: a metre, a piece, a kilogram or a litre. */
    public static Amount unit(Counting counting) {
        return new Amount(
                counting,
                switch (counting) {
                    case LENGTH -> METRE_NM;
                    case PIECES -> 1;
                    case WEIGHT -> KILOGRAM_NG;
                    case VOLUME -> LITRE_FL;
                });
    }

    /** Whether an amount, or what is owed of it, is within the limit. */
    public static boolean holds(Amount amount) {
        return Math.abs(Math.max(amount.value(), -Long.MAX_VALUE))
                <= most(amount.counting()).value();
    }

    /** Whether so much is still within the limit after this has come or left. */
    public static boolean holds(Amount onHand, Amount change) {
        return holds(onHand) && holds(change) && holds(onHand.plus(change));
    }

    /** Whether a price is one that anybody pays: a metre, a piece, a kilogram or a litre at most a million. */
    public static boolean isPayable(Money price, Amount per) {
        BigFraction each = BigFraction.of(price.getAmountMinorLong())
                .multiply(unit(per.counting()).value())
                .divide(BigFraction.of(per.value()));
        long dearest = Money.of(price.getCurrencyUnit(), DEAREST).getAmountMinorLong();
        return each.compareTo(BigFraction.of(dearest)) <= 0;
    }
}
