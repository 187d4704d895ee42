package mardun.core.making;

import java.time.Duration;
import mardun.core.estimate.TimeEstimate;

/**
 * What the time of a step rests on.
 *
 * @param bags on how many measured bags; none for a guess
 * @param batches in how many batches they were measured
 * @param spread how far the true time usually is from it, as a share of it
 */
public record Timing(int bags, int batches, double spread) {

    /** Nobody has measured it. */
    public static final Timing GUESS = new Timing(0, 0, TimeEstimate.SPREAD_OF_A_GUESS);

    /** How sure two parts of the same operation are together: what is off in one is off in the other as well. */
    Timing and(Timing other, Duration its, Duration others) {
        long all = its.plus(others).toMillis();
        return new Timing(
                Math.max(bags, other.bags),
                Math.max(batches, other.batches),
                all == 0
                        ? Math.max(spread, other.spread)
                        : (spread * its.toMillis() + other.spread * others.toMillis()) / all);
    }
}
