package mardun.core.estimate;

import java.time.Duration;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How long one bag took, as it was measured: at each step the time of all bags that were counted there over their number, together over
 * the steps. So a step that was timed for a few bags only counts as if all had been.
 *
 * @param steps at how many steps it was measured
 */
public record MeasuredEach(Duration each, int steps) {

    /**
     * What was counted at a step at once.
     *
     * @param bags how many; less than nothing where a count was taken back
     */
    public record Counted(String step, long bags, Duration took) {}

    /** What it comes to; empty where no step was timed with a bag. */
    public static Optional<MeasuredEach> of(Collection<Counted> counted) {
        Map<String, long[]> sums = counted.stream()
                .collect(Collectors.toMap(
                        Counted::step, one -> new long[] {one.bags(), one.took().toMillis()}, (one, other) ->
                                new long[] {one[0] + other[0], one[1] + other[1]}));
        long millis = 0;
        int steps = 0;
        for (long[] sum : sums.values()) {
            if (sum[0] > 0 && sum[1] > 0) {
                millis += Math.round((double) sum[1] / sum[0]);
                steps++;
            }
        }
        return steps == 0 ? Optional.empty() : Optional.of(new MeasuredEach(Duration.ofMillis(millis), steps));
    }
}
