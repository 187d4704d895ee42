package mardun.core.order;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/**
 * What is still to come at least: each setting that is needed and isn't on has to be put on once; and of a few groups of operations it is
 * known exactly what they cost beyond that ({@link PartCost}).
 */
final class OrderBound {

    private static final int MOST_STATES = 400_000;
    private static final int MOST_PARTS = 40;

    private final long[][] neededBy;
    private final int[] slot;
    private final int[] value;
    private final int[] cost;
    private final PartCost[] parts;

    OrderBound(OrderProblem problem, Slots slots) {
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
        parts = parts(problem).stream()
                .flatMap(members -> PartCost.of(problem, slots, members, MOST_STATES).stream())
                .toArray(PartCost[]::new);
    }

    /** The operations of each two groups, or of the only one. */
    private static List<BitSet> parts(OrderProblem problem) {
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
        List<BitSet> parts = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            for (int j = i + 1; j < groups.size() && parts.size() < MOST_PARTS; j++) {
                BitSet both = (BitSet) groups.get(i).clone();
                both.or(groups.get(j));
                parts.add(both);
            }
        }
        if (groups.size() == 1) {
            parts.addAll(groups);
        }
        return parts;
    }

    /**
     * What is to come at least.
     *
     * @param enough from here on it doesn't matter how much it is
     */
    int toCome(long[] left, int at, byte[] on, int enough) {
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
    void plain(long[] left, byte[] on) {
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
