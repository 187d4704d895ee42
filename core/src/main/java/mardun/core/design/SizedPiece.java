package mardun.core.design;

import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Figure;

/** A piece of one size with its cut size: outlines rounded up to the nanometre, interfacing down. */
public record SizedPiece(Piece piece, Figure<Length> width, Figure<Length> height) {

    public Extent extent() {
        return new Extent(width.value(), height.value());
    }
}
