package mardun.core.measure;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * An exact value with its dimension: lengths in nanometres, areas in square nanometres, angles in degrees. A third of 17 in stays a third;
 * rounding to whole nanometres happens once, when a formula's result leaves as a {@link Length}.
 */
public record Quantity(BigFraction value, Dimension dimension) {

    /** Nothing that is sewn needs more than some three hundred digits above or below the line. */
    private static final int MOST_BITS = 1024;

    public Quantity {
        if (value.getNumerator().bitLength() > MOST_BITS
                || value.getDenominator().bitLength() > MOST_BITS) {
            throw new DimensionException("comes to a number with too many digits to calculate");
        }
    }

    public static Quantity of(Length length) {
        return new Quantity(length.exact(), Dimension.LENGTH);
    }

    public static Quantity of(long number) {
        return new Quantity(BigFraction.of(number), Dimension.NUMBER);
    }

    public static Quantity of(BigDecimal number) {
        return number.scale() > 0
                ? new Quantity(
                        BigFraction.of(number.unscaledValue(), BigInteger.TEN.pow(number.scale())), Dimension.NUMBER)
                : new Quantity(BigFraction.of(number.toBigIntegerExact(), BigInteger.ONE), Dimension.NUMBER);
    }

    /** An angle in degrees. */
    public static Quantity angle(BigDecimal degrees) {
        return new Quantity(of(degrees).value, Dimension.ANGLE);
    }

    public static Quantity length(BigFraction nanometres) {
        return new Quantity(nanometres, Dimension.LENGTH);
    }

    /**
     * This length in whole nanometres.
     *
     * @throws DimensionException if it isn't a length, or longer than a length can be
     */
    public Length toLength(ShownRounding rounding) {
        if (dimension != Dimension.LENGTH) {
            throw new DimensionException("gives " + dimension.words() + ", and a length is wanted");
        }
        try {
            return Length.rounded(value, rounding.mode());
        } catch (ArithmeticException tooLong) {
            throw new DimensionException("gives a length beyond all measure", tooLong);
        }
    }

    /** The sum; both must have the same dimension, or a {@link DimensionException} is thrown. */
    public Quantity plus(Quantity other) {
        return new Quantity(value.add(other.value), same("add", "to", other));
    }

    public Quantity minus(Quantity other) {
        return new Quantity(value.subtract(other.value), same("take", "from", other));
    }

    public Quantity negated() {
        return new Quantity(value.negate(), dimension);
    }

    public Quantity times(Quantity other) {
        int power = dimension.power() + other.dimension.power();
        boolean angle = dimension == Dimension.ANGLE || other.dimension == Dimension.ANGLE;
        boolean byNumber = dimension == Dimension.NUMBER || other.dimension == Dimension.NUMBER;
        if (power > Dimension.AREA.power() || (angle && !byNumber)) {
            throw new DimensionException(
                    "multiplies " + dimension.words() + " by " + other.dimension.words() + ", which measures nothing");
        }
        return new Quantity(value.multiply(other.value), angle ? Dimension.ANGLE : Dimension.ofPower(power));
    }

    public Quantity dividedBy(Quantity other) {
        if (other.value.signum() == 0) {
            throw new DimensionException("divides by nothing");
        }
        BigFraction quotient = value.divide(other.value);
        if (dimension == Dimension.ANGLE && other.dimension == Dimension.NUMBER) {
            return new Quantity(quotient, Dimension.ANGLE);
        }
        boolean oneAngle = (dimension == Dimension.ANGLE) != (other.dimension == Dimension.ANGLE);
        int power = dimension.power() - other.dimension.power();
        if (power < 0 || oneAngle) {
            throw new DimensionException(
                    "divides " + dimension.words() + " by " + other.dimension.words() + ", which measures nothing");
        }
        return new Quantity(quotient, Dimension.ofPower(power));
    }

    /**
     * The side of a square of this area, or the root of a number: exact where it is a fraction, else to 34 digits.
     *
     * @throws DimensionException if it is neither, or less than nothing
     */
    public Quantity squareRoot() {
        boolean isArea = dimension == Dimension.AREA;
        if ((!isArea && dimension != Dimension.NUMBER) || value.signum() < 0) {
            throw new DimensionException("takes the root of " + dimension.words() + " that has none");
        }
        Dimension its = isArea ? Dimension.LENGTH : Dimension.NUMBER;
        BigInteger[] top = value.getNumerator().sqrtAndRemainder();
        BigInteger[] bottom = value.getDenominator().sqrtAndRemainder();
        if (top[1].signum() == 0 && bottom[1].signum() == 0) {
            return new Quantity(BigFraction.of(top[0], bottom[0]), its);
        }
        BigDecimal exact = new BigDecimal(value.getNumerator())
                .divide(new BigDecimal(value.getDenominator()), MathContext.DECIMAL128);
        return new Quantity(of(exact.sqrt(MathContext.DECIMAL128)).value(), its);
    }

    /** The order of two values of the same dimension. */
    public int compare(Quantity other) {
        same("compare", "with", other);
        return Fractions.ORDER.compare(value, other.value);
    }

    private Dimension same(String verb, String preposition, Quantity other) {
        if (dimension != other.dimension) {
            throw new DimensionException(
                    "can't " + verb + " " + other.dimension.words() + " " + preposition + " " + dimension.words());
        }
        return dimension;
    }
}
