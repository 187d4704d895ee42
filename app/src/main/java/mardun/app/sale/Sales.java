package mardun.app.sale;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.channel.Channels;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLedger.FromLot;
import mardun.app.goods.GoodsLot;
import mardun.app.id.ChannelId;
import mardun.app.id.FairId;
import mardun.app.problem.RefusedException;
import mardun.app.sale.Sale.Worth;
import mardun.app.sale.SalesBook.SoldLine;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.money.Apportionment;
import mardun.core.pricing.Terms;
import mardun.core.selling.Tender;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The book of sales: each takes its bags from the shelf, the oldest lot first, and knows what came off it by the terms of that moment. What
 * was sold though the book had none left stays unclear until the maker says how that was; no place ever has fewer than none.
 */
@Service
public class Sales {

    private final SaleRepository sales;
    private final SaleLineRepository lines;
    private final GoodsLedger ledger;
    private final Channels channels;
    private final SettingsService settings;
    private final Clock clock;
    private final KnownSales known;

    Sales(
            SaleRepository sales,
            SaleLineRepository lines,
            GoodsLedger ledger,
            Channels channels,
            SettingsService settings,
            Clock clock,
            KnownSales known) {
        this.sales = sales;
        this.lines = lines;
        this.ledger = ledger;
        this.channels = channels;
        this.settings = settings;
        this.clock = clock;
        this.known = known;
    }

    /**
     * Bags of a kind in a sale.
     *
     * @param kind the key of the kind
     * @param usualMinor what one is usually sold for
     */
    public record Sold(String kind, int units, long usualMinor) {}

    /**
     * A sale as it is booked.
     *
     * @param place where the bags were
     * @param paidMinor what the buyer paid for all of it
     * @param payment what a card reader calls the payment; empty for none
     */
    public record NewSale(
            UUID id,
            ChannelId channelId,
            Optional<FairId> fairId,
            String place,
            Instant at,
            Tender tender,
            List<Sold> bags,
            long paidMinor,
            String payment,
            String note) {

        int units() {
            return bags.stream().mapToInt(Sold::units).sum();
        }
    }

    /** How many of a kind were sold at a fair, and for how much. */
    public record KindSold(FairId fair, String kind, long units, long paidMinor) {}

    /** What was sold of a kind at a fair, and when the last one went. */
    public record AtFair(FairId fair, String kind, long units, long paidMinor, Instant last) {}

    /** What was sold of a kind in a channel on a day. */
    public record OnDay(ChannelId channel, LocalDate day, String kind, long units, long paidMinor) {}

    /** So many bags of a kind went over the counter in a sale; at no fair where it is absent. */
    public record InSale(@Nullable FairId fair, ChannelId channel, LocalDate day, String kind, long units) {}

    /** All that was sold since a day, sale by sale. */
    @Transactional(readOnly = true)
    public List<List<InSale>> saleBySale(LocalDate day) {
        return known.saleBySale(day, end()).stream()
                .map(its -> its.stream()
                        .collect(Collectors.groupingBy(SoldLine::kind, LinkedHashMap::new, Collectors.toList()))
                        .values()
                        .stream()
                        .map(Sales::inSale)
                        .toList())
                .toList();
    }

    private static InSale inSale(List<SoldLine> ofKind) {
        SoldLine one = ofKind.get(0);
        return new InSale(one.fair().orElse(null), one.channel(), one.day(), one.kind(), units(ofKind));
    }

    /** What was sold at fairs since a day. */
    @Transactional(readOnly = true)
    public List<AtFair> atFairsSince(LocalDate day) {
        return by(day, line -> line.fair().map(fair -> List.of(fair, line.kind()))).stream()
                .map(its -> new AtFair(
                        its.get(0).fair().orElseThrow(),
                        its.get(0).kind(),
                        units(its),
                        paid(its),
                        its.stream()
                                .map(SoldLine::at)
                                .max(Comparator.naturalOrder())
                                .orElseThrow()))
                .toList();
    }

    /** What was sold elsewhere since a day. */
    @Transactional(readOnly = true)
    public List<OnDay> elsewhereSince(LocalDate day) {
        return by(
                        day,
                        line -> line.fair().isPresent()
                                ? Optional.empty()
                                : Optional.of(List.of(line.channel(), line.day(), line.kind())))
                .stream()
                .map(its -> new OnDay(
                        its.get(0).channel(), its.get(0).day(), its.get(0).kind(), units(its), paid(its)))
                .toList();
    }

