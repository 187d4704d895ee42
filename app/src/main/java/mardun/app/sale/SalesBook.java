package mardun.app.sale;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.FairId;
import mardun.core.money.Apportionment;
import mardun.core.selling.Tender;
import mardun.core.year.SoldBags;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The book of sales read over days, wherever they were made; what was taken back isn't in it. */
@Service
public class SalesBook {

    private final SaleRepository sales;
    private final SaleLineRepository lines;
    private final KnownSales known;

    SalesBook(SaleRepository sales, SaleLineRepository lines, KnownSales known) {
        this.sales = sales;
        this.lines = lines;
        this.known = known;
    }

    /**
     * Bags of a sale that were of one lot.
     *
     * @param at when they went
     * @param kind the key of their kind
     */
    public record SoldLine(
            ChannelId channel, Optional<FairId> fair, LocalDate day, Instant at, String kind, SoldBags bags) {}

    /** A sale as a bookkeeper reads it. */
    public record Entry(
            UUID id,
            Instant at,
            LocalDate day,
            ChannelId channel,
            @Nullable FairId fair,
            Tender tender,
            int units,
            long paidMinor,
            long taxMinor,
            long feesMinor,
            String note) {}

    /**
     * Bags of a sale as they are stored, with what came off all of the sale.
     *
     * @param number of the sale, in the order in which sales were booked
     */
    record Row(
            long number,
            ChannelId channel,
            @Nullable FairId fair,
            LocalDate day,
            Instant at,
            long salePaid,
            long saleTax,
            long saleFees,
            String kind,
            int units,
            long paid,
            long cost,
            long labour,
            long overheads,
            long seconds,
            int unknown) {}

    /**
     * What was sold from a day until before another, in the order in which it was booked. What came off a sale is shared by its bags by
     * what was paid for them, to the coin.
     */
    @Transactional(readOnly = true)
    public List<SoldLine> lines(LocalDate from, LocalDate until) {
        return known.lines(from, until);
    }

    /** The bags of one sale, with their share in what came off it. */
    static List<SoldLine> shared(List<Row> rows) {
        List<SoldLine> sold = new ArrayList<>();
        List<Long> tax = shares(rows, rows.get(0).saleTax());
        List<Long> fees = shares(rows, rows.get(0).saleFees());
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            sold.add(new SoldLine(
                    row.channel(),
                    Optional.ofNullable(row.fair()),
                    row.day(),
                    row.at(),
                    row.kind(),
                    new SoldBags(row.units(), row.paid(), tax.get(i), fees.get(i), row.cost(), making(row))));
        }
        return sold;
    }

    private static Optional<SoldBags.Making> making(Row row) {
        return row.unknown() > 0
                ? Optional.empty()
                : Optional.of(new SoldBags.Making(row.labour(), row.overheads(), Duration.ofSeconds(row.seconds())));
    }

    private static List<Long> shares(List<Row> rows, long minor) {
        long paid = rows.get(0).salePaid();
        int units = rows.stream().mapToInt(Row::units).sum();
        return Apportionment.of(
                rows.stream()
                        .map(row -> BigFraction.of(minor)
                                .multiply(
                                        paid == 0
                                                ? BigFraction.of(row.units(), units)
                                                : BigFraction.of(row.paid()).divide(paid)))
                        .toList(),
                minor);
    }

    /** What buyers paid from a day until before another, without tax, in minor units. */
    @Transactional(readOnly = true)
    public long soldMinor(LocalDate from, LocalDate until) {
        return known.sales(from, until).stream()
                .mapToLong(sale -> sale.paidMinor() - sale.taxMinor())
                .sum();
    }

    /** Bags of a sale with what was paid for all of them. */
    record PaidFor(int units, long paidMinor, LocalDate day) {}

    /** Bags of a size of a design, by what that is known by and is called. */
    public record Bags(DesignId design, String sizeKey, String designName, String sizeName) {}

    /**
     * How many were sold at a price.
     *
     * @param minor what was paid for one, to the coin
     */
    public record SoldAt(long minor, int units, LocalDate last) {}

    /** At which prices bags of a size of a design were sold in a channel since a day, the lowest first. */
    @Transactional(readOnly = true)
    public List<SoldAt> prices(Bags bags, ChannelId channel, LocalDate from) {
        Map<Long, SoldAt> byPrice = new TreeMap<>();
        lines.paidFor(bags.design(), bags.sizeKey(), bags.designName(), bags.sizeName(), channel, from)
                .forEach(one -> {
                    long each = Apportionment.rounded(BigFraction.of(one.paidMinor(), one.units()));
                    byPrice.merge(
                            each,
                            new SoldAt(each, one.units(), one.day()),
                            (known, more) -> new SoldAt(
                                    each,
                                    known.units() + more.units(),
                                    known.last().isAfter(more.last()) ? known.last() : more.last()));
                });
        return List.copyOf(byPrice.values());
    }

    /**
     * Bags of a lot that were sold at once.
     *
     * @param fair absent where it wasn't at a fair
     * @param paidMinor for all of these together
     */
    public record SoldOfLot(
            LocalDate day, ChannelId channel, @Nullable FairId fair, int units, long paidMinor, String note) {}

    /** How many of a kind were sold at a place, and when the last one went. */
    public record SoldAtPlace(String kind, long units, LocalDate last) {}

    /** What was sold at a place since a day, by kind. */
    @Transactional(readOnly = true)
    public List<SoldAtPlace> soldAt(String place, LocalDate day) {
        return lines.soldAt(place, day);
    }

    /** The sales of a lot, the first one first. */
    @Transactional(readOnly = true)
    public List<SoldOfLot> ofLot(long lot) {
        return lines.ofLot(lot);
    }

    /** How many bags of a design were sold since a day. */
    @Transactional(readOnly = true)
    public long soldOf(DesignId design, LocalDate from) {
        return lines.soldOf(design, from);
    }

    /** The sales from a day until before another, in the order in which they were booked. */
    @Transactional(readOnly = true)
    public List<Entry> sales(LocalDate from, LocalDate until) {
        return known.sales(from, until);
    }

    /** The day of the first sale that there is; empty where nothing was sold yet. */
    @Transactional(readOnly = true)
    public Optional<LocalDate> firstDay() {
        return sales.days(Limit.of(1)).stream().findFirst();
    }
}
