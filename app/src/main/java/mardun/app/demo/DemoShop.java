package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
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

/** The invented maker's online shop: some orders that went well, one that is late, and a payout that doesn't match. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoShop {

    private static final List<String> OFFERED =
            List.of("Heron pouch, medium, Reed Stripe", "Puffin key fob, one size, Kelp linen");

    private static final Map<String, String> WEIGHTS =
            Map.of("Heron pouch", "74 g", "Puffin key fob", "22 g", "Tern tote", "265 g");

    private final ShopReading reading;
    private final ShopDesk desk;
    private final ShopReturns returns;
    private final SimulatedOnlineShop shop;
    private final ChannelService channels;
    private final PostingService posting;
    private final DesignService designs;
    private final TravellingClock clock;

    DemoShop(
            ShopReading reading,
            ShopDesk desk,
            ShopReturns returns,
            SimulatedOnlineShop shop,
            ChannelService channels,
            PostingService posting,
            DesignService designs,
            TravellingClock clock) {
        this.reading = reading;
        this.desk = desk;
        this.returns = returns;
        this.shop = shop;
        this.channels = channels;
        this.posting = posting;
        this.designs = designs;
        this.clock = clock;
    }

    void enter(LocalDate today) {
        clock.on(today.minusDays(26), this::open);
        clock.on(today.minusDays(25), this::post);
        ordered(today.minusDays(24));
        posted(today.minusDays(23));
        ordered(today.minusDays(15));
        posted(today.minusDays(14));
        clock.on(today.minusDays(11), () -> {
            answered().forEach(order -> desk.arrive(order.id(), order.version()));
            shop.act(ShopAct.PAY_OUT);
            desk.look();
        });
        clock.on(today.minusDays(8), this::oneOfTwoBack);
        ordered(today.minusDays(5));
        clock.on(today.minusDays(2), () -> {
            shop.act(ShopAct.PAY_OUT_WRONG);
            desk.look();
        });
        ordered(today.minusDays(1));
    }

    /** One of the two bags of an order that was paid out came back, in no state to be sold. */
    private void oneOfTwoBack() {
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
                        "The zip catches the lining.",
                        order.lines().get(0).price().amount(),
                        List.of(new BagsBack(bags.kind(), "1"))));
        desk.look();
    }

    /** What the post asks for, and what some bags weigh. */
    private void post() {
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

    private void open() {
        ChannelId channel = channels.all().stream()
                .filter(one -> one.terms().name().equals("Online shop"))
                .map(ChannelView::id)
                .findFirst()
                .orElseThrow();
        reading.link(new LinkForm(true, channel));
        for (ListingView listing : shown().listings()) {
            if (OFFERED.contains(listing.words())) {
                String price = listing.words().startsWith("Heron") ? "21.50" : "6.00";
                reading.offer(new ListingForm(listing.kind(), price, true));
            }
        }
        desk.look();
    }

    private OnlineShopView shown() {
        return reading.shop(0, 50);
    }

    private List<ShopOrderView> answered() {
        return shown().answered().items();
    }

    private void ordered(LocalDate day) {
        clock.on(day, () -> {
            shop.act(ShopAct.ORDER);
            desk.look();
        });
    }

    private void posted(LocalDate day) {
        clock.on(day, () -> shown().open().forEach(order -> desk.post(order.id(), order.version())));
    }
}
