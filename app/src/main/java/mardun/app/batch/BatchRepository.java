package mardun.app.batch;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, Long> {

    /**
     * The batch, held for this transaction. Whoever changes a batch, its layouts or what it holds asks for it so, before
     * anything else is read: batches are held before materials, and materials in the order of their ids.
     */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select b from Batch b where b.id = :id")
    Optional<Batch> findForChange(long id);

    /** The batches of a design that are only planned. */
    List<Batch> findByDesignIdAndStage(long designId, BatchStage stage);

    Optional<Batch> findFirstByDesignId(long designId);

    Page<Batch> findAllByOrderByIdDesc(Pageable page);

    Page<Batch> findByStageInOrderByIdDesc(Collection<BatchStage> stages, Pageable page);

    List<Batch> findByStageInOrderByIdAsc(Collection<BatchStage> stages);

    /** How many units of a design were finished or are planned in its batches, but for one of them. */
    @Query("""
            select coalesce(sum(coalesce(b.finishedUnits, b.units)), 0) from Batch b
            where b.designId = :designId and b.id <> :except""")
    long unitsOfDesign(long designId, long except);
}
