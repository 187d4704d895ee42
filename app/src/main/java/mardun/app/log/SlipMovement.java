package mardun.app.log;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A movement with which a slip took material from the shelf. */
@Entity
@Immutable
class SlipMovement {

    /** Which slip, and which movement. */
    @Embeddable
    record Key(UUID eventId, long movementId) implements Serializable {}

    @EmbeddedId
    private Key key;

    protected SlipMovement() {}

    SlipMovement(UUID eventId, long movementId) {
        this.key = new Key(eventId, movementId);
    }

    long movementId() {
        return key.movementId();
    }
}
