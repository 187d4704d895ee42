package mardun.core.nesting;

import java.util.List;
import mardun.core.design.Point;

/**
 * A closed line with straight sides, lying against the left and the top edge of its own rectangle.
 *
 * @param points its corners, three or more, in millimetres
 */
public record Contour(List<Point> points) {

    private static final int FEWEST = 3;

    public Contour {
        if (points.size() < FEWEST) {
            throw new IllegalArgumentException("a closed line has three corners or more, not " + points.size());
        }
        double left = points.stream().mapToDouble(Point::x).min().orElse(0);
        double top = points.stream().mapToDouble(Point::y).min().orElse(0);
        points = points.stream().map(point -> point.plus(-left, -top)).toList();
    }

    /** How wide its rectangle is. */
    public double width() {
        return points.stream().mapToDouble(Point::x).max().orElse(0);
    }

    /** How high its rectangle is. */
    public double height() {
        return points.stream().mapToDouble(Point::y).max().orElse(0);
    }

    /** What it encloses, in square millimetres. */
    public double area() {
        double twice = 0;
        for (int i = 0; i < points.size(); i++) {
            Point one = points.get(i);
            Point next = points.get((i + 1) % points.size());
            twice += one.x() * next.y() - next.x() * one.y();
        }
        return Math.abs(twice) / 2;
    }

    /** How long it is. */
    public double length() {
        double length = 0;
        for (int i = 0; i < points.size(); i++) {
            length += points.get(i).distance(points.get((i + 1) % points.size()));
        }
        return length;
    }

    /** The same as it lies after so many quarter turns with the clock. */
    public Contour turned(int quarters) {
        return switch (Math.floorMod(quarters, 4)) {
            case 1 -> of(points.stream().map(p -> new Point(-p.y(), p.x())).toList());
            case 2 -> of(points.stream().map(p -> new Point(-p.x(), -p.y())).toList());
            case 3 -> of(points.stream().map(p -> new Point(p.y(), -p.x())).toList());
            default -> this;
        };
    }

    /** The same with its sides so many times as long. */
    public Contour scaled(double across, double along) {
        return of(points.stream()
                .map(p -> new Point(p.x() * across, p.y() * along))
                .toList());
    }

    private static Contour of(List<Point> points) {
        return new Contour(points);
    }

    /** Whether a point lies inside. */
    public boolean holds(double x, double y) {
        boolean inside = false;
        for (int i = 0; i < points.size(); i++) {
            Point a = points.get(i);
            Point b = points.get((i + 1) % points.size());
            if (a.y() > y != b.y() > y && x < a.x() + (b.x() - a.x()) * (y - a.y()) / (b.y() - a.y())) {
                inside = !inside;
            }
        }
        return inside;
    }

    /** How far a point lies from the line. */
    public double distance(double x, double y) {
        double nearest = Double.MAX_VALUE;
        for (int i = 0; i < points.size(); i++) {
            nearest = Math.min(nearest, distance(x, y, points.get(i), points.get((i + 1) % points.size())));
        }
        return nearest;
    }

    private static double distance(double x, double y, Point a, Point b) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double square = dx * dx + dy * dy;
        double along = square == 0 ? 0 : Math.max(0, Math.min(1, ((x - a.x()) * dx + (y - a.y()) * dy) / square));
        return Math.hypot(x - a.x() - along * dx, y - a.y() - along * dy);
    }
}
