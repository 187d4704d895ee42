package mardun.core.season;

/**
 * What is to be expected of a season if so many are made.
 *
 * @param use of the limits
 * @param expected gain in the mean of the seasons that were drawn: takings, and the worth of what is left, less what making costs
 * @param ofMaking what of it comes of making: the rest would come of what is there already
 * @param badDay the gain that one season in ten falls below
 * @param goodDay the gain that one season in ten rises above
 * @param sold pieces of each item that are expected to be sold
 * @param soldOut how likely each item is to be gone before the season is over
 */
public record SeasonOutcome(
        SeasonUse use,
        double expected,
        double ofMaking,
        double badDay,
        double goodDay,
        double[] sold,
        double[] soldOut) {}
