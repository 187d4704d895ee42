package mardun.core.order;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;

/**
 * Betters an order by moving blocks of it, to where they may go, and operations to other stations at which they can be done: at first also
 * to where that is worse, later less and less.
 */
final class OrderAnnealing {

    /** At the end it is so much cooler than at first. */
    private static final double COOLED = 1.0 / 40;

    /** Where operations can be done at several stations, one move of so many is to another station. */
    private static final int GOING_ELSEWHERE = 3;

    private static final int[] BLOCKS = {1, 1, 4, 12};

    private final OrderProblem problem;
    private final SplittableRandom random;

    private final double hottest;
    private final int parts;
    private final int[] start;
    private final int[] on;
    private final int[][] partsOf;
    private final int[][] valuesOf;
    private final int[] free;

    /** An order, with the station of each operation. */
    record Arranged(int[] order, int[] stations) {}

    OrderAnnealing(OrderProblem problem, long seed) {
        this.problem = problem;
        this.random = new SplittableRandom(seed);
        // At first a move may cost about as much as the dearest change.
        hottest = Math.max(
                1,
                IntStream.range(0, problem.parts()).map(problem::change).max().orElse(1));
        parts = problem.parts();
        start = new int[problem.stations() * parts];
        for (int slot = 0; slot < start.length; slot++) {
            start[slot] = problem.startOn(slot / parts, slot % parts);
        }
        on = new int[start.length];
        partsOf = new int[problem.size()][];
        valuesOf = new int[problem.size()][];
        for (int one = 0; one < problem.size(); one++) {
            int its = one;
            partsOf[one] = IntStream.range(0, parts)
                    .filter(part -> problem.need(its, part) != OrderProblem.ANYTHING)
                    .toArray();
            valuesOf[one] = Arrays.stream(partsOf[one])
                    .map(part -> problem.need(its, part))
                    .toArray();
        }
        free = IntStream.range(0, problem.size())
                .filter(one -> problem.choices(one).length > 1)
                .toArray();
    }

    /** As {@link OrderProblem#cost}, without making anything anew; stops where it gets dearer than that. */
    private int cost(int[] order, int[] station, int most) {
        System.arraycopy(start, 0, on, 0, start.length);
        int here = problem.startStation();
        int cost = 0;
        for (int one : order) {
            cost += problem.walk(here, station[one]);
            here = station[one];
            int[] its = partsOf[one];
            int[] values = valuesOf[one];
            int first = here * parts;
            for (int i = 0; i < its.length; i++) {
                if (on[first + its[i]] != values[i]) {
                    on[first + its[i]] = values[i];
                    cost += problem.change(its[i]);
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
    Arranged anneal(Arranged from, int moves, BooleanSupplier stop) {
        int size = from.order().length;
        int[] order = from.order().clone();
        int[] station = from.stations().clone();
        int[] next = new int[size];
        int[] others = new int[size];
        int cost = cost(order, station, Integer.MAX_VALUE);
        Arranged best = from;
        int bestCost = cost;
        for (int move = 0; move < moves; move++) {
            if ((move & 1023) == 0 && stop.getAsBoolean()) {
                break;
            }
            double temperature = hottest * Math.pow(COOLED, (double) move / moves);
            boolean goesElsewhere = free.length > 0 && random.nextInt(GOING_ELSEWHERE) == 0;
            if (goesElsewhere) {
                System.arraycopy(order, 0, next, 0, size);
                goElsewhere(station, others);
            } else if (!moved(order, station, next)) {
                continue;
            }
            int[] theirs = goesElsewhere ? others : station;
            // What is drawn first says how much worse the next order may be.
            int most = cost + (int) (-Math.log(1 - random.nextDouble()) * temperature);
            int its = cost(next, theirs, most);
            if (its <= most) {
                System.arraycopy(next, 0, order, 0, size);
                System.arraycopy(theirs, 0, station, 0, size);
                cost = its;
                if (cost < bestCost) {
                    bestCost = cost;
                    best = new Arranged(order.clone(), station.clone());
                }
            }
        }
        return best;
    }

    /** One operation goes to another station, and often all that share a setting with it and can go there too. */
    private void goElsewhere(int[] station, int[] others) {
        System.arraycopy(station, 0, others, 0, station.length);
        int one = free[random.nextInt(free.length)];
        int[] choices = problem.choices(one);
        int to = choices[random.nextInt(choices.length)];
        others[one] = to;
        int[] its = partsOf[one];
        if (its.length > 0 && random.nextBoolean()) {
            int part = its[random.nextInt(its.length)];
            for (int other : free) {
                if (problem.need(other, part) == problem.need(one, part) && isChoice(other, to)) {
                    others[other] = to;
                }
            }
        }
    }

    private boolean isChoice(int one, int station) {
        for (int choice : problem.choices(one)) {
            if (choice == station) {
                return true;
            }
        }
        return false;
    }

    /** A block of one order elsewhere in the other; false where it can't move at all. */
    private boolean moved(int[] order, int[] station, int[] next) {
        int size = order.length;
        int first = random.nextInt(size);
        int last = blockEnd(order, station, first);
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
    private int blockEnd(int[] order, int[] station, int first) {
        int kind = random.nextInt(BLOCKS.length + 1);
        if (kind < BLOCKS.length) {
            return Math.min(order.length, first + 1 + random.nextInt(BLOCKS[kind]));
        }
        int last = first + 1;
        boolean byStation = random.nextBoolean();
        while (last < order.length
                && (byStation
                        ? station[order[last]] == station[order[first]]
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
