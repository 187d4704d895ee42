package mardun.app.quote;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** Something that was said with a customer. */
@Entity
class OrderNote implements Persistable<UUID> {

    @Id
    private UUID id;

    private long orderId;
    private Instant writtenAt;
    private String text;

    @Transient
    private boolean isStored;

    protected OrderNote() {}

    OrderNote(UUID id, long orderId, Instant writtenAt, String text) {
        this.id = id;
        this.orderId = orderId;
        this.writtenAt = writtenAt;
        this.text = text;
    }

    @PostLoad
    @PostPersist
    void stored() {
        isStored = true;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return !isStored;
    }

    long orderId() {
        return orderId;
    }

    Instant writtenAt() {
        return writtenAt;
    }

    String text() {
        return text;
    }
}
