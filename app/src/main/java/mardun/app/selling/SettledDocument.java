package mardun.app.selling;

import java.time.Instant;
import java.util.List;
import mardun.app.selling.StallViews.Ended;
import mardun.core.selling.FairCosts;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * How a fair was settled; it doesn't change when prices or costs do later.
 *
 * @param schema of this document
 * @param throughEvent the last thing that devices had told by then
 * @param cashMinor what was in the box, without the change that was brought
 * @param cardMinor what the card reader says
 * @param gone bags that neither came home nor were sold
 * @param thereSeconds at the stall, setting up and clearing away included
 */
record SettledDocument(
        int schema,
        Instant at,
        long throughEvent,
        Figures figures,
        long cashMinor,
        long cardMinor,
        List<Gone> gone,
        long thereSeconds,
        long waySeconds,
        String nextTime) {

    static final int SCHEMA = 1;

    /** Bags that ended otherwise than sold or home. */
    record Gone(String kind, String words, int units, Ended ended, String note) {}

    /**
     * What was sold and what came off, in minor units.
     *
     * @param cashSoldMinor what of it was paid in cash
     * @param goneMinor what those cost that were given away, broken or stolen
     * @param fair what going there cost
     */
    record Figures(
            int bags,
            int sales,
            long paidMinor,
            long cashSoldMinor,
            long cardSoldMinor,
            long taxMinor,
            long feesMinor,
            long costMinor,
            long labourMinor,
            long seconds,
            int unknown,
            long goneMinor,
            FairCost fair) {}

    /** What going there cost, in minor units. */
    record FairCost(
            long stallMinor, long travelMinor, long sleepMinor, long foodMinor, long helpersMinor, long otherMinor) {

        /** The same as the core takes it. */
        FairCosts costs(CurrencyUnit currency) {
            return new FairCosts(
                    Money.ofMinor(currency, stallMinor),
                    Money.ofMinor(currency, travelMinor),
                    Money.ofMinor(currency, sleepMinor),
                    Money.ofMinor(currency, foodMinor),
                    Money.ofMinor(currency, helpersMinor),
                    Money.ofMinor(currency, otherMinor));
        }
    }
}
