package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.cutting.LayoutCheck.Flaw;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Cloth that is bought by the sheet: as few sheets as can be, and never a roll. */
class SheetsSearchTest {

    private static final Extent FELT = new Extent(in("8"), in("11"));
    private static final BigFraction EACH = BigFraction.of(60);

    private static CutPiece piece(String letter, String width, String height, long count, boolean mayTurn) {
        return new CutPiece(PieceKey.of(letter), "Piece " + letter, new Extent(in(width), in(height)), count, mayTurn);
    }

    private static CuttingJob job(Extent sheet, CutPiece... pieces) {
        return new CuttingJob(List.of(pieces), ShelfCloth.ofSheets(sheet, EACH), Cutting.terms(), 1);
    }

    private static CuttingLayout search(CuttingJob job, Aim aim, long work) {
        CuttingLayout layout = ShelfSearch.search(job, aim, 1, Budget.of(work, () -> false), better -> {});
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        assertThat(layout.bolts()).isEmpty();
        return layout;
    }

    @ParameterizedTest
    @EnumSource(Aim.class)
    void eachSheetIsFullWhereThatIsPossible(Aim aim) {
        CuttingJob job = job(FELT, piece("A", "8", "5 1/2", 10, false), piece("B", "4", "11", 4, false));
        CuttingLayout layout = search(job, aim, 2_000);
        assertThat(layout.sheets()).isEqualTo(7).isEqualTo(layout.leastSheets());
        CuttingBill bill = CuttingBill.of(layout, job);
        assertThat(bill.cloth()).isEqualTo(BigFraction.of(7 * 60));
        assertThat(bill.overLeast(layout)).isEqualTo(BigFraction.ZERO);
        assertThat(bill.toBuy()).isEqualTo(Length.ZERO);
    }

    /** Filled one after another, the first sheet takes the small pieces that the others need beside their large ones. */
    @Test
    void piecesThatGoTogetherShareASheet() {
        CuttingJob job = job(
                new Extent(in("10"), in("10")),
                piece("A", "6", "10", 6, false),
                piece("B", "4", "10", 4, false),
                piece("C", "2", "10", 4, false));
        assertThat(search(job, Aim.MONEY, 3_000).sheets()).isEqualTo(6);
    }

    @Test
    void aPieceMayLieOnItsSideOnlyWhereItMayBeTurned() {
        CuttingJob turns = job(FELT, piece("A", "11", "4", 4, true));
        CuttingLayout layout = search(turns, Aim.LEAST_CLOTH, 500);
        assertThat(layout.sheets()).isEqualTo(2);
        assertThat(layout.cloths()).allMatch(cloth -> cloth.pieces().stream().allMatch(ClothLayout.Placed::turned));
        CuttingJob stays = job(FELT, piece("A", "11", "4", 4, false));
        assertThatThrownBy(() -> search(stays, Aim.LEAST_CLOTH, 500)).isInstanceOf(CannotBeCutException.class);
        CuttingJob large = job(FELT, piece("A", "9", "12", 1, true));
        assertThatThrownBy(() -> search(large, Aim.MONEY, 500))
                .isInstanceOfSatisfying(
                        CannotBeCutException.class,
                        refused -> assertThat(refused.sentence().words()).contains("a sheet only"));
    }

    @Test
    void neverMoreThanFilledOneByOneAndNeverFewerThanTheirArea() {
        Random random = new Random(20_26);
        int saved = 0;
        for (int round = 0; round < 40; round++) {
            List<CutPiece> pieces = new ArrayList<>();
            for (int kind = 0; kind < 1 + random.nextInt(6); kind++) {
                pieces.add(new CutPiece(
                        PieceKey.of("P" + kind),
                        "",
                        new Extent(sixteenths(random, 12, 128), sixteenths(random, 12, 176)),
                        1 + random.nextInt(12),
                        random.nextBoolean()));
            }
            CuttingJob job = job(FELT, pieces.toArray(CutPiece[]::new));
            CuttingLayout layout = search(job, Aim.LEAST_CLOTH, 400);
            ClothPiece enough = new ClothPiece("", FELT, 1_000, EACH);
            long pencil = Offcuts.first(pieces, List.of(enough)).uses().get(0).count();
            assertThat(layout.sheets()).as("round %d", round).isBetween(layout.leastSheets(), pencil);
            saved += (int) (pencil - layout.sheets());
        }
        assertThat(saved).as("sheets saved in all rounds").isPositive();
    }

    private static Length sixteenths(Random random, int least, int most) {
        return in(least + random.nextInt(most - least + 1) + "/16");
    }

    @Test
    void theSameSeedGivesTheSameLayout() {
        CuttingJob job = job(FELT, piece("A", "3", "5", 17, true), piece("B", "2 1/2", "7", 9, true));
        assertThat(search(job, Aim.MONEY, 1_000)).isEqualTo(search(job, Aim.MONEY, 1_000));
    }

    @Test
    void aSpoiledPieceComesFromWhatIsLeftOrFromAnotherSheet() {
        CutPiece kind = piece("A", "8", "5", 1, false);
        CuttingJob job = job(FELT, kind);
        CuttingLayout layout = search(job, Aim.MONEY, 100);
        Recut first = Recut.of(layout, kind, job.cloth(), in("1/4"));
        CuttingLayout two = Recut.with(layout, List.of(first), job.cloth());
        assertThat(two.sheets()).isEqualTo(1);
        Recut second = Recut.of(two, kind, job.cloth(), in("1/4"));
        CuttingLayout three = Recut.with(two, List.of(second), job.cloth());
        assertThat(three.sheets()).isEqualTo(2);
        assertThat(LayoutCheck.flaws(three, List.of(kind.times(3)), job.cloth(), in("1/4")))
                .isEmpty();
        CutPiece lying = piece("B", "10", "7", 1, true);
        Recut turned = Recut.of(layout, lying, job.cloth(), in("1/4"));
        assertThat(turned.cloth()).isEqualTo(1);
        assertThat(turned.piece().turned()).isTrue();
    }

    @Test
    void itIsNeverCutOffARoll() {
        CuttingJob job = job(FELT, piece("A", "8", "5", 1, false));
        CuttingLayout onRoll = LayoutSearch.search(
                Cutting.job(in("8"), job.pieces()), Aim.MONEY, 1, Budget.of(10, () -> false), better -> {});
        assertThat(LayoutCheck.flaws(onRoll, job)).containsExactly(Flaw.UNKNOWN_CLOTH);
    }
}
