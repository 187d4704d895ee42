package mardun.core.order;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.function.BooleanSupplier;

/**
 * What is still to come at least: each setting that is needed and isn't on has to be put on once; and of a few groups of operations it is
 * known exactly what they cost beyond that ({@link PartCost}).
 */
final class OrderBound {

    private static final int MOST_STATES = 400_000;
    private static final int MOST_PARTS = 60;

    /** So many larger parts of three and of four groups are looked at. */
    private static final int[] HOW_MANY_OF_SIZE = {0, 0, 0, 2, 2};

    private static final int MOST_GROUPS = 14;
    private static final int MOST_STATES_OF_LARGE = 700_000;

    private final long[][] neededBy;
    private final int[] slot;
    private final int[] value;
    private final int[] cost;
    private final OrderProblem problem;
    private final Slots slots;
    private final BooleanSupplier stop;
    private final List<BitSet> groups;
    private final PartCost[][] pairs;
    private PartCost[] parts;

    OrderBound(OrderProblem problem, Slots slots, BooleanSupplier stop) {
        int words = (problem.size() + Long.SIZE - 1) / Long.SIZE;
        int count = slots.settings().size();
        neededBy = new long[count][];
        slot = new int[count];
        value = new int[count];
        cost = new int[count];
        for (int i = 0; i < count; i++) {
            Slots.Setting setting = slots.settings().get(i);
            neededBy[i] = Arrays.copyOf(setting.neededBy().toLongArray(), words);
            slot[i] = setting.slot();
            value[i] = setting.value();
            cost[i] = setting.cost();
        }
        this.problem = problem;
        this.slots = slots;
        this.stop = stop;
        groups = groups(problem);
        pairs = new PartCost[groups.size()][groups.size()];
        List<PartCost> all = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            for (int j = i; j < groups.size() && all.size() < MOST_PARTS; j++) {
                if (i != j || groups.size() == 1) {
                    pairs[i][j] = PartCost.of(problem, slots, members(List.of(i, j)), MOST_STATES, stop)
                            .orElse(null);
                    if (pairs[i][j] != null) {
                        all.add(pairs[i][j]);
                    }
                }
            }
        }
        parts = all.toArray(PartCost[]::new);
    }

    private static List<BitSet> groups(OrderProblem problem) {
        List<BitSet> groups = new ArrayList<>();
        for (int one = 0; one < problem.size(); one++) {
            int operation = one;
            problem.groups(one).stream().forEach(group -> {
                while (groups.size() <= group) {
                    groups.add(new BitSet());
                }
                groups.get(group).set(operation);
            });
        }
        groups.removeIf(BitSet::isEmpty);
        return groups;
    }

    private BitSet members(List<Integer> some) {
        BitSet members = new BitSet();
        some.forEach(group -> members.or(groups.get(group)));
        return members;
    }

    /** Looks at a few larger parts too: those whose pairs cost most. It makes each state dearer to look at, and fewer of them are. */
    void strengthen(long[] left, int at, short[] on) {
        if (groups.size() > MOST_GROUPS) {
            return;
        }
        List<PartCost> all = new ArrayList<>(List.of(parts));
        int[][] beyond = new int[groups.size()][groups.size()];
        for (int i = 0; i < groups.size(); i++) {
            for (int j = i + 1; j < groups.size(); j++) {
                if (pairs[i][j] != null) {
                    beyond[i][j] = pairs[i][j].beyondForced(left, at, on);
                }
            }
        }
        for (int size = 3; size < HOW_MANY_OF_SIZE.length; size++) {
            List<List<Integer>> some = new ArrayList<>();
            choose(size, 0, new ArrayList<>(), some);
            some.sort(Comparator.comparingInt((List<Integer> one) -> -sum(one, beyond)));
            for (List<Integer> one : some.subList(0, Math.min(HOW_MANY_OF_SIZE[size], some.size()))) {
                List<PartCost> its = new ArrayList<>();
                for (int i : one) {
                    for (int j : one) {
                        if (i < j && pairs[i][j] != null) {
                            its.add(pairs[i][j]);
                        }
                    }
                }
                PartCost.of(problem, slots, members(one), MOST_STATES_OF_LARGE, stop)
                        .ifPresent(part -> all.add(part.knowing(its)));
            }
        }
        parts = all.toArray(PartCost[]::new);
    }

    private void choose(int size, int from, List<Integer> begun, List<List<Integer>> all) {
        if (begun.size() == size) {
            all.add(List.copyOf(begun));
            return;
        }
        for (int group = from; group < groups.size(); group++) {
            begun.add(group);
            choose(size, group + 1, begun, all);
            begun.remove(begun.size() - 1);
        }
    }

    private static int sum(List<Integer> some, int[][] beyond) {
        int sum = 0;
        for (int i : some) {
            for (int j : some) {
                sum += i < j ? beyond[i][j] : 0;
            }
        }
        return sum;
    }

    /**
     * What is to come at least.
     *
     * @param enough from here on it doesn't matter how much it is
     */
    int toCome(long[] left, int at, short[] on, int enough) {
        int forced = 0;
        for (int i = 0; i < cost.length; i++) {
            if (on[slot[i]] != value[i] && meets(neededBy[i], left)) {
                forced += cost[i];
            }
        }
        int beyond = 0;
        for (int i = 0; i < parts.length && forced + beyond < enough; i++) {
            int its = parts[i].beyondForced(left, at, on);
            if (its > beyond) {
                beyond = its;
                if (i > 0 && forced + beyond >= enough) {
                    // Those that were enough last are asked first.
                    PartCost one = parts[i];
                    parts[i] = parts[i / 2];
                    parts[i / 2] = one;
                }
            }
        }
        return forced + beyond;
    }

    /** What is on a slot is plain where nobody needs it any more. */
    void plain(long[] left, short[] on) {
        for (int i = 0; i < cost.length; i++) {
            if (on[slot[i]] == value[i] && !meets(neededBy[i], left)) {
                on[slot[i]] = 0;
            }
        }
    }

    private static boolean meets(long[] ones, long[] others) {
        for (int word = 0; word < ones.length; word++) {
            if ((ones[word] & others[word]) != 0) {
                return true;
            }
        }
        return false;
    }
}
