package mardun.app.door;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import org.springframework.data.domain.Persistable;

/** A device that came in. What it carries is known by its hash alone. */
@Entity
class DoorPass implements Persistable<String> {

    @Id
    private String tokenHash;

    private String device;

    @Enumerated(EnumType.STRING)
    private DoorRole role;

    private Instant cameAt;
    private Instant seenAt;

    protected DoorPass() {}

    DoorPass(String tokenHash, DoorRole role, String device, Instant now) {
        this.tokenHash = tokenHash;
        this.role = role;
        this.device = device;
        this.cameAt = now;
        this.seenAt = now;
    }

    @Override
    public String getId() {
        return tokenHash;
    }

    @Override
    public boolean isNew() {
        return cameAt.equals(seenAt);
    }

    DoorRole role() {
        return role;
    }

    String device() {
        return device;
    }

    Instant cameAt() {
        return cameAt;
    }

    Instant seenAt() {
        return seenAt;
    }

    void seen(Instant now) {
        seenAt = now;
    }
}
