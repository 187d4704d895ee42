package mardun.core.costing;

import mardun.core.money.Apportionment;
import org.joda.money.Money;

/**
 * What bags cost that are done before the others of their line. Each lot carries its part of what no lot carries yet, by how many bags
 * still have to carry it; the last one carries the rest, so that all lots together are just what the line cost.
 */
public final class LotCost {

    private LotCost() {}

    /**
     * The cost of a lot.
     *
     * @param line what all bags of the line cost, as it is known now
     * @param carried what earlier lots carry of it
     * @param lot how many bags of this lot carry cost, one or more: good ones and seconds
     * @param still how many others are still to come; a bag that was spoiled isn't among them
     */
    public static Money of(Money line, Money carried, int lot, int still) {
        if (lot < 1 || still < 0) {
            throw new IllegalArgumentException("a lot of " + lot + " with " + still + " to come carries nothing");
        }
        Money open = line.minus(carried);
        return still == 0
                ? open
                : Money.ofMinor(
                        open.getCurrencyUnit(), Apportionment.share(open.getAmountMinorLong(), lot, lot + still));
    }
}
