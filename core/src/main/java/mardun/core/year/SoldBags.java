package mardun.core.year;

import java.time.Duration;
import java.util.Optional;

/**
 * Bags of one lot that were sold in one sale; money in minor units.
 *
 * @param bags how many, one or more
 * @param paid what the buyer paid for them
 * @param tax inside that
 * @param fees what selling them took
 * @param cost what they cost in full
 * @param making the work in them; empty where nobody kept that
 */
public record SoldBags(int bags, long paid, long tax, long fees, long cost, Optional<Making> making) {

    /**
     * The work in them, and what an hour at the bench bears.
     *
     * @param labour what of the cost is work
     * @param overheads what of the cost are overheads; nothing where that wasn't kept apart from material
     * @param time hands-on
     */
    public record Making(long labour, long overheads, Duration time) {}

    /** What is left once all of it is paid. */
    public long left() {
        return paid - tax - fees - cost;
    }
}
