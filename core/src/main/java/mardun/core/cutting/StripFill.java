package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Cuts one strip from the pieces that are still wanted: for every width the best stack no wider than it, for every height at
 * once; then the best row of such stacks. No piece is cut more often than it is wanted.
 */
final class StripFill {

    private static final int TOPPED_UP = 2;
    private static final int NOTHING = -1;
    private static final int NOTHING_MORE = -2;

    /** So many steps of filling are a unit of work. */
    static final int STEPS_OF_WORK = 500;

    private static final double HAIR = 1e-9;

    private final StripProblem problem;
    private final int width;
    private final int[] widths;
    private final int[][] itemsOfWidth;
    private double[][] stack;
    private int[][] lastOfStack;
    private final int[] copies;
    private final double[] row;
    private final int[][] copiesInRow;
    private final int[][] reachedInRow;
    private final int[] left;
    private final int[] activeWidths;
    private int active;
    private int highest;
    private double[] values;
    private boolean prepared;
    private long work;

    /**
     * Fills strips across a cloth.
     *
     * @param width of the cloth, which may be less than the problem's
     * @param tallest no strip is higher
     */
    StripFill(StripProblem problem, int width, int tallest) {
        this.problem = problem;
        this.width = width;
        this.widths = Arrays.stream(problem.widthOf())
                .filter(one -> one <= width)
                .distinct()
                .sorted()
                .toArray();
        this.itemsOfWidth = new int[widths.length][];
        for (int w = 0; w < widths.length; w++) {
            int its = widths[w];
            itemsOfWidth[w] = IntStream.range(0, problem.items())
                    .filter(item -> problem.widthOf()[item] == its)
                    .toArray();
        }
        this.stack = new double[widths.length][tallest + 1];
        this.lastOfStack = new int[widths.length][tallest + 1];
        this.copies = new int[tallest + 1];
        this.row = new double[width + 1];
        this.copiesInRow = new int[widths.length][width + 1];
        this.reachedInRow = new int[widths.length][width + 1];
        this.activeWidths = new int[widths.length];
        this.left = new int[problem.kinds()];
    }

    /** Finds the best stacks up to a height. */
    void prepare(double[] value, int[] wanted, int height) {
        System.arraycopy(wanted, 0, left, 0, left.length);
        highest = height;
        values = value;
        stackUp(value, height);
        prepared = true;
    }

    /** Topping up a strip spoils the stacks for the next one. */
    private void prepareAgain() {
        if (!prepared) {
            stackUp(values, highest);
            prepared = true;
        }
    }

    private void stackUp(double[] value, int most) {
        active = 0;
        for (int w = 0; w < widths.length; w++) {
            boolean begun = false;
            for (int item : itemsOfWidth[w]) {
                boolean wanted = left[problem.kindOf()[item]] >= problem.timesOf()[item]
                        && problem.heightOf()[item] <= most
                        && value[problem.kindOf()[item]] > 0;
                if (wanted) {
                    if (!begun) {
                        begin(w, most);
                        begun = true;
                    }
                    stackUp(item, value, most, stack[w], lastOfStack[w]);
                }
            }
        }
    }

    /** A width begins with what narrower stacks are worth. */
    private void begin(int w, int most) {
        if (active == 0) {
            Arrays.fill(stack[w], 0, most + 1, 0);
            Arrays.fill(lastOfStack[w], 0, most + 1, NOTHING);
        } else {
            System.arraycopy(stack[activeWidths[active - 1]], 0, stack[w], 0, most + 1);
            System.arraycopy(lastOfStack[activeWidths[active - 1]], 0, lastOfStack[w], 0, most + 1);
        }
        work += most;
        activeWidths[active++] = w;
    }

    private void stackUp(int item, double[] value, int most, double[] best, int[] last) {
        int kind = problem.kindOf()[item];
        int times = problem.timesOf()[item];
        int height = problem.heightOf()[item];
        int copiesAtMost = left[kind] / times;
        double worth = value[kind] * times;
        work += most + 1 - height;
        if ((long) copiesAtMost * height >= most) {
            for (int h = height; h <= most; h++) {
                double with = best[h - height] + worth;
                if (with > best[h] + HAIR) {
                    best[h] = with;
                    last[h] = item;
                }
            }
            return;
        }
        Arrays.fill(copies, 0, most + 1, 0);
        for (int h = height; h <= most; h++) {
            double with = best[h - height] + worth;
            if (with > best[h] + HAIR && copies[h - height] < copiesAtMost) {
                best[h] = with;
                last[h] = item;
                copies[h] = copies[h - height] + 1;
            } else if (best[h - 1] > best[h]) {
                best[h] = best[h - 1];
                last[h] = NOTHING_MORE;
                copies[h] = copies[h - 1];
            }
        }
    }

    /** No strip of this height is worth more: the best stack for its width, all across the cloth. */
    double atMost(int height) {
        prepareAgain();
        double best = 0;
        for (int a = 0; a < active; a++) {
            int w = activeWidths[a];
            best = Math.max(best, stack[w][height] / widths[w]);
        }
        return best * width;
    }

