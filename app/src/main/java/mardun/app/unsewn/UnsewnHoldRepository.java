package mardun.app.unsewn;

import java.util.Collection;
import java.util.List;
import mardun.app.id.BatchId;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface UnsewnHoldRepository extends JpaRepository<UnsewnHold, Long> {

    /** How many pieces of a pile a batch holds. */
    interface Held {

        BatchId getBatchId();

        long getPieceId();

        long getPieces();
    }

    /** What batches hold of some piles. */
    @Query("""
            select h.batchId as batchId, h.pieceId as pieceId, h.pieces as pieces from UnsewnHold h
            where h.pieceId in :pieceIds""")
    List<Held> held(Collection<Long> pieceIds);

    boolean existsByBatchId(BatchId batchId);

    @Modifying(flushAutomatically = true)
    @Query("delete from UnsewnHold h where h.batchId = :batchId")
    void releaseOf(BatchId batchId);
}
