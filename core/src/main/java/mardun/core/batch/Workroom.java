package mardun.core.batch;

import mardun.core.measure.Length;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import org.joda.money.Money;

/**
 * What the maker has settled once for all batches.
 *
 * @param thickestSeam the thickest seam that the machine sews
 * @param endTrim what is cut off the end of a roll of trim before lengths are cut from it
 * @param keptLength the shortest left-over length of trim that is kept
 */
public record Workroom(
        Money hourlyRate,
        Money overheadPerHour,
        Channel stall,
        PriceChoice prices,
        Length thickestSeam,
        Length endTrim,
        Length keptLength) {

    /** One that trims no ends and keeps every length. */
    public Workroom(Money hourlyRate, Money overheadPerHour, Channel stall, PriceChoice prices, Length thickestSeam) {
        this(hourlyRate, overheadPerHour, stall, prices, thickestSeam, Length.ZERO, Length.ZERO);
    }
}
