package mardun.core.label;

import java.util.ArrayList;
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

    /**
     * Shares tickets that were printed ahead, for bags that were still to be made: they go onto bags in the order in which these are done.
     *
     * @param earliestFirst what was printed for them
     * @param bags how many bags there are of each group, those that were done first being first
     * @return what each group wears, the latest first; what is left over goes to the last
     */
    public static List<List<Printed>> shared(List<Printed> earliestFirst, List<Integer> bags) {
        List<List<Printed>> shared = new ArrayList<>();
        int at = 0;
        int left = earliestFirst.isEmpty() ? 0 : earliestFirst.get(0).count();
        for (int group = 0; group < bags.size(); group++) {
            boolean isLast = group == bags.size() - 1;
            int bare = bags.get(group);
            List<Printed> worn = new ArrayList<>();
            while (at < earliestFirst.size() && (isLast || bare > 0)) {
                int count = isLast ? left : Math.min(left, bare);
                worn.add(0, new Printed(count, earliestFirst.get(at).holds()));
                bare -= count;
                left -= count;
                if (left == 0) {
                    at++;
                    left = at < earliestFirst.size() ? earliestFirst.get(at).count() : 0;
                }
            }
            shared.add(worn);
        }
        return shared;
    }

    /** How many have to be printed for every bag to have one that holds. */
    public int toPrint() {
        return outOfDate + without;
    }
}
