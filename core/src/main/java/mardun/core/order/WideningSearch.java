package mardun.core.order;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/**
 * Goes through orders step by step and keeps, of all states in which equally many operations are done, so many that promise most. Where
 * none had to be left out, what is found is the best order; else none is better than the most promising of those that were left out.
 *
 * <p>Two things lose nothing and leave few states: an operation that costs nothing is done at once, and of states in which the same
 * operations are done those are left out that another one could be turned into for what it is cheaper.
 */
final class WideningSearch {

    private static final int NOTHING = -1;

    private final OrderProblem problem;
    private final Slots slots;
    private final OrderBound bound;
    private final BooleanSupplier stop;
    private final int words;
    private final long[][] before;
    private final long[][] atStation;

    /** The slots on which an operation needs something, and what. */
    private final int[][] slotsOf;

    private final short[][] valuesOf;

    private int[] best;
    private int bestCost;
    private int leastLeftOut;
    private long looked;

    WideningSearch(OrderProblem problem, Slots slots, OrderBound bound, BooleanSupplier stop) {
        this.problem = problem;
        this.slots = slots;
        this.bound = bound;
        this.stop = stop;
        this.words = (problem.size() + Long.SIZE - 1) / Long.SIZE;
        this.before = new long[problem.size()][];
        for (int one = 0; one < problem.size(); one++) {
            before[one] = Arrays.copyOf(problem.before(one).toLongArray(), words);
        }
        this.atStation = new long[problem.stations()][words];
        this.slotsOf = new int[problem.size()][];
        this.valuesOf = new short[problem.size()][];
        for (int one = 0; one < problem.size(); one++) {
            int[] wanted = slots.wanted(one);
            int first = problem.station(one) * slots.parts();
            int[] needed = IntStream.range(0, wanted.length)
                    .filter(part -> wanted[part] != 0)
                    .toArray();
            slotsOf[one] = Arrays.stream(needed).map(part -> first + part).toArray();
            valuesOf[one] = new short[needed.length];
            for (int i = 0; i < needed.length; i++) {
                valuesOf[one][i] = (short) wanted[needed[i]];
            }
            atStation[problem.station(one)][one / Long.SIZE] |= 1L << one % Long.SIZE;
        }
    }

    private static final class State {
        long[] left;
        int at;
        short[] on;
        int cost;
        int promise;
        State from;
        int did;
    }

    /** Which operations are left. */
    private record Left(long[] words) {

        @Override
        public boolean equals(Object other) {
            return other instanceof Left its && Arrays.equals(words, its.words);
        }

        @Override
        public int hashCode() {
            long hash = 0;
            for (long word : words) {
                hash = Spread.of(hash ^ word);
            }
            return (int) hash;
        }
    }

    /**
     * What a run found; {@code order} is null where nothing better than what was known was found. Of a run that was stopped the states that
     * weren't looked at any more count as left out.
     */
    record Found(int[] order, int cost, int leastCost) {}

    /**
     * One run.
     *
     * @param width of how many states each time the followers are looked at
     * @param known the cost of an order that is known
     */
    Found run(int width, int known) {
        best = null;
        bestCost = known;
        leastLeftOut = Integer.MAX_VALUE;
        looked = 0;
        List<Map<Left, List<State>>> layers = new ArrayList<>();
        for (int i = 0; i <= problem.size(); i++) {
            layers.add(null);
        }
        put(start(), layers);
        boolean finished = true;
        for (int layer = problem.size(); layer > 0 && finished; layer--) {
            Map<Left, List<State>> its = layers.get(layer);
            layers.set(layer, null);
            if (its != null) {
                finished = follow(its, width, layers);
            }
        }
        if (!finished) {
            layers.stream()
                    .filter(Objects::nonNull)
                    .flatMap(its -> its.values().stream())
                    .flatMap(List::stream)
                    .forEach(state -> leastLeftOut = Math.min(leastLeftOut, state.promise));
        }
        int least = Math.min(bestCost, leastLeftOut);
        return new Found(best, bestCost, least);
    }

    /** Has the bound look closer, from where the search begins. */
    void strengthen() {
        State first = start();
        bound.strengthen(first.left, first.at, first.on);
    }

    private boolean follow(Map<Left, List<State>> states, int width, List<Map<Left, List<State>>> layers) {
        List<State> all = new ArrayList<>();
        states.values().forEach(all::addAll);
        all.removeIf(state -> state.promise >= bestCost);
        if (all.size() > width) {
            all.sort(Comparator.comparingInt(state -> state.promise));
            leastLeftOut = Math.min(leastLeftOut, all.get(width).promise);
            all = all.subList(0, width);
        }
        for (int i = 0; i < all.size(); i++) {
            State state = all.get(i);
            if ((++looked & 63) == 0 && stop.getAsBoolean()) {
                all.subList(i, all.size()).forEach(one -> leastLeftOut = Math.min(leastLeftOut, one.promise));
                return false;
            }
            for (int word = 0; word < words; word++) {
                for (long open = state.left[word]; open != 0; open &= open - 1) {
                    int one = word * Long.SIZE + Long.numberOfTrailingZeros(open);
                    if (isOpen(one, state.left)) {
                        put(then(state, one), layers);
                    }
                }
            }
        }
        return true;
    }

