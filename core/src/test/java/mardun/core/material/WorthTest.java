package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.material.Worth.Layer;
import mardun.core.material.Worth.Taken;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class WorthTest {

    private static final UnitPrice THREE_FOR_TEN =
            new UnitPrice(Money.ofMinor(CurrencyUnit.EUR, 300), Amount.pieces(10));

    private static Layer layer(long pieces, long minor) {
        return new Layer(Amount.pieces(pieces), BigFraction.of(minor));
    }

    @Test
    void layersGoInTheirOrderAndWhatIsMissingIsBought() {
        Worth worth = new Worth(List.of(layer(4, 100), layer(6, 90)), THREE_FOR_TEN);
        assertThat(worth.taken(Amount.pieces(12)))
                .containsExactly(
                        new Taken(Amount.pieces(4), BigFraction.of(100), true),
                        new Taken(Amount.pieces(6), BigFraction.of(90), true),
                        new Taken(Amount.pieces(2), BigFraction.of(60), false));
        assertThat(worth.taken(Amount.pieces(1)))
                .containsExactly(new Taken(Amount.pieces(1), BigFraction.of(25), true));
        assertThat(worth.taken(Amount.pieces(0))).isEmpty();
    }

    @Test
    void aShareOfALayerIsExact() {
        Worth worth = new Worth(List.of(layer(7, 100)), THREE_FOR_TEN);
        assertThat(worth.cost(Amount.pieces(3))).isEqualTo(BigFraction.of(300, 7));
    }

    @Test
    void whatIsTakenAddsUpToTheAmountAndTheCostNeverFalls() {
        Random random = new Random(44);
        for (int i = 0; i < 200; i++) {
            List<Layer> layers = new ArrayList<>();
            for (int l = 0; l < random.nextInt(5); l++) {
                layers.add(layer(1 + random.nextInt(20), random.nextInt(500)));
            }
            Worth worth = new Worth(layers, THREE_FOR_TEN);
            BigFraction before = BigFraction.ZERO;
            for (int amount = 0; amount < 60; amount += 7) {
                long taken = worth.taken(Amount.pieces(amount)).stream()
                        .mapToLong(one -> one.amount().value())
                        .sum();
                assertThat(taken).isEqualTo(amount);
                BigFraction cost = worth.cost(Amount.pieces(amount));
                assertThat(cost).isGreaterThanOrEqualTo(before);
                before = cost;
            }
        }
    }
}
