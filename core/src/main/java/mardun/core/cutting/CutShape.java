package mardun.core.cutting;

import mardun.core.design.Outline;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.nesting.Contour;

/**
 * The true shape of a piece.
 *
 * @param outline as the design draws it
 * @param drawn the rectangle in which it is drawn there; a cloth that shrinks after cutting has it cut larger
 */
public record CutShape(Outline outline, Extent drawn) {

    /** How far a straight part may lie from the arc that it stands for, in millimetres. */
    private static final double FLAT = 0.05;

    /** The line along which it is cut from a rectangle of this size. */
    public Contour contour(Extent cut) {
        return new Contour(outline.points(FLAT))
                .scaled(share(cut.width(), drawn.width()), share(cut.height(), drawn.height()));
    }

    private static double share(Length of, Length whole) {
        return (double) of.nanometres() / whole.nanometres();
    }
}
