package mardun.core.season;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A fair of the past or a past week of the online shop, with what was brought and what was sold.
 *
 * @param place the fair's name, the same each time it comes again; empty for the shop
 * @param week before now, from -1 for the last one
 * @param month from 1
 * @param hoursOpen how long buyers could come
 * @param footfall small, medium, large: how many walk through; empty if not known or for the shop
 * @param isOutdoor whether the weather reaches the stall
 * @param weather dry, mixed, wet; empty if not known or for the shop
 * @param lines one for each item that was there to be bought; what isn't in them wasn't there
 */
public record PastEvent(
        Outlet outlet,
        String place,
        int week,
        int month,
        double hoursOpen,
        String footfall,
        boolean isOutdoor,
        String weather,
        List<Line> lines) {

    /**
     * An item that was there to be bought.
     *
     * @param item the place of the item in the season's list
     * @param brought pieces that were there
     * @param sold of them
     * @param soldOutAfter hours after opening at which the last one went; absent if not known, or if some were left
     * @param price asked for it then
     */
    public record Line(int item, int brought, int sold, OptionalDouble soldOutAfter, double price) {

        /** Whether more might have been sold, had there been more. */
        public boolean isSoldOut() {
            return sold >= brought;
        }
    }
}
