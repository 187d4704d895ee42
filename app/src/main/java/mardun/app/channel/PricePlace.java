package mardun.app.channel;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;

/**
 * For what a price is set: a size of a design, sold through a channel.
 *
 * @param clothId in one outer cloth only; absent for all cloths that have no price of their own
 */
public record PricePlace(
        @NotNull DesignId designId,
        @NotNull @Size(max = 60) String sizeKey,
        @NotNull ChannelId channelId,
        @Nullable MaterialId clothId) {

    /** A size in all cloths. */
    public PricePlace(DesignId designId, String sizeKey, ChannelId channelId) {
        this(designId, sizeKey, channelId, null);
    }

    /** The same in one cloth; in all of them where none is named. */
    public PricePlace in(Optional<MaterialId> cloth) {
        return new PricePlace(designId, sizeKey, channelId, cloth.orElse(null));
    }

    /** The same in all cloths. */
    public PricePlace inAnyCloth() {
        return new PricePlace(designId, sizeKey, channelId);
    }

    /** What is known for it; where its cloth has nothing of its own, what is known for all cloths. */
    public <T> Optional<T> of(Map<PricePlace, T> known) {
        return Optional.ofNullable(known.get(this)).or(() -> Optional.ofNullable(known.get(inAnyCloth())));
    }
}
