package mardun.core.material;

import mardun.core.measure.Length;
import mardun.core.working.Value;

/**
 * How much of a material: a length in nanometres or a number of pieces. Negative for what leaves the shelf.
 *
 * @param value nanometres or pieces, after {@code counting}
 */
public record Amount(Counting counting, long value) implements Comparable<Amount> {

    public static Amount of(Length length) {
        return new Amount(Counting.LENGTH, length.nanometres());
    }

    public static Amount pieces(long count) {
        return new Amount(Counting.PIECES, count);
    }

    public static Amount none(Counting counting) {
        return new Amount(counting, 0);
    }

    public Amount plus(Amount other) {
        return new Amount(same(other), Math.addExact(value, other.value));
    }

    public Amount minus(Amount other) {
        return new Amount(same(other), Math.subtractExact(value, other.value));
    }

    public Amount negated() {
        return new Amount(counting, Math.negateExact(value));
    }

    public boolean isNegative() {
        return value < 0;
    }

    public boolean isPositive() {
        return value > 0;
    }

    /** This amount for a working or a sentence. */
    public Value shown() {
        return counting == Counting.LENGTH ? new Value.OnTheShelf(new Length(value)) : Value.of(value);
    }

    @Override
    public int compareTo(Amount other) {
        same(other);
        return Long.compare(value, other.value);
    }

    private Counting same(Amount other) {
        if (counting != other.counting) {
            throw new IllegalArgumentException("a length and a count can't be put together");
        }
        return counting;
    }
}
