package mardun.app.log;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.util.UUID;
import mardun.app.id.MaterialId;
import org.hibernate.annotations.Immutable;

/** Pieces of one cloth that were cut once more because of a slip. */
@Entity
@Immutable
class SlipRecut {

    /** Because of which slip, and from which cloth. */
    @Embeddable
    record Key(UUID eventId, MaterialId materialId) implements Serializable {}

    @EmbeddedId
    private Key key;

    private int bags;
    private long minor;
    private String says;

    protected SlipRecut() {}

    SlipRecut(UUID eventId, BenchLog.Recut recut) {
        this.key = new Key(eventId, recut.materialId());
        this.bags = recut.bags();
        this.minor = recut.minor();
        this.says = recut.says();
    }

    UUID eventId() {
        return key.eventId();
    }

    BenchLog.Recut recut() {
        return new BenchLog.Recut(key.materialId(), bags, minor, says);
    }
}
