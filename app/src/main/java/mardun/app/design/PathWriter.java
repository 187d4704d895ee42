package mardun.app.design;

import java.util.Locale;
import java.util.Map;
import mardun.core.design.Outline;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/** Writes outlines as SVG paths in millimetres. */
final class PathWriter {

    private PathWriter() {}

    static String path(Outline outline) {
        StringBuilder path = new StringBuilder();
        for (Outline.Corner corner : outline.corners()) {
            if (path.isEmpty()) {
                path.append(String.format(Locale.ROOT, "M%.2f %.2f", corner.x(), corner.y()));
            } else if (corner.radius() > 0) {
                path.append(String.format(
                        Locale.ROOT,
                        "A%.2f %.2f 0 0 1 %.2f %.2f",
                        corner.radius(),
                        corner.radius(),
                        corner.x(),
                        corner.y()));
            } else {
                path.append(String.format(Locale.ROOT, "L%.2f %.2f", corner.x(), corner.y()));
            }
        }
        return path + "Z";
    }

    /** The stitch lines of the edges whose allowance is stated, each along its edge; a fold has none. */
    static String seams(double width, double height, Map<String, Length> allowances) {
        StringBuilder path = new StringBuilder();
        allowances.forEach((side, allowance) -> {
            double in = millimetres(allowance);
            if (in > 0) {
                path.append(
                        switch (side) {
                            case "top" -> line(0, in, width, in);
                            case "bottom" -> line(0, height - in, width, height - in);
                            case "left" -> line(in, 0, in, height);
                            default -> line(width - in, 0, width - in, height);
                        });
            }
        });
        return path.toString();
    }

    private static String line(double x1, double y1, double x2, double y2) {
        return String.format(Locale.ROOT, "M%.2f %.2fL%.2f %.2f", x1, y1, x2, y2);
    }

    static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }
}
