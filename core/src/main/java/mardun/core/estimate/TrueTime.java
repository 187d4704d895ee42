package mardun.core.estimate;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * How long a step really took in one batch. Bags that were counted without a clock took as long as those that were timed.
 *
 * @param each for one bag, the slow first ones among them
 * @param timed on how many bags that rests, at least one
 */
public record TrueTime(Duration each, int timed) {

    /**
     * What the touches of one step in one batch say; empty where none of them was timed.
     *
     * @param guess how long one bag was thought to take
     */
    public static Optional<TrueTime> of(List<Touch> touches, Duration guess) {
        List<Measurement> measured = Measurement.of(touches, guess);
        int bags = measured.stream().mapToInt(Measurement::bags).sum();
        return bags == 0
                ? Optional.empty()
                : Optional.of(new TrueTime(
                        measured.stream()
                                .map(Measurement::time)
                                .reduce(Duration.ZERO, Duration::plus)
                                .dividedBy(bags),
                        bags));
    }

    /**
     * What a step took for each bag that was begun: bags that never came to it took nothing there, and mending is time of the step at which it
     * went wrong.
     *
     * @param each for one bag that came to it
     * @param reached how many came to it
     * @param mending for all of them together
     * @param begun at least one
     */
    public static Duration forEachBegun(Duration each, int reached, Duration mending, int begun) {
        return each.multipliedBy(Math.max(0, reached)).plus(mending).dividedBy(begun);
    }
}
