package mardun.core.order;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * The parts of all machines in one row, and for each the settings that any operation needs, numbered from 1; 0 is whatever nobody needs. So
 * what is on all machines is a short row of small numbers.
 */
final class Slots {

    /** A setting of a slot that some operations need. */
    record Setting(int slot, int value, int cost, BitSet neededBy) {}

    private final int parts;
    private final int[][] wanted;
    private final int[] cost;
    private final List<Setting> settings = new ArrayList<>();
    private final int[] start;

    Slots(OrderProblem problem) {
        parts = problem.parts();
        int slots = problem.stations() * parts;
        cost = new int[slots];
        List<List<Integer>> values = new ArrayList<>();
        List<List<BitSet>> needed = new ArrayList<>();
        for (int slot = 0; slot < slots; slot++) {
            cost[slot] = problem.change(slot % parts);
            values.add(new ArrayList<>());
            needed.add(new ArrayList<>());
        }
        wanted = new int[problem.size()][];
        for (int one = 0; one < problem.size(); one++) {
            wanted[one] = new int[parts];
            for (int part = 0; part < parts; part++) {
                int value = problem.need(one, part);
                if (value != OrderProblem.ANYTHING) {
                    int slot = problem.station(one) * parts + part;
                    int number = values.get(slot).indexOf(value);
                    if (number < 0) {
                        number = values.get(slot).size();
                        values.get(slot).add(value);
                        needed.get(slot).add(new BitSet(problem.size()));
                    }
                    needed.get(slot).get(number).set(one);
                    wanted[one][part] = number + 1;
                }
            }
        }
        start = new int[slots];
        for (int slot = 0; slot < slots; slot++) {
            int on = problem.startOn(slot / parts, slot % parts);
            start[slot] = values.get(slot).indexOf(on) + 1;
            for (int number = 0; number < values.get(slot).size(); number++) {
                settings.add(new Setting(
                        slot, number + 1, cost[slot], needed.get(slot).get(number)));
            }
        }
    }

    int count() {
        return cost.length;
    }

    int parts() {
        return parts;
    }

    /** How many settings the slot has that has most. */
    int mostValues() {
        return settings.stream().mapToInt(Setting::value).max().orElse(0);
    }

    int cost(int slot) {
        return cost[slot];
    }

    /** What an operation needs of its machine's parts; 0 where it doesn't matter. */
    int[] wanted(int operation) {
        return wanted[operation];
    }

    List<Setting> settings() {
        return settings;
    }

    /** What is on everything at first. */
    short[] start() {
        short[] on = new short[start.length];
        for (int slot = 0; slot < start.length; slot++) {
            on[slot] = (short) start[slot];
        }
        return on;
    }
}
