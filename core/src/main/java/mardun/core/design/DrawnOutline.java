package mardun.core.design;

import java.util.List;

/**
 * An outline drawn by hand, point by point, round the piece; an ear, a flap, a side that bulges.
 *
 * @param points in their order round the piece, in either direction
 * @param mirrored only the right half is drawn, from the middle of the top to the middle of the bottom; the left is its mirror image
 * @param line whether the points lie where it is cut, or where it is sewn; the cut then lies outside by each edge's allowance
 * @param tips of an outline that is drawn where it is sewn: how corners sharper than a right angle are cut
 * @param tallerAt formula: how far below the topmost point the paper is cut across to make it taller; empty where it isn't
 * @param tallerBy formula: how much is let in there
 */
public record DrawnOutline(
        List<DrawnPoint> points, boolean mirrored, Line line, Tips tips, String tallerAt, String tallerBy) {

    /** The most points that an outline may have. */
    public static final int MOST_POINTS = 60;

    /** Which line is drawn. */
    public enum Line {
        CUT,
        SEWN
    }

    /** How a sharp corner is cut outside its seam. */
    public enum Tips {
        /** As far as both edges run until they meet. */
        MITRED,
        /** Across, as far beyond the corner of the seam as the allowance is wide. */
        CLIPPED
    }

    /**
     * One of its points. Formulas may name {@code piece_width}, {@code piece_height}, and {@code drawn_height}: that less what is let in.
     *
     * @param across formula: from the left of the piece, or, mirrored, from its middle to the right
     * @param down formula: from the top of the piece
     * @param curved whether the line that leads here is a curve
     * @param corner whether a curve may break here; else it runs through, and goes on from a straight line without a kink
     * @param side which edge the line that leads here belongs to
     */
    public record DrawnPoint(String across, String down, boolean curved, boolean corner, Outline.Side side) {}

    public DrawnOutline {
        points = List.copyOf(points);
    }
}
