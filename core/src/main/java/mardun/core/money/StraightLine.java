package mardun.core.money;

import java.math.BigInteger;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * An exact amount that grows in a straight line with a whole number of minor units, rounded to the nearest minor unit, a half away from zero, where it is asked
 * for. Whole numbers do it as long as they are small enough, and exact fractions beyond.
 */
public final class StraightLine {

    /** So many bits of a numerator and of a place that twice their product still fits into a whole number. */
    private static final int SMALL = 40;

    private static final long FAR = 1L << 20;

    private final BigFraction begin;
    private final BigFraction slope;
    private final boolean isSmall;
    private final long up;
    private final long each;
    private final long under;

    /**
     * The line {@code begin + slope × x}.
     *
     * @param begin in minor units
     */
    public StraightLine(BigFraction begin, BigFraction slope) {
        this.begin = begin;
        this.slope = slope;
        BigInteger denominator = begin.getDenominator()
                .multiply(slope.getDenominator())
                .divide(begin.getDenominator().gcd(slope.getDenominator()));
        BigInteger atZero = begin.getNumerator().multiply(denominator.divide(begin.getDenominator()));
        BigInteger rise = slope.getNumerator().multiply(denominator.divide(slope.getDenominator()));
        this.isSmall = denominator.signum() > 0
                && denominator.bitLength() < SMALL
                && atZero.bitLength() < SMALL
                && rise.bitLength() < SMALL;
        this.up = isSmall ? atZero.longValue() : 0;
        this.each = isSmall ? rise.longValue() : 0;
        this.under = isSmall ? denominator.longValue() : 1;
    }

    /** What it comes to at a place, rounded. */
    public long rounded(long x) {
        if (!isSmall || Math.abs(x) >= FAR) {
            return Apportionment.rounded(begin.add(slope.multiply(x)));
        }
        long exact = up + each * x;
        long size = (2 * Math.abs(exact) + under) / (2 * under);
        return exact < 0 ? -size : size;
    }
}
