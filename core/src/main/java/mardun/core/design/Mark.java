package mardun.core.design;

import java.util.Optional;

/**
 * Something marked on a piece or a panel: where it is folded, where a pocket or hardware goes, where the gap stays open.
 * Positions are formulas that may also use {@code piece_width} and {@code piece_height}; an empty text is not given.
 *
 * @param across how far from where {@code acrossFrom} says; of what has a width, its near edge, or its middle from the centre
 * @param down how far from where {@code downFrom} says, in the same way
 * @param width of a pocket, or of a gap along the top or bottom edge
 * @param height of a pocket, or of a gap along a side
 * @param pair the name that two halves of a snap share; empty for a single one
 */
public record Mark(
        Kind kind,
        String label,
        From from,
        String across,
        String down,
        String width,
        String height,
        Optional<String> pair,
        Half half,
        AcrossFrom acrossFrom,
        DownFrom downFrom,
        Closing closing) {

    /** How the two halves of a fastener come together. */
    public enum Closing {
        /** As the pieces let suppose: two of them face to face, one folded on itself. */
        AS_IT_LIES,
        /** Two faces lie face to face: what is left on one is right on the other. */
        FACE_TO_FACE,
        /** A flap or a strap, hinged at its top, lies down on the face: left stays left. */
        FLAP_OVER,
        /** The piece is folded on itself: left stays left, and from the fold both lie equally far. */
        FOLDED
    }

    /** Where a maker lays the ruler on, across a piece; from the centre to the right. */
    public enum AcrossFrom {
        LEFT,
        CENTRE,
        RIGHT
    }

    /** Where a maker lays the ruler on, along a piece; from the centre downwards. */
    public enum DownFrom {
        TOP,
        CENTRE,
        BOTTOM
    }

    /** What is marked. */
    public enum Kind {
        FOLD_LINE("fold"),
        CENTRE("centre"),
        POCKET("pocket"),
        HARDWARE("hardware"),
        GAP("gap"),
        NOTCH("notch"),
        /** The middle of a part of the cloth's print, whose name the label is; any part where it has none. */
        MOTIF("part of the print");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Which edges a position is measured from. Hardware is measured from finished ones. */
    public enum From {
        RAW,
        FINISHED
    }

    /** Which half of a two-part fastener it is. */
    public enum Half {
        WHOLE,
        SOCKET,
        STUD
    }

    public static Mark at(Kind kind, String label, From from, String across, String down) {
        return new Mark(
                kind,
                label,
                from,
                across,
                down,
                "",
                "",
                Optional.empty(),
                Half.WHOLE,
                AcrossFrom.LEFT,
                DownFrom.TOP,
                Closing.AS_IT_LIES);
    }

    public Mark sized(String newWidth, String newHeight) {
        return new Mark(
                kind, label, from, across, down, newWidth, newHeight, pair, half, acrossFrom, downFrom, closing);
    }

    /** One half of a fastener that closes in that way. */
    public Mark closing(Closing newClosing) {
        return new Mark(kind, label, from, across, down, width, height, pair, half, acrossFrom, downFrom, newClosing);
    }

    /** The same, measured from elsewhere. */
    public Mark measuredFrom(AcrossFrom newAcrossFrom, DownFrom newDownFrom) {
        return new Mark(
                kind, label, from, across, down, width, height, pair, half, newAcrossFrom, newDownFrom, closing);
    }

    /** One half of a fastener that closes with the other half of the same name. */
    public Mark halfOf(String name, Half which) {
        return new Mark(
                kind,
                label,
                from,
                across,
                down,
                width,
                height,
                Optional.of(name),
                which,
                acrossFrom,
                downFrom,
                closing);
    }
}
