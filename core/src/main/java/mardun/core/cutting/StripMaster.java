package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How often to cut which strip, if strips could be cut in fractions: a linear programme whose columns are found as they are
 * needed. It says what a piece of each kind is worth, in length of cloth, and which strips go together.
 */
final class StripMaster {

    private static final double SHARE = 0.35;
    private static final double CLOSE = 0.001;
    private static final int AT_ONCE = 60;
    private static final double EPSILON = 1e-6;

    private final StripProblem problem;
    private final StripFill fill;
    private final int[] heights;
    private final Budget budget;
    private final List<StripPattern> pool = new ArrayList<>();
    private final StripPattern[] basis;
    private final double[] cost;
    private final double[][] inverse;
    private final double[] amount;

    /** Begins with strips of one kind each. */
    StripMaster(StripProblem problem, StripFill fill, int[] heights, Budget budget) {
        this.problem = problem;
        this.fill = fill;
        this.heights = heights;
        this.budget = budget;
        int m = problem.kinds();
        basis = new StripPattern[m];
        cost = new double[m];
        inverse = new double[m][m];
        amount = new double[m];
        for (int kind = 0; kind < m; kind++) {
            StripPattern single = single(kind);
            basis[kind] = single;
            cost[kind] = single.height();
            inverse[kind][kind] = 1.0 / single.counts()[kind];
            amount[kind] = (double) problem.demand()[kind] / single.counts()[kind];
        }
    }

    /** A strip of one kind: the way round that takes least length for a piece. */
    private StripPattern single(int kind) {
        StripPattern best = null;
        for (int item = 0; item < problem.items(); item++) {
            if (problem.kindOf()[item] == kind && problem.timesOf()[item] == 1) {
                int across = Math.min(problem.across(item), problem.demand()[kind]);
                List<StripPattern.Column> columns = new ArrayList<>();
                for (int i = 0; i < across; i++) {
                    columns.add(new StripPattern.Column(problem.widthOf()[item], new int[] {item}));
                }
                StripPattern one = StripPattern.of(problem, columns);
                boolean isBetter =
                        best == null || (long) one.height() * best.counts()[kind] < (long) best.height() * across;
                best = isBetter ? one : best;
            }
        }
        return best;
    }

    /** Finds strips as long as they shorten the cloth, or until the time is spent. */
    void solve() {
        while (!budget.isSpent(SHARE)) {
            double[] value = values();
            List<StripPattern> found = worthMore(value);
            if (found.isEmpty()) {
                return;
            }
            pool.addAll(found);
            boolean shortened = true;
            while (shortened && !budget.isSpent(SHARE)) {
                shortened = pivot();
            }
        }
    }

    /** Strips that are worth more than their height: of the heights that promise most, the best one for each. */
    private List<StripPattern> worthMore(double[] value) {
        fill.prepare(value, problem.demand(), heights[heights.length - 1]);
        double[] promise = new double[heights.length];
        for (int i = 0; i < heights.length; i++) {
            promise[i] = fill.atMost(heights[i]) / heights[i];
        }
        List<Integer> order = IntStream.range(0, heights.length)
                .filter(i -> promise[i] > 1 + CLOSE)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -promise[i]))
                .toList();
        List<StripPattern> found = new ArrayList<>();
        for (int i = 0; i < order.size() && found.size() < AT_ONCE; i++) {
            StripPattern strip = fill.strip(heights[order.get(i)]);
            if (strip != null && strip.worth(value) > strip.height() * (1 + CLOSE)) {
                found.add(strip);
            }
        }
        budget.spend(fill.workDone());
        return found;
    }

    /** What a piece of each kind is worth, in steps of length. */
    double[] values() {
        return Arrays.stream(duals()).map(dual -> Math.max(0, dual)).toArray();
    }

    private double[] duals() {
        int m = basis.length;
        double[] duals = new double[m];
        for (int j = 0; j < m; j++) {
            for (int i = 0; i < m; i++) {
                duals[j] += cost[i] * inverse[i][j];
            }
        }
        return duals;
    }

    /** The strips in use and how often each is cut, in fractions. */
    List<Share> shares() {
        List<Share> shares = new ArrayList<>();
        for (int i = 0; i < basis.length; i++) {
            if (basis[i] != null && amount[i] > EPSILON) {
                shares.add(new Share(basis[i], amount[i]));
            }
        }
        return shares;
    }

    /** A strip with how often it is cut. */
    record Share(StripPattern pattern, double times) {}

    /** Brings the column in that shortens most; answers whether there was one. */
    private boolean pivot() {
        int m = basis.length;
        budget.spend((long) m * (m + pool.size()) / StripFill.STEPS_OF_WORK);
        double[] duals = duals();
        StripPattern entering = null;
        double best = EPSILON;
        for (StripPattern pattern : pool) {
            double gain = pattern.worth(duals) - pattern.height();
            if (gain > best) {
                best = gain;
                entering = pattern;
            }
        }
        int surplus = -1;
        for (int j = 0; j < m; j++) {
            if (-duals[j] > best) {
                best = -duals[j];
                surplus = j;
            }
        }
        if (entering == null && surplus < 0) {
            return false;
        }
        double[] column = new double[m];
        for (int i = 0; i < m; i++) {
            if (surplus >= 0) {
                column[i] = -inverse[i][surplus];
            } else {
                for (int j = 0; j < m; j++) {
                    int count = entering.counts()[j];
                    if (count != 0) {
                        column[i] += inverse[i][j] * count;
                    }
                }
            }
        }
        return enter(surplus >= 0 ? null : entering, column);
    }

    private boolean enter(StripPattern entering, double[] column) {
        int m = basis.length;
        int leaving = -1;
        double least = Double.MAX_VALUE;
        for (int i = 0; i < m; i++) {
            if (column[i] > EPSILON) {
                double ratio = amount[i] / column[i];
                if (ratio < least - 1e-12 || (ratio < least + 1e-12 && column[i] > column[leaving])) {
                    least = ratio;
                    leaving = i;
                }
            }
        }
        if (leaving < 0) {
            return false;
        }
        double pivot = column[leaving];
        for (int j = 0; j < m; j++) {
            inverse[leaving][j] /= pivot;
        }
        amount[leaving] /= pivot;
        for (int i = 0; i < m; i++) {
            if (i != leaving && column[i] != 0) {
                double factor = column[i];
                for (int j = 0; j < m; j++) {
                    inverse[i][j] -= factor * inverse[leaving][j];
                }
                amount[i] = Math.max(0, amount[i] - factor * amount[leaving]);
            }
        }
        basis[leaving] = entering;
        cost[leaving] = entering == null ? 0 : entering.height();
        return true;
    }
}
