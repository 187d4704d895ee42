package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.channel.Channels;
import mardun.app.resell.ResellerService;
import mardun.app.resell.ResellerViews.BringForm;
import mardun.app.resell.ResellerViews.BroughtThere;
import mardun.app.resell.ResellerViews.LyingThere;
import mardun.app.resell.ResellerViews.NewReseller;
import mardun.app.resell.ResellerViews.ResellerForm;
import mardun.app.resell.ResellerViews.SoldThere;
import mardun.app.resell.ResellerViews.SoldThereForm;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** A shop that sells some of the invented maker's bags. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoResellers {

    private final ResellerService resellers;
    private final Channels channels;
    private final TravellingClock clock;

    DemoResellers(ResellerService resellers, Channels channels, TravellingClock clock) {
        this.resellers = resellers;
        this.channels = channels;
        this.clock = clock;
    }

    /** It has bags from its first visit on, has sold some, and asks for more. */
    void enter(LocalDate today) {
        clock.on(today.minusDays(20), () -> {
            long shop = resellers.add(new NewReseller(
                    UUID.randomUUID(),
                    "Lantern Quay gallery",
                    channels.named("Lantern Quay, on commission").orElseThrow().id()));
            resellers.change(
                    shop,
                    new ResellerForm(
                            resellers.get(shop).version(),
                            resellers.get(shop).channelId(),
                            "Thursdays, at the till",
                            false));
            resellers.bring(
                    shop,
                    new BringForm(
                            UUID.randomUUID(),
                            false,
                            List.of(new BroughtThere(fob(shop).kind(), "2"))));
        });
        clock.on(today.minusDays(6), () -> {
            long shop = resellers.list().get(0).id();
            LyingThere fob = fob(shop);
            resellers.settle(
                    shop, new SoldThereForm(UUID.randomUUID(), null, List.of(new SoldThere(fob.kind(), "1", "9.00"))));
        });
    }

    private LyingThere fob(long shop) {
        return resellers.get(shop).bags().stream()
                .filter(bag -> bag.words().startsWith("Puffin key fob, one size, Slate canvas"))
                .findFirst()
                .orElseThrow();
    }
}
