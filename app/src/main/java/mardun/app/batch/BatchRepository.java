package mardun.app.batch;

import java.util.Collection;
import java.util.List;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, Long> {

    Page<Batch> findAllByOrderByIdDesc(Pageable page);

    Page<Batch> findByStageInOrderByIdDesc(Collection<BatchStage> stages, Pageable page);

    List<Batch> findByStageInOrderByIdAsc(Collection<BatchStage> stages);

    /** How many units of a design were finished or are planned in its batches, but for one of them. */
    @Query("""
            select coalesce(sum(coalesce(b.finishedUnits, b.units)), 0) from Batch b
            where b.designId = :designId and b.id <> :except""")
    long unitsOfDesign(long designId, long except);
}
