package mardun.core.season;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;

/**
 * What making so many takes of the limits of a season.
 *
 * @param minutes of work, each design's set-up once
 * @param spent on trims, and on cloth beyond the shelf
 * @param fromShelf what the cloth is worth that is taken from the shelf
 * @param pieces in all
 * @param cloth metres by the cloth's name
 * @param bought of them, those that the shelf doesn't have
 */
public record SeasonUse(
        double minutes,
        double spent,
        double fromShelf,
        int pieces,
        Map<String, Double> cloth,
        Map<String, Double> bought) {

    private static final double SMALL = 1e-6;

    /** What making costs, bought or taken. */
    public double cost() {
        return spent + fromShelf;
    }

    /** A limit that a number of pieces breaks. */
    public sealed interface Broken {

        /** More hours than there are. */
        record Hours(double needed, double free) implements Broken {}

        /** More money than may be spent. */
        record Money(double needed, double free) implements Broken {}

        /** More pieces than shall be made. */
        record Pieces(int made, int most) implements Broken {}

        /** More of an item than its licence allows. */
        record Licence(int item, int made, int most) implements Broken {}

        /** More metres of a cloth than there are, and no more to be had. */
        record Cloth(String cloth, double needed, double shelf) implements Broken {}
    }

    /**
     * What they take.
     *
     * @param made pieces of each item
     */
    public static SeasonUse of(Season season, int[] made) {
        double minutes = 0;
        double spent = 0;
        int pieces = 0;
        Map<String, Double> cloth = new TreeMap<>();
        Set<String> open = new HashSet<>();
        for (int item = 0; item < made.length; item++) {
            SeasonItem one = season.items().get(item);
            int its = made[item];
            if (its > 0) {
                minutes += its * one.minutes() + (open.add(one.design()) ? one.setUpMinutes() : 0);
                spent += its * one.trimCost();
                pieces += its;
                one.clothUse().forEach((name, metres) -> cloth.merge(name, its * metres, Double::sum));
            }
        }
        Map<String, Double> bought = new HashMap<>();
        double fromShelf = 0;
        for (Map.Entry<String, Double> one : cloth.entrySet()) {
            SeasonLimits.Cloth there = season.limits().cloth().get(one.getKey());
            double over = one.getValue() - there.shelf();
            fromShelf += Math.min(one.getValue(), there.shelf()) * there.worth();
            if (over > SMALL) {
                bought.put(one.getKey(), over);
                spent += over * there.price().orElse(0);
            }
        }
        return new SeasonUse(minutes, spent, fromShelf, pieces, cloth, bought);
    }

    /** The limits that it breaks; none where it keeps within them. */
    public List<Broken> broken(Season season, int[] made) {
        SeasonLimits limits = season.limits();
        List<Broken> broken = new ArrayList<>();
        if (minutes > limits.hours() * 60 + SMALL) {
            broken.add(new Broken.Hours(minutes / 60, limits.hours()));
        }
        if (spent > limits.money() + SMALL) {
            broken.add(new Broken.Money(spent, limits.money()));
        }
        if (limits.pieces().isPresent() && pieces > limits.pieces().getAsInt()) {
            broken.add(new Broken.Pieces(pieces, limits.pieces().getAsInt()));
        }
        for (int item = 0; item < made.length; item++) {
            int most = season.items().get(item).licence().orElse(Integer.MAX_VALUE);
            if (made[item] > most) {
                broken.add(new Broken.Licence(item, made[item], most));
            }
        }
        bought.forEach((name, over) -> {
            SeasonLimits.Cloth there = limits.cloth().get(name);
            OptionalDouble price = there.price();
            if (price.isEmpty()) {
                broken.add(new Broken.Cloth(name, cloth.get(name), there.shelf()));
            }
        });
        return broken;
    }
}
