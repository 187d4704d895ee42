package mardun.core.costing;

import mardun.core.material.Amount;
import mardun.core.material.UnitPrice;
import org.apache.commons.numbers.fraction.BigFraction;

/** What a batch takes of one material, and at what price. */
public record CostLine(String slot, String name, Amount amount, UnitPrice price) {

    /** The cost for the whole batch, in exact minor units. */
    BigFraction batchCost() {
        return price.cost(amount);
    }
}
