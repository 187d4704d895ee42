package mardun.core.season;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;

/**
 * The integer programme of a season: how many of each item to make, so that the sum of what the pieces are worth, less what is spent, is the
 * greatest within the limits. Each further piece of an item is worth less than the one before, and each design of which anything is made
 * costs its set-up once.
 *
 * <p>It is solved by branch and bound: {@link MakeBranch} says what no choice of a branch can pass, and what is found in it; the branch that
 * promises most is halved next. What the last of them promise over the best choice is its proven gap, which is small or none as a rule.
 */
final class MakeProgramme {

    static final int MINUTES = 0;
    static final int MONEY = 1;
    static final int PIECES = 2;
    static final int CLOTH = 3;
    static final double SMALL = 1e-9;

    private static final int BRANCHES = 40;

    /** A branch that promises at most so much more than what was found, as a part of it, isn't looked at. */
    private static final double NEAR = 2e-5;

    final List<SeasonItem> items;
    final double[][] worth;
    final int[] least;
    final double[] limit;

    /** By which what is used of a limit is measured: the limit itself, where there is one that isn't next to nothing. */
    final double[] scale;

    final double[] priceOfMore;
    final double[] worthOfShelf;
    final double[] ownCost;
    final int[][] rows;
    final double[][] uses;
    final int[][] designs;
    final int[] designOf;
    final double[] setUp;
    private final List<String> cloths;

    /**
     * Sets the programme up.
     *
     * @param worth by item, of the first piece, the second …; made to fall where it doesn't
     */
    MakeProgramme(Season season, double[][] worth) {
        this.items = season.items();
        this.worth = Arrays.stream(worth).map(MakeProgramme::falling).toArray(double[][]::new);
        least = items.stream().mapToInt(SeasonItem::atLeast).toArray();
        SeasonLimits limits = season.limits();
        cloths = List.copyOf(limits.cloth().keySet());
        limit = new double[CLOTH + cloths.size()];
        priceOfMore = new double[limit.length];
        worthOfShelf = new double[limit.length];
        ownCost = new double[items.size()];
        limit[MINUTES] = limits.hours() * 60;
        limit[MONEY] = limits.money();
        limit[PIECES] = limits.pieces().isPresent() ? limits.pieces().getAsInt() : Double.POSITIVE_INFINITY;
        for (int n = 0; n < cloths.size(); n++) {
            SeasonLimits.Cloth cloth = limits.cloth().get(cloths.get(n));
            limit[CLOTH + n] = cloth.shelf();
            priceOfMore[CLOTH + n] = cloth.price().orElse(Double.POSITIVE_INFINITY);
            worthOfShelf[CLOTH + n] = cloth.worth();
        }
        scale = Arrays.stream(limit)
                .map(its -> Double.isInfinite(its) ? 1 : Math.max(its, 0.1))
                .toArray();
        rows = new int[items.size()][];
        uses = new double[items.size()][];
        Map<String, List<Integer>> byDesign = new LinkedHashMap<>();
        for (int item = 0; item < items.size(); item++) {
            SeasonItem one = items.get(item);
            byDesign.computeIfAbsent(one.design(), design -> new ArrayList<>()).add(item);
            List<String> of = List.copyOf(one.clothUse().keySet());
            rows[item] = new int[CLOTH + of.size()];
            uses[item] = new double[CLOTH + of.size()];
            double[] fixed = {one.minutes(), one.trimCost(), 1};
            for (int n = 0; n < CLOTH; n++) {
                rows[item][n] = n;
                uses[item][n] = fixed[n];
            }
            for (int n = 0; n < of.size(); n++) {
                rows[item][CLOTH + n] = CLOTH + cloths.indexOf(of.get(n));
                uses[item][CLOTH + n] = one.clothUse().get(of.get(n));
                ownCost[item] += uses[item][CLOTH + n] * worthOfShelf[rows[item][CLOTH + n]];
            }
        }
        designs = byDesign.values().stream()
                .map(list -> list.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
        designOf = new int[items.size()];
        setUp = new double[designs.length];
        for (int design = 0; design < designs.length; design++) {
            for (int item : designs[design]) {
                designOf[item] = design;
                setUp[design] = items.get(item).setUpMinutes();
            }
        }
    }

    /**
     * A choice.
     *
     * @param made pieces of each item
     * @param value what they are worth, less what is spent
     * @param bound no choice is worth more
     * @param prices at which the bound was found: of a minute, of a unit of money, of a piece, and of a metre of each cloth
     */
    record Choice(int[] made, double value, double bound, double[] prices) {}

    /** Lets each further piece be worth no more than the one before, with the same sum: neighbours that rise share their mean. */
    private static double[] falling(double[] worth) {
        double[] mean = new double[worth.length];
        int[] width = new int[worth.length];
        int blocks = 0;
        for (double one : worth) {
            mean[blocks] = one;
            width[blocks++] = 1;
            while (blocks > 1 && mean[blocks - 1] > mean[blocks - 2]) {
                blocks--;
                int both = width[blocks - 1] + width[blocks];
                mean[blocks - 1] = (mean[blocks - 1] * width[blocks - 1] + mean[blocks] * width[blocks]) / both;
                width[blocks - 1] = both;
            }
        }
        double[] falling = new double[worth.length];
        int at = 0;
        for (int block = 0; block < blocks; block++) {
            Arrays.fill(falling, at, at + width[block], mean[block]);
            at += width[block];
        }
        return falling;
    }

    /**
     * Chooses.
     *
     * @param from prices to begin with, those of a programme that is much like it; empty if there are none
     * @param made a choice to begin with; as far as it fits
     */
    Choice solve(double[] from, int[] made) {
        Making nothing = new Making(this);
        nothing.fill();
        Making before = new Making(this);
        before.addWhatFits(made);
        before.fill();
        Making best = before.isBetterThan(nothing) ? before : nothing;
        double[] prices = new double[limit.length];
        prices[MINUTES] = best.value() / Math.max(limit[MINUTES], 1);
        System.arraycopy(from, 0, prices, 0, from.length);

        MakeBranch all = new MakeBranch(this);
        best = all.price(prices, best);
        PriorityQueue<MakeBranch> open = new PriorityQueue<>(
                Comparator.comparingDouble(MakeBranch::bound).reversed());
        open.add(all);
        double leftOut = Double.NEGATIVE_INFINITY;
        for (int halved = 0; halved < BRANCHES && !open.isEmpty(); halved++) {
            MakeBranch branch = open.peek();
            if (branch.bound() <= best.value() + NEAR * Math.abs(best.value())) {
                break;
            }
            open.remove();
            List<MakeBranch> halves = branch.halves();
            if (halves.isEmpty()) {
                leftOut = Math.max(leftOut, branch.bound());
            }
            for (MakeBranch half : halves) {
                best = half.price(branch.prices(), best);
                open.add(half);
            }
        }
        double bound = open.isEmpty() ? leftOut : Math.max(leftOut, open.peek().bound());
        return new Choice(best.made(), best.value(), Math.max(bound, best.value()), all.prices());
    }

    /** What a piece costs at prices. */
    double cost(int item, double[] prices) {
        double cost = items.get(item).trimCost() + ownCost[item];
        for (int n = 0; n < rows[item].length; n++) {
            cost += uses[item][n] * prices[rows[item][n]];
        }
        return cost;
    }
}
