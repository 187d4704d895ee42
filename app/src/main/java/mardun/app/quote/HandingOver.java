package mardun.app.quote;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLedger.FromLot;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.goods.Quality;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.Days;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.quote.CustomerOrderViews.HandOverBags;
import mardun.app.quote.CustomerOrderViews.HandOverForm;
import mardun.app.quote.CustomerOrderViews.HandedBags;
import mardun.app.quote.CustomerOrderViews.OrderStep;
import mardun.app.request.OnceOnly;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.NewSale;
import mardun.app.sale.Sales.Sold;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A customer takes the bags of a private order and pays what is still to be paid: a sale on the terms of the order's channel. */
@Component
class HandingOver {

    private static final int MOST_UNITS = 5000;

    private final CustomerOrderRepository orders;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    HandingOver(
            CustomerOrderRepository orders,
            GoodsLedger ledger,
            Sales sales,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.orders = orders;
        this.ledger = ledger;
        this.sales = sales;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** The bags that can be handed over, those of the order's batch in front. */
    @Transactional(readOnly = true)
    public List<HandOverBags> bags(long id) {
        CustomerOrder order = orders.findById(id).orElseThrow(OrderService::none);
        List<HandOverBags> bags = new ArrayList<>();
        ledger.there().forEach((kind, lots) -> {
            Map<String, Integer> all = new LinkedHashMap<>();
            Map<String, Integer> own = new HashMap<>();
            lots.forEach(lot -> lot.at().forEach((place, units) -> {
                all.merge(place, units, Integer::sum);
                if (order.batchId().isPresent() && lot.batchId().equals(order.batchId())) {
                    own.merge(place, units, Integer::sum);
                }
            }));
            all.forEach((place, units) -> bags.add(new HandOverBags(
                    kind.key(),
                    kind.words(),
                    place,
                    units,
                    own.containsKey(place),
                    kind.quality() == Quality.GOOD ? own.getOrDefault(place, 0) : 0)));
        });
        bags.sort(Comparator.comparing((HandOverBags one) -> !one.own())
                .thenComparing(one -> !one.place().equals(aside(id)))
                .thenComparing(one -> !one.place().equals(GoodsService.HOME))
                .thenComparing(HandOverBags::place)
                .thenComparing(HandOverBags::words));
        return proposed(bags, order.units());
    }

    /** As many of its own good bags as were ordered are proposed, one kind after the other. */
    private static List<HandOverBags> proposed(List<HandOverBags> bags, int ordered) {
        List<HandOverBags> proposed = new ArrayList<>();
        int open = ordered;
        for (HandOverBags one : bags) {
            int units = Math.min(open, one.proposed());
            open -= units;
            proposed.add(new HandOverBags(one.kind(), one.words(), one.place(), one.units(), one.own(), units));
        }
        return proposed;
    }

    /** Where bags lie that are put aside for an order, so that nobody packs or sells them. */
    static String aside(long id) {
        return "order " + id;
    }

    /** How many good bags of an order's batch are at a place. */
    int own(CustomerOrder order, String place) {
        return order.batchId()
                .map(batch -> ledger.ofBatch(batch).stream()
                        .filter(lot -> lot.kind().quality() == Quality.GOOD)
                        .mapToInt(lot -> lot.at(place))
                        .sum())
                .orElse(0);
    }

    /** The good bags of the order's batch that are at home are put aside for it, as far as so many were ordered. */
    @Transactional
    public void putAside(long id, OrderStep step) {
        CustomerOrder order = orders.findForChange(id).orElseThrow(OrderService::none);
        ChangedMeanwhileException.check("This order", step.version(), order.version());
        order.refuseUnlessOpen();
        int open = order.units() - own(order, aside(id));
        List<GoodsLot> lots = order.batchId().map(ledger::ofBatch).orElse(List.of()).stream()
                .filter(lot -> lot.kind().quality() == Quality.GOOD)
                .toList();
        if (open <= 0 || lots.stream().noneMatch(lot -> lot.at(GoodsService.HOME) > 0)) {
            throw RefusedException.conflict("No bags of this order’s batch are at home that could be put aside.");
        }
        ledger.hold(lots.stream().map(GoodsLot::id).toList());
        move(ledger.oldestFirst(lots, GoodsService.HOME, open), GoodsService.HOME, aside(id));
    }

    /** What was put aside for an order is for anybody again; inside the caller's transaction. */
    void putBack(CustomerOrder order) {
        String from = aside(order.id());
        List<GoodsLot> lots = ledger.there().values().stream()
                .flatMap(List::stream)
                .filter(lot -> lot.at(from) > 0)
                .toList();
        ledger.hold(lots.stream().map(GoodsLot::id).toList());
        Map<Long, Integer> there = ledger.units(lots, from);
        move(
                lots.stream()
                        .map(lot -> new FromLot(lot, there.getOrDefault(lot.id(), 0)))
                        .toList(),
                from,
                GoodsService.HOME);
    }

    private void move(List<FromLot> some, String from, String to) {
        some.forEach(one -> {
            ledger.move(one.lot().id(), from, GoodsKind.MOVED, -one.units(), "");
            ledger.move(one.lot().id(), to, GoodsKind.MOVED, one.units(), "");
        });
    }

    /** Books it; sent twice, once. */
    void handOver(long id, HandOverForm form) {
        onceOnly.make(form.requestId(), "handing over order " + id, form, () -> {
            CustomerOrder order = orders.findForChange(id).orElseThrow(OrderService::none);
            ChangedMeanwhileException.check("This order", form.version(), order.version());
            Settings current = settings.current();
            FieldReader fields = new FieldReader();
            List<Sold> sold = sold(form, fields);
            long paid = fields.money("paid", form.paid(), current.currency());
            LocalDate on = day(form, order, fields);
            if (fields.problems().isEmpty() && sold.isEmpty()) {
                fields.refuse("bags", "", "Nothing is handed over. Type how many of at least one bag.");
            }
            fields.check();
            UUID sale = UUID.randomUUID();
            order.handOver(sale, on, form.tender(), paid);
            sales.book(new NewSale(
                    sale,
                    order.channelId().orElse(current.usualChannel().id()),
                    Optional.empty(),
                    form.place(),
                    moment(on),
                    form.tender(),
                    sold,
                    paid,
                    "",
                    "order " + id));
            // What was put aside and isn't taken is for anybody again.
            putBack(order);
            orders.saveAndFlush(order);
            return id;
        });
    }

    /** What leaves the shelf, which is held for this transaction. */
    private List<Sold> sold(HandOverForm form, FieldReader fields) {
        Set<String> keys = form.bags().stream().map(HandedBags::kind).collect(Collectors.toSet());
        Map<String, List<GoodsLot>> lots = ledger.ofKindsAt(keys, form.place());
        ledger.hold(
                lots.values().stream().flatMap(List::stream).map(GoodsLot::id).toList());
        List<Sold> sold = new ArrayList<>();
        for (int i = 0; i < form.bags().size(); i++) {
            HandedBags bags = form.bags().get(i);
            String field = "bags." + i + ".units";
            int units = bags.units().isBlank() ? 0 : fields.count(field, bags.units(), 0, MOST_UNITS);
            List<GoodsLot> its = lots.getOrDefault(bags.kind(), List.of());
            int there = ledger.units(its, form.place()).values().stream()
                    .mapToInt(Integer::intValue)
                    .sum();
            if (units > there) {
                fields.refuse(
                        field,
                        bags.units(),
                        (there == 1 ? "There is 1" : "There are " + there) + " of these bags at “" + form.place()
                                + "”. Type at most as many.");
            } else if (units > 0) {
                sold.add(new Sold(bags.kind(), units, its.get(its.size() - 1).priceMinor()));
            }
        }
        return sold;
    }

    private LocalDate day(HandOverForm form, CustomerOrder order, FieldReader fields) {
        LocalDate today = LocalDate.now(clock);
        LocalDate agreed = LocalDate.ofInstant(order.madeAt(), clock.getZone());
        LocalDate on = Optional.ofNullable(form.on()).orElse(today);
        if (on.isAfter(today)) {
            fields.refuse("on", on.toString(), "This day is still to come. Hand it over when it is there.");
        } else if (on.isBefore(agreed)) {
            fields.refuse(
                    "on",
                    on.toString(),
                    "The order was agreed on " + Days.words(agreed) + ", so nothing was handed over before.");
        }
        return on;
    }

    /** Now for today, and the middle of any other day. */
    private Instant moment(LocalDate day) {
        return day.equals(LocalDate.now(clock))
                ? clock.instant()
                : day.atTime(12, 0).atZone(clock.getZone()).toInstant();
    }
}
