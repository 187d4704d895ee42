package mardun.core.order;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Deque;
import java.util.List;

/**
 * Operations that are to be put into one sequence. What an operation needs on its machine costs a change where something else is on it; what
 * doesn't matter to it stays as it is. A machine keeps what is on it while the worker is elsewhere.
 *
 * <p>Stations, the parts of a machine's set-up (needle, thread, foot …) and what may be on them are known by their numbers here. All
 * costs are in one small unit of time that the caller chooses, such as seconds.
 */
public final class OrderProblem {

    /** What an operation doesn't care about, and a machine's part with nothing on it. */
    public static final int ANYTHING = -1;

    private final int[][] walk;
    private final int[] change;
    private final int startStation;
    private final int[][] startOn;
    private final int[][] choices;
    private final int[] station;
    private final int[][] needs;
    private final List<BitSet> groups;
    private final BitSet[] before;

    private OrderProblem(Builder from, int[][] walk, BitSet[] before) {
        this.walk = walk;
        this.change = from.change.clone();
        this.startStation = from.startStation;
        this.startOn = Arrays.stream(from.startOn).map(int[]::clone).toArray(int[][]::new);
        this.choices = from.choices.toArray(int[][]::new);
        this.station = Arrays.stream(choices).mapToInt(its -> its[0]).toArray();
        this.needs = from.needs.toArray(int[][]::new);
        this.groups = List.copyOf(from.groups);
        this.before = before;
    }

    private OrderProblem(OrderProblem other, int[] station) {
        this.walk = other.walk;
        this.change = other.change;
        this.startStation = other.startStation;
        this.startOn = other.startOn;
        this.choices = Arrays.stream(station).mapToObj(at -> new int[] {at}).toArray(int[][]::new);
        this.station = station.clone();
        this.needs = other.needs;
        this.groups = other.groups;
        this.before = other.before;
    }

    /** Begins a problem. */
    public static final class Builder {

        private final int[][] walk;
        private final int[] change;
        private final int startStation;
        private final int[][] startOn;
        private final List<int[]> choices = new ArrayList<>();
        private final List<int[]> needs = new ArrayList<>();
        private final List<BitSet> groups = new ArrayList<>();
        private final List<int[]> pairs = new ArrayList<>();

        /**
         * The workroom.
         *
         * @param walk what it costs to go from a station to another; ways round that are shorter are found
         * @param change what it costs to change each part of a set-up, at any machine
         * @param startStation where the worker is
         * @param startOn what is on each part at each station now, or {@link #ANYTHING}
         */
        public Builder(int[][] walk, int[] change, int startStation, int[][] startOn) {
            this.walk = walk;
            this.change = change;
            this.startStation = startStation;
            this.startOn = startOn;
        }

        /**
         * Adds an operation; answers its number, from 0.
         *
         * @param needs what must be on each part, or {@link #ANYTHING}
         * @param itsGroups what it belongs to, such as lines of a batch; how well an order is proven depends on them
         */
        public int add(int station, int[] needs, BitSet itsGroups) {
            return add(new int[] {station}, needs, itsGroups);
        }

        /**
         * Adds an operation that can be done at one of several stations; answers its number, from 0.
         *
         * @param stations at least one
         * @param needs as for one that has no choice
         */
        public int add(int[] stations, int[] needs, BitSet itsGroups) {
            choices.add(stations.clone());
            this.needs.add(needs.clone());
            groups.add((BitSet) itsGroups.clone());
            return choices.size() - 1;
        }

        /** One operation comes before another. */
        public void before(int first, int second) {
            pairs.add(new int[] {first, second});
        }

        /**
         * The problem.
         *
         * @throws CircularOrderException if operations wait for one another in a circle
         */
        public OrderProblem build() {
            return new OrderProblem(this, shortest(walk), closed(choices.size(), pairs));
        }
    }

    private static int[][] shortest(int[][] typed) {
        int[][] walk = Arrays.stream(typed).map(int[]::clone).toArray(int[][]::new);
        for (int via = 0; via < walk.length; via++) {
            for (int from = 0; from < walk.length; from++) {
                for (int to = 0; to < walk.length; to++) {
                    walk[from][to] = Math.min(walk[from][to], walk[from][via] + walk[via][to]);
                }
            }
        }
        for (int at = 0; at < walk.length; at++) {
            walk[at][at] = 0;
        }
        return walk;
    }

