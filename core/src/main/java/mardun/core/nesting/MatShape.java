package mardun.core.nesting;

/**
 * A kind of shape to be cut on mats.
 *
 * @param key what it is known by
 * @param count how many of it, one or more
 * @param mayTurn it may lie across the grain; every shape may lie upside down only where {@code mayFlip} says so
 * @param mayFlip it may lie with its top down: it has no direction of its own, and its cloth hasn't either
 */
public record MatShape(String key, String name, Contour contour, int count, boolean mayTurn, boolean mayFlip) {

    /** In how many quarter turns it may lie. */
    int[] turns() {
        if (mayTurn) {
            return mayFlip ? new int[] {0, 2, 1, 3} : new int[] {0, 1};
        }
        return mayFlip ? new int[] {0, 2} : new int[] {0};
    }
}
