package mardun.app.ticket;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.id.BatchId;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface TicketRunRepository extends JpaRepository<TicketRun, Long> {

    List<TicketRun> findAllByOrderByIdDesc(Pageable page);

    /** The run, held for this transaction, so that two who go on with it print one ticket after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select r from TicketRun r where r.id = :id")
    Optional<TicketRun> findForPrinting(long id);

    /** The last sheets of a kind that were printed. */
    @Query("select r from TicketRun r where r.sheetKey = :sheetKey and r.target = SHEET and r.takenBack = false"
            + " order by r.id desc limit 1")
    Optional<TicketRun> lastSheet(String sheetKey);

    /** What came out for some bags, the latest first. */
    @Query("select l from TicketLine l join fetch l.run r where l.goodsId in :goodsIds and r.takenBack = false"
            + " and l.cameOut > 0 order by l.id desc")
    List<TicketLine> printedFor(Collection<Long> goodsIds);

    /** What came out for bags of some batches before they were done, the earliest first. */
    @Query("select l from TicketLine l join fetch l.run r where l.batchId in :batches and r.takenBack = false"
            + " and l.cameOut > 0 order by l.id")
    List<TicketLine> printedAhead(Collection<BatchId> batches);
}
