package mardun.app.shop;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.channel.Channels;
import mardun.app.channel.PricePlace;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import mardun.app.price.PriceBook;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.shop.MissingBags.UnderWay;
import mardun.app.shop.OnlineShop.Line;
import mardun.app.shop.ShopViews.BuyerView;
import mardun.app.shop.ShopViews.LinkForm;
import mardun.app.shop.ShopViews.ListingForm;
import mardun.app.shop.ShopViews.ListingView;
import mardun.app.shop.ShopViews.OnlineShopView;
import mardun.app.shop.ShopViews.OrderLineView;
import mardun.app.shop.ShopViews.PayoutLineView;
import mardun.app.shop.ShopViews.PayoutView;
import mardun.app.shop.ShopViews.ShopOrderView;
import mardun.app.shop.ShopViews.ToMakeView;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import mardun.core.selling.PayoutMatch.Finding;
import org.joda.money.Money;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows the online shop, and lets the maker say what is offered there. */
@Service
public class ShopReading {

    private static final int UNPAID_SHOWN = 100;

    /** What was posted so many days ago should have been paid out by now. */
    private static final int PAID_WITHIN_DAYS = 14;

    private final ShopLinkRepository links;
    private final ShopListingRepository listings;
    private final ShopOrderRepository orders;
    private final ShopPayoutRepository payouts;
    private final ShopDesk desk;
    private final MissingBags missingBags;
    private final GoodsLedger ledger;
    private final PriceBook book;
    private final Channels channels;
    private final SettingsService settings;
    private final Clock clock;

    ShopReading(
            ShopLinkRepository links,
            ShopListingRepository listings,
            ShopOrderRepository orders,
            ShopPayoutRepository payouts,
            ShopDesk desk,
            MissingBags missingBags,
            GoodsLedger ledger,
            PriceBook book,
            Channels channels,
            SettingsService settings,
            Clock clock) {
        this.links = links;
        this.listings = listings;
        this.orders = orders;
        this.payouts = payouts;
        this.desk = desk;
        this.missingBags = missingBags;
        this.ledger = ledger;
        this.book = book;
        this.channels = channels;
        this.settings = settings;
        this.clock = clock;
    }

    /** On whose terms the shop sells, where it is looked after. */
    @Transactional(readOnly = true)
    public Optional<ChannelId> channel() {
        ShopLink link = links.findById(ShopLink.ONLY).orElseThrow();
        return link.isConnected() ? link.channelId() : Optional.empty();
    }

    @Transactional(readOnly = true)
    public OnlineShopView shop() {
        ShopLink link = links.findById(ShopLink.ONLY).orElseThrow();
        ViewWriter writer = settings.current().writer();
        return new OnlineShopView(
                link.isConnected(),
                link.channelId().orElse(null),
                link.lookedAt().orElse(null),
                link.trouble(),
                listings(writer),
                views(orders.findByStateInOrderById(List.of(OrderState.RESERVED, OrderState.SHORT)), writer),
                views(orders.unpaid(LocalDate.now(clock).minusDays(PAID_WITHIN_DAYS), Limit.of(UNPAID_SHOWN)), writer));
    }

    private List<ShopOrderView> views(List<ShopOrder> some, ViewWriter writer) {
        Names names = new Names(some);
        UnderWay underWay = missingBags.underWayFor(some);
        return some.stream().map(order -> view(order, names, underWay, writer)).toList();
    }

    /**
     * Orders that don't wait to be posted any more, the latest first.
     *
     * @param query words of their number and their buyer's name
     */
    @Transactional(readOnly = true)
    public PageView<ShopOrderView> answered(String query, int page, int size) {
        ViewWriter writer = settings.current().writer();
        Page<ShopOrder> found = orders.answered(SearchWords.like(query), PageRequest.of(page, size));
        Names names = new Names(found.getContent());
        return PageView.of(found, order -> view(order, names, UnderWay.NOTHING, writer));
    }

    /** What was paid out, the latest first. */
    @Transactional(readOnly = true)
    public PageView<PayoutView> payouts(int page, int size) {
        ViewWriter writer = settings.current().writer();
        return PageView.of(payouts.findAllByOrderByIdDesc(PageRequest.of(page, size)), payout -> view(payout, writer));
    }

    /** Of which kinds the lines of some orders are, and what those are called: read at once. */
    private final class Names {
        private final Map<Long, String> kinds;
        private final Map<String, BagKind> known;

        Names(List<ShopOrder> some) {
            kinds = listings
                    .findAllById(some.stream()
                            .flatMap(order -> order.lines().stream())
                            .map(line -> ShopListing.idOf(line.sku()))
                            .collect(Collectors.toSet()))
                    .stream()
                    .collect(Collectors.toMap(ShopListing::id, ShopListing::bagKind));
            known = ledger.kinds(Set.copyOf(kinds.values()));
        }

        /** Empty for what the shop calls by a name that nobody knows. */
        String kind(Line line) {
            return kinds.getOrDefault(ShopListing.idOf(line.sku()), "");
        }

        Optional<BagKind> of(String kind) {
            return Optional.ofNullable(known.get(kind));
        }

        String words(String kind) {
            return of(kind).map(BagKind::words).orElse("bags that aren’t known");
        }
    }

