package mardun.core.costing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class LotCostTest {

    private static Money cents(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    @Test
    void tenOfTwelveCarryTenParts() {
        assertThat(LotCost.of(cents(1200), cents(0), 10, 2)).isEqualTo(cents(1000));
        assertThat(LotCost.of(cents(1200), cents(1000), 2, 0)).isEqualTo(cents(200));
    }

    /** Of twelve one was spoiled with the first nine: eleven carry the cost, and so do the two that come later. */
    @Test
    void whatWasSpoiledIsBorneByThoseThatComeLaterToo() {
        assertThat(LotCost.of(cents(1200), cents(0), 9, 2)).isEqualTo(cents(982));
        assertThat(LotCost.of(cents(1200), cents(982), 2, 0)).isEqualTo(cents(218));
    }

    @Test
    void allLotsTogetherAreWhatTheLineCost() {
        Random random = new Random(8);
        for (int round = 0; round < 500; round++) {
            Money line = cents(random.nextInt(100_000));
            int still = 1 + random.nextInt(40);
            Money carried = cents(0);
            while (still > 0) {
                int lot = 1 + random.nextInt(still);
                int spoiled = Math.min(still - lot, random.nextInt(3));
                still -= lot + spoiled;
                Money its = LotCost.of(line, carried, lot, still);
                assertThat(its.isNegative()).isFalse();
                carried = carried.plus(its);
                if (still == 0) {
                    assertThat(carried).isEqualTo(line);
                }
            }
        }
    }

    @Test
    void aLotOfNoneCarriesNothing() {
        assertThatThrownBy(() -> LotCost.of(cents(1), cents(0), 0, 3)).isInstanceOf(IllegalArgumentException.class);
    }
}
