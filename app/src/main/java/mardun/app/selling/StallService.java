package mardun.app.selling;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLedger.FromLot;
import mardun.app.goods.GoodsLot;
import mardun.app.id.FairId;
import mardun.app.problem.RefusedException;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.Booked;
import mardun.app.sale.Sales.BookedLine;
import mardun.app.sale.Sales.NewSale;
import mardun.app.selling.StallEntry.Bags;
import mardun.app.selling.StallViews.AnswerForm;
import mardun.app.selling.StallViews.Answered;
import mardun.app.selling.StallViews.MoneyStyle;
import mardun.app.selling.StallViews.OtherBag;
import mardun.app.selling.StallViews.PromiseView;
import mardun.app.selling.StallViews.SoldBags;
import mardun.app.selling.StallViews.StallQuestion;
import mardun.app.selling.StallViews.StallSale;
import mardun.app.selling.StallViews.StallTelling;
import mardun.app.selling.StallViews.StallView;
import mardun.app.selling.StallViews.TakingsView;
import mardun.app.selling.StallViews.TileView;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.pricing.Terms;
import mardun.core.selling.Coins;
import mardun.core.selling.Tender;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A day at a stall. Devices tell what happened in entries with ids of their own, whenever they reach the server and as often as they like;
 * the stall's figures follow from all that came, whichever device told it first.
 */
@Service
public class StallService {

    private static final int SALES_SHOWN = 40;
    private static final int OTHERS_SHOWN = 30;
    private static final int MOST_BAGS = 1_000;
    private static final long MOST_MINOR = 100_000_000L;
    private static final Duration PLAUSIBLE = Duration.ofDays(2);

    private final Fairs fairs;
    private final StallEventRepository events;
    private final PackingLineRepository packing;
    private final StallBags bags;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final SettingsService settings;
    private final Clock clock;

    StallService(
            Fairs fairs,
            StallEventRepository events,
            PackingLineRepository packing,
            StallBags bags,
            GoodsLedger ledger,
            Sales sales,
            SettingsService settings,
            Clock clock) {
        this.fairs = fairs;
        this.events = events;
        this.packing = packing;
        this.bags = bags;
        this.ledger = ledger;
        this.sales = sales;
        this.settings = settings;
        this.clock = clock;
    }

    /** How a stall stands. */
    @Transactional(readOnly = true)
    public StallView stall(FairId id) {
        return view(fairs.get(id));
    }

    /** Takes what a device tells, what was told before only once, and says how the stall stands then. */
    @Transactional
    public StallView tell(FairId id, StallTelling telling) {
        Fair fair = fairs.forChange(id);
        List<UUID> ids = telling.entries().stream().map(StallEntry::id).toList();
        Set<UUID> known = ids.isEmpty() ? Set.of() : events.known(ids);
        Set<UUID> taken = new HashSet<>(known);
        for (StallEntry entry : telling.entries()) {
            if (taken.add(entry.id())) {
                take(fair, telling.device(), entry);
            }
        }
        events.flush();
        return view(fair);
    }

    private void take(Fair fair, UUID device, StallEntry entry) {
        StallEvent event = new StallEvent(fair.id(), device, entry);
        Optional<String> wrong = wrong(entry);
        if (wrong.isPresent()) {
            event.refuse(wrong.get());
        } else {
            switch (entry.kind()) {
                case SOLD -> sell(fair, entry);
                case UNDONE -> undo(entry).ifPresent(event::refuse);
                case GIVEN_AWAY, BROKEN, STOLEN -> lose(fair, entry, event);
                case PROMISED, RELEASED -> {
                    // Bags that are put aside stay where they are; what is left follows from the log.
                }
            }
        }
        events.saveAndFlush(event);
    }

