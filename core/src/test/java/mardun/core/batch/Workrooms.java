package mardun.core.batch;

import java.math.BigDecimal;
import mardun.core.design.Sizing;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/** Workrooms for the tests. */
final class Workrooms {

    private Workrooms() {}

    /** An hour at so many euros, no overheads, a stall that takes nothing, a markup of 40 %. */
    static Workroom atAnHourly(int euros) {
        CurrencyUnit euro = CurrencyUnit.EUR;
        return new Workroom(
                Money.of(euro, euros),
                Money.zero(euro),
                new Channel("the stall", BigDecimal.ZERO, Money.zero(euro)),
                new PriceChoice(
                        PriceSchool.MARKUP,
                        BigDecimal.valueOf(2),
                        new BigDecimal("0.3"),
                        new BigDecimal("0.4"),
                        PricePoint.HALF),
                Sizing.USUAL_THICKEST_SEAM);
    }
}
