package mardun.core.design;

import java.util.Optional;

/**
 * What is cut away from a piece's rectangle; several may be combined, as long as each is about another part of it. The rectangle
 * is what the cloth must hold.
 *
 * @param across formula: width of a cut-out, a slant or a notch, radius of rounded corners, or how far each tapered side leans
 *     in; empty where the kind asks for nothing
 * @param along formula: height of a cut-out or a slant, depth of a notch; of rounded corners the height of the curve, empty
 *     where it is as high as it is wide
 * @param drawn of an outline that is drawn by hand
 */
public record Shape(Kind kind, Place place, String across, String along, Optional<DrawnOutline> drawn) {

    /** A shape that is told by its measures. */
    public Shape(Kind kind, Place place, String across, String along) {
        this(kind, place, across, along, Optional.empty());
    }

    /** An outline that is drawn by hand. */
    public static Shape drawn(DrawnOutline outline) {
        return new Shape(Kind.DRAWN, Place.BOTH, "", "", Optional.of(outline));
    }

    public static final Shape CIRCLE = new Shape(Kind.CIRCLE, Place.BOTH, "", "");

    /** Which part of a piece a shape is about. */
    public enum Part {
        CORNERS("the corners"),
        MIDDLE("the middle of an end"),
        SIDES("the sides"),
        WHOLE("the whole piece");

        private final String words;

        Part(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /** The kinds of shapes. */
    public enum Kind {
        /** Nothing is cut away. */
        RECTANGLE(Part.WHOLE, false, false),
        CORNERS_CUT(Part.CORNERS, true, true),
        /** Corners cut off on a slant; where they meet in the middle, the end is a point: an ear. */
        SLANTED(Part.CORNERS, true, true),
        /** Round corners; where they meet in the middle, the end is half a round: a flap. */
        ROUNDED(Part.CORNERS, true, false),
        NOTCHED(Part.MIDDLE, true, true),
        TAPERED(Part.SIDES, true, false),
        CIRCLE(Part.WHOLE, false, false),
        OVAL(Part.WHOLE, false, false),
        /** A circle as wide as the piece, cut straight at one end. */
        CIRCLE_WITH_FLAT(Part.WHOLE, false, false),
        /** An outline drawn by hand. */
        DRAWN(Part.WHOLE, false, false);

        private final Part part;
        private final boolean asksAcross;
        private final boolean asksAlong;

        Kind(Part part, boolean asksAcross, boolean asksAlong) {
            this.part = part;
            this.asksAcross = asksAcross;
            this.asksAlong = asksAlong;
        }

        Part part() {
            return part;
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
        TOP("at the top"),
        BOTTOM("at the bottom"),
        BOTH("at both ends");

        private final String words;

        Place(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }

        boolean isAtTop() {
            return this != BOTTOM;
        }

        boolean isAtBottom() {
            return this != TOP;
        }

        boolean meets(Place other) {
            return isAtTop() && other.isAtTop() || isAtBottom() && other.isAtBottom();
        }
    }

    /** Whether both are about the same part of a piece, so that they can't be combined. */
    boolean clashesWith(Shape other) {
        boolean whole = kind.part() == Part.WHOLE || other.kind.part() == Part.WHOLE;
        return whole || (kind.part() == other.kind.part() && place.meets(other.place));
    }
}
