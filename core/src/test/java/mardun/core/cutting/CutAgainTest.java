package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Optional;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.material.ClothPiece;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

/** When all cloth of a batch is cut, a spoiled piece comes from the smallest rest of its dye, and from a roll only where there is none. */
class CutAgainTest {

    private static final Length SQUARING = in("1");

    private static CutPiece piece(String letter, String width, String height, long count) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(in(width), in(height)), count, false);
    }

    private static ClothPiece offcut(String key, String width, String height, long count, String dye) {
        return new ClothPiece(key, new Extent(in(width), in(height)), count, BigFraction.of(100), dye);
    }

    private static ShelfCloth shelf(List<ClothPiece> offcuts, Roll... rolls) {
        return new ShelfCloth(in("42"), offcuts, List.of(rolls), Optional.empty(), false);
    }

    private static Optional<CuttingLayout> again(ShelfCloth shelf, String dye, CutPiece... pieces) {
        return CutAgain.of(List.of(pieces), shelf, dye, SQUARING);
    }

    @Test
    void theSmallestOffcutThatHoldsItGivesIt() {
        ShelfCloth shelf = shelf(
                List.of(
                        offcut("large", "20", "20", 1, ""),
                        offcut("just", "9", "10", 3, ""),
                        offcut("small", "8", "7", 5, "")),
                new Roll("roll", "", in("90")));
        CuttingLayout layout = again(shelf, "", piece("A", "8", "10", 1)).orElseThrow();
        assertThat(layout.cloths())
                .extracting(ClothLayout::lot, ClothLayout::isBolt)
                .containsExactly(tuple("just", false));
        assertThat(layout.cloths().get(0).pieces())
                .containsExactly(new Placed(PieceKey.of("A"), Length.ZERO, Length.ZERO, in("8"), in("10"), false));
        assertThat(CutTree.of(layout.cloths().get(0)).rests().map(CutTree::extent))
                .containsExactly(new Extent(in("1"), in("10")));
    }

    /** The larger piece is laid first, and the smaller fits beside it: one offcut is cut into instead of two. */
    @Test
    void whatOnePieceLeavesIsLookedAtForTheNext() {
        ShelfCloth shelf = shelf(List.of(offcut("one", "16", "10", 2, ""), offcut("other", "17", "10", 1, "")));
        CuttingLayout layout = again(shelf, "", piece("B", "5", "5", 2), piece("A", "10", "10", 1))
                .orElseThrow();
        assertThat(layout.cloths()).extracting(ClothLayout::lot).containsExactly("one");
        assertThat(layout.cloths().get(0).pieces()).hasSize(3);
    }

    @Test
    void aRollGivesWhatNoRestHolds() {
        ShelfCloth shelf = shelf(List.of(offcut("small", "8", "7", 5, "")), new Roll("roll", "", in("12")));
        CuttingLayout layout = again(shelf, "", piece("A", "8", "10", 2)).orElseThrow();
        assertThat(layout.cloths())
                .extracting(ClothLayout::lot, ClothLayout::length)
                .containsExactly(tuple("roll", in("10")));
        assertThat(layout.cloths().get(0).pieces())
                .as("side by side in one strip")
                .hasSize(2);
        assertThat(layout.takenOfRolls(SQUARING)).isEqualTo(in("11"));
        assertThat(again(shelf, "", piece("A", "8", "11 1/2", 1)))
                .as("with what squares its end the roll is too short")
                .isEmpty();
        assertThat(again(shelf, "", piece("A", "43", "10", 1)))
                .as("wider than the cloth")
                .isEmpty();
    }

    /** A mark is the same however it is written; an offcut without one goes with any, a roll without one doesn't. */
    @Test
    void allIsOfOneDye() {
        ShelfCloth shelf = shelf(
                List.of(offcut("red", "9", "10", 1, "R 7"), offcut("unmarked", "30", "10", 1, "")),
                new Roll("blue", " b2 ", in("60")),
                new Roll("bare", "", in("60")));
        assertThat(CutAgain.dyes(shelf)).containsExactly("", "b2", "r 7");
        assertThat(again(shelf, "r 7", piece("A", "8", "10", 1)).orElseThrow().cloths())
                .extracting(ClothLayout::lot)
                .containsExactly("red");
        assertThat(again(shelf, "b2", piece("A", "8", "10", 1)).orElseThrow().cloths())
                .extracting(ClothLayout::lot)
                .containsExactly("unmarked");
        assertThat(again(shelf, "b2", piece("A", "31", "10", 1)).orElseThrow().cloths())
                .extracting(ClothLayout::lot)
                .containsExactly("blue");
        assertThat(again(shelf, "r 7", piece("A", "31", "10", 1))).isEmpty();
    }

    @Test
    void whatIsBoughtByTheSheetComesFromMoreSheets() {
        ShelfCloth shelf = ShelfCloth.ofSheets(new Extent(in("12"), in("12")), BigFraction.of(300));
        CuttingLayout layout = again(shelf, "", piece("A", "7", "12", 2)).orElseThrow();
        assertThat(layout.sheets()).isEqualTo(2);
    }

    @Test
    void nothingIsGivenByAnEmptyShelf() {
        assertThat(CutAgain.dyes(shelf(List.of()))).isEmpty();
        assertThat(again(shelf(List.of()), "", piece("A", "1", "1", 1))).isEmpty();
    }
}
