package mardun.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.LayoutCheck.Flaw;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

/** Pieces that have to show a part of the print. */
class MotifsFirstTest {

    private static Length in(String text) {
        return text.startsWith("-")
                ? Length.ZERO.minus(in(text.substring(1)))
                : LengthReader.read(text, LengthUnit.INCH);
    }

    /** A piece whose left side and top lie there in the print. */
    private static CutPiece showing(
            String letter, String width, String height, long count, String across, String along) {
        Length left = in("0");
        Optional<Length> at = across.isEmpty() ? Optional.empty() : Optional.of(in(across));
        return new CutPiece(
                PieceKey.of(letter),
                letter,
                new Extent(in(width), in(height)),
                count,
                false,
                false,
                Length.ZERO,
                Optional.empty(),
                Optional.of(new PrintPlace("fox", at, in(along), left, left)));
    }

    private static CutPiece plain(String letter, String width, String height, long count) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(in(width), in(height)), count, false);
    }

    private static ShelfCloth printed(String repeat, String across, Roll... rolls) {
        return new ShelfCloth(
                in("42"),
                List.of(),
                List.of(rolls),
                Optional.of(in(repeat)),
                across.isEmpty() ? Optional.empty() : Optional.of(in(across)),
                false,
                ShelfCloth.Selvages.NONE,
                false);
    }

    private static CuttingTerms terms() {
        return new CuttingTerms(
                BigFraction.of(1, 1_000_000),
                BigFraction.of(1, 2),
                Duration.ofSeconds(20),
                Duration.ofSeconds(6),
                Duration.ofSeconds(2),
                2,
                Length.ZERO,
                in("4"),
                in("8"),
                true);
    }

    private static CuttingJob job(ShelfCloth cloth, CutPiece... pieces) {
        Map<PieceKey, Long> each = new HashMap<>();
        List.of(pieces).forEach(piece -> each.put(piece.key(), piece.count()));
        return new CuttingJob(List.of(pieces), cloth, terms(), List.of(new Bags(1, 1, each)));
    }

    private static CuttingLayout laid(CuttingJob job) {
        List<CuttingLayout> told = new ArrayList<>();
        CuttingLayout layout = ShelfSearch.search(job, Aim.MONEY, 7, Budget.of(20_000, () -> false), told::add);
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        assertThat(told).isNotEmpty();
        return layout;
    }

    private static List<Placed> ofKind(CuttingLayout layout, String letter) {
        return layout.cloths().stream()
                .flatMap(cloth -> cloth.pieces().stream())
                .filter(piece -> piece.key().equals(PieceKey.of(letter)))
                .toList();
    }

    @Test
    void eachLiesWhereThePrintHasItsPart() {
        // Across 42 in the motif lies at 2, 14, 26: the one at 38 would go over the edge.
        CuttingLayout layout = laid(job(printed("16", "12"), showing("A", "9", "11", 7, "2", "0")));
        List<Placed> pieces = ofKind(layout, "A");
        assertThat(pieces).hasSize(7);
        assertThat(pieces.stream().map(Placed::x).distinct()).containsExactlyInAnyOrder(in("2"), in("14"), in("26"));
        assertThat(pieces.stream().map(Placed::y).distinct()).containsExactlyInAnyOrder(in("0"), in("16"), in("32"));
        assertThat(layout.boltLength()).isEqualTo(in("43"));
    }

    @Test
    void whatThePrintHasOnceAcrossGivesOneOfEachRepeat() {
        CuttingLayout layout = laid(job(printed("16", ""), showing("A", "9", "11", 3, "20", "5")));
        assertThat(ofKind(layout, "A").stream().map(Placed::x).distinct()).containsExactly(in("20"));
        assertThat(ofKind(layout, "A").stream().map(Placed::y)).containsExactlyInAnyOrder(in("5"), in("21"), in("37"));
    }

    @Test
    void whatIsTheSameAllAcrossLiesSideBySide() {
        CuttingLayout layout = laid(job(printed("16", ""), showing("A", "10", "11", 5, "", "3")));
        assertThat(ofKind(layout, "A").stream().map(Placed::y).distinct()).containsExactlyInAnyOrder(in("3"), in("19"));
        assertThat(layout.boltLength()).isEqualTo(in("30"));
    }

    @Test
    void theOthersLieInTheGapsBetweenThem() {
        // Strips of three leave 3 × 11 between their pieces and 42 × 5 above: strips for handles, and small ones.
        CuttingLayout layout = laid(job(
                printed("16", "12"),
                showing("A", "9", "11", 9, "0", "0"),
                plain("B", "3", "10", 6),
                plain("C", "20", "5", 4)));
        assertThat(layout.boltLength()).isEqualTo(in("43"));
        assertThat(layout.bolts()).hasSize(1);
    }

    @Test
    void smallOnesLieInTheGapsBetweenStrips() {
        CuttingJob job =
                job(printed("2 1/2", ""), showing("A", "10 1/2", "7 7/8", 24, "", "0"), plain("D", "3", "1 1/4", 24));
        CuttingLayout layout = laid(job);
        assertThat(layout.boltLength()).isEqualTo(in("57 7/8"));
        CuttingJob onRoll = job.from(printed("2 1/2", "", new Roll("1", "", in("72"))));
        assertThat(laid(onRoll).boltLength()).isEqualTo(in("57 7/8"));
    }

    @Test
    void aPieceOfAnotherPartMayLieBesideTheFirst() {
        // “Owl” lies in the gaps that “fox” leaves: the same height of the print, 10 in to the right.
        CuttingLayout layout = laid(
                job(printed("16", "21"), showing("A", "9", "11", 4, "0", "0"), showing("B", "8", "8", 4, "10", "2")));
        assertThat(layout.boltLength()).isEqualTo(in("27"));
    }

    @Test
    void othersThatMeetThePrintBeginAtWholeRepeatsBeyond() {
        CutPiece meets = new CutPiece(PieceKey.of("B"), "B", new Extent(in("20"), in("7")), 4, false, true);
        CuttingLayout layout = laid(job(printed("16", "12"), showing("A", "9", "11", 3, "0", "0"), meets));
        assertThat(ofKind(layout, "B").stream().map(Placed::y))
                .allMatch(y -> y.nanometres() % in("16").nanometres() == 0);
    }

    @Test
    void onRollsNoneGoesOverAnEnd() {
        ShelfCloth rolls = printed("16", "12", new Roll("1", "", in("30")), new Roll("2", "", in("30")));
        CuttingLayout layout = laid(job(rolls, showing("A", "9", "11", 11, "2", "4")));
        assertThat(layout.bolts()).hasSize(3);
        ClothLayout bought = layout.bolts().stream()
                .filter(ClothLayout::isOfAnyRoll)
                .findFirst()
                .orElseThrow();
        assertThat(bought.pieces()).hasSize(5);
        assertThat(StripsOnRolls.toBuy(bought, layout, rolls, Length.ZERO)).isEqualTo(bought.length());
    }

    @Test
    void aPieceThatNeverLiesWholeSaysSo() {
        CuttingJob job = job(printed("16", ""), showing("A", "20", "11", 1, "30", "0"));
        assertThatThrownBy(() -> laid(job))
                .isInstanceOf(CannotBeCutException.class)
                .hasMessageContaining("nowhere across the");
        assertThatThrownBy(() -> job.cloth().asLargeAsItTakes(job.pieces().get(0)))
                .isInstanceOf(CannotBeCutException.class);
        CuttingJob left = job(printed("16", ""), showing("A", "20", "11", 1, "-3", "0"));
        assertThatThrownBy(() -> laid(left)).isInstanceOf(CannotBeCutException.class);
    }

    @Test
    void aSpoiledOneIsCutOnceMoreWhereThePrintHasIt() {
        CuttingJob job = job(printed("16", "12"), showing("A", "9", "11", 4, "2", "0"));
        CuttingLayout layout = laid(job);
        Recut recut = Recut.of(layout, job.pieces().get(0), job.cloth(), Length.ZERO);
        assertThat(recut.piece().x()).isEqualTo(in("14"));
        assertThat(recut.piece().y()).isEqualTo(in("16"));
        CuttingLayout with = Recut.with(layout, List.of(recut), job.cloth());
        assertThat(LayoutCheck.flaws(with, List.of(job.pieces().get(0).times(5)), job.cloth(), Length.ZERO))
                .isEmpty();
    }

    @Test
    void aPieceElsewhereInThePrintIsAFlaw() {
        CuttingJob job = job(printed("16", "12"), showing("A", "9", "11", 1, "2", "0"));
        for (String[] at : new String[][] {{"2", "1"}, {"3", "0"}}) {
            Placed piece = new Placed(PieceKey.of("A"), in(at[0]), in(at[1]), in("9"), in("11"), false);
            CuttingLayout layout = new CuttingLayout(List.of(ClothLayout.onBolt(in("42"), in("12"), List.of(piece))));
            assertThat(LayoutCheck.flaws(layout, job)).containsExactly(Flaw.OUT_OF_REPEAT);
        }
    }

    @Test
    void byPencilAStripHasAsManyAsThePrintGivesAcross() {
        ShelfCloth cloth = printed("16", "12");
        CutPiece piece = showing("A", "9", "11", 7, "2", "0");
        assertThat(cloth.asLargeAsItTakes(piece).extent()).isEqualTo(new Extent(in("14"), in("16")));
        assertThat(new StripArithmetic()
                        .plan(cloth, List.of(cloth.asLargeAsItTakes(piece)))
                        .length()
                        .value())
                .isEqualTo(in("48"));
        assertThat(cloth.asLargeAsItTakes(showing("A", "9", "11", 7, "", "0")).extent())
                .isEqualTo(new Extent(in("9"), in("16")));
    }

    /** The largest batch shows its part on each of its pieces in a blink. */
    @Test
    void manyAreLaidSoon() {
        CuttingJob many = job(
                printed("16", "12"),
                showing("A", "9", "11", 10_000, "2", "0"),
                showing("B", "2", "4", 10_000, "11", "3"));
        long begun = System.nanoTime();
        MotifsFirst first = MotifsFirst.of(many).orElseThrow();
        assertThat(first.alone().cloths().get(0).pieces()).hasSize(20_000);
        assertThat((System.nanoTime() - begun) / 1e9).as("seconds").isLessThan(10);
    }

    /** Whatever the pieces, the print and the rolls: each lies where the print has its part, and all comes apart. */
    @Test
    void seededJobsAreLaidWithoutAFlaw() {
        Random random = new Random(20_261_130);
        for (int round = 0; round < 80; round++) {
            String repeat = String.valueOf(6 + random.nextInt(20));
            String again = random.nextInt(3) == 0 ? "" : String.valueOf(5 + random.nextInt(20));
            Roll[] rolls = random.nextBoolean()
                    ? new Roll[0]
                    : new Roll[] {
                        new Roll("1", random.nextBoolean() ? "A" : "B", in("60")), new Roll("2", "A", in("90"))
                    };
            List<CutPiece> pieces = new ArrayList<>();
            for (String letter : List.of("A", "B", "C", "D")) {
                String width = String.valueOf(2 + random.nextInt(9));
                String height = String.valueOf(2 + random.nextInt(12));
                int count = 2 * (1 + random.nextInt(5));
                boolean shows = letter.equals("A") || random.nextInt(3) == 0;
                pieces.add(
                        shows
                                ? showing(
                                        letter,
                                        width,
                                        height,
                                        count,
                                        random.nextInt(4) == 0 ? "" : String.valueOf(random.nextInt(30)),
                                        String.valueOf(random.nextInt(6)))
                                : plain(letter, width, height, count));
            }
            Map<PieceKey, Long> each = new HashMap<>();
            pieces.forEach(piece -> each.put(piece.key(), piece.count() / 2));
            boolean edges = random.nextInt(3) == 0;
            ShelfCloth cloth = new ShelfCloth(
                    in("42"),
                    List.of(),
                    List.of(rolls),
                    Optional.of(in(repeat)),
                    again.isEmpty() ? Optional.empty() : Optional.of(in(again)),
                    random.nextBoolean(),
                    edges
                            ? new ShelfCloth.Selvages(in("1/2"), Set.of(PieceKey.of("A"), PieceKey.of("C")))
                            : ShelfCloth.Selvages.NONE,
                    false);
            CuttingJob job = new CuttingJob(pieces, cloth, terms(), List.of(new Bags(1, 2, each)));
            CuttingLayout layout;
            try {
                layout = ShelfSearch.search(job, Aim.MONEY, round, Budget.of(1_500, () -> false), better -> {});
            } catch (CannotBeCutException never) {
                assertThat(never.sentence().words()).contains("nowhere across");
                continue;
            }
            assertThat(LayoutCheck.flaws(layout, job)).as("round %d", round).isEmpty();
        }
    }
}
