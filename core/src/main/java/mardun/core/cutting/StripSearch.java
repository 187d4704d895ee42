package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.function.BooleanSupplier;

/**
 * Searches for the strips that take the least length of cloth. It begins with what the linear programme says, rounded down,
 * cuts the rest into strips one by one, and then takes some strips apart and cuts them anew, as long as there is time.
 */
final class StripSearch {

    private static final int MOST_HEIGHTS = 450;
    private static final double STACKED = 4;
    private static final int TRIES = 5;

    private final StripProblem problem;
    private final Random random;
    private final StripPricing pricing;
    private final int[] heights;
    private double[] value;

    StripSearch(StripProblem problem, long seed) {
        this.problem = problem;
        this.random = new Random(seed);
        this.heights = heights(problem);
        this.pricing = new StripPricing(problem, heights);
        this.value = new double[problem.kinds()];
        for (int kind = 0; kind < value.length; kind++) {
            value[kind] = (double) problem.area(kind) / problem.width();
        }
    }

    /**
     * The heights that a strip may have: those of all stacks up to a few times the tallest piece, or up to as high as keeps
     * them few enough to search.
     */
    private static int[] heights(StripProblem problem) {
        int[] singles = Arrays.stream(problem.heightOf()).distinct().sorted().toArray();
        int tallest = problem.tallest();
        double cap = STACKED * tallest;
        BitSet sums = sums(singles, (int) cap);
        while (sums.cardinality() > MOST_HEIGHTS && cap > tallest) {
            cap *= 0.92;
            sums = sums(singles, (int) Math.max(cap, tallest));
        }
        if (sums.cardinality() > MOST_HEIGHTS) {
            sums.clear();
        }
        for (int single : singles) {
            sums.set(single);
        }
        return sums.stream().toArray();
    }

    /** All sums of the heights, up to a most. */
    private static BitSet sums(int[] singles, int most) {
        BitSet sums = new BitSet(most + 1);
        for (int h = 1; h <= most; h++) {
            for (int single : singles) {
                if (single == h || (single < h && sums.get(h - single))) {
                    sums.set(h);
                    break;
                }
            }
        }
        return sums;
    }

    /** Strips and the length they take together. */
    record Solution(List<StripPattern> strips, long length) {

        static Solution of(List<StripPattern> strips) {
            return new Solution(
                    List.copyOf(strips),
                    strips.stream().mapToLong(StripPattern::height).sum());
        }
    }

    /** The best solution found until the time is spent; there is one as soon as it is asked for. */
    Solution solve(BooleanSupplier spent) {
        Solution best = Solution.of(complete(new ArrayList<>(), problem.demand().clone()));
        StripMaster master = new StripMaster(problem, pricing);
        master.solve(spent);
        value = master.values();
        List<StripMaster.Share> shares = master.shares();
        for (int round = 0; round < 12 && !spent.getAsBoolean(); round++) {
            Solution rounded = rounded(shares, round);
            best = rounded.length() < best.length() ? rounded : best;
        }
        return improved(best, spent);
    }

    /** Each strip as often as the linear programme says, rounded down or by chance; the rest is cut strip by strip. */
    private Solution rounded(List<StripMaster.Share> shares, int round) {
        int[] left = problem.demand().clone();
        List<StripPattern> strips = new ArrayList<>();
        for (StripMaster.Share share : shares) {
            double chance = round == 0 ? 0 : random.nextDouble() * 0.7;
            int times = (int) Math.floor(share.times() + chance);
            for (int i = 0; i < times && isWanted(share.pattern(), left); i++) {
                take(share.pattern(), left);
                strips.add(share.pattern());
            }
        }
        return Solution.of(complete(strips, left));
    }

    private static boolean isWanted(StripPattern pattern, int[] left) {
        for (int kind = 0; kind < left.length; kind++) {
            if (pattern.counts()[kind] > left[kind]) {
                return false;
            }
        }
        return true;
    }

    private static void take(StripPattern pattern, int[] left) {
        for (int kind = 0; kind < left.length; kind++) {
            left[kind] -= pattern.counts()[kind];
        }
    }

