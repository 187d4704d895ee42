package mardun.core.cutting;

import mardun.core.measure.Area;
import mardun.core.measure.Extent;

/**
 * A kind of piece to be cut from a cloth.
 *
 * @param count how many, one or more
 * @param mayTurn it may lie across the grain: it has no top
 */
public record CutPiece(String letter, String name, Extent extent, long count, boolean mayTurn) {

    /** The area of all of them. */
    Area area() {
        return extent.area().times(count);
    }

    /** The same kind of piece, so many of them. */
    public CutPiece times(long other) {
        return new CutPiece(letter, name, extent, other, mayTurn);
    }
}
