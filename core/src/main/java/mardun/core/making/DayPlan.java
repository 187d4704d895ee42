package mardun.core.making;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Lays the hours that batches still need on the days that are free for them: first what was promised first, each day
 * filled before the next is begun.
 */
public final class DayPlan {

    private static final int FARTHEST_DAYS = 366;

    private DayPlan() {}

    /**
     * Work to be laid on days.
     *
     * @param key the caller's name for it
     * @param hours hands-on time still to do
     * @param due the day by which it is wanted
     */
    public record Work(String key, Duration hours, Optional<LocalDate> due) {

        /**
         * Whether it is done after the day by which it is wanted.
         *
         * @param ready the day on which it is done; empty where a year of free hours isn't enough
         */
        public boolean isLate(Optional<LocalDate> ready) {
            return due.filter(day -> ready.isEmpty() || ready.get().isAfter(day))
                    .isPresent();
        }
    }

    /** A piece of work on a day. */
    public record Laid(String key, LocalDate day, Duration hours) {}

    /**
     * What was laid where.
     *
     * @param ready the last day of each piece of work; missing where a year of free hours isn't enough
     */
    public record Plan(List<Laid> laid, Map<String, LocalDate> ready) {}

    /** Lays all work from {@code today} on; what is due first comes first, work without a date last. */
    public static Plan lay(List<Work> works, Map<DayOfWeek, Duration> free, LocalDate today) {
        List<Work> inOrder = works.stream()
                .sorted((a, b) ->
                        a.due().orElse(LocalDate.MAX).compareTo(b.due().orElse(LocalDate.MAX)))
                .toList();
        List<Laid> laid = new ArrayList<>();
        Map<String, LocalDate> ready = new HashMap<>();
        LocalDate day = today;
        Duration left = freeOn(day, free);
        for (Work work : inOrder) {
            Duration toDo = work.hours();
            while (!toDo.isZero() && day.isBefore(today.plusDays(FARTHEST_DAYS))) {
                if (left.isZero()) {
                    day = day.plusDays(1);
                    left = freeOn(day, free);
                    continue;
                }
                Duration part = toDo.compareTo(left) < 0 ? toDo : left;
                laid.add(new Laid(work.key(), day, part));
                left = left.minus(part);
                toDo = toDo.minus(part);
            }
            if (toDo.isZero()) {
                ready.put(work.key(), day);
            }
        }
        return new Plan(List.copyOf(laid), Map.copyOf(ready));
    }

    private static Duration freeOn(LocalDate day, Map<DayOfWeek, Duration> free) {
        return free.getOrDefault(day.getDayOfWeek(), Duration.ZERO);
    }
}
