package mardun.core.estimate;

import java.time.Duration;
import java.util.List;

/**
 * How long it takes what is done once in a batch for a step, mostly making its set-up: the guess counts as much as
 * {@value #GUESS_COUNTS} measured batches.
 *
 * @param batches in how many batches it was measured
 */
public record OnceEstimate(Duration time, int batches) {

    static final int GUESS_COUNTS = 2;

    /**
     * The estimate.
     *
     * @param guess what the maker typed
     * @param measured how long it took in each batch
     */
    public static OnceEstimate of(Duration guess, List<Duration> measured) {
        Duration all = measured.stream().reduce(guess.multipliedBy(GUESS_COUNTS), Duration::plus);
        return new OnceEstimate(all.dividedBy(GUESS_COUNTS + measured.size()), measured.size());
    }
}
