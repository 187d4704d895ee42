package mardun.core.design;

import java.util.List;
import java.util.Optional;

/**
 * A face that is sewn together from parts before anything else happens to it. Its size along the direction is the sum of
 * its parts less the allowances at each join, plus what shows of the zips between them.
 *
 * @param parts in order, from the top down or from left to right
 * @param join formula of the allowance at a join
 * @param trimTo what an over-size panel is trimmed to
 */
public record Panel(
        String letter,
        String name,
        Direction direction,
        List<Part> parts,
        String join,
        Optional<Piece.TrimTo> trimTo,
        List<Mark> marks) {

    /** Which way the parts follow one another. */
    public enum Direction {
        DOWN,
        ACROSS
    }

    /** How a part lies across its panel. */
    public enum Hang {
        FLAT,
        GATHERED
    }

    /**
     * A piece, another panel, a zip that is seen, or a tuck that is laid there.
     *
     * @param letter of the piece, the panel or the zip; empty for a tuck
     * @param shows formula of what shows of a zip; empty for anything else
     * @param tuck formula of the depth of a tuck or a pleat, which takes twice that; empty for anything else
     * @param hang whether it lies flat across the panel or is gathered to what the others measure
     * @param slant formula of how much further its seam with the next part lies on one side than on the other; empty for a
     *     seam straight across
     */
    public record Part(String letter, String shows, String tuck, Hang hang, String slant) {

        /** Designs that were stored before panels had tucks, gathers and slanted seams say nothing about them. */
        public Part {
            tuck = tuck == null ? "" : tuck;
            hang = hang == null ? Hang.FLAT : hang;
            slant = slant == null ? "" : slant;
        }

        public Part(String letter, String shows) {
            this(letter, shows, "", Hang.FLAT, "");
        }

        boolean isGathered() {
            return hang == Hang.GATHERED;
        }

        boolean isTuck() {
            return !tuck.isEmpty();
        }

        boolean isZip() {
            return !shows.isEmpty();
        }
    }

    public Panel {
        parts = List.copyOf(parts);
        marks = List.copyOf(marks);
    }
}
