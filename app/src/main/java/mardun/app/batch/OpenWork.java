package mardun.app.batch;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import mardun.core.making.DayPlan;
import org.jspecify.annotations.Nullable;

/**
 * What is still to be done of an open batch, to be laid on days.
 *
 * @param paused it is put aside: nothing of it is laid
 * @param left hands-on time still to come
 */
public record OpenWork(long id, boolean paused, Optional<LocalDate> dueOn, Duration left) {

    /** As days are laid from it. */
    public DayPlan.Work work() {
        return new DayPlan.Work(Long.toString(id), left, dueOn);
    }

    /**
     * Whether it will be done too late.
     *
     * @param ready the day on which it is done; null where the free hours of a year aren't enough
     */
    public boolean isLate(@Nullable LocalDate ready) {
        return !paused
                && dueOn.filter(due -> ready == null || ready.isAfter(due)).isPresent();
    }
}
