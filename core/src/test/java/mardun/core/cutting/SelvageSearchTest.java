package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.LayoutCheck.Flaw;
import mardun.core.cutting.ShelfCloth.Selvages;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.junit.jupiter.api.Test;

/** Cloth of 43 in with selvages of half an inch, which only some pieces may have inside. */
class SelvageSearchTest {

    private static CutPiece piece(String letter, String width, long count) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(in(width), in("10")), count, false);
    }

    /** All but A have to stay between. */
    private static CuttingJob job(CutPiece... pieces) {
        return new CuttingJob(List.of(pieces), cloth(Set.of("B", "C")), Cutting.terms(), 1);
    }

    private static ShelfCloth cloth(Set<String> between) {
        return new ShelfCloth(
                in("43"),
                List.of(),
                List.of(),
                Optional.empty(),
                false,
                new Selvages(in("1/2"), between.stream().map(PieceKey::of).collect(Collectors.toSet())),
                false);
    }

    private static CuttingLayout search(CuttingJob job, Aim aim) {
        CuttingLayout layout = LayoutSearch.search(job, aim, 1, Budget.of(3_000, () -> false), better -> {});
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        return layout;
    }

    private static Length least(CutPiece... pieces) {
        return search(job(pieces), Aim.LEAST_CLOTH).boltLength();
    }

    @Test
    void oneThatMayHaveItLiesAtTheEdgeAndTheOtherBesideIt() {
        assertThat(least(piece("A", "10 1/2", 1), piece("B", "32", 1))).isEqualTo(in("10"));
        assertThat(least(piece("A", "11", 1), piece("B", "32", 1)))
                .as("B would lie in the other selvage")
                .isEqualTo(in("20"));
    }

    @Test
    void betweenTwoThatMayHaveItTheWholeWidthCounts() {
        assertThat(least(piece("A", "10 1/2", 2), piece("B", "22", 1))).isEqualTo(in("10"));
        assertThat(least(piece("A", "43", 1))).isEqualTo(in("10"));
        assertThat(least(piece("A", "21 1/2", 4))).isEqualTo(in("20"));
    }

    @Test
    void withoutOneForTheEdgeTheUsableWidthCounts() {
        assertThat(least(piece("B", "21", 2), piece("C", "42", 1))).isEqualTo(in("20"));
        assertThat(least(piece("B", "21", 1), piece("C", "21 1/2", 1))).isEqualTo(in("20"));
        assertThat(least(piece("A", "1/4", 1), piece("B", "42", 1)))
                .as("A is narrower than the selvage")
                .isEqualTo(in("20"));
    }

    @Test
    void withAPencilEachKindHasItsOwnWidth() {
        List<CutPiece> pieces = List.of(piece("A", "43", 1), piece("B", "21 1/2", 2));
        ClothNeed need = new StripArithmetic().plan(cloth(Set.of("B")), pieces);
        assertThat(need.strips()).extracting(ClothNeed.Strip::rows).containsExactly(1L, 2L);
        assertThat(Offcuts.left(need, cloth(Set.of("B"))))
                .containsExactly(new Offcuts.Left(new Extent(in("20 1/2"), in("10")), 2));
    }

    @Test
    void aPieceInTheSelvageIsAFlaw() {
        CuttingJob job = job(piece("B", "10", 1));
        Placed atTheEdge = new Placed(PieceKey.of("B"), in("0"), in("0"), in("10"), in("10"), false);
        CuttingLayout wrong = new CuttingLayout(List.of(ClothLayout.onBolt(in("43"), in("10"), List.of(atTheEdge))));
        assertThat(LayoutCheck.flaws(wrong, job)).containsExactly(Flaw.IN_THE_SELVAGE);
    }

    @Test
    void aSpoiledPieceStaysBetweenToo() {
        CuttingJob job = job(piece("A", "10", 1), piece("B", "10", 1));
        CuttingLayout layout = search(job, Aim.MONEY);
        Recut again = Recut.of(layout, piece("B", "10", 1), job.cloth(), Length.ZERO);
        CuttingLayout more = Recut.with(layout, List.of(again), job.cloth());
        CuttingJob two = job(piece("A", "10", 1), piece("B", "10", 2));
        assertThat(LayoutCheck.flaws(more, two)).isEmpty();
        Recut wide = Recut.of(layout, piece("C", "42", 1), job.cloth(), Length.ZERO);
        assertThat(wide.piece().x()).isEqualTo(in("1/2"));
    }

    @Test
    void whateverThePiecesTheyStayWhereTheyMay() {
        Random random = new Random(12);
        for (int round = 0; round < 60; round++) {
            List<CutPiece> pieces = new ArrayList<>();
            for (String letter : List.of("A", "B", "C", "D")) {
                Extent extent = new Extent(
                        new Length((1 + random.nextInt(600)) * 1_587_500L),
                        new Length((1 + random.nextInt(300)) * 1_587_500L));
                pieces.add(
                        new CutPiece(PieceKey.of(letter), letter, extent, 1 + random.nextInt(9), random.nextBoolean()));
            }
            CuttingJob job = new CuttingJob(pieces, cloth(Set.of("B", "D")), Cutting.terms(), 1);
            search(job, Aim.values()[round % 4]);
        }
    }
}
