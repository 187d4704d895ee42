package mardun.core.design;

/**
 * What is cut away from a piece's rectangle. The rectangle is what the cloth must hold.
 *
 * @param across formula: width of a cut-out or a notch, radius of rounded corners, or how far each tapered side leans in;
 *     empty where the kind asks for nothing
 * @param along formula: height of a cut-out, depth of a notch; empty where the kind asks for nothing
 */
public record Shape(Kind kind, Place place, String across, String along) {

    public static final Shape RECTANGLE = new Shape(Kind.RECTANGLE, Place.BOTTOM, "", "");

    public static final Shape CIRCLE = new Shape(Kind.CIRCLE, Place.BOTH, "", "");

    /** The kinds of shapes. */
    public enum Kind {
        RECTANGLE(false, false),
        CORNERS_CUT(true, true),
        NOTCHED(true, true),
        ROUNDED(true, false),
        TAPERED(true, false),
        CIRCLE(false, false);

        private final boolean asksAcross;
        private final boolean asksAlong;

        Kind(boolean asksAcross, boolean asksAlong) {
            this.asksAcross = asksAcross;
            this.asksAlong = asksAlong;
        }

        public boolean asksAcross() {
            return asksAcross;
        }

        public boolean asksAlong() {
            return asksAlong;
        }
    }

    /** At which end of the piece. */
    public enum Place {
        TOP,
        BOTTOM,
        BOTH;

        boolean isAtTop() {
            return this != BOTTOM;
        }

        boolean isAtBottom() {
            return this != TOP;
        }
    }
}
