package mardun.core.selling;

import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * The coins and notes to bring so that the first buyers can be given change. Each is taken to pay with the smallest note that covers the
 * price, and every third one with the note above that; what they bring isn't counted on. So many of each coin are wanted as the change for
 * all of them takes, prices coming as often as there are bags of them, rounded up.
 *
 * @param counts how many of each coin or note, by its worth in minor units, the largest first
 * @param buyers for how many buyers
 */
public record ChangeFloat(Map<Long, Integer> counts, int buyers) {

    /** Of three buyers, one comes with a larger note. */
    private static final int LARGER_NOTE = 3;

    public ChangeFloat {
        counts = new LinkedHashMap<>(counts);
    }

    /**
     * What to bring.
     *
     * @param bagsByPrice how many bags there are of each price in minor units; prices of nothing are left out
     * @param buyers the first so many
     */
    public static ChangeFloat of(Coins coins, Map<Long, Integer> bagsByPrice, int buyers) {
        Map<Long, Integer> priced = new TreeMap<>();
        bagsByPrice.forEach((price, bags) -> {
            if (price > 0 && bags > 0) {
                priced.put(price, bags);
            }
        });
        long bags = priced.values().stream().mapToLong(Integer::longValue).sum();
        Map<Long, BigFraction> needed = new LinkedHashMap<>();
        coins.all().forEach(one -> needed.put(one, BigFraction.ZERO));
        priced.forEach((price, count) -> {
            BigFraction buyersOfIt = BigFraction.of(buyers).multiply(BigFraction.of(count, Math.toIntExact(bags)));
            List<Long> notes = covering(coins, price);
            BigFraction withLarger = notes.size() > 1 ? BigFraction.of(1, LARGER_NOTE) : BigFraction.ZERO;
            add(needed, coins.change(notes.get(0) - price), buyersOfIt.multiply(BigFraction.ONE.subtract(withLarger)));
            if (notes.size() > 1) {
                add(needed, coins.change(notes.get(1) - price), buyersOfIt.multiply(withLarger));
            }
        });
        Map<Long, Integer> counts = new LinkedHashMap<>();
        needed.forEach((one, times) -> {
            if (times.signum() > 0) {
                counts.put(
                        one,
                        times.negate()
                                .bigDecimalValue(0, RoundingMode.FLOOR)
                                .negate()
                                .intValueExact());
            }
        });
        return new ChangeFloat(counts, buyers);
    }

    /** The two smallest notes that cover a price; where none does, the next amount that notes come to. */
    private static List<Long> covering(Coins coins, long price) {
        List<Long> covering = coins.notes().stream()
                .filter(note -> note >= price)
                .sorted()
                .limit(2)
                .toList();
        long smallest = coins.notes().get(coins.notes().size() - 1);
        return covering.isEmpty() ? List.of((price + smallest - 1) / smallest * smallest) : covering;
    }

    private static void add(Map<Long, BigFraction> needed, Map<Long, Integer> change, BigFraction times) {
        change.forEach((one, count) -> needed.merge(one, times.multiply(count), BigFraction::add));
    }

    /** What all of it is worth, in minor units. */
    public long minor() {
        return counts.entrySet().stream()
                .mapToLong(
                        one -> Math.multiplyExact(one.getKey(), one.getValue().longValue()))
                .sum();
    }
}