    /** Takes some strips apart and cuts their pieces anew; keeps what isn't worse. */
    private Solution improved(Solution start, BooleanSupplier spent) {
        Solution best = start;
        Solution current = start;
        double heat = 0.001 * start.length();
        while (!spent.getAsBoolean()) {
            List<StripPattern> strips = new ArrayList<>(current.strips());
            int apart = Math.min(strips.size(), 2 + random.nextInt(Math.min(7, Math.max(1, strips.size() / 2) + 1)));
            int[] left = new int[problem.kinds()];
            for (int i = 0; i < apart; i++) {
                int which = wasteful(strips);
                StripPattern out = strips.remove(which);
                for (int kind = 0; kind < left.length; kind++) {
                    left[kind] += out.counts()[kind];
                }
            }
            Solution next = Solution.of(complete(strips, left));
            boolean taken = next.length() <= current.length() + heat * random.nextDouble();
            current = taken ? next : current;
            if (next.length() < best.length()) {
                best = next;
            }
            heat *= 0.9995;
            if (heat < 0.5 && current.length() > best.length()) {
                current = best;
                heat = 0.0007 * best.length();
            }
        }
        return best;
    }

    /** A strip to be taken apart: of two, the one that wastes more. */
    private int wasteful(List<StripPattern> strips) {
        int one = random.nextInt(strips.size());
        int other = random.nextInt(strips.size());
        return waste(strips.get(other)) > waste(strips.get(one)) ? other : one;
    }

    private double waste(StripPattern strip) {
        long used = 0;
        for (int kind = 0; kind < strip.counts().length; kind++) {
            used += strip.counts()[kind] * problem.area(kind);
        }
        return 1 - (double) used / ((long) strip.height() * problem.width());
    }

    /** Cuts what is left strip by strip. */
    private List<StripPattern> complete(List<StripPattern> strips, int[] left) {
        while (Arrays.stream(left).anyMatch(count -> count > 0)) {
            StripPattern next = next(left);
            take(next, left);
            strips.add(next);
        }
        return strips;
    }

    /** Of some strips that could come next, the one that gives most for its height. */
    private StripPattern next(int[] left) {
        double[] wanted = new double[value.length];
        for (int kind = 0; kind < wanted.length; kind++) {
            wanted[kind] = value[kind] * (0.9 + 0.2 * random.nextDouble()) + 1e-3;
        }
        StripPattern best = null;
        double most = -1;
        for (int i = 0; i < TRIES; i++) {
            StripPattern pattern = filled(height(left, i == 0), wanted, left);
            if (pattern != null) {
                double rate = StripPricing.worth(pattern, wanted) / pattern.height();
                if (rate > most) {
                    most = rate;
                    best = pattern;
                }
            }
        }
        return best;
    }

    /** A height for the next strip: of the piece that is hardest to place, or of any, or of a few of them stacked. */
    private int height(int[] left, boolean tallest) {
        int chosen = 0;
        int seen = 0;
        for (int item = 0; item < problem.items(); item++) {
            if (left[problem.kindOf()[item]] > 0) {
                int height = problem.heightOf()[item];
                if (tallest) {
                    chosen = Math.max(chosen, lowest(problem.kindOf()[item]));
                } else if (random.nextInt(++seen) == 0) {
                    chosen = height;
                }
            }
        }
        if (!tallest && random.nextInt(3) == 0) {
            int any = heights[random.nextInt(heights.length)];
            return Math.max(any, chosen);
        }
        return chosen;
    }

    private int lowest(int kind) {
        int lowest = Integer.MAX_VALUE;
        for (int item = 0; item < problem.items(); item++) {
            if (problem.kindOf()[item] == kind) {
                lowest = Math.min(lowest, problem.heightOf()[item]);
            }
        }
        return lowest;
    }

    /** A column that a strip may have, as often as there are pieces for it. */
    private record Candidate(int width, int[] items, double worth, int times) {}

