package mardun.app.batch;

import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenBatch;
import mardun.app.problem.RefusedException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the cutting asks of batches: how they stand, and that what they hold follows their layouts. */
@Component
public class CuttableBatches {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchHolds holds;

    CuttableBatches(BatchRepository repository, Batches batches, BatchHolds holds) {
        this.repository = repository;
        this.batches = batches;
        this.holds = holds;
    }

    /** A batch as it stands. */
    public record Standing(BatchId id, long version, BatchStage stage, ChosenBatch chosen) {

        /**
         * Refuses what can't be done any more once a cloth is cut.
         *
         * @throws RefusedException if it is
         */
        public void refuseIfCut(MaterialId materialId) {
            if (chosen.isCut(materialId)) {
                throw cut();
            }
        }
    }

    @Transactional(readOnly = true)
    public Standing get(BatchId id) {
        return standing(batches.find(id));
    }

    /** One of which something is still to be cut. */
    @Transactional(readOnly = true)
    public Standing uncut(BatchId id) {
        return refuseIfAllIsCut(get(id));
    }

    /** The same, held for the caller's transaction, so that two ticks at once are taken one after the other. */
    @Transactional
    public Standing uncutForChange(BatchId id) {
        return refuseIfAllIsCut(standing(batches.forChange(id)));
    }

    /**
     * Does something with a batch that is held for the caller's transaction, unless all of it was cut or it was given up meanwhile;
     * then lets what it holds follow.
     */
    @Transactional
    public void ifStillUncut(BatchId id, Runnable change) {
        repository
                .findForChange(id.value())
                .filter(batch -> batch.stage() == BatchStage.PLANNED || batch.stage() == BatchStage.CUTTING)
                .ifPresent(batch -> {
                    change.run();
                    holds.follow(batch);
                });
    }

    /** After its layouts have changed. */
    @Transactional
    public void holdsFollow(BatchId id) {
        holds.follow(batches.find(id));
    }

    private Standing standing(Batch batch) {
        return new Standing(batch.id(), batch.version(), batch.stage(), batches.chosen(batch));
    }

    private static Standing refuseIfAllIsCut(Standing batch) {
        if (batch.stage() != BatchStage.PLANNED && batch.stage() != BatchStage.CUTTING) {
            throw cut();
        }
        return batch;
    }

    private static RefusedException cut() {
        return RefusedException.conflict("Its cloth is cut, so the layout stays as it is.");
    }
}
