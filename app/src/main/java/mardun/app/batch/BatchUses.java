package mardun.app.batch;

import java.util.Optional;
import mardun.app.design.UsesDesigns;
import mardun.app.material.UsesMaterials;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What batches are made of: designs and materials that can't be removed any more. */
@Component
class BatchUses implements UsesDesigns, UsesMaterials {

    private final BatchRepository batches;
    private final BatchPlans plans;

    BatchUses(BatchRepository batches, BatchPlans plans) {
        this.batches = batches;
        this.plans = plans;
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> useOfDesign(long designId) {
        return batches.findFirstByDesignId(designId).map(BatchUses::name);
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> useOfMaterial(long materialId) {
        return batches.findAll().stream()
                .filter(batch ->
                        plans.choices(batch).materials().stream().anyMatch(choice -> choice.materialId() == materialId))
                .findFirst()
                .map(BatchUses::name);
    }

    private static String name(Batch batch) {
        return "Batch " + batch.id();
    }
}
