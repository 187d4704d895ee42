package mardun.core.batch;

import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import org.joda.money.Money;

/** What the maker has settled once for all batches. */
public record Workroom(Money hourlyRate, Money overheadPerHour, Channel stall, PriceChoice prices) {}
