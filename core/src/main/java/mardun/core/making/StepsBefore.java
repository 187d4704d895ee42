package mardun.core.making;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which steps of a bag come before which: those that a step names; the one that stands before it where it names none; and all of an
 * earlier stage.
 */
public final class StepsBefore {

    private StepsBefore() {}

    /** Of each step the places of those that it waits for itself, not counting what these wait for in turn. */
    static List<BitSet> direct(List<Step> steps) {
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < steps.size(); i++) {
            places.put(steps.get(i).key(), i);
        }
        List<BitSet> before = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            BitSet its = new BitSet();
            step.after().stream().filter(places::containsKey).map(places::get).forEach(its::set);
            if (its.isEmpty() && i > 0) {
                its.set(i - 1);
            }
            for (int other = 0; other < steps.size(); other++) {
                if (steps.get(other).stage().compareTo(step.stage()) < 0) {
                    its.set(other);
                }
            }
            before.add(its);
        }
        return before;
    }

    /** Of each step, by its key, the keys of all that a bag has been through when it comes to it. */
    public static Map<String, Set<String>> all(List<Step> steps) {
        List<BitSet> direct = direct(steps);
        Map<String, Set<String>> all = new HashMap<>();
        for (int i = 0; i < steps.size(); i++) {
            BitSet reached = new BitSet();
            reach(i, direct, reached);
            Set<String> keys = new HashSet<>();
            reached.stream().mapToObj(place -> steps.get(place).key()).forEach(keys::add);
            keys.remove(steps.get(i).key());
            all.put(steps.get(i).key(), keys);
        }
        return all;
    }

    private static void reach(int from, List<BitSet> direct, BitSet reached) {
        direct.get(from).stream().filter(place -> !reached.get(place)).forEach(place -> {
            reached.set(place);
            reach(place, direct, reached);
        });
    }
}
