package mardun.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.Outline.Corner;

/** Where a piece is sewn: the lines that follow its outline, each inside by its edge's allowance; for drawings. */
public final class StitchLines {

    /** How far a drawn seam may lie from the true one, in millimetres. */
    private static final double FLAT = 0.05;

    private static final double ALMOST_NOTHING = 1e-9;

    private StitchLines() {}

    /** A straight part of an outline, moved inside by its allowance. */
    private record Moved(Point from, Point to, boolean sewn) {

        double dx() {
            return to.x() - from.x();
        }

        double dy() {
            return to.y() - from.y();
        }
    }

    /**
     * The stitch lines of a piece; each is a line through its points.
     *
     * @param allowances in millimetres, by the edge: {@code top}; one that isn't there, or is 0, is sewn nowhere
     */
    public static List<List<Point>> of(Outline outline, Map<String, Double> allowances) {
        List<Moved> edges = moved(outline, allowances);
        int n = edges.size();
        List<Moved> lines = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Moved edge = edges.get(i);
            Point from = corner(edges.get((i + n - 1) % n), edge);
            Point to = corner(edge, edges.get((i + 1) % n));
            boolean turnedBack = (to.x() - from.x()) * edge.dx() + (to.y() - from.y()) * edge.dy() <= 0;
            if (edge.sewn() && !turnedBack) {
                lines.add(new Moved(from, to, true));
            }
        }
        return joined(lines);
    }

    private static List<Moved> moved(Outline outline, Map<String, Double> allowances) {
        List<Moved> edges = new ArrayList<>();
        List<Corner> corners = outline.corners();
        for (int i = 0; i < corners.size(); i++) {
            Corner to = corners.get(i);
            Corner before = corners.get((i + corners.size() - 1) % corners.size());
            double in = allowances.getOrDefault(to.side().key(), 0.0);
            List<Point> line = to.from(before, FLAT);
            for (int j = 1; j < line.size(); j++) {
                inside(line.get(j - 1), line.get(j), in).ifPresent(edges::add);
            }
        }
        return edges;
    }

    /** The part moved to its right, which is inside, since an outline goes round with the clock. */
    private static Optional<Moved> inside(Point a, Point b, double in) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double length = Math.hypot(dx, dy);
        return length < ALMOST_NOTHING
                ? Optional.empty()
                : Optional.of(new Moved(
                        a.plus(-dy / length * in, dx / length * in),
                        b.plus(-dy / length * in, dx / length * in),
                        in > 0));
    }

    /** Where two parts meet once they are moved; where they go the same way, the end of the first. */
    private static Point corner(Moved first, Moved second) {
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

    /** Parts that go on where another one ended become one line. */
    private static List<List<Point>> joined(List<Moved> parts) {
        List<List<Point>> lines = new ArrayList<>();
        for (Moved part : parts) {
            List<Point> last = lines.isEmpty() ? List.of() : lines.get(lines.size() - 1);
            if (!last.isEmpty() && near(last.get(last.size() - 1), part.from())) {
                last.add(part.to());
            } else {
                lines.add(new ArrayList<>(List.of(part.from(), part.to())));
            }
        }
        return lines;
    }

    private static boolean near(Point a, Point b) {
        return Math.hypot(a.x() - b.x(), a.y() - b.y()) < 1e-3;
    }
}
