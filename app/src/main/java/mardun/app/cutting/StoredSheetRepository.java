package mardun.app.cutting;

import java.util.Collection;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface StoredSheetRepository extends Repository<StoredSheet, Long> {

    List<StoredSheet> findByBatchIdInAndChosenTrue(Collection<BatchId> batchIds);

    List<StoredSheet> findByBatchIdOrderById(BatchId batchId);

    List<StoredSheet> findByBatchIdAndMaterialIdAndChosenTrue(BatchId batchId, MaterialId materialId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from StoredSheet s where s.batchId = :batchId and s.materialId = :materialId")
    void removeOf(BatchId batchId, MaterialId materialId);

    StoredSheet save(StoredSheet sheet);
}
