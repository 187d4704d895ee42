package mardun.core.season;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * The integer programme of a season: how many of each item to make, so that the sum of what the pieces are worth, less what is spent, is the
 * greatest within the limits. Each further piece of an item is worth less than the one before, and each design of which anything is made
 * costs its set-up once.
 *
 * <p>All limits are priced together: with a price on every hour, unit of money, piece and metre of a cloth, each design can be looked at
 * alone, and the prices at which that promises the least are a bound that no choice can pass. The choice itself is searched with whole
 * numbers from there, and the distance between the two is its proven gap.
 */
final class MakeProgramme {

    private static final int MINUTES = 0;
    private static final int MONEY = 1;
    private static final int PIECES = 2;
    private static final int CLOTH = 3;
    private static final int PRICINGS = 1500;
    private static final int PROMISING = 24;
    private static final double SMALL = 1e-9;

    private final List<SeasonItem> items;
    private final double[][] worth;
    private final int[] least;
    private final double[] limit;
    private final double[] priceOfMore;
    private final double[] worthOfShelf;
    private final double[] ownCost;
    private final int[][] rows;
    private final double[][] uses;
    private final int[][] designs;
    private final int[] designOf;
    private final double[] setUp;
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
        State best = new State();
        best.fill();
        State kept = new State();
        for (int item = 0; item < made.length; item++) {
            for (int n = least[item]; n < made[item] && kept.mayAdd(item); n++) {
                kept.add(item, 1);
                if (!kept.fits()) {
                    kept.add(item, -1);
                }
            }
        }
        kept.fill();
        if (kept.value() > best.value()) {
            best = kept;
        }
        double bound = Double.POSITIVE_INFINITY;
        double[] prices = new double[limit.length];
        double[] bestPrices = prices.clone();
        prices[MINUTES] = best.value() / Math.max(limit[MINUTES], 1);
        System.arraycopy(from, 0, prices, 0, from.length);
        double step = 1;
        int idle = 0;
        for (int pricing = 0; pricing < PRICINGS; pricing++) {
            keepSensible(prices);
            double[] used = new double[limit.length];
            int[] wanted = new int[items.size()];
            double promised = promise(prices, wanted, used);
            if (promised < bound - SMALL) {
                bound = promised;
                bestPrices = prices.clone();
                idle = 0;
            } else if (++idle > 20) {
                idle = 0;
                step /= 1.5;
                prices = bestPrices.clone();
                promise(prices, wanted, used);
            }
            if (pricing % 100 == 50) {
                State other = new State();
                other.take(wanted, prices);
                if (other.value() > best.value() + SMALL) {
                    best = other;
                }
            }
            double length = 0;
            for (int row = 0; row < limit.length; row++) {
                double over = over(row, used);
                length += over * over / (scale(row) * scale(row));
            }
            if (length < SMALL || bound - best.value() < 1e-7) {
                break;
            }
            double pace = step * Math.max(promised - best.value(), 1e-6) / length;
            for (int row = 0; row < limit.length; row++) {
                prices[row] = Math.max(0, prices[row] + pace * over(row, used) / (scale(row) * scale(row)));
            }
        }
        best.improve(bestPrices);
        State other = new State();
        int[] wanted = new int[items.size()];
        promise(bestPrices, wanted, new double[limit.length]);
        other.take(wanted, bestPrices);
        other.improve(bestPrices);
        if (other.value() > best.value()) {
            best = other;
        }
        return new Choice(best.made.clone(), best.value(), Math.max(bound, best.value()), bestPrices);
    }

    private double scale(int row) {
        return Double.isInfinite(limit[row]) ? 1 : Math.max(limit[row], 0.1);
    }

    /** Keeps prices within what makes sense. */
    private void keepSensible(double[] prices) {
        for (int row = CLOTH; row < limit.length; row++) {
            prices[row] = Math.min(prices[row], highest(row, prices));
        }
        if (Double.isInfinite(limit[PIECES])) {
            prices[PIECES] = 0;
        }
    }

    /** The highest price of a metre of cloth that makes sense: that of buying one instead, less what it is worth on the shelf. */
    private double highest(int row, double[] prices) {
        return priceOfMore[row] * (1 + prices[MONEY]) - worthOfShelf[row];
    }

    /** By how much a limit is overstepped; cloth that is bought counts as spent money, not as overstepping. */
    private double over(int row, double[] used) {
        if (Double.isInfinite(limit[row])) {
            return 0;
        }
        return used[row] - limit[row];
    }

    /** What is promised at prices, each design looked at alone; tells what would be made and used. */
    private double promise(double[] prices, int[] wanted, double[] used) {
        double promised = 0;
        for (int row = 0; row < limit.length; row++) {
            promised += Double.isInfinite(limit[row]) ? 0 : prices[row] * limit[row];
        }
        Arrays.fill(used, 0);
        Arrays.fill(wanted, 0);
        for (int design = 0; design < designs.length; design++) {
            double gain = -setUp[design] * prices[MINUTES];
            boolean isMade = false;
            for (int item : designs[design]) {
                double cost = cost(item, prices);
                int n = 0;
                isMade |= least[item] > 0;
                while (n < worth[item].length && (n < least[item] || worth[item][n] > cost)) {
                    gain += worth[item][n] - cost;
                    n++;
                }
                wanted[item] = n;
            }
            if (isMade || gain > 0) {
                promised += gain;
                used[MINUTES] += setUp[design];
                for (int item : designs[design]) {
                    for (int n = 0; n < rows[item].length; n++) {
                        used[rows[item][n]] += wanted[item] * uses[item][n];
                    }
                }
            } else {
                for (int item : designs[design]) {
                    wanted[item] = 0;
                }
            }
        }
        for (int row = CLOTH; row < limit.length; row++) {
            if (priceOfMore[row] < Double.POSITIVE_INFINITY && prices[row] >= highest(row, prices) - SMALL) {
                double bought = Math.max(0, used[row] - limit[row]);
                used[row] -= bought;
                used[MONEY] += bought * priceOfMore[row];
            }
        }
        return promised;
    }

    /** What a piece costs at prices. */
    private double cost(int item, double[] prices) {
        double cost = items.get(item).trimCost() + ownCost[item];
        for (int n = 0; n < rows[item].length; n++) {
            cost += uses[item][n] * prices[rows[item][n]];
        }
        return cost;
    }

    /** What is made, and what of the limits that takes. */
    private final class State {
        private final int[] made = new int[items.size()];
        private final int[] open = new int[designs.length];
        private final double[] used = new double[limit.length];
        private double sum;
        private double taken;

        /** Begins with what is made whatever it brings. */
        private State() {
            for (int item = 0; item < least.length; item++) {
                if (least[item] > 0) {
                    add(item, least[item]);
                }
            }
        }

        private double value() {
            return sum - taken - spent() + boughtWorth();
        }

        private double spent() {
            double spent = used[MONEY];
            for (int row = CLOTH; row < limit.length; row++) {
                if (used[row] > limit[row] && priceOfMore[row] < Double.POSITIVE_INFINITY) {
                    spent += (used[row] - limit[row]) * priceOfMore[row];
                }
            }
            return spent;
        }

        /** What was bought isn't taken from the shelf, so its worth there isn't lost. */
        private double boughtWorth() {
            double worth = 0;
            for (int row = CLOTH; row < limit.length; row++) {
                worth += Math.max(0, used[row] - limit[row]) * worthOfShelf[row];
            }
            return worth;
        }

        private boolean fits() {
            if (used[MINUTES] > limit[MINUTES] + SMALL || used[PIECES] > limit[PIECES] + SMALL) {
                return false;
            }
            for (int row = CLOTH; row < limit.length; row++) {
                if (used[row] > limit[row] + SMALL && Double.isInfinite(priceOfMore[row])) {
                    return false;
                }
            }
            return spent() <= limit[MONEY] + SMALL;
        }

        private boolean mayAdd(int item) {
            return made[item] < worth[item].length;
        }

        private void add(int item, int pieces) {
            int design = designOf[item];
            int to = made[item] + pieces;
            for (int n = made[item]; n < to; n++) {
                sum += worth[item][n];
            }
            for (int n = made[item] - 1; n >= to; n--) {
                sum -= worth[item][n];
            }
            boolean wasOpen = open[design] > 0;
            made[item] = to;
            taken += pieces * ownCost[item];
            open[design] += pieces;
            for (int n = 0; n < rows[item].length; n++) {
                used[rows[item][n]] += pieces * uses[item][n];
            }
            if (wasOpen != open[design] > 0) {
                used[MINUTES] += wasOpen ? -setUp[design] : setUp[design];
            }
        }

        /** Takes what was wanted at prices, the best first for what it costs, as far as it fits; then fills up. */
        private void take(int[] wanted, double[] prices) {
            List<int[]> pieces = new ArrayList<>();
            for (int item = 0; item < wanted.length; item++) {
                for (int n = least[item]; n < wanted[item]; n++) {
                    pieces.add(new int[] {item, n});
                }
            }
            double[] costs = new double[wanted.length];
            for (int item = 0; item < costs.length; item++) {
                costs[item] = Math.max(cost(item, prices), SMALL);
            }
            pieces.sort((one, other) ->
                    Double.compare(worth[other[0]][other[1]] / costs[other[0]], worth[one[0]][one[1]] / costs[one[0]]));
            for (int[] piece : pieces) {
                if (made[piece[0]] == piece[1]) {
                    add(piece[0], 1);
                    if (!fits()) {
                        add(piece[0], -1);
                    }
                }
            }
            fill();
        }

        /** Adds piece after piece, the most gain for what it takes of the limits first. */
        private void fill() {
            while (true) {
                int best = -1;
                double most = SMALL;
                double before = value();
                double minutes = used[MINUTES];
                for (int item = 0; item < made.length; item++) {
                    if (mayAdd(item)) {
                        add(item, 1);
                        double gain = (value() - before) / Math.max(used[MINUTES] - minutes, 1);
                        if (gain > most && fits()) {
                            most = gain;
                            best = item;
                        }
                        add(item, -1);
                    }
                }
                if (best < 0) {
                    return;
                }
                add(best, 1);
            }
        }

        /** Exchanges pieces and closes designs as long as that gains. */
        private void improve(double[] prices) {
            double[] costs = new double[made.length];
            for (int item = 0; item < costs.length; item++) {
                costs[item] = cost(item, prices);
            }
            boolean gained = true;
            while (gained) {
                gained = exchange(costs) || close();
            }
        }

        /** The items whose next piece is worth most over its costs. */
        private int[] promising(double[] costs) {
            return IntStream.range(0, made.length)
                    .filter(this::mayAdd)
                    .boxed()
                    .sorted(Comparator.comparingDouble(item -> costs[item] - worth[item][made[item]]))
                    .limit(PROMISING)
                    .mapToInt(Integer::intValue)
                    .toArray();
        }

        private boolean exchange(double[] costs) {
            boolean gained = false;
            for (int out = 0; out < made.length; out++) {
                int[] promising = promising(costs);
                for (int pieces = 1; pieces <= 2 && made[out] - pieces >= least[out]; pieces++) {
                    double before = value();
                    add(out, -pieces);
                    int best = -1;
                    double most = before + 1e-7;
                    int bestSecond = -1;
                    for (int in : promising) {
                        if (in != out && mayAdd(in)) {
                            add(in, 1);
                            if (fits()) {
                                if (value() > most) {
                                    most = value();
                                    best = in;
                                    bestSecond = -1;
                                }
                                int second = bestNext(out, promising);
                                if (second >= 0) {
                                    add(second, 1);
                                    if (value() > most) {
                                        most = value();
                                        best = in;
                                        bestSecond = second;
                                    }
                                    add(second, -1);
                                }
                            }
                            add(in, -1);
                        }
                    }
                    if (best < 0) {
                        add(out, pieces);
                    } else {
                        gained = true;
                        add(best, 1);
                        if (bestSecond >= 0) {
                            add(bestSecond, 1);
                        }
                    }
                }
            }
            if (gained) {
                fill();
            }
            return gained;
        }

        /** The piece that gains most of those that fit and whose design is open. */
        private int bestNext(int except, int[] promising) {
            int best = -1;
            double most = value() + SMALL;
            for (int item : promising) {
                if (item != except && mayAdd(item) && open[designOf[item]] > 0) {
                    add(item, 1);
                    if (value() > most && fits()) {
                        most = value();
                        best = item;
                    }
                    add(item, -1);
                }
            }
            return best;
        }

        private boolean close() {
            for (int design = 0; design < designs.length; design++) {
                if (open[design] > 0 && Arrays.stream(designs[design]).allMatch(item -> least[item] == 0)) {
                    double before = value();
                    int[] kept = made.clone();
                    for (int item : designs[design]) {
                        add(item, -made[item]);
                    }
                    fill();
                    if (value() > before + 1e-7) {
                        return true;
                    }
                    restore(kept);
                }
            }
            return false;
        }

        private void restore(int[] kept) {
            for (int item = 0; item < kept.length; item++) {
                if (made[item] != kept[item]) {
                    add(item, kept[item] - made[item]);
                }
            }
        }
    }
}
