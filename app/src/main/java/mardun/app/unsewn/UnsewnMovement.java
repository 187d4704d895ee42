package mardun.app.unsewn;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import mardun.app.id.BatchId;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Cut pieces that came onto the shelf or left it, with what they cost. */
@Entity
@Immutable
class UnsewnMovement {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long pieceId;

    @Enumerated(EnumType.STRING)
    private UnsewnKind kind;

    private long changePieces;
    private long changeMinor;
    private BatchId batchId;
    private String reason;
    private Instant movedAt;

    protected UnsewnMovement() {}

    UnsewnMovement(
            long pieceId,
            UnsewnKind kind,
            long changePieces,
            long changeMinor,
            @Nullable BatchId batchId,
            String reason,
            Instant movedAt) {
        this.pieceId = pieceId;
        this.kind = kind;
        this.changePieces = changePieces;
        this.changeMinor = changeMinor;
        this.batchId = batchId;
        this.reason = reason;
        this.movedAt = movedAt;
    }

    long id() {
        return id;
    }
}
