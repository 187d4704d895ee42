/**
 * What to make next: how many of each design, size and cloth, so that most is expected to be left of a season of fairs and the online shop
 * within the hours, the money, the cloth and the tables there are. Read {@link mardun.core.season.Season} for what is asked,
 * {@link mardun.core.season.DemandFit} for what past sales tell, {@link mardun.core.season.SeasonPlay} for how a season is played with
 * buyers that are drawn, and {@link mardun.core.season.SeasonPlanner} for how the numbers are chosen.
 *
 * <p>Amounts are doubles here: all of them are expectations over what isn't known, not accounts. Money is in the workroom's currency, cloth
 * in metres, time in minutes.
 */
package mardun.core.season;