    private List<ListingView> listings(ViewWriter writer) {
        Map<String, ShopListing> byKind = new HashMap<>();
        listings.findAllByOrderById().forEach(listing -> byKind.put(listing.bagKind(), listing));
        Map<BagKind, List<GoodsLot>> there = new LinkedHashMap<>(ledger.there());
        Set<String> keysThere = there.keySet().stream().map(BagKind::key).collect(Collectors.toSet());
        // What is neither there nor offered needn't be asked about.
        List<String> gone = byKind.values().stream()
                .filter(listing -> listing.isOffered() && !keysThere.contains(listing.bagKind()))
                .map(ShopListing::bagKind)
                .toList();
        ledger.ofKindsLeft(gone)
                .values()
                .forEach(lots -> there.put(lots.get(lots.size() - 1).kind(), lots));
        Map<PricePlace, Money> asked = book.asked(desk.channel());
        List<ListingView> shown = new ArrayList<>();
        there.forEach((kind, lots) -> {
            Optional<ShopListing> listing = Optional.ofNullable(byKind.get(kind.key()));
            Optional<Money> price = listing.map(its -> settings.current().money(its.priceMinor()))
                    .or(() -> price(kind, asked));
            shown.add(new ListingView(
                    kind.key(),
                    kind.words(),
                    price.map(writer::money).orElse(null),
                    listing.map(ShopListing::isOffered).orElse(false),
                    ShopDesk.atHome(lots),
                    listing.map(ShopListing::toldUnits).orElse(null)));
        });
        shown.sort(Comparator.comparing((ListingView one) -> !one.offered()).thenComparing(ListingView::words));
        return shown;
    }

    private Optional<Money> price(BagKind kind, Map<PricePlace, Money> asked) {
        return kind.inBook(desk.channel()).flatMap(place -> place.of(asked));
    }

    private ShopOrderView view(ShopOrder order, Names names, UnderWay underWay, ViewWriter writer) {
        Map<String, Integer> aside = new HashMap<>(order.reserved());
        List<OrderLineView> lines = new ArrayList<>();
        for (Line line : order.lines()) {
            String kind = names.kind(line);
            int there = Math.min(line.units(), aside.getOrDefault(kind, 0));
            aside.merge(kind, -there, Integer::sum);
            int missing = order.isOpen() ? line.units() - there : 0;
            Optional<BagKind> lacking = missing > 0 ? names.of(kind) : Optional.empty();
            Optional<BatchId> batch = lacking.flatMap(its -> underWay.of(order, its));
            Optional<ToMakeView> toMake = batch.isPresent() ? Optional.empty() : lacking.flatMap(missingBags::toMake);
            lines.add(new OrderLineView(
                    names.words(kind),
                    line.units(),
                    writer.money(line.priceMinor()),
                    missing,
                    batch.orElse(null),
                    toMake.orElse(null)));
        }
        LocalDate postBy = desk.postBy(order)
                .map(at -> LocalDate.ofInstant(at, clock.getZone()))
                .orElse(null);
        return new ShopOrderView(
                order.id(),
                order.version(),
                order.number(),
                order.state(),
                order.placedAt().orElse(null),
                order.buyer()
                        .map(buyer -> new BuyerView(buyer.name(), buyer.reach(), buyer.address()))
                        .orElse(null),
                lines,
                writer.money(order.postageMinor()),
                writer.money(order.paidMinor()),
                postBy,
                postBy != null && postBy.isBefore(LocalDate.now(clock)),
                MissingBags.forWhat(order),
                order.postedOn().orElse(null),
                order.arrivedOn().orElse(null),
                order.wantsBack(),
                order.cameBack(),
                order.refunds().isEmpty() ? null : writer.money(order.refundedMinor()),
                writer.money(order.paidMinor() - order.refundedMinor()),
                order.isRefundTold(),
                order.isPaidOut());
    }

    private static PayoutView view(ShopPayout payout, ViewWriter writer) {
        return new PayoutView(
                payout.id(),
                payout.name(),
                payout.paidAt(),
                writer.money(payout.totalMinor()),
                writer.money(payout.offMinor()),
                payout.offMinor() == 0 && payout.lines().stream().allMatch(line -> line.finding() == Finding.MATCHES),
                payout.lines().stream()
                        .map(line -> new PayoutLineView(
                                line.order(),
                                writer.money(line.paidMinor()),
                                writer.money(line.feeMinor()),
                                line.finding(),
                                writer.money(line.offMinor()),
                                line.with()))
                        .toList());
    }

    /** Looks after the shop, or lets it be. */
    @Transactional
    public void link(LinkForm form) {
        Optional.ofNullable(form.channelId()).ifPresent(channels::get);
        links.findById(ShopLink.ONLY).orElseThrow().connect(form.connected(), form.channelId());
        links.flush();
    }

    /** Offers bags of a kind, or takes them out of the shop. */
    @Transactional
    public void offer(ListingForm form) {
        if (ledger.kind(form.kind()).isEmpty()) {
            throw RefusedException.missing("There are no such bags, or no longer.");
        }
        FieldReader fields = new FieldReader();
        long minor = fields.money("price", form.price(), settings.current().currency());
        if (form.offered() && minor == 0 && fields.problems().isEmpty()) {
            fields.refuse("price", form.price(), "Type for how much it is offered.");
        }
        fields.check();
        ShopListing listing = listings.findByBagKind(form.kind()).orElseGet(() -> new ShopListing(form.kind()));
        listing.offer(minor, form.offered());
        listings.saveAndFlush(listing);
    }
}
