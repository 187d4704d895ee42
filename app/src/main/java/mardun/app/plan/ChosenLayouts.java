package mardun.app.plan;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.Recut;

/** The layouts by which batches are to be cut, wherever they are kept. */
public interface ChosenLayouts {

    /**
     * A layout that a batch is to be cut by.
     *
     * @param layout without the pieces that are cut once more
     * @param recuts the pieces that are cut once more
     */
    record ChosenLayout(CuttingLayout layout, List<Recut> recuts) {}

    /** By batch and material. */
    Map<BatchId, Map<MaterialId, ChosenLayout>> chosenFor(Collection<BatchId> batchIds);
}