    /** Lines since a day that are alike; those that are like nothing are left out. */
    private Collection<List<SoldLine>> by(LocalDate day, Function<SoldLine, Optional<List<Object>>> alike) {
        Map<List<Object>, List<SoldLine>> groups = new LinkedHashMap<>();
        known.lines(day, end())
                .forEach(line -> alike.apply(line)
                        .ifPresent(key -> groups.computeIfAbsent(key, its -> new ArrayList<>())
                                .add(line)));
        return groups.values();
    }

    private static long units(List<SoldLine> some) {
        return some.stream().mapToLong(line -> line.bags().bags()).sum();
    }

    private static long paid(List<SoldLine> some) {
        return some.stream().mapToLong(line -> line.bags().paid()).sum();
    }

    /** Later than any day on which something was sold: a device's clock may be ahead. */
    private LocalDate end() {
        return LocalDate.now(clock).plusYears(1);
    }

    /** What was sold at a fair and paid in one way. */
    public record Sum(
            FairId fair,
            Tender tender,
            long sales,
            long units,
            long paidMinor,
            long taxMinor,
            long feesMinor,
            long costMinor,
            long labourMinor,
            long seconds,
            long unknownUnits) {}

    /** A sale as it stands. */
    public record Booked(
            UUID id, Instant at, Tender tender, int units, long paidMinor, boolean takenBack, List<BookedLine> bags) {}

    /** Bags of a sale as they stand. */
    public record BookedLine(long id, String kind, int units, long paidMinor, boolean unclear) {}

    /**
     * Books a sale; inside the caller's transaction, and once for each id.
     *
     * @throws RefusedException if there never were bags of a kind in it
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void book(NewSale sold) {
        book(sold, List.of());
    }

    /**
     * A sale takes the place of another one, which is taken back; inside the caller's transaction. Bags that stay sold are of the lots of
     * which they were sold before, whatever came to their place meanwhile.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void bookInstead(UUID before, NewSale sold) {
        takeBack(before);
        book(sold, lines.findBySaleIdOrderById(before));
    }

    private void book(NewSale sold, List<SaleLine> before) {
        Map<String, List<GoodsLot>> lots =
                ledger.ofKindsAt(sold.bags().stream().map(Sold::kind).toList(), sold.place());
        sold.bags().stream()
                .filter(bags -> !lots.containsKey(bags.kind()))
                .findFirst()
                .ifPresent(unknown -> {
                    throw RefusedException.conflict(
                            "There never were bags like these in the book: " + unknown.kind() + ".");
                });
        ledger.hold(
                lots.values().stream().flatMap(List::stream).map(GoodsLot::id).toList());
        Settings current = settings.current();
        LocalDate day = LocalDate.ofInstant(sold.at(), clock.getZone());
        known.writes(day, sold.fairId().orElse(null));
        Sale sale = new Sale(sold, day);
        Terms.Took took = channels.get(sold.channelId())
                .channel(current.workroom().rates())
                .terms()
                .paidByCard(sold.tender() == Tender.CARD)
                .ofUnits(sold.units())
                .took(current.money(sold.paidMinor()));
        sale.took(took.tax().getAmountMinorLong(), took.fees().getAmountMinorLong());
        sales.saveAndFlush(sale);
        List<Long> shares = shares(sold);
        Worth worth = Worth.NOTHING;
        for (int i = 0; i < sold.bags().size(); i++) {
            Sold bags = sold.bags().get(i);
            worth = worth.plus(take(sold, bags, shares.get(i), lots.get(bags.kind()), before));
        }
        sale.cost(worth);
    }

    /** What was paid for the bags of each kind, by what they usually cost; where all are for nothing, by how many they are. */
    private static List<Long> shares(NewSale sold) {
        long usual = sold.bags().stream()
                .mapToLong(bags -> Math.multiplyExact(bags.usualMinor(), (long) bags.units()))
                .sum();
        return Apportionment.of(
                sold.bags().stream()
                        .map(bags -> BigFraction.of(sold.paidMinor())
                                .multiply(
                                        usual == 0
                                                ? BigFraction.of(bags.units(), sold.units())
                                                : BigFraction.of(bags.usualMinor())
                                                        .multiply(bags.units())
                                                        .divide(usual)))
                        .toList(),
                sold.paidMinor());
    }

