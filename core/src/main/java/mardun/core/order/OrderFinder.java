package mardun.core.order;

import java.util.BitSet;
import java.util.HashSet;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mardun.core.order.OrderAnnealing.Arranged;

/** Finds the order that costs least, or the best that there is time for, with how far it can be from the best at most. */
public final class OrderFinder {

    private static final int FIRST_WIDTH = 30;
    private static final int WIDER = 6;

    /** Where this width didn't prove anything, larger parts are looked at, and it gets much wider at once. */
    private static final int LOOKING_CLOSER = 1080;

    private static final int MUCH_WIDER = 216;

    private static final int MOVES = 150_000;
    private static final int COOLINGS = 3;
    private static final int BEGINNINGS = 6;
    private static final double WARM = 0.3;

    /** So many operations are moved about from several beginnings first, where there is time. */
    private static final int LARGE = 60;

    private static final int MOVES_WHILE_CHOOSING = 30_000;

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
        if (problem.hasChoices()) {
            return choosing(problem, mostWidth, seed, stop);
        }
        int[] stations = problem.firstStations();
        int[] best = greedy(problem);
        int cost = problem.cost(best);
        if (problem.size() < 2) {
            return new FoundOrder(best, stations, cost, cost);
        }
        Slots slots = new Slots(problem);
        OrderBound bound = new OrderBound(problem, slots, stop);
        int least = 0;
        WideningSearch search = new WideningSearch(problem, slots, bound, stop);
        OrderAnnealing annealing = new OrderAnnealing(problem, seed);
        boolean isLarge = problem.size() > LARGE && mostWidth > LOOKING_CLOSER;
        if (isLarge) {
            best = fromSeveralBeginnings(annealing, problem, best, stop);
        } else if (problem.size() > MANY) {
            best = annealing
                    .anneal(new Arranged(best, stations), MOVES, 1, stop)
                    .order();
        }
        cost = problem.cost(best);
        int width = FIRST_WIDTH;
        while (least < cost && !stop.getAsBoolean()) {
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
            width = Math.min(mostWidth, width * (width == LOOKING_CLOSER ? MUCH_WIDER : WIDER));
            for (int cooling = 0; cooling < COOLINGS && least < cost; cooling++) {
                best = annealing
                        .anneal(new Arranged(best, stations), MOVES, isLarge ? WARM : 1, stop)
                        .order();
                cost = problem.cost(best);
            }
        }
        return new FoundOrder(best, stations, cost, least);
    }

    private static int[] fromSeveralBeginnings(
            OrderAnnealing annealing, OrderProblem problem, int[] first, BooleanSupplier stop) {
        int[] stations = problem.firstStations();
        int[] best = first;
        for (int beginning = 0; beginning < BEGINNINGS; beginning++) {
            int[] order = annealing
                    .anneal(new Arranged(first, stations), MOVES, 1, stop)
                    .order();
            best = problem.cost(order) < problem.cost(best) ? order : best;
        }
        for (int cooling = 0; cooling < COOLINGS; cooling++) {
            best = annealing
                    .anneal(new Arranged(best, stations), MOVES, WARM, stop)
                    .order();
        }
        return best;
    }

    /**
     * Where operations can be done at several stations, it is first tried which is best at which, with the order changing along; then the
     * order is searched for these. That no other choice costs less is known only where nothing is put on twice, and no place is gone to twice.
     */
    private static FoundOrder choosing(OrderProblem problem, int mostWidth, long seed, BooleanSupplier stop) {
        Arranged chosen = new Arranged(greedy(problem), problem.firstStations());
        OrderAnnealing annealing = new OrderAnnealing(problem, seed);
        for (int cooling = 0; cooling < COOLINGS; cooling++) {
            chosen = annealing.anneal(chosen, MOVES_WHILE_CHOOSING, 1, stop);
        }
        OrderProblem its = problem.at(chosen.stations());
        FoundOrder found = find(its, mostWidth, seed, stop);
        boolean isBetter = found.cost() < its.cost(chosen.order());
        int cost = Math.min(found.cost(), its.cost(chosen.order()));
        return new FoundOrder(
                isBetter ? found.operations() : chosen.order(),
                chosen.stations(),
                cost,
                Math.min(cost, eachSettingOnce(problem) + eachPlaceOnce(problem)));
    }

    /** What it takes to put each setting that is needed on once, where it isn't on at any station that could be meant. */
    private static int eachSettingOnce(OrderProblem problem) {
        Set<Setting> needed = new HashSet<>();
        Set<Setting> there = new HashSet<>();
        for (int one = 0; one < problem.size(); one++) {
            for (int part = 0; part < problem.parts(); part++) {
                int value = problem.need(one, part);
                if (value != OrderProblem.ANYTHING) {
                    needed.add(new Setting(part, value));
                    for (int station : problem.choices(one)) {
                        if (problem.startOn(station, part) == value) {
                            there.add(new Setting(part, value));
                        }
                    }
                }
            }
        }
        needed.removeAll(there);
        return needed.stream().mapToInt(one -> problem.change(one.part())).sum();
    }

    private record Setting(int part, int value) {}

    /** What it takes to go once to each place, or to one of those among which can be chosen. */
    private static int eachPlaceOnce(OrderProblem problem) {
        int[] together = IntStream.range(0, problem.stations()).toArray();
        BitSet needed = new BitSet();
        for (int one = 0; one < problem.size(); one++) {
            int[] choices = problem.choices(one);
            needed.set(choices[0]);
            for (int choice : choices) {
                int from = together[choice];
                int to = together[choices[0]];
                for (int i = 0; i < together.length; i++) {
                    together[i] = together[i] == from ? to : together[i];
                }
            }
        }
        return needed.stream()
                .map(station -> together[station])
                .distinct()
                .filter(group -> together[problem.startStation()] != group)
                .map(group -> leastWayTo(group, together, problem))
                .sum();
    }

    private static int leastWayTo(int group, int[] together, OrderProblem problem) {
        int least = Integer.MAX_VALUE;
        for (int from = 0; from < together.length; from++) {
            for (int to = 0; to < together.length; to++) {
                if (together[from] != group && together[to] == group) {
                    least = Math.min(least, problem.walk(from, to));
                }
            }
        }
        return least;
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
