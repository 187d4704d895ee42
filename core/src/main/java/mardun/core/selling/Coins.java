package mardun.core.selling;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.joda.money.CurrencyUnit;

/**
 * The coins and notes of a currency, in minor units, the largest first.
 *
 * @param coins the largest first
 * @param notes the largest first
 */
public record Coins(List<Long> coins, List<Long> notes) {

    private static final List<Long> ONE_TWO_FIVE = List.of(200L, 100L, 50L, 20L, 10L, 5L, 2L, 1L);
    private static final List<Long> NOTES = List.of(10_000L, 5_000L, 2_000L, 1_000L, 500L);

    private static final Map<String, Coins> KNOWN = Map.ofEntries(
            Map.entry("EUR", new Coins(ONE_TWO_FIVE, NOTES)),
            Map.entry("GBP", new Coins(ONE_TWO_FIVE, List.of(5_000L, 2_000L, 1_000L, 500L))),
            Map.entry(
                    "USD", new Coins(List.of(25L, 10L, 5L, 1L), List.of(10_000L, 5_000L, 2_000L, 1_000L, 500L, 100L))),
            Map.entry("CAD", new Coins(List.of(200L, 100L, 25L, 10L, 5L), NOTES)),
            Map.entry("AUD", new Coins(List.of(200L, 100L, 50L, 20L, 10L, 5L), NOTES)),
            Map.entry("NZD", new Coins(List.of(200L, 100L, 50L, 20L, 10L), NOTES)),
            Map.entry(
                    "CHF",
                    new Coins(
                            List.of(500L, 200L, 100L, 50L, 20L, 10L, 5L),
                            List.of(20_000L, 10_000L, 5_000L, 2_000L, 1_000L))),
            Map.entry(
                    "DKK",
                    new Coins(
                            List.of(2_000L, 1_000L, 500L, 200L, 100L, 50L),
                            List.of(50_000L, 20_000L, 10_000L, 5_000L))),
            Map.entry(
                    "SEK",
                    new Coins(List.of(1_000L, 500L, 200L, 100L), List.of(50_000L, 20_000L, 10_000L, 5_000L, 2_000L))),
            Map.entry(
                    "NOK", new Coins(List.of(2_000L, 1_000L, 500L, 100L), List.of(50_000L, 20_000L, 10_000L, 5_000L))),
            Map.entry(
                    "PLN",
                    new Coins(
                            List.of(500L, 200L, 100L, 50L, 20L, 10L, 5L, 2L, 1L),
                            List.of(20_000L, 10_000L, 5_000L, 2_000L, 1_000L))),
            Map.entry(
                    "CZK",
                    new Coins(
                            List.of(5_000L, 2_000L, 1_000L, 500L, 200L, 100L),
                            List.of(100_000L, 50_000L, 20_000L, 10_000L))),
            Map.entry("JPY", new Coins(List.of(500L, 100L, 50L, 10L, 5L, 1L), List.of(10_000L, 5_000L, 1_000L))));

    public Coins {
        coins = List.copyOf(coins);
        notes = List.copyOf(notes);
    }

    /** Those of a currency; of one that isn't known, ones, twos and fives as most have. */
    public static Coins of(CurrencyUnit currency) {
        Coins known = KNOWN.get(currency.getCode());
        if (known != null) {
            return known;
        }
        long whole = 1;
        for (int i = 0; i < currency.getDecimalPlaces(); i++) {
            whole *= 10;
        }
        long unit = whole;
        List<Long> small = Stream.of(2 * unit, unit, unit / 2, unit / 5, unit / 10, unit / 20, unit / 50, unit / 100)
                .filter(coin -> coin > 0)
                .distinct()
                .toList();
        return new Coins(
                small,
                Stream.of(100L, 50L, 20L, 10L, 5L).map(note -> note * unit).toList());
    }

    /** Coins and notes together, the largest first. */
    public List<Long> all() {
        return Stream.concat(notes.stream(), coins.stream()).toList();
    }

    /**
     * What counted coins and notes come to, in minor units.
     *
     * @param counted how many of each coin and note, none of them below none
     * @throws IllegalArgumentException if one of them is no coin and no note of the currency
     */
    public long together(Map<Long, Integer> counted) {
        counted.forEach((one, times) -> {
            if (!all().contains(one) || times < 0) {
                throw new IllegalArgumentException(times + " of a coin that isn’t one: " + one);
            }
        });
        return counted.entrySet().stream()
                .mapToLong(one -> Math.multiplyExact(one.getKey(), (long) one.getValue()))
                .sum();
    }

    /** How often each coin or note is needed to give back an amount with as few as can be, the largest first. */
    public Map<Long, Integer> change(long minor) {
        if (minor < 0) {
            throw new IllegalArgumentException("nobody gives back less than nothing: " + minor);
        }
        Map<Long, Integer> given = new LinkedHashMap<>();
        long open = minor;
        for (long one : all()) {
            int times = Math.toIntExact(open / one);
            if (times > 0) {
                given.put(one, times);
                open -= one * times;
            }
        }
        return given;
    }
}
