package mardun.app.material;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import mardun.core.material.MovementKind;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StockMovementRepository extends JpaRepository<StockMovement, Long> {

    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.materialId in :materialIds and m.ofPieces = false group by m.materialId, m.part")
    List<OnHand> onHand(Collection<Long> materialIds);

    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.ofPieces = false group by m.materialId, m.part")
    List<OnHand> onHand();

    /** How many offcuts and precuts there are of each material. */
    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.ofPieces = true group by m.materialId, m.part")
    List<OnHand> pieces();

    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.materialId in :materialIds and m.ofPieces = true group by m.materialId, m.part")
    List<OnHand> pieces(Collection<Long> materialIds);

    List<StockMovement> findByMaterialIdInAndMovedAtLessThanOrderByMovedAtAscIdAsc(
            Collection<Long> materialIds, Instant until);

    List<StockMovement> findByMovedAtLessThanOrderByMovedAtAscIdAsc(Instant until);

    List<StockMovement> findByBatchIdOrderById(long batchId);

    Page<StockMovement> findByMaterialIdOrderByMovedAtDescIdDesc(long materialId, Pageable page);

    boolean existsByMaterialIdAndKindNotIn(long materialId, Collection<MovementKind> kinds);

    void deleteByMaterialId(long materialId);
}
