package mardun.core.material;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Where the colour must not change within a batch, all of it comes from one dye lot. */
public final class DyeLots {

    private DyeLots() {}

    /**
     * A lot on the shelf.
     *
     * @param dye the dyer's mark; lots without one are each a dye of their own
     * @param free what nobody else has reserved
     */
    public record Lot(String key, String dye, Amount free) {}

    /** How much of each lot to take. */
    public record Pick(Map<String, Amount> fromLot) {}

    /**
     * The lots of one dye to take {@code wanted} from: of the dyes that have enough, the one that has least beyond it, so
     * that the large ones stay whole; within it the oldest lots first.
     *
     * @param lots oldest first
     * @return empty if no one dye has enough
     */
    public static Optional<Pick> pick(Amount wanted, List<Lot> lots) {
        return byDye(lots).values().stream()
                .filter(ofOne -> sum(ofOne, wanted.counting()).compareTo(wanted) >= 0)
                .min(Comparator.comparing(ofOne -> sum(ofOne, wanted.counting())))
                .map(ofOne -> take(wanted, ofOne));
    }

    /** The most that any one dye has. */
    public static Amount most(List<Lot> lots, Counting counting) {
        return byDye(lots).values().stream()
                .map(ofOne -> sum(ofOne, counting))
                .max(Comparator.naturalOrder())
                .orElse(Amount.none(counting));
    }

    /** Takes {@code wanted} from lots one after another; what they don't have is left out. */
    public static Pick take(Amount wanted, List<Lot> lots) {
        Map<String, Amount> taken = new LinkedHashMap<>();
        Amount missing = wanted;
        for (Lot lot : lots) {
            Amount part = lot.free().compareTo(missing) <= 0 ? lot.free() : missing;
            if (part.isPositive()) {
                taken.put(lot.key(), part);
                missing = missing.minus(part);
            }
        }
        return new Pick(taken);
    }

    private static Map<String, List<Lot>> byDye(List<Lot> lots) {
        Map<String, List<Lot>> byDye = new LinkedHashMap<>();
        for (Lot lot : lots) {
            String dye = lot.dye().isBlank()
                    ? "lot " + lot.key()
                    : "dye " + lot.dye().strip().toLowerCase(Locale.ROOT);
            byDye.merge(
                    dye,
                    List.of(lot),
                    (some, one) -> Stream.concat(some.stream(), one.stream()).toList());
        }
        return byDye;
    }

    private static Amount sum(List<Lot> lots, Counting counting) {
        return lots.stream().map(Lot::free).filter(Amount::isPositive).reduce(Amount.none(counting), Amount::plus);
    }
}
