package mardun.app.batch;

import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.material.ReservationService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Material that is held for a batch, and given back. */
@Service
public class Reserving {

    private final Batches batches;
    private final BatchHolds holds;
    private final ReservationService reservations;

    Reserving(Batches batches, BatchHolds holds, ReservationService reservations) {
        this.batches = batches;
        this.holds = holds;
        this.reservations = reservations;
    }

    /** Holds for a batch what it still takes, as far as it is free; says what goes short. */
    @Transactional
    public List<String> reserve(BatchId id, long version) {
        return holds.hold(batches.open(id, version));
    }

    /** Gives back what a batch holds. */
    @Transactional
    public void release(BatchId id, long version) {
        batches.open(id, version);
        reservations.release(id);
    }
}
