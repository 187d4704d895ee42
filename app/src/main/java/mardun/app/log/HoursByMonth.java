package mardun.app.log;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import mardun.app.log.BenchLog.Worked;
import mardun.app.stored.Months;
import org.springframework.stereotype.Component;

/** The hands-on time of each month, by day and place, remembered until something of that month is logged or put right. */
@Component
class HoursByMonth {

    private final Clock clock;
    private final Months<Worked> months = new Months<>(Worked::day);

    HoursByMonth(Clock clock) {
        this.clock = clock;
    }

    private record Place(LocalDate day, EventKind kind, String place) {}

    /** The caller's transaction logs something; of what it is about nobody knows the month. */
    void writes(LogEntry entry) {
        if (entry.ofEvent() == null) {
            months.writes(day(entry.at()));
        } else {
            months.writesAny();
        }
    }

    /**
     * What was worked from a day until before another, the oldest first.
     *
     * @param touches reads what was logged from one moment until another
     */
    List<Worked> worked(LocalDate from, LocalDate until, BiFunction<Instant, Instant, List<LoggedTouch>> touches) {
        return months.between(from, until, (first, end) -> sums(touches.apply(begins(first), begins(end))));
    }

    private List<Worked> sums(List<LoggedTouch> touches) {
        Map<Place, Duration> sums = new LinkedHashMap<>();
        touches.stream()
                .filter(touch -> !touch.worked().isZero())
                .forEach(touch -> sums.merge(
                        new Place(day(touch.at()), touch.kind(), touch.place()), touch.worked(), Duration::plus));
        return sums.entrySet().stream()
                .map(one -> new Worked(
                        one.getKey().day(), one.getKey().kind(), one.getKey().place(), one.getValue()))
                .toList();
    }

    private Instant begins(LocalDate day) {
        return day.atStartOfDay(clock.getZone()).toInstant();
    }

    private LocalDate day(Instant moment) {
        return LocalDate.ofInstant(moment, clock.getZone());
    }
}
