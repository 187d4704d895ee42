package mardun.app.shop;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.channel.Channels;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLedger.FromLot;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.id.ChannelId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.NewSale;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.shop.OnlineShop.Event;
import mardun.app.shop.OnlineShop.Line;
import mardun.app.shop.OnlineShop.Offer;
import mardun.app.shop.OnlineShop.PaidBack;
import mardun.app.shop.OnlineShop.PaidOut;
import mardun.app.shop.OnlineShop.Trouble;
import mardun.core.pricing.Terms;
import mardun.core.selling.PayoutMatch;
import mardun.core.selling.PayoutMatch.Expected;
import mardun.core.selling.PayoutMatch.Finding;
import mardun.core.selling.PayoutMatch.Matched;
import mardun.core.selling.Tender;
import org.joda.money.Money;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Looks after the online shop: takes in what it tells, each thing once and in whatever order, puts bags aside for its orders, tells it how
 * many are left and what buyers get back, and holds its payouts against the orders.
 */
@Service
public class ShopDesk {

    /** Where bags wait that were sold online. */
    static final String ASIDE = "online orders";

    /** How long buyers are told that it takes until their order is posted. */
    static final Duration POSTED_WITHIN = Duration.ofDays(3);

    private static final Duration NOTED_EVERY = Duration.ofMinutes(5);

    private final OnlineShop shop;
    private final ShopLinkRepository links;
    private final ShopListingRepository listings;
    private final ShopEventRepository events;
    private final ShopOrderRepository orders;
    private final ShopPayoutRepository payouts;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final Channels channels;
    private final SettingsService settings;
    private final TransactionTemplate transaction;
    private final Clock clock;