    private Worth take(NewSale sold, Sold bags, long paid, List<GoodsLot> lots, List<SaleLine> before) {
        Worth worth = Worth.NOTHING;
        int open = bags.units();
        long unpaid = paid;
        for (FromLot from : leave(sold, bags, lots, before)) {
            long its = Apportionment.share(unpaid, from.units(), open);
            Worth of = worth(from.lot(), from.units());
            lines.save(line(sold, bags, from.lot().id(), from.units(), its, of));
            worth = worth.plus(of);
            open -= from.units();
            unpaid -= its;
        }
        if (open > 0) {
            // What nobody can find in the book is reckoned as one of the latest lot until the maker says how it was.
            Worth of = worth(lots.get(lots.size() - 1), open);
            lines.save(line(sold, bags, null, open, unpaid, of));
            worth = worth.plus(of);
        }
        return worth;
    }

    /** Bags leave the shelf: those that were sold before as they were then, others the oldest first, as far as there are any. */
    private List<FromLot> leave(NewSale sold, Sold bags, List<GoodsLot> lots, List<SaleLine> before) {
        Map<Long, GoodsLot> byId = lots.stream().collect(Collectors.toMap(GoodsLot::id, lot -> lot));
        List<FromLot> left = new ArrayList<>();
        int open = bags.units();
        for (SaleLine line : before) {
            Optional<GoodsLot> lot = line.goodsId().map(byId::get);
            int some = Math.min(open, line.units());
            if (lot.isPresent() && some > 0) {
                left.add(leave(sold, new FromLot(lot.get(), some)));
                open -= some;
            }
        }
        for (FromLot oldest : ledger.oldestFirst(lots, sold.place(), open)) {
            left.add(leave(sold, oldest));
        }
        return left;
    }

    private FromLot leave(NewSale sold, FromLot from) {
        ledger.move(from.lot().id(), sold.place(), GoodsKind.SOLD, -from.units(), "");
        return from;
    }

    private static SaleLine line(NewSale sold, Sold bags, Long lot, int units, long paid, Worth worth) {
        return new SaleLine(sold.id(), bags.kind(), lot, sold.place(), units, paid, bags.usualMinor(), worth);
    }

    private static Worth worth(GoodsLot lot, int units) {
        return new Worth(
                Apportionment.share(lot.totalCostMinor(), units, lot.made()),
                lot.unitLabourMinor().orElse(0L) * units,
                Apportionment.share(lot.overheadMinor(), units, lot.made()),
                lot.unitSeconds().orElse(0L) * units,
                lot.unitSeconds().isPresent() ? 0 : units);
    }

    /**
     * A sale is taken back: its bags are where they were. Once more it is the same.
     *
     * @return whether there is such a sale
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean takeBack(UUID id) {
        Optional<Sale> found = sales.findById(id);
        found.filter(sale -> !sale.isTakenBack()).ifPresent(sale -> {
            known.writes(sale.soldOn(), sale.fairId());
            List<SaleLine> its = lines.findBySaleIdOrderById(id);
            ledger.hold(its.stream().flatMap(line -> line.goodsId().stream()).toList());
            its.forEach(line -> line.goodsId()
                    .ifPresent(lot -> ledger.move(lot, line.place(), GoodsKind.TAKEN_BACK, line.units(), "")));
            sale.takeBack(clock.instant());
            sales.saveAndFlush(sale);
        });
        return found.isPresent();
    }

    /** A sale as it was booked, bags of a kind together; empty if there is none, or it was taken back. */
    @Transactional(readOnly = true)
    public Optional<NewSale> find(UUID id) {
        return sales.findById(id).filter(sale -> !sale.isTakenBack()).map(sale -> {
            Map<String, Sold> bags = new LinkedHashMap<>();
            List<SaleLine> its = lines.findBySaleIdOrderById(id);
            its.forEach(line -> bags.merge(
                    line.bagKind(),
                    new Sold(line.bagKind(), line.units(), line.usualMinor()),
                    (one, more) -> new Sold(one.kind(), one.units() + more.units(), one.usualMinor())));
            return sale.booked(its.get(0).place(), List.copyOf(bags.values()));
        });
    }

    /** How many bags of which lot a sale has, by the lots; those that nobody found in the book are left out. */
    @Transactional(readOnly = true)
    public Map<Long, Integer> lots(UUID id) {
        return lines.findBySaleIdOrderById(id).stream()
                .filter(line -> line.goodsId().isPresent())
                .collect(Collectors.toMap(
                        line -> line.goodsId().orElseThrow(), SaleLine::units, Integer::sum, LinkedHashMap::new));
    }

