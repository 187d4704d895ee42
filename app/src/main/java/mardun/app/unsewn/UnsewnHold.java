package mardun.app.unsewn;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import mardun.app.id.BatchId;

/** Cut pieces that a planned batch will take. */
@Entity
class UnsewnHold {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private BatchId batchId;
    private long pieceId;
    private long pieces;

    protected UnsewnHold() {}

    UnsewnHold(BatchId batchId, long pieceId, long pieces) {
        this.batchId = batchId;
        this.pieceId = pieceId;
        this.pieces = pieces;
    }
}
