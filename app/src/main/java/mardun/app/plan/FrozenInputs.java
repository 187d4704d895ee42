package mardun.app.plan;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.time.Duration;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.channel.TermsDocument;
import mardun.app.design.DesignDocument;
import mardun.app.id.MaterialId;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.core.batch.CuttingSheet;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.costing.LabourRates;
import mardun.core.costing.Overheads;
import mardun.core.costing.WasteSchool;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.PieceKey;
import mardun.core.design.Design;
import mardun.core.making.SetUpSpread;
import mardun.core.making.Step;
import mardun.core.making.Timing;
import mardun.core.making.WorkKind;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.ClothKind;
import mardun.core.material.ClothPiece;
import mardun.core.material.Counting;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.PrintMotif;
import mardun.core.material.Roll;
import mardun.core.material.Shrinkage;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.material.Worth;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceRounding;
import mardun.core.pricing.PriceSchool;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/**
 * What a batch's plan was worked out from when its first cloth was cut: the designs, the materials' prices and the workroom's
 * rates as they were, and the layouts by which it was cut; those are absent in batches from before there were any. From it the
 * plan can be worked out again, to the cent, whatever changed since. Older forms of it are read by {@link FrozenReader}.
 *
 * @param schema which form this is
 * @param supplies each material once, whatever slots of whatever lines it fills
 * @param sheets the layouts of the cloths that are cut
 * @param cut the cloths that are cut
 */
