package mardun.core.batch;

import java.time.Duration;
import java.util.Optional;
import mardun.core.batch.BatchPlan.LinePlan;
import org.joda.money.Money;

/**
 * What one bag takes more with another alternative of a design's choice than as it is usually made; less where it is negative. Pieces, trims
 * and steps change together, so it is the difference of two whole plans.
 *
 * @param time hands-on, made as a batch
 * @param cost of material, work and overheads
 * @param price that the maker's school suggests
 */
public record ChoiceEffect(Duration time, Money cost, Money price) {

    /** Empty while one of the two can't be worked out. */
    public static Optional<ChoiceEffect> of(LinePlan usual, LinePlan other) {
        if (usual.cost().isEmpty()
                || other.cost().isEmpty()
                || usual.pricing().isEmpty()
                || other.pricing().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new ChoiceEffect(
                other.time().perUnit().minus(usual.time().perUnit()),
                other.cost()
                        .get()
                        .full()
                        .value()
                        .minus(usual.cost().get().full().value()),
                other.pricing()
                        .get()
                        .suggested()
                        .value()
                        .minus(usual.pricing().get().suggested().value())));
    }
}
