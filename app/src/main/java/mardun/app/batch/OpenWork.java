package mardun.app.batch;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.core.making.DayPlan;

/**
 * What is still to be done of an open batch, to be laid on days.
 *
 * @param paused it is put aside: nothing of it is laid
 * @param left hands-on time still to come
 */
public record OpenWork(BatchId id, boolean paused, Optional<LocalDate> dueOn, Duration left) {

    /** As days are laid from it. */
    public DayPlan.Work work() {
        return new DayPlan.Work(id.key(), left, dueOn);
    }

    /** Whether it will be done too late, by the day on which it is ready; what is put aside never is. */
    public boolean isLate(Optional<LocalDate> ready) {
        return !paused && work().isLate(ready);
    }
}
