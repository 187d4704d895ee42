package mardun.app.material;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Something that came to the shelf or left it. Movements are added, never changed. */
@Entity
@Immutable
class StockMovement {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private MaterialId materialId;
    private LotId lotId;
    private BatchId batchId;

    @Enumerated(EnumType.STRING)
    private Part part;

    private boolean ofPieces;

    @Enumerated(EnumType.STRING)
    private MovementKind kind;

    private long changeValue;
    private long worthMinor;
    private String reason;
    private Instant movedAt;

    protected StockMovement() {}

    /**
     * A movement.
     *
     * @param lotId whose; empty for what left before it had been entered
     * @param ofPieces of offcuts or precuts, counted in pieces; else of what the material is counted in
     * @param worthMinor of what came, what it was worth; 0 for what leaves
     */
    StockMovement(
            MaterialId materialId,
            @Nullable LotId lotId,
            @Nullable BatchId batchId,
            Part part,
            boolean ofPieces,
            MovementKind kind,
            long changeValue,
            long worthMinor,
            String reason,
            Instant movedAt) {
        this.materialId = materialId;
        this.lotId = lotId;
        this.batchId = batchId;
        this.part = part;
        this.ofPieces = ofPieces;
        this.kind = kind;
        this.changeValue = changeValue;
        this.worthMinor = worthMinor;
        this.reason = reason;
        this.movedAt = movedAt;
    }

    long id() {
        return id;
    }

    MaterialId materialId() {
        return materialId;
    }

    Optional<LotId> lotId() {
        return Optional.ofNullable(lotId);
    }

    Optional<BatchId> batchId() {
        return Optional.ofNullable(batchId);
    }

    Part part() {
        return part;
    }

    boolean isOfPieces() {
        return ofPieces;
    }

    MovementKind kind() {
        return kind;
    }

    /** It isn't for something that went wrong at the bench, or turned out not to have. */
    boolean isPlanned() {
        return kind != MovementKind.SPOILED && kind != MovementKind.RETURNED;
    }

    long changeValue() {
        return changeValue;
    }

    long worthMinor() {
        return worthMinor;
    }

    String reason() {
        return reason;
    }

    Instant movedAt() {
        return movedAt;
    }
}
