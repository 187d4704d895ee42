package mardun.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StripArithmeticTest {

    private final StripArithmetic planner = new StripArithmetic();

    @Test
    void stripsAcrossTheUsableWidth() {
        ClothNeed need = planner.plan(in("43"), List.of(piece("A", "10 1/2 x 8", 48, false)));
        assertThat(need.strips()).singleElement().satisfies(strip -> {
            assertThat(strip.across()).isEqualTo(4);
            assertThat(strip.rows()).isEqualTo(12);
        });
        assertThat(need.length().value()).isEqualTo(in("96"));
    }

    @Test
    void aPieceWithoutATopIsTurnedWhereThatTakesLess() {
        ClothNeed turned = planner.plan(in("16"), List.of(piece("A", "9 x 8", 4, true)));
        assertThat(turned.length().value()).isEqualTo(in("18"));
        ClothNeed upright = planner.plan(in("16"), List.of(piece("A", "9 x 8", 4, false)));
        assertThat(upright.length().value()).isEqualTo(in("32"));
    }

    @Test
    void severalKindsAddUp() {
        ClothNeed need =
                planner.plan(in("43"), List.of(piece("A", "10 1/2 x 8", 5, false), piece("D", "1 1/4 x 3", 48, false)));
        assertThat(need.length().value()).isEqualTo(in("22"));
        assertThat(need.length().working().expression()).isEqualTo("{strips 1} × {height 1} + {strips 2} × {height 2}");
    }

    @Test
    void theLastPieceThatJustFitsCounts() {
        assertThat(planner.plan(in("42"), List.of(piece("A", "10 1/2 x 8", 4, false)))
                        .length()
                        .value())
                .isEqualTo(in("8"));
        assertThat(planner.plan(in("41 63/64"), List.of(piece("A", "10 1/2 x 8", 4, false)))
                        .length()
                        .value())
                .isEqualTo(in("16"));
    }

    @Test
    void aPieceWiderThanTheClothSaysSo() {
        assertThatThrownBy(() -> planner.plan(in("10"), List.of(piece("A", "12 x 8", 1, false))))
                .isInstanceOfSatisfying(
                        CannotBeCutException.class,
                        wide -> assertThat(wide.sentence().words()).contains("Turned it would fit"));
        assertThatThrownBy(() -> planner.plan(in("7"), List.of(piece("A", "12 x 8", 1, true))))
                .isInstanceOfSatisfying(
                        CannotBeCutException.class,
                        wide -> assertThat(wide.sentence().words()).contains("Join it from two"));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {61, 62, 63})
    void theClothAlwaysHoldsThePieces(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 1000; i++) {
            Length width = Length.of(300 + random.nextInt(1200), LengthUnit.MILLIMETRE);
            CutPiece piece = new CutPiece(
                    PieceKey.of("A"),
                    "Panel",
                    new Extent(
                            Length.of(10 + random.nextInt(290), LengthUnit.MILLIMETRE),
                            Length.of(10 + random.nextInt(600), LengthUnit.MILLIMETRE)),
                    1 + random.nextInt(200),
                    random.nextBoolean());
            ClothNeed need = planner.plan(width, List.of(piece));
            ClothNeed.Strip strip = need.strips().get(0);
            assertThat(strip.rows() * strip.across()).isGreaterThanOrEqualTo(piece.count());
            assertThat((strip.rows() - 1) * strip.across()).isLessThan(piece.count());
            assertThat(Area.of(width, need.length().value()))
                    .isGreaterThanOrEqualTo(piece.extent().area().times(piece.count()));
        }
    }

    private static CutPiece piece(String letter, String extent, int count, boolean mayTurn) {
        return new CutPiece(
                PieceKey.of(letter),
                "Panel " + letter,
                LengthReader.readExtent(extent, LengthUnit.INCH),
                count,
                mayTurn);
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }
}
