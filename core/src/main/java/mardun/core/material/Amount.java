package mardun.core.material;

import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import mardun.core.working.Value;

/**
 * How much of a material: a length, a number of pieces, a weight or a volume. Negative for what leaves the shelf.
 *
 * @param value nanometres, pieces, nanograms or femtolitres, after {@code counting}
 */
public record Amount(Counting counting, long value) implements Comparable<Amount> {

    public static Amount of(Length length) {
        return new Amount(Counting.LENGTH, length.nanometres());
    }

    public static Amount pieces(long count) {
        return new Amount(Counting.PIECES, count);
    }

    public static Amount of(Bulk bulk) {
        return new Amount(bulk.kind() == Bulk.Kind.WEIGHT ? Counting.WEIGHT : Counting.VOLUME, bulk.amount());
    }

    public static Amount none(Counting counting) {
        return new Amount(counting, 0);
    }

    public Amount plus(Amount other) {
        return new Amount(same(other), Math.addExact(value, other.value));
    }

    /** The sum for what is added up over everything that is stored: at most twice what a shelf holds, so that it has an end. */
    public Amount together(Amount other) {
        long most = 2 * ShelfLimits.most(same(other)).value();
        return new Amount(counting, Math.min(most, Math.min(value, most) + Math.min(other.value, most)));
    }

    public Amount minus(Amount other) {
        return new Amount(same(other), Math.subtractExact(value, other.value));
    }

    public Amount times(long factor) {
        return new Amount(counting, Math.multiplyExact(value, factor));
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
        return switch (counting) {
            case LENGTH -> new Value.OnTheShelf(new Length(value));
            case PIECES -> Value.of(value);
            case WEIGHT -> new Value.Filled(new Bulk(Bulk.Kind.WEIGHT, value));
            case VOLUME -> new Value.Filled(new Bulk(Bulk.Kind.VOLUME, value));
        };
    }

    @Override
    public int compareTo(Amount other) {
        same(other);
        return Long.compare(value, other.value);
    }

    private Counting same(Amount other) {
        if (counting != other.counting) {
            throw new IllegalArgumentException("amounts that are counted differently can't be put together");
        }
        return counting;
    }
}