    /** What was sold at some fairs, by how it was paid. */
    @Transactional(readOnly = true)
    public List<Sum> sums(Collection<FairId> fairs) {
        return fairs.isEmpty() ? List.of() : sales.sums(fairs);
    }

    /** How many of each kind were sold at some fairs. */
    @Transactional(readOnly = true)
    public List<KindSold> kinds(Collection<FairId> fairs) {
        return known.kinds(fairs);
    }

    /** The last sales of a fair, the newest first, with those that were taken back. */
    @Transactional(readOnly = true)
    public List<Booked> latest(FairId fair, int most) {
        List<Sale> some = sales.latest(fair, Limit.of(most));
        Map<UUID, List<SaleLine>> its = some.isEmpty()
                ? Map.of()
                : lines.findBySaleIdInOrderById(some.stream().map(Sale::getId).toList()).stream()
                        .collect(Collectors.groupingBy(SaleLine::saleId, LinkedHashMap::new, Collectors.toList()));
        return some.stream()
                .map(sale -> booked(sale, its.getOrDefault(sale.getId(), List.of())))
                .toList();
    }

    private static Booked booked(Sale sale, List<SaleLine> its) {
        return new Booked(
                sale.getId(),
                sale.soldAt(),
                sale.tender(),
                sale.units(),
                sale.paidMinor(),
                sale.isTakenBack(),
                its.stream().map(Sales::booked).toList());
    }

    private static BookedLine booked(SaleLine line) {
        return new BookedLine(
                line.id(),
                line.bagKind(),
                line.units(),
                line.paidMinor(),
                line.goodsId().isEmpty());
    }

    /** Bags that were sold at a fair though the book had none left. */
    @Transactional(readOnly = true)
    public List<BookedLine> unclear(FairId fair) {
        return lines.unclear(fair).stream().map(Sales::booked).toList();
    }

    /**
     * How it was with bags that the book didn't have.
     *
     * @param kind of which kind they were; the same one where there just were more than the book knew
     * @param place where they were
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void clear(long lineId, BagKind kind, List<GoodsLot> lots, String place) {
        SaleLine line = lines.findById(lineId)
                .filter(one -> one.goodsId().isEmpty())
                .orElseThrow(() -> RefusedException.missing("This question was answered already."));
        Sale sale = sales.findById(line.saleId()).orElseThrow();
        known.writes(sale.soldOn(), sale.fairId());
        ledger.hold(lots.stream().map(GoodsLot::id).toList());
        boolean isOther = !kind.key().equals(line.bagKind());
        List<SaleLine> found = new ArrayList<>();
        int open = line.units();
        long unpaid = line.paidMinor();
        for (FromLot from : ledger.oldestFirst(lots, place, line.units())) {
            long its = Apportionment.share(unpaid, from.units(), open);
            ledger.move(from.lot().id(), place, GoodsKind.SOLD, -from.units(), "");
            found.add(new SaleLine(
                    line.saleId(),
                    kind.key(),
                    from.lot().id(),
                    place,
                    from.units(),
                    its,
                    line.usualMinor(),
                    worth(from.lot(), from.units())));
            open -= from.units();
            unpaid -= its;
        }
        if (open > 0 && isOther) {
            throw RefusedException.conflict("Of “" + kind.words() + "” there are " + (line.units() - open) + " at “"
                    + place + "”, and " + line.units() + " were sold. Choose another one.");
        }
        if (open > 0) {
            // There was one more than the book knew: it is counted in, and sold.
            GoodsLot last = lots.get(lots.size() - 1);
            Worth of = worth(last, open);
            ledger.move(last.id(), place, GoodsKind.COUNTED, open, "sold, so it was there");
            ledger.move(last.id(), place, GoodsKind.SOLD, -open, "");
            found.add(new SaleLine(line.saleId(), kind.key(), last.id(), place, open, unpaid, line.usualMinor(), of));
        }
        lines.delete(line);
        lines.saveAll(found);
        lines.flush();
        sale.cost(lines.findBySaleIdOrderById(sale.getId()).stream()
                .map(SaleLine::worth)
                .reduce(Worth.NOTHING, Worth::plus));
        sales.saveAndFlush(sale);
    }

    /** The sale that some bags belong to. */
    @Transactional(readOnly = true)
    public Optional<UUID> saleOf(long lineId) {
        return lines.findById(lineId).map(SaleLine::saleId);
    }
}
