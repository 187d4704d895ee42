package mardun.core.season;

import java.util.List;

/**
 * What is asked of the planner: what may be made, within which limits, what sold before, and where it will be offered.
 *
 * @param past oldest first; without what was bought along with another bag, as far as {@code together} tells of it
 * @param coming in the order in which they come
 * @param together which designs sell as sets
 */
public record Season(
        List<SeasonItem> items,
        SeasonLimits limits,
        List<PastEvent> past,
        List<ComingEvent> coming,
        List<SoldTogether> together) {

    public Season {
        items = List.copyOf(items);
        past = List.copyOf(past);
        coming = List.copyOf(coming);
        together = List.copyOf(together);
    }

    /** One in which each bag is bought for itself. */
    public Season(List<SeasonItem> items, SeasonLimits limits, List<PastEvent> past, List<ComingEvent> coming) {
        this(items, limits, past, coming, List.of());
    }

    /** The same within other limits. */
    public Season within(SeasonLimits other) {
        return new Season(items, other, past, coming, together);
    }
}
