package mardun.core.label;

import java.util.List;

/**
 * How many of the bags that are there have a ticket that still holds. A bag wears the ticket that was printed last; tickets of bags that
 * are gone are gone with them.
 *
 * @param right with a ticket that holds
 * @param outOfDate with one that says another price than is asked now
 * @param without with none
 */
public record Ticketed(int right, int outOfDate, int without) {

    /** Tickets that were printed at once. */
    public record Printed(int count, boolean holds) {}

    /**
     * Counts them.
     *
     * @param bags how many are there
     * @param latestFirst what was printed for them
     */
    public static Ticketed of(int bags, List<Printed> latestFirst) {
        int right = 0;
        int outOfDate = 0;
        int bare = bags;
        for (Printed printed : latestFirst) {
            int worn = Math.min(bare, printed.count());
            bare -= worn;
            if (printed.holds()) {
                right += worn;
            } else {
                outOfDate += worn;
            }
        }
        return new Ticketed(right, outOfDate, bare);
    }

    /** How many have to be printed for every bag to have one that holds. */
    public int toPrint() {
        return outOfDate + without;
    }
}
