package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.Map;
import org.joda.money.CurrencyUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Coins and notes: as few as can be, checked against every way of paying an amount. */
class CoinsTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "EUR", "GBP", "USD", "CAD", "AUD", "NZD", "CHF", "DKK", "SEK", "NOK", "PLN", "CZK", "JPY", "HUF", "KWD"
            })
    void changeTakesAsFewPiecesAsCanBe(String code) {
        Coins coins = Coins.of(CurrencyUnit.of(code));
        int step = Math.toIntExact(coins.coins().get(coins.coins().size() - 1));
        int[] fewest = new int[5_000];
        Arrays.fill(fewest, 1, fewest.length, Integer.MAX_VALUE);
        for (int amount = 1; amount < fewest.length; amount++) {
            for (long one : coins.all()) {
                long before = amount - one / step;
                if (before >= 0 && fewest[(int) before] < Integer.MAX_VALUE) {
                    fewest[amount] = Math.min(fewest[amount], fewest[(int) before] + 1);
                }
            }
            Map<Long, Integer> change = coins.change((long) amount * step);
            assertThat(change.values().stream().mapToInt(Integer::intValue).sum())
                    .as(code + " " + amount * step)
                    .isEqualTo(fewest[amount]);
            assertThat(change.entrySet().stream()
                            .mapToLong(one -> one.getKey() * one.getValue())
                            .sum())
                    .isEqualTo((long) amount * step);
        }
    }

    @Test
    void whatIsLessThanTheSmallestCoinCanNotBeGivenBack() {
        assertThat(Coins.of(CurrencyUnit.CHF).change(13)).containsExactly(Map.entry(10L, 1));
        assertThat(Coins.of(CurrencyUnit.CHF).change(0)).isEmpty();
    }

    @Test
    void whatIsCountedComesToWhatItIsWorth() {
        Coins euro = Coins.of(CurrencyUnit.EUR);
        assertThat(euro.together(Map.of())).isZero();
        assertThat(euro.together(Map.of(2_000L, 3, 200L, 7, 5L, 11))).isEqualTo(6_000 + 1_400 + 55);
        assertThatThrownBy(() -> euro.together(Map.of(300L, 1))).hasMessageContaining("isn’t one: 300");
        assertThatThrownBy(() -> euro.together(Map.of(200L, -1))).isInstanceOf(IllegalArgumentException.class);
    }
}
