package mardun.app.shop;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** Something that the shop told and that was taken in; told again, it is the same. */
@Entity
class ShopEvent {

    @Id
    private UUID id;

    private Instant cameAt;

    protected ShopEvent() {}

    ShopEvent(UUID id, Instant cameAt) {
        this.id = id;
        this.cameAt = cameAt;
    }
}
