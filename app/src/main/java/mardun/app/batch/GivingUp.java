package mardun.app.batch;

import java.time.Clock;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.material.ReservationService;
import mardun.app.problem.RefusedException;
import mardun.app.unsewn.UnsewnShelf;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Batches of which nothing is cut yet, and that aren't made: what they hold is free, and they can be taken up again as they were. Once
 * they are given up they can also be removed.
 */
@Service
public class GivingUp {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final UnsewnShelf unsewn;
    private final Clock clock;

    GivingUp(
            BatchRepository repository,
            Batches batches,
            BatchHolds holds,
            ReservationService reservations,
            UnsewnShelf unsewn,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.holds = holds;
        this.reservations = reservations;
        this.unsewn = unsewn;
        this.clock = clock;
    }

    @Transactional
    public void giveUp(BatchId id, long version) {
        Batch batch = batches.open(id, version);
        refuseIfCut(batch);
        reservations.release(id);
        unsewn.hold(id, List.of());
        batch.giveUp(clock.instant());
        repository.saveAndFlush(batch);
    }

    /** It is planned again; what it held, somebody else may hold by now. */
    @Transactional
    public void takeUpAgain(BatchId id, long version) {
        Batch batch = batches.forChange(id, version);
        if (!batch.isGivenUp()) {
            throw RefusedException.conflict("Batch " + id + " isn't given up.");
        }
        batch.planAgain();
        repository.saveAndFlush(batch);
        holds.followPieces(batch);
    }

    /** Removes a batch that was only planned. */
    @Transactional
    public void remove(BatchId id, long version) {
        Batch batch = batches.forChange(id, version);
        if (!batch.isGivenUp()) {
            refuseIfCut(batch);
        }
        reservations.release(id);
        repository.delete(batch);
    }

    private static void refuseIfCut(Batch batch) {
        if (batch.stage() != BatchStage.PLANNED) {
            throw RefusedException.conflict(
                    "Its cloth is cut, so this batch can't be given up any more. The rest of it can be cut short.");
        }
    }
}
