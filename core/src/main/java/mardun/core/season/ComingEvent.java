package mardun.core.season;

/**
 * A fair that is coming, or a coming week of the online shop.
 *
 * @param place the fair's name, as in the past; empty for the shop
 * @param week from 1 for the next one
 * @param day on which it is held, or its week begins: 0 for today
 * @param month from 1
 * @param footfall small, medium, large; empty if not known or for the shop
 * @param table room on the table in units of {@link SeasonItem#space}; no matter for the shop, where everything is on offer
 */
public record ComingEvent(
        Outlet outlet, String place, int week, int day, int month, String footfall, boolean isOutdoor, int table) {

    /** The same with another table. */
    public ComingEvent withTable(int other) {
        return new ComingEvent(outlet, place, week, day, month, footfall, isOutdoor, other);
    }
}
