package mardun.core.pricing;

import org.joda.money.Money;

/**
 * From how much that is sold in a year the maker has to ask for sales tax, as far as she knows: laws differ, and she types what hers says.
 *
 * @param aYear more than nothing
 */
public record TaxThreshold(Money aYear) {

    /** So much of it, and it is time to look ahead. */
    private static final int NEAR_PERCENT = 80;

    /** How what was sold this year stands to it. */
    public enum Standing {
        BELOW,
        /** Four fifths of it, or more. */
        NEAR,
        REACHED
    }

    public TaxThreshold {
        if (!aYear.isPositive()) {
            throw new IllegalArgumentException("more than nothing is sold before tax is due: " + aYear);
        }
    }

    /** How it stands once so much was sold since the year began, without tax. */
    public Standing of(Money sold) {
        if (!sold.isLessThan(aYear)) {
            return Standing.REACHED;
        }
        return sold.multipliedBy(100).isLessThan(aYear.multipliedBy(NEAR_PERCENT)) ? Standing.BELOW : Standing.NEAR;
    }
}
