package mardun.core.design;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The line along which a piece is cut, for drawings: begins at the first corner, goes round with the clock and closes at the end.
 * Millimetres from the top left corner of the piece's rectangle, as floating point, since nothing is measured from a drawing.
 */
public record Outline(List<Corner> corners) {

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
     * @param radiusAcross of the arc that leads there, bulging outwards; 0 for a straight line
     * @param radiusAlong of the same arc
     * @param side which edge the line that leads there belongs to
     */
    public record Corner(double x, double y, double radiusAcross, double radiusAlong, Side side) {

        public boolean isArc() {
            return radiusAcross > 0 && radiusAlong > 0;
        }
    }

    public Outline {
        corners = List.copyOf(corners);
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
