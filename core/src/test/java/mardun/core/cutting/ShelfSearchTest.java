package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.LayoutCheck.Flaw;
import mardun.core.material.ClothPiece;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

class ShelfSearchTest {

    private static final long WORK = 3000;

    private static CutPiece piece(String letter, String width, String height, long count) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(in(width), in(height)), count, false);
    }

    private static CutPiece meeting(String letter, String width, String height, long count) {
        return new CutPiece(PieceKey.of(letter), letter, new Extent(in(width), in(height)), count, true, true);
    }

    private static Roll roll(String key, String dye, String length) {
        return new Roll(key, dye, in(length));
    }

    private static CuttingJob job(int bags, ShelfCloth cloth, CutPiece... pieces) {
        return new CuttingJob(List.of(pieces), cloth, Cutting.terms(), bags);
    }

    private static ShelfCloth on(Roll... rolls) {
        return new ShelfCloth(in("42"), List.of(), List.of(rolls), Optional.empty(), false);
    }

    private static CuttingLayout search(CuttingJob job) {
        CuttingLayout layout = ShelfSearch.search(job, Aim.LEAST_CLOTH, 1, Budget.of(WORK, () -> false), better -> {});
        assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
        return layout;
    }

    @Test
    void noStripGoesOverTheEndOfARoll() {
        CuttingLayout layout =
                search(job(10, on(roll("1", "", "22"), roll("2", "", "60")), piece("A", "10", "10", 16)));
        assertThat(layout.cloths())
                .extracting(ClothLayout::lot, ClothLayout::length)
                .containsExactly(tuple("1", in("20")), tuple("2", in("20")));
        assertThat(layout.takenOfRolls(in("1/4"))).isEqualTo(in("40 1/2"));
    }

    @Test
    void whatTheRollsDoNotGiveIsToBeBought() {
        CuttingJob job = job(10, on(roll("1", "", "15"), roll("2", "", "15")), piece("A", "10", "10", 12));
        CuttingLayout layout = search(job);
        ClothLayout bought = layout.cloths().get(2);
        assertThat(bought.isOfAnyRoll()).isTrue();
        assertThat(bought.length()).isEqualTo(in("10"));
        assertThat(StripsOnRolls.toBuy(bought, layout, job.cloth(), in("1/4"))).isEqualTo(in("10 1/4"));
        ShelfCloth filledUp = on(roll("1", "", "15"), roll("2", "", "15"), roll("3", "", "10 1/4"));
        assertThat(StripsOnRolls.toBuy(bought, layout, filledUp, in("1/4")).isZero())
                .isTrue();
    }

    @Test
    void allComesFromTheDyeLotThatHasJustEnough() {
        ShelfCloth cloth = on(roll("1", "A", "100"), roll("2", "b", "30"), roll("3", "B", "12"), roll("4", "C", "25"));
        CuttingLayout layout = search(job(10, cloth, piece("A", "10", "10", 12)));
        assertThat(layout.cloths()).extracting(ClothLayout::lot).containsExactlyInAnyOrder("2", "3");
    }

    @Test
    void allPiecesOfABagComeFromOneDyeLot() {
        ShelfCloth cloth = on(roll("1", "A", "31"), roll("2", "B", "45"));
        CuttingJob job = job(12, cloth, piece("A", "10", "10", 24), piece("B", "5", "6", 12));
        CuttingLayout layout = search(job);
        assertThat(layout.cloths()).hasSizeBetween(2, 3);
        for (ClothLayout one : layout.cloths()) {
            assertThat(count(one, "A")).isEqualTo(2 * count(one, "B"));
        }
    }

    @Test
    void offcutsOfAnotherDyeAreLeft() {
        List<ClothPiece> sheets = List.of(
                new ClothPiece("7", new Extent(in("31"), in("31")), 1, BigFraction.ZERO, "B"),
                new ClothPiece("8", new Extent(in("31"), in("31")), 1, BigFraction.ZERO, "a "),
                new ClothPiece("9", new Extent(in("11"), in("11")), 1, BigFraction.ZERO));
        ShelfCloth cloth = new ShelfCloth(in("42"), sheets, List.of(roll("1", "A", "99")), Optional.empty(), false);
        assertThat(search(job(10, cloth, piece("A", "10", "10", 20))).cloths())
                .extracting(ClothLayout::lot)
                .containsExactlyInAnyOrder("8", "9", "1");
        ShelfCloth dyes = new ShelfCloth(
                in("42"), sheets, List.of(roll("1", "A", "99"), roll("2", "B", "40")), Optional.empty(), false);
        assertThat(search(job(10, dyes, piece("A", "10", "10", 20))).cloths())
                .as("the smaller roll would do, but not beside an offcut of the other dye")
                .extracting(ClothLayout::lot)
                .containsExactlyInAnyOrder("8", "9", "1");
    }

    @Test
    void nothingIsMixedWhereTheWholeBatchHasToBeOfOneDye() {
        ShelfCloth one = new ShelfCloth(
                in("42"), List.of(), List.of(roll("1", "A", "31"), roll("2", "B", "45")), Optional.empty(), true);
        CuttingLayout layout = search(job(12, one, piece("A", "10", "10", 24), piece("B", "5", "6", 12)));
        assertThat(layout.cloths()).singleElement().matches(ClothLayout::isOfAnyRoll);
    }

    private static long count(ClothLayout cloth, String letter) {
        return cloth.pieces().stream()
                .filter(piece -> piece.key().letter().equals(letter))
                .count();
    }

    @Test
    void whatMeetsThePrintBeginsAtWholeRepeats() {
        ShelfCloth print = new ShelfCloth(
                in("42"),
                List.of(new ClothPiece("7", new Extent(in("30"), in("30")), 1, BigFraction.ZERO)),
                List.of(roll("1", "", "40"), roll("2", "", "90")),
                Optional.of(in("8")),
                false);
        CuttingJob job = job(12, print, meeting("A", "10", "10", 12), piece("B", "5", "6", 24));
        CuttingLayout layout = search(job);
        List<Placed> meeting = layout.bolts().stream()
                .flatMap(cloth -> cloth.pieces().stream())
                .filter(placed -> placed.key().equals(PieceKey.of("A")))
                .toList();
        assertThat(meeting).hasSize(12).allMatch(placed -> placed.y().nanometres() % in("8").nanometres() == 0);
        assertThat(meeting).noneMatch(Placed::turned);
        // Three strips of 10 in, of which two take two whole repeats of 8 in
        assertThat(layout.boltLength()).isLessThanOrEqualTo(in("48"));
    }

    @Test
    void aPieceOutOfTheRepeatIsAFlaw() {
        ShelfCloth print = new ShelfCloth(in("42"), List.of(), List.of(), Optional.of(in("8")), false);
        CuttingJob job = job(1, print, meeting("A", "10", "6", 2));
        Placed first = new Placed(PieceKey.of("A"), in("0"), in("0"), in("10"), in("6"), false);
        Placed out = new Placed(PieceKey.of("A"), in("0"), in("6"), in("10"), in("6"), false);
        Placed met = new Placed(PieceKey.of("A"), in("0"), in("8"), in("10"), in("6"), false);
        assertThat(LayoutCheck.flaws(bolt("14", first, out), job)).containsExactly(Flaw.OUT_OF_REPEAT);
        assertThat(LayoutCheck.flaws(bolt("14", first, met), job)).isEmpty();
        Recut again = Recut.of(bolt("14", first, met), meeting("A", "10", "6", 1), print, in("1/4"));
        assertThat(again.piece().y().nanometres() % in("8").nanometres()).isZero();
    }

    private static CuttingLayout bolt(String length, Placed... pieces) {
        return new CuttingLayout(List.of(ClothLayout.onBolt(in("42"), in(length), List.of(pieces))));
    }

    @Test
    void aRollThatIsTooShortOrGoneIsAFlaw() {
        CuttingJob job = job(1, on(roll("1", "", "10")), piece("A", "10", "10", 1));
        Placed one = new Placed(PieceKey.of("A"), in("0"), in("0"), in("10"), in("10"), false);
        ClothLayout onRoll = new ClothLayout("1", true, in("42"), in("10"), List.of(one));
        assertThat(LayoutCheck.flaws(new CuttingLayout(List.of(onRoll)), job)).containsExactly(Flaw.UNKNOWN_CLOTH);
        CuttingJob enough = job(1, on(roll("1", "", "10 1/4")), piece("A", "10", "10", 1));
        assertThat(LayoutCheck.flaws(new CuttingLayout(List.of(onRoll)), enough))
                .isEmpty();
    }

    @Test
    void aSpoiledPieceComesFromARollThatStillGivesIt() {
        CutPiece kind = piece("A", "42", "10", 1);
        ClothLayout begun = new ClothLayout(
                "1",
                true,
                in("42"),
                in("10"),
                List.of(new Placed(PieceKey.of("A"), in("0"), in("0"), in("42"), in("10"), false)));
        CuttingLayout layout = new CuttingLayout(List.of(begun));
        assertThat(Recut.of(layout, kind, on(roll("1", "", "30")), in("1/4")).cloth())
                .isZero();
        Recut fresh = Recut.of(layout, kind, on(roll("1", "", "20")), in("1/4"));
        assertThat(Recut.with(layout, List.of(fresh), on()).cloths().get(1).isOfAnyRoll())
                .isTrue();
    }

    @Test
    void aSpoiledPieceComesFromTheDyeLotOfItsBag() {
        CutPiece kind = piece("A", "10", "10", 1);
        Placed one = new Placed(PieceKey.of("A"), in("0"), in("0"), in("10"), in("10"), false);
        ClothLayout ofA = new ClothLayout("1", true, in("42"), in("10"), List.of(one));
        ClothLayout ofB = new ClothLayout("2", true, in("21"), in("10"), List.of(one));
        CuttingLayout layout = new CuttingLayout(List.of(ofA, ofB));
        ShelfCloth two = on(roll("1", "A", "30"), roll("2", "B", "10"));
        assertThat(two.isOfSeveralDyes(layout)).isTrue();
        assertThat(two.isOfSeveralDyes(new CuttingLayout(List.of(ofA)))).isFalse();
        assertThat(Recut.of(layout, kind, two, in("1/4")).cloth()).isEqualTo(1);
        assertThat(Recut.like(0, layout, kind, two, in("1/4")).cloth()).isZero();
        CutPiece wide = piece("A", "22", "10", 1);
        assertThat(Recut.like(1, layout, wide, two, in("1/4")).cloth())
                .as("roll 2 has no more, and roll 1 is of another dye")
                .isEqualTo(2);
        ClothLayout offcut = new ClothLayout("9", false, in("11"), in("10"), List.of());
        assertThat(two.goTogether(ofA, offcut)).as("an offcut without a mark").isTrue();
        assertThat(two.goTogether(ofA, ClothLayout.onBolt(in("42"), in("10"), List.of())))
                .as("a roll that is still to be bought")
                .isFalse();
    }

    @Test
    void aPrintThatNeverComesAgainIsNone() {
        assertThatThrownBy(() -> new ShelfCloth(in("42"), List.of(), List.of(), Optional.of(in("0")), false))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Whatever lies on the shelf: every piece once, on cloth that is there, bags in one dye, prints met, area kept. */
    @Test
    void anyShelfGivesALayoutThatCanBeCut() {
        Random random = new Random(11);
        for (int round = 0; round < 60; round++) {
            int bags = 1 + random.nextInt(8);
            List<CutPiece> pieces = new ArrayList<>();
            for (int kind = 0; kind < 1 + random.nextInt(3); kind++) {
                pieces.add(new CutPiece(
                        PieceKey.of("P" + kind),
                        "",
                        new Extent(sixteenths(random, 40, 300), sixteenths(random, 40, 300)),
                        (long) bags * (1 + random.nextInt(2)),
                        random.nextBoolean(),
                        random.nextInt(3) == 0));
            }
            List<Roll> rolls = new ArrayList<>();
            for (int i = 0; i < random.nextInt(5); i++) {
                rolls.add(new Roll("R" + i, random.nextBoolean() ? "" : "D", sixteenths(random, 10, 900)));
            }
            Optional<Length> repeat =
                    random.nextBoolean() ? Optional.of(sixteenths(random, 30, 200)) : Optional.empty();
            CuttingJob job = new CuttingJob(
                    pieces,
                    new ShelfCloth(in("42"), List.of(), rolls, repeat, random.nextInt(4) == 0),
                    Cutting.terms(),
                    bags);
            CuttingLayout layout = ShelfSearch.search(job, Aim.MONEY, round, Budget.of(300, () -> false), better -> {});
            assertThat(LayoutCheck.flaws(layout, job)).as("round %d", round).isEmpty();
            assertBagsAreOfOneDye(layout, job);
            layout.cloths().forEach(ShelfSearchTest::assertAreaIsKept);
        }
    }

    private static void assertBagsAreOfOneDye(CuttingLayout layout, CuttingJob job) {
        Map<String, Map<PieceKey, Long>> byDye = new HashMap<>();
        for (ClothLayout cloth : layout.cloths()) {
            String dye = job.cloth().rolls().stream()
                    .filter(roll -> roll.key().equals(cloth.lot()))
                    .map(Roll::dyeLot)
                    .findFirst()
                    .orElse("bought");
            job.pieces()
                    .forEach(piece -> byDye.computeIfAbsent(dye, any -> new HashMap<>())
                            .merge(piece.key(), count(cloth, piece.key().letter()), Long::sum));
        }
        long dyes = job.cloth().rolls().stream().map(Roll::dyeLot).distinct().count();
        if (dyes > 1) {
            byDye.values()
                    .forEach(given -> assertThat(job.pieces().stream()
                                    .map(piece -> given.get(piece.key()) * job.units() / piece.count())
                                    .distinct())
                            .hasSize(1));
        }
    }

    private static void assertAreaIsKept(ClothLayout cloth) {
        CutTree tree = CutTree.of(cloth);
        BigInteger pieces = cloth.pieces().stream()
                .map(piece -> piece.area().squareNanometres())
                .reduce(BigInteger.ZERO, BigInteger::add);
        BigInteger rests = tree.rests()
                .map(rest -> rest.extent().area().squareNanometres())
                .reduce(BigInteger.ZERO, BigInteger::add);
        assertThat(pieces.add(rests)).isEqualTo(cloth.area().squareNanometres());
    }

    private static Length sixteenths(Random random, int from, int to) {
        return new Length((from + random.nextInt(to - from)) * 1_587_500L);
    }
}
