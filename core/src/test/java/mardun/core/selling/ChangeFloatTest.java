package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.joda.money.CurrencyUnit;
import org.junit.jupiter.api.Test;

/** The change that is brought to a fair, worked out by hand. */
class ChangeFloatTest {

    private static final Coins EUR = Coins.of(CurrencyUnit.EUR);

    @Test
    void coversTheFirstBuyersOfOnePrice() {
        // 14.50: eight of twelve pay with 20 and get 5.50 back, four with 50 and get 35.50.
        ChangeFloat change = ChangeFloat.of(EUR, Map.of(1_450L, 9), 12);
        assertThat(change.counts()).isEqualTo(Map.of(2_000L, 4, 1_000L, 4, 500L, 8 + 4, 50L, 8 + 4));
        assertThat(change.minor()).isEqualTo(8 * 550 + 4 * 3_550);
    }

    @Test
    void weighsPricesByTheirBagsAndRoundsUp() {
        // Of two buyers one takes what costs 5.00 and needs none from the smallest note, a third of him brings 10.00.
        ChangeFloat change = ChangeFloat.of(EUR, Map.of(500L, 3, 900L, 3), 2);
        // 9.00: two thirds of one get 1.00 from 10, a third gets 11.00 from 20; 5.00: a third gets 5.00 from 10.
        assertThat(change.counts()).isEqualTo(Map.of(1_000L, 1, 500L, 1, 100L, 1));
    }

    @Test
    void dearerThanAnyNoteIsPaidWithSeveral() {
        assertThat(ChangeFloat.of(EUR, Map.of(24_900L, 1), 3).counts()).isEqualTo(Map.of(100L, 3));
    }

    @Test
    void nothingToSellNeedsNoChange() {
        assertThat(ChangeFloat.of(EUR, Map.of(), 20).counts()).isEmpty();
        assertThat(ChangeFloat.of(EUR, Map.of(0L, 4, 900L, 0), 20).minor()).isZero();
    }
}