    /** The work done since it was asked last. */
    long workDone() {
        long done = work / STEPS_OF_WORK;
        work %= STEPS_OF_WORK;
        return done;
    }

    /**
     * The strip of at most this height that is worth most, of the pieces that {@link #prepare} was told of.
     *
     * @return its height is that of its highest column; null if nothing fits
     */
    StripPattern strip(int height) {
        if (problem.edge() == 0) {
            return strip(height, width);
        }
        StripPattern best = null;
        for (int across : new int[] {width, width - problem.edge(), problem.inner()}) {
            StripPattern next = strip(height, across);
            boolean isBetter = next != null && (best == null || next.worth(values) > best.worth(values));
            best = isBetter && next.fitsBetweenEdges(problem) ? next : best;
        }
        return best;
    }

    /** The same for a strip that is less wide than the cloth. */
    StripPattern strip(int height, int across) {
        List<StripPattern.Column> columns = new ArrayList<>();
        int[] kept = left.clone();
        prepareAgain();
        int free = across;
        boolean topUp = row(height, free, columns);
        for (int round = 0; topUp && round < TOPPED_UP; round++) {
            free = across
                    - columns.stream().mapToInt(StripPattern.Column::width).sum();
            stackUp(values, height);
            prepared = false;
            topUp = row(height, free, columns);
        }
        System.arraycopy(kept, 0, left, 0, left.length);
        return !columns.isEmpty() ? StripPattern.of(problem, columns) : null;
    }

    /** Adds the best row of stacks; answers whether a stack was left out because its pieces had run out. */
    private boolean row(int height, int free, List<StripPattern.Column> columns) {
        Arrays.fill(row, 0, free + 1, 0);
        int[][] stacks = new int[active][];
        for (int a = 0; a < active && widths[activeWidths[a]] <= free; a++) {
            int w = activeWidths[a];
            double worth = stack[w][height];
            boolean isMore = a == 0 ? worth > 0 : worth > stack[activeWidths[a - 1]][height] + HAIR;
            if (isMore) {
                stacks[a] = read(w, height);
                lay(w, worth, timesAtMost(stacks[a]), free);
            }
        }
        boolean leftOut = false;
        int x = free;
        for (int a = active - 1; a >= 0; a--) {
            if (stacks[a] != null) {
                int w = activeWidths[a];
                int times = copiesInRow[w][x];
                x = reachedInRow[w][x];
                x -= times * widths[w];
                for (int i = 0; i < times; i++) {
                    int[] taken = take(stacks[a]);
                    if (taken.length > 0) {
                        columns.add(new StripPattern.Column(widest(taken), taken));
                    }
                    leftOut |= taken.length < stacks[a].length;
                }
            }
        }
        return leftOut;
    }

    private void lay(int w, double worth, int timesAtMost, int free) {
        int[] times = copiesInRow[w];
        int[] reached = reachedInRow[w];
        int its = widths[w];
        work += free + 1;
        Arrays.fill(times, 0, Math.min(its, free + 1), 0);
        for (int x = 0; x <= free; x++) {
            reached[x] = x;
        }
        for (int x = its; x <= free; x++) {
            double with = row[x - its] + worth;
            if (with > row[x] + HAIR && times[x - its] < timesAtMost) {
                row[x] = with;
                times[x] = times[x - its] + 1;
            } else if (row[x - 1] > row[x]) {
                row[x] = row[x - 1];
                times[x] = times[x - 1];
                reached[x] = reached[x - 1];
            } else {
                times[x] = 0;
            }
        }
    }

    private int[] read(int w, int height) {
        int[] last = lastOfStack[w];
        int[] items = new int[height];
        int size = 0;
        int h = height;
        while (last[h] != NOTHING) {
            if (last[h] == NOTHING_MORE) {
                h--;
            } else {
                items[size++] = last[h];
                h -= problem.heightOf()[last[h]];
            }
        }
        int[] read = Arrays.copyOf(items, size);
        Arrays.sort(read);
        return read;
    }

    private int timesAtMost(int[] items) {
        int most = Integer.MAX_VALUE;
        for (int item : items) {
            int kind = problem.kindOf()[item];
            int asked = 0;
            for (int other : items) {
                asked += problem.kindOf()[other] == kind ? problem.timesOf()[other] : 0;
            }
            most = Math.min(most, left[kind] / asked);
        }
        return Math.max(1, most);
    }

    /** The items of a stack of which there are still enough pieces, which are then taken. */
    private int[] take(int[] items) {
        int[] taken = new int[items.length];
        int size = 0;
        for (int item : items) {
            if (left[problem.kindOf()[item]] >= problem.timesOf()[item]) {
                left[problem.kindOf()[item]] -= problem.timesOf()[item];
                taken[size++] = item;
            }
        }
        return size == items.length ? items : Arrays.copyOf(taken, size);
    }

    private int widest(int[] items) {
        int widest = 0;
        for (int item : items) {
            widest = Math.max(widest, problem.widthOf()[item]);
        }
        return widest;
    }
}
