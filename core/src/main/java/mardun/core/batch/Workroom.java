package mardun.core.batch;

import mardun.core.measure.Length;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import org.joda.money.Money;

/**
 * What the maker has settled once for all batches.
 *
 * @param thickestSeam the thickest seam that the machine sews
 */
public record Workroom(
        Money hourlyRate, Money overheadPerHour, Channel stall, PriceChoice prices, Length thickestSeam) {}
