package mardun.app.paper;

import java.util.Locale;
import java.util.function.Function;

/** Drawings within HTML that is printed: readable in black and white, with strokes that are as thick on the paper whatever the scale. */
public final class PaperSvg {

    public static final String INK = "#14252e";
    public static final String PAPER = "#ffffff";

    /** Of cloth that nobody has chosen yet. */
    public static final String UNCHOSEN = "#d3dcde";

    /** Lines on paper, in millimetres. */
    public static final double THIN = 0.25;

    public static final double BROAD = 0.7;

    private PaperSvg() {}

    /**
     * A drawing as large as it fits.
     *
     * @param wide how wide the drawing is in its own unit
     * @param high how high
     * @param content is drawn with what a millimetre on the paper is in the drawing's unit
     */
    public static String svg(double wide, double high, double acrossMm, double upMm, Function<Double, String> content) {
        double zoom = Math.min(acrossMm / wide, upMm / high);
        double unit = 1 / zoom;
        double edge = BROAD * unit;
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + number((wide + 2 * edge) * zoom)
                + "mm\" height=\"" + number((high + 2 * edge) * zoom) + "mm\" viewBox=\"" + number(-edge) + " "
                + number(-edge) + " " + number(wide + 2 * edge) + " " + number(high + 2 * edge) + "\">"
                + content.apply(unit) + "</svg>";
    }

    public static String number(double value) {
        return String.format(Locale.ROOT, "%.3f", value);
    }

    /** A path; nothing where it has no points. */
    public static String path(String d, String fill, String stroke, double width, String more) {
        return d.isEmpty()
                ? ""
                : "<path d=\"" + d + "\" fill=\"" + fill + "\" stroke=\"" + stroke + "\" stroke-width=\""
                        + number(width) + "\"" + more + "/>";
    }

    /** What makes a stroke a dashed one. */
    public static String dashes(double... lengths) {
        StringBuilder dashes = new StringBuilder(" stroke-dasharray=\"");
        for (double length : lengths) {
            dashes.append(number(length)).append(' ');
        }
        return dashes.append('"').toString();
    }
}
