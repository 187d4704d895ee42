package mardun.core.order;

import java.util.BitSet;
import java.util.function.BooleanSupplier;

/** Finds the order that costs least, or the best that there is time for, with how far it can be from the best at most. */
public final class OrderFinder {

    private static final int FIRST_WIDTH = 30;
    private static final int WIDER = 6;

    /** Where this width didn't prove anything, larger parts are looked at. */
    private static final int LOOKING_CLOSER = 1080;

    private static final int MOVES = 150_000;
    private static final int COOLINGS = 3;

    /** So many operations aren't gone through before they are moved about. */
    private static final int MANY = 150;

    private OrderFinder() {}

    /**
     * The order.
     *
     * @param mostWidth how wide the search gets at most; less is faster, and proves less
     * @param seed the same problem with the same seed gives the same order, unless it is stopped
     * @param stop whether time is up
     */
    public static FoundOrder find(OrderProblem problem, int mostWidth, long seed, BooleanSupplier stop) {
        int[] best = greedy(problem);
        int cost = problem.cost(best);
        if (problem.size() < 2) {
            return new FoundOrder(best, cost, cost);
        }
        Slots slots = new Slots(problem);
        OrderBound bound = new OrderBound(problem, slots, stop);
        int least = 0;
        WideningSearch search = new WideningSearch(problem, slots, bound, stop);
        OrderAnnealing annealing = new OrderAnnealing(problem, slots, seed);
        if (problem.size() > MANY) {
            best = better(annealing.anneal(best, MOVES, stop), best, problem);
            cost = problem.cost(best);
        }
        for (int width = FIRST_WIDTH; least < cost && !stop.getAsBoolean(); width *= WIDER) {
            WideningSearch.Found found = search.run(width, cost);
            if (found.order() != null) {
                best = found.order();
                cost = found.cost();
            }
            least = Math.max(least, Math.min(cost, found.leastCost()));
            if (width * (long) WIDER > mostWidth) {
                break;
            }
            if (width == LOOKING_CLOSER) {
                search.strengthen();
            }
            for (int cooling = 0; cooling < COOLINGS && least < cost; cooling++) {
                best = better(annealing.anneal(best, MOVES, stop), best, problem);
                cost = problem.cost(best);
            }
        }
        return new FoundOrder(best, cost, least);
    }

    private static int[] better(int[] one, int[] other, OrderProblem problem) {
        return problem.cost(one) < problem.cost(other) ? one : other;
    }

    /** Always what costs least now, and of those the one that was first. */
    static int[] greedy(OrderProblem problem) {
        int size = problem.size();
        int[] order = new int[size];
        BitSet done = new BitSet(size);
        int here = problem.startStation();
        int[][] on = new int[problem.stations()][problem.parts()];
        for (int at = 0; at < on.length; at++) {
            for (int part = 0; part < on[at].length; part++) {
                on[at][part] = problem.startOn(at, part);
            }
        }
        for (int i = 0; i < size; i++) {
            int chosen = -1;
            int least = Integer.MAX_VALUE;
            for (int one = 0; one < size; one++) {
                if (done.get(one) || !isOpen(problem, one, done)) {
                    continue;
                }
                int cost = problem.walk(here, problem.station(one));
                for (int part = 0; part < problem.parts(); part++) {
                    int need = problem.need(one, part);
                    if (need != OrderProblem.ANYTHING && need != on[problem.station(one)][part]) {
                        cost += problem.change(part);
                    }
                }
                if (cost < least) {
                    least = cost;
                    chosen = one;
                }
            }
            order[i] = chosen;
            done.set(chosen);
            here = problem.station(chosen);
            for (int part = 0; part < problem.parts(); part++) {
                if (problem.need(chosen, part) != OrderProblem.ANYTHING) {
                    on[here][part] = problem.need(chosen, part);
                }
            }
        }
        return order;
    }

    private static boolean isOpen(OrderProblem problem, int one, BitSet done) {
        BitSet missing = (BitSet) problem.before(one).clone();
        missing.andNot(done);
        return missing.isEmpty();
    }
}
