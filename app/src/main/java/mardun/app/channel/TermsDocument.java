package mardun.app.channel;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.costing.LabourRates;
import mardun.core.making.WorkKind;
import mardun.core.pricing.Fee;
import mardun.core.pricing.Tax;
import mardun.core.pricing.Terms;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/**
 * On what terms bags are sold through a channel, as it is kept.
 *
 * @param taxRate as a share
 * @param packingMinor what packing one sale takes of paper, bags and boxes
 * @param packingMinutes hands-on minutes for packing one sale
 * @param listingMinutes hands-on minutes for photographing and listing, for each bag that is sold; absent in what was kept before there
 *     were any, for none
 */
public record TermsDocument(
        List<FeeRow> fees,
        Tax.Mode taxMode,
        BigDecimal taxRate,
        BigDecimal unitsPerSale,
        long postagePaidMinor,
        long postageMinor,
        long packingMinor,
        BigDecimal packingMinutes,
        @Nullable BigDecimal listingMinutes) {

    public TermsDocument {
        listingMinutes = listingMinutes == null ? BigDecimal.ZERO : listingMinutes;
    }

    private static final BigDecimal MINUTES_PER_HOUR = BigDecimal.valueOf(60);

    /**
     * A fee.
     *
     * @param amountMinor absent for a share
     * @param leastMinor what a share comes to at least; absent for nothing
     * @param mostMinor what a share comes to at most; absent for as much as it is
     * @param cardOnly it is taken of payments by card alone
     */
    public record FeeRow(
            String name,
            Fee.Basis basis,
            List<BandRow> bands,
            @Nullable Long amountMinor,
            @Nullable Long leastMinor,
            @Nullable Long mostMinor,
            BigDecimal likelihood,
            @Nullable Boolean cardOnly) {

        /** One that is taken however a buyer pays. */
        public FeeRow(
                String name,
                Fee.Basis basis,
                List<BandRow> bands,
                @Nullable Long amountMinor,
                @Nullable Long leastMinor,
                @Nullable Long mostMinor,
                BigDecimal likelihood) {
            this(name, basis, bands, amountMinor, leastMinor, mostMinor, likelihood, null);
        }

        /** Whether it is taken of payments by card alone; of those that were stored before, none is. */
        public boolean isCardOnly() {
            return Boolean.TRUE.equals(cardOnly);
        }

        private static FeeRow of(Fee fee) {
            return new FeeRow(
                    fee.name(),
                    fee.basis(),
                    fee.bands().stream()
                            .map(band -> new BandRow(band.from().getAmountMinorLong(), band.share()))
                            .toList(),
                    fee.amount().map(Money::getAmountMinorLong).orElse(null),
                    fee.least().map(Money::getAmountMinorLong).orElse(null),
                    fee.most().map(Money::getAmountMinorLong).orElse(null),
                    fee.likelihood(),
                    fee.cardOnly());
        }

        private Fee fee(CurrencyUnit currency) {
            return new Fee(
                    name,
                    basis,
                    bands.stream()
                            .map(band -> new Fee.Band(Money.ofMinor(currency, band.fromMinor()), band.share()))
                            .toList(),
                    Optional.ofNullable(amountMinor).map(minor -> Money.ofMinor(currency, minor)),
                    Optional.ofNullable(leastMinor).map(minor -> Money.ofMinor(currency, minor)),
                    Optional.ofNullable(mostMinor).map(minor -> Money.ofMinor(currency, minor)),
                    likelihood,
                    isCardOnly());
        }
    }

    /** A share of what lies above an amount. */
    public record BandRow(long fromMinor, BigDecimal share) {}

    /** Only what the channel itself takes: without packing and postage, which the maker pays. */
    public TermsDocument theirs() {
        return new TermsDocument(fees, taxMode, taxRate, unitsPerSale, 0, 0, 0, BigDecimal.ZERO, null);
    }

    /** One that takes nothing. */
    public static TermsDocument free() {
        return new TermsDocument(
                List.of(), Tax.Mode.NONE, BigDecimal.ZERO, BigDecimal.ONE, 0, 0, 0, BigDecimal.ZERO, null);
    }

    /** A share of every price, and an amount for each bag. */
    public static TermsDocument simple(BigDecimal share, long eachUnitMinor) {
        return new TermsDocument(
                List.of(
                        new FeeRow(
                                "share of the price",
                                Fee.Basis.SHARE,
                                List.of(new BandRow(0, share)),
                                null,
                                null,
                                null,
                                BigDecimal.ONE),
                        new FeeRow(
                                "fee for a bag", Fee.Basis.UNIT, List.of(), eachUnitMinor, null, null, BigDecimal.ONE)),
                Tax.Mode.NONE,
                BigDecimal.ZERO,
                BigDecimal.ONE,
                0,
                0,
                0,
                BigDecimal.ZERO,
                null);
    }

    /** Terms as they are kept, with packing among the fees. */
    public static TermsDocument of(Terms terms) {
        return new TermsDocument(
                terms.fees().stream().map(FeeRow::of).toList(),
                terms.tax().mode(),
                terms.tax().rate(),
                terms.unitsPerSale(),
                terms.postagePaid().getAmountMinorLong(),
                terms.postage().getAmountMinorLong(),
                0,
                BigDecimal.ZERO,
                null);
    }

    /**
     * The terms as the core takes them; packing is a fee of each sale, photographing and listing one of each bag.
     *
     * @param rates at which these are reckoned
     */
    public Terms terms(LabourRates rates) {
        CurrencyUnit currency = rates.usual().getCurrencyUnit();
        List<Fee> all =
                new ArrayList<>(fees.stream().map(row -> row.fee(currency)).toList());
        if (packingMinor > 0) {
            all.add(Fee.fixed("packing material", Fee.Basis.SALE, Money.ofMinor(currency, packingMinor)));
        }
        if (packingMinutes.signum() > 0) {
            all.add(work(WorkKind.PACKING, packingMinutes, Fee.Basis.SALE, rates));
        }
        if (listingMinutes.signum() > 0) {
            all.add(work(WorkKind.LISTING, listingMinutes, Fee.Basis.UNIT, rates));
        }
        return new Terms(
                all,
                new Tax(taxMode, taxRate),
                unitsPerSale,
                Money.ofMinor(currency, postagePaidMinor),
                Money.ofMinor(currency, postageMinor));
    }

    private static Fee work(WorkKind kind, BigDecimal minutes, Fee.Basis basis, LabourRates rates) {
        return Fee.fixed(
                kind.words() + ", " + minutes.stripTrailingZeros().toPlainString() + " min",
                basis,
                rates.of(kind)
                        .multipliedBy(
                                minutes.divide(MINUTES_PER_HOUR, 12, RoundingMode.HALF_UP), RoundingMode.HALF_UP));
    }
}
