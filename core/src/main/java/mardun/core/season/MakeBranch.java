package mardun.core.season;

import static mardun.core.season.MakeProgramme.CLOTH;
import static mardun.core.season.MakeProgramme.MINUTES;
import static mardun.core.season.MakeProgramme.MONEY;
import static mardun.core.season.MakeProgramme.PIECES;
import static mardun.core.season.MakeProgramme.SMALL;

import java.util.Arrays;
import java.util.List;

/**
 * Some of all choices of a {@link MakeProgramme}: those that make at least and at most so many of each item, and set some designs up.
 *
 * <p>All limits are priced together: with a price on every hour, unit of money, piece and metre of a cloth, each design can be looked at
 * alone, and the prices at which that promises the least are a bound that no choice of the branch can pass.
 */
final class MakeBranch {

    private static final int PRICINGS_OF_ALL = 1500;
    private static final int PRICINGS_OF_HALF = 150;
    private static final int TRIED_EACH = 100;
    private static final int PATIENCE = 20;

    /** How much of the mean of what is wanted comes from the last pricing. */
    private static final double LATEST = 0.1;

    /** Who sets a design up at nearly all prices, or at hardly any, isn't undecided about it. */
    private static final double UNDECIDED = 0.45;

    private final MakeProgramme programme;
    private final boolean isAll;
    private final int[] atLeast;
    private final int[] atMost;
    private final boolean[] isSetUp;
    private final double[] meanWanted;
    private final double[] meanSetUp;
    private final int[] wanted;
    private final boolean[] isWanted;
    private final double[] used;
    private double bound = Double.POSITIVE_INFINITY;
    private double[] prices;

    /** All choices. */
    MakeBranch(MakeProgramme programme) {
        this(
                programme,
                true,
                programme.least.clone(),
                Arrays.stream(programme.worth).mapToInt(its -> its.length).toArray(),
                new boolean[programme.designs.length]);
        for (int item = 0; item < atLeast.length; item++) {
            isSetUp[programme.designOf[item]] |= atLeast[item] > 0;
        }
    }

    private MakeBranch(MakeProgramme programme, boolean isAll, int[] atLeast, int[] atMost, boolean[] isSetUp) {
        this.programme = programme;
        this.isAll = isAll;
        this.atLeast = atLeast;
        this.atMost = atMost;
        this.isSetUp = isSetUp;
        meanWanted = new double[atLeast.length];
        meanSetUp = new double[isSetUp.length];
        wanted = new int[atLeast.length];
        isWanted = new boolean[isSetUp.length];
        used = new double[programme.limit.length];
        prices = new double[programme.limit.length];
    }

    /** No choice of the branch is worth more. */
    double bound() {
        return bound;
    }

    /** The prices at which the bound was found: of a minute, of a unit of money, of a piece, and of a metre of each cloth. */
    double[] prices() {
        return prices;
    }

    /**
     * Its two halves: where it isn't clear whether a design is set up, with its set-up and without anything of it; else more and fewer of
     * the item of which most nearly half a piece is wanted. None if only one choice is left.
     */
    List<MakeBranch> halves() {
        int design = undecided();
        if (design >= 0) {
            MakeBranch without = half();
            for (int item : programme.designs[design]) {
                without.atMost[item] = 0;
            }
            MakeBranch with = half();
            with.isSetUp[design] = true;
            return List.of(without, with);
        }
        int item = mostDivided();
        if (item < 0) {
            return List.of();
        }
        int pieces = Math.max(atLeast[item], Math.min(atMost[item] - 1, (int) meanWanted[item]));
        MakeBranch fewer = half();
        fewer.atMost[item] = pieces;
        MakeBranch more = half();
        more.atLeast[item] = pieces + 1;
        more.isSetUp[programme.designOf[item]] = true;
        return List.of(fewer, more);
    }

    private MakeBranch half() {
        MakeBranch half = new MakeBranch(programme, false, atLeast.clone(), atMost.clone(), isSetUp.clone());
        half.bound = bound;
        return half;
    }

    private int undecided() {
        int undecided = -1;
        double least = UNDECIDED;
        for (int design = 0; design < isSetUp.length; design++) {
            double off = Math.abs(meanSetUp[design] - 0.5);
            if (!isSetUp[design] && off < least) {
                least = off;
                undecided = design;
            }
        }
        return undecided;
    }

    private int mostDivided() {
        int divided = -1;
        double least = 1;
        for (int item = 0; item < atLeast.length; item++) {
            double off = Math.abs(meanWanted[item] - Math.floor(meanWanted[item]) - 0.5);
            if (atLeast[item] < atMost[item] && off < least) {
                least = off;
                divided = item;
            }
        }
        return divided;
    }

