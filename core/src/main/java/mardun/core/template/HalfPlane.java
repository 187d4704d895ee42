package mardun.core.template;

import java.util.ArrayList;
import java.util.List;
import mardun.core.design.Point;

/**
 * One side of a straight line: of a piece that is cut on the fold, the half that is drawn.
 *
 * @param across left of a line that goes down; else above one that goes across
 * @param at where that line is
 */
record HalfPlane(boolean across, double at) {

    private double beyond(Point point) {
        return (across ? point.x() : point.y()) - at;
    }

    boolean holds(Point point) {
        return beyond(point) <= 1e-9;
    }

    private Point crossing(Point one, Point other) {
        double share = beyond(one) / (beyond(one) - beyond(other));
        Point between = one.plus(share * (other.x() - one.x()), share * (other.y() - one.y()));
        return across ? new Point(at, between.y()) : new Point(between.x(), at);
    }

    /** What of an open line lies on this side. */
    List<List<Point>> part(List<Point> line) {
        List<List<Point>> parts = new ArrayList<>();
        List<Point> current = new ArrayList<>();
        for (int i = 0; i < line.size(); i++) {
            Point point = line.get(i);
            if (i > 0 && holds(point) != holds(line.get(i - 1))) {
                current.add(crossing(line.get(i - 1), point));
            }
            if (holds(point)) {
                current.add(point);
            } else {
                keep(current, parts);
                current = new ArrayList<>();
            }
        }
        keep(current, parts);
        return parts;
    }

    private static void keep(List<Point> current, List<List<Point>> parts) {
        if (current.size() > 1) {
            parts.add(current);
        }
    }

    /** What of a closed line lies on this side, open where it was cut through; closed where all of it does. */
    List<List<Point>> partOfClosed(List<Point> corners) {
        int begin = 0;
        while (begin < corners.size() && holds(corners.get(begin))) {
            begin++;
        }
        List<Point> round = new ArrayList<>();
        for (int i = 0; i <= corners.size(); i++) {
            round.add(corners.get((begin + i) % corners.size()));
        }
        return part(round);
    }
}
