package mardun.app.season;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import mardun.app.days.DayPlans;

/** The time that is free on the coming days, over what open batches take of them. */
final class FreeAhead {

    private static final int FARTHEST = 366;

    private final DayPlans.Laid laid;

    FreeAhead(DayPlans.Laid laid) {
        this.laid = laid;
    }

    private Duration on(LocalDate day) {
        Duration left = laid.free().worked(day).minus(laid.plan().on(day));
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** What is free from today until a day, without it. */
    Duration before(LocalDate day) {
        return laid.today()
                .datesUntil(day.isBefore(laid.today()) ? laid.today() : day)
                .map(this::on)
                .reduce(Duration.ZERO, Duration::plus);
    }

    /** The day on which so much work is done that is begun today; empty where that is more than a year ahead. */
    Optional<LocalDate> doneOn(Duration work) {
        Duration left = work;
        LocalDate day = laid.today();
        for (int ahead = 0; ahead < FARTHEST; ahead++) {
            left = left.minus(on(day));
            if (left.compareTo(Duration.ZERO) <= 0) {
                return Optional.of(day);
            }
            day = day.plusDays(1);
        }
        return Optional.empty();
    }

    /** The last day on which so much work can be begun that is done before a day; empty where there isn't as much time. */
    Optional<LocalDate> lastToBegin(LocalDate day, Duration work) {
        Duration left = work;
        LocalDate begun = day;
        while (left.compareTo(Duration.ZERO) > 0 && begun.isAfter(laid.today())) {
            begun = begun.minusDays(1);
            left = left.minus(on(begun));
        }
        return left.compareTo(Duration.ZERO) > 0 ? Optional.empty() : Optional.of(begun);
    }
}
