package mardun.app.log;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import org.jspecify.annotations.Nullable;

/**
 * Something that was logged, with what was said of it later.
 *
 * @param step its key in the line's design
 * @param time how long it took; as it was put right, where it was
 * @param bags as it was counted
 * @param outcome of a slip; absent otherwise
 * @param reason why it went wrong, what a note says, or why a time was put right or left out
 * @param slow the maker was slow that day: not for estimates
 * @param isLeftOut it was left out: not for estimates, and no time of work
 * @param isPutRight its time is another than was measured
 * @param isWithdrawn a slip that was none
 */
public record LoggedTouch(
        UUID id,
        BatchId batchId,
        int line,
        DesignId designId,
        String step,
        String stepName,
        EventKind kind,
        int bags,
        Duration time,
        Instant at,
        String place,
        @Nullable SlipOutcome outcome,
        String reason,
        boolean slow,
        boolean isLeftOut,
        boolean isPutRight,
        boolean isWithdrawn) {

    /** How long was worked: nothing where the time was left out. */
    public Duration worked() {
        boolean isWork = kind == EventKind.WORKED || kind == EventKind.SET_UP;
        boolean isMending = kind == EventKind.SLIPPED && !isWithdrawn;
        return (isWork && !isLeftOut) || isMending ? time : Duration.ZERO;
    }
}
