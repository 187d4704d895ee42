package mardun.app.shop;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import mardun.app.background.Background;
import mardun.app.stored.DiskFullException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Looks at the online shop again and again, and when it calls, so that orders come by themselves and it knows what is left. */
@Component
class ShopRounds implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(ShopRounds.class);

    /** After the start, in seconds: what was ordered while nobody looked. */
    private static final long SOON = 2;

    private final OnlineShop shop;
    private final ShopDesk desk;
    private final long seconds;
    private final AtomicBoolean called = new AtomicBoolean();
    private final ScheduledExecutorService rounds =
            Executors.newSingleThreadScheduledExecutor(Background.named("online-shop"));

    /** @param seconds between two looks; 0 for none, also when the shop calls */
    ShopRounds(OnlineShop shop, ShopDesk desk, @Value("${mardun.shop.seconds:20}") long seconds) {
        this.shop = shop;
        this.desk = desk;
        this.seconds = seconds;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (seconds > 0) {
            rounds.scheduleWithFixedDelay(this::look, Math.min(SOON, seconds), seconds, TimeUnit.SECONDS);
            shop.whenNews(this::heard);
        }
    }

    /** It called: one look answers all calls that came before it. */
    private void heard() {
        if (called.compareAndSet(false, true)) {
            rounds.execute(() -> {
                called.set(false);
                look();
            });
        }
    }

    private void look() {
        try {
            desk.look();
        } catch (DiskFullException full) {
            LOG.info("The online shop isn't looked at while the disk is full");
        } catch (RuntimeException failed) {
            // The next round tries again; one that failed must not end all of them.
            LOG.warn("Looking at the online shop failed", failed);
        }
    }

    @Override
    public void destroy() {
        rounds.shutdownNow();
    }
}
