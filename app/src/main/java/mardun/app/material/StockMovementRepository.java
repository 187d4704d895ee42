package mardun.app.material;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.core.material.MovementKind;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StockMovementRepository extends JpaRepository<StockMovement, Long> {

    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.materialId in :materialIds and m.ofPieces = false group by m.materialId, m.part")
    List<OnHand> onHand(Collection<MaterialId> materialIds);

    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.ofPieces = false group by m.materialId, m.part")
    List<OnHand> onHand();

    /** How many offcuts and precuts there are of each material. */
    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.ofPieces = true group by m.materialId, m.part")
    List<OnHand> pieces();

    @Query("select new mardun.app.material.OnHand(m.materialId, m.part, sum(m.changeValue)) from StockMovement m"
            + " where m.materialId in :materialIds and m.ofPieces = true group by m.materialId, m.part")
    List<OnHand> pieces(Collection<MaterialId> materialIds);

    List<StockMovement> findByMaterialIdInAndMovedAtLessThanOrderByMovedAtAscIdAsc(
            Collection<MaterialId> materialIds, Instant until);

    List<StockMovement> findByBatchIdOrderById(BatchId batchId);

    Page<StockMovement> findByMaterialIdOrderByMovedAtDescIdDesc(MaterialId materialId, Pageable page);

    boolean existsByMaterialIdAndKindNotIn(MaterialId materialId, Collection<MovementKind> kinds);

    void deleteByMaterialId(MaterialId materialId);

    /** What came and left before a moment, the newest first. */
    List<StockMovement> findByMovedAtLessThanOrderByMovedAtDescIdDesc(Instant until, Limit most);

    /**
     * The same as far as some words are found in it.
     *
     * @param words as for {@code like}, in small letters
     * @param materials those whose names have the words
     */
    @Query("""
            select m from StockMovement m where m.movedAt < :until
            and (lower(m.reason) like :words escape '!' or m.materialId in :materials)
            order by m.movedAt desc, m.id desc""")
    List<StockMovement> found(Instant until, String words, Collection<MaterialId> materials, Limit most);

    /** How much of what is counted by length was cut since a moment, of all kinds of cloth together. */
    @Query("""
            select coalesce(-sum(m.changeValue), 0) from StockMovement m
            where m.kind = CUT and m.ofPieces = false and m.movedAt >= :from and m.materialId in :cloths""")
    long cutSince(Instant from, Collection<MaterialId> cloths);
}
