package mardun.app.ticket;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import mardun.app.channel.PricePlace;
import mardun.app.goods.GoodsThere;
import mardun.app.goods.Quality;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.price.PriceBook;
import mardun.app.settings.Settings;
import org.joda.money.Money;

/** What tickets say now: the prices of the channels that are asked for, each read once. */
final class TicketPrices {

    private final PriceBook book;
    private final Settings current;
    private final Map<ChannelId, Map<PricePlace, Money>> byChannel = new HashMap<>();

    TicketPrices(PriceBook book, Settings current) {
        this.book = book;
        this.current = current;
    }

    Optional<Money> of(DesignId design, String sizeKey, Optional<MaterialId> cloth, ChannelId channel) {
        return new PricePlace(design, sizeKey, channel).in(cloth).of(byChannel.computeIfAbsent(channel, book::asked));
    }

    /** What is asked for bags that are there: the book's, or for kits and those that the book doesn't know what was asked when they came. */
    Optional<Money> of(GoodsThere bags, ChannelId channel) {
        if (bags.quality() == Quality.SECOND) {
            return Optional.empty();
        }
        if (bags.quality() == Quality.KIT) {
            return Optional.of(current.money(bags.priceMinor()));
        }
        return bags.designId()
                .flatMap(design -> of(design, bags.sizeKey().orElse(""), bags.clothId(), channel))
                .or(() -> Optional.of(current.money(bags.priceMinor())));
    }

    /** What is asked for bags that are still to be made. */
    Optional<Money> of(TicketBags.Open bags, ChannelId channel) {
        return of(bags.design(), bags.sizeKey(), bags.clothId(), channel);
    }
}