    private boolean isOpen(int one, long[] left) {
        for (int word = 0; word < words; word++) {
            if ((before[one][word] & left[word]) != 0) {
                return false;
            }
        }
        return true;
    }

    private State start() {
        State state = new State();
        state.left = everything();
        state.at = problem.startStation();
        state.on = slots.start();
        state.did = NOTHING;
        doWhatIsFree(state, one -> {});
        return state;
    }

    private State then(State from, int one) {
        State state = new State();
        state.left = from.left.clone();
        state.left[one / Long.SIZE] &= ~(1L << one % Long.SIZE);
        state.at = problem.station(one);
        state.on = from.on.clone();
        state.cost = from.cost + problem.walk(from.at, state.at);
        state.from = from;
        state.did = one;
        putOn(one, state);
        doWhatIsFree(state, free -> {});
        return state;
    }

    /** Does at once what costs nothing now: it could only cost something later. */
    private void doWhatIsFree(State state, IntConsumer doing) {
        boolean more = true;
        while (more) {
            more = false;
            for (int word = 0; word < words; word++) {
                for (long open = state.left[word] & atStation[state.at][word]; open != 0; open &= open - 1) {
                    int one = word * Long.SIZE + Long.numberOfTrailingZeros(open);
                    if (isOn(one, state.on) && isOpen(one, state.left)) {
                        state.left[word] &= ~(1L << one % Long.SIZE);
                        doing.accept(one);
                        more = true;
                    }
                }
            }
        }
        bound.plain(state.left, state.on);
    }

    private boolean isOn(int one, short[] on) {
        int[] its = slotsOf[one];
        short[] values = valuesOf[one];
        for (int i = 0; i < its.length; i++) {
            if (on[its[i]] != values[i]) {
                return false;
            }
        }
        return true;
    }

    private void put(State state, List<Map<Left, List<State>>> layers) {
        if (state.cost >= bestCost) {
            return;
        }
        int count = 0;
        for (long word : state.left) {
            count += Long.bitCount(word);
        }
        if (count == 0) {
            bestCost = state.cost;
            best = order(state);
            return;
        }
        if (layers.get(count) == null) {
            layers.set(count, new HashMap<>());
        }
        List<State> same = layers.get(count).computeIfAbsent(new Left(state.left), left -> new ArrayList<>(2));
        for (State other : same) {
            if (serves(other, state)) {
                return;
            }
        }
        state.promise = state.cost + bound.toCome(state.left, state.at, state.on, bestCost - state.cost);
        if (state.from != null) {
            state.promise = Math.max(state.promise, state.from.promise);
        }
        if (state.promise >= bestCost) {
            return;
        }
        same.removeIf(other -> serves(state, other));
        same.add(state);
    }

    /** Whether one state, turned into the other, is still no dearer than that one. */
    private boolean serves(State one, State other) {
        int cost = one.cost + problem.walk(one.at, other.at);
        for (int slot = 0; slot < one.on.length && cost <= other.cost; slot++) {
            if (other.on[slot] != 0 && other.on[slot] != one.on[slot]) {
                cost += slots.cost(slot);
            }
        }
        return cost <= other.cost;
    }

    /** The way to a state, gone once more with what was free on it. */
    private int[] order(State last) {
        Deque<State> way = new ArrayDeque<>();
        for (State state = last; state != null; state = state.from) {
            way.push(state);
        }
        List<Integer> order = new ArrayList<>();
        for (State state : way) {
            State again = new State();
            again.left = state.from == null ? everything() : state.from.left.clone();
            again.at = state.at;
            again.on = state.from == null ? slots.start() : state.from.on.clone();
            if (state.from != null) {
                order.add(state.did);
                again.left[state.did / Long.SIZE] &= ~(1L << state.did % Long.SIZE);
                putOn(state.did, again);
            }
            doWhatIsFree(again, order::add);
        }
        return order.stream().mapToInt(Integer::intValue).toArray();
    }

    private long[] everything() {
        BitSet all = new BitSet(problem.size());
        all.set(0, problem.size());
        return Arrays.copyOf(all.toLongArray(), words);
    }

    private void putOn(int one, State state) {
        int[] its = slotsOf[one];
        short[] values = valuesOf[one];
        for (int i = 0; i < its.length; i++) {
            if (values[i] != state.on[its[i]]) {
                state.cost += slots.cost(its[i]);
                state.on[its[i]] = values[i];
            }
        }
    }
}
