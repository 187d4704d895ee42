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
    private final int slots;
    private final int[] start;
    private final int[] on;

    /** For each place of the order that is being bettered: where the worker is before it, what is on everything, what it cost so far. */
    private final int[] hereBefore;

    private final int[] onBefore;
    private final int[] costBefore;
    private final int[][] partsOf;
    private final int[][] valuesOf;
    private final int[] free;
    private int firstMoved;
    private int lastMoved;

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
        slots = start.length;
        on = new int[slots];
        hereBefore = new int[problem.size() + 1];
        costBefore = new int[problem.size() + 1];
        onBefore = new int[(problem.size() + 1) * slots];
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

    /** Goes through an order from a place on, and notes what there is before each place. */
    void note(int[] order, int[] station, int from) {
        if (from == 0) {
            hereBefore[0] = problem.startStation();
            costBefore[0] = 0;
            System.arraycopy(start, 0, onBefore, 0, slots);
        }
        for (int i = from; i < order.length; i++) {
            int one = order[i];
            int at = station[one];
            int row = i * slots;
            int next = row + slots;
            System.arraycopy(onBefore, row, onBefore, next, slots);
            int cost = costBefore[i] + problem.walk(hereBefore[i], at);
            int[] its = partsOf[one];
            int[] values = valuesOf[one];
            int first = next + at * parts;
            for (int k = 0; k < its.length; k++) {
                if (onBefore[first + its[k]] != values[k]) {
                    onBefore[first + its[k]] = values[k];
                    cost += problem.change(its[k]);
                }
            }
            hereBefore[i + 1] = at;
            costBefore[i + 1] = cost;
        }
    }

    /**
     * What another order costs that differs from the noted one in some places only: from where everything is on again as it was there, it
     * costs what that one does.
     *
     * @param first the first place that differs
     * @param last after the last one
     */
    int cost(int[] order, int[] station, int first, int last) {
        System.arraycopy(onBefore, first * slots, on, 0, slots);
        int here = hereBefore[first];
        int cost = costBefore[first];
        for (int i = first; i < last; i++) {
            int one = order[i];
            int at = station[one];
            cost += problem.walk(here, at);
            here = at;
            int[] its = partsOf[one];
            int[] values = valuesOf[one];
            int row = at * parts;
            for (int k = 0; k < its.length; k++) {
                if (on[row + its[k]] != values[k]) {
                    on[row + its[k]] = values[k];
                    cost += problem.change(its[k]);
                }
            }
        }
        int size = order.length;
        if (last == size) {
            return cost;
        }
        cost += costBefore[size] - costBefore[last];
        int next = station[order[last]];
        cost += problem.walk(here, next) - problem.walk(hereBefore[last], next);
        int differing = 0;
        for (int slot = 0; slot < slots; slot++) {
            if (on[slot] != onBefore[last * slots + slot]) {
                differing++;
            }
        }
        for (int i = last; i < size && differing > 0; i++) {
            int one = order[i];
            int row = station[one] * parts;
            int[] its = partsOf[one];
            int[] values = valuesOf[one];
            for (int k = 0; k < its.length; k++) {
                int slot = row + its[k];
                int was = onBefore[i * slots + slot];
                if (on[slot] != was) {
                    differing--;
                    cost += on[slot] != values[k] ? problem.change(its[k]) : 0;
                    cost -= was != values[k] ? problem.change(its[k]) : 0;
                }
                on[slot] = values[k];
            }
        }
        return cost;
    }

    /**
     * The best order of one cooling.
     *
     * @param moves how many moves are tried
     * @param heat 1 where all may change, less where an order that is good already is to be bettered
     */
    Arranged anneal(Arranged from, int moves, double heat, BooleanSupplier stop) {
        double first = heat * hottest;
        int size = from.order().length;
        int[] order = from.order().clone();
        int[] station = from.stations().clone();
        int[] next = new int[size];
        int[] others = new int[size];
        note(order, station, 0);
        int cost = costBefore[size];
        Arranged best = from;
        int bestCost = cost;
        for (int move = 0; move < moves; move++) {
            if ((move & 1023) == 0 && stop.getAsBoolean()) {
                break;
            }
            double temperature = first * Math.pow(COOLED, (double) move / moves);
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
            int its = goesElsewhere ? cost(next, theirs, 0, size) : cost(next, theirs, firstMoved, lastMoved);
            if (its <= most) {
                System.arraycopy(next, 0, order, 0, size);
                System.arraycopy(theirs, 0, station, 0, size);
                note(order, station, goesElsewhere ? 0 : firstMoved);
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
            firstMoved = to;
            lastMoved = last;
            System.arraycopy(order, 0, next, 0, to);
            System.arraycopy(order, first, next, to, length);
            System.arraycopy(order, to, next, to + length, first - to);
            System.arraycopy(order, last, next, last, size - last);
        } else {
            int to = last + 1 + place - (first - least);
            firstMoved = first;
            lastMoved = to;
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
