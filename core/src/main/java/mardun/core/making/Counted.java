package mardun.core.making;

import java.util.Map;

/**
 * For how many bags the steps of a batch are done, as it was counted at the bench; bags that are finished are counted with all steps whether
 * somebody touched them or not.
 *
 * @param bags by line and step
 */
public record Counted(Map<Place, Integer> bags) {

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
    }

    /** For how many bags a step of a line was counted; never below zero. */
    public int of(int line, String step) {
        return Math.max(0, bags.getOrDefault(new Place(line, step), 0));
    }
}
