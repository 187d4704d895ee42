package mardun.app.shop;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import mardun.app.id.ChannelId;
import org.jspecify.annotations.Nullable;

/** Whether the online shop is looked after, and how that went last. */
@Entity
class ShopLink {

    static final int ONLY = 1;

    @Id
    private int id;

    private boolean connected;
    private @Nullable ChannelId channelId;
    private @Nullable Instant lookedAt;
    private String trouble;

    protected ShopLink() {}

    void connect(boolean isConnected, @Nullable ChannelId channel) {
        connected = isConnected;
        channelId = channel;
    }

    void looked(Instant at, String what) {
        lookedAt = at;
        trouble = what;
    }

    boolean isConnected() {
        return connected;
    }

    Optional<ChannelId> channelId() {
        return Optional.ofNullable(channelId);
    }

    Optional<Instant> lookedAt() {
        return Optional.ofNullable(lookedAt);
    }

    /** What the shop didn't do when it was looked at last; empty where it did everything. */
    String trouble() {
        return trouble;
    }
}
