package mardun.core.design;

import java.util.ArrayList;
import java.util.List;

/**
 * The line along which a piece is cut, for drawings: begins at the first corner and closes at the end. Millimetres from
 * the top left corner of the piece's rectangle, as floating point, since nothing is measured from a drawing.
 */
public record Outline(List<Corner> corners) {

    /**
     * The next point of the line.
     *
     * @param radius of the arc that leads there, bulging outwards; 0 for a straight line
     */
    public record Corner(double x, double y, double radius) {}

    public Outline {
        corners = List.copyOf(corners);
    }

    static Outline rectangle(double width, double height) {
        return new Outline(List.of(at(0, 0), at(width, 0), at(width, height), at(0, height)));
    }

    static Outline circle(double width, double height) {
        double radius = Math.min(width, height) / 2;
        return new Outline(List.of(
                at(width / 2 - radius, height / 2),
                new Corner(width / 2 + radius, height / 2, radius),
                new Corner(width / 2 - radius, height / 2, radius)));
    }

    /** A rectangle with its corners cut out at one end or both: {@code across} wide and {@code along} high. */
    static Outline cornersCut(double w, double h, double across, double along, Shape.Place place) {
        List<Corner> corners = new ArrayList<>();
        if (place.isAtTop()) {
            corners.addAll(List.of(
                    at(0, along),
                    at(across, along),
                    at(across, 0),
                    at(w - across, 0),
                    at(w - across, along),
                    at(w, along)));
        } else {
            corners.addAll(List.of(at(0, 0), at(w, 0)));
        }
        if (place.isAtBottom()) {
            corners.addAll(List.of(
                    at(w, h - along),
                    at(w - across, h - along),
                    at(w - across, h),
                    at(across, h),
                    at(across, h - along),
                    at(0, h - along)));
        } else {
            corners.addAll(List.of(at(w, h), at(0, h)));
        }
        return new Outline(corners);
    }

    /** A rectangle with a cut-out in the middle of each side: the corners of a bag that is folded at its base. */
    static Outline sidesCut(double w, double h, double across, double along) {
        double from = (h - along) / 2;
        double to = (h + along) / 2;
        return new Outline(List.of(
                at(0, 0),
                at(w, 0),
                at(w, from),
                at(w - across, from),
                at(w - across, to),
                at(w, to),
                at(w, h),
                at(0, h),
                at(0, to),
                at(across, to),
                at(across, from),
                at(0, from)));
    }

    /** A rectangle with a V in the middle of one end or both. */
    static Outline notched(double w, double h, double across, double along, Shape.Place place) {
        List<Corner> corners = new ArrayList<>(List.of(at(0, 0)));
        if (place.isAtTop()) {
            corners.addAll(List.of(at((w - across) / 2, 0), at(w / 2, along), at((w + across) / 2, 0)));
        }
        corners.addAll(List.of(at(w, 0), at(w, h)));
        if (place.isAtBottom()) {
            corners.addAll(List.of(at((w + across) / 2, h), at(w / 2, h - along), at((w - across) / 2, h)));
        }
        corners.add(at(0, h));
        return new Outline(corners);
    }

    /** A rectangle with rounded corners at one end or both. */
    static Outline rounded(double w, double h, double radius, Shape.Place place) {
        List<Corner> corners = new ArrayList<>();
        if (place.isAtTop()) {
            corners.addAll(List.of(
                    at(0, radius), new Corner(radius, 0, radius), at(w - radius, 0), new Corner(w, radius, radius)));
        } else {
            corners.addAll(List.of(at(0, 0), at(w, 0)));
        }
        if (place.isAtBottom()) {
            corners.addAll(List.of(
                    at(w, h - radius),
                    new Corner(w - radius, h, radius),
                    at(radius, h),
                    new Corner(0, h - radius, radius)));
        } else {
            corners.addAll(List.of(at(w, h), at(0, h)));
        }
        return new Outline(corners);
    }

    /** A rectangle whose sides lean in towards one end or both. */
    static Outline tapered(double w, double h, double in, Shape.Place place) {
        double top = place.isAtTop() ? in : 0;
        double bottom = place.isAtBottom() ? in : 0;
        if (place == Shape.Place.BOTH) {
            return new Outline(List.of(at(in, 0), at(w - in, 0), at(w, h / 2), at(w - in, h), at(in, h), at(0, h / 2)));
        }
        return new Outline(List.of(at(top, 0), at(w - top, 0), at(w - bottom, h), at(bottom, h)));
    }

    private static Corner at(double x, double y) {
        return new Corner(x, y, 0);
    }
}
