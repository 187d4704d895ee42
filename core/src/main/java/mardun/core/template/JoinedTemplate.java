package mardun.core.template;

import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import mardun.core.design.Point;
import mardun.core.design.SizedMark;
import mardun.core.design.SizedPiece;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * Two pieces joined at the marks that both of them have by the same name, as templates are laid on one another and traced together: with
 * one such mark the second is moved, with more it is turned as well. Both are drawn opened.
 *
 * @param template with one outline round both, and the marks of both
 * @param marks the names of those that lie on one another
 * @param width of both together
 * @param height likewise
 */
public record JoinedTemplate(Template template, List<String> marks, Length width, Length height) {

    /** How far a curve may be drawn from where it is. */
    private static final double FLAT = 0.01;

    /** How far marks may lie beside one another once the pieces are joined, in millimetres. */
    private static final double NEAR = 0.5;

    /** What two pieces can't be joined for, in a sentence. */
    public static final class CannotBeJoinedException extends RuntimeException {

        private final transient Sentence sentence;

        CannotBeJoinedException(Sentence sentence) {
            super(sentence.words());
            this.sentence = sentence;
        }

        public Sentence sentence() {
            return sentence;
        }
    }

    /** A mark that both have. */
    private record Meeting(String name, Point one, Point other) {}

    public JoinedTemplate {
        marks = List.copyOf(marks);
    }

    /** The names of the marks that both pieces have; none where they can't be joined. */
    public static List<String> marksOf(SizedPiece one, SizedPiece other) {
        return meetings(one, other).stream().map(Meeting::name).toList();
    }

    /**
     * The second piece laid on the first, mark on mark.
     *
     * @throws CannotBeJoinedException if they have no mark by the same name, or their marks lie differently far apart
     */
    public static JoinedTemplate of(SizedPiece one, SizedPiece other, String name, List<String> words) {
        List<Meeting> meetings = meetings(one, other);
        if (meetings.isEmpty()) {
            throw new CannotBeJoinedException(Sentence.of(
                    "{0} and {1} have no mark by the same name. Mark on both where they are to lie on one another, and call both"
                            + " marks alike.",
                    Value.of(one.piece().name()), Value.of(other.piece().name())));
        }
        UnaryOperator<Point> laid = laid(meetings);
        for (Meeting meeting : meetings) {
            double beside = laid.apply(meeting.other()).distance(meeting.one());
            if (beside > NEAR) {
                throw new CannotBeJoinedException(Sentence.of(
                        "“{0}” of {1} lies {2} beside that of {3} when the others are laid on one another. Mark both alike, or"
                                + " leave one mark alone to join them at.",
                        Value.of(meeting.name()),
                        Value.of(other.piece().name()),
                        Value.of(length(beside)),
                        Value.of(one.piece().name())));
            }
        }
        List<Point> second = other.outline().points(FLAT).stream().map(laid).toList();
        Area both = area(one.outline().points(FLAT));
        both.add(area(second));
        List<TemplateLine> lines = new ArrayList<>();
        outlines(both).forEach(line -> lines.add(new TemplateLine(TemplateLine.Kind.CUT, 0, line)));
        lines.addAll(Template.marksOf(one));
        Template.marksOf(other)
                .forEach(line -> lines.add(new TemplateLine(
                        line.kind(), 0, line.points().stream().map(laid).toList())));
        double left = both.getBounds2D().getMinX();
        double top = both.getBounds2D().getMinY();
        double width = both.getBounds2D().getWidth();
        double height = both.getBounds2D().getHeight();
        Template template = new Template(
                name,
                words,
                width,
                height,
                lines.stream().map(line -> line.moved(-left, -top)).toList());
        return new JoinedTemplate(
                template, meetings.stream().map(Meeting::name).toList(), length(width), length(height));
    }

    private static Length length(double millimetres) {
        return new Length(Math.round(millimetres * LengthUnit.MILLIMETRE.nanometres()));
    }

    private static List<Meeting> meetings(SizedPiece one, SizedPiece other) {
        List<Meeting> meetings = new ArrayList<>();
        for (SizedMark mark : one.marks()) {
            String name = mark.mark().label().strip();
            if (name.isEmpty()) {
                continue;
            }
            other.marks().stream()
                    .filter(its -> its.mark().kind() == mark.mark().kind())
                    .filter(its ->
                            its.mark().label().strip().toLowerCase(Locale.ROOT).equals(name.toLowerCase(Locale.ROOT)))
                    .findFirst()
                    .ifPresent(its -> meetings.add(new Meeting(name, at(mark), at(its))));
        }
        return meetings;
    }

    private static Point at(SizedMark mark) {
        return new Point(
                millimetres(mark.across().orElse(Length.ZERO)),
                millimetres(mark.down().orElse(Length.ZERO)));
    }

    private static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }

    /** Moves the second piece so that its first mark lies on that of the first one, and turns it so that its farthest other one does. */
    private static UnaryOperator<Point> laid(List<Meeting> meetings) {
        Meeting first = meetings.get(0);
        Meeting farthest = first;
        for (Meeting meeting : meetings) {
            if (meeting.one().distance(first.one()) > farthest.one().distance(first.one())) {
                farthest = meeting;
            }
        }
        double angle = farthest == first
                ? 0
                : direction(first.one(), farthest.one()) - direction(first.other(), farthest.other());
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        return point -> {
            double x = point.x() - first.other().x();
            double y = point.y() - first.other().y();
            return first.one().plus(cos * x - sin * y, sin * x + cos * y);
        };
    }

    private static double direction(Point from, Point to) {
        return Math.atan2(to.y() - from.y(), to.x() - from.x());
    }

    private static Area area(List<Point> outline) {
        Path2D.Double path = new Path2D.Double();
        path.moveTo(outline.get(0).x(), outline.get(0).y());
        outline.stream().skip(1).forEach(point -> path.lineTo(point.x(), point.y()));
        path.closePath();
        return new Area(path);
    }

    /** The closed lines round an area. */
    private static List<List<Point>> outlines(Area area) {
        List<List<Point>> outlines = new ArrayList<>();
        List<Point> current = new ArrayList<>();
        double[] at = new double[6];
        for (PathIterator path = area.getPathIterator(null); !path.isDone(); path.next()) {
            switch (path.currentSegment(at)) {
                case PathIterator.SEG_MOVETO -> current = new ArrayList<>(List.of(new Point(at[0], at[1])));
                case PathIterator.SEG_LINETO -> current.add(new Point(at[0], at[1]));
                default -> {
                    current.add(current.get(0));
                    outlines.add(current);
                }
            }
        }
        return outlines;
    }
}
