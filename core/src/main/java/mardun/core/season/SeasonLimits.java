package mardun.core.season;

import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * What holds a season's making back.
 *
 * @param hours at the bench
 * @param money that may be spent on trims and cloth
 * @param pieces the most that may be made in all; absent if as many as there is time for
 * @param cloth what there is of each cloth, and of whatever else is limited, by its name
 */
public record SeasonLimits(double hours, double money, OptionalInt pieces, Map<String, Cloth> cloth) {

    /**
     * A cloth, or anything else of which a bag takes some.
     *
     * @param shelf metres of it, or pieces, that are there and not spoken for
     * @param price of a metre more; absent if there is no more to be had
     * @param worth of a metre on the shelf to whoever doesn't use it; no more than the price of another
     */
    public record Cloth(double shelf, OptionalDouble price, double worth) {}

    /** The same with other hours. */
    public SeasonLimits withHours(double other) {
        return new SeasonLimits(other, money, pieces, cloth);
    }

    /** The same with other money. */
    public SeasonLimits withMoney(double other) {
        return new SeasonLimits(hours, other, pieces, cloth);
    }

    /** The same with another number of pieces. */
    public SeasonLimits withPieces(OptionalInt other) {
        return new SeasonLimits(hours, money, other, cloth);
    }

    /** The same with so many metres more of a cloth. */
    public SeasonLimits withMore(String name, double metres) {
        Map<String, Cloth> more = new TreeMap<>(cloth);
        more.computeIfPresent(name, (key, there) -> new Cloth(there.shelf() + metres, there.price(), there.worth()));
        return new SeasonLimits(hours, money, pieces, more);
    }
}
