package mardun.core.measure;

import java.math.BigInteger;
import java.math.RoundingMode;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * An exact length, held as whole nanometres: 1/64 in is 396 875 nm and 0.1 mm is 100 000 nm, so inches and
 * centimetres are both held without error.
 *
 * @param nanometres any whole number; negative only as the result of a subtraction
 */
public record Length(long nanometres) implements Comparable<Length> {

    public static final Length ZERO = new Length(0);

    /** {@code count} whole units, for instance {@code of(3, CENTIMETRE)}. */
    public static Length of(long count, LengthUnit unit) {
        return new Length(Math.multiplyExact(count, unit.nanometres()));
    }

    /** A fraction of a unit, for instance {@code of(5, 8, INCH)}; must come out in whole nanometres. */
    public static Length of(long numerator, long denominator, LengthUnit unit) {
        return exactly(BigFraction.of(numerator, denominator).multiply(unit.nanometres()));
    }

    /**
     * The length of an exact number of nanometres.
     *
     * @throws ArithmeticException if it isn't a whole number of nanometres
     */
    public static Length exactly(BigFraction nanometres) {
        if (!nanometres.getDenominator().equals(BigInteger.ONE)) {
            throw new ArithmeticException(nanometres + " nm isn't a whole number of nanometres");
        }
        return new Length(nanometres.getNumerator().longValueExact());
    }

    /** The length nearest to {@code nanometres} in the given direction: the one rounding at the end of a formula. */
    public static Length rounded(BigFraction nanometres, RoundingMode mode) {
        return new Length(
                nanometres.bigDecimalValue(0, mode).toBigIntegerExact().longValueExact());
    }

    public BigFraction exact() {
        return BigFraction.of(nanometres);
    }

    public Length plus(Length other) {
        return new Length(Math.addExact(nanometres, other.nanometres));
    }

    public Length minus(Length other) {
        return new Length(Math.subtractExact(nanometres, other.nanometres));
    }

    public Length times(long factor) {
        return new Length(Math.multiplyExact(nanometres, factor));
    }

    /** How often {@code part} fits whole into this length; {@code part} must be positive. */
    public long fits(Length part) {
        return Math.floorDiv(nanometres, part.nanometres);
    }

    public boolean isPositive() {
        return nanometres > 0;
    }

    public boolean isZero() {
        return nanometres == 0;
    }

    public boolean isLongerThan(Length other) {
        return nanometres > other.nanometres;
    }

    public Length max(Length other) {
        return isLongerThan(other) ? this : other;
    }

    @Override
    public int compareTo(Length other) {
        return Long.compare(nanometres, other.nanometres);
    }
}
