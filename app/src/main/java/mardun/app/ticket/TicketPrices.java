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
        return new PricePlace(design, sizeKey, channel).in(cloth).of(asked(channel));
    }

    private Map<PricePlace, Money> asked(ChannelId channel) {
        return byChannel.computeIfAbsent(channel, book::asked);
    }

    /**
     * What is asked for bags that are there: the book's; or what was asked when they came, for kits, for what was chosen otherwise than
     * usual and for those that the book doesn't know.
     */
    Optional<Money> of(GoodsThere bags, ChannelId channel) {
        if (bags.quality() == Quality.SECOND) {
            return Optional.empty();
        }
        return bags.inBook(channel)
                .filter(place -> bags.quality() == Quality.GOOD)
                .flatMap(place -> place.of(asked(channel)))
                .or(() -> Optional.of(current.money(bags.priceMinor())));
    }

    /** What is asked for bags that are still to be made. */
    Optional<Money> of(TicketBags.Open bags, ChannelId channel) {
        return of(bags.design(), bags.sizeKey(), bags.clothId(), channel);
    }
}
