package mardun.core.design;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import mardun.core.design.Outline.Corner;
import mardun.core.design.Outline.Side;

/**
 * Draws a closed line through points: straight parts, and curves made of two arcs of a circle each, which lead into one another without a
 * kink. Points on a circle give that circle. All in millimetres.
 */
final class Freehand {

    /** An arc of a larger radius is drawn straight. */
    private static final double STRAIGHT_FROM = 1e5;

    private static final double ALMOST_NOTHING = 1e-9;

    private Freehand() {}

    /**
     * A point of the line.
     *
     * @param curved whether the line that leads here is a curve
     * @param corner whether a curve may break here
     * @param side whose edge the line that leads here is
     */
    record Node(Point at, boolean curved, boolean corner, Side side) {

        Node mirrored(double middle) {
            return new Node(new Point(2 * middle - at.x(), at.y()), curved, corner, side);
        }

        /** The same point, reached by the line that led to another one. */
        Node reachedAs(Node other, Side by) {
            return new Node(at, other.curved, corner, by);
        }
    }

    /**
     * A part of the line.
     *
     * @param radius of its arc, less than nothing where it bulges inwards; 0 if it is straight
     */
    private record Stroke(Point from, Point to, double radius, Side side) {

        Point middle() {
            if (radius == 0) {
                return new Point((from.x() + to.x()) / 2, (from.y() + to.y()) / 2);
            }
            Corner begin = new Corner(from.x(), from.y(), 0, 0, side);
            List<Point> line = new Corner(to.x(), to.y(), radius, radius, side).from(begin, 1);
            return line.get(line.size() / 2);
        }

        Stroke down(double by) {
            return new Stroke(from.plus(0, by), to.plus(0, by), radius, side);
        }
    }

    /** The right half with its mirror image; points in the middle are there once. */
    static List<Node> withMirrorImage(List<Node> half, double middle) {
        List<Node> whole = new ArrayList<>(half);
        for (int i = half.size() - 1; i >= 0; i--) {
            Node node = half.get(i);
            boolean isInTheMiddle = Math.abs(node.at().x() - middle) < 1e-6;
            Node image = node.mirrored(middle);
            if (i == half.size() - 1) {
                // The line across at the end of the half belongs to the bottom.
                if (!isInTheMiddle) {
                    whole.add(new Node(image.at(), false, node.corner(), Side.BOTTOM));
                }
                continue;
            }
            Node reached =
                    image.reachedAs(half.get(i + 1), opposite(half.get(i + 1).side()));
            if (i == 0 && isInTheMiddle) {
                whole.set(0, half.get(0).reachedAs(half.get(1), reached.side()));
            } else {
                whole.add(reached);
            }
        }
        return whole;
    }

    private static Side opposite(Side side) {
        return switch (side) {
            case LEFT -> Side.RIGHT;
            case RIGHT -> Side.LEFT;
            case TOP, BOTTOM -> side;
        };
    }

    /**
     * The line through the points, in their order or, where that goes against the clock, the other way round.
     *
     * @param nodes three or more, or two of which one is reached by a curve
     * @param tallerAt where a strip is let in across, if any is
     * @param tallerBy how high that strip is
     */
    static Outline through(List<Node> nodes, double tallerAt, double tallerBy) {
        List<Stroke> strokes = strokes(withoutRepeated(nodes));
        if (outline(strokes).area() < 0) {
            strokes = strokes(reversed(withoutRepeated(nodes)));
        }
        return outline(tallerBy > 0 ? letIn(strokes, tallerAt, tallerBy) : strokes);
    }

    private static List<Node> withoutRepeated(List<Node> nodes) {
        List<Node> kept = new ArrayList<>();
        for (Node node : nodes) {
            if (kept.isEmpty() || kept.get(kept.size() - 1).at().distance(node.at()) > 1e-6) {
                kept.add(node);
            }
        }
        while (kept.size() > 1
                && kept.get(0).at().distance(kept.get(kept.size() - 1).at()) <= 1e-6) {
            kept.remove(kept.size() - 1);
        }
        return kept;
    }

