package mardun.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mardun.core.design.Outline.Corner;
import mardun.core.design.Outline.Side;

/** Draws the outline of a rectangle from which something is cut away at its ends, its corners and its sides; all in millimetres. */
final class Outlining {

    private final double width;
    private final double height;
    private End top = End.STRAIGHT;
    private End bottom = End.STRAIGHT;
    private double sideCutAcross;
    private double sideCutAlong;
    private final List<Middle> bottomCuts = new ArrayList<>();

    Outlining(double width, double height) {
        this.width = width;
        this.height = height;
    }

    /**
     * One end of a piece.
     *
     * @param corners how its corners are cut
     * @param across of what is taken from each corner
     * @param along of what is taken from each corner
     * @param notch width of a V in its middle
     * @param depth of that V
     * @param in how far each side leans in
     */
    private record End(Shape.Kind corners, double across, double along, double notch, double depth, double in) {
        static final End STRAIGHT = new End(Shape.Kind.RECTANGLE, 0, 0, 0, 0, 0);

        End shaped(Shape.Kind kind, double a, double b) {
            return switch (kind) {
                case CORNERS_CUT, SLANTED, ROUNDED -> new End(kind, a, b, notch, depth, in);
                case NOTCHED -> new End(corners, across, along, a, b, in);
                case TAPERED -> new End(corners, across, along, notch, depth, a);
                case RECTANGLE, CIRCLE, OVAL, CIRCLE_WITH_FLAT, DRAWN -> this;
            };
        }
    }

    Outlining with(Shape.Kind kind, Shape.Place place, double across, double along) {
        top = place.isAtTop() ? top.shaped(kind, across, along) : top;
        bottom = place.isAtBottom() ? bottom.shaped(kind, across, along) : bottom;
        return this;
    }

    /** Something cut out of the bottom edge between its corners. */
    private record Middle(double centre, double wide, double high) {}

    /** A cut-out of the bottom edge round a line: the corners at a fold of one piece that goes round the bag. */
    Outlining bottomCut(double centre, double wide, double high) {
        bottomCuts.add(new Middle(centre, wide, high));
        return this;
    }

    /** A cut-out in the middle of each side: the corners of a bag that is folded at its base. */
    Outlining sidesCut(double across, double along) {
        sideCutAcross = across;
        sideCutAlong = along;
        return this;
    }

    Outline outline() {
        List<Corner> corners = new ArrayList<>(end(top, Side.TOP, Side.LEFT, Side.RIGHT, true));
        corners.addAll(right());
        List<Corner> below = end(bottom, Side.BOTTOM, Side.RIGHT, Side.LEFT, false).stream()
                .map(corner -> turned(corner, width, height))
                .toList();
        corners.addAll(below.subList(0, below.size() / 2));
        bottomCuts.stream()
                .sorted(Comparator.comparingDouble(Middle::centre).reversed())
                .forEach(cut -> corners.addAll(cutOut(cut)));
        corners.addAll(below.subList(below.size() / 2, below.size()));
        right().forEach(corner -> corners.add(leftOf(turned(corner, width, height))));
        return new Outline(corners);
    }

    /** A point and the line to it, turned by half a turn about the middle of the piece. */
    static Corner turned(Corner corner, double width, double height) {
        return new Corner(
                width - corner.x(), height - corner.y(), corner.radiusAcross(), corner.radiusAlong(), corner.side());
    }

    private static Corner leftOf(Corner corner) {
        return new Corner(corner.x(), corner.y(), corner.radiusAcross(), corner.radiusAlong(), Side.LEFT);
    }

    private List<Corner> cutOut(Middle cut) {
        double right = cut.centre() + cut.wide() / 2;
        double left = cut.centre() - cut.wide() / 2;
        double high = height - cut.high();
        return List.of(
                at(right, height, Side.BOTTOM),
                at(right, high, Side.BOTTOM),
                at(left, high, Side.BOTTOM),
                at(left, height, Side.BOTTOM));
    }

    /** What lies between the ends on the right side, downwards. */
    private List<Corner> right() {
        if (sideCutAcross > 0) {
            double from = (height - sideCutAlong) / 2;
            return List.of(
                    at(width, from, Side.RIGHT),
                    at(width - sideCutAcross, from, Side.RIGHT),
                    at(width - sideCutAcross, from + sideCutAlong, Side.RIGHT),
                    at(width, from + sideCutAlong, Side.RIGHT));
        }
        return top.in() > 0 && bottom.in() > 0 ? List.of(at(width, height / 2, Side.RIGHT)) : List.of();
    }

    /** An end as if it were the top one, from left to right. */
    private List<Corner> end(End end, Side side, Side left, Side right, boolean isTop) {
        double a = end.across();
        double b = end.along();
        double in = end.in();
        double leans = leansAt(b, isTop);
        List<Corner> line = new ArrayList<>();
        switch (end.corners()) {
            case CORNERS_CUT -> line.addAll(List.of(at(leans, b, left), at(in + a, b, side), at(in + a, 0, left)));
            case SLANTED -> line.addAll(List.of(at(leans, b, left), at(in + a, 0, side)));
            case ROUNDED -> line.addAll(List.of(at(leans, b, left), new Corner(in + a, 0, in + a - leans, b, side)));
            default -> line.add(at(in, 0, left));
        }
        if (end.notch() > 0) {
            line.addAll(List.of(
                    at((width - end.notch()) / 2, 0, side),
                    at(width / 2, end.depth(), side),
                    at((width + end.notch()) / 2, 0, side)));
        }
        double edge = width - in - a;
        switch (end.corners()) {
            case CORNERS_CUT -> line.addAll(List.of(at(edge, 0, side), at(edge, b, right), at(width - leans, b, side)));
            case SLANTED -> line.addAll(List.of(at(edge, 0, side), at(width - leans, b, side)));
            case ROUNDED ->
                line.addAll(List.of(at(edge, 0, side), new Corner(width - leans, b, width - leans - edge, b, side)));
            default -> line.add(at(width - in, 0, side));
        }
        return line;
    }

    /** How far the left side has leaned in, so far from one of the ends. */
    private double leansAt(double from, boolean ofTop) {
        double here = ofTop ? top.in() : bottom.in();
        double there = ofTop ? bottom.in() : top.in();
        double reach = here > 0 && there > 0 ? height / 2 : height;
        double share = Math.min(1, from / reach);
        return here > 0 ? here * (1 - share) : there * share;
    }

    private static Corner at(double x, double y, Side side) {
        return new Corner(x, y, 0, 0, side);
    }
}
