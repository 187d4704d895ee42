package mardun.app.design;

import java.util.List;
import mardun.app.show.Views.MoneyFigure;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeFigure;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/**
 * What one unit takes and gives.
 *
 * @param units the size of the batch that the figures are for
 * @param handsOn hands-on time of one unit
 * @param batchTime the batch's time that it comes from
 * @param lines the materials' parts
 * @param suggested the price that the maker's school gives
 * @param price the price that counts
 * @param ownPrice the maker set it
 * @param good how many came out well, once that is known; else as many as units
 * @param spoiled the share of what the spoiled ones took; absent where none is
 * @param wanted the hourly rate that the maker wants
 * @param oneRate the rate at which all of the labour is paid; absent where kinds of work are paid otherwise
 */
public record TicketView(
        int units,
        int good,
        TimeView handsOn,
        TimeFigure batchTime,
        MoneyFigure material,
        List<TicketLine> lines,
        MoneyFigure labour,
        MoneyFigure overhead,
        @Nullable MoneyFigure spoiled,
        MoneyFigure cost,
        MoneyFigure suggested,
        MoneyView price,
        boolean ownPrice,
        MoneyFigure fees,
        MoneyFigure left,
        @Nullable MoneyFigure perHour,
        MoneyView wanted,
        @Nullable MoneyView oneRate) {

    /** A material's part of the cost. */
    public record TicketLine(String name, MoneyFigure cost) {}
}
