package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import mardun.app.id.ChannelId;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceViews.ChannelView;
import mardun.app.shop.ShopDesk;
import mardun.app.shop.ShopReading;
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

    private final ShopReading reading;
    private final ShopDesk desk;
    private final SimulatedOnlineShop shop;
    private final ChannelService channels;
    private final TravellingClock clock;

    DemoShop(
            ShopReading reading,
            ShopDesk desk,
            SimulatedOnlineShop shop,
            ChannelService channels,
            TravellingClock clock) {
        this.reading = reading;
        this.desk = desk;
        this.shop = shop;
        this.channels = channels;
        this.clock = clock;
    }

    void enter(LocalDate today) {
        clock.on(today.minusDays(26), this::open);
        ordered(today.minusDays(24));
        posted(today.minusDays(23));
        ordered(today.minusDays(15));
        posted(today.minusDays(14));
        clock.on(today.minusDays(11), () -> {
            answered().forEach(order -> desk.arrive(order.id(), order.version()));
            shop.act(ShopAct.PAY_OUT);
            desk.look();
        });
        ordered(today.minusDays(5));
        clock.on(today.minusDays(2), () -> {
            shop.act(ShopAct.PAY_OUT_WRONG);
            desk.look();
        });
        ordered(today.minusDays(1));
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
