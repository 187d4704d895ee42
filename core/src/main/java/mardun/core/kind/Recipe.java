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
    List<OnPaper> paper(Draft draft);

    /** Pieces, trims, notions and steps, and how they come together. */
    void fill(Draft draft);
}
