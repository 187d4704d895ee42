package mardun.app.design;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import mardun.core.design.Outline;
import mardun.core.design.StitchLines;
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
            } else if (corner.isArc()) {
                path.append(String.format(
                        Locale.ROOT,
                        "A%.2f %.2f 0 0 1 %.2f %.2f",
                        corner.radiusAcross(),
                        corner.radiusAlong(),
                        corner.x(),
                        corner.y()));
            } else {
                path.append(String.format(Locale.ROOT, "L%.2f %.2f", corner.x(), corner.y()));
            }
        }
        return path + "Z";
    }

    /** The stitch lines of the edges whose allowance is stated, each inside its edge; a fold has none. */
    static String seams(Outline outline, Map<String, Length> allowances) {
        Map<String, Double> inside = new HashMap<>();
        allowances.forEach((side, allowance) -> inside.put(side, millimetres(allowance)));
        StringBuilder path = new StringBuilder();
        StitchLines.of(outline, inside).forEach(line -> {
            char command = 'M';
            for (StitchLines.Point point : line) {
                path.append(String.format(Locale.ROOT, "%s%.2f %.2f", command, point.x(), point.y()));
                command = 'L';
            }
        });
        return path.toString();
    }

    static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }
}
