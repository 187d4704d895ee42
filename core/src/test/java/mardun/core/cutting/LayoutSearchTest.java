package mardun.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.BooleanSupplier;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.LayoutCheck.Flaw;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LayoutSearchTest {

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static CutPiece piece(String letter, String width, String height, long count, boolean mayTurn) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(in(width), in(height)), count, mayTurn);
    }

    /** Stops after so many rounds. */
    private static BooleanSupplier rounds(int most) {
        int[] asked = {0};
        return () -> asked[0]++ >= most;
    }

    private static ClothLayout search(String width, List<CutPiece> pieces, int rounds) {
        CuttingJob job = Cutting.job(in(width), pieces);
        CuttingLayout layout = LayoutSearch.search(job, Aim.LEAST_CLOTH, 7, Budget.until(rounds(rounds)), better -> {});
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        return layout.bolts().get(0);
    }

    private static Length least(ClothLayout layout, List<CutPiece> pieces) {
        CuttingJob job = Cutting.job(layout.width(), pieces);
        return CuttingBill.of(new CuttingLayout(List.of(layout)), job).least();
    }

    @Test
    void aRowOfPanelsTakesOneStrip() {
        ClothLayout layout = search("43 in", List.of(piece("A", "10 1/2", "8", 4, false)), 50);
        assertThat(layout.length()).isEqualTo(in("8"));
    }

    @Test
    void whatFillsTheClothLeavesNothing() {
        List<CutPiece> pieces =
                List.of(piece("A", "6", "4", 3, false), piece("B", "4", "4", 3, false), piece("C", "5", "2", 8, false));
        ClothLayout layout = search("10 in", pieces, 400);
        assertThat(layout.length()).isEqualTo(least(layout, pieces));
    }

    @Test
    void aPieceIsTurnedWhereThatTakesLessAndItMay() {
        assertThat(search("16 in", List.of(piece("A", "12", "5", 3, true)), 100).length())
                .isEqualTo(in("12"));
        assertThat(search("16 in", List.of(piece("A", "12", "5", 3, false)), 100)
                        .length())
                .isEqualTo(in("15"));
    }

    @Test
    void itIsNeverWorseThanThePencil() {
        Random random = new Random(12);
        for (int i = 0; i < 40; i++) {
            List<CutPiece> pieces = random(random);
            Length pencil =
                    new StripArithmetic().plan(in("43"), pieces).length().value();
            assertThat(search("43 in", pieces, 60).length()).isLessThanOrEqualTo(pencil);
        }
    }

    @Test
    void moreTimeIsNeverWorseAndTheLeastLengthIsABound() {
        Random random = new Random(5);
        for (int i = 0; i < 15; i++) {
            List<CutPiece> pieces = random(random);
            ClothLayout few = search("43 in", pieces, 5);
            ClothLayout many = search("43 in", pieces, 300);
            assertThat(many.length()).isLessThanOrEqualTo(few.length());
            assertThat(least(many, pieces)).isLessThanOrEqualTo(many.length());
        }
    }

    @Test
    void theSameSearchFindsTheSame() {
        List<CutPiece> pieces = random(new Random(77));
        assertThat(search("43 in", pieces, 120)).isEqualTo(search("43 in", pieces, 120));
    }

    /** Inches and tenths of millimetres in one cloth have no common step that is worth searching on. */
    @ParameterizedTest
    @ValueSource(strings = {"43 in", "109.3 cm", "1100 mm"})
    void mixedUnitsStayExact(String width) {
        List<CutPiece> pieces = List.of(
                piece("A", "10 33/64", "8 1/64", 7, false),
                piece("B", "12.7 mm", "3.3 cm", 20, true),
                piece("C", "20.1 cm", "7 1/2", 5, true));
        ClothLayout layout = search(width, pieces, 100);
        assertThat(layout.pieces()).hasSize(32);
    }

    @Test
    void aPieceWiderThanTheClothIsRefused() {
        assertThatThrownBy(() -> search("10 in", List.of(piece("A", "11", "8", 1, false)), 5))
                .isInstanceOf(CannotBeCutException.class);
        assertThat(search("10 in", List.of(piece("A", "11", "8", 1, true)), 5).length())
                .isEqualTo(in("11"));
    }

    private static List<CutPiece> random(Random random) {
        List<CutPiece> pieces = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(5); i++) {
            pieces.add(piece(
                    "P" + i,
                    1 + random.nextInt(20) + " " + random.nextInt(8) + "/8",
                    1 + random.nextInt(16) + " " + random.nextInt(8) + "/8",
                    1 + random.nextInt(24),
                    random.nextBoolean()));
        }
        return pieces;
    }

    private static Placed at(String letter, long x, long y, long width, long height) {
        return new Placed(
                PieceKey.of(letter),
                Length.of(x, LengthUnit.INCH),
                Length.of(y, LengthUnit.INCH),
                Length.of(width, LengthUnit.INCH),
                Length.of(height, LengthUnit.INCH),
                false);
    }

    private static List<Flaw> flaws(List<CutPiece> wanted, Placed... placed) {
        return LayoutCheck.flaws(
                new CuttingLayout(List.of(ClothLayout.onBolt(in("10"), in("10"), List.of(placed)))),
                Cutting.job(in("10"), wanted));
    }

    @Test
    void everyKindOfFlawIsSeen() {
        List<CutPiece> two = List.of(piece("A", "4", "3", 2, false));
        assertThat(flaws(two, at("A", 0, 0, 4, 3), at("A", 4, 0, 4, 3))).isEmpty();
        assertThat(flaws(two, at("A", 0, 0, 4, 3))).containsExactly(Flaw.WRONG_COUNT);
        assertThat(flaws(two, at("A", 0, 0, 4, 3), at("A", 3, 2, 4, 3))).containsExactly(Flaw.OVERLAP);
        assertThat(flaws(two, at("A", 0, 0, 4, 3), at("A", 7, 0, 4, 3))).containsExactly(Flaw.OFF_THE_CLOTH);
        assertThat(flaws(two, at("A", 0, 0, 4, 3), at("A", 0, 8, 4, 3))).containsExactly(Flaw.OFF_THE_CLOTH);
        assertThat(flaws(two, at("A", 0, 0, 4, 3), at("A", 4, 0, 3, 4))).containsExactly(Flaw.WRONG_SIZE);
        assertThat(flaws(two, at("A", 0, 0, 4, 3), at("A", 4, 0, 4, 3), at("B", 0, 5, 1, 1)))
                .containsExactly(Flaw.UNKNOWN_PIECE);
        Placed turned = new Placed(PieceKey.of("A"), in("4"), in("0 in"), in("3"), in("4"), true);
        assertThat(flaws(two, at("A", 0, 0, 4, 3), turned)).containsExactly(Flaw.TURNED);
    }

    /** Four pieces around a fifth: nothing overlaps, and no cut goes through. */
    @Test
    void aPinwheelDoesNotComeApart() {
        List<CutPiece> wanted =
                List.of(piece("A", "2", "1", 2, false), piece("B", "1", "2", 2, false), piece("C", "1", "1", 1, false));
        assertThat(flaws(
                        wanted,
                        at("A", 0, 0, 2, 1),
                        at("B", 2, 0, 1, 2),
                        at("A", 1, 2, 2, 1),
                        at("B", 0, 1, 1, 2),
                        at("C", 1, 1, 1, 1)))
                .containsExactly(Flaw.NO_EDGE_TO_EDGE_CUT);
    }
}
