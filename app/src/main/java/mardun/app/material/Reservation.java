package mardun.app.material;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/** Something on the shelf that is held for a batch: of one lot where that matters, else of the material. */
@Entity
class Reservation {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private BatchId batchId;
    private MaterialId materialId;

    @Enumerated(EnumType.STRING)
    private Part part;

    private LotId lotId;
    private boolean ofPieces;
    private long heldValue;

    protected Reservation() {}

    Reservation(
            BatchId batchId,
            MaterialId materialId,
            Part part,
            @Nullable LotId lotId,
            boolean ofPieces,
            long heldValue) {
        this.batchId = batchId;
        this.materialId = materialId;
        this.part = part;
        this.lotId = lotId;
        this.ofPieces = ofPieces;
        this.heldValue = heldValue;
    }

    BatchId batchId() {
        return batchId;
    }

    MaterialId materialId() {
        return materialId;
    }

    Part part() {
        return part;
    }

    Optional<LotId> lotId() {
        return Optional.ofNullable(lotId);
    }

    boolean isOfPieces() {
        return ofPieces;
    }

    long heldValue() {
        return heldValue;
    }
}
