package mardun.core.costing;

import mardun.core.material.Amount;
import mardun.core.material.Worth;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What a batch takes of one material, and what that is worth.
 *
 * @param offcuts what the offcuts and precuts are worth that are used beside the amount, in exact minor units
 */
public record CostLine(String slot, String name, Amount amount, Worth worth, BigFraction offcuts) {

    /** The cost for the whole batch, in exact minor units. */
    BigFraction batchCost() {
        return worth.cost(amount).add(offcuts);
    }
}
