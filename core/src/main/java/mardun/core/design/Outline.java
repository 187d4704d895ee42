package mardun.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The line along which a piece is cut, for drawings: begins at the first corner, goes round with the clock and closes at the end.
 * Millimetres from the top left corner of the piece's rectangle, as floating point: it is drawn, and cut by its drawing, but not reckoned with.
 */
public record Outline(List<Corner> corners) {

    private static final int FEWEST = 6;

    /** How near to an edge a line is on it, and how far a straight part may lie from its arc where a length is measured: millimetres. */
    private static final double ON_EDGE = 0.01;

    private static final double FLAT = 0.02;

    /** Which edge of a piece a line belongs to, and so whose allowance. */
    public enum Side {
        TOP,
        RIGHT,
        BOTTOM,
        LEFT;

        /** As edges are named: {@code top}. */
        String key() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * The next point of the line.
     *
     * @param radiusAcross of the arc that leads there, less than nothing if it bulges inwards; 0 for a straight line
     * @param radiusAlong of the same arc
     * @param side which edge the line that leads there belongs to
     */
    public record Corner(double x, double y, double radiusAcross, double radiusAlong, Side side) {

        public boolean isArc() {
            return radiusAcross != 0 && radiusAlong != 0;
        }

        public boolean bulgesInwards() {
            return radiusAcross < 0;
        }

        /**
         * The points of the line or the arc that leads here, both ends among them.
         *
         * @param flat how far a straight part may lie from the arc that it stands for, in millimetres
         */
        public List<Point> from(Corner before, double flat) {
            Point begin = new Point(before.x, before.y);
            Point end = new Point(x, y);
            return isArc() ? arc(begin, end, flat) : List.of(begin, end);
        }

        private List<Point> arc(Point begin, Point end, double flat) {
            // In a space where the arc is part of a circle of radius 1; an arc is never more than half a round.
            double wide = Math.abs(radiusAcross);
            double high = Math.abs(radiusAlong);
            double turn = Math.signum(radiusAcross);
            double ux = (end.x() - begin.x()) / wide;
            double uy = (end.y() - begin.y()) / high;
            double length = Math.hypot(ux, uy);
            if (length == 0) {
                return List.of(begin, end);
            }
            double half = Math.min(1, length / 2);
            double away = Math.sqrt(Math.max(0, 1 - half * half));
            double cx = begin.x() / wide + ux / 2 - turn * uy / length * away;
            double cy = begin.y() / high + uy / 2 + turn * ux / length * away;
            double from = Math.atan2(begin.y() / high - cy, begin.x() / wide - cx);
            double sweep = turn * 2 * Math.asin(half);
            double radius = Math.max(wide, high);
            double step = 2 * Math.acos(Math.max(0, 1 - flat / radius));
            int parts = Math.max(FEWEST, (int) Math.ceil(Math.abs(sweep) / step));
            List<Point> points = new ArrayList<>();
            points.add(begin);
            for (int i = 1; i < parts; i++) {
                double angle = from + sweep * i / parts;
                points.add(new Point((cx + Math.cos(angle)) * wide, (cy + Math.sin(angle)) * high));
            }
            points.add(end);
            return points;
        }

        /** What the arc that leads here bulges out beyond the straight line, in square millimetres; less than nothing inwards. */
        private double bulge(Corner before) {
            if (!isArc()) {
                return 0;
            }
            double chord = Math.hypot((x - before.x) / radiusAcross, (y - before.y) / radiusAlong);
            double angle = 2 * Math.asin(Math.min(1, chord / 2));
            return Math.signum(radiusAcross) * radiusAcross * radiusAlong / 2 * (angle - Math.sin(angle));
        }
    }

    public Outline {
        corners = List.copyOf(corners);
    }

