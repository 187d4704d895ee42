package mardun.core.cutting;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.core.cutting.LengthPlan.CutRoll;
import mardun.core.material.Roll;
import mardun.core.measure.Length;

/**
 * Cuts lengths from rolls and left-over lengths: as little as can be has to be bought; then as little as can be is lost. A rest
 * that is too short to keep is lost, and of one that is kept so much will be lost at its end some day: that is why left-over
 * lengths come before the roll. Every way is tried that could still be better; of many kinds and rolls only the first ones.
 */
public final class LengthCutting {

    /** Ways to cut one roll that are looked at before the search is given up. */
    private static final int MOST_TRIED = 100_000;

    private final long endTrim;
    private final long keep;
    private final List<Roll> rolls;
    private final long[] lengths;
    private final int[][] chosen;
    private final int[] left;
    private final Map<State, Outcome> seen = new HashMap<>();
    private Outcome best;
    private int[][] bestChosen;
    private int[] bestLeft;
    private int tried;

    /** What is still to be cut when a roll's turn comes. */
    private static final class State {

        private final int roll;
        private final int[] left;
        private final int hash;

        private State(int roll, int[] left) {
            this.roll = roll;
            this.left = left;
            this.hash = 31 * Arrays.hashCode(left) + roll;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof State state && state.roll == roll && Arrays.equals(state.left, left);
        }

        @Override
        public int hashCode() {
            return hash;
        }
    }

    /** What a way misses and what it costs, in nanometres. */
    private record Outcome(long missing, long cost) implements Comparable<Outcome> {

        private static final Comparator<Outcome> ORDER =
                Comparator.comparingLong(Outcome::missing).thenComparingLong(Outcome::cost);

        @Override
        public int compareTo(Outcome other) {
            return ORDER.compare(this, other);
        }
    }

    private LengthCutting(List<Roll> rolls, long[] lengths, int[] counts, Length endTrim, Length keep) {
        this.rolls = rolls;
        this.lengths = lengths;
        this.left = counts;
        this.endTrim = endTrim.nanometres();
        this.keep = keep.nanometres();
        this.chosen = new int[rolls.size()][lengths.length];
    }

    /**
     * The plan that loses least.
     *
     * @param endTrim what is cut off the end of each roll that is cut into
     * @param keep the shortest rest that is kept
     * @param oneDye all of it has to come from rolls of one dye lot
     */
    public static LengthPlan plan(
            List<LengthPiece> pieces, List<Roll> rolls, Length endTrim, Length keep, boolean oneDye) {
        if (!oneDye) {
            return plan(pieces, rolls, endTrim, keep);
        }
        Map<String, List<Roll>> byDye = new LinkedHashMap<>();
        rolls.forEach(roll -> byDye.computeIfAbsent(roll.provenDyeLot(), dye -> new ArrayList<>())
                .add(roll));
        return byDye.values().stream()
                .map(its -> plan(pieces, its, endTrim, keep))
                .filter(plan -> plan.missing().isEmpty())
                .min(Comparator.comparing(plan -> plan.taken().plus(plan.lost())))
                .orElseGet(() -> plan(pieces, List.of(), endTrim, keep));
    }

    private static LengthPlan plan(List<LengthPiece> pieces, List<Roll> all, Length endTrim, Length keep) {
        List<Roll> rolls = all.stream()
                .filter(roll -> roll.length().isLongerThan(endTrim))
                .sorted(Comparator.comparing(Roll::length))
                .toList();
        Map<Length, Deque<LengthPiece>> byLength = new LinkedHashMap<>();
        pieces.stream()
                .sorted(Comparator.comparing(LengthPiece::length).reversed())
                .forEach(piece -> byLength.computeIfAbsent(piece.length(), length -> new ArrayDeque<>())
                        .add(piece));
        long[] lengths =
                byLength.keySet().stream().mapToLong(Length::nanometres).toArray();
        int[] counts = byLength.values().stream()
                .mapToInt(its -> Math.toIntExact(
                        its.stream().mapToLong(LengthPiece::count).sum()))
                .toArray();
        LengthCutting search = new LengthCutting(rolls, lengths, counts, endTrim, keep);
        search.roll(0, 0, sum(lengths, counts));
        return search.plan(new ArrayList<>(byLength.values()), endTrim);
    }

