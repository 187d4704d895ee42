package mardun.core.design;

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
 */
public record Strap(
        String of, StrapSchool school, String width, String seam, String ring, String shortest, String longest) {}
