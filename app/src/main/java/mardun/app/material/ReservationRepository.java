package mardun.app.material;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface ReservationRepository extends JpaRepository<Reservation, Long> {

    List<Reservation> findByMaterialIdInOrderById(Collection<Long> materialIds);

    boolean existsByMaterialId(long materialId);

    List<Reservation> findByBatchIdOrderById(long batchId);

    @Query("select new mardun.app.material.OnHand(r.materialId, r.part, sum(r.heldValue)) from Reservation r"
            + " where r.ofPieces = false group by r.materialId, r.part")
    List<OnHand> held();

    @Query("select new mardun.app.material.OnHand(r.materialId, r.part, sum(r.heldValue)) from Reservation r"
            + " where r.materialId in :materialIds and r.ofPieces = false group by r.materialId, r.part")
    List<OnHand> held(Collection<Long> materialIds);

    @Modifying
    @Query("delete from Reservation r where r.batchId = :batchId")
    void release(long batchId);

    @Modifying
    @Query("delete from Reservation r where r.batchId = :batchId and r.materialId = :materialId")
    void release(long batchId, long materialId);
}
