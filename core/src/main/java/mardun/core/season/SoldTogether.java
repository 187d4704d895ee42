package mardun.core.season;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * Bags that sell as a set: of the buyers of one design some take a bag of a second one with it, if it is there.
 *
 * @param first the design that is bought for itself
 * @param second the design that goes with it
 * @param share of the buyers of the first who take the second as well, from 0 to 1
 * @param sets in how many sales they went together
 * @param sales in how many sales there was one of the first
 */
public record SoldTogether(String first, String second, double share, int sets, int sales) {

    /** Fewer sets may have been chance. */
    private static final int FEWEST_SETS = 3;

    /** As long as nothing is known, sets are rare: as if so many had bought the first alone. */
    private static final int ALONE = 10;

    private static final Comparator<SoldTogether> MOST_FIRST = Comparator.comparingInt(SoldTogether::sets)
            .reversed()
            .thenComparing(SoldTogether::first)
            .thenComparing(SoldTogether::second);

    /**
     * What sales of the past say of it, the pair that went together most often in front. In each sale the dearest design was bought for
     * itself and what is cheaper went along, so that each bag goes with one other bag and no more; few sales are drawn towards none.
     *
     * @param sales the designs of which each sale held a bag
     * @param prices of all designs that were sold, in whatever money; of two at one price that is the first which is in more sales
     * @throws NullPointerException if a design that was sold with another one has no price
     */
    public static List<SoldTogether> of(Collection<Set<String>> sales, Map<String, Double> prices) {
        Map<String, Integer> salesOf = new HashMap<>();
        sales.forEach(sale -> sale.forEach(design -> salesOf.merge(design, 1, Integer::sum)));
        Map<String, Map<String, Integer>> sets = new TreeMap<>();
        sales.stream().filter(sale -> sale.size() > 1).forEach(sale -> {
            String first = boughtForItself(sale, prices, salesOf);
            sale.stream()
                    .filter(design -> !design.equals(first))
                    .forEach(second ->
                            sets.computeIfAbsent(first, its -> new TreeMap<>()).merge(second, 1, Integer::sum));
        });
        return sets.entrySet().stream()
                .flatMap(of -> of.getValue().entrySet().stream()
                        .filter(with -> with.getValue() >= FEWEST_SETS)
                        .map(with -> new SoldTogether(
                                of.getKey(),
                                with.getKey(),
                                with.getValue() / (double) (salesOf.get(of.getKey()) + ALONE),
                                with.getValue(),
                                salesOf.get(of.getKey()))))
                .sorted(MOST_FIRST)
                .toList();
    }

    private static String boughtForItself(Set<String> sale, Map<String, Double> prices, Map<String, Integer> salesOf) {
        return sale.stream()
                .max(Comparator.comparing((String design) -> prices.get(design))
                        .thenComparing(salesOf::get)
                        .thenComparing(Comparator.reverseOrder()))
                .orElseThrow();
    }

    /**
     * Which of a sale's designs came with another one, by what is known of sets.
     *
     * @param sale its designs
     */
    public static List<String> alongIn(Set<String> sale, List<SoldTogether> known) {
        return known.stream()
                .filter(one -> sale.contains(one.first()) && sale.contains(one.second()))
                .map(SoldTogether::second)
                .distinct()
                .toList();
    }
}
