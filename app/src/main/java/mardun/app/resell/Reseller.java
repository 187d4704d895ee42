package mardun.app.resell;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.util.Locale;
import mardun.app.id.ChannelId;

/** A shop that sells a maker's bags; its name is the place where they lie. */
@Entity
class Reseller {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String name;
    private String nameKey;
    private ChannelId channelId;
    private String reach;
    private boolean putAway;

    protected Reseller() {}

    Reseller(String name) {
        this.name = name;
        this.nameKey = keyOf(name);
        this.reach = "";
    }

    /** What tells its name from others, whatever its letters' case. */
    static String keyOf(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    void enter(ChannelId channel, String toReach, boolean away) {
        channelId = channel;
        reach = toReach;
        putAway = away;
    }

    long id() {
        return id;
    }

    long version() {
        return version;
    }

    String name() {
        return name;
    }

    ChannelId channelId() {
        return channelId;
    }

    String reach() {
        return reach;
    }

    boolean isPutAway() {
        return putAway;
    }
}