    /** Why an entry can't be booked; empty if it can. */
    private Optional<String> wrong(StallEntry entry) {
        boolean isAbout = entry.kind() == StallEventKind.UNDONE || entry.kind() == StallEventKind.RELEASED;
        if (isAbout) {
            return entry.ofEntry() == null ? Optional.of("It doesn’t say what is undone.") : Optional.empty();
        }
        boolean isCounted = !entry.bags().isEmpty()
                && entry.bags().stream()
                        .allMatch(its -> its.units() >= 1
                                && its.units() <= MOST_BAGS
                                && its.priceMinor() >= 0
                                && its.priceMinor() <= MOST_MINOR);
        if (!isCounted) {
            return Optional.of("It is of no bags, or of more than can be.");
        }
        Long paid = entry.paidMinor();
        if (entry.kind() == StallEventKind.SOLD
                && (paid == null || paid < 0 || paid > MOST_MINOR || entry.tender() == null)) {
            return Optional.of("It doesn’t say what was paid, or how.");
        }
        List<String> kinds = entry.bags().stream().map(Bags::kind).distinct().toList();
        return ledger.known(kinds).size() == kinds.size()
                ? Optional.empty()
                : Optional.of("There never were such bags in the book.");
    }

    private void sell(Fair fair, StallEntry entry) {
        sales.book(new NewSale(
                entry.id(),
                bags.channel(fair),
                Optional.of(fair.id()),
                fair.form().stallPlace(),
                plausible(fair, entry.at()),
                entry.tender(),
                entry.bags().stream()
                        .map(its -> new Sales.Sold(its.kind(), its.units(), its.priceMinor()))
                        .toList(),
                entry.paidMinor(),
                entry.payment(),
                entry.note()));
    }

    /** When it was by the device's clock, unless that is wrong by days. */
    private Instant plausible(Fair fair, Instant at) {
        Instant from = fair.heldOn().atStartOfDay(clock.getZone()).toInstant().minus(PLAUSIBLE);
        Instant until = fair.endsOn()
                .plusDays(1)
                .atStartOfDay(clock.getZone())
                .toInstant()
                .plus(PLAUSIBLE);
        return at.isBefore(from) || at.isAfter(until) ? clock.instant() : at;
    }

    private Optional<String> undo(StallEntry entry) {
        UUID of = entry.ofEntry();
        if (sales.takeBack(of)) {
            return Optional.empty();
        }
        Optional<StallEvent> event = events.findById(of);
        if (event.isEmpty()) {
            return Optional.of("What is undone isn’t known.");
        }
        if (!events.existsByOfEventAndKindAndRefusedIsNull(of, StallEventKind.UNDONE)) {
            ledger.hold(event.get().took().keySet());
            event.get()
                    .took()
                    .forEach((lot, units) ->
                            ledger.move(lot, placeOf(event.get()), GoodsKind.TAKEN_BACK, units, "undone"));
        }
        return Optional.empty();
    }

    private String placeOf(StallEvent event) {
        return fairs.get(event.fairId()).form().stallPlace();
    }

    private void lose(Fair fair, StallEntry entry, StallEvent event) {
        GoodsKind kind = switch (entry.kind()) {
            case GIVEN_AWAY -> GoodsKind.GIVEN_AWAY;
            case STOLEN -> GoodsKind.STOLEN;
            default -> GoodsKind.WRITTEN_OFF;
        };
        String reason = fair.name() + (entry.note().isBlank() ? "" : ": " + entry.note());
        Map<Long, Integer> took = new LinkedHashMap<>();
        for (Bags its : entry.bags()) {
            int missing = leave(fair.form().stallPlace(), its.kind(), its.units(), kind, reason, took);
            if (missing > 0) {
                event.refuse("Of these bags " + missing + " weren’t there any more.");
            }
        }
        event.took(took);
    }

    /** Bags of a kind leave the stall, the oldest lot first; how many weren't there. */
    int leave(String place, String key, int units, GoodsKind kind, String reason, Map<Long, Integer> took) {
        List<GoodsLot> lots = ledger.ofKindsAt(List.of(key), place).getOrDefault(key, List.of());
        ledger.hold(lots.stream().map(GoodsLot::id).toList());
        int open = units;
        for (FromLot from : ledger.oldestFirst(lots, place, units)) {
            ledger.move(from.lot().id(), place, kind, -from.units(), reason);
            took.merge(from.lot().id(), from.units(), Integer::sum);
            open -= from.units();
        }
        return open;
    }

