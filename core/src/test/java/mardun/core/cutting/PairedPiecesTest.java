package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.LayoutCheck.Flaw;
import mardun.core.design.Outline;
import mardun.core.design.Outline.Corner;
import mardun.core.design.Outline.Side;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Shaped pieces that lie head to tail, two in one block. */
class PairedPiecesTest {

    private static final Extent EAR = new Extent(in("8"), in("6"));

    private static Corner corner(double x, double y) {
        return new Corner(x, y, 0, 0, Side.TOP);
    }

    /** A triangle, 8 by 6 inches. */
    private static CutPiece ear(long count, boolean mayTurn, boolean meetsPrint) {
        Outline outline = new Outline(List.of(corner(101.6, 0), corner(203.2, 152.4), corner(0, 152.4)));
        return new CutPiece(
                PieceKey.of("A"),
                "Ear",
                EAR,
                count,
                mayTurn,
                meetsPrint,
                in("20"),
                Optional.of(new CutShape(outline, EAR)));
    }

    private static CutPiece strip(long count) {
        return new CutPiece(PieceKey.of("B"), "Strip", new Extent(in("10"), in("3")), count, true);
    }

    private static CuttingLayout laid(CuttingJob job) {
        List<CuttingLayout> better = new ArrayList<>();
        CuttingLayout layout =
                LayoutSearch.search(job, Aim.LEAST_CLOTH, 5, Budget.of(60_000, () -> false), better::add);
        assertThat(better).allMatch(one -> LayoutCheck.flaws(one, job).isEmpty());
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        return layout;
    }

    private static long pieces(CuttingLayout layout, String letter) {
        return layout.cloths().stream()
                .flatMap(cloth -> cloth.pieces().stream())
                .filter(piece -> piece.key().equals(PieceKey.of(letter)))
                .mapToLong(Placed::count)
                .sum();
    }

    @Test
    void theyTakeLessClothThanTheirRectangles() {
        CuttingJob job = Cutting.job(in("43"), List.of(ear(20, true, false), strip(4)));
        CuttingJob plain =
                Cutting.job(in("43"), List.of(new CutPiece(PieceKey.of("A"), "Ear", EAR, 20, true), strip(4)));
        CuttingLayout layout = laid(job);
        assertThat(layout.boltLength().nanometres())
                .isLessThan(laid(plain).boltLength().nanometres() * 85 / 100);
        assertThat(layout.cloths().get(0).pieces()).anyMatch(Placed::paired);
        assertThat(pieces(layout, "B")).isEqualTo(4);
    }

    /** Spread over the rolls that are there, pairs stay pairs. */
    @Test
    void theyStayTogetherOnRolls() {
        ShelfCloth rolls = new ShelfCloth(
                in("43"),
                List.of(),
                List.of(new Roll("9", "", in("30")), new Roll("10", "", in("400"))),
                Optional.empty(),
                false,
                ShelfCloth.Selvages.NONE,
                false);
        CuttingJob job = Cutting.job(in("43"), List.of(ear(20, true, false))).from(rolls);
        CuttingLayout layout = StripsOnRolls.of(laid(Cutting.job(in("43"), List.of(ear(20, true, false)))), job);
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        assertThat(pieces(layout, "A")).isEqualTo(20);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 7})
    void asManyLieThereAsAreWanted(long count) {
        CuttingLayout layout = laid(Cutting.job(in("43"), List.of(ear(count, true, false))));
        assertThat(pieces(layout, "A")).isEqualTo(count);
        CuttingBill bill = CuttingBill.of(layout, Cutting.job(in("43"), List.of(ear(count, true, false))));
        assertThat(bill.curves()).isEqualTo(in("20").times((count + 3) / 4));
    }

    @Test
    void whatHasATopOrMeetsThePrintLiesUpright() {
        assertThat(ear(8, false, false).pair()).isEmpty();
        assertThat(ear(8, true, true).pair()).isEmpty();
        assertThat(laid(Cutting.job(in("43"), List.of(ear(8, false, false))))
                        .cloths()
                        .get(0)
                        .pieces())
                .noneMatch(Placed::paired);
    }

    /** The block is as large as its outlines take, in sixteenths of an inch, so that other pieces fit its grid. */
    @Test
    void aBlockIsMeasuredInSixteenths() {
        PiecePair pair = ear(2, true, false).pair().orElseThrow();
        assertThat(pair.extent().width().nanometres() % 1_587_500).isZero();
        assertThat(pair.extent().height().nanometres() % 1_587_500).isZero();
        assertThat(pair.extent().width().nanometres())
                .isGreaterThanOrEqualTo((long) (pair.lies().width() * 1e6));
        Length wide = pair.extent().width();
        assertThat(wide).isBetween(in("12"), in("12 1/2"));
    }

    @Test
    void aPairOfAnotherSizeOrOfAPlainPieceIsAFlaw() {
        CutPiece ear = ear(2, true, false);
        Extent block = ear.pair().orElseThrow().extent();
        CuttingJob job = Cutting.job(in("43"), List.of(ear));
        assertThat(flaws(job, block.width(), block.height(), true)).isEmpty();
        assertThat(flaws(job, block.width().plus(in("1")), block.height(), true))
                .containsExactly(Flaw.WRONG_SIZE);
        assertThat(flaws(job, block.width(), block.height(), false))
                .containsExactlyInAnyOrder(Flaw.WRONG_SIZE, Flaw.WRONG_COUNT);
        CuttingJob plain = Cutting.job(in("43"), List.of(new CutPiece(PieceKey.of("A"), "Ear", EAR, 2, true)));
        assertThat(flaws(plain, block.width(), block.height(), true)).containsExactly(Flaw.WRONG_SIZE);
    }

    private static List<Flaw> flaws(CuttingJob job, Length width, Length height, boolean paired) {
        Placed placed = new Placed(PieceKey.of("A"), Length.ZERO, Length.ZERO, width, height, false, paired);
        return LayoutCheck.flaws(
                new CuttingLayout(List.of(ClothLayout.onBolt(in("43"), height, List.of(placed)))), job);
    }
}
