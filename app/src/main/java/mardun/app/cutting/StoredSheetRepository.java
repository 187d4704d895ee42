package mardun.app.cutting;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface StoredSheetRepository extends Repository<StoredSheet, Long> {

    List<StoredSheet> findByBatchIdInAndChosenTrue(Collection<Long> batchIds);

    List<StoredSheet> findByBatchIdOrderById(long batchId);

    List<StoredSheet> findByBatchIdAndMaterialIdAndChosenTrue(long batchId, long materialId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from StoredSheet s where s.batchId = :batchId and s.materialId = :materialId")
    void removeOf(long batchId, long materialId);

    StoredSheet save(StoredSheet sheet);
}