    /**
     * Looks for the prices at which the branch promises the least.
     *
     * @param from prices to begin with
     * @param found the best choice so far
     * @return the best choice, that one or another that was met on the way
     */
    Making price(double[] from, Making found) {
        Making best = found;
        double[] tried = from.clone();
        prices = tried;
        double step = 1;
        int idle = 0;
        int pricings = isAll ? PRICINGS_OF_ALL : PRICINGS_OF_HALF;
        for (int pricing = 0; pricing < pricings; pricing++) {
            keepSensible(tried);
            double promised = promise(tried);
            remember();
            if (promised < bound - SMALL) {
                bound = promised;
                prices = tried.clone();
                idle = 0;
            } else if (++idle > PATIENCE) {
                idle = 0;
                step /= 1.5;
                tried = prices.clone();
                promised = promise(tried);
            }
            if (pricing % TRIED_EACH == TRIED_EACH / 2) {
                best = better(best, taken(tried));
            }
            double length = 0;
            for (int row = 0; row < used.length; row++) {
                length += sq(push(row, tried) / programme.scale[row]);
            }
            if (length < SMALL || bound <= best.value() + SMALL) {
                break;
            }
            double pace = step * Math.max(promised - best.value(), 1e-6) / length;
            for (int row = 0; row < used.length; row++) {
                tried[row] = Math.max(0, tried[row] + pace * push(row, tried) / sq(programme.scale[row]));
            }
        }
        promise(prices);
        Making last = taken(prices);
        if (isAll || best.value() - last.value() < bound - best.value()) {
            last.improve(prices);
        }
        return better(best, last);
    }

    /** By how much a limit is overstepped, or isn't used up; nothing where it isn't used up and has no price that could fall. */
    private double push(int row, double[] at) {
        return at[row] > 0 ? over(row) : Math.max(0, over(row));
    }

    private static double sq(double value) {
        return value * value;
    }

    private Making taken(double[] at) {
        Making taken = new Making(programme);
        taken.take(wanted, at);
        return taken;
    }

    private static Making better(Making one, Making other) {
        return other.isBetterThan(one) ? other : one;
    }

    private void remember() {
        for (int item = 0; item < wanted.length; item++) {
            meanWanted[item] += LATEST * (wanted[item] - meanWanted[item]);
        }
        for (int design = 0; design < isWanted.length; design++) {
            meanSetUp[design] += LATEST * ((isWanted[design] ? 1 : 0) - meanSetUp[design]);
        }
    }

    /** Keeps prices within what makes sense. */
    private void keepSensible(double[] at) {
        for (int row = CLOTH; row < at.length; row++) {
            at[row] = Math.min(at[row], highest(row, at));
        }
        if (Double.isInfinite(programme.limit[PIECES])) {
            at[PIECES] = 0;
        }
    }

    /** The highest price of a metre of cloth that makes sense: that of buying one instead, less what it is worth on the shelf. */
    private double highest(int row, double[] at) {
        return programme.priceOfMore[row] * (1 + at[MONEY]) - programme.worthOfShelf[row];
    }

    /** By how much a limit is overstepped; cloth that is bought counts as spent money, not as overstepping. */
    private double over(int row) {
        if (Double.isInfinite(programme.limit[row])) {
            return 0;
        }
        return used[row] - programme.limit[row];
    }

    /** What is promised at prices, each design looked at alone; what is wanted at them, and what that uses, is told in the fields. */
    private double promise(double[] at) {
        double promised = 0;
        for (int row = 0; row < programme.limit.length; row++) {
            promised += Double.isInfinite(programme.limit[row]) ? 0 : at[row] * programme.limit[row];
        }
        Arrays.fill(used, 0);
        Arrays.fill(wanted, 0);
        for (int design = 0; design < programme.designs.length; design++) {
            double gain = -programme.setUp[design] * at[MINUTES];
            for (int item : programme.designs[design]) {
                double cost = programme.cost(item, at);
                int n = 0;
                while (n < atMost[item] && (n < atLeast[item] || programme.worth[item][n] > cost)) {
                    gain += programme.worth[item][n] - cost;
                    n++;
                }
                wanted[item] = n;
            }
            isWanted[design] = isSetUp[design] || gain > 0;
            if (isWanted[design]) {
                promised += gain;
                used[MINUTES] += programme.setUp[design];
                for (int item : programme.designs[design]) {
                    for (int n = 0; n < programme.rows[item].length; n++) {
                        used[programme.rows[item][n]] += wanted[item] * programme.uses[item][n];
                    }
                }
            } else {
                for (int item : programme.designs[design]) {
                    wanted[item] = 0;
                }
            }
        }
        for (int row = CLOTH; row < programme.limit.length; row++) {
            if (programme.priceOfMore[row] < Double.POSITIVE_INFINITY && at[row] >= highest(row, at) - SMALL) {
                double bought = Math.max(0, used[row] - programme.limit[row]);
                used[row] -= bought;
                used[MONEY] += bought * programme.priceOfMore[row];
            }
        }
        return promised;
    }
}
