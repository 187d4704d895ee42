package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The time that is free on the coming days, over what planned work takes of them.
 *
 * @param free when there is time for the bench
 * @param planned the work that is laid on the days already
 * @param today the first day that counts
 */
public record FreeAhead(FreeTime free, DayPlan planned, LocalDate today) {

    private static final int FARTHEST = 366;

    private Duration on(LocalDate day) {
        Duration left = free.worked(day).minus(planned.on(day));
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** What is free from today until a day, without it. */
    public Duration before(LocalDate day) {
        return today.datesUntil(day.isBefore(today) ? today : day).map(this::on).reduce(Duration.ZERO, Duration::plus);
    }

    /** The day on which so much work is done that is begun today; empty where that is more than a year ahead. */
    public Optional<LocalDate> doneOn(Duration work) {
        Duration left = work;
        LocalDate day = today;
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
    public Optional<LocalDate> lastToBegin(LocalDate day, Duration work) {
        Duration left = work;
        LocalDate begun = day;
        while (left.compareTo(Duration.ZERO) > 0 && begun.isAfter(today)) {
            begun = begun.minusDays(1);
            left = left.minus(on(begun));
        }
        return left.compareTo(Duration.ZERO) > 0 ? Optional.empty() : Optional.of(begun);
    }
}
