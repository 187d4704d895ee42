package mardun.core.kind;

import java.util.List;
import java.util.Map;

/** How designs of a kind come about from what was chosen. */
interface Recipe {

    /** The finished measures that make the bag, the most important first. */
    List<Asked> measures();

    /** What can be chosen, in the order in which it is asked; of each choice the usual option first. */
    Map<Choice, List<Option>> offers();

    /** What a paper says of its main piece, made as it was chosen. */
    List<Instead> paper(Draft draft);

    /** What is measured on a bag on the table in the place of a finished measure that can't be got at. */
    default List<Instead> table(Draft draft) {
        return List.of();
    }

    /** Pieces, trims, notions and steps, and how they come together. */
    void fill(Draft draft);
}
