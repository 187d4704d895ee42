package mardun.core.template;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.core.design.ClothFold;
import mardun.core.design.Mark;
import mardun.core.design.Outline;
import mardun.core.design.Point;
import mardun.core.design.SizedMark;
import mardun.core.design.SizedPiece;
import mardun.core.design.StitchLines;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * A template of a piece: where to cut, where to sew, what is marked. Of a piece that is cut on the fold it is the half, whose edge lies on
 * the fold.
 *
 * @param name what is written on it first
 * @param words what else is written on it, line by line
 * @param width of what is drawn
 * @param height likewise
 * @param forWords where they stand
 */
public record Template(
        String name, List<String> words, double width, double height, List<TemplateLine> lines, CardArea forWords) {

    /** How far a curve may be drawn from where it is. */
    private static final double FLAT = 0.01;

    private static final double ARM = 4;
    private static final double TICK = 6;
    private static final double RING = 2.5;
    private static final int RING_PARTS = 24;
    private static final double GRAIN_SHARE = 0.22;
    private static final double WORDS_SHARE = 0.3;
    private static final double LONGEST_GRAIN = 60;
    private static final double HEAD = 4;

    public Template {
        words = List.copyOf(words);
        lines = List.copyOf(lines);
    }

    /** One whose words stand beside the line of the grain. */
    public Template(String name, List<String> words, double width, double height, List<TemplateLine> lines) {
        this(name, words, width, height, lines, new CardArea(width * WORDS_SHARE, 0, width, height));
    }

    /** The template of a piece. */
    public static Template of(SizedPiece piece, String name, List<String> words) {
        double width = millimetres(piece.width().value());
        double height = millimetres(piece.height().value());
        Optional<HalfPlane> half = switch (piece.piece().fold()) {
            case NONE -> Optional.empty();
            case SIDE -> Optional.of(new HalfPlane(true, width / 2));
            case BASE -> Optional.of(new HalfPlane(false, height / 2));
        };
        List<TemplateLine> whole = new ArrayList<>();
        StitchLines.of(piece.outline(), allowances(piece))
                .forEach(line -> whole.add(new TemplateLine(TemplateLine.Kind.SEAM, 0, line)));
        piece.markedCorners().ifPresent(corners -> whole.add(closed(TemplateLine.Kind.LATER, corners.points(FLAT))));
        piece.marks().forEach(mark -> whole.addAll(mark(mark, width, height)));

        List<TemplateLine> lines = new ArrayList<>(cut(piece.outline(), half));
        half.ifPresent(side -> lines.add(onFold(side, lines, width, height)));
        whole.forEach(line -> lines.addAll(kept(line, half)));
        double drawnWidth = piece.piece().fold() == ClothFold.SIDE ? width / 2 : width;
        double drawnHeight = piece.piece().fold() == ClothFold.BASE ? height / 2 : height;
        lines.addAll(grain(drawnWidth, drawnHeight, piece.piece().directional()));
        return new Template(name, words, drawnWidth, drawnHeight, lines);
    }

    private static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }

    private static Map<String, Double> allowances(SizedPiece piece) {
        Map<String, Double> inside = new HashMap<>();
        piece.allowances().forEach((side, allowance) -> inside.put(side, millimetres(allowance)));
        return inside;
    }

    private static TemplateLine closed(TemplateLine.Kind kind, List<Point> corners) {
        List<Point> round = new ArrayList<>(corners);
        round.add(corners.get(0));
        return new TemplateLine(kind, 0, round);
    }

    private static List<TemplateLine> cut(Outline outline, Optional<HalfPlane> half) {
        List<Point> corners = outline.points(FLAT);
        return half.map(side -> side.partOfClosed(corners).stream()
                        .map(line -> new TemplateLine(TemplateLine.Kind.CUT, 0, line))
                        .toList())
                .orElseGet(() -> List.of(closed(TemplateLine.Kind.CUT, corners)));
    }

    /** The edge that lies on the fold: between the ends of what is cut. */
    private static TemplateLine onFold(HalfPlane side, List<TemplateLine> cut, double width, double height) {
        List<Point> ends = cut.stream()
                .flatMap(line -> List.of(
                        line.points().get(0), line.points().get(line.points().size() - 1))
                        .stream())
                .toList();
        if (side.across()) {
            double top = ends.stream().mapToDouble(Point::y).min().orElse(0);
            double bottom = ends.stream().mapToDouble(Point::y).max().orElse(height);
            return new TemplateLine(
                    TemplateLine.Kind.ON_FOLD, 0, List.of(new Point(side.at(), top), new Point(side.at(), bottom)));
        }
        double left = ends.stream().mapToDouble(Point::x).min().orElse(0);
        double right = ends.stream().mapToDouble(Point::x).max().orElse(width);
        return new TemplateLine(
                TemplateLine.Kind.ON_FOLD, 0, List.of(new Point(left, side.at()), new Point(right, side.at())));
    }

    private static List<TemplateLine> kept(TemplateLine line, Optional<HalfPlane> half) {
        return half.map(side -> side.part(line.points()).stream()
                        .map(part -> new TemplateLine(line.kind(), 0, part))
                        .toList())
                .orElseGet(() -> List.of(line));
    }

    /** What is marked on a piece, opened. */
    static List<TemplateLine> marksOf(SizedPiece piece) {
        double width = millimetres(piece.width().value());
        double height = millimetres(piece.height().value());
        return piece.marks().stream()
                .flatMap(mark -> mark(mark, width, height).stream())
                .toList();
    }

    private static List<TemplateLine> mark(SizedMark sized, double width, double height) {
        double x = sized.across().map(Template::millimetres).orElse(0.0);
        double y = sized.down().map(Template::millimetres).orElse(0.0);
        double wide = millimetres(sized.width());
        double high = millimetres(sized.height());
        Mark mark = sized.mark();
        return switch (mark.kind()) {
            case POCKET ->
                List.of(closed(
                        TemplateLine.Kind.PLACE,
                        List.of(
                                new Point(x, y),
                                new Point(x + wide, y),
                                new Point(x + wide, y + high),
                                new Point(x, y + high))));
            case HARDWARE ->
                List.of(
                        line(TemplateLine.Kind.PLACE, x - ARM, y, x + ARM, y),
                        line(TemplateLine.Kind.PLACE, x, y - ARM, x, y + ARM),
                        ring(x, y));
            case MOTIF ->
                List.of(
                        ring(x, y),
                        closed(
                                TemplateLine.Kind.PLACE,
                                List.of(
                                        new Point(x, y - ARM),
                                        new Point(x + ARM, y),
                                        new Point(x, y + ARM),
                                        new Point(x - ARM, y))));
            case GAP ->
                high > 0
                        ? List.of(
                                line(TemplateLine.Kind.GAP, x - TICK / 2, y, x + TICK / 2, y),
                                line(TemplateLine.Kind.GAP, x - TICK / 2, y + high, x + TICK / 2, y + high))
                        : List.of(
                                line(TemplateLine.Kind.GAP, x, y - TICK / 2, x, y + TICK / 2),
                                line(TemplateLine.Kind.GAP, x + wide, y - TICK / 2, x + wide, y + TICK / 2));
            case NOTCH -> List.of(notch(x, y, height));
            case CENTRE -> List.of(line(TemplateLine.Kind.CENTRE, width / 2, 0, width / 2, height));
            case FOLD_LINE ->
                List.of(
                        sized.down().isEmpty()
                                ? line(TemplateLine.Kind.FOLD_LINE, x, 0, x, height)
                                : line(TemplateLine.Kind.FOLD_LINE, 0, y, width, y));
        };
    }

    private static TemplateLine line(TemplateLine.Kind kind, double x1, double y1, double x2, double y2) {
        return new TemplateLine(kind, 0, List.of(new Point(x1, y1), new Point(x2, y2)));
    }

    private static TemplateLine ring(double x, double y) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= RING_PARTS; i++) {
            double angle = 2 * Math.PI * i / RING_PARTS;
            points.add(new Point(x + RING * Math.cos(angle), y + RING * Math.sin(angle)));
        }
        return new TemplateLine(TemplateLine.Kind.PLACE, 0, points);
    }

    private static TemplateLine notch(double x, double y, double height) {
        double in = y > height / 2 ? -TICK : TICK;
        return new TemplateLine(
                TemplateLine.Kind.NOTCH,
                0,
                List.of(new Point(x - TICK / 3, y), new Point(x, y + in), new Point(x + TICK / 3, y)));
    }

    /** The grain goes along the piece; where it has a top, one arrow says where. */
    private static List<TemplateLine> grain(double width, double height, boolean directional) {
        double length = Math.min(LONGEST_GRAIN, height * (1 - 2 * GRAIN_SHARE));
        double x = width * GRAIN_SHARE;
        double top = (height - length) / 2;
        List<TemplateLine> lines = new ArrayList<>();
        lines.add(line(TemplateLine.Kind.GRAIN, x, top, x, top + length));
        lines.add(head(x, top, HEAD));
        if (!directional) {
            lines.add(head(x, top + length, -HEAD));
        }
        return lines;
    }

    private static TemplateLine head(double x, double y, double back) {
        return new TemplateLine(
                TemplateLine.Kind.GRAIN,
                0,
                List.of(
                        new Point(x - Math.abs(back) / 2, y + back),
                        new Point(x, y),
                        new Point(x + Math.abs(back) / 2, y + back)));
    }

    /** The same with a name and words of its own. */
    public Template called(String itsName, List<String> itsWords) {
        return new Template(itsName, itsWords, width, height, lines, forWords);
    }

    /** The same, turned on the paper by a quarter. */
    Template turned() {
        return new Template(
                name,
                words,
                height,
                width,
                lines.stream()
                        .map(line -> new TemplateLine(
                                line.kind(),
                                line.size(),
                                line.points().stream()
                                        .map(point -> new Point(height - point.y(), point.x()))
                                        .toList()))
                        .toList(),
                new CardArea(height - forWords.bottom(), forWords.left(), height - forWords.top(), forWords.right()));
    }

    /** What is drawn, to the hundredth of a millimetre: of two pieces with the same one template serves both. */
    public String drawn() {
        return lines.stream()
                .map(line -> line.kind()
                        + line.points().stream()
                                .map(point -> Math.round(point.x() * 100) + "," + Math.round(point.y() * 100))
                                .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(";"));
    }

    /**
     * Sizes of one piece laid over one another, their upper left corners together; the largest says how large it is. Only where to cut is
     * drawn of each, and what is marked.
     *
     * @param sizes smallest first, one or more
     */
    public static Template nested(List<Template> sizes, String name, List<String> words) {
        List<TemplateLine> lines = new ArrayList<>();
        for (int i = 0; i < sizes.size(); i++) {
            int size = i;
            boolean isLargest = i == sizes.size() - 1;
            sizes.get(i).lines().stream()
                    .filter(line -> line.kind() != TemplateLine.Kind.SEAM)
                    .filter(line -> isLargest || line.kind() != TemplateLine.Kind.GRAIN)
                    .forEach(line -> lines.add(line.ofSize(size)));
        }
        return new Template(
                name,
                words,
                sizes.stream().mapToDouble(Template::width).max().orElseThrow(),
                sizes.stream().mapToDouble(Template::height).max().orElseThrow(),
                lines);
    }
}
