package mardun.core.design;

import mardun.core.material.Ware;

/**
 * What is bought by length.
 *
 * @param letter its mark, unique among pieces, panels and trims
 * @param quantity formula: how many one bag takes
 * @param length formula of each one's length, without what is turned under
 * @param turnUnder formula of what is turned under at each end; empty for nothing
 * @param shortest formula of the shortest that serves where it is tried on; empty where it has one length
 * @param longest formula of the longest that serves; empty where it has one length
 */
public record TrimNeed(
        String letter,
        String name,
        Kind kind,
        String slot,
        String quantity,
        String length,
        String turnUnder,
        String shortest,
        String longest) {

    /** What kind of trim it is. */
    public enum Kind {
        ZIP(Ware.ZIP_TAPE),
        WEBBING(Ware.WEBBING),
        CORD(Ware.CORD),
        RIBBON(Ware.RIBBON),
        ELASTIC(Ware.ELASTIC),
        BINDING(Ware.BINDING),
        STIFFENER(Ware.STIFFENER);

        private final Ware ware;

        Kind(Ware ware) {
            this.ware = ware;
        }

        /** What it is bought as, by length. */
        public Ware ware() {
            return ware;
        }

        /** Whether it can strangle: such things don't belong on a child's bag without a closer look. */
        boolean isStringy() {
            return this == CORD || this == RIBBON;
        }
    }

    /** The same, so long as the formula says, with nothing more turned under. */
    public TrimNeed asLongAs(String formula) {
        return new TrimNeed(letter, name, kind, slot, quantity, formula, "", shortest, longest);
    }

    /** A trim of one length, with nothing turned under. */
    public static TrimNeed of(String letter, String name, Kind kind, String slot, String quantity, String length) {
        return new TrimNeed(letter, name, kind, slot, quantity, length, "", "", "");
    }
}