    /**
     * The corners of a closed line with straight sides that stands for this one.
     *
     * @param flat how far it may lie from this one, in millimetres
     */
    public List<Point> points(double flat) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            List<Point> line = corners.get(i).from(corners.get((i + corners.size() - 1) % corners.size()), flat);
            points.addAll(line.subList(1, line.size()));
        }
        return points;
    }

    /** What it encloses, in square millimetres: exact, arcs too. */
    public double area() {
        double twice = 0;
        double bulges = 0;
        for (int i = 0; i < corners.size(); i++) {
            Corner before = corners.get((i + corners.size() - 1) % corners.size());
            Corner corner = corners.get(i);
            twice += before.x() * corner.y() - corner.x() * before.y();
            bulges += corner.bulge(before);
        }
        return twice / 2 + bulges;
    }

    /**
     * How long the line is that isn't an edge of the piece's rectangle, in millimetres: what is cut along a template once the rectangle is
     * cut; 0 for a plain rectangle.
     *
     * @param width of the rectangle
     * @param height of the rectangle
     */
    public double insideRectangle(double width, double height) {
        double length = 0;
        for (int i = 0; i < corners.size(); i++) {
            Corner before = corners.get((i + corners.size() - 1) % corners.size());
            Corner corner = corners.get(i);
            boolean isEdge = !corner.isArc()
                    && (isAlong(before.x(), corner.x(), 0)
                            || isAlong(before.x(), corner.x(), width)
                            || isAlong(before.y(), corner.y(), 0)
                            || isAlong(before.y(), corner.y(), height));
            if (!isEdge) {
                List<Point> line = corner.from(before, FLAT);
                for (int j = 1; j < line.size(); j++) {
                    length += line.get(j).distance(line.get(j - 1));
                }
            }
        }
        return length;
    }

    private static boolean isAlong(double from, double to, double edge) {
        return Math.abs(from - edge) < ON_EDGE && Math.abs(to - edge) < ON_EDGE;
    }

    /** The line in a text, to a thousandth of a millimetre: two pieces with the same are cut alike. */
    public String path() {
        return corners.stream()
                .map(corner -> Stream.of(corner.x(), corner.y(), corner.radiusAcross(), corner.radiusAlong())
                        .map(at -> String.format(Locale.ROOT, "%.3f", at + 0.0))
                        .collect(Collectors.joining(",")))
                .collect(Collectors.joining(" "));
    }

    static Outline rectangle(double width, double height) {
        return new Outlining(width, height).outline();
    }

    /** This outline elsewhere in its rectangle. */
    Outline moved(double right, double down) {
        return new Outline(corners.stream()
                .map(c -> new Corner(c.x() + right, c.y() + down, c.radiusAcross(), c.radiusAlong(), c.side()))
                .toList());
    }

    static Outline oval(double width, double height) {
        double across = width / 2;
        double along = height / 2;
        return new Outline(List.of(
                new Corner(0, along, across, along, Side.LEFT),
                new Corner(across, 0, across, along, Side.TOP),
                new Corner(width, along, across, along, Side.RIGHT),
                new Corner(across, height, across, along, Side.BOTTOM)));
    }

    /** A circle as wide as the piece; where the piece isn't as high, it is cut straight at that end. */
    static Outline circleWithFlat(double width, double height, boolean flatAtTop) {
        double radius = width / 2;
        double below = height - radius;
        double half = Math.sqrt(Math.max(0, radius * radius - below * below));
        List<Corner> flatAtBottom = List.of(
                new Corner(0, radius, radius, radius, Side.LEFT),
                new Corner(radius, 0, radius, radius, Side.TOP),
                new Corner(width, radius, radius, radius, Side.RIGHT),
                new Corner(radius + half, height, radius, radius, Side.RIGHT),
                new Corner(radius - half, height, 0, 0, Side.BOTTOM));
        return new Outline(
                flatAtTop
                        ? flatAtBottom.stream()
                                .map(corner -> Outlining.turned(corner, width, height))
                                .toList()
                        : flatAtBottom);
    }
}
