package mardun.core.making;

import java.time.Duration;

/**
 * How long it takes to change what is on a machine, and to go to another place.
 *
 * @param thread top thread, with its bobbin
 * @param walk from one station to another
 */
public record ChangeTimes(Duration needle, Duration thread, Duration foot, Duration stitch, Duration walk) {

    /** Where a maker hasn't said it. */
    public static final ChangeTimes USUAL = new ChangeTimes(
            Duration.ofSeconds(120),
            Duration.ofSeconds(90),
            Duration.ofSeconds(48),
            Duration.ofSeconds(18),
            Duration.ofSeconds(24));

    /** How long it takes to change one part. */
    public Duration of(SetUp.Part part) {
        return switch (part) {
            case NEEDLE -> needle;
            case THREAD -> thread;
            case FOOT -> foot;
            case STITCH -> stitch;
        };
    }
}
