package mardun.core.design;

/**
 * A point of a drawing, in millimetres from the top left corner.
 *
 * @param x to the right
 * @param y down
 */
public record Point(double x, double y) {

    public Point plus(double dx, double dy) {
        return new Point(x + dx, y + dy);
    }

    public double distance(Point other) {
        return Math.hypot(x - other.x, y - other.y);
    }
}
