package mardun.app.batch;

import java.util.Collection;
import java.util.List;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchRepository extends JpaRepository<Batch, Long> {

    Page<Batch> findAllByOrderByIdDesc(Pageable page);

    Page<Batch> findByStageInOrderByIdDesc(Collection<BatchStage> stages, Pageable page);

    List<Batch> findByStageInOrderByIdAsc(Collection<BatchStage> stages);
}
