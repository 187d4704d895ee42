package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * A strip across the cloth: columns side by side, each a stack of pieces. All of it comes apart by edge-to-edge cuts: the
 * strip from the cloth, the columns from the strip, the pieces from their column, and what is left beside a piece.
 *
 * @param height of the strip, in steps of the grid
 * @param columns from the left, equal ones beside each other
 * @param counts how many pieces of each kind it gives
 * @param area of its pieces together
 * @param signature equal for strips that are cut in just the same way
 */
record StripPattern(int height, List<Column> columns, int[] counts, long area, int signature) {

    private static final Comparator<Column> ORDER =
            Comparator.comparingInt(Column::width).reversed().thenComparing(Column::items, Arrays::compare);

    /**
     * A stack of items in a strip.
     *
     * @param width of its widest item
     * @param items from below
     */
    record Column(int width, int[] items) {

        boolean isLike(Column other) {
            return width == other.width && Arrays.equals(items, other.items);
        }
    }

    /** The strip as high as its highest column. */
    static StripPattern of(StripProblem problem, List<Column> columns) {
        int highest = 0;
        long area = 0;
        int[] counts = new int[problem.kinds()];
        for (Column column : columns) {
            int height = 0;
            for (int item : column.items()) {
                height += problem.heightOf()[item];
                area += problem.areaOf(item);
                counts[problem.kindOf()[item]] += problem.timesOf()[item];
            }
            highest = Math.max(highest, height);
        }
        List<Column> sorted = columns.stream().sorted(ORDER).toList();
        int signature = highest;
        for (Column column : sorted) {
            signature = 31 * signature + Arrays.hashCode(column.items());
        }
        return new StripPattern(highest, sorted, counts, area, signature);
    }

    /** How many pieces of each kind some strips give together. */
    static int[] counts(StripProblem problem, List<StripPattern> strips) {
        int[] counts = new int[problem.kinds()];
        for (StripPattern strip : strips) {
            for (int kind = 0; kind < counts.length; kind++) {
                counts[kind] += strip.counts()[kind];
            }
        }
        return counts;
    }

    /**
     * Its columns as they lie from the left: where pieces have to stay between the selvages and it is wider than that, columns
     * without such pieces lie at the edges.
     */
    List<Column> fromTheLeft(StripProblem problem) {
        int needed = edgesNeeded(problem);
        List<Column> outer = columns.stream()
                .filter(column -> isForTheEdge(column, problem))
                .limit(needed)
                .toList();
        List<Column> ordered = new ArrayList<>(columns);
        outer.forEach(ordered::remove);
        for (int i = 0; i < outer.size(); i++) {
            ordered.add(i == 0 ? 0 : ordered.size(), outer.get(i));
        }
        return ordered;
    }

    /** Whether it begins at the inner side of the selvage. */
    boolean beginsBetweenEdges(StripProblem problem) {
        return holdsBetween(problem) && edgesNeeded(problem) == 0;
    }

    /** Whether pieces that have to stay between the selvages can. */
    boolean fitsBetweenEdges(StripProblem problem) {
        return edgesNeeded(problem)
                <= columns.stream()
                        .filter(column -> isForTheEdge(column, problem))
                        .count();
    }

    /** In how many selvages columns have to lie, so that the others stay between them. */
    private int edgesNeeded(StripProblem problem) {
        if (!holdsBetween(problem) || taken() <= problem.inner()) {
            return 0;
        }
        return taken() <= problem.width() - problem.edge() ? 1 : 2;
    }

    private boolean holdsBetween(StripProblem problem) {
        for (int kind = 0; kind < counts.length; kind++) {
            if (counts[kind] > 0 && problem.between()[kind]) {
                return true;
            }
        }
        return false;
    }

    private static boolean isForTheEdge(Column column, StripProblem problem) {
        return column.width() > problem.edge()
                && Arrays.stream(column.items()).noneMatch(item -> problem.between()[problem.kindOf()[item]]);
    }

    /** How much of the width its columns take. */
    int taken() {
        return columns.stream().mapToInt(Column::width).sum();
    }

    /** What its pieces are worth together, when each kind has a value. */
    double worth(double[] value) {
        double sum = 0;
        for (int kind = 0; kind < value.length; kind++) {
            sum += value[kind] * counts[kind];
        }
        return sum;
    }

    /** Cuts that take it apart: one along each column, and those across the stacks, which equal columns share. */
    int crossCuts() {
        int cuts = 0;
        Column before = null;
        for (Column column : columns) {
            cuts += 1 + (before != null && before.isLike(column) ? 0 : column.items().length - 1);
            before = column;
        }
        return cuts;
    }
}
