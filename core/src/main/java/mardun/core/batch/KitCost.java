package mardun.core.batch;

import java.time.Duration;
import java.util.Map;
import mardun.core.costing.LabourRates;
import mardun.core.making.WorkKind;
import mardun.core.money.Apportionment;
import org.joda.money.Money;

/**
 * What kits cost that cut pieces are bundled to: what their cloth cost, the notions that go along, and the work of cutting and bundling as
 * far as the maker counts it. Nothing of the sewing, which the buyer does, and no overheads.
 *
 * @param labour what their work costs
 * @param work the hands-on time in all of them
 */
public record KitCost(Money pieces, Money notions, Money labour, Duration work) {

    /**
     * What some kits cost.
     *
     * @param each the hands-on time in one of them; none where nobody counts it
     * @throws IllegalArgumentException if there is no kit, or time is less than none
     */
    public static KitCost of(Money pieces, Money notions, int kits, Duration each, LabourRates rates) {
        if (kits < 1 || each.isNegative()) {
            throw new IllegalArgumentException(kits + " kits of " + each);
        }
        Duration work = each.multipliedBy(kits);
        long labour = Apportionment.rounded(rates.worth(Map.of(WorkKind.CUTTING, work)));
        return new KitCost(pieces, notions, Money.ofMinor(pieces.getCurrencyUnit(), labour), work);
    }

    /** What all of them cost. */
    public Money total() {
        return pieces.plus(notions).plus(labour);
    }
}
