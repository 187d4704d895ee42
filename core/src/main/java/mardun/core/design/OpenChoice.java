package mardun.core.design;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Something that a design leaves open, to be chosen for the design, for a line of a batch or for an order: foam or none, a snap or a
 * magnet. A choice changes several things at once: what belongs to one of its alternatives is there only when that one is taken, and what
 * belongs to none of them is always there.
 *
 * @param key what it is known by, whatever it is called
 * @param usual the key of the alternative that is taken where nothing else is said
 * @param alternatives two or more
 */
public record OpenChoice(String key, String name, String usual, List<Alternative> alternatives) {

    /**
     * One of the ways to choose from.
     *
     * @param key what it is known by, in the whole design
     * @param letters of the pieces, panels and trims that come with it
     * @param slots the materials that come with it, and with them all that is cut of them or counted from them
     * @param steps the keys of the steps that come with it, with their minutes and checks
     * @param measures the measurements that are others with it, for every size
     */
    public record Alternative(
            String key,
            String name,
            List<String> letters,
            List<String> slots,
            List<String> steps,
            List<ChosenMeasure> measures) {}

    /** The value that a measurement has with an alternative, as it is typed. */
    public record ChosenMeasure(String symbol, String value) {}

    /**
     * What isn't there as things were chosen.
     *
     * @param alternatives the keys of those that weren't taken
     */
    public record LeftOut(Set<String> letters, Set<String> slots, Set<String> steps, Set<String> alternatives) {}

    /** What is taken where there is nothing to choose from yet. */
    private static final Alternative NOTHING = new Alternative("", "", List.of(), List.of(), List.of(), List.of());

    /**
     * Which alternative is taken.
     *
     * @param picks keys of alternatives by the keys of their choices; where one is missing, or there is no such alternative any more, the
     *     usual one is taken
     */
    public Alternative taken(Map<String, String> picks) {
        Alternative first = alternatives.isEmpty() ? NOTHING : alternatives.get(0);
        return named(picks.getOrDefault(key, usual), named(usual, first));
    }

    private Alternative named(String wanted, Alternative otherwise) {
        return alternatives.stream()
                .filter(one -> one.key().equals(wanted))
                .findFirst()
                .orElse(otherwise);
    }

    /** What isn't there: all that belongs to an alternative of some choice, and not to the one that is taken of it. */
    public static LeftOut leftOut(List<OpenChoice> choices, Map<String, String> picks) {
        LeftOut out = new LeftOut(new HashSet<>(), new HashSet<>(), new HashSet<>(), new HashSet<>());
        for (OpenChoice choice : choices) {
            Alternative taken = choice.taken(picks);
            for (Alternative other : choice.alternatives()) {
                if (other != taken) {
                    out.alternatives().add(other.key());
                    out.letters().addAll(without(other.letters(), taken.letters()));
                    out.slots().addAll(without(other.slots(), taken.slots()));
                    out.steps().addAll(without(other.steps(), taken.steps()));
                }
            }
        }
        return out;
    }

    private static List<String> without(List<String> all, List<String> some) {
        return all.stream().filter(one -> !some.contains(one)).toList();
    }

    /** The measurements that are others as things were chosen, by their symbols; of two that set the same one the later choice counts. */
    public static Map<String, String> measures(List<OpenChoice> choices, Map<String, String> picks) {
        Map<String, String> values = new LinkedHashMap<>();
        choices.forEach(choice ->
                choice.taken(picks).measures().forEach(measure -> values.put(measure.symbol(), measure.value())));
        return values;
    }

    /** Which alternatives are taken where only these are named: their keys by those of their choices. What is of no choice counts nothing. */
    public static Map<String, String> picks(List<OpenChoice> choices, List<String> alternatives) {
        Map<String, String> picks = new LinkedHashMap<>();
        for (OpenChoice choice : choices) {
            choice.alternatives().stream()
                    .map(Alternative::key)
                    .filter(alternatives::contains)
                    .forEach(key -> picks.put(choice.key(), key));
        }
        return picks;
    }

    /** Only those picks that differ from the usual, so that a design's usual can change under a line that asked for nothing else. */
    public static Map<String, String> unusual(List<OpenChoice> choices, Map<String, String> picks) {
        Map<String, String> unusual = new LinkedHashMap<>();
        for (OpenChoice choice : choices) {
            Alternative taken = choice.taken(picks);
            if (!taken.key().equals(choice.taken(Map.of()).key())) {
                unusual.put(choice.key(), taken.key());
            }
        }
        return unusual;
    }

    /**
     * What comes before each step once some are left out: a step that came after one of them comes after what that one came after.
     *
     * @param after the keys of the steps that come before, by step, in the order of the steps
     */
    public static Map<String, List<String>> after(Map<String, List<String>> after, Set<String> out) {
        Map<String, List<String>> mended = new LinkedHashMap<>();
        after.forEach((step, before) -> {
            if (!out.contains(step)) {
                Set<String> those = new LinkedHashSet<>();
                before.forEach(one -> follow(one, after, out, those, new HashSet<>()));
                those.remove(step);
                mended.put(step, new ArrayList<>(those));
            }
        });
        return mended;
    }

    private static void follow(
            String one, Map<String, List<String>> after, Set<String> out, Set<String> those, Set<String> seen) {
        if (!out.contains(one)) {
            those.add(one);
        } else if (seen.add(one)) {
            after.getOrDefault(one, List.of()).forEach(before -> follow(before, after, out, those, seen));
        }
    }
}
