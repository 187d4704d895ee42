package mardun.app.batch;

import java.time.Clock;
import mardun.app.id.BatchId;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A batch that is put aside for weeks, and taken up again: nothing of it is lost, and nothing of it is laid on days meanwhile. */
@Service
public class Pausing {

    private final Batches batches;
    private final Clock clock;

    Pausing(Batches batches, Clock clock) {
        this.batches = batches;
        this.clock = clock;
    }

    /** Puts a batch aside; what it holds on the shelf stays held. */
    @Transactional
    public void pause(BatchId id, long version) {
        batches.open(id, version).pause(clock.instant());
    }

    @Transactional
    public void resume(BatchId id, long version) {
        batches.open(id, version).resume();
    }
}
