package mardun.app.material;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.jspecify.annotations.Nullable;

/** A quantity of a material that came at one time at one price. What is left of it is the sum of its movements. */
@Entity
class Lot {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private MaterialId materialId;

    @Enumerated(EnumType.STRING)
    private Part part;

    @Enumerated(EnumType.STRING)
    private MovementKind origin;

    private Instant cameAt;
    private String cameFrom;
    private Long deliveryId;
    private String soldAs;
    private long quantityValue;
    private long worthMinor;
    private long extraMinor;
    private String dyeLot;
    private String place;
    private Long measuredWidthNm;
    private Long pieceWidthNm;
    private Long pieceHeightNm;
    private Long keptFrom;
    private BigDecimal keptShare;

    protected Lot() {}

    Lot(
            MaterialId materialId,
            Part part,
            Arrival arrival,
            long quantityValue,
            long worthMinor,
            long extraMinor,
            Instant at) {
        this.materialId = materialId;
        this.part = part;
        this.origin = arrival.kind();
        this.cameAt = at;
        this.cameFrom = arrival.cameFrom();
        this.deliveryId = arrival.deliveryId();
        this.soldAs = arrival.soldAs();
        this.quantityValue = quantityValue;
        this.worthMinor = worthMinor;
        this.extraMinor = extraMinor;
        this.dyeLot = arrival.dyeLot();
        this.place = arrival.place();
        this.measuredWidthNm = arrival.measuredWidth().map(Length::nanometres).orElse(null);
        this.pieceWidthNm =
                arrival.pieceSize().map(size -> size.width().nanometres()).orElse(null);
        this.pieceHeightNm =
                arrival.pieceSize().map(size -> size.height().nanometres()).orElse(null);
        this.keptFrom = arrival.kept().map(Arrival.KeptOf::movementId).orElse(null);
        this.keptShare = arrival.kept().map(Arrival.KeptOf::share).orElse(null);
    }

    void describe(String newDyeLot, String newPlace, @Nullable Length newMeasuredWidth) {
        dyeLot = newDyeLot;
        place = newPlace;
        if (!isOfPieces()) {
            measuredWidthNm = newMeasuredWidth == null ? null : newMeasuredWidth.nanometres();
        }
    }

    LotId id() {
        return new LotId(id);
    }

    long version() {
        return version;
    }

    MaterialId materialId() {
        return materialId;
    }

    Part part() {
        return part;
    }

    MovementKind origin() {
        return origin;
    }

    Instant cameAt() {
        return cameAt;
    }

    String cameFrom() {
        return cameFrom;
    }

    Optional<Long> deliveryId() {
        return Optional.ofNullable(deliveryId);
    }

    String soldAs() {
        return soldAs;
    }

    long quantityValue() {
        return quantityValue;
    }

    long worthMinor() {
        return worthMinor;
    }

    long extraMinor() {
        return extraMinor;
    }

    String dyeLot() {
        return dyeLot;
    }

    String place() {
        return place;
    }

    /** The usable width as it was measured; of an offcut that of the cloth which it was cut from. */
    Optional<Length> measuredWidth() {
        return Optional.ofNullable(measuredWidthNm).map(Length::new);
    }

    /** An offcut or a precut has a size of its own; what is cut from the roll hasn't. */
    Optional<Extent> pieceSize() {
        return pieceWidthNm == null
                ? Optional.empty()
                : Optional.of(new Extent(new Length(pieceWidthNm), new Length(pieceHeightNm)));
    }

    boolean isOfPieces() {
        return pieceWidthNm != null;
    }

    Optional<Arrival.KeptOf> kept() {
        return keptFrom == null ? Optional.empty() : Optional.of(new Arrival.KeptOf(keptFrom, keptShare));
    }
}
