package mardun.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.material.ClothPiece;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Which of several layouts an aim takes: it is never beaten by another at its own measure. */
class AimTest {

    private static final OffcutUse SELDOM = new OffcutUse(new BigDecimal("0.3"), new BigDecimal("0.7"));

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static CuttingTerms terms(OffcutUse use) {
        return new CuttingTerms(
                BigFraction.of(900, 914_400_000),
                BigFraction.of(1, 3600),
                Duration.ofSeconds(60),
                Duration.ofSeconds(10),
                Duration.ofSeconds(4),
                2,
                in("1/4"),
                in("4"),
                in("6"),
                use,
                true,
                CuttingTerms.Curves.NOTHING);
    }

    private static final CutPiece PANEL =
            new CutPiece(PieceKey.of("A"), "Panel", new Extent(in("12"), in("15")), 4, true, false);

    private static CuttingJob job(OffcutUse use, List<Roll> rolls, List<ClothPiece> sheets, Set<String> chosen) {
        ShelfCloth cloth = new ShelfCloth(in("44"), sheets, rolls, Optional.empty(), false);
        return new CuttingJob(
                List.of(PANEL), cloth, terms(use), List.of(new Bags(1, 1, Map.of(PANEL.key(), 4L))), chosen);
    }

    private static Placed panel(String x, String y) {
        return new Placed(PieceKey.of("A"), in(x), in(y), in("12"), in("15"), false);
    }

    /** Three and one: 30 in of the roll, with a rest of 32 x 15 beside the last one and 8 x 15 beside the three. */
    private static CuttingLayout threeAndOne(String lot) {
        return new CuttingLayout(List.of(new ClothLayout(
                lot,
                true,
                in("44"),
                in("30"),
                List.of(panel("0", "0"), panel("12", "0"), panel("24", "0"), panel("0", "15")))));
    }

    /** Two and two, turned in the second strip: 27 in, with rests of 20 x 15 and 14 x 12. */
    private static CuttingLayout twoAndTwo(String lot) {
        return new CuttingLayout(List.of(new ClothLayout(
                lot,
                true,
                in("44"),
                in("27"),
                List.of(
                        panel("0", "0"),
                        panel("12", "0"),
                        new Placed(PieceKey.of("A"), in("0"), in("15"), in("15"), in("12"), true),
                        new Placed(PieceKey.of("A"), in("15"), in("15"), in("15"), in("12"), true)))));
    }

    @Test
    void theBestOffcutIsTheLargest() {
        CuttingJob job = job(SELDOM, List.of(), List.of(), Set.of());
        assertThat(Aim.BEST_OFFCUT.best(List.of(twoAndTwo(""), threeAndOne("")), job))
                .isEqualTo(threeAndOne(""));
    }

    @Test
    void whatGoesBackCountsAsFarAsItIsLikelyToBeUsed() {
        CuttingJob seldom = job(SELDOM, List.of(), List.of(), Set.of());
        assertThat(Aim.MONEY.best(List.of(twoAndTwo(""), threeAndOne("")), seldom))
                .isEqualTo(twoAndTwo(""));
        CuttingBill three = CuttingBill.of(threeAndOne(""), seldom);
        CuttingBill certain = CuttingBill.of(threeAndOne(""), job(OffcutUse.CERTAIN, List.of(), List.of(), Set.of()));
        assertThat(three.goesBack()).isEqualTo(certain.goesBack());
        assertThat(three.total()).isGreaterThan(certain.total());
    }

    @Test
    void leastMoneyMakesNoShortageLarger() {
        CuttingJob short30 = job(OffcutUse.CERTAIN, List.of(new Roll("7", "", in("10"))), List.of(), Set.of());
        assertThat(CuttingBill.of(threeAndOne(""), short30).toBuy()).isEqualTo(in("30 1/4"));
        assertThat(Aim.MONEY.best(List.of(threeAndOne(""), twoAndTwo("")), short30))
                .isEqualTo(twoAndTwo(""));
    }

    /** What the maker ticked is used first, whatever is aimed at, also where it takes more cuts or costs more. */
    @ParameterizedTest
    @EnumSource(Aim.class)
    void whatWasChosenComesFirst(Aim aim) {
        ClothPiece sheet = new ClothPiece("9", new Extent(in("12"), in("15")), 4, BigFraction.of(5000));
        CuttingLayout onSheets = new CuttingLayout(List.of(ofSheet(), ofSheet(), ofSheet(), ofSheet()));
        CuttingJob job = job(SELDOM, List.of(), List.of(sheet), Set.of("9"));
        assertThat(aim.best(List.of(threeAndOne(""), onSheets, twoAndTwo("")), job))
                .isEqualTo(onSheets);
        CuttingLayout found = ShelfSearch.search(job, aim, 1, Budget.of(2000, () -> false), better -> {});
        assertThat(found.bolts()).isEmpty();
    }

    private static ClothLayout ofSheet() {
        return new ClothLayout("9", false, in("12"), in("15"), List.of(panel("0", "0")));
    }

    @ParameterizedTest
    @CsvSource({"4 x 6, 0.3", "22 x 18, 0.7", "40 x 40, 0.7", "11 x 19.090909, 0.5016"})
    void largerOffcutsAreLikelierToBeUsed(String size, double likely) {
        String[] sides = size.split(" x ");
        double of = SELDOM.of(new Extent(in(sides[0]), in(sides[1])).area(), new Extent(in("4"), in("6")).area())
                .doubleValue();
        assertThat(of).isCloseTo(likely, within(0.01));
    }

    @Test
    void aPatientBudgetEndsWhenNothingBetterIsLikely() {
        Budget budget = Budget.patient(1_000_000, 100, () -> false);
        budget.spend(50);
        budget.found();
        budget.spend(240);
        assertThat(budget.isSpent()).isFalse();
        budget.spend(20);
        assertThat(budget.isSpent()).isTrue();
        Budget part = Budget.patient(1_000_000, 100, () -> false).part(500_000);
        part.spend(101);
        assertThat(part.isSpent()).isTrue();
    }

    @Test
    void aTrivialJobIsSearchedNoLongerThanItIsWorth() {
        CuttingJob job = job(SELDOM, List.of(), List.of(), Set.of());
        Budget budget = Budget.patient(LayoutSearch.USUAL_WORK, 1_000, () -> false);
        CuttingLayout found = ShelfSearch.search(job, Aim.LEAST_CLOTH, 1, budget, better -> budget.found());
        assertThat(found.boltLength()).isLessThanOrEqualTo(in("27"));
        assertThat(budget.done()).isLessThan(LayoutSearch.USUAL_WORK / 10);
    }
}
