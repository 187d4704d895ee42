package mardun.app.material;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import mardun.core.material.MovementKind;
import org.jspecify.annotations.Nullable;

/** Something that came to the shelf or left it. Movements are added, never changed. */
@Entity
class StockMovement {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long materialId;
    private Long batchId;

    @Enumerated(EnumType.STRING)
    private MovementKind kind;

    private long changeValue;
    private String reason;
    private Instant movedAt;

    protected StockMovement() {}

    StockMovement(
            long materialId,
            @Nullable Long batchId,
            MovementKind kind,
            long changeValue,
            String reason,
            Instant movedAt) {
        this.materialId = materialId;
        this.batchId = batchId;
        this.kind = kind;
        this.changeValue = changeValue;
        this.reason = reason;
        this.movedAt = movedAt;
    }

    long id() {
        return id;
    }

    Optional<Long> batchId() {
        return Optional.ofNullable(batchId);
    }

    MovementKind kind() {
        return kind;
    }

    long changeValue() {
        return changeValue;
    }

    String reason() {
        return reason;
    }

    Instant movedAt() {
        return movedAt;
    }
}
