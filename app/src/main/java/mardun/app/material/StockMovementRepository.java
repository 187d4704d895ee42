package mardun.app.material;

import java.util.Collection;
import java.util.List;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StockMovementRepository extends JpaRepository<StockMovement, Long> {

    @Query("select coalesce(sum(m.changeValue), 0) from StockMovement m where m.materialId = :materialId")
    long onHand(long materialId);

    @Query("select m.materialId as materialId, sum(m.changeValue) as value from StockMovement m"
            + " where m.materialId in :materialIds group by m.materialId")
    List<OnHand> onHand(Collection<Long> materialIds);

    @Query("select m.materialId as materialId, sum(m.changeValue) as value from StockMovement m group by m.materialId")
    List<OnHand> onHand();

    Page<StockMovement> findByMaterialIdOrderByMovedAtDescIdDesc(long materialId, Pageable page);

    /** What is on hand of one material. */
    interface OnHand {
        long getMaterialId();

        long getValue();
    }
}
