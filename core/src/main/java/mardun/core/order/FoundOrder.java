package mardun.core.order;

/**
 * An order, and how good it is.
 *
 * @param operations their numbers
 * @param cost what it costs
 * @param leastCost no order costs less
 */
public record FoundOrder(int[] operations, int cost, int leastCost) {

    /** Whether there is no better one. */
    public boolean isProven() {
        return cost == leastCost;
    }
}
