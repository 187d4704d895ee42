package mardun.core.season;

import static mardun.core.season.MakeProgramme.CLOTH;
import static mardun.core.season.MakeProgramme.MINUTES;
import static mardun.core.season.MakeProgramme.MONEY;
import static mardun.core.season.MakeProgramme.PIECES;
import static mardun.core.season.MakeProgramme.SMALL;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** A choice of a {@link MakeProgramme} while it is looked for: what is made, and what of the limits that takes. */
final class Making {

    private static final int PROMISING = 24;

    private final MakeProgramme programme;
    private final int[] made;
    private final int[] open;
    private final double[] used;
    private double sum;
    private double taken;
    private double bought;

    /** What was bought isn't taken from the shelf, so its worth there isn't lost. */
    private double boughtWorth;

    /** How many cloths are used beyond what is there, and can't be bought. */
    private int lacking;

    /** Begins with what is made whatever it brings. */
    Making(MakeProgramme programme) {
        this.programme = programme;
        made = new int[programme.items.size()];
        open = new int[programme.designs.length];
        used = new double[programme.limit.length];
        for (int item = 0; item < programme.least.length; item++) {
            if (programme.least[item] > 0) {
                add(item, programme.least[item]);
            }
        }
    }

    int[] made() {
        return made.clone();
    }

    boolean isBetterThan(Making other) {
        return value() > other.value() + SMALL;
    }

    /** What it is worth, less what is spent. */
    double value() {
        return sum - taken - spent() + boughtWorth;
    }

    private double spent() {
        return used[MONEY] + bought;
    }

    private boolean fits() {
        return used[MINUTES] <= programme.limit[MINUTES] + SMALL
                && used[PIECES] <= programme.limit[PIECES] + SMALL
                && lacking == 0
                && spent() <= programme.limit[MONEY] + SMALL;
    }

    private boolean mayAdd(int item) {
        return made[item] < programme.worth[item].length;
    }

    private void add(int item, int pieces) {
        int design = programme.designOf[item];
        int to = made[item] + pieces;
        for (int n = made[item]; n < to; n++) {
            sum += programme.worth[item][n];
        }
        for (int n = made[item] - 1; n >= to; n--) {
            sum -= programme.worth[item][n];
        }
        boolean wasOpen = open[design] > 0;
        made[item] = to;
        taken += pieces * programme.ownCost[item];
        open[design] += pieces;
        for (int n = 0; n < programme.rows[item].length; n++) {
            use(programme.rows[item][n], pieces * programme.uses[item][n]);
        }
        if (wasOpen != open[design] > 0) {
            used[MINUTES] += wasOpen ? -programme.setUp[design] : programme.setUp[design];
        }
    }

    private void use(int row, double more) {
        double before = used[row];
        used[row] = before + more;
        double limit = programme.limit[row];
        if (row < CLOTH || (before <= limit && used[row] <= limit)) {
            return;
        }
        double price = programme.priceOfMore[row];
        double beyond = Math.max(0, used[row] - limit) - Math.max(0, before - limit);
        boughtWorth += beyond * programme.worthOfShelf[row];
        if (price < Double.POSITIVE_INFINITY) {
            bought += beyond * price;
        } else {
            lacking += (used[row] > limit + SMALL ? 1 : 0) - (before > limit + SMALL ? 1 : 0);
        }
    }

    /** Adds what was made in another choice, as far as it fits. */
    void addWhatFits(int[] other) {
        for (int item = 0; item < other.length; item++) {
            for (int n = made[item]; n < other[item] && mayAdd(item); n++) {
                add(item, 1);
                if (!fits()) {
                    add(item, -1);
                    break;
                }
            }
        }
    }

    /** Takes what was wanted at prices, the best first for what it costs, as far as it fits; then fills up. */
    void take(int[] wanted, double[] prices) {
        List<int[]> pieces = new ArrayList<>();
        for (int item = 0; item < wanted.length; item++) {
            for (int n = programme.least[item]; n < wanted[item]; n++) {
                pieces.add(new int[] {item, n});
            }
        }
        double[] costs = new double[wanted.length];
        for (int item = 0; item < costs.length; item++) {
            costs[item] = Math.max(programme.cost(item, prices), SMALL);
        }
        pieces.sort((one, other) -> Double.compare(
                programme.worth[other[0]][other[1]] / costs[other[0]],
                programme.worth[one[0]][one[1]] / costs[one[0]]));
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
    void fill() {
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
    void improve(double[] prices) {
        double[] costs = new double[made.length];
        for (int item = 0; item < costs.length; item++) {
            costs[item] = programme.cost(item, prices);
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
                .sorted(Comparator.comparingDouble(item -> costs[item] - programme.worth[item][made[item]]))
                .limit(PROMISING)
                .mapToInt(Integer::intValue)
                .toArray();
    }

    private boolean exchange(double[] costs) {
        boolean gained = false;
        for (int out = 0; out < made.length; out++) {
            int[] promising = made[out] > programme.least[out] ? promising(costs) : new int[0];
            for (int pieces = 1; pieces <= 2 && made[out] - pieces >= programme.least[out]; pieces++) {
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
            if (item != except && mayAdd(item) && open[programme.designOf[item]] > 0) {
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
        for (int design = 0; design < programme.designs.length; design++) {
            if (open[design] > 0
                    && Arrays.stream(programme.designs[design]).allMatch(item -> programme.least[item] == 0)) {
                double before = value();
                int[] kept = made.clone();
                for (int item : programme.designs[design]) {
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
