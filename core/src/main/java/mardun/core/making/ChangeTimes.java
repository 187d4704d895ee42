package mardun.core.making;

import java.time.Duration;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import mardun.core.making.SetUp.Part;

/**
 * How long it takes to change what is on a machine, and to go to another place.
 *
 * @param parts of each part that takes time to change; others take none
 * @param walk from one place to another
 * @param turn from one sewing machine to another
 */
public record ChangeTimes(Map<Part, Duration> parts, Duration walk, Duration turn) {

    /** Where a maker hasn't said it. */
    public static final ChangeTimes USUAL = new ChangeTimes(
                    Map.of(
                            Part.NEEDLE, Duration.ofSeconds(120),
                            Part.THREAD, Duration.ofSeconds(90),
                            Part.BOBBIN, Duration.ofSeconds(40),
                            Part.FOOT, Duration.ofSeconds(48),
                            Part.STITCH, Duration.ofSeconds(18),
                            Part.HEAT, Duration.ofSeconds(180)),
                    Duration.ofSeconds(24),
                    Duration.ofSeconds(6))
            .withDials(Duration.ofSeconds(6))
            .withPressing(Duration.ofSeconds(12));

    public ChangeTimes {
        Map<Part, Duration> all = new EnumMap<>(Part.class);
        parts.forEach(all::put);
        parts = Collections.unmodifiableMap(all);
    }

    /** With so long for each of stitch length, width, needle position and tension. */
    public ChangeTimes withDials(Duration dial) {
        return with(Map.of(Part.LENGTH, dial, Part.WIDTH, dial, Part.POSITION, dial, Part.TENSION, dial));
    }

    /** With so long for a press cloth, and for steam. */
    public ChangeTimes withPressing(Duration pressing) {
        return with(Map.of(Part.PRESS_CLOTH, pressing, Part.STEAM, pressing));
    }

    private ChangeTimes with(Map<Part, Duration> others) {
        Map<Part, Duration> all = new EnumMap<>(Part.class);
        all.putAll(parts);
        all.putAll(others);
        return new ChangeTimes(all, walk, turn);
    }

    /** How long it takes to go from one place to another. */
    public Duration between(Workplace from, Workplace to) {
        if (from.equals(to)) {
            return Duration.ZERO;
        }
        return from.station().sews() && to.station().sews() ? turn : walk;
    }

    /** How long it takes to change one part. */
    public Duration of(Part part) {
        return parts.getOrDefault(part, Duration.ZERO);
    }
}
