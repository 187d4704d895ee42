package mardun.core.order;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;

/**
 * What a part of the operations still costs at least, if the others weren't there: exactly, by all orders, each state once. Taking operations
 * away never makes an order dearer, so nothing that contains this part costs less.
 */
final class PartCost {

    /** A part has at most so many operations, so that which are left fits a number. */
    static final int MOST = 62;

    private static final int BYTE = 256;
    private static final int STATION_BITS = 6;

    /** After so many new states the clock is looked at. */
    private static final int ASKING = (1 << 10) - 1;

    /** A setting that operations of the part need. */
    private record Local(int slot, int value, int cost, long neededBy) {}

    private final OrderProblem problem;
    private final int[] operations;
    private final long[] before;
    private final int[] station;
    private final long[] atStation;
    private final int[][] slotOf;
    private final int[][] valueOf;

    /** Of each setting that operations of the part need: which of them do, where in a number it is told, and what it costs. */
    private final long[] neededBy;

    private final long[] mask;
    private final long[] bits;
    private final int[] settingCost;
    private final long[][] gather;
    private final int[] slots;
    private final int[] shift;
    private final int[] width;
    private final int[][] number;
    private final int[] costOf;
    private final PartStates known = new PartStates();
    private final List<Inner> inner = new ArrayList<>();
    private final BooleanSupplier stop;
    private int mostStates;
    private int asked;

    /** Whether what is on its slots fits a number. */
    private final boolean fits;

    private PartCost(OrderProblem problem, Slots all, BitSet members, int mostStates, BooleanSupplier stop) {
        this.problem = problem;
        this.mostStates = mostStates;
        this.stop = stop;
        operations = members.stream().toArray();
        int count = operations.length;
        before = new long[count];
        station = new int[count];
        atStation = new long[problem.stations()];
        for (int i = 0; i < count; i++) {
            station[i] = problem.station(operations[i]);
            atStation[station[i]] |= 1L << i;
            for (int j = 0; j < count; j++) {
                if (problem.before(operations[i]).get(operations[j])) {
                    before[i] |= 1L << j;
                }
            }
        }
        int[] numbers = new int[all.count()];
        number = new int[all.count()][all.mostValues() + 1];
        List<Local> locals = new ArrayList<>();
        for (int setting = 0; setting < all.settings().size(); setting++) {
            Slots.Setting one = all.settings().get(setting);
            long needing = 0;
            for (int i = 0; i < count; i++) {
                if (one.neededBy().get(operations[i])) {
                    needing |= 1L << i;
                }
            }
            if (needing != 0) {
                int local = ++numbers[one.slot()];
                number[one.slot()][one.value()] = local;
                locals.add(new Local(one.slot(), local, one.cost(), needing));
            }
        }
        slots = IntStream.range(0, all.count())
                .filter(slot -> numbers[slot] > 0)
                .toArray();
        shift = new int[all.count()];
        width = new int[all.count()];
        costOf = new int[all.count()];
        int places = STATION_BITS;
        for (int slot : slots) {
            shift[slot] = places;
            width[slot] = Integer.SIZE - Integer.numberOfLeadingZeros(numbers[slot]);
            costOf[slot] = all.cost(slot);
            places += width[slot];
        }
        fits = places < Long.SIZE && problem.stations() < 1 << STATION_BITS;
        neededBy = locals.stream().mapToLong(Local::neededBy).toArray();
        mask = locals.stream()
                .mapToLong(one -> (1L << width[one.slot()]) - 1 << shift[one.slot()])
                .toArray();
        bits = locals.stream()
                .mapToLong(one -> (long) one.value() << shift[one.slot()])
                .toArray();
        settingCost = locals.stream().mapToInt(Local::cost).toArray();
        slotOf = new int[count][];
        valueOf = new int[count][];
        for (int i = 0; i < count; i++) {
            int[] wanted = all.wanted(operations[i]);
            int needed = (int) Arrays.stream(wanted).filter(value -> value > 0).count();
            slotOf[i] = new int[needed];
            valueOf[i] = new int[needed];
            int at = 0;
            for (int part = 0; part < wanted.length; part++) {
                if (wanted[part] > 0) {
                    int slot = station[i] * all.parts() + part;
                    slotOf[i][at] = slot;
                    valueOf[i][at++] = number[slot][wanted[part]];
                }
            }
        }
        gather = gather(operations, problem.size());
    }

    /** The cost of a part; empty where it is too large to be told so. */
    static Optional<PartCost> of(
            OrderProblem problem, Slots all, BitSet members, int mostStates, BooleanSupplier stop) {
        if (members.cardinality() > MOST) {
            return Optional.empty();
        }
        return Optional.of(new PartCost(problem, all, members, mostStates, stop))
                .filter(part -> part.fits);
    }

    /** For each eight operations of the whole, which of the part are among those that are left. */
    private static long[][] gather(int[] places, int all) {
        long[][] tables = new long[(all + 7) / 8][BYTE];
        for (int i = 0; i < places.length; i++) {
            long[] table = tables[places[i] / 8];
            int bit = 1 << places[i] % 8;
            for (int left = 0; left < BYTE; left++) {
                if ((left & bit) != 0) {
                    table[left] |= 1L << i;
                }
            }
        }
        return tables;
    }

