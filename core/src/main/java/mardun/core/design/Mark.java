package mardun.core.design;

import java.util.Optional;

/**
 * Something marked on a piece or a panel: where it is folded, where a pocket or hardware goes, where the gap stays open.
 * Positions are formulas that may also use {@code piece_width} and {@code piece_height}; an empty text is not given.
 *
 * @param across from the left edge
 * @param down from the top edge
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
        Half half) {

    /** What is marked. */
    public enum Kind {
        FOLD_LINE("fold"),
        CENTRE("centre"),
        POCKET("pocket"),
        HARDWARE("hardware"),
        GAP("gap"),
        NOTCH("notch");

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
        return new Mark(kind, label, from, across, down, "", "", Optional.empty(), Half.WHOLE);
    }

    public Mark sized(String newWidth, String newHeight) {
        return new Mark(kind, label, from, across, down, newWidth, newHeight, pair, half);
    }

    /** One half of a fastener that closes with the other half of the same name. */
    public Mark halfOf(String name, Half which) {
        return new Mark(kind, label, from, across, down, width, height, Optional.of(name), which);
    }
}