    /** For each operation all that come before it, however far. */
    private static BitSet[] closed(int count, List<int[]> pairs) {
        BitSet[] direct = new BitSet[count];
        int[] waiting = new int[count];
        List<List<Integer>> next = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            direct[i] = new BitSet(count);
            next.add(new ArrayList<>());
        }
        for (int[] pair : pairs) {
            if (!direct[pair[1]].get(pair[0])) {
                direct[pair[1]].set(pair[0]);
                next.get(pair[0]).add(pair[1]);
                waiting[pair[1]]++;
            }
        }
        Deque<Integer> ready = new ArrayDeque<>();
        for (int i = 0; i < count; i++) {
            if (waiting[i] == 0) {
                ready.add(i);
            }
        }
        int seen = 0;
        while (!ready.isEmpty()) {
            int one = ready.poll();
            seen++;
            for (int after : next.get(one)) {
                direct[after].or(direct[one]);
                if (--waiting[after] == 0) {
                    ready.add(after);
                }
            }
        }
        if (seen < count) {
            throw new CircularOrderException(circle(direct, waiting));
        }
        return direct;
    }

    /** Walks back among those that wait until one comes round again. */
    private static List<Integer> circle(BitSet[] direct, int[] waiting) {
        int at = 0;
        while (waiting[at] == 0) {
            at++;
        }
        List<Integer> way = new ArrayList<>();
        while (!way.contains(at)) {
            way.add(at);
            int from = at;
            at = direct[from].stream()
                    .filter(one -> waiting[one] > 0)
                    .findFirst()
                    .orElseThrow();
        }
        List<Integer> circle = new ArrayList<>(way.subList(way.indexOf(at), way.size()));
        Collections.reverse(circle);
        return circle;
    }

    /** How many operations there are. */
    public int size() {
        return station.length;
    }

    /** Whether any operation can be done at more than one station. */
    boolean hasChoices() {
        return Arrays.stream(choices).anyMatch(its -> its.length > 1);
    }

    /** The stations at which an operation can be done. */
    int[] choices(int operation) {
        return choices[operation];
    }

    /** The same with each operation at one of its stations. */
    OrderProblem at(int[] stations) {
        return new OrderProblem(this, stations);
    }

    /** The station of each operation; of one that can be done at several, the first. */
    int[] firstStations() {
        return station.clone();
    }

    int stations() {
        return walk.length;
    }

    int parts() {
        return change.length;
    }

    int walk(int from, int to) {
        return walk[from][to];
    }

    int change(int part) {
        return change[part];
    }

    int startStation() {
        return startStation;
    }

    int startOn(int at, int part) {
        return startOn[at][part];
    }

    int station(int operation) {
        return station[operation];
    }

    int need(int operation, int part) {
        return needs[operation][part];
    }

    BitSet groups(int operation) {
        return groups.get(operation);
    }

    /** All operations that come before this one, directly or not. */
    BitSet before(int operation) {
        return before[operation];
    }

    /** Whether each operation is there once, and none before one that it waits for. */
    public boolean isAllowed(int[] order) {
        BitSet done = new BitSet(size());
        for (int one : order) {
            BitSet missing = (BitSet) before[one].clone();
            missing.andNot(done);
            if (!missing.isEmpty() || done.get(one)) {
                return false;
            }
            done.set(one);
        }
        return done.cardinality() == size();
    }

    /** What an order costs: changes and walking. */
    public int cost(int[] order) {
        int[][] on = Arrays.stream(startOn).map(int[]::clone).toArray(int[][]::new);
        int here = startStation;
        int cost = 0;
        for (int one : order) {
            int at = station[one];
            cost += walk[here][at];
            here = at;
            int[] need = needs[one];
            for (int part = 0; part < need.length; part++) {
                if (need[part] != ANYTHING && need[part] != on[at][part]) {
                    cost += change[part];
                    on[at][part] = need[part];
                }
            }
        }
        return cost;
    }
}
