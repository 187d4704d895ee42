package mardun.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.plan.FrozenInputs.FrozenSupply;
import mardun.core.batch.Supply;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.ClothPiece;
import mardun.core.material.Counting;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Roll;
import mardun.core.material.Shrinkage;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.material.Worth;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

class FrozenInputsTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Test
    void aMaterialIsThereAgainAsItWas() {
        UnitPrice price = new UnitPrice(Money.ofMinor(CurrencyUnit.EUR, 320), Amount.pieces(10));
        Worth worth = new Worth(List.of(new Worth.Layer(Amount.pieces(7), BigFraction.of(1, 3))), price);
        Supply supply = new Supply(
                "snap",
                "12",
                "Snap",
                MaterialKind.NOTION,
                Optional.of(new Length(5)),
                Optional.of(new Extent(new Length(5), new Length(8))),
                Optional.empty(),
                true,
                new Shrinkage(new BigDecimal("0.05"), true),
                Optional.empty(),
                Optional.of(new ClosedZip(new Length(9), true)),
                Map.of(
                        Part.SOCKET,
                        new Stock(Amount.pieces(20), Amount.none(Counting.PIECES), worth),
                        Part.STUD,
                        new Stock(Amount.pieces(14), Amount.none(Counting.PIECES), Worth.of(price))),
                List.of(new ClothPiece("3", new Extent(new Length(1), new Length(2)), 4, BigFraction.of(2, 7))),
                price,
                new Supply.Lie(
                        List.of(new Roll("8", "B", new Length(77))), true, Optional.of(new Length(6)), new Length(3)));
        FrozenSupply frozen = JSON.readValue(JSON.writeValueAsString(FrozenSupply.of(supply)), FrozenSupply.class);
        assertThat(frozen.supply(CurrencyUnit.EUR)).isEqualTo(supply);
    }

    @Test
    void aBatchFromBeforeThereWereLotsIsRead() {
        FrozenSupply frozen = JSON.readValue("""
                {"slot": "zip", "materialId": 4, "name": "Tape", "kind": "TRIM", "directional": false,
                 "priceMinor": 190, "pricePerValue": 1000000000, "onHandValue": 5000000000}""", FrozenSupply.class);
        Supply supply = frozen.supply(CurrencyUnit.EUR);
        assertThat(supply.stock(Part.WHOLE).onHand()).isEqualTo(new Amount(Counting.LENGTH, 5_000_000_000L));
        assertThat(supply.stock(Part.WHOLE).worth().cost(new Amount(Counting.LENGTH, 2_000_000_000L)))
                .isEqualTo(BigFraction.of(380));
        assertThat(supply.pieces()).isEmpty();
        assertThat(supply.lie()).isEqualTo(Supply.Lie.UNKNOWN);
        assertThat(supply.shrinkage()).isEqualTo(Shrinkage.NONE);
    }
}