    ShopDesk(
            OnlineShop shop,
            ShopLinkRepository links,
            ShopListingRepository listings,
            ShopEventRepository events,
            ShopOrderRepository orders,
            ShopPayoutRepository payouts,
            GoodsLedger ledger,
            Sales sales,
            Channels channels,
            SettingsService settings,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.shop = shop;
        this.links = links;
        this.listings = listings;
        this.events = events;
        this.orders = orders;
        this.payouts = payouts;
        this.ledger = ledger;
        this.sales = sales;
        this.channels = channels;
        this.settings = settings;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** Looks at the shop, if it is looked after at all: one look at a time. */
    public synchronized void look() {
        ShopLink link = links.findById(ShopLink.ONLY).orElseThrow();
        if (!link.isConnected()) {
            return;
        }
        String trouble = "";
        try {
            List<Event> told = shop.events();
            told.forEach(event -> transaction.executeWithoutResult(status -> take(event)));
            if (!told.isEmpty()) {
                shop.acknowledge(told.stream().map(Event::id).collect(Collectors.toSet()));
            }
            transaction.executeWithoutResult(status -> fillShort());
            // A bag that is sold twice is worse than money that comes back a little later.
            tellStock();
            tellRefunds();
        } catch (Trouble away) {
            trouble = away.getMessage();
        } catch (ConcurrencyFailureException met) {
            // Somebody changed the same order: what wasn't taken in wasn't acknowledged, so it comes again.
            trouble = "Something of the shop was changed at the same moment. It is looked at again by itself.";
        }
        note(link, trouble);
    }

    /** Keeps how a look went; one that was as before needn't be written down each time. */
    private void note(ShopLink before, String trouble) {
        boolean isNews = !before.trouble().equals(trouble)
                || before.lookedAt()
                        .filter(at -> at.isAfter(clock.instant().minus(NOTED_EVERY)))
                        .isEmpty();
        if (isNews) {
            transaction.executeWithoutResult(
                    status -> links.findById(ShopLink.ONLY).orElseThrow().looked(clock.instant(), trouble));
        }
    }

    private void take(Event event) {
        if (events.existsById(event.id())) {
            return;
        }
        events.saveAndFlush(new ShopEvent(event.id(), clock.instant()));
        switch (event.kind()) {
            case ORDERED -> {
                ShopOrder order = orders.findByNumber(event.order()).orElseGet(() -> new ShopOrder(event.order()));
                if (!order.isPlaced() && event.ordered() != null) {
                    order.placed(event.ordered());
                    tellAgain(order);
                    // What was cancelled before it was told stays cancelled.
                    if (order.state() != OrderState.CANCELLED) {
                        reserve(order);
                    }
                    orders.saveAndFlush(order);
                }
            }
            case CANCELLED -> cancel(event);
            case RETURN_WANTED -> {
                ShopOrder order = orders.findByNumber(event.order()).orElseGet(() -> new ShopOrder(event.order()));
                order.wantBack(event.reason());
                orders.saveAndFlush(order);
            }
            case PAID_OUT -> Optional.ofNullable(event.payout()).ifPresent(this::match);
        }
    }

    private void cancel(Event event) {
        ShopOrder order = orders.findByNumber(event.order()).orElseGet(() -> new ShopOrder(event.order()));
        if (order.isOpen()) {
            release(order);
            tellAgain(order);
            order.cancel();
        } else if (order.state() != OrderState.CANCELLED) {
            // It is on its way already: what comes back is taken in then.
            order.wantBack(event.reason());
        }
        orders.saveAndFlush(order);
    }

    /** Which kinds an order is of; what the shop calls by a name that nobody knows is left out. */
    private Map<String, Integer> wanted(ShopOrder order) {
        Map<String, Integer> wanted = new LinkedHashMap<>();
        order.lines()
                .forEach(line -> listing(line)
                        .ifPresent(listing -> wanted.merge(listing.bagKind(), line.units(), Integer::sum)));
        return wanted;
    }

    Optional<ShopListing> listing(Line line) {
        return listings.findById(ShopListing.idOf(line.sku()));
    }

    /** Puts aside what an order still wants and what is at home, the oldest lot first. */
    private void reserve(ShopOrder order) {
        Map<String, Integer> wanted = wanted(order);
        Map<String, Integer> aside = new HashMap<>(order.reserved());
        Map<String, List<GoodsLot>> lots = ledger.ofKindsAt(wanted.keySet(), GoodsService.HOME);
        ledger.hold(
                lots.values().stream().flatMap(List::stream).map(GoodsLot::id).toList());
        int known = 0;
        for (Map.Entry<String, Integer> want : wanted.entrySet()) {
            known += want.getValue();
            int open = want.getValue() - aside.getOrDefault(want.getKey(), 0);
            for (FromLot from :
                    ledger.oldestFirst(lots.getOrDefault(want.getKey(), List.of()), GoodsService.HOME, open)) {
                moved(from.lot().id(), GoodsService.HOME, ASIDE, from.units(), "order " + order.number());
                aside.merge(want.getKey(), from.units(), Integer::sum);
            }
        }
        int together = aside.values().stream().mapToInt(Integer::intValue).sum();
        order.reserve(aside, together == order.units() && known == order.units());
    }

    private void moved(long lot, String from, String to, int units, String reason) {
        ledger.move(lot, from, GoodsKind.MOVED, -units, reason);
        ledger.move(lot, to, GoodsKind.MOVED, units, reason);
    }

    /** What was put aside for an order is at home again. */
    private void release(ShopOrder order) {
        Map<String, List<GoodsLot>> lots = ledger.ofKindsAt(order.reserved().keySet(), ASIDE);
        ledger.hold(
                lots.values().stream().flatMap(List::stream).map(GoodsLot::id).toList());
        order.reserved()
                .forEach((kind, units) -> ledger.oldestFirst(lots.getOrDefault(kind, List.of()), ASIDE, units)
                        .forEach(from -> moved(
                                from.lot().id(),
                                ASIDE,
                                GoodsService.HOME,
                                from.units(),
                                "order " + order.number() + " cancelled")));
    }

    /** Bags that were finished meanwhile go to the orders that wait longest. */
    private void fillShort() {
        orders.findByStateInOrderById(Set.of(OrderState.SHORT)).stream()
                .filter(ShopOrder::isPlaced)
                .forEach(order -> {
                    reserve(order);
                    orders.saveAndFlush(order);
                });
    }

    /** Tells the shop how many are at home, where it knows of another number or price. */
    private void tellStock() throws Trouble {
        List<ShopListing> all = listings.findAllByOrderById();
        Map<String, List<GoodsLot>> lots =
                ledger.ofKindsLeft(all.stream().map(ShopListing::bagKind).toList());
        for (ShopListing listing : all) {
            List<GoodsLot> its = lots.getOrDefault(listing.bagKind(), List.of());
            int units = listing.isOffered() ? atHome(its) : 0;
            if (!its.isEmpty() && listing.isNews(units)) {
                shop.offer(
                        new Offer(listing.sku(), its.get(its.size() - 1).kind().words(), listing.priceMinor(), units));
                // The maker may have typed another price meanwhile: only what was told is kept.
                transaction.executeWithoutResult(status ->
                        listings.findById(listing.id()).ifPresent(now -> now.told(units, listing.priceMinor())));
            }
        }
    }

    /** Asks the shop to pay back what buyers get for what came back; each time once, as the shop knows it by its id. */
    private void tellRefunds() throws Trouble {
        for (ShopOrder order : orders.withUntoldRefunds()) {
            for (OrderRefund refund : order.refunds()) {
                if (!refund.isTold()) {
                    shop.payBack(new PaidBack(refund.id(), order.number(), refund.minor()));
                    transaction.executeWithoutResult(
                            status -> orders.findForChange(order.id()).ifPresent(now -> {
                                now.toldRefund(refund.id());
                                orders.saveAndFlush(now);
                            }));
                }
            }
        }
    }

    /** An order changed how many the shop counts of what it is of. */
    private void tellAgain(ShopOrder order) {
        order.lines().forEach(line -> listing(line).ifPresent(ShopListing::unsure));
    }

    static int atHome(List<GoodsLot> lots) {
        return lots.stream().mapToInt(lot -> lot.at(GoodsService.HOME)).sum();
    }

    /** On whose terms the shop sells. */
    ChannelId channel() {
        return links.findById(ShopLink.ONLY)
                .orElseThrow()
                .channelId()
                .orElseGet(() -> settings.current().usualChannel().id());
    }

    /** Holds a payout against the orders, and keeps what was found. */
    private void match(PaidOut paid) {
        if (payouts.existsByName(paid.name())) {
            return;
        }
        Settings current = settings.current();
        Map<String, ShopOrder> known = orders
                .findByNumberIn(
                        paid.lines().stream().map(OnlineShop.PaidLine::order).collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(ShopOrder::number, order -> order));
        Terms terms = channels.get(channel())
                .terms()
                .theirs()
                .terms(current.workroom().rates());
        Map<String, Expected> expected = new HashMap<>();
        known.forEach((number, order) -> {
            if (order.isPlaced()) {
                expected.put(number, expected(order, terms, current));
            }
        });
        PayoutMatch match = PayoutMatch.of(
                paid.lines().stream()
                        .map(line -> new PayoutMatch.PaidLine(
                                line.order(), current.money(line.paidMinor()), current.money(line.feeMinor())))
                        .toList(),
                expected,
                current.money(paid.totalMinor()));
        ShopPayout payout = payouts.saveAndFlush(new ShopPayout(
                paid.name(),
                paid.paidAt(),
                paid.totalMinor(),
                match.difference().getAmountMinorLong(),
                match.lines().stream().map(ShopDesk::row).toList()));
        match.lines().stream()
                .filter(Matched::isPaymentOfOrder)
                .forEach(line -> known.get(line.line().order()).paidOut(payout.id()));
        match.lines().stream()
                .filter(line -> line.finding() == Finding.CANCELLED)
                .forEach(line -> known.get(line.line().order()).paidOutCancelled(payout.id()));
        match.lines().stream()
                .filter(line -> !line.paidBack().isEmpty())
                .forEach(line -> known.get(line.line().order()).paidOutRefunds(line.paidBack()));
        orders.saveAllAndFlush(known.values());
    }

    /** What a payout should have of an order, and of what was paid back of it one after another. */
    private static Expected expected(ShopOrder order, Terms terms, Settings current) {
        List<PayoutMatch.PaidBack> paidBack = new ArrayList<>();
        Money left = current.money(order.paidMinor());
        int units = order.units();
        for (OrderRefund refund : order.refunds()) {
            Money amount = current.money(refund.minor());
            paidBack.add(new PayoutMatch.PaidBack(
                    refund.id(),
                    amount,
                    terms.ofUnits(units).possibleFeesBack(left, amount, refund.units()),
                    refund.isPaidOut()));
            left = left.minus(amount);
            units -= refund.units();
        }
        Money paid = current.money(order.paidMinor());
        return new Expected(
                paid,
                terms.ofUnits(order.units()).possibleFees(paid),
                order.isPaidOut(),
                order.state() == OrderState.CANCELLED,
                paidBack);
    }

    private static ShopPayout.Row row(PayoutMatch.Matched matched) {
        return new ShopPayout.Row(
                matched.line().order(),
                matched.line().paid().getAmountMinorLong(),
                matched.line().fee().getAmountMinorLong(),
                matched.finding(),
                matched.off().getAmountMinorLong(),
                matched.with());
    }

    static RefusedException none() {
        return RefusedException.missing("There is no such order, or no longer.");
    }

    private ShopOrder forChange(long id, long version) {
        ShopOrder order = orders.findForChange(id).orElseThrow(ShopDesk::none);
        ChangedMeanwhileException.check("This order", version, order.version());
        return order;
    }

    /** An order is on its way: its bags are sold. */
    @Transactional
    public void post(long id, long version) {
        ShopOrder order = forChange(id, version);
        if (order.state() != OrderState.RESERVED) {
            throw RefusedException.conflict(
                    order.state() == OrderState.SHORT
                            ? "Bags of this order are missing. Once they are finished, they are put aside for it."
                            : "This order isn’t waiting to be posted any more.");
        }
        UUID sale = UUID.randomUUID();
        sales.book(new NewSale(
                sale,
                channel(),
                Optional.empty(),
                ASIDE,
                clock.instant(),
                Tender.OTHER,
                order.lines().stream()
                        .map(line ->
                                new Sales.Sold(listing(line).orElseThrow().bagKind(), line.units(), line.priceMinor()))
                        .toList(),
                order.paidMinor(),
                "",
                "order " + order.number()));
        order.post(sale, LocalDate.now(clock));
        orders.saveAndFlush(order);
    }

    @Transactional
    public void arrive(long id, long version) {
        ShopOrder order = forChange(id, version);
        if (order.state() != OrderState.POSTED) {
            throw RefusedException.conflict("Only what is on its way arrives.");
        }
        order.arrive(LocalDate.now(clock));
        orders.saveAndFlush(order);
    }

    /** Who bought isn't known any more; what was bought and paid stays. */
    @Transactional
    public void forget(long id, long version) {
        ShopOrder order = forChange(id, version);
        if (order.isOpen()) {
            throw RefusedException.conflict("This order isn’t posted yet: its address is still needed.");
        }
        order.forget();
        orders.saveAndFlush(order);
    }

    /** By when an order should be posted. */
    Optional<Instant> postBy(ShopOrder order) {
        return order.placedAt().filter(at -> order.isOpen()).map(at -> at.plus(POSTED_WITHIN));
    }
}