public record FrozenInputs(
        int schema,
        List<FrozenLine> lines,
        List<FrozenSupply> supplies,
        FrozenWorkroom workroom,
        List<FrozenSheet> sheets,
        List<MaterialId> cut) {

    /** The form that is written now. */
    static final int SCHEMA = 2;

    /**
     * A line as it was.
     *
     * @param slots which material fills which slot
     * @param plannedUnitMinor what one bag was to cost when the first cloth was about to be cut; absent in batches from before
     *     that was kept
     * @param times how long its steps took as far as was known then; absent in batches from before anything was logged
     * @param took how long its steps really took; absent as long as it isn't done, and where nothing of it was timed
     * @param setPriceMinor the price that was set for it in the usual channel; absent where the school's counted
     */
    record FrozenLine(
            int number,
            DesignDocument design,
            Map<String, MaterialId> slots,
            @Nullable Long plannedUnitMinor,
            @Nullable List<FrozenTime> times,
            @Nullable List<FrozenTime> took,
            @Nullable Long setPriceMinor) {

        /** The design with the times that its steps took, or else are planned with. */
        Design timed(Design its) {
            return with(its, took == null ? times : took);
        }

        FrozenLine taking(List<StepTook> steps) {
            return steps.isEmpty()
                    ? this
                    : new FrozenLine(
                            number,
                            design,
                            slots,
                            plannedUnitMinor,
                            times,
                            steps.stream().map(FrozenTime::of).toList(),
                            setPriceMinor);
        }

        /** The design with the times that its steps are planned with. */
        Design planned(Design its) {
            return with(its, times);
        }

        private static Design with(Design its, @Nullable List<FrozenTime> times) {
            if (times == null) {
                return its;
            }
            Map<String, FrozenTime> byStep = times.stream()
                    .collect(Collectors.toMap(FrozenTime::step, Function.identity(), (earlier, later) -> later));
            return its.with(its.steps().stream()
                    .map(step -> byStep.containsKey(step.key())
                            ? byStep.get(step.key()).in(step)
                            : step)
                    .toList());
        }
    }

    /** How long a step took as far as was known, and on how much that rested. */
    record FrozenTime(String step, long eachMillis, long onceMillis, int bags, int batches, double spread) {

        static FrozenTime of(StepTook took) {
            return new FrozenTime(
                    took.step(),
                    took.each().toMillis(),
                    took.once().toMillis(),
                    took.timed(),
                    took.timed() > 0 ? 1 : 0,
                    0);
        }

        static FrozenTime of(Step step) {
            return new FrozenTime(
                    step.key(),
                    step.perUnit().toMillis(),
                    step.perBatch().toMillis(),
                    step.timing().bags(),
                    step.timing().batches(),
                    step.timing().spread());
        }

        Step in(Step step) {
            return step.timed(
                    Duration.ofMillis(eachMillis), Duration.ofMillis(onceMillis), new Timing(bags, batches, spread));
        }
    }

    /**
     * A material as it was.
     *
     * @param stocks what was there, and what it was worth; absent in batches from before there were lots
     * @param pieces the offcuts and precuts that were used; absent where there were none
     * @param lie how it lay there; absent in batches from before that counted
     */
    record FrozenSupply(
            String slot,
            MaterialId materialId,
            String name,
            MaterialKind kind,
            @Nullable Long usableWidthNm,
            @Nullable Long sheetHeightNm,
            @Nullable ClothKind cloth,
            boolean directional,
            long priceMinor,
            long pricePerValue,
            long onHandValue,
            @Nullable BigDecimal shrinkage,
            @Nullable Boolean shrinksAfterCutting,
            @Nullable Long zipLengthNm,
            @Nullable Boolean zipMetal,
            @Nullable List<FrozenStock> stocks,
            @Nullable List<FrozenPiece> pieces,
            @Nullable FrozenLie lie) {

        static FrozenSupply of(Supply supply) {
            List<FrozenStock> stocks = Arrays.stream(Part.values())
                    .filter(supply.stock()::containsKey)
                    .map(part -> FrozenStock.of(part, supply.stock(part)))
                    .toList();
            return new FrozenSupply(
                    supply.slot(),
                    MaterialId.valueOf(supply.key()),
                    supply.name(),
                    supply.kind(),
                    supply.usableWidth().map(Length::nanometres).orElse(null),
                    supply.sheet().map(sheet -> sheet.height().nanometres()).orElse(null),
                    supply.cloth().orElse(null),
                    supply.directional(),
                    supply.price().price().getAmountMinorLong(),
                    supply.price().per().value(),
                    stocks.get(0).onHandValue(),
                    supply.shrinkage().share(),
                    supply.shrinkage().afterCutting(),
                    supply.zip().map(zip -> zip.length().nanometres()).orElse(null),
                    supply.zip().map(ClosedZip::metal).orElse(false),
                    stocks,
                    supply.pieces().stream().map(FrozenPiece::of).toList(),
                    FrozenLie.of(supply.lie()));
        }

        Supply supply(CurrencyUnit currency) {
            UnitPrice price =
                    new UnitPrice(Money.ofMinor(currency, priceMinor), new Amount(kind.counting(), pricePerValue));
            Map<Part, Stock> stock = new EnumMap<>(Part.class);
            if (stocks == null) {
                stock.put(Part.WHOLE, Stock.of(new Amount(kind.counting(), onHandValue), price));
            } else {
                stocks.forEach(one -> stock.put(one.part(), one.stock(kind.counting(), price)));
            }
            return new Supply(
                    slot,
                    materialId.key(),
                    name,
                    kind,
                    Optional.ofNullable(usableWidthNm).map(Length::new),
                    Optional.ofNullable(sheetHeightNm)
                            .map(height -> new Extent(new Length(usableWidthNm), new Length(height))),
                    Optional.ofNullable(cloth),
                    directional,
                    new Shrinkage(
                            Optional.ofNullable(shrinkage).orElse(BigDecimal.ZERO),
                            Boolean.TRUE.equals(shrinksAfterCutting)),
                    Optional.empty(),
                    Optional.ofNullable(zipLengthNm)
                            .map(length -> new ClosedZip(new Length(length), Boolean.TRUE.equals(zipMetal))),
                    stock,
                    pieces == null
                            ? List.of()
                            : pieces.stream().map(FrozenPiece::piece).toList(),
                    price,
                    lie == null ? Supply.Lie.UNKNOWN : lie.lie());
        }
    }

    /** How a material lay on the shelf. */
    record FrozenLie(
            List<FrozenRoll> rolls,
            boolean oneDye,
            @Nullable Long repeatNm,
            @Nullable Long repeatAcrossNm,
            @Nullable List<FrozenMotif> motifs,
            long selvageNm) {

        static FrozenLie of(Supply.Lie lie) {
            return new FrozenLie(
                    lie.rolls().stream()
                            .map(roll -> new FrozenRoll(
                                    roll.key(), roll.dye(), roll.length().nanometres()))
                            .toList(),
                    lie.oneDye(),
                    lie.repeat().map(Length::nanometres).orElse(null),
                    lie.repeatAcross().map(Length::nanometres).orElse(null),
                    lie.motifs().stream().map(FrozenMotif::of).toList(),
                    lie.selvage().nanometres());
        }

        Supply.Lie lie() {
            return new Supply.Lie(
                    rolls.stream()
                            .map(roll -> new Roll(roll.key(), roll.dye(), new Length(roll.lengthNm())))
                            .toList(),
                    oneDye,
                    Optional.ofNullable(repeatNm).map(Length::new),
                    Optional.ofNullable(repeatAcrossNm).map(Length::new),
                    motifs == null
                            ? List.of()
                            : motifs.stream().map(FrozenMotif::motif).toList(),
                    new Length(selvageNm));
        }
    }

    /** A part of a print as it was marked. */
    record FrozenMotif(String name, @Nullable Long acrossNm, long downNm) {

        static FrozenMotif of(PrintMotif motif) {
            return new FrozenMotif(
                    motif.name(),
                    motif.across().map(Length::nanometres).orElse(null),
                    motif.down().nanometres());
        }

        PrintMotif motif() {
            return new PrintMotif(name, Optional.ofNullable(acrossNm).map(Length::new), new Length(downNm));
        }
    }

    /** A roll or a left-over length as it was. */
    record FrozenRoll(String key, String dye, long lengthNm) {}

    /** The layout by which a cloth was cut. */
    record FrozenSheet(MaterialId materialId, LayoutDocument layout, long squaringNm, List<FrozenExtra> extra) {

        static FrozenSheet of(MaterialId materialId, CuttingSheet sheet) {
            return new FrozenSheet(
                    materialId,
                    LayoutDocument.of(sheet.layout()),
                    sheet.squaring().nanometres(),
                    sheet.extra().entrySet().stream()
                            .sorted(Map.Entry.comparingByKey())
                            .map(entry -> new FrozenExtra(
                                    entry.getKey().line(), entry.getKey().letter(), entry.getValue()))
                            .toList());
        }

        /** What went back on the shelf is in the ledger by now. */
        CuttingSheet sheet() {
            return new CuttingSheet(
                    layout.layout(),
                    new Length(squaringNm),
                    extra.stream()
                            .collect(Collectors.toMap(
                                    one -> new PieceKey(one.line(), one.letter()), FrozenExtra::count)),
                    CuttingBill.Back.NOTHING);
        }
    }

    /** So many pieces of a kind that were cut beyond those of the batch. */
    record FrozenExtra(int line, String letter, long count) {}

    /** What is kept when some cloths of a batch are cut: with the first of them all, later what belongs to them. */
    public static FrozenInputs afterCutting(Planned planned, Set<MaterialId> cloths) {
        Optional<FrozenInputs> before = planned.batch().frozen();
        List<FrozenSupply> supplies = planned.supplies().stream()
                .map(supply -> before.flatMap(inputs -> inputs.supply(id(supply)))
                        .filter(known -> !cloths.contains(known.materialId()))
                        .orElseGet(() -> FrozenSupply.of(supply)))
                .toList();
        List<FrozenSheet> sheets = planned.plan().needs().stream()
                .flatMap(need -> need.sheet().stream().map(sheet -> FrozenSheet.of(id(need.supply()), sheet)))
                .filter(sheet ->
                        cloths.contains(sheet.materialId()) || planned.batch().isCut(sheet.materialId()))
                .toList();
        return new FrozenInputs(
                SCHEMA,
                before.map(FrozenInputs::lines)
                        .orElseGet(() -> planned.lines().stream()
                                .map(line -> new FrozenLine(
                                        line.number(),
                                        line.document(),
                                        line.chosen().materials(),
                                        line.cost()
                                                .map(Money::getAmountMinorLong)
                                                .orElse(null),
                                        line.design().steps().stream()
                                                .map(FrozenTime::of)
                                                .toList(),
                                        null,
                                        line.chosen().ownPriceMinor().isPresent()
                                                ? null
                                                : line.plan()
                                                        .line()
                                                        .ownPrice()
                                                        .map(Money::getAmountMinorLong)
                                                        .orElse(null)))
                                .toList()),
                supplies,
                before.map(FrozenInputs::workroom).orElseGet(() -> FrozenWorkroom.of(planned.workroom())),
                sheets,
                Stream.concat(before.map(FrozenInputs::cut).orElse(List.of()).stream(), cloths.stream())
                        .distinct()
                        .sorted()
                        .toList());
    }

    /**
     * What is kept when a batch is done, as it was planned until then: the materials at what the ledger says that it took of them, which stays so whatever school
     * is chosen later.
     */
    public static FrozenInputs asUsed(Planned planned, StockShelves shelves, Map<Integer, List<StepTook>> took) {
        FrozenInputs before = planned.batch().frozen().orElseThrow();
        Shelves after =
                shelves.read(planned.supplies().stream().map(FrozenInputs::id).toList());
        return new FrozenInputs(
                SCHEMA,
                before.lines().stream()
                        .map(line -> line.taking(took.getOrDefault(line.number(), List.of())))
                        .toList(),
                planned.supplies().stream()
                        .map(supply -> after.has(id(supply)) ? used(supply, planned, after) : supply)
                        .map(FrozenSupply::of)
                        .toList(),
                before.workroom(),
                before.sheets(),
                before.cut());
    }

    /** What was taken bit by bit costs what was paid for all of it, even where rests made it a little more than was planned. */
    private static Supply used(Supply supply, Planned planned, Shelves after) {
        return supply.kind().leavesWhenCut()
                ? UsedMaterial.cut(planned.batchId(), id(supply), supply, after)
                : UsedMaterial.all(
                        planned.batchId(),
                        supply,
                        planned.plan().needs().stream()
                                .filter(need -> need.supply().key().equals(supply.key()))
                                .collect(Collectors.toMap(Need::part, Need::amount)),
                        after);
    }

    /** The same for some of its lines, in a batch of their own: the cloths that are cut stay so, and its layouts are the other's. */
    public FrozenInputs ofLines(Set<Integer> numbers) {
        return new FrozenInputs(
                schema,
                lines.stream().filter(line -> numbers.contains(line.number())).toList(),
                supplies,
                workroom,
                List.of(),
                cut);
    }

    private static MaterialId id(Supply supply) {
        return MaterialId.valueOf(supply.key());
    }

    Optional<FrozenLine> line(int number) {
        return lines.stream().filter(line -> line.number() == number).findFirst();
    }

    Optional<FrozenSupply> supply(MaterialId materialId) {
        return supplies.stream()
                .filter(supply -> supply.materialId().equals(materialId))
                .findFirst();
    }

    /** What one bag of a line was to cost when the first cloth was about to be cut. */
    Optional<Money> plannedCost(int number) {
        return line(number)
                .map(FrozenLine::plannedUnitMinor)
                .map(minor -> Money.ofMinor(workroom.currencyUnit(), minor));
    }

    /** The layouts by the key of their supply. */
    Map<String, CuttingSheet> sheetsByKey() {
        Map<String, CuttingSheet> byKey = new HashMap<>();
        sheets.forEach(sheet -> byKey.put(sheet.materialId().key(), sheet.sheet()));
        return byKey;
    }

    /** What was there of a part of a material, and what the next amounts of it were worth. */
    record FrozenStock(Part part, long onHandValue, List<FrozenLayer> layers) {

        static FrozenStock of(Part part, Stock stock) {
            return new FrozenStock(
                    part,
                    stock.onHand().value(),
                    stock.worth().layers().stream()
                            .map(layer -> new FrozenLayer(
                                    layer.amount().value(),
                                    layer.minor().getNumerator(),
                                    layer.minor().getDenominator()))
                            .toList());
        }

        Stock stock(Counting counting, UnitPrice price) {
            return new Stock(
                    new Amount(counting, onHandValue),
                    Amount.none(counting),
                    new Worth(
                            layers.stream()
                                    .map(layer -> new Worth.Layer(
                                            new Amount(counting, layer.value()),
                                            BigFraction.of(layer.numerator(), layer.denominator())))
                                    .toList(),
                            price));
        }
    }

    /** So much of a material, worth so many minor units, as an exact fraction. */
    record FrozenLayer(long value, BigInteger numerator, BigInteger denominator) {}

    /** An offcut or a precut that was used. */
    record FrozenPiece(
            String key, long widthNm, long heightNm, long count, BigInteger numerator, BigInteger denominator) {

        static FrozenPiece of(ClothPiece piece) {
            return new FrozenPiece(
                    piece.key(),
                    piece.extent().width().nanometres(),
                    piece.extent().height().nanometres(),
                    piece.count(),
                    piece.minorEach().getNumerator(),
                    piece.minorEach().getDenominator());
        }

        ClothPiece piece() {
            return new ClothPiece(
                    key,
                    new Extent(new Length(widthNm), new Length(heightNm)),
                    count,
                    BigFraction.of(numerator, denominator));
        }
    }

    /**
     * On what terms bags were sold, and how the maker came to prices.
     *
     * @param leastRateMinor absent for the usual rate
     * @param own the maker's own price points
     * @param bySort the schools of some sorts of bags; absent in batches from before there were any
     */
    record FrozenSelling(
            Channel.Kind kind,
            TermsDocument terms,
            BigDecimal multiple,
            @Nullable Long leastRateMinor,
            boolean feesInside,
            List<Long> own,
            boolean toNearest,
            @Nullable Map<String, PriceSchool> bySort) {

        static FrozenSelling of(Workroom workroom) {
            PriceChoice prices = workroom.prices();
            return new FrozenSelling(
                    workroom.stall().kind(),
                    TermsDocument.of(workroom.stall().terms()),
                    prices.multiple(),
                    prices.leastRate().map(Money::getAmountMinorLong).orElse(null),
                    prices.feesInside(),
                    prices.rounding().own().stream()
                            .map(Money::getAmountMinorLong)
                            .toList(),
                    prices.rounding().toNearest(),
                    prices.bySort());
        }

        Channel channel(String name, CurrencyUnit unit) {
            return new Channel(name, kind, terms.terms(LabourRates.of(Money.zero(unit))));
        }

        PriceChoice choice(PriceChoice plain, CurrencyUnit unit) {
            return new PriceChoice(
                    plain.school(),
                    plain.factor(),
                    plain.margin(),
                    plain.markup(),
                    multiple,
                    Optional.ofNullable(leastRateMinor).map(minor -> Money.ofMinor(unit, minor)),
                    feesInside,
                    new PriceRounding(
                            plain.rounding().point(),
                            own.stream()
                                    .map(minor -> Money.ofMinor(unit, minor))
                                    .toList(),
                            toNearest),
                    bySort == null ? Map.of() : bySort);
        }
    }

    /**
     * The workroom's rates as they were.
     *
     * @param stallShare in batches from before channels had terms of their own; absent in later ones
     * @param stallFeeMinor the same
     * @param selling absent in those
     * @param otherRatesMinor of kinds of work that are paid otherwise; absent in batches from before there were any
     * @param overheadShare of material and labour, beside what an hour bears; absent likewise
     */
    record FrozenWorkroom(
            String currency,
            long hourlyRateMinor,
            long overheadPerHourMinor,
            String stall,
            @Nullable BigDecimal stallShare,
            @Nullable Long stallFeeMinor,
            PriceSchool school,
            BigDecimal factor,
            BigDecimal margin,
            BigDecimal markup,
            PricePoint point,
            long thickestSeamNm,
            @Nullable Long endTrimNm,
            @Nullable Long keptLengthNm,
            @Nullable SetUpSpread setUps,
            @Nullable WasteSchool waste,
            @Nullable FrozenSelling selling,
            @Nullable Map<WorkKind, Long> otherRatesMinor,
            @Nullable BigDecimal overheadShare) {

        static FrozenWorkroom of(Workroom workroom) {
            PriceChoice prices = workroom.prices();
            return new FrozenWorkroom(
                    workroom.hourlyRate().getCurrencyUnit().getCode(),
                    workroom.hourlyRate().getAmountMinorLong(),
                    workroom.overheads().perHour().getAmountMinorLong(),
                    workroom.stall().name(),
                    null,
                    null,
                    prices.school(),
                    prices.factor(),
                    prices.margin(),
                    prices.markup(),
                    prices.rounding().point(),
                    workroom.thickestSeam().nanometres(),
                    workroom.endTrim().nanometres(),
                    workroom.keptLength().nanometres(),
                    workroom.setUps(),
                    workroom.waste(),
                    FrozenSelling.of(workroom),
                    workroom.otherRates().entrySet().stream()
                            .collect(Collectors.toMap(
                                    Map.Entry::getKey, rate -> rate.getValue().getAmountMinorLong())),
                    workroom.overheads().share());
        }

        CurrencyUnit currencyUnit() {
            return CurrencyUnit.of(currency);
        }

        Workroom workroom() {
            CurrencyUnit unit = currencyUnit();
            return new Workroom(
                    Money.ofMinor(unit, hourlyRateMinor),
                    new Overheads(
                            Money.ofMinor(unit, overheadPerHourMinor),
                            overheadShare == null ? BigDecimal.ZERO : overheadShare),
                    selling == null
                            ? new Channel(
                                    stall,
                                    Optional.ofNullable(stallShare).orElse(BigDecimal.ZERO),
                                    Money.ofMinor(unit, stallFeeMinor == null ? 0 : stallFeeMinor))
                            : selling.channel(stall, unit),
                    selling == null
                            ? new PriceChoice(school, factor, margin, markup, point)
                            : selling.choice(new PriceChoice(school, factor, margin, markup, point), unit),
                    new Length(thickestSeamNm),
                    new Length(endTrimNm == null ? 0 : endTrimNm),
                    new Length(keptLengthNm == null ? 0 : keptLengthNm),
                    setUps == null ? SetUpSpread.BY_UNITS : setUps,
                    waste == null ? WasteSchool.BY_STRIP : waste,
                    otherRatesMinor == null
                            ? Map.of()
                            : otherRatesMinor.entrySet().stream()
                                    .collect(Collectors.toMap(
                                            Map.Entry::getKey, rate -> Money.ofMinor(unit, rate.getValue()))));
        }
    }
}
