package mardun.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Where a piece is sewn: the lines that follow its outline, each inside by its edge's allowance; for drawings. */
public final class StitchLines {

    /** How far a drawn seam may lie from the true one, in millimetres. */
    private static final double FLAT = 0.05;

    private StitchLines() {}

    /**
     * The stitch lines of a piece; each is a line through its points.
     *
     * @param allowances in millimetres, by the edge: {@code top}; one that isn't there, or is 0, is sewn nowhere
     */
    public static List<List<Point>> of(Outline outline, Map<String, Double> allowances) {
        return joined(new Parallel(outline, allowances, FLAT)
                .lines().stream().filter(line -> line.by() > 0).toList());
    }

    /** Parts that go on where another one ended become one line. */
    private static List<List<Point>> joined(List<Parallel.Line> parts) {
        List<List<Point>> lines = new ArrayList<>();
        for (Parallel.Line part : parts) {
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
