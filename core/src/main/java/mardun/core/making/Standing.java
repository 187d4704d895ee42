package mardun.core.making;

import java.util.Map;

/**
 * What is on each machine now.
 *
 * @param on by the key of its place; nothing is known of what isn't there
 */
public record Standing(Map<String, SetUp> on) {

    /** Nothing is known of any machine. */
    public static final Standing UNKNOWN = new Standing(Map.of());

    public Standing {
        on = Map.copyOf(on);
    }

    /** What is on the machine at a place. */
    public SetUp at(Workplace place) {
        return on.getOrDefault(place.key(), SetUp.NONE);
    }
}
