package mardun.core.season;

import mardun.core.measure.Length;
import mardun.core.selling.StallTable;

/**
 * What bags take of a fair's table, in square centimetres. A table shows a third of what goes along, and the rest waits under it; of bags
 * that lie flat, five lie on one another.
 */
public final class TableSpace {

    private static final double SQUARE_CENTIMETRES = 1e14;
    private static final double UNDER_THE_TABLE = 3;
    private static final double IN_A_PILE = 5;

    private TableSpace() {}

    /**
     * What a bag takes.
     *
     * @return from 1
     */
    public static int ofBag(Length wide, Length deep, Length high) {
        StallTable.Item its = StallTable.Item.of("", wide, deep, high, 1);
        double area = area(its.wide(), its.deep());
        return (int) Math.max(1, Math.round(StallTable.isFlat(deep) ? area / IN_A_PILE : area));
    }

    /** What a table holds, over and under it. */
    public static int ofTable(Length wide, Length deep) {
        return (int) (UNDER_THE_TABLE * area(wide, deep));
    }

    private static double area(Length wide, Length deep) {
        return (double) wide.nanometres() * deep.nanometres() / SQUARE_CENTIMETRES;
    }
}
