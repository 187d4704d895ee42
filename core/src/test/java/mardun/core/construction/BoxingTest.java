package mardun.core.construction;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import mardun.core.construction.Boxing.Corner;
import mardun.core.construction.Boxing.Seams;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class BoxingTest {

    private static final Quantity QUARTER = inches("1/4");
    private static final Quantity FOLD = inches("0");
    private static final Seams ALL_QUARTER = new Seams(QUARTER, QUARTER, QUARTER);

    static Quantity inches(String text) {
        return Quantity.of(LengthReader.read(text, LengthUnit.INCH));
    }

    @Test
    void squaresFromRawEdgesOfAPanelWithQuarterSeams() {
        Quantity depth = Boxing.depth(BoxingSchool.CUT_BEFORE_SEWING, inches("1 1/4"), QUARTER, QUARTER)
                .value();
        assertThat(depth).isEqualTo(inches("2 1/2"));
        assertThat(Boxing.finishedWidth(SideEdge.SEAMS, inches("10 1/2"), QUARTER, depth)
                        .value())
                .isEqualTo(inches("7 1/2"));
        assertThat(Boxing.finishedHeight(BaseEdge.SEAM, inches("8"), QUARTER, QUARTER, depth)
                        .value())
                .isEqualTo(inches("6 1/4"));
    }

    @Test
    void theSameSquaresFromTheStitchLinesMakeAnotherBag() {
        Quantity depth = Boxing.depth(BoxingSchool.CUT_AFTER_SEWING, inches("1 1/4"), QUARTER, QUARTER)
                .value();
        assertThat(depth).isEqualTo(inches("3"));
        assertThat(Boxing.finishedWidth(SideEdge.SEAMS, inches("10 1/2"), QUARTER, depth)
                        .value())
                .isEqualTo(inches("7"));
        assertThat(Boxing.finishedHeight(BaseEdge.SEAM, inches("8"), QUARTER, QUARTER, depth)
                        .value())
                .isEqualTo(inches("6"));
    }

    @Test
    void atABaseFoldTheCutOutIsARectangleNarrowerFromTheFold() {
        Corner corner =
                Boxing.corner(BoxingSchool.CUT_BEFORE_SEWING, inches("2 1/2"), new Seams(QUARTER, FOLD, QUARTER));
        assertThat(corner.fromSide().value()).isEqualTo(inches("1 1/4"));
        assertThat(corner.fromBase().value()).isEqualTo(inches("1"));
        assertThat(corner.isSquare()).isFalse();
    }

    @Test
    void onePieceFoldedAtTheBase() {
        Quantity depth = inches("2 1/2");
        Quantity length = Boxing.cutHeight(BaseEdge.FOLD, inches("6 1/4"), depth, QUARTER, FOLD)
                .value();
        assertThat(length).isEqualTo(inches("15 1/2"));
        assertThat(Boxing.finishedHeight(BaseEdge.FOLD, length, QUARTER, FOLD, depth)
                        .value())
                .isEqualTo(inches("6 1/4"));
    }

    @ParameterizedTest
    @CsvSource({
        "CUT_BEFORE_SEWING, 1 1/4, 1 1/4",
        "CUT_AFTER_SEWING,  1, 1",
        "LINE_ACROSS,       1 1/4, 1 1/4",
        "SNIPPED,           1 1/4, 1 1/4",
        "BOXED_AS_ONE,      1 1/4, 1 1/4"
    })
    void whatToMeasureForADepthOfTwoAndAHalf(BoxingSchool school, String fromSide, String fromBase) {
        Corner corner = Boxing.corner(school, inches("2 1/2"), ALL_QUARTER);
        assertThat(corner.fromSide().value()).isEqualTo(inches(fromSide));
        assertThat(corner.fromBase().value()).isEqualTo(inches(fromBase));
        assertThat(corner.isSquare()).isTrue();
    }

    @ParameterizedTest
    @EnumSource(BoxingSchool.class)
    void depthToCornerToDepthIsTheSameForAllSeams(BoxingSchool school) {
        Random random = new Random(31);
        for (int i = 0; i < 500; i++) {
            Quantity depth = anyLength(random, 200);
            Seams seams = new Seams(
                    anyLength(random, 20), random.nextBoolean() ? FOLD : anyLength(random, 20), anyLength(random, 20));
            Corner corner = Boxing.corner(school, depth, seams);
            assertThat(Boxing.depth(school, corner.fromSide().value(), seams.side(), seams.boxing())
                            .value())
                    .isEqualTo(depth);
            assertThat(Boxing.depth(school, corner.fromBase().value(), seams.base(), seams.boxing())
                            .value())
                    .isEqualTo(depth);
        }
    }

    @ParameterizedTest
    @EnumSource(BaseEdge.class)
    void finishedToCutToFinishedIsTheSame(BaseEdge edge) {
        Random random = new Random(32);
        for (int i = 0; i < 500; i++) {
            Quantity width = anyLength(random, 500);
            Quantity height = anyLength(random, 500);
            Quantity depth = anyLength(random, 200);
            Quantity side = anyLength(random, 20);
            Quantity top = anyLength(random, 20);
            Quantity base = edge == BaseEdge.FOLD ? FOLD : anyLength(random, 20);
            Quantity panel = Boxing.panelWidth(width, depth, side).value();
            Quantity cut = Boxing.cutHeight(edge, height, depth, top, base).value();
            assertThat(Boxing.finishedWidth(SideEdge.SEAMS, panel, side, depth).value())
                    .isEqualTo(width);
            assertThat(Boxing.finishedHeight(edge, cut, top, base, depth).value())
                    .isEqualTo(height);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 10})
    void scalingAllMeasuresScalesTheResult(int factor) {
        Random random = new Random(33);
        for (int i = 0; i < 200; i++) {
            Quantity depth = anyLength(random, 200);
            Seams seams = new Seams(anyLength(random, 20), anyLength(random, 20), anyLength(random, 20));
            Seams scaled =
                    new Seams(times(seams.side(), factor), times(seams.base(), factor), times(seams.boxing(), factor));
            for (BoxingSchool school : BoxingSchool.values()) {
                assertThat(Boxing.corner(school, times(depth, factor), scaled)
                                .fromBase()
                                .value())
                        .isEqualTo(times(
                                Boxing.corner(school, depth, seams).fromBase().value(), factor));
            }
        }
    }

    private static Quantity times(Quantity length, int factor) {
        return length.times(Quantity.of(factor));
    }

    private static Quantity anyLength(Random random, int millimetres) {
        return Quantity.of(new Length(1 + random.nextLong(millimetres * 1_000_000L)));
    }
}
