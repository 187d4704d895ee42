package mardun.app.channel;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A price that the maker has set; the last one for a place counts until the next. */
@Entity
@Immutable
class SetPrice {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private DesignId designId;
    private String sizeKey;
    private ChannelId channelId;
    private @Nullable MaterialId clothId;
    private @Nullable Long priceMinor;
    private Instant setAt;
    private String reason;

    protected SetPrice() {}

    SetPrice(PricePlace place, @Nullable Long priceMinor, Instant setAt, String reason) {
        this.designId = place.designId();
        this.sizeKey = place.sizeKey();
        this.channelId = place.channelId();
        this.clothId = place.clothId();
        this.priceMinor = priceMinor;
        this.setAt = setAt;
        this.reason = reason;
    }

    PricePlace place() {
        return new PricePlace(designId, sizeKey, channelId, clothId);
    }

    /** Empty where the maker's school counts from then on. */
    Optional<Long> priceMinor() {
        return Optional.ofNullable(priceMinor);
    }

    Instant setAt() {
        return setAt;
    }

    String reason() {
        return reason;
    }
}
