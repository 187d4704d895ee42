package mardun.core.season;

import java.util.Map;

/**
 * What a little more of each limit would bring: the programme chosen once more with it, less what it brings now. 0 where the limit holds
 * nobody back.
 *
 * @param hour one more at the bench
 * @param money ten units more to spend
 * @param piece one more
 * @param cloth a metre more of each cloth that is used
 * @param table tables a tenth larger, all else the same
 */
public record LimitPrices(double hour, double money, double piece, Map<String, Double> cloth, double table) {

    /** By how many units of money {@link #money} is asked. */
    public static final double MONEY_STEP = 10;
}
