package mardun.core.template;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import mardun.core.design.Point;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * One template that serves several sizes of a piece, as makers do with a card: it is traced up to a line, moved by a noted amount, and
 * the rest is traced there. So it does where the sizes are alike on both sides of that line and only straight edges cross it.
 *
 * @param base which of the sizes is drawn: the smallest
 * @param shifts how far the template is moved for each of the others
 */
public record ShiftedTemplate(int base, Template template, List<Shift> shifts) {

    /** What is drawn closer than so many millimetres is the same. */
    private static final double SAME = 0.05;

    /** A line that nothing ends closer to, so that it is easily found on the card. */
    private static final double CLEAR = 1;

    /**
     * For one of the sizes.
     *
     * @param size its place among the sizes
     * @param down the template is moved down; else to the right
     */
    public record Shift(int size, boolean down, Length by) {}

    /** A line and the sizes that it serves. */
    private record Cut(boolean down, double at) {}

    public ShiftedTemplate {
        shifts = List.copyOf(shifts);
    }

    /**
     * Empty where one template doesn't serve all the sizes.
     *
     * @param sizes of one piece, two or more
     */
    public static Optional<ShiftedTemplate> of(List<Template> sizes) {
        int base = IntStream.range(0, sizes.size())
                .boxed()
                .min(Comparator.comparingDouble(
                        i -> sizes.get(i).width() + sizes.get(i).height()))
                .orElseThrow();
        Template smallest = sizes.get(base);
        List<Shift> shifts = new ArrayList<>();
        for (int i = 0; i < sizes.size(); i++) {
            if (i != base) {
                boolean down = same(sizes.get(i).width(), smallest.width());
                double by = down
                        ? sizes.get(i).height() - smallest.height()
                        : sizes.get(i).width() - smallest.width();
                boolean isOneWay = down || same(sizes.get(i).height(), smallest.height());
                if (!isOneWay || by < SAME) {
                    return Optional.empty();
                }
                shifts.add(new Shift(i, down, length(by)));
            }
        }
        Optional<Cut> down = cut(true, smallest, sizes, shifts);
        Optional<Cut> right = cut(false, smallest, sizes, shifts);
        boolean isServed = shifts.stream().allMatch(shift -> (shift.down() ? down : right).isPresent());
        return isServed
                ? Optional.of(new ShiftedTemplate(base, drawn(smallest, down, right), shifts))
                : Optional.empty();
    }

    private static boolean same(double one, double other) {
        return Math.abs(one - other) < SAME;
    }

    private static Length length(double millimetres) {
        return new Length(Math.round(millimetres * LengthUnit.MILLIMETRE.nanometres()));
    }

    /** Of the lines across which all sizes of one direction are drawn alike, the one that is clearest of all else. */
    private static Optional<Cut> cut(boolean down, Template smallest, List<Template> sizes, List<Shift> shifts) {
        List<Shift> its = shifts.stream().filter(shift -> shift.down() == down).toList();
        if (its.isEmpty()) {
            return Optional.empty();
        }
        ToDoubleFunction<Point> along = down ? Point::y : Point::x;
        double[] ends = told(smallest).stream()
                .flatMap(line -> line.points().stream())
                .mapToDouble(along)
                .sorted()
                .toArray();
        return IntStream.range(1, ends.length)
                .filter(i -> ends[i] - ends[i - 1] > 2 * CLEAR)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> ends[i - 1] - ends[i]))
                .map(i -> (ends[i - 1] + ends[i]) / 2)
                .filter(at -> its.stream()
                        .allMatch(
                                shift -> isAlike(smallest, sizes.get(shift.size()), down, at, millimetres(shift.by()))))
                .findFirst()
                .map(at -> new Cut(down, at));
    }

    private static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }

    /** All that has to be alike; the grain stands wherever there is room. */
    private static List<TemplateLine> told(Template template) {
        return template.lines().stream()
                .filter(line -> line.kind() != TemplateLine.Kind.GRAIN)
                .toList();
    }

    private static boolean isAlike(Template smallest, Template other, boolean down, double at, double by) {
        List<TemplateLine> its = told(smallest);
        List<TemplateLine> others = told(other);
        if (its.size() != others.size()) {
            return false;
        }
        for (int i = 0; i < its.size(); i++) {
            if (!isAlike(its.get(i), others.get(i), down, at, by)) {
                return false;
            }
        }
        return true;
    }

    private static boolean isAlike(TemplateLine one, TemplateLine other, boolean down, double at, double by) {
        if (one.kind() != other.kind() || one.points().size() != other.points().size()) {
            return false;
        }
        for (int i = 0; i < one.points().size(); i++) {
            Point moved = moved(one.points().get(i), down, at, by);
            boolean crosses =
                    i > 0 && isAcross(one.points().get(i - 1), one.points().get(i), down, at);
            if (moved.distance(other.points().get(i)) > SAME || crosses) {
                return false;
            }
        }
        return true;
    }

    private static Point moved(Point point, boolean down, double at, double by) {
        boolean isBeyond = (down ? point.y() : point.x()) > at;
        return isBeyond ? point.plus(down ? 0 : by, down ? by : 0) : point;
    }

    /** An edge that goes over the line on the slant would be broken there. */
    private static boolean isAcross(Point from, Point to, boolean down, double at) {
        boolean over = down ? (from.y() > at) != (to.y() > at) : (from.x() > at) != (to.x() > at);
        boolean isStraight = down ? same(from.x(), to.x()) : same(from.y(), to.y());
        return over && !isStraight;
    }

    private static Template drawn(Template smallest, Optional<Cut> down, Optional<Cut> right) {
        List<TemplateLine> lines = new ArrayList<>(smallest.lines());
        down.ifPresent(cut -> lines.add(new TemplateLine(
                TemplateLine.Kind.SHIFT, 0, List.of(new Point(0, cut.at()), new Point(smallest.width(), cut.at())))));
        right.ifPresent(cut -> lines.add(new TemplateLine(
                TemplateLine.Kind.SHIFT, 0, List.of(new Point(cut.at(), 0), new Point(cut.at(), smallest.height())))));
        return new Template(
                smallest.name(), smallest.words(), smallest.width(), smallest.height(), lines, smallest.forWords());
    }
}
