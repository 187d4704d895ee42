package mardun.core.design;

import java.util.List;
import mardun.core.construction.StrapSchool;

/**
 * How a strap is made and what it has to fit, as formulas; what doesn't apply stays empty.
 *
 * @param of the letter of the piece or the trim
 * @param width finished width
 * @param seam of a tube or a facing
 * @param ring inner width of the ring, clip or slider it goes through
 * @param shortest the shortest that serves, where it is tried on
 * @param longest the longest that serves
 * @param choice the symbol of the choice that its school follows; empty where it is always made the same way
 * @param schools how it is made for each option of that choice: folded in four for a thin cloth, one layer for a thick one
 */
public record Strap(
        String of,
        StrapSchool school,
        String width,
        String seam,
        String ring,
        String shortest,
        String longest,
        String choice,
        List<StrapSchool> schools) {

    /** Designs that were stored before straps followed choices say nothing about them. */
    public Strap {
        choice = choice == null ? "" : choice;
        schools = schools == null ? List.of() : List.copyOf(schools);
    }

    boolean followsAChoice() {
        return !choice.isBlank();
    }
}
