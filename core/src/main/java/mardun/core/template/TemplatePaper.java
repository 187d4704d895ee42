package mardun.core.template;

/**
 * Paper that templates are printed on.
 *
 * @param width of a page
 * @param height of a page; of paper from a roll as much as is needed
 * @param fromRoll it comes from a roll, so all is on one page
 */
public record TemplatePaper(double width, double height, boolean fromRoll) {

    /** What a printer leaves free along each edge, with some to spare. */
    public static final double MARGIN = 9;

    /** How much of a page is drawn once more on the next one. */
    public static final double OVERLAP = 12;

    /** The narrowest roll that is of any use. */
    public static final double NARROWEST = 200;

    /** The widest that a copy shop has. */
    public static final double WIDEST = 1600;

    public static final TemplatePaper A4 = new TemplatePaper(210, 297, false);
    public static final TemplatePaper LETTER = new TemplatePaper(215.9, 279.4, false);

    /** Paper of a roll. */
    public static TemplatePaper roll(double width) {
        return new TemplatePaper(width, 0, true);
    }

    /** How much of the plane a page shows across. */
    double windowAcross() {
        return width - 2 * MARGIN;
    }

    double windowDown() {
        return height - 2 * MARGIN;
    }
}
