package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.StripArithmetic;
import mardun.core.design.Design;
import mardun.core.design.DesignMaker;
import mardun.core.design.Finding;
import mardun.core.design.Mark;
import mardun.core.design.NotionNeed;
import mardun.core.design.Piece;
import mardun.core.design.Pouch;
import mardun.core.design.Role;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Shrinkage;
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

/** What lies on the shelf, and in which form, changes what a batch takes and costs. */
class StockPlanningTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final UnitPrice NINE_A_YARD = new UnitPrice(Money.of(EUR, 9), Amount.of(in("1 yd")));
    private static final Amount FIVE_YARDS = Amount.of(in("5 yd"));

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Supply cloth(String slot) {
        return Supply.of(
                slot,
                slot,
                slot,
                MaterialKind.CLOTH,
                Optional.of(in("43 in")),
                Optional.empty(),
                false,
                NINE_A_YARD,
                FIVE_YARDS);
    }

    private static Supply notion(String slot, Optional<ClosedZip> zip) {
        UnitPrice price = new UnitPrice(Money.of(EUR, 2), Amount.pieces(10));
        return new Supply(
                slot,
                slot,
                slot,
                MaterialKind.NOTION,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                Shrinkage.NONE,
                Optional.empty(),
                zip,
                Map.of(Part.WHOLE, Stock.of(Amount.pieces(100), price)),
                List.of(),
                price,
                Supply.Lie.UNKNOWN);
    }

    private static Supply zip(String length, boolean metal) {
        return notion("zip", Optional.of(new ClosedZip(in(length), metal)));
    }

    private static BatchPlan plan(Design design, Supply outer, Supply zip, Supply label) {
        Workroom workroom = Workrooms.atAnHourly(19);
        return new BatchPlanner(new StripArithmetic())
                .plan(
                        List.of(BatchLine.only(
                                design,
                                1,
                                24,
                                List.of(
                                        outer,
                                        cloth("lining"),
                                        cloth("interfacing"),
                                        zip,
                                        notion("slider", Optional.empty()),
                                        label),
                                Optional.empty())),
                        workroom);
    }

    private static BatchPlan plan(Supply outer) {
        return plan(Pouch.design(), outer, zip("10 in", false), notion("label", Optional.empty()));
    }

    private static Need need(BatchPlan plan, String slot) {
        return plan.needs().stream()
                .filter(need -> need.supply().slot().equals(slot))
                .findFirst()
                .orElseThrow();
    }

    private static long lineMinor(BatchPlan plan, int line) {
        return plan.line(1)
                .cost()
                .orElseThrow()
                .lines()
                .get(line)
                .cost()
                .value()
                .getAmountMinorLong();
    }

    @Test
    void aClosedNylonZipIsCountedAndCutDown() {
        BatchPlan plan = plan(cloth("outer"));
        assertThat(plan.isComplete()).isTrue();
        assertThat(need(plan, "zip").amount()).isEqualTo(Amount.pieces(24));
    }

    @Test
    void aZipThatIsTooShortOrMetalIsRefused() {
        for (Supply zip : List.of(zip("9 in", false), zip("10 in", true))) {
            BatchPlan plan = plan(Pouch.design(), cloth("outer"), zip, notion("label", Optional.empty()));
            assertThat(plan.findings()).filteredOn(Finding::isRefused).hasSize(1);
            assertThat(plan.findings().get(plan.findings().size() - 1).place()).isEqualTo("materials.zip");
        }
        assertThat(plan(Pouch.design(), cloth("outer"), zip("9 1/2 in", true), notion("label", Optional.empty()))
                        .isComplete())
                .isTrue();
    }

    @Test
    void halvesThatLieApartAreNeededApart() {
        Design pouch = Pouch.design();
        Design snapped = new Design(
                pouch.name(),
                pouch.sort(),
                pouch.sizes(),
                pouch.measurements(),
                pouch.form(),
                pouch.wished(),
                pouch.liningSeam(),
                pouch.pieces(),
                pouch.panels(),
                pouch.trims(),
                List.of(
                        pouch.notions().get(0),
                        new NotionNeed("sockets", "label", "3", Mark.Half.SOCKET),
                        new NotionNeed("stud", "label", "1", Mark.Half.STUD)),
                pouch.fillings(),
                pouch.zips(),
                pouch.straps(),
                pouch.casings(),
                pouch.gathers(),
                pouch.steps(),
                pouch.slots(),
                pouch.source(),
                pouch.forChildren(),
                pouch.setAside());
        Supply sets = notion("label", Optional.empty());
        assertThat(need(plan(snapped, cloth("outer"), zip("10 in", false), sets), "label")
                        .amount())
                .isEqualTo(Amount.pieces(72));
        UnitPrice half = new UnitPrice(Money.of(EUR, 1), Amount.pieces(10));
        Supply apart = sets.stocked(
                Map.of(Part.SOCKET, Stock.of(Amount.pieces(60), half), Part.STUD, Stock.of(Amount.pieces(60), half)));
        BatchPlan plan = plan(snapped, cloth("outer"), zip("10 in", false), apart);
        assertThat(plan.needs())
                .filteredOn(need -> need.supply().slot().equals("label"))
                .extracting(Need::part, Need::amount, Need::isShort)
                .containsExactly(
                        tuple(Part.SOCKET, Amount.pieces(72), true), tuple(Part.STUD, Amount.pieces(24), false));
    }

    private static Supply shrinking(Supply washed, boolean afterCutting) {
        return new Supply(
                "outer",
                "outer",
                "outer",
                MaterialKind.CLOTH,
                washed.usableWidth(),
                Optional.empty(),
                washed.cloth(),
                false,
                new Shrinkage(new BigDecimal("0.05"), afterCutting),
                Optional.empty(),
                Optional.empty(),
                washed.stock(),
                List.of(),
                NINE_A_YARD,
                Supply.Lie.UNKNOWN);
    }

    @Test
    void clothThatShrinksIsNarrowerAndMoreOfItIsTaken() {
        Supply washed = cloth("outer");
        Supply raw = shrinking(washed, false);
        // 43 in shrink to 40.85 in: no longer four panels of 10 1/2 in side by side, so they are turned, five in a
        // strip
        // of 10 1/2 in; ten strips, and 5 in of tabs, are 110 in of the washed cloth, or 115 15/19 in of the raw one
        assertThat(need(plan(washed), "outer").amount()).isEqualTo(Amount.of(in("101 in")));
        assertThat(need(plan(raw), "outer").amount()).isEqualTo(Amount.of(new Length(2_941_052_632L)));
    }

    /** A panel of 10 1/2 in is cut 11 1/8 in, so that only three lie side by side. */
    @Test
    void piecesOfClothThatShrinksAfterwardsAreCutLarger() {
        Supply raw = shrinking(cloth("outer"), true);
        BatchPlan plan = plan(raw);
        CutPiece panel = ClothNeeds.cutPieces(raw, plan.pieces()).get(0);
        assertThat(plan.pieces().get(0).piece().extent().width()).isEqualTo(in("10 1/2"));
        assertThat(panel.extent().width()).isEqualTo(in("11 1/8"));
        assertThat(need(plan, "outer").amount())
                .isGreaterThan(need(plan(cloth("outer")), "outer").amount());
        assertThat(need(plan, "outer").working().toString()).doesNotContain("washed");
    }

    @Test
    void offcutsSaveClothAndCostWhatTheyAreWorth() {
        Supply outer = cloth("outer");
        BatchPlan without = plan(outer);
        ClothPiece panels = new ClothPiece("7", new Extent(in("21 in"), in("16 in")), 12, BigFraction.of(50));
        BatchPlan with = plan(outer.with(List.of(panels)));
        Need need = need(with, "outer");
        assertThat(need.offcuts()).hasSize(1);
        assertThat(need.offcuts().get(0).count()).isEqualTo(12);
        assertThat(need.offcuts().get(0).pieces()).containsEntry(PieceKey.of("A"), 48L);
        assertThat(need.amount()).isLessThan(need(without, "outer").amount());
        BigFraction cost =
                NINE_A_YARD.cost(need.amount()).add(BigFraction.of(600)).divide(24);
        assertThat(lineMinor(with, 0)).isBetween((long) cost.doubleValue() - 1, (long) cost.doubleValue() + 1);
    }

    @Test
    void whatWasPaidLotByLotIsWhatItCosts() {
        Amount yard = Amount.of(in("1 yd"));
        Worth worth = new Worth(List.of(new Worth.Layer(yard, BigFraction.of(360))), NINE_A_YARD);
        Supply outer = cloth("outer");
        BatchPlan plan =
                plan(outer.stocked(Map.of(Part.WHOLE, new Stock(FIVE_YARDS, Amount.none(yard.counting()), worth))));
        Amount taken = need(plan, "outer").amount();
        BigFraction cost = BigFraction.of(360).add(NINE_A_YARD.cost(taken.minus(yard)));
        assertThat(lineMinor(plan, 0))
                .isBetween(
                        (long) cost.divide(24).doubleValue() - 1,
                        (long) cost.divide(24).doubleValue() + 1);
        assertThat(plan.line(1)
                        .cost()
                        .orElseThrow()
                        .lines()
                        .get(0)
                        .cost()
                        .working()
                        .inputs())
                .extracting(input -> input.label())
                .containsExactly("outer, from the shelf", "outer, to buy", "units");
    }

    @Test
    void whatOthersHaveReservedIsNotThere() {
        Supply outer = cloth("outer");
        BatchPlan plan = plan(
                outer.stocked(Map.of(Part.WHOLE, new Stock(FIVE_YARDS, Amount.of(in("4 yd")), Worth.of(NINE_A_YARD)))));
        Need need = need(plan, "outer");
        assertThat(need.isShort()).isTrue();
        assertThat(need.shortBy()).isEqualTo(need.amount().minus(Amount.of(in("1 yd"))));
    }

    private static Supply sheets(String size, long onHand) {
        String[] sides = size.split(" x ");
        UnitPrice price = new UnitPrice(Money.of(EUR, 3), Amount.pieces(2));
        return new Supply(
                "outer",
                "felt",
                "Felt sheets",
                MaterialKind.SHEET,
                Optional.of(in(sides[0])),
                Optional.of(new Extent(in(sides[0]), in(sides[1]))),
                Optional.empty(),
                false,
                Shrinkage.NONE,
                Optional.empty(),
                Optional.empty(),
                Map.of(Part.WHOLE, Stock.of(Amount.pieces(onHand), price)),
                List.of(),
                price,
                Supply.Lie.UNKNOWN);
    }

    private static BatchPlan ofSheets(Supply sheets, int units) {
        Design design = DesignMaker.empty()
                .cloth("outer")
                .pieces(Piece.of("A", "Leaf", Role.OUTER, "outer", "2", "5 in", "4 in"))
                .make();
        return new BatchPlanner(new StripArithmetic())
                .plan(
                        List.of(BatchLine.only(design, 0, units, List.of(sheets), Optional.empty())),
                        Workrooms.atAnHourly(19));
    }

    /** On a sheet of 11 x 8 in lie four leaves of 5 x 4 in. */
    @Test
    void whatIsBoughtByTheSheetIsCountedInSheetsAndNeverBecomesARoll() {
        BatchPlan plan = ofSheets(sheets("11 x 8", 30), 11);
        assertThat(plan.findings()).isEmpty();
        assertThat(plan.needs()).singleElement().satisfies(need -> {
            assertThat(need.amount()).isEqualTo(Amount.pieces(6));
            assertThat(need.isShort()).isFalse();
            assertThat(need.left()).isEmpty();
        });
        assertThat(ofSheets(sheets("11 x 8", 4), 11).needs().get(0).shortBy()).isEqualTo(Amount.pieces(2));
        assertThat(plan.line(1).cost().orElseThrow().material().value()).isEqualTo(Money.parse("EUR 0.82"));
    }

    @Test
    void aPieceThatNoSheetHoldsIsRefused() {
        BatchPlan plan = ofSheets(sheets("4 x 3", 30), 1);
        assertThat(plan.findings()).singleElement().satisfies(finding -> {
            assertThat(finding.isRefused()).isTrue();
            assertThat(finding.what().words()).contains("Leaf is").contains("and a sheet only");
        });
    }
}
