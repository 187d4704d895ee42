package mardun.core.making;

import java.util.Map;
import java.util.Set;

/**
 * For how many bags the steps of a batch are done, as it was counted at the bench; bags that are finished are counted with all steps whether
 * somebody touched them or not. A bag that was scrapped at a step has been through what comes before that, and isn't done anywhere else.
 *
 * @param bags by line and step
 * @param scrapped how many bags ended at which step
 */
public record Counted(Map<Place, Integer> bags, Map<Place, Integer> scrapped) {

    /** Nothing was counted. */
    public static final Counted NOTHING = new Counted(Map.of());

    /**
     * A step of a line.
     *
     * @param step its key
     */
    public record Place(int line, String step) {}

    public Counted {
        bags = Map.copyOf(bags);
        scrapped = Map.copyOf(scrapped);
    }

    /** Counted without anything that was scrapped. */
    public Counted(Map<Place, Integer> bags) {
        this(bags, Map.of());
    }

    /** For how many bags a step of a line was counted; never below zero. */
    public int of(int line, String step) {
        return Math.max(0, bags.getOrDefault(new Place(line, step), 0));
    }

    /** How many bags of a line were scrapped at the bench, at whatever step. */
    public int scrapped(int line) {
        return Math.max(
                0,
                scrapped.entrySet().stream()
                        .filter(entry -> entry.getKey().line() == line)
                        .mapToInt(Map.Entry::getValue)
                        .sum());
    }

    /**
     * How many bags never come to a step because they were scrapped.
     *
     * @param before of each step of the line what comes before it
     */
    public int lostTo(int line, String step, Map<String, Set<String>> before) {
        return Math.max(
                0,
                scrapped.entrySet().stream()
                        .filter(entry -> entry.getKey().line() == line)
                        .filter(entry -> !before.getOrDefault(entry.getKey().step(), Set.of())
                                .contains(step))
                        .mapToInt(Map.Entry::getValue)
                        .sum());
    }
}
