package mardun.core.nesting;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mardun.core.design.Point;

/**
 * Two equal shapes in one rectangle, the second upside down, pushed together as near as their outlines let them: two ears, two half circles,
 * two tapered sides. Millimetres from the rectangle's upper left corner.
 *
 * @param width of the rectangle
 * @param height of the rectangle
 * @param first where the shape that stands upright lies
 * @param second where the other one lies
 */
public record HeadToTail(double width, double height, Point first, Point second) {

    /** In rows so high the outlines are compared, and so far at a time one is moved along the other. */
    private static final double STEP = 0.5;

    /** A rectangle that saves less than this share of both isn't worth cutting along two curves. */
    private static final double LEAST_SAVED = 0.05;

    /**
     * The smallest rectangle for two of them; empty where that saves next to nothing over two rectangles.
     *
     * @param gap how far apart they stay, in the direction in which they are pushed together
     */
    public static Optional<HeadToTail> of(Contour contour, double gap) {
        HeadToTail beside = beside(contour, gap);
        HeadToTail above = beside(transposed(contour), gap).transposed();
        HeadToTail best = beside.area() <= above.area() ? beside : above;
        double both = 2 * contour.width() * contour.height();
        return best.area() <= (1 - LEAST_SAVED) * both ? Optional.of(best) : Optional.empty();
    }

    private double area() {
        return width * height;
    }

    private static Contour transposed(Contour contour) {
        return new Contour(
                contour.points().stream().map(p -> new Point(p.y(), p.x())).toList());
    }

    private HeadToTail transposed() {
        return new HeadToTail(height, width, new Point(first.y(), first.x()), new Point(second.y(), second.x()));
    }

    /** The second to the right of the first, at whatever height both take least. */
    private static HeadToTail beside(Contour contour, double gap) {
        Rows upright = Rows.of(contour);
        Rows turned = Rows.of(contour.turned(2));
        int rows = upright.count();
        HeadToTail best = null;
        for (int down = 1 - rows; down < rows; down++) {
            double right = gap + upright.reachInto(turned, down);
            double top = down * STEP;
            HeadToTail one = new HeadToTail(
                    contour.width() + Math.abs(right),
                    contour.height() + Math.abs(top),
                    new Point(Math.max(0, -right), Math.max(0, -top)),
                    new Point(Math.max(0, right), Math.max(0, top)));
            if (best == null || one.area() < best.area()) {
                best = one;
            }
        }
        return best;
    }

    /** Where a shape begins and ends in each of its rows; never less than it takes. */
    private record Rows(double[] left, double[] right) {

        static Rows of(Contour contour) {
            int count = Math.max(1, (int) Math.ceil(contour.height() / STEP - 1e-9));
            Rows rows = new Rows(new double[count], new double[count]);
            Arrays.fill(rows.left, Double.POSITIVE_INFINITY);
            Arrays.fill(rows.right, Double.NEGATIVE_INFINITY);
            List<Point> points = contour.points();
            for (int i = 0; i < points.size(); i++) {
                rows.take(points.get(i), points.get((i + 1) % points.size()));
            }
            return rows;
        }

        int count() {
            return left.length;
        }

        private void take(Point a, Point b) {
            Point upper = a.y() <= b.y() ? a : b;
            Point lower = a.y() <= b.y() ? b : a;
            int first = row(upper.y());
            int last = row(lower.y());
            for (int row = first; row <= last; row++) {
                take(row, at(upper, lower, Math.max(upper.y(), row * STEP)));
                take(row, at(upper, lower, Math.min(lower.y(), (row + 1) * STEP)));
            }
            // A corner that lies on the border of two rows is in both.
            if (first > 0 && upper.y() <= first * STEP) {
                take(first - 1, upper.x());
            }
        }

        private void take(int row, double x) {
            left[row] = Math.min(left[row], x);
            right[row] = Math.max(right[row], x);
        }

        private int row(double y) {
            return Math.max(0, Math.min(count() - 1, (int) Math.floor(y / STEP)));
        }

        private static double at(Point upper, Point lower, double y) {
            double high = lower.y() - upper.y();
            return high == 0 ? lower.x() : upper.x() + (lower.x() - upper.x()) * (y - upper.y()) / high;
        }

        /** How far another has to be moved to the right, so many rows further down, to stay clear of this one. */
        double reachInto(Rows other, int down) {
            double reach = Double.NEGATIVE_INFINITY;
            for (int row = Math.max(0, down); row < Math.min(count(), other.count() + down); row++) {
                reach = Math.max(reach, right[row] - other.left[row - down]);
            }
            return reach;
        }
    }

    /**
     * Both shapes where they lie.
     *
     * @param turned the whole rectangle lies a quarter turn further with the clock
     */
    public List<List<Point>> shapes(Contour contour, boolean turned) {
        return List.of(moved(contour, first, turned), moved(contour.turned(2), second, turned));
    }

    private List<Point> moved(Contour contour, Point to, boolean turned) {
        return contour.points().stream()
                .map(p -> p.plus(to.x(), to.y()))
                .map(p -> turned ? new Point(height - p.y(), p.x()) : p)
                .toList();
    }
}
