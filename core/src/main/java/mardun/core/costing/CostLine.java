package mardun.core.costing;

import mardun.core.material.Amount;
import mardun.core.material.Worth;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What a batch takes of one material, what that is worth, and what of it one line of the batch bears.
 *
 * @param amount for the whole batch
 * @param offcuts what the offcuts and precuts are worth that are used beside the amount, less what goes back, in exact minor units
 * @param whole what the batch's cost is, in exact minor units
 * @param borne what the line bears of it
 */
public record CostLine(
        String slot,
        String name,
        Amount amount,
        Worth worth,
        BigFraction offcuts,
        BigFraction whole,
        BigFraction borne) {

    /** Other lines of the batch bear some of it. */
    boolean isShared() {
        return !borne.equals(whole);
    }

    /** The part that the line bears. */
    BigFraction share() {
        return whole.signum() == 0 ? BigFraction.ZERO : borne.divide(whole);
    }
}
