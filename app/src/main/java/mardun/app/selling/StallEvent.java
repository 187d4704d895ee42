package mardun.app.selling;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mardun.app.id.FairId;
import org.hibernate.annotations.Generated;
import org.hibernate.annotations.Mutability;
import org.hibernate.type.descriptor.java.Immutability;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** Something that happened at a stall; its id was made by the device on which it was touched. */
@Entity
class StallEvent implements Persistable<UUID> {

    @Id
    private UUID id;

    /** In which order events came in. */
    @Generated
    @Column(insertable = false, updatable = false)
    private long number;

    private FairId fairId;
    private UUID device;

    @Enumerated(EnumType.STRING)
    private StallEventKind kind;

    private Instant happenedAt;
    private @Nullable UUID ofEvent;

    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredEntry.class)
    private StallEntry entry;

    /** How many of which lots left the stall with it; absent where none did, or a sale knows. */
    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredLots.class)
    private @Nullable Map<Long, Integer> took;

    private @Nullable String refused;

    @Transient
    private boolean isStored;

    protected StallEvent() {}

    StallEvent(FairId fairId, UUID device, StallEntry entry) {
        this.id = entry.id();
        this.fairId = fairId;
        this.device = device;
        this.kind = entry.kind();
        this.happenedAt = entry.at();
        this.ofEvent = entry.ofEntry();
        this.entry = entry;
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

    void took(Map<Long, Integer> lots) {
        took = lots;
    }

    Map<Long, Integer> took() {
        return took == null ? Map.of() : took;
    }

    /** It can't be booked; it is kept all the same, with the reason. */
    void refuse(String why) {
        refused = why;
    }

    Optional<String> refused() {
        return Optional.ofNullable(refused);
    }

    FairId fairId() {
        return fairId;
    }

    StallEventKind kind() {
        return kind;
    }

    StallEntry entry() {
        return entry;
    }

    Optional<UUID> ofEvent() {
        return Optional.ofNullable(ofEvent);
    }
}
