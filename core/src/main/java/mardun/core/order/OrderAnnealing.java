package mardun.core.order;

import java.util.SplittableRandom;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;

/**
 * Betters an order by moving blocks of it, to where they may go: at first also to where that is worse, later less and less. For orders of
 * many operations, which can't be gone through.
 */
final class OrderAnnealing {

    /** At the end it is so much cooler than at first. */
    private static final double COOLED = 1.0 / 40;

    private static final int[] BLOCKS = {1, 1, 4, 12};

    private final OrderProblem problem;
    private final SplittableRandom random;

    private final Slots slots;
    private final double hottest;
    private final short[] start;
    private final short[] on;
    private final int[] station;
    private final int[][] slotOf;
    private final short[][] valueOf;

    OrderAnnealing(OrderProblem problem, Slots slots, long seed) {
        this.problem = problem;
        this.slots = slots;
        this.random = new SplittableRandom(seed);
        // At first a move may cost about as much as the dearest change.
        hottest = Math.max(
                1,
                IntStream.range(0, problem.parts()).map(problem::change).max().orElse(1));
        start = slots.start();
        on = new short[start.length];
        station = new int[problem.size()];
        slotOf = new int[problem.size()][];
        valueOf = new short[problem.size()][];
        for (int one = 0; one < problem.size(); one++) {
            station[one] = problem.station(one);
            int[] wanted = slots.wanted(one);
            int[] parts = IntStream.range(0, wanted.length)
                    .filter(part -> wanted[part] != 0)
                    .toArray();
            slotOf[one] = new int[parts.length];
            valueOf[one] = new short[parts.length];
            for (int i = 0; i < parts.length; i++) {
                slotOf[one][i] = station[one] * slots.parts() + parts[i];
                valueOf[one][i] = (short) wanted[parts[i]];
            }
        }
    }

    /** As {@link OrderProblem#cost}, without making anything anew; stops where it gets dearer than that. */
    private int cost(int[] order, int most) {
        System.arraycopy(start, 0, on, 0, start.length);
        int here = problem.startStation();
        int cost = 0;
        for (int one : order) {
            cost += problem.walk(here, station[one]);
            here = station[one];
            int[] its = slotOf[one];
            short[] values = valueOf[one];
            for (int i = 0; i < its.length; i++) {
                if (on[its[i]] != values[i]) {
                    on[its[i]] = values[i];
                    cost += slots.cost(its[i]);
                }
            }
            if (cost > most) {
                return cost;
            }
        }
        return cost;
    }

    /**
     * The best order of one cooling.
     *
     * @param moves how many moves are tried
     */
    int[] anneal(int[] from, int moves, BooleanSupplier stop) {
        int size = from.length;
        int[] order = from.clone();
        int[] next = new int[size];
        int cost = cost(order, Integer.MAX_VALUE);
        int[] best = order.clone();
        int bestCost = cost;
        for (int move = 0; move < moves; move++) {
            if ((move & 1023) == 0 && stop.getAsBoolean()) {
                break;
            }
            double temperature = hottest * Math.pow(COOLED, (double) move / moves);
            if (!moved(order, next)) {
                continue;
            }
            // What is drawn first says how much worse the next order may be.
            int most = cost + (int) (-Math.log(1 - random.nextDouble()) * temperature);
            int its = cost(next, most);
            if (its <= most) {
                System.arraycopy(next, 0, order, 0, size);
                cost = its;
                if (cost < bestCost) {
                    bestCost = cost;
                    best = order.clone();
                }
            }
        }
        return best;
    }

    /** A block of one order elsewhere in the other; false where it can't move at all. */
    private boolean moved(int[] order, int[] next) {
        int size = order.length;
        int first = random.nextInt(size);
        int last = blockEnd(order, first);
        int least = first;
        while (least > 0 && mayPass(order, least - 1, first, last)) {
            least--;
        }
        int most = last;
        while (most < size && mayFollow(order, most, first, last)) {
            most++;
        }
        int places = first - least + (most - last);
        if (places == 0) {
            return false;
        }
        int place = random.nextInt(places);
        int length = last - first;
        if (place < first - least) {
            int to = least + place;
            System.arraycopy(order, 0, next, 0, to);
            System.arraycopy(order, first, next, to, length);
            System.arraycopy(order, to, next, to + length, first - to);
            System.arraycopy(order, last, next, last, size - last);
        } else {
            int to = last + 1 + place - (first - least);
            System.arraycopy(order, 0, next, 0, first);
            System.arraycopy(order, last, next, first, to - last);
            System.arraycopy(order, first, next, first + to - last, length);
            System.arraycopy(order, to, next, to, size - to);
        }
        return true;
    }

    /** A block of some operations, or a run at one station. */
    private int blockEnd(int[] order, int first) {
        int kind = random.nextInt(BLOCKS.length + 1);
        if (kind < BLOCKS.length) {
            return Math.min(order.length, first + 1 + random.nextInt(BLOCKS[kind]));
        }
        int last = first + 1;
        boolean byStation = random.nextBoolean();
        while (last < order.length
                && (byStation
                        ? problem.station(order[last]) == problem.station(order[first])
                        : problem.groups(order[last]).intersects(problem.groups(order[first])))) {
            last++;
        }
        return last;
    }

    private boolean mayPass(int[] order, int at, int first, int last) {
        for (int i = first; i < last; i++) {
            if (problem.before(order[i]).get(order[at])) {
                return false;
            }
        }
        return true;
    }

    private boolean mayFollow(int[] order, int at, int first, int last) {
        for (int i = first; i < last; i++) {
            if (problem.before(order[at]).get(order[i])) {
                return false;
            }
        }
        return true;
    }
}
