package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Finds strips that are worth most when each kind of piece has a value: for every width the best stack of pieces no wider
 * than it, for every height at once; then for each height of strip the best row of such stacks.
 */
final class StripPricing {

    private final StripProblem problem;
    private final int[] heights;
    private final int[] widths;
    private final int[][] itemsOfWidth;
    private final double[][] stack;
    private final int[][] lastOfStack;
    private final double[] row;
    private final int[] lastOfRow;

    /** Prices strips of the given heights, in rising order. */
    StripPricing(StripProblem problem, int[] heights) {
        this.problem = problem;
        this.heights = heights;
        this.widths = Arrays.stream(problem.widthOf()).distinct().sorted().toArray();
        this.itemsOfWidth = new int[widths.length][];
        for (int w = 0; w < widths.length; w++) {
            int width = widths[w];
            itemsOfWidth[w] = IntStream.range(0, problem.items())
                    .filter(item -> problem.widthOf()[item] == width)
                    .toArray();
        }
        int tallest = heights[heights.length - 1];
        this.stack = new double[widths.length][tallest + 1];
        this.lastOfStack = new int[widths.length][tallest + 1];
        this.row = new double[problem.width() + 1];
        this.lastOfRow = new int[problem.width() + 1];
    }

    /**
     * The strips that are worth more than their height, for each height the best one.
     *
     * @param value of a piece of each kind
     * @param most no strip gives more pieces of a kind
     */
    List<StripPattern> worthMore(double[] value, int[] most) {
        fillStacks(value, most);
        List<StripPattern> found = new ArrayList<>();
        for (int height : heights) {
            if (fillRow(height) > height + 1e-6) {
                StripPattern pattern = read(height, most);
                if (worth(pattern, value) > height + 1e-6) {
                    found.add(pattern);
                }
            }
        }
        return found;
    }

    /** What the pieces of a strip are worth together. */
    static double worth(StripPattern pattern, double[] value) {
        double sum = 0;
        for (int kind = 0; kind < value.length; kind++) {
            sum += value[kind] * pattern.counts()[kind];
        }
        return sum;
    }

    private void fillStacks(double[] value, int[] most) {
        for (int w = 0; w < widths.length; w++) {
            double[] best = stack[w];
            int[] last = lastOfStack[w];
            if (w == 0) {
                Arrays.fill(best, 0);
                Arrays.fill(last, -1);
            } else {
                System.arraycopy(stack[w - 1], 0, best, 0, best.length);
                System.arraycopy(lastOfStack[w - 1], 0, last, 0, last.length);
            }
            for (int item : itemsOfWidth[w]) {
                int kind = problem.kindOf()[item];
                int height = problem.heightOf()[item];
                double worth = value[kind];
                if (worth > 0 && most[kind] > 0) {
                    for (int h = height; h < best.length; h++) {
                        double with = best[h - height] + worth;
                        if (with > best[h] + 1e-9) {
                            best[h] = with;
                            last[h] = item;
                        }
                    }
                }
            }
        }
    }

    private double fillRow(int height) {
        Arrays.fill(row, 0);
        Arrays.fill(lastOfRow, -1);
        for (int w = 0; w < widths.length; w++) {
            double worth = stack[w][height];
            boolean isMore = w == 0 ? worth > 0 : worth > stack[w - 1][height] + 1e-9;
            if (isMore) {
                int width = widths[w];
                for (int x = width; x < row.length; x++) {
                    double with = row[x - width] + worth;
                    if (with > row[x] + 1e-9) {
                        row[x] = with;
                        lastOfRow[x] = w;
                    }
                }
            }
        }
        return row[problem.width()];
    }

    private StripPattern read(int height, int[] most) {
        List<StripPattern.Column> columns = new ArrayList<>();
        int[] counts = new int[problem.kinds()];
        int x = problem.width();
        while (lastOfRow[x] >= 0) {
            int w = lastOfRow[x];
            int[] items = readStack(w, height, most, counts);
            if (items.length > 0) {
                columns.add(new StripPattern.Column(widths[w], items));
            }
            x -= widths[w];
        }
        return new StripPattern(height, columns, counts);
    }

    /** The pieces of a stack, but for those of which the strip has enough. */
    private int[] readStack(int w, int height, int[] most, int[] counts) {
        List<Integer> items = new ArrayList<>();
        int h = height;
        while (lastOfStack[w][h] >= 0) {
            int item = lastOfStack[w][h];
            int kind = problem.kindOf()[item];
            if (counts[kind] < most[kind]) {
                counts[kind]++;
                items.add(item);
            }
            h -= problem.heightOf()[item];
        }
        return items.stream().mapToInt(Integer::intValue).toArray();
    }
}
