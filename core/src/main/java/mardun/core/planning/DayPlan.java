package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.making.SetUp;

/**
 * What is done when.
 *
 * @param stretches in the order of time
 * @param ready the day on which each job is done, with all that has to dry; missing where a year of free time isn't enough
 */
public record DayPlan(List<Stretch> stretches, Map<String, LocalDate> ready) {

    /**
     * Work on a task on one day.
     *
     * @param job its key
     * @param task its place in the job
     * @param worker who does it, from 0
     * @param hands hands-on time in it; pauses lie between
     * @param bagsBefore how many bags are done before it
     * @param bagsAfter how many are done when it ends
     * @param isOnlySetUp no bag is begun yet: what the task takes once is done, and stays so overnight
     * @param changes what has to be changed on the machine when the task is begun, and only that; empty when it goes on
     */
    public record Stretch(
            String job,
            int task,
            int worker,
            LocalDateTime from,
            LocalDateTime to,
            Duration hands,
            int bagsBefore,
            int bagsAfter,
            boolean isOnlySetUp,
            List<SetUp.Part> changes) {

        public LocalDate day() {
            return from.toLocalDate();
        }
    }

    public DayPlan {
        stretches = List.copyOf(stretches);
        ready = Map.copyOf(ready);
    }

    public Optional<LocalDate> ready(String job) {
        return Optional.ofNullable(ready.get(job));
    }

    /** How much of a job's work lies after a day: so much more free time until then would be needed. */
    public Duration after(String job, LocalDate day) {
        return stretches.stream()
                .filter(stretch -> stretch.job().equals(job) && stretch.day().isAfter(day))
                .map(Stretch::hands)
                .reduce(Duration.ZERO, Duration::plus);
    }

    /** What is worked on a day by all. */
    public Duration on(LocalDate day) {
        return stretches.stream()
                .filter(stretch -> stretch.day().equals(day))
                .map(Stretch::hands)
                .reduce(Duration.ZERO, Duration::plus);
    }
}