    /** A strip of a height, filled with what is left: stacks of one kind with others on top, in the best row. */
    private StripPattern filled(int height, double[] wanted, int[] left) {
        List<Candidate> candidates = candidates(height, wanted, left);
        if (candidates.isEmpty()) {
            return null;
        }
        int width = problem.width();
        double[] best = new double[width + 1];
        int[][] choice = new int[candidates.size()][width + 1];
        for (int c = 0; c < candidates.size(); c++) {
            Candidate one = candidates.get(c);
            double[] before = best.clone();
            for (int x = one.width(); x <= width; x++) {
                int most = Math.min(one.times(), x / one.width());
                for (int times = 1; times <= most; times++) {
                    double with = before[x - times * one.width()] + times * one.worth();
                    if (with > best[x] + 1e-9) {
                        best[x] = with;
                        choice[c][x] = times;
                    }
                }
            }
        }
        List<StripPattern.Column> columns = new ArrayList<>();
        int[] counts = new int[problem.kinds()];
        int x = width;
        for (int c = candidates.size() - 1; c >= 0; c--) {
            Candidate one = candidates.get(c);
            int times = choice[c][x];
            x -= times * one.width();
            for (int i = 0; i < times; i++) {
                int[] items = Arrays.stream(one.items())
                        .filter(item -> counts[problem.kindOf()[item]]++ < left[problem.kindOf()[item]])
                        .toArray();
                for (int kind = 0; kind < counts.length; kind++) {
                    counts[kind] = Math.min(counts[kind], left[kind]);
                }
                if (items.length > 0) {
                    columns.add(new StripPattern.Column(one.width(), items));
                }
            }
        }
        return columns.isEmpty() ? null : lowered(columns, counts);
    }

    /** The strip as high as its highest column. */
    private StripPattern lowered(List<StripPattern.Column> columns, int[] counts) {
        int highest = 0;
        for (StripPattern.Column column : columns) {
            int height = 0;
            for (int item : column.items()) {
                height += problem.heightOf()[item];
            }
            highest = Math.max(highest, height);
        }
        return new StripPattern(highest, columns, counts);
    }

    private List<Candidate> candidates(int height, double[] wanted, int[] left) {
        List<Candidate> candidates = new ArrayList<>();
        for (int base = 0; base < problem.items(); base++) {
            int kind = problem.kindOf()[base];
            int itsHeight = problem.heightOf()[base];
            if (left[kind] > 0 && itsHeight <= height) {
                int highest = Math.min(left[kind], height / itsHeight);
                int stacked = random.nextInt(10) < 1 ? 1 + random.nextInt(highest) : highest;
                List<Integer> items = new ArrayList<>();
                double worth = 0;
                for (int i = 0; i < stacked; i++) {
                    items.add(base);
                    worth += wanted[kind];
                }
                worth += fillUp(height - stacked * itsHeight, problem.widthOf()[base], kind, wanted, left, items);
                candidates.add(new Candidate(
                        problem.widthOf()[base],
                        items.stream().mapToInt(Integer::intValue).toArray(),
                        worth,
                        Math.max(1, left[kind] / stacked)));
            }
        }
        candidates.sort(Comparator.comparingInt(Candidate::width));
        return candidates;
    }

    /** Puts other pieces on top of a stack, those that are worth most for their height first. */
    private double fillUp(int room, int width, int base, double[] wanted, int[] left, List<Integer> items) {
        double worth = 0;
        int over = room;
        boolean found = true;
        int[] used = new int[left.length];
        while (found) {
            int best = -1;
            for (int item = 0; item < problem.items(); item++) {
                int kind = problem.kindOf()[item];
                boolean fits = problem.heightOf()[item] <= over && problem.widthOf()[item] <= width;
                if (kind != base && fits && used[kind] < left[kind]) {
                    best = best < 0 || wanted[kind] * (0.7 + 0.6 * random.nextDouble()) > wanted[problem.kindOf()[best]]
                            ? item
                            : best;
                }
            }
            found = best >= 0;
            if (found) {
                int kind = problem.kindOf()[best];
                used[kind]++;
                over -= problem.heightOf()[best];
                worth += wanted[kind];
                items.add(best);
            }
        }
        return worth;
    }
}
