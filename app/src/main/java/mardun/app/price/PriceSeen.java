package mardun.app.price;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import mardun.app.id.DesignId;
import org.jspecify.annotations.Nullable;

/** What somebody asked for such a thing. */
@Entity
class PriceSeen {

    @Id
    private UUID id;

    private @Nullable DesignId designId;
    private String what;
    private String seenWhere;
    private long priceMinor;
    private LocalDate seenOn;

    protected PriceSeen() {}

    PriceSeen(UUID id, @Nullable DesignId designId, String what, String seenWhere, long priceMinor, LocalDate seenOn) {
        this.id = id;
        this.designId = designId;
        this.what = what;
        this.seenWhere = seenWhere;
        this.priceMinor = priceMinor;
        this.seenOn = seenOn;
    }

    UUID id() {
        return id;
    }

    Optional<DesignId> designId() {
        return Optional.ofNullable(designId);
    }

    String what() {
        return what;
    }

    String seenWhere() {
        return seenWhere;
    }

    long priceMinor() {
        return priceMinor;
    }

    LocalDate seenOn() {
        return seenOn;
    }
}
