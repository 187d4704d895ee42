package mardun.app.goods;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.app.id.BatchId;

/**
 * Bags that were done together, as other areas sell and move them.
 *
 * @param batchId empty for bags that were entered from a list
 * @param lineNumber empty likewise
 * @param at how many are at each place, none of them nothing
 * @param unitCostMinor what one cost, rounded
 * @param unitLabourMinor what of that is work; empty where nobody knows
 * @param overheadMinor what all of them bear of overheads; nothing where that wasn't kept apart
 * @param unitSeconds how long one took; empty likewise
 * @param priceMinor what was asked for one when they were done
 * @param finishedOn the day on which they were done
 */
public record GoodsLot(
        long id,
        BagKind kind,
        Optional<BatchId> batchId,
        Optional<Integer> lineNumber,
        Map<String, Integer> at,
        int made,
        long totalCostMinor,
        long unitCostMinor,
        Optional<Long> unitLabourMinor,
        long overheadMinor,
        Optional<Long> unitSeconds,
        long priceMinor,
        LocalDate finishedOn) {

    /** The same without those at some places. */
    public GoodsLot without(Set<String> places) {
        Map<String, Integer> left = new LinkedHashMap<>(at);
        left.keySet().removeAll(places);
        return new GoodsLot(
                id,
                kind,
                batchId,
                lineNumber,
                left,
                made,
                totalCostMinor,
                unitCostMinor,
                unitLabourMinor,
                overheadMinor,
                unitSeconds,
                priceMinor,
                finishedOn);
    }

    /** How many of them are at a place. */
    public int at(String place) {
        return at.getOrDefault(place, 0);
    }

    public int together() {
        return at.values().stream().mapToInt(Integer::intValue).sum();
    }
}
