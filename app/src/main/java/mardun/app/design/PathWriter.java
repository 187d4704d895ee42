package mardun.app.design;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import mardun.core.design.Outline;
import mardun.core.design.Point;
import mardun.core.design.StitchLines;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/** Writes outlines as SVG paths in millimetres. */
final class PathWriter {

    private PathWriter() {}

    static String path(Outline outline) {
        StringBuilder path = new StringBuilder();
        List<Outline.Corner> corners = outline.corners();
        Outline.Corner first = corners.get(0);
        point(path.append('M'), first.x(), first.y());
        // Closing it draws a straight line; an arc that leads back is drawn before.
        List<Outline.Corner> others = corners.subList(1, corners.size());
        List<Outline.Corner> last = first.isArc() ? List.of(first) : List.of();
        for (Outline.Corner corner :
                Stream.concat(others.stream(), last.stream()).toList()) {
            if (corner.isArc()) {
                point(path.append('A'), Math.abs(corner.radiusAcross()), Math.abs(corner.radiusAlong()));
                point(path.append(corner.bulgesInwards() ? " 0 0 0 " : " 0 0 1 "), corner.x(), corner.y());
            } else {
                point(path.append('L'), corner.x(), corner.y());
            }
        }
        return path.append('Z').toString();
    }

    /** The stitch lines of the edges whose allowance is stated, each inside its edge; a fold has none. */
    static String seams(Outline outline, Map<String, Length> allowances) {
        Map<String, Double> inside = new HashMap<>();
        allowances.forEach((side, allowance) -> inside.put(side, millimetres(allowance)));
        return lines(StitchLines.of(outline, inside));
    }

    /** A rectangle in the middle of another one. */
    static String inTheMiddle(Extent inner, double width, double height) {
        double left = (width - millimetres(inner.width())) / 2;
        double top = (height - millimetres(inner.height())) / 2;
        return lines(List.of(List.of(
                        new Point(left, top),
                        new Point(width - left, top),
                        new Point(width - left, height - top),
                        new Point(left, height - top))))
                + "Z";
    }

    /** Lines through points. */
    static String lines(List<List<Point>> lines) {
        StringBuilder path = new StringBuilder();
        lines.forEach(line -> {
            char command = 'M';
            for (Point point : line) {
                point(path.append(command), point.x(), point.y());
                command = 'L';
            }
        });
        return path.toString();
    }

    private static void point(StringBuilder path, double x, double y) {
        hundredths(path, x);
        path.append(' ');
        hundredths(path, y);
    }

    /** A number with two decimals and a point, in every country; a preview writes thousands of them. */
    private static void hundredths(StringBuilder path, double number) {
        long rounded = Math.round(Math.abs(number) * 100);
        if (number < 0 && rounded > 0) {
            path.append('-');
        }
        path.append(rounded / 100).append('.');
        long decimals = rounded % 100;
        path.append(decimals < 10 ? "0" : "").append(decimals);
    }

    static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }
}
