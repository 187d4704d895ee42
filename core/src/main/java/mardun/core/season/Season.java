package mardun.core.season;

import java.util.List;

/**
 * What is asked of the planner: what may be made, within which limits, what sold before, and where it will be offered.
 *
 * @param past oldest first
 * @param coming in the order in which they come
 */
public record Season(List<SeasonItem> items, SeasonLimits limits, List<PastEvent> past, List<ComingEvent> coming) {

    public Season {
        items = List.copyOf(items);
        past = List.copyOf(past);
        coming = List.copyOf(coming);
    }

    /** The same within other limits. */
    public Season within(SeasonLimits other) {
        return new Season(items, other, past, coming);
    }
}
