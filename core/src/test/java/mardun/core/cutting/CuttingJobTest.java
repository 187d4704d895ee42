package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Whole jobs: offcuts and precuts beside the bolt, the maker's aims, the cuts in order and what they cost. */
class CuttingJobTest {

    private static final BigFraction FREE = BigFraction.ZERO;

    private static CutPiece piece(String letter, String width, String height, long count, boolean mayTurn) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(in(width), in(height)), count, mayTurn);
    }

    private static ClothPiece sheet(String key, String width, String height, long count, BigFraction minorEach) {
        return new ClothPiece(key, new Extent(in(width), in(height)), count, minorEach);
    }

    private static CuttingLayout search(CuttingJob job, Aim aim) {
        CuttingLayout layout = LayoutSearch.search(job, aim, 1, Budget.of(20_000, () -> false), better -> {});
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        return layout;
    }

    private static CuttingBill bill(CuttingJob job, Aim aim) {
        return CuttingBill.of(search(job, aim), job);
    }

    @Test
    void anOffcutThatCostsNothingIsCutBeforeTheBolt() {
        CuttingJob job = Cutting.job(
                in("43"), List.of(piece("A", "10", "8", 6, false)), sheet("lot 4", "21", "16 1/2", 1, FREE));
        CuttingLayout layout = search(job, Aim.MONEY);
        assertThat(layout.cloths()).hasSize(2);
        assertThat(layout.cloths().get(0).lot()).isEqualTo("lot 4");
        assertThat(layout.cloths().get(0).pieces()).hasSize(4);
        assertThat(layout.boltLength()).isEqualTo(in("8"));
    }

    @Test
    void aPrecutIsPaidWholeAndLeftWhereTheBoltIsCheaper() {
        List<CutPiece> pieces = List.of(piece("A", "10", "8", 8, false));
        CuttingLayout dear =
                search(Cutting.job(in("43"), pieces, sheet("p", "20", "18", 3, BigFraction.of(900))), Aim.MONEY);
        assertThat(dear.cloths()).singleElement().matches(ClothLayout::isBolt);
        CuttingLayout cheap =
                search(Cutting.job(in("43"), pieces, sheet("p", "20", "18", 3, BigFraction.of(40))), Aim.LEAST_CLOTH);
        assertThat(cheap.bolts()).isEmpty();
        assertThat(cheap.cloths()).hasSize(2);
    }

    @Test
    void anOffcutIsCutAlongWhereThatGivesMore() {
        CuttingJob job = Cutting.job(
                in("43"),
                List.of(piece("A", "5", "14", 2, false), piece("B", "5", "7", 4, false)),
                sheet("o", "20", "14", 1, FREE));
        assertThat(search(job, Aim.LEAST_CLOTH).bolts()).isEmpty();
    }

    /** For one job another aim may find what serves it too; on the whole each is best at its own. */
    @ParameterizedTest
    @EnumSource(names = {"MONEY", "LEAST_CLOTH", "FEWEST_CUTS"})
    void eachAimIsBestAtWhatItIsFor(Aim aim) {
        Map<Aim, Double> sums = new EnumMap<>(Aim.class);
        Random random = new Random(3);
        for (int i = 0; i < 8; i++) {
            CuttingJob job = random(random);
            for (Aim searched : Aim.values()) {
                sums.merge(searched, measure(aim, bill(job, searched)), Double::sum);
            }
        }
        assertThat(sums.get(aim)).isEqualTo(Collections.min(sums.values()));
    }

    private static double measure(Aim aim, CuttingBill bill) {
        return switch (aim) {
            case MONEY -> bill.total().doubleValue();
            case LEAST_CLOTH -> bill.cloth().doubleValue();
            case FEWEST_CUTS -> bill.settings() * 6.0 + bill.cuts();
            default -> throw new IllegalArgumentException(aim + " has a test of its own");
        };
    }

    private static BigFraction clothLessLargest(CuttingJob job, Aim aim) {
        CuttingBill bill = bill(job, aim);
        BigFraction perArea = job.terms().minorPerNanometre().divide(job.width().nanometres());
        BigFraction largest = bill.kept().stream()
                .map(left -> BigFraction.of(left.extent().area().squareNanometres(), BigInteger.ONE))
                .max(BigFraction::compareTo)
                .orElse(BigFraction.ZERO);
        return bill.cloth().subtract(perArea.multiply(largest));
    }

    @Test
    void theBestOffcutLeavesMoreInOnePiece() {
        CuttingJob job =
                Cutting.job(in("43"), List.of(piece("A", "9", "12", 6, false), piece("B", "8", "12", 2, false)));
        assertThat(clothLessLargest(job, Aim.BEST_OFFCUT)).isLessThanOrEqualTo(clothLessLargest(job, Aim.FEWEST_CUTS));
    }

    /** A layout that was found for one aim may serve another one better. */
    @Test
    void eachAimTakesTheBestOfAllLayouts() {
        Random random = new Random(17);
        for (int i = 0; i < 6; i++) {
            CuttingJob job = random(random);
            List<CuttingLayout> layouts = new ArrayList<>();
            for (Aim aim : Aim.values()) {
                layouts.add(search(job, aim));
            }
            CuttingBill money = CuttingBill.of(Aim.MONEY.best(layouts, job), job);
            CuttingBill least = CuttingBill.of(Aim.LEAST_CLOTH.best(layouts, job), job);
            CuttingBill fewest = CuttingBill.of(Aim.FEWEST_CUTS.best(layouts, job), job);
            for (CuttingLayout layout : layouts) {
                CuttingBill bill = CuttingBill.of(layout, job);
                assertThat(money.total()).isLessThanOrEqualTo(bill.total());
                assertThat(least.cloth()).isLessThanOrEqualTo(bill.cloth());
                assertThat(fewest.time()).isLessThanOrEqualTo(bill.time());
            }
        }
    }

    /** Small pieces in rows leave one large offcut beside them, and not a narrow one beside each row. */
    @Test
    void rowsThatLeaveMuchAreCutOffAsOne() {
        CuttingJob job = Cutting.job(in("43"), List.of(piece("D", "1 1/4", "3", 48, false)));
        List<Placed> pieces = new ArrayList<>();
        for (int i = 0; i < 48; i++) {
            pieces.add(new Placed(
                    PieceKey.of("D"), in("1 1/4").times(i % 12), in("3").times(i / 12), in("1 1/4"), in("3"), false));
        }
        ClothLayout cloth = ClothLayout.onBolt(in("43"), in("12"), pieces);
        assertThat(CuttingBill.of(new CuttingLayout(List.of(cloth)), job).kept())
                .containsExactly(new Offcuts.Left(new Extent(in("28"), in("12")), 1));
        CutOrder.Step strip = CutOrder.of(cloth, 4, in("1/4")).steps().get(1);
        assertThat(strip.size()).isEqualTo(in("12"));
        assertThat(strip.parts()).hasSize(2);
        assertThat(strip.parts().get(0).parts()).singleElement().matches(row -> row.times() == 4);
    }

    /** What was spoiled comes from the smallest rest that holds it, and from the bolt when there is none. */
    @Test
    void aSpoiledPieceIsCutOnceMoreWithTheSmallestLoss() {
        CutPiece kind = piece("A", "20", "12", 1, false);
        ClothLayout cloth = ClothLayout.onBolt(
                in("43"),
                in("12"),
                List.of(new Placed(PieceKey.of("A"), Length.ZERO, Length.ZERO, in("20"), in("12"), false)));
        CuttingLayout layout = new CuttingLayout(List.of(cloth));
        Recut first = Recut.of(layout, kind, ShelfCloth.endless(in("43"), List.of()), in("1/4"));
        assertThat(first.piece().x()).isEqualTo(in("20"));
        CuttingLayout two = Recut.with(layout, List.of(first), ShelfCloth.endless(in("43"), List.of()));
        assertThat(two.boltLength()).isEqualTo(in("12"));
        Recut second = Recut.of(two, kind, ShelfCloth.endless(in("43"), List.of()), in("1/4"));
        CuttingLayout three = Recut.with(two, List.of(second), ShelfCloth.endless(in("43"), List.of()));
        assertThat(three.boltLength()).isEqualTo(in("24"));
        assertThat(LayoutCheck.flaws(three, Cutting.job(in("43"), List.of(kind.times(3)))))
                .isEmpty();
    }

    @Test
    void theFirstLayoutIsThereBeforeAnyBudget() {
        List<CuttingLayout> told = new ArrayList<>();
        CuttingJob job = random(new Random(9));
        CuttingLayout last = LayoutSearch.search(job, Aim.MONEY, 1, Budget.until(() -> true), told::add);
        assertThat(told).isNotEmpty();
        assertThat(LayoutCheck.flaws(told.get(0), job)).isEmpty();
        assertThat(LayoutCheck.flaws(last, job)).isEmpty();
    }

    @Test
    void theSameWorkGivesTheSameLayout() {
        CuttingJob job = random(new Random(21));
        assertThat(search(job, Aim.MONEY)).isEqualTo(search(job, Aim.MONEY));
    }

    @Test
    void aPieceThatIsTooWideIsToldWithWhatWouldDo() {
        CuttingJob tooWide = Cutting.job(in("10"), List.of(piece("A", "12", "8", 1, false)));
        assertThatThrownBy(() -> search(tooWide, Aim.MONEY))
                .isInstanceOfSatisfying(
                        CannotBeCutException.class,
                        refused -> assertThat(refused.sentence().words()).contains("Turned it would fit"));
        CuttingJob muchTooWide = Cutting.job(in("10"), List.of(piece("A", "12", "11", 1, true)));
        assertThatThrownBy(() -> search(muchTooWide, Aim.MONEY))
                .isInstanceOfSatisfying(
                        CannotBeCutException.class,
                        refused -> assertThat(refused.sentence().words()).contains("Join it from two"));
    }

    /** Pieces, rests and nothing else: to the square nanometre. */
    @Test
    void piecesAndRestsAreTheWholeCloth() {
        Random random = new Random(31);
        for (int i = 0; i < 25; i++) {
            CuttingJob job = random(random);
            for (ClothLayout cloth : search(job, Aim.values()[i % 4]).cloths()) {
                CutTree tree = CutTree.of(cloth);
                BigInteger pieces = cloth.pieces().stream()
                        .map(piece -> piece.area().squareNanometres())
                        .reduce(BigInteger.ZERO, BigInteger::add);
                BigInteger rests = tree.rests()
                        .map(rest -> rest.extent().area().squareNanometres())
                        .reduce(BigInteger.ZERO, BigInteger::add);
                assertThat(pieces.add(rests)).isEqualTo(cloth.area().squareNanometres());
            }
        }
    }

    /** Following the steps gives every piece, and the strips lie one after another. */
    @Test
    void theCutsInOrderGiveEveryPiece() {
        Random random = new Random(77);
        for (int i = 0; i < 25; i++) {
            CuttingJob job = random(random);
            for (ClothLayout cloth : search(job, Aim.MONEY).cloths()) {
                CutOrder order = CutOrder.of(cloth, 4, in("1/4"));
                long pieces = order.steps().stream()
                        .mapToLong(step -> step.times() * count(step.parts()))
                        .sum();
                assertThat(pieces).isEqualTo(cloth.pieces().size());
                assertThat(order.steps().get(0).kind() == CutOrder.Kind.SQUARE).isEqualTo(cloth.isBolt());
                Length end = Length.ZERO;
                for (CutOrder.Step step : order.steps()) {
                    if (step.kind() == CutOrder.Kind.STRIP && cloth.isBolt()) {
                        assertThat(step.y()).isEqualTo(end);
                        end = end.plus(step.size().times(step.times()));
                        assertThat(step.layers()).isBetween(1, Math.min(4, step.times()));
                    }
                }
                assertThat(cloth.isBolt() ? end : cloth.length()).isEqualTo(cloth.length());
            }
        }
    }

    private static long count(List<CutOrder.Part> parts) {
        return parts.stream()
                .mapToLong(part -> part.times() * (part.piece().isPresent() ? 1 : count(part.parts())))
                .sum();
    }

    /** Two strips of four panels and a narrow rest, worked out by hand. */
    @Test
    void theBillOfAPlainLayout() {
        CuttingJob job = Cutting.job(in("43"), List.of(piece("A", "10 1/2", "8", 8, false)));
        List<Placed> pieces = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            pieces.add(new Placed(
                    PieceKey.of("A"), in("10 1/2").times(i % 4), in("8").times(i / 4), in("10 1/2"), in("8"), false));
        }
        CuttingLayout layout = new CuttingLayout(List.of(ClothLayout.onBolt(in("43"), in("16"), pieces)));
        CuttingBill bill = CuttingBill.of(layout, job);
        assertThat(bill.boltLength()).isEqualTo(in("16 1/4"));
        assertThat(bill.settings()).isEqualTo(1);
        // squaring, two strips, and four cuts across both layers at once
        assertThat(bill.cuts()).isEqualTo(1 + 2 + 4);
        assertThat(bill.time()).isEqualTo(Duration.ofSeconds(60 + 7 * 10 + 8 * 4));
        assertThat(bill.kept()).isEmpty();
        assertThat(bill.least())
                .isEqualTo(new Length((in("84").nanometres() * in("8").nanometres() + in("43").nanometres() - 1)
                        / in("43").nanometres()));
        assertThat(bill.total())
                .isEqualTo(BigFraction.of(in("16 1/4").nanometres(), 1_000_000).add(BigFraction.of(81)));
    }

    /** Six rounded pieces of which 30 cm each are cut along a template: with the knife four at a time, with scissors one by one. */
    @ParameterizedTest
    @CsvSource({"false, 600, 48", "true, 1800, 144"})
    void curvesAreCutAlongTheTemplateThroughAsManyLayersAsTheBladeTakes(boolean scissors, int along, int seconds) {
        CutPiece rounded = new CutPiece(
                PieceKey.of("A"), "Flap", new Extent(in("10"), in("8")), 6, false, false, new Length(300_000_000));
        CuttingTerms plain = Cutting.terms();
        CuttingTerms terms = new CuttingTerms(
                plain.minorPerNanometre(),
                plain.minorPerSecond(),
                plain.setting(),
                plain.cut(),
                plain.piece(),
                plain.layers(),
                plain.squaring(),
                plain.keepShort(),
                plain.keepLong(),
                plain.use(),
                plain.offcutsCarryTheirShare(),
                new CuttingTerms.Curves(Duration.ofSeconds(8), scissors));
        CuttingLayout layout = search(new CuttingJob(List.of(rounded), in("43"), List.of(), terms), Aim.MONEY);
        CuttingBill bill = CuttingBill.of(layout, new CuttingJob(List.of(rounded), in("43"), List.of(), terms));
        CuttingBill straight = CuttingBill.of(layout, new CuttingJob(List.of(rounded), in("43"), List.of(), plain));
        assertThat(bill.curves()).isEqualTo(new Length(along * 1_000_000L));
        assertThat(bill.time()).isEqualTo(straight.time().plusSeconds(seconds));
        // At 18.00 an hour a second is half a cent.
        assertThat(bill.total().subtract(straight.total())).isEqualTo(BigFraction.of(seconds, 2));
    }

    @Test
    void whatGoesBackIsWorthItsShareOfTheCloth() {
        CuttingJob job = Cutting.job(in("40"), List.of(piece("A", "20", "12", 1, false)));
        CuttingBill bill = bill(job, Aim.LEAST_CLOTH);
        assertThat(bill.kept()).containsExactly(new Offcuts.Left(new Extent(in("20"), in("12")), 1));
        assertThat(bill.goesBack()).isEqualTo(BigFraction.of(in("6").nanometres(), 1_000_000));
    }

    /** Whatever is asked: it is laid out as it can be cut, or it is said why it can't. */
    @Test
    void anythingIsLaidOutOrRefused() {
        Random random = new Random(2026);
        int laidOut = 0;
        for (int i = 0; i < 120; i++) {
            Length width = new Length(1 + Math.abs(random.nextLong()) % 2_000_000_000L);
            List<CutPiece> pieces = new ArrayList<>();
            for (int kind = 0; kind < 1 + random.nextInt(6); kind++) {
                Extent extent = new Extent(
                        new Length(1 + Math.abs(random.nextLong()) % (width.nanometres() + width.nanometres() / 8 + 1)),
                        new Length(1 + Math.abs(random.nextLong()) % 900_000_000L));
                pieces.add(new CutPiece(
                        PieceKey.of("P" + kind),
                        "piece " + kind,
                        extent,
                        1 + random.nextInt(40),
                        random.nextBoolean()));
            }
            CuttingJob job = Cutting.job(width, pieces, sheet("o", "11 3/64", "23", 1 + random.nextInt(3), FREE));
            try {
                CuttingLayout layout =
                        LayoutSearch.search(job, Aim.values()[i % 4], i, Budget.of(300, () -> false), better -> {});
                assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
                assertThat(CuttingBill.of(layout, job).cuts()).isPositive();
                laidOut++;
            } catch (CannotBeCutException tooWide) {
                assertThat(pieces).anyMatch(piece -> piece.extent().width().isLongerThan(width));
            }
        }
        assertThat(laidOut).isBetween(20, 119);
    }

    private static CuttingJob random(Random random) {
        List<CutPiece> pieces = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(4); i++) {
            pieces.add(piece(
                    "P" + i,
                    2 + random.nextInt(18) + " " + random.nextInt(8) + "/8",
                    2 + random.nextInt(14) + " " + random.nextInt(8) + "/8",
                    1 + random.nextInt(16),
                    random.nextBoolean()));
        }
        return Cutting.job(
                in("43"),
                pieces,
                sheet("o1", "17 3/4", "22", 1, FREE),
                sheet("o2", "9", "31 5/8", 2, FREE),
                sheet("p", "18", "22", 4, BigFraction.of(250)));
    }
}
