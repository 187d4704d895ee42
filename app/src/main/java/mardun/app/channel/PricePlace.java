package mardun.app.channel;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;

/** For what a price is set: a size of a design, sold through a channel. */
public record PricePlace(
        @NotNull DesignId designId,
        @NotNull @Size(max = 60) String sizeKey,
        @NotNull ChannelId channelId) {}