    /** How it was with bags that were sold though the book had none left. */
    @Transactional
    public StallView answer(FairId id, AnswerForm form) {
        Fair fair = fairs.forChange(id);
        BookedLine line = sales.unclear(id).stream()
                .filter(one -> one.id() == form.line())
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("This question was answered already."));
        if (form.answer() == Answered.NOT_SOLD) {
            sales.takeBack(sales.saleOf(line.id()).orElseThrow());
            return view(fair);
        }
        String key = form.answer() == Answered.OTHER_BAG ? form.kind() : line.kind();
        if (key == null || form.answer() == Answered.OTHER_BAG && key.equals(line.kind())) {
            throw RefusedException.conflict("Say which other bag it was.");
        }
        String place = fair.form().stallPlace();
        List<GoodsLot> lots = ledger.ofKindsAt(List.of(key), place).getOrDefault(key, List.of());
        if (lots.isEmpty()) {
            throw RefusedException.missing("There are no such bags, or no longer.");
        }
        sales.clear(line.id(), lots.get(lots.size() - 1).kind(), lots, place);
        return view(fair);
    }

    private StallView view(Fair fair) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        String place = fair.form().stallPlace();
        List<PackingLine> list = packing.findByFairIdOrderById(fair.id());
        List<Sales.KindSold> sold = sales.kinds(List.of(fair.id()));
        List<StallEvent> promises = events.promises(fair.id());
        Map<BagKind, List<GoodsLot>> shown = shown(place, list, sold);
        Map<String, Long> prices = bags.prices(fair, list, shown);
        Terms terms = bags.terms(fair);
        Map<String, Integer> promised = new HashMap<>();
        promises.forEach(
                event -> event.entry().bags().forEach(its -> promised.merge(its.kind(), its.units(), Integer::sum)));
        Map<String, Integer> units = new HashMap<>();
        sold.forEach(one -> units.merge(one.kind(), (int) one.units(), Integer::sum));
        List<TileView> tiles = shown.entrySet().stream()
                .map(one -> tile(
                        one.getKey(),
                        one.getValue(),
                        place,
                        prices.getOrDefault(one.getKey().key(), 0L),
                        promised.getOrDefault(one.getKey().key(), 0),
                        units.getOrDefault(one.getKey().key(), 0),
                        terms,
                        writer))
                .sorted(Comparator.comparing(
                                (TileView tile) -> tile.bag().design().toLowerCase(Locale.ROOT))
                        .thenComparing(tile -> tile.price().minor())
                        .thenComparing(tile -> tile.bag().cloth()))
                .toList();
        List<Sales.Sum> sums = sales.sums(List.of(fair.id()));
        FairFacts facts = Fairs.facts(fair, current);
        Map<String, BagKind> names = new HashMap<>();
        shown.keySet().forEach(kind -> names.put(kind.key(), kind));
        return new StallView(
                fair.id(),
                fair.name(),
                fair.heldOn(),
                fair.settled().isPresent(),
                tiles,
                takings(sums, writer),
                sums.stream()
                        .mapToLong(sum -> sum.paidMinor() - sum.taxMinor() - sum.feesMinor() - sum.costMinor())
                        .sum(),
                facts.costs().together().getAmountMinorLong(),
                usualLeaves(tiles),
                Stream.concat(
                                Coins.of(current.currency()).notes().stream(),
                                Coins.of(current.currency()).coins().stream().limit(2))
                        .toList(),
                new MoneyStyle(
                        current.currency().getDecimalPlaces(),
                        current.decimalMark().in("0.5").substring(1, 2)),
                opens(fair).orElse(null),
                sales.latest(fair.id(), SALES_SHOWN).stream()
                        .map(one -> sale(one, names, writer))
                        .toList(),
                promises.stream().map(event -> promise(event, names)).toList(),
                sales.unclear(fair.id()).stream()
                        .map(line -> question(line, tiles, names))
                        .toList(),
                events.refused(fair.id()).stream()
                        .map(event -> event.refused().orElseThrow())
                        .toList());
    }

    /** The kinds that are at the stall, go along, or were sold there. */
    private Map<BagKind, List<GoodsLot>> shown(String place, List<PackingLine> list, List<Sales.KindSold> sold) {
        Map<BagKind, List<GoodsLot>> shown = new LinkedHashMap<>();
        ledger.there().forEach((kind, lots) -> {
            if (PackingService.at(lots, place) > 0) {
                shown.put(kind, lots);
            }
        });
        Set<String> known = shown.keySet().stream().map(BagKind::key).collect(Collectors.toSet());
        List<String> others = Stream.concat(
                        list.stream().filter(PackingLine::isPacked).map(PackingLine::bagKind),
                        sold.stream().map(Sales.KindSold::kind))
                .filter(key -> !known.contains(key))
                .distinct()
                .toList();
        ledger.ofKindsAt(others, place)
                .values()
                .forEach(lots -> shown.put(lots.get(lots.size() - 1).kind(), lots));
        return shown;
    }

    private TileView tile(
            BagKind kind,
            List<GoodsLot> lots,
            String place,
            long price,
            int promised,
            int sold,
            Terms terms,
            ViewWriter writer) {
        int there = PackingService.at(lots, place);
        return new TileView(
                bags.view(kind, lots),
                writer.money(price),
                Math.max(0, there - promised),
                promised,
                sold,
                bags.leaves(terms, price, lots.get(lots.size() - 1)));
    }

    /** What a bag of those that are left leaves on average; of those that were there, where none is left. */
    private static long usualLeaves(List<TileView> tiles) {
        long left = tiles.stream().mapToLong(TileView::left).sum();
        return left > 0
                ? tiles.stream()
                                .mapToLong(tile -> tile.leavesMinor() * tile.left())
                                .sum()
                        / left
                : Math.round(tiles.stream()
                        .mapToLong(TileView::leavesMinor)
                        .average()
                        .orElse(0));
    }

    private static TakingsView takings(List<Sales.Sum> sums, ViewWriter writer) {
        return new TakingsView(
                writer.money(paid(sums, Tender.CASH)),
                writer.money(paid(sums, Tender.CARD)),
                writer.money(paid(sums, Tender.OTHER)),
                writer.money(sums.stream().mapToLong(Sales.Sum::paidMinor).sum()),
                (int) sums.stream().mapToLong(Sales.Sum::sales).sum(),
                (int) sums.stream().mapToLong(Sales.Sum::units).sum());
    }

    private static long paid(List<Sales.Sum> sums, Tender tender) {
        return sums.stream()
                .filter(sum -> sum.tender() == tender)
                .mapToLong(Sales.Sum::paidMinor)
                .sum();
    }

    private Optional<Instant> opens(Fair fair) {
        LocalDate today = LocalDate.now(clock);
        boolean isOn = !today.isBefore(fair.heldOn()) && !today.isAfter(fair.endsOn());
        return FairFacts.time(fair.form().opensAt())
                .map(time -> (isOn ? today : fair.heldOn())
                        .atTime(time)
                        .atZone(clock.getZone())
                        .toInstant());
    }

    private static String words(List<String> kinds, Map<String, BagKind> names) {
        return kinds.stream()
                .map(key ->
                        Optional.ofNullable(names.get(key)).map(BagKind::words).orElse("a bag"))
                .collect(Collectors.joining("; "));
    }

    private static StallSale sale(Booked sale, Map<String, BagKind> names, ViewWriter writer) {
        Map<String, Integer> units = new LinkedHashMap<>();
        sale.bags().forEach(line -> units.merge(line.kind(), line.units(), Integer::sum));
        return new StallSale(
                sale.id(),
                sale.at(),
                sale.tender(),
                units.entrySet().stream()
                        .map(one -> (one.getValue() == 1 ? "" : one.getValue() + " × ")
                                + words(List.of(one.getKey()), names))
                        .collect(Collectors.joining("; ")),
                units.entrySet().stream()
                        .map(one -> new SoldBags(one.getKey(), one.getValue()))
                        .toList(),
                writer.money(sale.paidMinor()),
                sale.takenBack());
    }

    private static PromiseView promise(StallEvent event, Map<String, BagKind> names) {
        Bags its = event.entry().bags().get(0);
        return new PromiseView(
                event.getId(),
                its.kind(),
                words(List.of(its.kind()), names),
                its.units(),
                its.priceMinor(),
                event.entry().note());
    }

    private static StallQuestion question(BookedLine line, List<TileView> tiles, Map<String, BagKind> names) {
        return new StallQuestion(
                line.id(),
                line.kind(),
                words(List.of(line.kind()), names),
                line.units(),
                tiles.stream()
                        .filter(tile ->
                                tile.left() >= line.units() && !tile.bag().key().equals(line.kind()))
                        .limit(OTHERS_SHOWN)
                        .map(tile -> new OtherBag(
                                tile.bag().key(), words(List.of(tile.bag().key()), names), tile.left()))
                        .toList());
    }
}
