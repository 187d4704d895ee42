package mardun.app.batch;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.cutting.LayoutDocument;
import mardun.app.design.DesignDocument;
import mardun.core.batch.CuttingSheet;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.cutting.CuttingBill;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.ClothKind;
import mardun.core.material.ClothPiece;
import mardun.core.material.Counting;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
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
import mardun.core.pricing.PriceSchool;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/**
 * What a batch's plan was worked out from when its cloth was cut: the design, the materials' prices and the workroom's
 * rates as they were, and the layouts by which it was cut; those are absent in batches from before there were any. From it the
 * plan can be worked out again, to the cent, whatever changed since.
 *
 * @param plannedCostMinor what one was to cost when its cloth was about to be cut; absent in batches from before that was kept
 */
record FrozenInputs(
        DesignDocument design,
        List<FrozenSupply> supplies,
        FrozenWorkroom workroom,
        @Nullable List<FrozenSheet> sheets,
        @Nullable Long plannedCostMinor) {

    /**
     * A material as it was.
     *
     * @param stocks what was there, and what it was worth; absent in batches from before there were lots
     * @param pieces the offcuts and precuts that were used; absent where there were none
     * @param lie how it lay there; absent in batches from before that counted
     */
    record FrozenSupply(
            String slot,
            long materialId,
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
                    Long.parseLong(supply.key()),
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
                    Long.toString(materialId),
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
            long selvageNm) {

        static FrozenLie of(Supply.Lie lie) {
            return new FrozenLie(
                    lie.rolls().stream()
                            .map(roll -> new FrozenRoll(
                                    roll.key(), roll.dye(), roll.length().nanometres()))
                            .toList(),
                    lie.oneDye(),
                    lie.repeat().map(Length::nanometres).orElse(null),
                    lie.selvage().nanometres());
        }

        Supply.Lie lie() {
            return new Supply.Lie(
                    rolls.stream()
                            .map(roll -> new Roll(roll.key(), roll.dye(), new Length(roll.lengthNm())))
                            .toList(),
                    oneDye,
                    Optional.ofNullable(repeatNm).map(Length::new),
                    new Length(selvageNm));
        }
    }

    /** A roll or a left-over length as it was. */
    record FrozenRoll(String key, String dye, long lengthNm) {}

    /** The layout by which a cloth was cut. */
    record FrozenSheet(long materialId, LayoutDocument layout, long squaringNm, Map<String, Long> extra) {

        static FrozenSheet of(long materialId, CuttingSheet sheet) {
            return new FrozenSheet(
                    materialId,
                    LayoutDocument.of(sheet.layout()),
                    sheet.squaring().nanometres(),
                    sheet.extra());
        }

        /** What went back on the shelf is in the ledger by now. */
        CuttingSheet sheet() {
            return new CuttingSheet(layout.layout(), new Length(squaringNm), extra, CuttingBill.Back.NOTHING);
        }
    }

    /** The layouts by the key of their supply. */
    Map<String, CuttingSheet> sheetsByKey() {
        Map<String, CuttingSheet> byKey = new HashMap<>();
        if (sheets != null) {
            sheets.forEach(sheet -> byKey.put(Long.toString(sheet.materialId()), sheet.sheet()));
        }
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

    /** The workroom's rates as they were. */
    record FrozenWorkroom(
            String currency,
            long hourlyRateMinor,
            long overheadPerHourMinor,
            String stall,
            BigDecimal stallShare,
            long stallFeeMinor,
            PriceSchool school,
            BigDecimal factor,
            BigDecimal margin,
            BigDecimal markup,
            PricePoint point,
            long thickestSeamNm,
            @Nullable Long endTrimNm,
            @Nullable Long keptLengthNm) {

        static FrozenWorkroom of(Workroom workroom) {
            PriceChoice prices = workroom.prices();
            return new FrozenWorkroom(
                    workroom.hourlyRate().getCurrencyUnit().getCode(),
                    workroom.hourlyRate().getAmountMinorLong(),
                    workroom.overheadPerHour().getAmountMinorLong(),
                    workroom.stall().name(),
                    workroom.stall().share(),
                    workroom.stall().feePerUnit().getAmountMinorLong(),
                    prices.school(),
                    prices.factor(),
                    prices.margin(),
                    prices.markup(),
                    prices.point(),
                    workroom.thickestSeam().nanometres(),
                    workroom.endTrim().nanometres(),
                    workroom.keptLength().nanometres());
        }

        CurrencyUnit currencyUnit() {
            return CurrencyUnit.of(currency);
        }

        Workroom workroom() {
            CurrencyUnit unit = currencyUnit();
            return new Workroom(
                    Money.ofMinor(unit, hourlyRateMinor),
                    Money.ofMinor(unit, overheadPerHourMinor),
                    new Channel(stall, stallShare, Money.ofMinor(unit, stallFeeMinor)),
                    new PriceChoice(school, factor, margin, markup, point),
                    new Length(thickestSeamNm),
                    new Length(endTrimNm == null ? 0 : endTrimNm),
                    new Length(keptLengthNm == null ? 0 : keptLengthNm));
        }
    }
}
