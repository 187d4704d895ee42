package mardun.app.material;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import mardun.core.material.Part;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StockMovementRepository extends JpaRepository<StockMovement, Long> {

    @Query("select m.materialId as materialId, m.part as part, sum(m.changeValue) as value from StockMovement m"
            + " where m.materialId in :materialIds and m.ofPieces = false group by m.materialId, m.part")
    List<OnHand> onHand(Collection<Long> materialIds);

    @Query("select m.materialId as materialId, m.part as part, sum(m.changeValue) as value from StockMovement m"
            + " where m.ofPieces = false group by m.materialId, m.part")
    List<OnHand> onHand();

    /** How many offcuts and precuts there are of each material. */
    @Query("select m.materialId as materialId, m.part as part, sum(m.changeValue) as value from StockMovement m"
            + " where m.ofPieces = true group by m.materialId, m.part")
    List<OnHand> pieces();

    @Query("select m.materialId as materialId, m.part as part, sum(m.changeValue) as value from StockMovement m"
            + " where m.materialId in :materialIds and m.ofPieces = true group by m.materialId, m.part")
    List<OnHand> pieces(Collection<Long> materialIds);

    List<StockMovement> findByMaterialIdInAndMovedAtLessThanOrderByMovedAtAscIdAsc(
            Collection<Long> materialIds, Instant until);

    List<StockMovement> findByMovedAtLessThanOrderByMovedAtAscIdAsc(Instant until);

    List<StockMovement> findByBatchIdOrderById(long batchId);

    Page<StockMovement> findByMaterialIdOrderByMovedAtDescIdDesc(long materialId, Pageable page);

    /** What is on hand of a part of one material. */
    interface OnHand {
        long getMaterialId();

        Part getPart();

        long getValue();
    }
}
