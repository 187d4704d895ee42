package mardun.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mardun.core.cutting.Offcuts.Left;
import mardun.core.cutting.Offcuts.Use;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

class OffcutsTest {

    private static Extent inches(long width, long height) {
        return new Extent(Length.of(width, LengthUnit.INCH), Length.of(height, LengthUnit.INCH));
    }

    private static CutPiece piece(String letter, long width, long height, long count, boolean mayTurn) {
        return new CutPiece(PieceKey.of(letter), letter, inches(width, height), count, mayTurn);
    }

    private static ClothPiece offcut(String key, long width, long height, long count) {
        return new ClothPiece(key, inches(width, height), count, BigFraction.ZERO);
    }

    @Test
    void offcutsAreUsedUpBeforeTheBolt() {
        Offcuts.Plan plan = Offcuts.first(
                List.of(piece("A", 8, 6, 10, false), piece("B", 3, 2, 4, true)),
                List.of(offcut("small", 3, 3, 5), offcut("large", 18, 14, 2)));
        assertThat(plan.uses())
                .containsExactly(
                        new Use("small", 4, Map.of(PieceKey.of("B"), 4L)),
                        new Use("large", 2, Map.of(PieceKey.of("A"), 8L)));
        assertThat(plan.rest()).containsExactly(piece("A", 8, 6, 2, false));
    }

    @Test
    void aPieceWithATopIsNotTurned() {
        assertThat(Offcuts.fill(inches(6, 8), List.of(piece("A", 8, 6, 1, false))))
                .isEmpty();
        assertThat(Offcuts.fill(inches(6, 8), List.of(piece("A", 8, 6, 1, true))))
                .isEqualTo(Map.of(PieceKey.of("A"), 1L));
    }

    @Test
    void aRectangleGivesSoManyUnits() {
        List<CutPiece> unit = List.of(piece("A", 9, 5, 2, false), piece("B", 4, 2, 1, false));
        assertThat(Offcuts.units(inches(18, 22), unit)).isEqualTo(4);
        assertThat(Offcuts.units(inches(8, 22), unit)).isZero();
    }

    @Test
    void onlyWhatIsLargeEnoughIsKept() {
        Length shortSide = Length.of(4, LengthUnit.INCH);
        Length longSide = Length.of(6, LengthUnit.INCH);
        assertThat(Offcuts.isWorthKeeping(inches(4, 6), shortSide, longSide)).isTrue();
        assertThat(Offcuts.isWorthKeeping(inches(6, 4), shortSide, longSide)).isTrue();
        assertThat(Offcuts.isWorthKeeping(inches(5, 5), shortSide, longSide)).isFalse();
        assertThat(Offcuts.isWorthKeeping(inches(3, 60), shortSide, longSide)).isFalse();
    }

    @Test
    void theEndsOfTheStripsAreLeft() {
        // 43 in wide: four of 10 in leave 3 in; ten of them take three strips, the last with two leaves 23 in
        ClothNeed need =
                new StripArithmetic().plan(Length.of(43, LengthUnit.INCH), List.of(piece("A", 10, 7, 10, false)));
        assertThat(Offcuts.left(need, ShelfCloth.endless(Length.of(43, LengthUnit.INCH), List.of())))
                .containsExactlyInAnyOrder(new Left(inches(3, 7), 2), new Left(inches(23, 7), 1));
    }

    @Test
    void piecesAndWhatIsLeftAreTheClothThatWasCut() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            long width = 20 + random.nextInt(60);
            List<CutPiece> pieces = pieces(random, 20);
            ClothNeed need = new StripArithmetic().plan(Length.of(width, LengthUnit.INCH), pieces);
            long cut = squareInches(
                    new Extent(Length.of(width, LengthUnit.INCH), need.length().value()));
            long inPieces = pieces.stream()
                    .mapToLong(piece -> squareInches(piece.extent()) * piece.count())
                    .sum();
            long left = Offcuts.left(need, ShelfCloth.endless(Length.of(width, LengthUnit.INCH), List.of())).stream()
                    .mapToLong(one -> squareInches(one.extent()) * one.count())
                    .sum();
            assertThat(inPieces + left).isEqualTo(cut);
        }
    }

    @Test
    void noMoreIsPromisedThanFitsAndNoneIsLost() {
        Random random = new Random(9);
        for (int i = 0; i < 500; i++) {
            Extent rectangle = inches(5 + random.nextInt(20), 5 + random.nextInt(20));
            List<CutPiece> pieces = pieces(random, 12);
            Map<PieceKey, Long> given = Offcuts.fill(rectangle, pieces);
            long area = pieces.stream()
                    .mapToLong(piece -> squareInches(piece.extent()) * given.getOrDefault(piece.key(), 0L))
                    .sum();
            assertThat(area).isLessThanOrEqualTo(squareInches(rectangle));
            pieces.forEach(
                    piece -> assertThat(given.getOrDefault(piece.key(), 0L)).isBetween(0L, piece.count()));
            Offcuts.Plan plan = Offcuts.first(
                    pieces, List.of(new ClothPiece("one", rectangle, 3, BigFraction.ZERO), offcut("two", 9, 9, 2)));
            for (CutPiece piece : pieces) {
                long fromOffcuts = plan.uses().stream()
                        .mapToLong(use -> use.pieces().getOrDefault(piece.key(), 0L))
                        .sum();
                long rest = plan.rest().stream()
                        .filter(one -> one.key().equals(piece.key()))
                        .mapToLong(CutPiece::count)
                        .sum();
                assertThat(fromOffcuts + rest).isEqualTo(piece.count());
            }
        }
    }

    private static List<CutPiece> pieces(Random random, int most) {
        List<CutPiece> pieces = new ArrayList<>();
        for (String letter : List.of("A", "B", "C")) {
            pieces.add(piece(
                    letter,
                    1 + random.nextInt(most),
                    1 + random.nextInt(most),
                    1 + random.nextInt(9),
                    random.nextBoolean()));
        }
        return pieces;
    }

    private static long squareInches(Extent extent) {
        long inch = LengthUnit.INCH.nanometres();
        return extent.width().nanometres() / inch * (extent.height().nanometres() / inch);
    }
}