    private static long sum(long[] lengths, int[] counts) {
        long sum = 0;
        for (int kind = 0; kind < lengths.length; kind++) {
            sum = Math.addExact(sum, Math.multiplyExact(lengths[kind], (long) counts[kind]));
        }
        return sum;
    }

    /** Decides what is cut from a roll and from those after it. */
    private void roll(int index, long cost, long missing) {
        if (best != null && leastOutcome(index, cost, missing).compareTo(best) >= 0) {
            return;
        }
        if (index == rolls.size()) {
            best = new Outcome(missing, cost);
            bestChosen = Arrays.stream(chosen).map(int[]::clone).toArray(int[][]::new);
            bestLeft = left.clone();
            return;
        }
        Outcome now = new Outcome(missing, cost);
        State state = new State(index, left.clone());
        Outcome before = seen.get(state);
        if (before != null && before.compareTo(now) <= 0) {
            return;
        }
        seen.put(state, now);
        kind(index, 0, rolls.get(index).length().nanometres() - endTrim, cost, missing);
    }

    /** Decides how many pieces of a kind and of the shorter ones are cut from a roll, as many as can be first. */
    private void kind(int index, int kind, long free, long cost, long missing) {
        if (best != null && ++tried > MOST_TRIED) {
            return;
        }
        if (kind == lengths.length) {
            long whole = rolls.get(index).length().nanometres();
            boolean isCut = free < whole - endTrim;
            roll(index + 1, isCut ? cost + worth(whole) - worth(free) + 1 : cost, missing);
            return;
        }
        int most = (int) Math.min(left[kind], free / lengths[kind]);
        for (int count = most; count >= 0; count--) {
            left[kind] -= count;
            chosen[index][kind] = count;
            kind(index, kind + 1, free - count * lengths[kind], cost, missing - count * lengths[kind]);
            left[kind] += count;
        }
        chosen[index][kind] = 0;
    }

    /** What a length on the shelf is good for: all but its end. */
    private long worth(long length) {
        return Math.max(0, length - keep);
    }

    /** No way from here misses less or costs less: all pieces as if they were cut from cord that can be joined. */
    private Outcome leastOutcome(int index, long cost, long missing) {
        double more = 0;
        long open = missing;
        for (int i = index; i < rolls.size() && open > 0; i++) {
            long whole = rolls.get(i).length().nanometres();
            long usable = whole - endTrim;
            long used = Math.min(open, usable);
            boolean isLast = i == rolls.size() - 1 && i == index;
            more += isLast ? worth(whole) - worth(usable - used) : (double) worth(whole) * used / usable;
            open -= used;
        }
        return new Outcome(open, cost + (long) Math.floor(more * (1 - 1e-12)));
    }

    private LengthPlan plan(List<Deque<LengthPiece>> pieces, Length trimmed) {
        List<CutRoll> cuts = new ArrayList<>();
        for (int i = 0; i < rolls.size(); i++) {
            List<LengthPiece> given = new ArrayList<>();
            for (int kind = 0; kind < lengths.length; kind++) {
                given.addAll(take(pieces.get(kind), bestChosen[i][kind]));
            }
            if (!given.isEmpty()) {
                Length used = given.stream().map(LengthPiece::together).reduce(trimmed, Length::plus);
                Length rest = rolls.get(i).length().minus(used);
                cuts.add(new CutRoll(rolls.get(i), given, rest, rest.nanometres() >= keep && rest.isPositive()));
            }
        }
        List<LengthPiece> missing = new ArrayList<>();
        for (int kind = 0; kind < lengths.length; kind++) {
            missing.addAll(take(pieces.get(kind), bestLeft[kind]));
        }
        return new LengthPlan(cuts, missing, trimmed, tried <= MOST_TRIED);
    }

    /** Pieces of one length, of one name after another. */
    private static List<LengthPiece> take(Deque<LengthPiece> from, long count) {
        List<LengthPiece> taken = new ArrayList<>();
        long open = count;
        while (open > 0) {
            LengthPiece next = from.remove();
            long of = Math.min(open, next.count());
            taken.add(next.times(of));
            if (of < next.count()) {
                from.addFirst(next.times(next.count() - of));
            }
            open -= of;
        }
        return taken;
    }
}
