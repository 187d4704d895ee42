package mardun.core.picture;

import java.util.List;
import mardun.core.design.BagPart;

/**
 * A finished bag as it stands on a table, seen from the front, a little from the right and from above: what is drawn, from the back
 * to the front. Millimetres from the top left corner, as floating point, since nothing is measured from it.
 */
public record BagPicture(double width, double height, List<Part> parts) {

    /** What a part of the picture is. */
    public enum Look {
        /** Cloth with its print, as the frame lays it. */
        CLOTH,
        /** Cloth seen inside the bag, in its shade. */
        INSIDE,
        /** A strap, a cord or a ribbon: a line as wide as its stroke. */
        STRIP,
        /** A line of stitches. */
        STITCHES,
        /** The edge of cloth or of a fold. */
        EDGE,
        /** The teeth of a zip. */
        TEETH,
        /** Something of metal: a slider, a snap, a ring. */
        METAL,
        /** A maker's label. */
        LABEL
    }

    /**
     * A part of the picture.
     *
     * @param of the part of the bag that it belongs to
     * @param path an SVG path in millimetres
     * @param slot what it is made of, by the design's slot; empty where that doesn't matter
     * @param frame where a millimetre across and a millimetre down on the cloth lie on the picture, and the cloth's corner
     * @param stroke how wide a strip is
     * @param shade from 0 in full light to 1
     */
    public record Part(Look look, BagPart of, String path, String slot, Frame frame, double stroke, double shade) {}

    /** How a plane lies on the picture: an SVG matrix. */
    public record Frame(double a, double b, double c, double d, double e, double f) {

        static final Frame PLAIN = new Frame(1, 0, 0, 1, 0, 0);

        double x(double u, double v) {
            return a * u + c * v + e;
        }

        double y(double u, double v) {
            return b * u + d * v + f;
        }
    }

    public BagPicture {
        parts = List.copyOf(parts);
    }
}
