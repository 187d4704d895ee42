package mardun.core.order;

/**
 * An order, and how good it is.
 *
 * @param operations their numbers
 * @param stations at which station each is done, by its number
 * @param cost what it costs
 * @param leastCost no order costs less
 */
public record FoundOrder(int[] operations, int[] stations, int cost, int leastCost) {

    /** Whether there is no better one. */
    public boolean isProven() {
        return cost == leastCost;
    }
}
