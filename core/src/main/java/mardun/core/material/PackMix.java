package mardun.core.material;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.function.ToDoubleFunction;

/**
 * The cheapest mix of packs that holds at least what is needed: 37 rings from cards of 5, 10 and 50. Exact: the sums that
 * packs can make are gone through, those first that can become the cheapest, until none is left that could still be
 * better. Of mixes that cost the same it takes the one with fewer packs, then the one that leaves less over.
 */
final class PackMix {

    private PackMix() {}

    /** So many of an offer. */
    record Count(Offer offer, long packs) {}

    /** A mix with its price in minor units and what it holds. */
    record Mix(List<Count> counts, long priceMinor, long packs, long holds) {

        static final Comparator<Mix> CHEAPEST = Comparator.comparingLong(Mix::priceMinor)
                .thenComparingLong(Mix::packs)
                .thenComparingLong(Mix::holds);
    }

    /** A sum on the way to what is needed, with the step that led to it. */
    private record Sum(long holds, long priceMinor, long packs, Sum before, Offer last) {}

    /** Rounding of doubles must never make a sum look dearer than it can become. */
    private static final double SURELY_LESS = 1 - 1e-9;

    private static final Comparator<Sum> CHEAPEST = Comparator.comparingLong(Sum::priceMinor)
            .thenComparingLong(Sum::packs)
            .thenComparingLong(Sum::holds);

    /**
     * The cheapest mix of one material's offers.
     *
     * @param needed a positive amount, in the smallest units of the offers' contents
     * @return empty if there is no offer
     */
    static Optional<Mix> cheapest(long needed, List<Offer> offers) {
        List<Offer> useful = useful(offers);
        if (useful.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(mix(cheapestSum(needed, useful)));
    }

    private static Sum cheapestSum(long needed, List<Offer> offers) {
        double rate = offers.stream()
                .mapToDouble(offer -> (double) minor(offer) / offer.content().value())
                .min()
                .orElseThrow();
        ToDoubleFunction<Sum> least = sum -> sum.priceMinor() + Math.max(0, needed - sum.holds()) * rate * SURELY_LESS;
        Map<Long, Sum> best = new HashMap<>();
        PriorityQueue<Sum> open =
                new PriorityQueue<>(Comparator.comparingDouble(least).thenComparing(CHEAPEST));
        Sum nothing = new Sum(0, 0, 0, null, null);
        open.add(nothing);
        best.put(0L, nothing);
        Sum enough = null;
        while (!open.isEmpty()) {
            Sum sum = open.remove();
            if (enough != null && least.applyAsDouble(sum) > enough.priceMinor()) {
                break;
            }
            if (best.get(sum.holds()) != sum) {
                continue;
            }
            for (Offer offer : offers) {
                Sum next = new Sum(
                        Math.addExact(sum.holds(), offer.content().value()),
                        Math.addExact(sum.priceMinor(), minor(offer)),
                        sum.packs() + 1,
                        sum,
                        offer);
                if (next.holds() >= needed) {
                    enough = enough == null || CHEAPEST.compare(next, enough) < 0 ? next : enough;
                } else if (!best.containsKey(next.holds()) || CHEAPEST.compare(next, best.get(next.holds())) < 0) {
                    best.put(next.holds(), next);
                    open.add(next);
                }
            }
        }
        return enough;
    }

    private static long minor(Offer offer) {
        return offer.price().getAmountMinorLong();
    }

    /** An offer is never needed if another one holds as much for no more money. */
    private static List<Offer> useful(List<Offer> offers) {
        List<Offer> useful = new ArrayList<>();
        for (Offer offer : offers) {
            boolean beaten = offers.stream().anyMatch(other -> beats(other, offer, offers));
            if (!beaten) {
                useful.add(offer);
            }
        }
        return useful;
    }

    private static boolean beats(Offer other, Offer offer, List<Offer> offers) {
        int price = other.price().compareTo(offer.price());
        int content = other.content().compareTo(offer.content());
        if (price == 0 && content == 0) {
            return offers.indexOf(other) < offers.indexOf(offer);
        }
        return price <= 0 && content >= 0;
    }

    private static Mix mix(Sum enough) {
        Map<Offer, Long> counts = new LinkedHashMap<>();
        for (Sum sum = enough; sum.last() != null; sum = sum.before()) {
            counts.merge(sum.last(), 1L, Long::sum);
        }
        return new Mix(
                counts.entrySet().stream()
                        .map(entry -> new Count(entry.getKey(), entry.getValue()))
                        .sorted(Comparator.comparing(
                                        (Count count) -> count.offer().content())
                                .reversed())
                        .toList(),
                enough.priceMinor(),
                enough.packs(),
                enough.holds());
    }
}
