package mardun.app.material;

import java.util.Collection;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface ReservationRepository extends JpaRepository<Reservation, Long> {

    List<Reservation> findByMaterialIdInOrderById(Collection<MaterialId> materialIds);

    boolean existsByMaterialId(MaterialId materialId);

    List<Reservation> findByBatchIdOrderById(BatchId batchId);

    @Query("select new mardun.app.material.OnHand(r.materialId, r.part, sum(r.heldValue)) from Reservation r"
            + " where r.ofPieces = false group by r.materialId, r.part")
    List<OnHand> held();

    @Query("select new mardun.app.material.OnHand(r.materialId, r.part, sum(r.heldValue)) from Reservation r"
            + " where r.materialId in :materialIds and r.ofPieces = false group by r.materialId, r.part")
    List<OnHand> held(Collection<MaterialId> materialIds);

    @Modifying
    @Query("delete from Reservation r where r.batchId = :batchId")
    void release(BatchId batchId);

    @Modifying
    @Query("delete from Reservation r where r.batchId = :batchId and r.materialId = :materialId")
    void release(BatchId batchId, MaterialId materialId);
}
