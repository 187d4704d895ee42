package mardun.core.money;

import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;

/** Rounds exact parts of a sum to whole minor units so that they still add up to the rounded sum. */
public final class Apportionment {

    private Apportionment() {}

    /** The exact amount rounded to whole minor units, half up. */
    public static long rounded(BigFraction minorUnits) {
        return rounded(minorUnits, 1);
    }

    /** So many times an exact amount, rounded to whole minor units, half up. */
    public static long rounded(BigFraction minorUnits, long times) {
        return rounded(minorUnits.getNumerator().multiply(BigInteger.valueOf(times)), minorUnits.getDenominator());
    }

    /**
     * The share that {@code part} of {@code whole} has in a sum of minor units, rounded half up.
     *
     * @throws ArithmeticException if there is no whole
     */
    public static long share(long minor, long part, long whole) {
        return rounded(BigInteger.valueOf(minor).multiply(BigInteger.valueOf(part)), BigInteger.valueOf(whole));
    }

    /** A quotient rounded half up, away from zero on both sides. */
    private static long rounded(BigInteger numerator, BigInteger denominator) {
        BigInteger[] whole = numerator.divideAndRemainder(denominator);
        boolean isUp = whole[1].shiftLeft(1).abs().compareTo(denominator.abs()) >= 0;
        int direction = numerator.signum() * denominator.signum();
        return (isUp ? whole[0].add(BigInteger.valueOf(direction)) : whole[0]).longValueExact();
    }

    /**
     * The parts in whole minor units, none off by a whole unit, adding up to {@code total}. The parts with the largest
     * fractions are rounded up.
     *
     * @param total the rounded sum of the parts
     * @throws IllegalArgumentException if {@code total} isn't within the parts' rounding of their sum
     */
    public static List<Long> of(List<BigFraction> parts, long total) {
        List<Long> whole =
                new ArrayList<>(parts.stream().map(Apportionment::floor).toList());
        long missing = total - whole.stream().mapToLong(Long::longValue).sum();
        if (missing < 0 || missing > parts.size()) {
            throw new IllegalArgumentException("parts " + parts + " don't add up to " + total);
        }
        IntStream.range(0, parts.size())
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> fraction(parts.get(i)))
                        .reversed())
                .limit(missing)
                .forEach(i -> whole.set(i, whole.get(i) + 1));
        return List.copyOf(whole);
    }

    private static long floor(BigFraction value) {
        return value.bigDecimalValue(0, RoundingMode.FLOOR).longValueExact();
    }

    private static BigFraction fraction(BigFraction value) {
        return value.subtract(BigFraction.of(BigInteger.valueOf(floor(value)), BigInteger.ONE));
    }
}
