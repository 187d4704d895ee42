package mardun.core.season;

/**
 * How many of each item to make for a season.
 *
 * @param made pieces of each item
 * @param outcome what is to be expected of it
 * @param gap no choice gains more than this over the plan, in the programme that it was chosen by
 * @param last what the last piece made of each item brings over what it is made of; 0 where none is made
 * @param next what one more of each would bring over what it is made of
 */
public record SeasonPlan(int[] made, SeasonOutcome outcome, double gap, double[] last, double[] next) {}
