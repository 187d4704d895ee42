package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import mardun.core.costing.UnitCost;
import mardun.core.cutting.StripArithmetic;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.Pouch;
import mardun.core.design.Sizing;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.UnitPricing;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BatchPlannerTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final int MEDIUM = 1;
    private final BatchPlanner planner = new BatchPlanner(new StripArithmetic());

    @Test
    void plansTwentyFourPouches() {
        BatchPlan plan = plan(24, supplies(), workroom(PriceSchool.MARKUP), Optional.empty());
        assertThat(plan.isComplete()).isTrue();
        assertThat(plan.pieces()).extracting(CutList.PieceLine::count).containsExactly(48L, 48L, 48L, 48L);
        // Outer: 12 strips of 8 in for the panels, and for the tabs 34 or 14 across a strip of 3 or 1 1/4 in turned.
        assertThat(need(plan, "outer").amount()).isEqualTo(Amount.of(in("101")));
        assertThat(need(plan, "lining").amount()).isEqualTo(Amount.of(in("96")));
        assertThat(need(plan, "zip").amount()).isEqualTo(Amount.of(in("228")));
        assertThat(need(plan, "slider").amount()).isEqualTo(Amount.pieces(24));
        assertThat(need(plan, "outer").isShort()).isTrue();
        assertThat(need(plan, "outer").shortBy()).isEqualTo(Amount.of(in("29")));
        assertThat(need(plan, "lining").isShort()).isFalse();
        assertThat(plan.time().asBatch().value()).isEqualTo(Duration.ofMinutes(24 * 20 + 35));
    }

    @Test
    void costsOneUnitByHand() {
        BatchPlan plan = plan(24, supplies(), workroom(PriceSchool.MARKUP), Optional.empty());
        UnitCost cost = plan.line(1).cost().orElseThrow();
        // outer 101 in of 9.00/yd, lining 96 in of 7.20/yd, interfacing 5 across 43 in: 12 x 7.5 in of 4.50/yd,
        // zip 228 in of 1.80/yd, sliders 24 of 2.50 for ten, labels 24 of 12.00 for fifty; by 24.
        double material = (101 / 36.0 * 9 + 96 / 36.0 * 7.2 + 90 / 36.0 * 4.5 + 228 / 36.0 * 1.8 + 6 + 5.76) / 24;
        assertThat(cost.material().value().getAmount().doubleValue()).isCloseTo(material, within(0.0101));
        assertThat(cost.labour().value().getAmount().doubleValue()).isCloseTo(515 / 60.0 * 19 / 24, within(0.0101));
        assertThat(cost.overhead().value().getAmount().doubleValue()).isCloseTo(515 / 60.0 * 1.5 / 24, within(0.0101));
        assertThat(cost.full().value().getAmount().doubleValue())
                .isCloseTo(material + 515 / 60.0 * 20.5 / 24, within(0.0051));
        assertThat(sum(cost.lines().stream().map(UnitCost.MaterialCost::cost).toList()))
                .isEqualTo(cost.material().value());
    }

    @Test
    void aPriceThatLosesMoneyIsSaidWithWhatWouldNot() {
        BatchPlan sound = plan(24, supplies(), workroom(PriceSchool.MARKUP), Optional.empty());
        assertThat(sound.findings()).isEmpty();
        BatchPlan cheap = plan(24, supplies(), workroom(PriceSchool.MARKUP), Optional.of(Money.of(EUR, 5)));
        Finding finding = cheap.findings().get(0);
        assertThat(cheap.findings()).hasSize(1);
        assertThat(cheap.isComplete()).isTrue();
        assertThat(finding.place()).isEqualTo("lines.1.ownPrice");
        Money lost = cheap.line(1).pricing().orElseThrow().left().value().negated();
        assertThat(lost.isPositive()).isTrue();
        assertThat(finding.what().values()).containsExactly(Value.of(Money.of(EUR, 5)), Value.of(lost));
    }

    @Test
    void aMaterialThatHasNoPriceIsSaid() {
        List<Supply> supplies = supplies().stream()
                .map(s -> s.slot().equals("zip") ? priced(s, Money.zero(EUR)) : s)
                .toList();
        assertThat(plan(24, supplies, workroom(PriceSchool.MARKUP), Optional.empty())
                        .findings())
                .extracting(Finding::place)
                .containsExactly("materials.zip");
    }

    @Test
    void thePartsAlwaysAddUpToTheWhole() {
        Random random = new Random(81);
        for (int i = 0; i < 300; i++) {
            List<Supply> supplies = supplies().stream()
                    .map(s -> priced(s, Money.ofMinor(EUR, random.nextInt(2000))))
                    .toList();
            int units = 1 + random.nextInt(60);
            UnitCost cost = plan(units, supplies, workroom(PriceSchool.MARGIN), Optional.empty())
                    .line(1)
                    .cost()
                    .orElseThrow();
            assertThat(sum(List.of(cost.material(), cost.labour(), cost.overhead())))
                    .isEqualTo(cost.full().value());
            assertThat(sum(cost.lines().stream()
                            .map(UnitCost.MaterialCost::cost)
                            .toList()))
                    .isEqualTo(cost.material().value());
        }
    }

    /** However many are spoiled: the good ones together bear all that the batch took, and the parts add up to the cent. */
    @Test
    void thoseThatCameOutWellBearWhatWasSpoiled() {
        BatchPlan all = finished(12, 12);
        assertThat(all.line(1).cost().orElseThrow().spoiled()).isEmpty();
        for (int good = 1; good < 12; good++) {
            BatchPlan plan = finished(12, good);
            UnitCost cost = plan.line(1).cost().orElseThrow();
            assertThat(sum(List.of(
                            cost.material(),
                            cost.labour(),
                            cost.overhead(),
                            cost.spoiled().orElseThrow())))
                    .isEqualTo(cost.full().value());
            assertThat(sum(cost.lines().stream()
                            .map(UnitCost.MaterialCost::cost)
                            .toList()))
                    .isEqualTo(cost.material().value());
            double whole =
                    all.line(1).cost().orElseThrow().full().value().getAmount().doubleValue() * 12;
            assertThat(cost.full().value().getAmount().doubleValue()).isCloseTo(whole / good, within(0.07));
            UnitPricing pricing = plan.line(1).pricing().orElseThrow();
            double sold =
                    pricing.price().minus(pricing.fees().value()).getAmount().doubleValue() * good;
            double spent = cost.material()
                            .value()
                            .plus(cost.overhead().value())
                            .getAmount()
                            .doubleValue()
                    * 12;
            double hours = plan.time().asBatch().value().toSeconds() / 3600.0;
            assertThat(pricing.perHour().orElseThrow().value().getAmount().doubleValue())
                    .isCloseTo((sold - spent) / hours, within(0.006));
        }
    }

    @Test
    void whereNoneCameOutWellNothingIsPriced() {
        BatchPlan plan = finished(12, 0);
        assertThat(plan.cost()).isPresent();
        assertThat(plan.line(1).pricing()).isEmpty();
    }

    private BatchPlan finished(int units, int good) {
        BatchLine line = new BatchLine(
                1, Pouch.design(), MEDIUM, units, OptionalInt.of(good), supplies(), Optional.empty(), PiecesMoved.NONE);
        return planner.plan(List.of(line), workroom(PriceSchool.MARKUP));
    }

    @Test
    void twoSlotsFromOneClothDrawOnTheSameShelf() {
        List<Supply> supplies = new ArrayList<>(supplies());
        Supply outer = supplies.get(0);
        supplies.set(
                1,
                Supply.of(
                        "lining",
                        outer.key(),
                        outer.name(),
                        outer.kind(),
                        outer.usableWidth(),
                        outer.cloth(),
                        outer.directional(),
                        outer.price(),
                        outer.stock(Part.WHOLE).onHand()));
        BatchPlan plan = plan(24, supplies, workroom(PriceSchool.MARKUP), Optional.empty());
        assertThat(need(plan, "outer").amount()).isEqualTo(Amount.of(in("197")));
        assertThat(plan.needs()).noneMatch(need -> need.supply().slot().equals("lining"));
    }

    @Test
    void aSlotThatNothingFillsIsAFindingAndLeavesTheCutList() {
        List<Supply> supplies =
                supplies().stream().filter(s -> !s.slot().equals("lining")).toList();
        BatchPlan plan = plan(24, supplies, workroom(PriceSchool.MARKUP), Optional.empty());
        assertThat(plan.isComplete()).isFalse();
        assertThat(plan.cost()).isEmpty();
        assertThat(plan.pieces()).hasSize(4);
        assertThat(plan.findings()).extracting(Finding::place).containsExactly("lines.1.slots.lining");
    }

    @Test
    void aClothThatIsTooNarrowIsAFinding() {
        List<Supply> supplies = new ArrayList<>(supplies());
        supplies.set(0, cloth("outer", "10 in", "2 yd", "9.00", true));
        BatchPlan plan = plan(24, supplies, workroom(PriceSchool.MARKUP), Optional.empty());
        assertThat(plan.findings()).extracting(Finding::place).containsExactly("materials.outer");
    }

    @Test
    void aMaterialOfTheWrongKindIsAFinding() {
        List<Supply> supplies = new ArrayList<>(supplies());
        supplies.set(3, cloth("zip", "43 in", "2 yd", "9.00", true));
        assertThat(plan(24, supplies, workroom(PriceSchool.MARKUP), Optional.empty())
                        .findings())
                .extracting(Finding::place)
                .containsExactly("lines.1.slots.zip");
    }

    /** Whatever changed since the last plan, and whatever that one was: what was kept of it changes nothing in the next one. */
    @Test
    void planningAfterAnotherPlanIsPlanning() {
        Workroom workroom = workroom(PriceSchool.MARKUP);
        Design shorter = Pouch.design()
                .with(Pouch.design().steps().subList(0, Pouch.design().steps().size() - 1));
        Random random = new Random(19);
        BatchPlan before = plan(24, supplies(), workroom, Optional.empty());
        for (int i = 0; i < 200; i++) {
            List<Supply> supplies = new ArrayList<>(supplies());
            switch (random.nextInt(4)) {
                case 0 -> supplies.set(0, cloth("outer", "10 in", "2 yd", "9.00", true));
                case 1 -> supplies.remove(1);
                case 2 -> supplies.set(0, cloth("outer", "43 in", random.nextInt(1, 9) + " yd", "9.00", true));
                default -> {}
            }
            List<BatchLine> lines = List.of(
                    line(1, Pouch.design(), random.nextInt(2), 1 + random.nextInt(30), supplies),
                    line(2, random.nextBoolean() ? shorter : Pouch.design(), random.nextInt(2), 5, supplies));
            BatchPlan plan = planner.planAfter(before, lines, workroom, pieces -> Map.of());
            assertThat(plan).isEqualTo(planner.plan(lines, workroom));
            before = random.nextInt(5) == 0
                    ? BatchPlanner.impossible(
                            lines,
                            plan.findings().stream()
                                    .findFirst()
                                    .orElseGet(() ->
                                            Finding.refused("lines", Sentence.of("All is."), Sentence.of("Wait."))))
                    : plan;
        }
    }

    private static BatchLine line(int number, Design design, int size, int units, List<Supply> supplies) {
        return new BatchLine(
                number, design, size, units, OptionalInt.empty(), supplies, Optional.empty(), PiecesMoved.NONE);
    }

    @Test
    void aBatchOfNothingIsNoBatch() {
        assertThatThrownBy(() -> plan(0, supplies(), workroom(PriceSchool.MARKUP), Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @EnumSource(names = {"MATERIALS_AND_LABOUR", "MARGIN", "MARKUP", "HOURLY"})
    void atTheSuggestedPriceTheSchoolsWishIsMet(PriceSchool school) {
        BatchPlan plan = plan(24, supplies(), workroom(school), Optional.empty());
        UnitPricing pricing = plan.line(1).pricing().orElseThrow();
        Money net = pricing.price().minus(pricing.fees().value());
        Money wanted = wanted(plan.line(1).cost().orElseThrow(), school);
        assertThat(net).isGreaterThanOrEqualTo(wanted);
        assertThat(net.minus(wanted)).isLessThanOrEqualTo(eur("0.50"));
        assertThat(pricing.suggested().working().schools())
                .hasSize(5)
                .filteredOn(s -> s.chosen())
                .singleElement()
                .satisfies(s -> assertThat(s.name()).isEqualTo(school.words()));
    }

    @Test
    void theMakersOwnPriceSaysWhatAnHourEarns() {
        BatchPlan plan = plan(24, supplies(), workroom(PriceSchool.MARKUP), Optional.of(eur("15.00")));
        UnitPricing pricing = plan.line(1).pricing().orElseThrow();
        UnitCost cost = plan.line(1).cost().orElseThrow();
        assertThat(pricing.fees().value()).isEqualTo(eur("1.45"));
        double hours = (24 * 20 + 35) / 60.0;
        double earned = (15
                        - 1.45
                        - cost.material().value().getAmount().doubleValue()
                        - cost.overhead().value().getAmount().doubleValue())
                * 24
                / hours;
        assertThat(pricing.perHour().orElseThrow().value().getAmount().doubleValue())
                .isCloseTo(earned, within(0.006));
        assertThat(pricing.left().value())
                .isEqualTo(eur("15.00").minus(eur("1.45")).minus(cost.full().value()));
    }

    @ParameterizedTest
    @CsvSource({
        "WHOLE, 12.01, 13.00",
        "WHOLE, 12.00, 12.00",
        "HALF, 12.01, 12.50",
        "HALF, 12.51, 13.00",
        "NINETY_FIVE, 12.95, 12.95",
        "NINETY_FIVE, 12.96, 13.95",
        "NINETY_FIVE, 0.10, 0.95",
        "EXACT, 12.01, 12.01"
    })
    void roundsPricesUpToThePoint(PricePoint point, String wanted, String price) {
        Workroom plain = new Workroom(
                eur("0.00"),
                eur("0.00"),
                new Channel("stall", BigDecimal.ZERO, eur(wanted)),
                new PriceChoice(PriceSchool.MARKUP, BigDecimal.valueOf(2), BigDecimal.ZERO, BigDecimal.ZERO, point),
                Sizing.USUAL_THICKEST_SEAM);
        List<Supply> given =
                supplies().stream().map(s -> priced(s, eur("0.00"))).toList();
        assertThat(plan(1, given, plain, Optional.empty())
                        .line(1)
                        .pricing()
                        .orElseThrow()
                        .price())
                .isEqualTo(eur(price));
    }

    @Test
    void aShareOfTheWholePriceIsNoChannel() {
        assertThatThrownBy(() -> new Channel("stall", BigDecimal.ONE, eur("0.00")))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private BatchPlan plan(int units, List<Supply> supplies, Workroom workroom, Optional<Money> own) {
        return planner.plan(List.of(BatchLine.only(Pouch.design(), MEDIUM, units, supplies, own)), workroom);
    }

    private static Money wanted(UnitCost cost, PriceSchool school) {
        return switch (school) {
            case MATERIALS_AND_LABOUR, HOURLY ->
                cost.material().value().multipliedBy(2).plus(cost.labour().value());
            case MARGIN -> cost.full().value().dividedBy(new BigDecimal("0.7"), java.math.RoundingMode.CEILING);
            case MARKUP -> cost.full().value().multipliedBy(new BigDecimal("1.4"), java.math.RoundingMode.CEILING);
            case TRADE, MARKET -> throw new IllegalArgumentException(school.words());
        };
    }

    private static Need need(BatchPlan plan, String slot) {
        return plan.needs().stream()
                .filter(n -> n.supply().slot().equals(slot))
                .findFirst()
                .orElseThrow();
    }

    private static Workroom workroom(PriceSchool school) {
        return new Workroom(
                eur("19.00"),
                eur("1.50"),
                new Channel("stall", new BigDecimal("0.08"), eur("0.25")),
                new PriceChoice(
                        school, BigDecimal.valueOf(2), new BigDecimal("0.3"), new BigDecimal("0.4"), PricePoint.HALF),
                Sizing.USUAL_THICKEST_SEAM);
    }

    private static List<Supply> supplies() {
        return List.of(
                cloth("outer", "43 in", "2 yd", "9.00", true),
                cloth("lining", "43 in", "5 yd", "7.20", false),
                cloth("interfacing", "43 in", "5 yd", "4.50", false),
                Supply.of(
                        "zip",
                        "zip",
                        "Zip tape",
                        MaterialKind.TRIM,
                        Optional.empty(),
                        Optional.empty(),
                        false,
                        new UnitPrice(eur("1.80"), Amount.of(in("1 yd"))),
                        Amount.of(in("10 yd"))),
                notion("slider", "2.50", 10),
                notion("label", "12.00", 50));
    }

    private static Supply cloth(String slot, String width, String onHand, String price, boolean directional) {
        return Supply.of(
                slot,
                slot,
                slot + " cloth",
                MaterialKind.CLOTH,
                Optional.of(in(width)),
                Optional.empty(),
                directional,
                new UnitPrice(eur(price), Amount.of(in("1 yd"))),
                Amount.of(in(onHand)));
    }

    private static Supply notion(String slot, String price, int per) {
        return Supply.of(
                slot,
                slot,
                slot,
                MaterialKind.NOTION,
                Optional.empty(),
                Optional.empty(),
                false,
                new UnitPrice(eur(price), Amount.pieces(per)),
                Amount.pieces(100));
    }

    private static Supply priced(Supply supply, Money price) {
        return Supply.of(
                supply.slot(),
                supply.key(),
                supply.name(),
                supply.kind(),
                supply.usableWidth(),
                supply.cloth(),
                supply.directional(),
                new UnitPrice(price, supply.price().per()),
                supply.stock(Part.WHOLE).onHand());
    }

    private static Money sum(List<Figure<Money>> figures) {
        return figures.stream().map(Figure::value).reduce(Money.zero(EUR), Money::plus);
    }

    private static Money eur(String amount) {
        return Money.of(EUR, new BigDecimal(amount));
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static org.assertj.core.data.Offset<Double> within(double offset) {
        return org.assertj.core.data.Offset.offset(offset);
    }
}
