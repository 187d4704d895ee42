package mardun.core.design;

import java.util.List;

/** What a closed line with straight sides holds and how it lies. */
final class Polygon {

    private final List<Point> corners;

    Polygon(List<Point> corners) {
        this.corners = List.copyOf(corners);
    }

    double left() {
        return corners.stream().mapToDouble(Point::x).min().orElse(0);
    }

    double right() {
        return corners.stream().mapToDouble(Point::x).max().orElse(0);
    }

    double top() {
        return corners.stream().mapToDouble(Point::y).min().orElse(0);
    }

    double bottom() {
        return corners.stream().mapToDouble(Point::y).max().orElse(0);
    }

    double width() {
        return right() - left();
    }

    double height() {
        return bottom() - top();
    }

    /** What it encloses; less than nothing where it goes round against the clock. */
    double signedArea() {
        double twice = 0;
        for (int i = 0; i < corners.size(); i++) {
            twice += cross(corner(i), corner(i + 1));
        }
        return twice / 2;
    }

    private static double cross(Point one, Point other) {
        return one.x() * other.y() - other.x() * one.y();
    }

    private Point corner(int index) {
        return corners.get(index % corners.size());
    }

    /** Whether a point lies inside. */
    boolean holds(Point point) {
        boolean inside = false;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corner(i);
            Point b = corner(i + 1);
            if (a.y() > point.y() != b.y() > point.y()
                    && point.x() < a.x() + (b.x() - a.x()) * (point.y() - a.y()) / (b.y() - a.y())) {
                inside = !inside;
            }
        }
        return inside;
    }

    /** Whether two of its sides cross. */
    boolean crossesItself() {
        int n = corners.size();
        for (int i = 0; i < n; i++) {
            for (int j = i + 2; j < n; j++) {
                boolean areNeighbours = i == 0 && j == n - 1;
                if (!areNeighbours && cross(corner(i), corner(i + 1), corner(j), corner(j + 1))) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean cross(Point a, Point b, Point c, Point d) {
        return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
    }

    private static double turn(Point a, Point b, Point c) {
        return Math.signum((b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x()));
    }
}