    /** A smaller part of this one, with how its numbers follow from those of this one. */
    private record Inner(PartCost part, long[][] gather, int[][] numbers) {}

    /** Knows what smaller parts cost, so that fewer orders have to be gone through. */
    PartCost knowing(List<PartCost> others) {
        Map<Integer, Integer> places = new HashMap<>();
        for (int i = 0; i < operations.length; i++) {
            places.put(operations[i], i);
        }
        for (PartCost other : others) {
            if (Arrays.stream(other.operations).allMatch(places::containsKey)) {
                int[] at = Arrays.stream(other.operations).map(places::get).toArray();
                int[][] numbers = new int[number.length][];
                for (int slot : other.slots) {
                    numbers[slot] = new int[1 << width[slot]];
                    for (int value = 1; value < number[slot].length; value++) {
                        numbers[slot][number[slot][value]] = other.number[slot][value];
                    }
                    numbers[slot][0] = 0;
                }
                inner.add(new Inner(other, gather(at, operations.length), numbers));
            }
        }
        return this;
    }

    private int innerBeyond(long rest, int at, long code, int enough) {
        int beyond = 0;
        for (int i = 0; i < inner.size() && beyond < enough; i++) {
            Inner one = inner.get(i);
            long mine = 0;
            for (int table = 0; table < one.gather.length; table++) {
                mine |= one.gather[table][(int) (rest >>> (table << 3)) & 0xff];
            }
            if (mine != 0) {
                long its = 0;
                for (int slot : one.part.slots) {
                    its |= (long) one.numbers[slot][value(code, slot)] << one.part.shift[slot];
                }
                beyond = Math.max(beyond, one.part.toGo(mine, at, its) - one.part.forced(mine, its));
            }
        }
        return beyond;
    }

    /**
     * What the part still costs, less what has to be put on for it in any case.
     *
     * @param left the operations of the whole that are left
     * @param on what is on the machines
     */
    int beyondForced(long[] left, int at, short[] on) {
        long mine = mine(left);
        if (mine == 0) {
            return 0;
        }
        long code = 0;
        for (int slot : slots) {
            code |= (long) number[slot][on[slot]] << shift[slot];
        }
        return toGo(mine, at, code) - forced(mine, code);
    }

    private long mine(long[] left) {
        long mine = 0;
        for (int table = 0; table < gather.length; table++) {
            int eight = (int) (left[table >> 3] >>> ((table & 7) << 3)) & 0xff;
            if (eight != 0) {
                mine |= gather[table][eight];
            }
        }
        return mine;
    }

    private int value(long code, int slot) {
        return (int) (code >>> shift[slot]) & (1 << width[slot]) - 1;
    }

    private int toGo(long left, int at, long code) {
        long rest = left;
        boolean more = true;
        while (more) {
            more = false;
            for (long open = rest & atStation[at]; open != 0; open &= open - 1) {
                int i = Long.numberOfTrailingZeros(open);
                if ((before[i] & rest) == 0 && isOn(i, code)) {
                    rest &= ~(1L << i);
                    more = true;
                }
            }
        }
        if (rest == 0) {
            return 0;
        }
        long plain = plain(rest, code);
        long second = plain | at;
        int before = known.get(rest, second);
        if (before >= 0) {
            return before;
        }
        if ((++asked & ASKING) == 0 && stop.getAsBoolean()) {
            mostStates = 0;
        }
        if (known.size() >= mostStates) {
            return forced(rest, plain);
        }
        int best = Integer.MAX_VALUE;
        for (long open = rest; open != 0; open &= open - 1) {
            int i = Long.numberOfTrailingZeros(open);
            if ((this.before[i] & rest) == 0) {
                int cost = problem.walk(at, station[i]);
                long next = plain;
                for (int k = 0; k < slotOf[i].length; k++) {
                    int slot = slotOf[i][k];
                    if (value(next, slot) != valueOf[i][k]) {
                        cost += costOf[slot];
                        next = next & ~((1L << width[slot]) - 1 << shift[slot]) | (long) valueOf[i][k] << shift[slot];
                    }
                }
                long then = rest & ~(1L << i);
                int least = cost + forced(then, next);
                if (least < best && least + innerBeyond(then, station[i], next, best - least) < best) {
                    best = Math.min(best, cost + toGo(then, station[i], next));
                }
            }
        }
        known.put(rest, second, best);
        return best;
    }

    private boolean isOn(int i, long code) {
        for (int k = 0; k < slotOf[i].length; k++) {
            if (value(code, slotOf[i][k]) != valueOf[i][k]) {
                return false;
            }
        }
        return true;
    }

    /** What nobody needs any more is as good as nothing. */
    private long plain(long rest, long code) {
        long plain = 0;
        for (int i = 0; i < neededBy.length; i++) {
            if ((neededBy[i] & rest) != 0 && (code & mask[i]) == bits[i]) {
                plain |= bits[i];
            }
        }
        return plain;
    }

    /** Each setting that is still needed and isn't on is put on once more. */
    private int forced(long rest, long code) {
        int forced = 0;
        for (int i = 0; i < neededBy.length; i++) {
            if ((neededBy[i] & rest) != 0 && (code & mask[i]) != bits[i]) {
                forced += settingCost[i];
            }
        }
        return forced;
    }
}
