package mardun.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mardun.core.design.Outline.Corner;

/**
 * The line that runs beside an outline, as far from each edge as its allowance is: inside where it is sewn, outside where it is cut. Parts
 * that a tight curve or a narrow place leaves no room for fall away.
 */
final class Parallel {

    private static final double ALMOST_NOTHING = 1e-9;

    private final List<Part> parts = new ArrayList<>();

    /**
     * @param aside in millimetres, by the edge: {@code top}; of one that isn't there 0; less than nothing lies outside
     * @param flat how far straight parts may lie from the arcs that they stand for, in millimetres
     */
    Parallel(Outline outline, Map<String, Double> aside, double flat) {
        List<Corner> corners = outline.corners();
        for (int i = 0; i < corners.size(); i++) {
            Corner to = corners.get(i);
            Corner before = corners.get((i + corners.size() - 1) % corners.size());
            double by = aside.getOrDefault(to.side().key(), 0.0);
            List<Point> line = to.from(before, flat);
            for (int j = 1; j < line.size(); j++) {
                add(line.get(j - 1), line.get(j), by, to.side());
            }
        }
        dropTurnedBack();
    }

    /**
     * A straight part of an outline.
     *
     * @param end where it ended on the outline
     * @param from where it begins, moved aside
     * @param to where it ends, moved aside
     */
    private record Part(Point end, Point from, Point to, double by, Outline.Side side) {

        double dx() {
            return to.x() - from.x();
        }

        double dy() {
            return to.y() - from.y();
        }

        /** The angle to the next one's direction, in parts of which only the sign and the order matter. */
        double cosine(Part next) {
            return (dx() * next.dx() + dy() * next.dy()) / Math.hypot(dx(), dy()) / Math.hypot(next.dx(), next.dy());
        }
    }

    /**
     * A part that is left, up to where it meets its neighbours.
     *
     * @param by how far aside it lies
     */
    record Line(Point from, Point to, double by, Outline.Side side) {}

    /** Inside is to the right, since an outline goes round with the clock. */
    private void add(Point a, Point b, double by, Outline.Side side) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double length = Math.hypot(dx, dy);
        if (length >= ALMOST_NOTHING) {
            parts.add(new Part(
                    b,
                    a.plus(-dy / length * by, dx / length * by),
                    b.plus(-dy / length * by, dx / length * by),
                    by,
                    side));
        }
    }

    private Part part(int index) {
        return parts.get(Math.floorMod(index, parts.size()));
    }

    /** One after another, the one that is turned back most first: without it the next ones may have room. */
    private void dropTurnedBack() {
        while (parts.size() > 2) {
            int worst = -1;
            double least = 0;
            for (int i = 0; i < parts.size(); i++) {
                double forward = forward(i);
                if (forward < least) {
                    least = forward;
                    worst = i;
                }
            }
            if (worst < 0) {
                return;
            }
            parts.remove(worst);
        }
    }

    /** How far a part still goes its way between its neighbours. */
    private double forward(int index) {
        Part part = part(index);
        Point from = meeting(part(index - 1), part);
        Point to = meeting(part, part(index + 1));
        return ((to.x() - from.x()) * part.dx() + (to.y() - from.y()) * part.dy()) / Math.hypot(part.dx(), part.dy());
    }

    /** Where two parts meet; where they go the same way, the begin of the second. */
    private static Point meeting(Part first, Part second) {
        double cross = first.dx() * second.dy() - first.dy() * second.dx();
        double scale = Math.hypot(first.dx(), first.dy()) * Math.hypot(second.dx(), second.dy());
        if (Math.abs(cross) < scale * 1e-6) {
            return second.from();
        }
        double t = ((second.from().x() - first.from().x()) * second.dy()
                        - (second.from().y() - first.from().y()) * second.dx())
                / cross;
        return first.from().plus(first.dx() * t, first.dy() * t);
    }

    /** The line, part by part. */
    List<Line> lines() {
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            Part part = part(i);
            Point from = meeting(part(i - 1), part);
            Point to = meeting(part, part(i + 1));
            if ((to.x() - from.x()) * part.dx() + (to.y() - from.y()) * part.dy() > 0) {
                lines.add(new Line(from, to, part.by(), part.side()));
            }
        }
        return lines;
    }

    /** The line as an outline of its own, its sharp corners cut as is said. */
    Outline outline(DrawnOutline.Tips tips) {
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            Part part = part(i);
            Part next = part(i + 1);
            Point meeting = meeting(part, next);
            List<Point> tip = tips == DrawnOutline.Tips.CLIPPED ? clipped(part, next, meeting) : List.of(meeting);
            corners.add(new Corner(tip.get(0).x(), tip.get(0).y(), 0, 0, part.side()));
            tip.stream().skip(1).forEach(point -> corners.add(new Corner(point.x(), point.y(), 0, 0, next.side())));
        }
        return new Outline(corners);
    }

    /** A corner sharper than a right angle, cut across as far beyond the seam's corner as the wider allowance. */
    private static List<Point> clipped(Part part, Part next, Point tip) {
        double beyond = Math.max(Math.abs(part.by()), Math.abs(next.by()));
        double reach = tip.distance(part.end());
        boolean isOutwards = part.dx() * next.dy() - part.dy() * next.dx() > 0;
        if (!isOutwards || part.cosine(next) >= -1e-9 || reach <= beyond) {
            return List.of(tip);
        }
        double ux = (tip.x() - part.end().x()) / reach;
        double uy = (tip.y() - part.end().y()) / reach;
        double back = reach - beyond;
        return List.of(along(part, tip, ux, uy, back), along(next, tip, ux, uy, back));
    }

    /** The point of a part's line that lies so far back from a tip, measured in the tip's direction. */
    private static Point along(Part part, Point tip, double ux, double uy, double back) {
        double share = back / (part.dx() * ux + part.dy() * uy);
        return tip.plus(-part.dx() * share, -part.dy() * share);
    }
}
