package mardun.app.batch;

import java.util.Optional;
import mardun.app.design.UsesDesigns;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.UsesMaterials;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What batches are made of: designs and materials that can't be removed any more. */
@Component
class BatchUses implements UsesDesigns, UsesMaterials {

    private final BatchRepository batches;

    BatchUses(BatchRepository batches) {
        this.batches = batches;
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> useOfDesign(DesignId designId) {
        return batches.findFirstOfDesign(designId).map(id -> name(new BatchId(id)));
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> useOfMaterial(MaterialId materialId) {
        return batches.findAll().stream()
                .filter(batch -> batch.lines().stream()
                        .anyMatch(line -> line.chosen().materials().containsValue(materialId)))
                .findFirst()
                .map(batch -> name(batch.id()));
    }

    private static String name(BatchId id) {
        return "Batch " + id;
    }
}
