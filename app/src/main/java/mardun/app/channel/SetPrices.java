package mardun.app.channel;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The prices that the maker has set, with their history. */
@Component
public class SetPrices {

    private final SetPriceRepository prices;
    private final Clock clock;

    SetPrices(SetPriceRepository prices, Clock clock) {
        this.prices = prices;
        this.clock = clock;
    }

    /**
     * A price as it was set.
     *
     * @param minor empty where the maker's school counts again
     */
    public record Set(Optional<Long> minor, Instant at, String reason) {}

    /** The last price for each place in a channel, whether there is one now or not. */
    @Transactional(readOnly = true)
    public Map<PricePlace, Set> in(ChannelId channel) {
        return last(prices.findByChannelIdOrderById(channel));
    }

    /** What sizes of some designs cost in a channel, where the maker has set it: in minor units. */
    @Transactional(readOnly = true)
    public Map<PricePlace, Long> of(Collection<DesignId> designs, ChannelId channel) {
        Map<PricePlace, Long> now = new LinkedHashMap<>();
        if (!designs.isEmpty()) {
            last(prices.findByDesignIdInAndChannelIdOrderById(designs, channel))
                    .forEach((place, set) -> set.minor().ifPresent(minor -> now.put(place, minor)));
        }
        return now;
    }

    private static Map<PricePlace, Set> last(List<SetPrice> all) {
        Map<PricePlace, Set> last = new LinkedHashMap<>();
        all.forEach(one -> last.put(one.place(), new Set(one.priceMinor(), one.setAt(), one.reason())));
        return last;
    }

    /** All prices of a place, the last one first. */
    @Transactional(readOnly = true)
    public List<Set> history(PricePlace place) {
        return prices
                .findByDesignIdAndSizeKeyAndChannelIdAndClothIdOrderByIdDesc(
                        place.designId(), place.sizeKey(), place.channelId(), place.clothId())
                .stream()
                .map(one -> new Set(one.priceMinor(), one.setAt(), one.reason()))
                .toList();
    }

    /** Sets a price from now on; absent for the school's. Setting what is set already writes nothing. */
    @Transactional
    public void set(PricePlace place, @Nullable Long minor, String reason) {
        Optional<Long> before = history(place).stream().findFirst().flatMap(Set::minor);
        if (!before.equals(Optional.ofNullable(minor))) {
            prices.save(new SetPrice(place, minor, clock.instant(), reason));
        }
    }

    /** For which sizes in which single cloths a price counts now, whatever the channel. */
    @Transactional(readOnly = true)
    public List<PricePlace> ofOneCloth() {
        return last(prices.findByClothIdNotNullOrderById()).entrySet().stream()
                .filter(one -> one.getValue().minor().isPresent())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Whether any price was ever set. */
    public boolean hasAny() {
        return prices.count() > 0;
    }
}
