package mardun.core.cutting;

import java.math.BigDecimal;
import java.math.BigInteger;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * How likely it is that an offcut will be used some day: what goes back on the shelf counts for so much, and not for all that
 * its cloth has cost. A small one seldom is, one as large as a quarter of a yard, 22 by 18 in, often; between them the
 * likelihood grows with the area.
 *
 * @param small of the smallest offcut that is kept, from 0 to 1
 * @param large of one of 22 by 18 in or more, from 0 to 1
 */
public record OffcutUse(BigDecimal small, BigDecimal large) {

    /** Every offcut is used. */
    public static final OffcutUse CERTAIN = new OffcutUse(BigDecimal.ONE, BigDecimal.ONE);

    private static final Area LARGE = new Extent(Length.of(22, LengthUnit.INCH), Length.of(18, LengthUnit.INCH)).area();

    public OffcutUse {
        if (small.signum() < 0 || small.compareTo(BigDecimal.ONE) > 0) {
            throw new IllegalArgumentException("a likelihood lies between 0 and 1: " + small);
        }
        if (large.signum() < 0 || large.compareTo(BigDecimal.ONE) > 0) {
            throw new IllegalArgumentException("a likelihood lies between 0 and 1: " + large);
        }
    }

    /**
     * How likely an offcut is to be used.
     *
     * @param smallest the smallest that is kept
     */
    public BigFraction of(Area offcut, Area smallest) {
        return from(small).add(from(large).subtract(from(small)).multiply(grown(offcut, smallest)));
    }

    /** The same for the search, whose areas are in steps of its grid. */
    double of(double offcut, double smallest, double largeInSteps) {
        double grown = largeInSteps <= smallest
                ? 1
                : Math.max(0, Math.min(1, (offcut - smallest) / (largeInSteps - smallest)));
        return small.doubleValue() + (large.doubleValue() - small.doubleValue()) * grown;
    }

    static Area largeArea() {
        return LARGE;
    }

    /** How far an area has grown from the smallest that is kept to a large one, from 0 to 1. */
    private static BigFraction grown(Area offcut, Area smallest) {
        BigInteger from = smallest.squareNanometres();
        BigInteger to = LARGE.squareNanometres();
        if (offcut.squareNanometres().compareTo(to) >= 0 || to.compareTo(from) <= 0) {
            return BigFraction.ONE;
        }
        BigInteger more = offcut.squareNanometres().subtract(from);
        return more.signum() <= 0 ? BigFraction.ZERO : BigFraction.of(more, to.subtract(from));
    }

    private static BigFraction from(BigDecimal share) {
        return BigFraction.of(share.unscaledValue(), BigInteger.TEN.pow(Math.max(0, share.scale())));
    }
}
