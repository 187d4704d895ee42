package mardun.core.template;

import java.util.List;
import java.util.stream.DoubleStream;
import mardun.core.design.Point;

/**
 * A line on a template.
 *
 * @param size of nested sizes, which one it belongs to, from 0
 * @param points that it goes through, two or more
 */
public record TemplateLine(Kind kind, int size, List<Point> points) {

    /** What a line says. */
    public enum Kind {
        /** Cut along it. */
        CUT,
        /** Lay it on the fold of the cloth, and don't cut there. */
        ON_FOLD,
        /** It is sewn along it. */
        SEAM,
        /** Cut or sewn later: a boxed corner. */
        LATER,
        FOLD_LINE,
        CENTRE,
        /** Something is put here: a pocket, a snap. */
        PLACE,
        GAP,
        NOTCH,
        /** What lies beyond it is traced once more after the template was moved. */
        SHIFT,
        GRAIN
    }

    public TemplateLine {
        points = List.copyOf(points);
    }

    TemplateLine moved(double right, double down) {
        return new TemplateLine(
                kind,
                size,
                points.stream().map(point -> point.plus(right, down)).toList());
    }

    TemplateLine ofSize(int which) {
        return new TemplateLine(kind, which, points);
    }

    /** Whether any of it lies within a rectangle, or might. */
    boolean touches(double left, double top, double right, double bottom) {
        return least(xs()) <= right && most(xs()) >= left && least(ys()) <= bottom && most(ys()) >= top;
    }

    private DoubleStream xs() {
        return points.stream().mapToDouble(Point::x);
    }

    private DoubleStream ys() {
        return points.stream().mapToDouble(Point::y);
    }

    private static double least(DoubleStream values) {
        return values.min().orElseThrow();
    }

    private static double most(DoubleStream values) {
        return values.max().orElseThrow();
    }
}
