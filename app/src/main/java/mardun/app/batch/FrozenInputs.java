package mardun.app.batch;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import mardun.app.design.DesignDocument;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.material.Amount;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/**
 * What a batch's plan was worked out from when its cloth was cut: the design, the materials' prices and the workroom's
 * rates as they were. From it the plan can be worked out again, to the cent, whatever changed since.
 */
record FrozenInputs(DesignDocument design, List<FrozenSupply> supplies, FrozenWorkroom workroom) {

    /** A material as it was. */
    record FrozenSupply(
            String slot,
            long materialId,
            String name,
            MaterialKind kind,
            @Nullable Long usableWidthNm,
            @Nullable ClothKind cloth,
            boolean directional,
            long priceMinor,
            long pricePerValue,
            long onHandValue) {

        static FrozenSupply of(Supply supply) {
            return new FrozenSupply(
                    supply.slot(),
                    Long.parseLong(supply.key()),
                    supply.name(),
                    supply.kind(),
                    supply.usableWidth().map(Length::nanometres).orElse(null),
                    supply.cloth().orElse(null),
                    supply.directional(),
                    supply.price().price().getAmountMinorLong(),
                    supply.price().per().value(),
                    supply.onHand().value());
        }

        Amount onHand() {
            return new Amount(kind.counting(), onHandValue);
        }

        Supply supply(CurrencyUnit currency, Amount onHand) {
            return new Supply(
                    slot,
                    Long.toString(materialId),
                    name,
                    kind,
                    Optional.ofNullable(usableWidthNm).map(Length::new),
                    Optional.ofNullable(cloth),
                    directional,
                    new UnitPrice(Money.ofMinor(currency, priceMinor), new Amount(kind.counting(), pricePerValue)),
                    onHand);
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
            long thickestSeamNm) {

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
                    workroom.thickestSeam().nanometres());
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
                    new Length(thickestSeamNm));
        }
    }
}
