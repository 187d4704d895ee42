package mardun.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a batch took, from what was timed of it. */
class TrueTimeTest {

    private static final Duration GUESS = Duration.ofMinutes(5);
    private static final Instant NINE = Instant.parse("2026-05-04T09:00:00Z");

    private static Touch touch(int minute, int bags, int minutes) {
        return new Touch("t" + minute, "4", bags, Duration.ofMinutes(minutes), NINE.plus(Duration.ofMinutes(minute)));
    }

    @Test
    void isTheMeanOfAllThatWasTimed() {
        assertThat(TrueTime.of(List.of(touch(8, 1, 8), touch(14, 1, 6), touch(18, 1, 4)), GUESS))
                .contains(new TrueTime(Duration.ofMinutes(6), 3));
    }

    /** A pause belongs to the bag that is finished next; three that were counted without the clock say nothing. */
    @Test
    void leavesOutWhatWasNotTimed() {
        assertThat(TrueTime.of(List.of(touch(3, 0, 3), touch(9, 1, 3), touch(60, 3, 0)), GUESS))
                .contains(new TrueTime(Duration.ofMinutes(6), 1));
        assertThat(TrueTime.of(List.of(touch(9, 2, 0)), GUESS)).isEmpty();
        assertThat(TrueTime.of(List.of(), GUESS)).isEmpty();
    }

    @Test
    void aCountThatWasTakenBackTookNothing() {
        assertThat(TrueTime.of(List.of(touch(5, 1, 5), touch(6, -1, 0), touch(9, 1, 2)), GUESS))
                .contains(new TrueTime(Duration.ofMinutes(7), 1));
    }

    /** Ten are begun, eight came to the step at six minutes each, and mending took twelve. */
    @Test
    void bagsThatNeverCameTookNothingAndMendingIsSpread() {
        assertThat(TrueTime.forEachBegun(Duration.ofMinutes(6), 8, Duration.ofMinutes(12), 10))
                .isEqualTo(Duration.ofMinutes(6));
        assertThat(TrueTime.forEachBegun(Duration.ofMinutes(6), -1, Duration.ZERO, 10))
                .isZero();
    }
}
