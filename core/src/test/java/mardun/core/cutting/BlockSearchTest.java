package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

/** Many different pieces, few of each. */
class BlockSearchTest {

    private static final long WORK = 60_000;

    private static CutPiece piece(String letter, int width, int height, long count, boolean mayTurn) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(inches(width), inches(height)), count, mayTurn);
    }

    private static Length inches(int count) {
        return in("1").times(count);
    }

    private static CuttingLayout search(CuttingJob job, Aim aim, long work) {
        CuttingLayout layout = LayoutSearch.search(job, aim, 1, Budget.of(work, () -> false), better -> {});
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        return layout;
    }

    /** Cut by hand from 20 x 12 in: along at 8, the left across at 7, the right across at 5, along at 15, across at 8. */
    @Test
    void piecesThatComeApartInManyStepsLieWithoutWaste() {
        CuttingJob job = Cutting.job(
                inches(20),
                List.of(
                        piece("A", 8, 7, 1, false),
                        piece("B", 8, 5, 1, false),
                        piece("C", 12, 5, 1, false),
                        piece("D", 7, 7, 1, false),
                        piece("E", 5, 3, 1, false),
                        piece("F", 5, 4, 1, false)));
        assertThat(search(job, Aim.LEAST_CLOTH, WORK).boltLength()).isEqualTo(inches(12));
    }

    @Test
    void whatWasCutFromARectangleLiesInItAgain() {
        Random random = new Random(3);
        int whole = 0;
        for (int round = 0; round < 20; round++) {
            int height = 10 + random.nextInt(20);
            boolean mayTurn = random.nextBoolean();
            List<CutPiece> pieces = new ArrayList<>();
            cut(random, 40, height, 9, mayTurn, pieces);
            CuttingJob job = Cutting.job(inches(40), pieces);
            CuttingLayout layout = search(job, Aim.LEAST_CLOTH, WORK);
            assertThat(layout.boltLength()).isGreaterThanOrEqualTo(inches(height));
            whole += layout.boltLength().equals(inches(height)) ? 1 : 0;
        }
        assertThat(whole).as("of 20 as short as can be").isGreaterThanOrEqualTo(19);
    }

    private static void cut(Random random, int width, int height, int parts, boolean mayTurn, List<CutPiece> into) {
        boolean across = height > 1 && (width == 1 || random.nextBoolean());
        int side = across ? height : width;
        if (parts == 1 || side == 1) {
            into.add(piece("P" + into.size(), width, height, 1, mayTurn));
            return;
        }
        int at = 1 + random.nextInt(side - 1);
        int first = parts / 2;
        cut(random, across ? width : at, across ? at : height, first, mayTurn, into);
        cut(random, across ? width : width - at, across ? height - at : height, parts - first, mayTurn, into);
    }

    @Test
    void theSameWorkGivesTheSameLayout() {
        Random random = new Random(9);
        List<CutPiece> pieces = new ArrayList<>();
        cut(random, 40, 60, 40, true, pieces);
        CuttingJob job = Cutting.job(inches(40), pieces);
        CuttingLayout once = search(job, Aim.MONEY, 40_000);
        assertThat(search(job, Aim.MONEY, 40_000)).isEqualTo(once);
        assertThat(search(job, Aim.MONEY, 0)).isNotNull();
    }

    @Test
    void moreWorkHelpsOnTheWhole() {
        Random random = new Random(5);
        Length little = Length.ZERO;
        Length more = Length.ZERO;
        for (int round = 0; round < 5; round++) {
            List<CutPiece> pieces = new ArrayList<>();
            cut(random, 40, 50, 30, round % 2 == 0, pieces);
            CuttingJob job = Cutting.job(inches(40), pieces);
            little = little.plus(search(job, Aim.LEAST_CLOTH, 8_000).boltLength());
            more = more.plus(search(job, Aim.LEAST_CLOTH, 90_000).boltLength());
        }
        assertThat(more).isLessThan(little);
    }

    /** Cut in strips, columns and pieces alone they take 319 inches; blocks of several strips beside each other take less. */
    @Test
    void blocksTakeLessThanStripsOfManyOfAKind() {
        CuttingJob job = Cutting.job(
                inches(176),
                List.of(piece("A", 45, 35, 14, false), piece("B", 45, 9, 14, false), piece("C", 45, 12, 28, false)));
        assertThat(search(job, Aim.LEAST_CLOTH, 150_000).boltLength()).isEqualTo(inches(318));
    }

    /** A piece that fits only if it is turned, on a cloth with an offcut that is taken where it is worth it. */
    @Test
    void offcutsAndPiecesThatHaveToBeTurnedAreStillLaid() {
        CuttingJob job = Cutting.job(
                inches(20),
                List.of(
                        piece("A", 24, 6, 1, true),
                        piece("B", 9, 8, 2, false),
                        piece("C", 7, 5, 1, true),
                        piece("D", 11, 4, 1, true)),
                new ClothPiece("7", new Extent(inches(19), inches(9)), 1, BigFraction.ZERO));
        CuttingLayout layout = search(job, Aim.MONEY, WORK);
        assertThat(layout.cloths()).extracting(ClothLayout::lot).contains("7");
    }

    @Test
    void itKnowsFewPiecesAndFewOfAKind() {
        StripProblem.Kind one = new StripProblem.Kind(5, 6, 2, false);
        StripProblem.Kind many = new StripProblem.Kind(4, 6, 30, false);
        StripProblem.Kind tooMany = new StripProblem.Kind(4, 6, 300, false);
        StripProblem ofEachTwo = StripProblem.of(20, List.of(one, one, one));
        assertThat(BlockSearch.areFewOfAKind(ofEachTwo)).isTrue();
        assertThat(BlockSearch.areFewOfAKind(StripProblem.of(20, List.of(one, many))))
                .isFalse();
        assertThat(BlockSearch.areFew(StripProblem.of(20, List.of(one, many)))).isTrue();
        assertThat(BlockSearch.areFew(StripProblem.of(20, List.of(one, tooMany))))
                .isFalse();
    }
}
