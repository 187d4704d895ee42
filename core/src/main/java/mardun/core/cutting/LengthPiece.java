package mardun.core.cutting;

import mardun.core.measure.Length;

/**
 * A kind of piece that is cut from a roll by its length.
 *
 * @param length of each, above zero
 * @param count how many, one or more
 */
public record LengthPiece(String letter, String name, Length length, long count) {

    public LengthPiece {
        if (!length.isPositive() || count < 1) {
            throw new IllegalArgumentException("a piece has a length, and there is one or more of it: " + letter);
        }
    }

    /** The same kind of piece, so many of them. */
    LengthPiece times(long other) {
        return new LengthPiece(letter, name, length, other);
    }

    /** All of them one after another. */
    public Length together() {
        return length.times(count);
    }
}
