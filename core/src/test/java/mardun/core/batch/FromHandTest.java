package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.cutting.StripArithmetic;
import mardun.core.design.Pouch;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FromHandTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final BatchPlanner PLANNER = new BatchPlanner(new StripArithmetic());
    private static final Workroom WORKROOM = Workrooms.atAnHourly(19);

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Supply supply(String slot, MaterialKind kind) {
        boolean counted = kind == MaterialKind.NOTION;
        Amount per = counted ? Amount.pieces(10) : Amount.of(in("1 yd"));
        return Supply.of(
                slot,
                slot,
                slot,
                kind,
                kind == MaterialKind.CLOTH ? Optional.of(in("43 in")) : Optional.empty(),
                Optional.empty(),
                false,
                new UnitPrice(Money.of(EUR, 9), per),
                per);
    }

    private static List<Supply> supplies() {
        return List.of(
                supply("outer", MaterialKind.CLOTH),
                supply("lining", MaterialKind.CLOTH),
                supply("interfacing", MaterialKind.CLOTH),
                supply("zip", MaterialKind.TRIM),
                supply("slider", MaterialKind.NOTION),
                supply("label", MaterialKind.NOTION));
    }

    private static BatchPlan plan(int units) {
        return PLANNER.plan(List.of(BatchLine.only(Pouch.design(), 1, units, supplies(), Optional.empty())), WORKROOM);
    }

    private static Amount need(BatchPlan plan, String key) {
        return plan.needs().stream()
                .filter(need -> need.supply().key().equals(key))
                .findFirst()
                .orElseThrow()
                .amount();
    }

    /** A zip of 9 1/2 in for each: so many fit a tape, and one more would not. */
    @ParameterizedTest
    @CsvSource({"9 1/2 in, 1", "18 in, 1", "19 in, 2", "95 in, 10", "94 in, 9", "1000 yd, 500"})
    void asManyAsTheTapeGives(String tape, int units) {
        assertThat(FromHand.most(FromHandTest::plan, "zip", Amount.of(in(tape)), 500))
                .map(FromHand.Makeable::units)
                .contains(units);
    }

    @Test
    void oneMoreWouldNotBeThere() {
        for (String there : List.of("20 in", "1 yd", "3 yd", "7 yd")) {
            Amount cloth = Amount.of(in(there));
            int most = FromHand.most(FromHandTest::plan, "outer", cloth, 500)
                    .orElseThrow()
                    .units();
            assertThat(need(plan(most), "outer")).isLessThanOrEqualTo(cloth);
            assertThat(need(plan(most + 1), "outer")).isGreaterThan(cloth);
        }
    }

    @Test
    void tooLittleForOneIsNothing() {
        assertThat(FromHand.most(FromHandTest::plan, "zip", Amount.of(in("9 in")), 500))
                .isEmpty();
        assertThat(FromHand.most(FromHandTest::plan, "feathers", Amount.pieces(9), 500))
                .isEmpty();
    }

    @Test
    void itIsPlannedFewTimes() {
        List<Integer> asked = new ArrayList<>();
        FromHand.most(
                units -> {
                    asked.add(units);
                    return plan(units);
                },
                "slider",
                Amount.pieces(317),
                500);
        assertThat(asked.size()).isLessThan(22);
    }

    @Test
    void aPieceOfClothGivesWholeBagsOnly() {
        Supply outer = supplies().get(0);
        BatchPlan unit = plan(1);
        // two panels of 10 1/2 x 8 in and two tabs of 1 1/4 x 3 in
        assertThat(FromHand.units(unit, outer, new Extent(in("22 in"), in("11 in")), 3))
                .isEqualTo(3);
        assertThat(FromHand.units(unit, outer, new Extent(in("10 in"), in("10 in")), 3))
                .isZero();
        assertThat(FromHand.units(unit, supplies().get(3), new Extent(in("22 in"), in("11 in")), 3))
                .isZero();
    }
}
