package mardun.core.template;

import java.util.ArrayList;
import java.util.List;
import mardun.core.design.Point;

/** A rectangle of a template, in millimetres from the template's upper left corner. */
public record CardArea(double left, double top, double right, double bottom) {

    public double width() {
        return right - left;
    }

    public double height() {
        return bottom - top;
    }

    /** What of an open line lies within it. */
    List<List<Point>> part(List<Point> line) {
        List<List<Point>> parts = new ArrayList<>();
        List<Point> current = new ArrayList<>();
        for (int i = 1; i < line.size(); i++) {
            List<Point> inside = inside(line.get(i - 1), line.get(i));
            if (inside.isEmpty()) {
                continue;
            }
            boolean goesOn =
                    !current.isEmpty() && current.get(current.size() - 1).distance(inside.get(0)) < 1e-9;
            if (!goesOn) {
                current = new ArrayList<>(List.of(inside.get(0)));
                parts.add(current);
            }
            current.add(inside.get(1));
        }
        return parts;
    }

    /** The two ends of what of a straight line lies within it; none where nothing does. */
    private List<Point> inside(Point from, Point to) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double begin = 0;
        double end = 1;
        double[][] sides = {
            {-dx, from.x() - left}, {dx, right - from.x()}, {-dy, from.y() - top}, {dy, bottom - from.y()}
        };
        for (double[] side : sides) {
            if (side[0] == 0 && side[1] < 0) {
                return List.of();
            }
            if (side[0] < 0) {
                begin = Math.max(begin, side[1] / side[0]);
            } else if (side[0] > 0) {
                end = Math.min(end, side[1] / side[0]);
            }
        }
        return begin < end ? List.of(from.plus(begin * dx, begin * dy), from.plus(end * dx, end * dy)) : List.of();
    }

    /** What of the inside of a closed line lies within it, as a closed line. */
    List<Point> partOfClosed(List<Point> corners) {
        List<Point> part = corners;
        part = above(part, -1, 0, -left);
        part = above(part, 1, 0, right);
        part = above(part, 0, -1, -top);
        part = above(part, 0, 1, bottom);
        return part;
    }

    /** The corners of what lies where {@code a x + b y} is at most {@code most}. */
    private static List<Point> above(List<Point> corners, double a, double b, double most) {
        List<Point> kept = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Point from = corners.get((i + corners.size() - 1) % corners.size());
            Point to = corners.get(i);
            double before = a * from.x() + b * from.y() - most;
            double now = a * to.x() + b * to.y() - most;
            if (before < 0 && now > 0 || before > 0 && now < 0) {
                double share = before / (before - now);
                kept.add(from.plus(share * (to.x() - from.x()), share * (to.y() - from.y())));
            }
            if (now <= 0) {
                kept.add(to);
            }
        }
        return kept;
    }
}
