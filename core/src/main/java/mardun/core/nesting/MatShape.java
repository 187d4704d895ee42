package mardun.core.nesting;

import mardun.core.cutting.CutPiece;
import mardun.core.design.SizedPiece;
import mardun.core.measure.Length;

/**
 * A kind of shape to be cut on mats.
 *
 * @param key what it is known by
 * @param count how many of it, one or more
 * @param mayTurn it may lie across the grain; every shape may lie upside down only where {@code mayFlip} says so
 * @param mayFlip it may lie with its top down: it has no direction of its own, and its cloth hasn't either
 */
public record MatShape(String key, String name, Contour contour, int count, boolean mayTurn, boolean mayFlip) {

    /** How far a straight part may lie from the arc that it stands for, in millimetres. */
    private static final double FLAT = 0.05;

    /**
     * A piece of a design as a blade goes round it: as large as it is cut from its cloth, larger than the design says where the cloth shrinks
     * afterwards.
     *
     * @param cut as which it is cut
     * @param isDirectional the piece and its cloth both have a top
     */
    public static MatShape of(SizedPiece piece, CutPiece cut, boolean isDirectional) {
        return new MatShape(
                cut.key().toString(),
                cut.name(),
                new Contour(piece.outline().points(FLAT))
                        .scaled(
                                share(cut.extent().width(), piece.extent().width()),
                                share(cut.extent().height(), piece.extent().height())),
                Math.toIntExact(cut.count()),
                cut.mayTurn(),
                !isDirectional);
    }

    /** The same, known by another key. */
    public MatShape known(String other) {
        return new MatShape(other, name, contour, count, mayTurn, mayFlip);
    }

    private static double share(Length of, Length whole) {
        return (double) of.nanometres() / whole.nanometres();
    }

    /** In how many quarter turns it may lie. */
    int[] turns() {
        if (mayTurn) {
            return mayFlip ? new int[] {0, 2, 1, 3} : new int[] {0, 1};
        }
        return mayFlip ? new int[] {0, 2} : new int[] {0};
    }
}
