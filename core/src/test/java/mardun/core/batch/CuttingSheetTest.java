package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.CuttingTerms;
import mardun.core.cutting.LayoutSearch;
import mardun.core.cutting.Recut;
import mardun.core.cutting.ShelfCloth;
import mardun.core.cutting.StripArithmetic;
import mardun.core.design.Pouch;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.material.Worth;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** A batch's plan goes by its cutting sheet as long as that serves it. */
class CuttingSheetTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final int UNITS = 11;
    private static final Workroom WORKROOM = Workrooms.atAnHourly(18);

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Supply supply(String slot, MaterialKind kind, Optional<Length> width, UnitPrice price) {
        Amount plenty = kind == MaterialKind.NOTION ? Amount.pieces(500) : Amount.of(Length.of(50, LengthUnit.METRE));
        return Supply.of(slot, slot, slot, kind, width, Optional.empty(), true, price, plenty);
    }

    private static Supply cloth(String slot) {
        return supply(
                slot,
                MaterialKind.CLOTH,
                Optional.of(in("43")),
                new UnitPrice(Money.of(EUR, 12), Amount.of(Length.of(1, LengthUnit.METRE))));
    }

    private static List<Supply> supplies(Supply outer) {
        UnitPrice small = new UnitPrice(Money.of(EUR, 1), Amount.pieces(10));
        UnitPrice tape = new UnitPrice(Money.of(EUR, 1), Amount.of(Length.of(1, LengthUnit.METRE)));
        return List.of(
                outer,
                cloth("lining"),
                cloth("interfacing"),
                supply("zip", MaterialKind.TRIM, Optional.empty(), tape),
                supply("slider", MaterialKind.NOTION, Optional.empty(), small),
                supply("label", MaterialKind.NOTION, Optional.empty(), small));
    }

    private static BatchPlan plan(int units, Supply outer, Map<String, CuttingSheet> sheets) {
        return new BatchPlanner(new StripArithmetic())
                .plan(
                        List.of(BatchLine.only(Pouch.design(), 1, units, supplies(outer), Optional.empty())),
                        WORKROOM,
                        sheets);
    }

    private static Need outer(BatchPlan plan) {
        return plan.needs().stream()
                .filter(need -> need.supply().slot().equals("outer"))
                .findFirst()
                .orElseThrow();
    }

    private static List<CutPiece> pieces(BatchPlan plan, Supply outer) {
        return ClothNeeds.cutPieces(outer, lines(plan));
    }

    private static List<PieceLine> lines(BatchPlan plan) {
        return plan.pieces().stream()
                .filter(line -> line.piece().piece().slot().equals("outer"))
                .toList();
    }

    private static CuttingJob job(Supply outer, BatchPlan plan) {
        CuttingTerms terms = new CuttingTerms(
                BigFraction.of(1200, 1_000_000_000),
                BigFraction.of(1800, 3600),
                Duration.ofSeconds(60),
                Duration.ofSeconds(10),
                Duration.ofSeconds(4),
                2,
                in("1/4"),
                in("4"),
                in("6"),
                true);
        return new CuttingJob(
                pieces(plan, outer), ClothNeeds.shelfCloth(outer, lines(plan), outer.pieces()), terms, plan.units());
    }

    private static CuttingSheet sheet(Supply outer, Aim aim) {
        CuttingJob job = job(outer, plan(UNITS, outer, Map.of()));
        CuttingLayout layout = LayoutSearch.search(job, aim, 1, Budget.of(3000, () -> false), better -> {});
        return new CuttingSheet(
                layout, in("1/4"), Map.of(), CuttingBill.of(layout, job).back());
    }

    @Test
    void aPlanTakesWhatItsSheetTakesAndSaysHow() {
        Supply outer = cloth("outer");
        CuttingSheet sheet = sheet(outer, Aim.LEAST_CLOTH);
        Need by = outer(plan(UNITS, outer, Map.of("outer", sheet)));
        Length taken = sheet.layout().boltLength().plus(in("1/4"));
        assertThat(by.amount()).isEqualTo(Amount.of(taken));
        assertThat(by.sheet()).contains(sheet);
        assertThat(by.working().rule()).startsWith("By the cutting sheet");
        Need pencil = outer(plan(UNITS, outer, Map.of()));
        assertThat(pencil.sheet()).isEmpty();
        assertThat(by.amount().value())
                .isLessThanOrEqualTo(pencil.amount().value() + in("1/4").nanometres());
    }

    @Test
    void whatGoesBackOnTheShelfIsNotInTheCost() {
        Supply outer = cloth("outer");
        CuttingSheet sheet = sheet(outer, Aim.MONEY);
        CuttingSheet nothingBack =
                new CuttingSheet(sheet.layout(), sheet.squaring(), Map.of(), CuttingBill.Back.NOTHING);
        CuttingSheet muchBack = new CuttingSheet(
                sheet.layout(),
                sheet.squaring(),
                Map.of(),
                new CuttingBill.Back(BigFraction.of(1, 10), BigFraction.ZERO));
        long without = cost(plan(UNITS, outer, Map.of("outer", nothingBack)));
        long with = cost(plan(UNITS, outer, Map.of("outer", muchBack)));
        double cloth =
                outer(plan(UNITS, outer, Map.of("outer", nothingBack))).cost().doubleValue();
        assertThat((double) (without - with)).isCloseTo(cloth / 10 / UNITS, within(1.0));
    }

    /** Cloth that was given costs nothing, so what goes back of it is worth nothing: nobody is paid for cutting it. */
    @Test
    void whatGoesBackOfClothThatCostsNothingIsWorthNothing() {
        Supply outer = cloth("outer");
        CuttingSheet sheet = sheet(outer, Aim.MONEY);
        assertThat(sheet.back().ofRolls()).isGreaterThan(BigFraction.ZERO).isLessThan(BigFraction.ONE);
        Amount there = Amount.of(Length.of(100, LengthUnit.METRE));
        Worth given = new Worth(List.of(new Worth.Layer(there, BigFraction.ZERO)), outer.price());
        Supply free = outer.stocked(Map.of(Part.WHOLE, new Stock(there, Amount.none(there.counting()), given)));
        BatchPlan plan = plan(UNITS, free, Map.of("outer", sheet));
        assertThat(outer(plan).sheet()).isPresent();
        assertThat(plan.line(1)
                        .cost()
                        .orElseThrow()
                        .lines()
                        .get(0)
                        .cost()
                        .value()
                        .isZero())
                .isTrue();
    }

    private static long cost(BatchPlan plan) {
        return plan.line(1).cost().orElseThrow().full().value().getAmountMinorLong();
    }

    @Test
    void aSheetForOtherPiecesAnotherClothOrAnOffcutThatIsGoneIsLeftAside() {
        Supply outer = cloth("outer");
        CuttingSheet sheet = sheet(outer, Aim.MONEY);
        assertThat(outer(plan(UNITS + 1, outer, Map.of("outer", sheet))).sheet())
                .isEmpty();
        Supply wider = supply(
                "outer",
                MaterialKind.CLOTH,
                Optional.of(in("54")),
                cloth("outer").price());
        assertThat(outer(plan(UNITS, wider, Map.of("outer", sheet))).sheet()).isEmpty();
        ClothPiece offcut = new ClothPiece("7", new Extent(in("24"), in("20")), 1, BigFraction.ZERO);
        Supply withOffcut = outer.with(List.of(offcut));
        CuttingSheet onOffcut = sheet(withOffcut, Aim.MONEY);
        assertThat(onOffcut.layout().cloths()).hasSize(2);
        Need by = outer(plan(UNITS, withOffcut, Map.of("outer", onOffcut)));
        assertThat(by.offcuts()).singleElement().matches(use -> use.key().equals("7") && use.count() == 1);
        assertThat(outer(plan(UNITS, outer, Map.of("outer", onOffcut))).sheet()).isEmpty();
    }

    private static ShelfCloth whole(Length width) {
        return ShelfCloth.endless(width, List.of());
    }

    @Test
    void aSpoiledPieceIsTakenOnceMore() {
        Supply outer = cloth("outer");
        CuttingSheet sheet = sheet(outer, Aim.LEAST_CLOTH);
        CutPiece kind = pieces(plan(UNITS, outer, Map.of()), outer).get(0);
        CuttingLayout more = sheet.layout();
        for (int i = 0; i < 6; i++) {
            more = Recut.with(more, List.of(Recut.of(more, kind, whole(in("43")), in("1/4"))), whole(in("43")));
        }
        CuttingSheet again = new CuttingSheet(more, in("1/4"), Map.of(kind.key(), 6L), CuttingBill.Back.NOTHING);
        assertThat(outer(plan(UNITS, outer, Map.of("outer", again))).sheet()).contains(again);
        assertThat(again.layout().boltLength()).isGreaterThan(sheet.layout().boltLength());
        CuttingSheet unsaid = new CuttingSheet(more, in("1/4"), Map.of(), CuttingBill.Back.NOTHING);
        assertThat(outer(plan(UNITS, outer, Map.of("outer", unsaid))).sheet()).isEmpty();
    }

    @Test
    void nothingIsTakenFromTheRollWhereOffcutsGiveAll() {
        ClothPiece large = new ClothPiece("9", new Extent(in("43"), in("300")), 1, BigFraction.ZERO);
        Supply outer = cloth("outer").with(List.of(large));
        Need by = outer(plan(UNITS, outer, Map.of("outer", sheet(outer, Aim.MONEY))));
        assertThat(by.amount()).isEqualTo(Amount.of(Length.ZERO));
        assertThat(by.working().rule()).contains("all of it comes from offcuts and precuts");
        assertThat(by.left()).isNotEmpty();
    }
}
