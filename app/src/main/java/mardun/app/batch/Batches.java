package mardun.app.batch;

import java.util.List;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.plan.ChosenBatch;
import mardun.app.plan.FrozenInputs;
import mardun.app.plan.FrozenReader;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The door to stored batches: to read one, to hold one for a change, and to see it as a plan is worked out from it. */
@Component
class Batches {

    private final BatchRepository batches;
    private final FrozenReader frozen;
    private final Remembered<BatchId, Optional<FrozenInputs>> ofOpen;

    Batches(BatchRepository batches, FrozenReader frozen, Changes changes) {
        this.batches = batches;
        this.frozen = frozen;
        this.ofOpen = new Remembered<>(changes, "batch", "frozen_batch");
    }

    Batch find(BatchId id) {
        return batches.findById(id.value()).orElseThrow(Batches::missing);
    }

    /** The batch, held for this transaction, so that two changes at once are made one after the other. */
    Batch forChange(BatchId id) {
        return batches.findForChange(id.value()).orElseThrow(Batches::missing);
    }

    /** The same, if it is as it was when it was read. */
    Batch forChange(BatchId id, long version) {
        Batch batch = forChange(id);
        ChangedMeanwhileException.check("Batch " + id, version, batch.version());
        return batch;
    }

    /** One that isn't finished. */
    Batch open(BatchId id, long version) {
        Batch batch = forChange(id);
        if (!batch.stage().isOpen()) {
            throw RefusedException.conflict("Batch " + id + " is finished already; it takes nothing more.");
        }
        ChangedMeanwhileException.check("Batch " + id, version, batch.version());
        return batch;
    }

    /** The batch as its plan is worked out from it. */
    ChosenBatch chosen(Batch batch) {
        return new ChosenBatch(
                batch.id(),
                batch.lines().stream().map(StoredLine::chosen).toList(),
                batch.offcuts(),
                frozen(batch),
                !batch.stage().isOpen());
    }

    /** What was frozen of an open batch is asked by nearly every screen; who may change it reads it anew. */
    private Optional<FrozenInputs> frozen(Batch batch) {
        return batch.stage().isOpen() && TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? ofOpen.get(batch.id(), id -> batch.frozen().map(frozen::read))
                : batch.frozen().map(frozen::read);
    }

    List<ChosenBatch> chosen(List<Batch> all) {
        return all.stream().map(this::chosen).toList();
    }

    private static RefusedException missing() {
        return RefusedException.missing("There is no such batch, or no longer.");
    }
}
