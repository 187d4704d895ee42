package mardun.core.estimate;

import java.time.Duration;
import java.time.Instant;

/**
 * What was noted at one touch at the bench: so many bags since the touch before, in so much hands-on time. Nothing is ever taken out of
 * a log; a count that is taken back is a touch with a negative number.
 *
 * @param key the caller's name for it
 * @param batch the caller's name for the batch
 * @param bags how many were finished; none at a pause, negative where a count is taken back
 * @param hands time since the touch before, without pauses
 * @param at when
 */
public record Touch(String key, String batch, int bags, Duration hands, Instant at) {

    public Touch {
        if (hands.isNegative()) {
            throw new IllegalArgumentException("a time can't be negative: " + hands);
        }
    }
}