    private static List<Node> reversed(List<Node> nodes) {
        int n = nodes.size();
        List<Node> back = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Node from = nodes.get((n - i) % n);
            back.add(nodes.get(n - 1 - i).reachedAs(from, from.side()));
        }
        return back;
    }

    private static Outline outline(List<Stroke> strokes) {
        return new Outline(strokes.stream()
                .map(stroke ->
                        new Corner(stroke.to().x(), stroke.to().y(), stroke.radius(), stroke.radius(), stroke.side()))
                .toList());
    }

    private static List<Stroke> strokes(List<Node> nodes) {
        List<Stroke> strokes = new ArrayList<>();
        int n = nodes.size();
        for (int i = 0; i < n; i++) {
            Node to = nodes.get(i);
            Node from = nodes.get((i + n - 1) % n);
            if (!to.curved()) {
                strokes.add(new Stroke(from.at(), to.at(), 0, to.side()));
                continue;
            }
            Optional<Point> begins = direction(nodes, (i + n - 1) % n);
            Optional<Point> ends = direction(nodes, i);
            if (begins.isPresent() && ends.isPresent()) {
                strokes.addAll(twoArcs(from.at(), begins.get(), to.at(), ends.get(), to.side()));
            } else if (begins.isPresent()) {
                strokes.addAll(arc(from.at(), begins.get(), to.at(), to.side()));
            } else if (ends.isPresent()) {
                strokes.addAll(backwards(arc(to.at(), turnedRound(ends.get()), from.at(), to.side())));
            } else {
                strokes.add(new Stroke(from.at(), to.at(), 0, to.side()));
            }
        }
        return strokes;
    }

    /**
     * The direction in which the line runs through a point: on from a straight part, or else that of the circle through it and its
     * neighbours; none at a corner.
     */
    private static Optional<Point> direction(List<Node> nodes, int index) {
        int n = nodes.size();
        Node node = nodes.get(index);
        Node next = nodes.get((index + 1) % n);
        if (node.corner()) {
            return Optional.empty();
        }
        Point in = between(nodes.get((index + n - 1) % n).at(), node.at());
        Point out = between(node.at(), next.at());
        if (!node.curved() && !next.curved()) {
            return Optional.empty();
        }
        if (!node.curved()) {
            return Optional.of(unit(in));
        }
        if (!next.curved()) {
            return Optional.of(unit(out));
        }
        double a = in.x() * in.x() + in.y() * in.y();
        double b = out.x() * out.x() + out.y() * out.y();
        return Optional.of(unit(new Point(in.x() / a + out.x() / b, in.y() / a + out.y() / b)));
    }

    private static Point between(Point from, Point to) {
        return new Point(to.x() - from.x(), to.y() - from.y());
    }

    private static Point unit(Point way) {
        double length = Math.hypot(way.x(), way.y());
        return length < ALMOST_NOTHING ? new Point(1, 0) : new Point(way.x() / length, way.y() / length);
    }

    private static Point turnedRound(Point way) {
        return new Point(-way.x(), -way.y());
    }

    private static double dot(Point a, Point b) {
        return a.x() * b.x() + a.y() * b.y();
    }

    /** Two arcs that meet without a kink, each as long in its direction as the other. */
    private static List<Stroke> twoArcs(Point from, Point begins, Point to, Point ends, Side side) {
        Point way = between(from, to);
        Point both = new Point(begins.x() + ends.x(), begins.y() + ends.y());
        double square = dot(way, way);
        double open = 2 * (1 - dot(begins, ends));
        double along = dot(way, both);
        double reach = open > ALMOST_NOTHING
                ? (-along + Math.sqrt(along * along + open * square)) / open
                : dot(way, ends) > ALMOST_NOTHING ? square / (4 * dot(way, ends)) : 0;
        Point joint = new Point(
                (from.x() + to.x() + reach * (begins.x() - ends.x())) / 2,
                (from.y() + to.y() + reach * (begins.y() - ends.y())) / 2);
        List<Stroke> strokes = new ArrayList<>(arc(from, begins, joint, side));
        strokes.addAll(backwards(arc(to, turnedRound(ends), joint, side)));
        return strokes;
    }

    /** The arc that begins in a direction and leads to a point, in parts of a quarter round at most. */
    private static List<Stroke> arc(Point from, Point begins, Point to, Side side) {
        Point way = between(from, to);
        double cross = begins.x() * way.y() - begins.y() * way.x();
        double square = dot(way, way);
        double radius = square / (2 * cross);
        double sweep = 2 * Math.atan2(cross, dot(begins, way));
        if (square < ALMOST_NOTHING || Math.abs(cross) < ALMOST_NOTHING || Math.abs(radius) > STRAIGHT_FROM) {
            return List.of(new Stroke(from, to, 0, side));
        }
        Point centre = from.plus(-begins.y() * radius, begins.x() * radius);
        double angle = Math.atan2(from.y() - centre.y(), from.x() - centre.x());
        int parts = Math.max(1, (int) Math.ceil(Math.abs(sweep) / (Math.PI / 2) - 1e-9));
        List<Stroke> strokes = new ArrayList<>();
        Point before = from;
        for (int i = 1; i <= parts; i++) {
            double here = angle + sweep * i / parts;
            Point next =
                    i == parts ? to : centre.plus(Math.abs(radius) * Math.cos(here), Math.abs(radius) * Math.sin(here));
            strokes.add(new Stroke(before, next, radius, side));
            before = next;
        }
        return strokes;
    }

    /** Drawn from the other end, an arc that bulged outwards bulges inwards. */
    private static List<Stroke> backwards(List<Stroke> strokes) {
        List<Stroke> back = new ArrayList<>();
        strokes.forEach(stroke -> back.add(new Stroke(stroke.to(), stroke.from(), -stroke.radius(), stroke.side())));
        Collections.reverse(back);
        return back;
    }

    /** As one cuts the paper across and lets a strip in: what lies below moves down, and what the cut crosses goes straight there. */
    private static List<Stroke> letIn(List<Stroke> strokes, double at, double by) {
        List<Stroke> split = new ArrayList<>();
        strokes.forEach(stroke -> split.addAll(splitAt(stroke, at)));
        List<Stroke> longer = new ArrayList<>();
        for (int i = 0; i < split.size(); i++) {
            Stroke stroke = split.get(i);
            boolean isBelow = stroke.middle().y() > at;
            boolean wasBelow =
                    split.get((i + split.size() - 1) % split.size()).middle().y() > at;
            if (isBelow != wasBelow) {
                Point above = stroke.from();
                Point below = above.plus(0, by);
                longer.add(new Stroke(isBelow ? above : below, isBelow ? below : above, 0, upright(stroke, isBelow)));
            }
            longer.add(isBelow ? stroke.down(by) : stroke);
        }
        return longer;
    }

    /** What is let in lies at a side, even where it breaks a line of the top or the bottom. */
    private static Side upright(Stroke stroke, boolean goesDown) {
        boolean isAtASide = stroke.side() == Side.LEFT || stroke.side() == Side.RIGHT;
        return isAtASide ? stroke.side() : goesDown ? Side.RIGHT : Side.LEFT;
    }

    private static List<Stroke> splitAt(Stroke stroke, double at) {
        List<Point> crossings = stroke.radius() == 0 ? straightCrossing(stroke, at) : arcCrossings(stroke, at);
        List<Stroke> parts = new ArrayList<>();
        Point before = stroke.from();
        for (Point crossing : crossings) {
            if (crossing.distance(before) > 1e-6 && crossing.distance(stroke.to()) > 1e-6) {
                parts.add(new Stroke(before, crossing, stroke.radius(), stroke.side()));
                before = crossing;
            }
        }
        parts.add(new Stroke(before, stroke.to(), stroke.radius(), stroke.side()));
        return parts;
    }

    private static List<Point> straightCrossing(Stroke stroke, double at) {
        double from = stroke.from().y() - at;
        double to = stroke.to().y() - at;
        if (from * to >= 0) {
            return List.of();
        }
        double share = from / (from - to);
        return List.of(new Point(
                stroke.from().x() + share * (stroke.to().x() - stroke.from().x()), at));
    }

    private static List<Point> arcCrossings(Stroke stroke, double at) {
        double radius = Math.abs(stroke.radius());
        Point centre = centre(stroke);
        double up = at - centre.y();
        if (Math.abs(up) >= radius) {
            return List.of();
        }
        double half = Math.sqrt(radius * radius - up * up);
        double begin = Math.atan2(stroke.from().y() - centre.y(), stroke.from().x() - centre.x());
        double sweep = 2 * Math.asin(Math.min(1, stroke.from().distance(stroke.to()) / 2 / radius));
        List<Point> crossings = new ArrayList<>();
        for (double x : new double[] {centre.x() - half, centre.x() + half}) {
            if (turnedTo(begin, Math.atan2(up, x - centre.x()), stroke.radius()) < sweep) {
                crossings.add(new Point(x, at));
            }
        }
        crossings.sort((one, other) -> Double.compare(
                turnedTo(begin, Math.atan2(up, one.x() - centre.x()), stroke.radius()),
                turnedTo(begin, Math.atan2(up, other.x() - centre.x()), stroke.radius())));
        return crossings;
    }

    /** How far an arc turns from one angle to another, in its own direction. */
    private static double turnedTo(double begin, double angle, double radius) {
        double turned = Math.signum(radius) * (angle - begin) % (2 * Math.PI);
        return turned < 0 ? turned + 2 * Math.PI : turned;
    }

    private static Point centre(Stroke stroke) {
        Point way = between(stroke.from(), stroke.to());
        double length = Math.hypot(way.x(), way.y());
        double radius = Math.abs(stroke.radius());
        double away = Math.signum(stroke.radius()) * Math.sqrt(Math.max(0, radius * radius - length * length / 4));
        return stroke.from().plus(way.x() / 2 - way.y() / length * away, way.y() / 2 + way.x() / length * away);
    }
}
