package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.goods.GoodsService;
import mardun.app.id.ChannelId;
import mardun.app.posting.PostingService;
import mardun.app.posting.PostingViews.BagWeightForm;
import mardun.app.posting.PostingViews.PostingForm;
import mardun.app.posting.PostingViews.RateForm;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceViews.ChannelView;
import mardun.app.sale.CameBack;
import mardun.app.sale.ReturnViews.BagsBack;
import mardun.app.sale.ReturnViews.BuyersBags;
import mardun.app.sale.ReturnViews.CameBackForm;
import mardun.app.shop.OrderState;
import mardun.app.shop.ShopDesk;
import mardun.app.shop.ShopReading;
import mardun.app.shop.ShopReturns;
import mardun.app.shop.ShopViews.LinkForm;
import mardun.app.shop.ShopViews.ListingForm;
import mardun.app.shop.ShopViews.ListingView;
import mardun.app.shop.ShopViews.OnlineShopView;
import mardun.app.shop.ShopViews.ShopAct;
import mardun.app.shop.ShopViews.ShopOrderView;
import mardun.app.shop.SimulatedOnlineShop;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The invented maker's online shop: years of orders that went well, one that is late, and a payout that doesn't match. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoShop {

    /** What was sent in the years before there was a book; the rest was only taken to fairs. */
    private static final Set<String> SENT_BEFORE = Set.of("Heron pouch", "Wren wallet", "Puffin key fob");

    /** What an online buyer paid more than one at the stall, in cents. */
    private static final long MORE = 250;

    private static final int DAYS_BETWEEN_ORDERS = 7;

    private static final Map<String, String> WEIGHTS =
            Map.of("Heron pouch", "74 g", "Puffin key fob", "22 g", "Tern tote", "265 g");

    private final GoodsService goods;
    private final ShopReading reading;
    private final ShopDesk desk;
    private final ShopReturns returns;
    private final SimulatedOnlineShop shop;
    private final ChannelService channels;
    private final PostingService posting;
    private final DesignService designs;
    private final TravellingClock clock;

    DemoShop(
            GoodsService goods,
            ShopReading reading,
            ShopDesk desk,
            ShopReturns returns,
            SimulatedOnlineShop shop,
            ChannelService channels,
            PostingService posting,
            DesignService designs,
            TravellingClock clock) {
        this.goods = goods;
        this.reading = reading;
        this.desk = desk;
        this.returns = returns;
        this.shop = shop;
        this.channels = channels;
        this.posting = posting;
        this.designs = designs;
        this.clock = clock;
    }

    /** The shop is looked after from this day on. */
    void open(LocalDate day) {
        clock.on(day, () -> {
            ChannelId channel = channels.all().stream()
                    .filter(one -> one.terms().name().equals("Online shop"))
                    .map(ChannelView::id)
                    .findFirst()
                    .orElseThrow();
            reading.link(new LinkForm(true, channel));
            enterRates();
        });
    }

    /** Some bags of before there was a book are offered until they are sold, posted and paid out; as many of the best as said. */
    void former(LocalDate day, int most) {
        clock.on(day, () -> {
            for (FormerBag bag : FormerBag.ALL) {
                int units = SENT_BEFORE.contains(bag.design()) ? bag.share(most) : 0;
                if (units > 0) {
                    goods.enter(bag.made(units, day.minusDays(2)));
                    offer(bag.words(), DemoFairs.amount(bag.price() + MORE));
                }
            }
            desk.look();
        });
        LocalDate next = day;
        while (isAnythingLeft()) {
            next = next.plusDays(DAYS_BETWEEN_ORDERS);
            ordered(next);
            posted(next.plusDays(1));
            clock.on(next.plusDays(4), this::arrive);
        }
        LocalDate last = next.plusDays(6);
        clock.on(last, () -> {
            shop.act(ShopAct.PAY_OUT);
            desk.look();
            shown().listings().stream()
                    .filter(ListingView::offered)
                    .forEach(listing -> reading.offer(
                            new ListingForm(listing.kind(), listing.price().amount(), false)));
        });
    }

    void enter(LocalDate today) {
        clock.on(today.minusDays(26), () -> {
            offer("Heron pouch, medium, Reed Stripe", "21.50");
            offer("Puffin key fob, one size, Kelp linen", "6.00");
            desk.look();
        });
        clock.on(today.minusDays(25), this::weigh);
        ordered(today.minusDays(24));
        posted(today.minusDays(23));
        ordered(today.minusDays(15));
        posted(today.minusDays(14));
        clock.on(today.minusDays(11), () -> {
            arrive();
            shop.act(ShopAct.PAY_OUT);
            desk.look();
        });
        oneOfTwoBack(today.minusDays(8), "The clamp let go of the strap.");
        ordered(today.minusDays(5));
        clock.on(today.minusDays(2), () -> {
            shop.act(ShopAct.PAY_OUT_WRONG);
            desk.look();
        });
        ordered(today.minusDays(1));
    }

    /** One of two bags of the last such order comes back, in no state to be sold. */
    void oneOfTwoBack(LocalDate day, String reason) {
        clock.on(day, () -> {
            ShopOrderView order = answered().stream()
                    .filter(one -> one.lines().get(0).units() == 2)
                    .findFirst()
                    .orElseThrow();
            BuyersBags bags = returns.bags(order.id()).get(0);
            returns.take(
                    order.id(),
                    new CameBackForm(
                            UUID.randomUUID(),
                            order.version(),
                            CameBack.SCRAPPED,
                            reason,
                            order.lines().get(0).price().amount(),
                            List.of(new BagsBack(bags.kind(), "1"))));
            desk.look();
        });
    }

    /** What the post asks for. */
    private void enterRates() {
        PostingForm before = posting.form();
        posting.enter(new PostingForm(
                before.version(),
                "Sandpiper Bags\nLaundry Yard 4\nPort Ebb",
                "28 g",
                before.pressCard(),
                before.unironedCard(),
                List.of(
                        rate("the country", "large letter", "500 g", "13 1/4", "9 3/4", "7/8", "1.95"),
                        rate("the country", "packet", "1 kg", "13 1/4", "9 3/4", "3", "3.80"),
                        rate("the country", "parcel", "5 kg", "47", "23", "23", "6.40"),
                        rate("the islands", "packet", "1 kg", "13 1/4", "9 3/4", "3", "5.20"),
                        rate("abroad", "packet", "2 kg", "24", "14", "9", "11.70"))));
    }

    private void weigh() {
        designs.names().forEach(design -> {
            String weight = WEIGHTS.get(design.name());
            if (weight != null) {
                DesignDocument document = designs.document(design.id());
                document.sizes()
                        .forEach(size ->
                                posting.weigh(new BagWeightForm(design.id(), document.sizeKey(size), weight, "3/4")));
            }
        });
    }

    private static RateForm rate(
            String zone, String name, String most, String longest, String middle, String shortest, String price) {
        return new RateForm(zone, name, most, longest, middle, shortest, price);
    }

    private void offer(String words, String price) {
        ListingView listing = shown().listings().stream()
                .filter(one -> one.words().equals(words) && one.there() > 0)
                .findFirst()
                .orElseThrow();
        reading.offer(new ListingForm(listing.kind(), price, true));
    }

    private boolean isAnythingLeft() {
        return shown().listings().stream().anyMatch(listing -> listing.offered() && listing.there() > 0);
    }

    private OnlineShopView shown() {
        return reading.shop();
    }

    private List<ShopOrderView> answered() {
        return reading.answered("", 0, 50).items();
    }

    private void ordered(LocalDate day) {
        clock.on(day, () -> {
            shop.act(ShopAct.ORDER);
            desk.look();
        });
    }

    /** What was posted has arrived. */
    private void arrive() {
        answered().stream()
                .filter(order -> order.state() == OrderState.POSTED)
                .forEach(order -> desk.arrive(order.id(), order.version()));
    }

    private void posted(LocalDate day) {
        clock.on(day, () -> shown().open().forEach(order -> desk.post(order.id(), order.version())));
    }
}
