package mardun.core.cutting;

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
