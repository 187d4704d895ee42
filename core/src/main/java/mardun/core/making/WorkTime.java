package mardun.core.making;

import java.time.Duration;
import java.util.List;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * The hands-on time of a number of units, made one by one and as a batch.
 *
 * @param sewing time spent on the units themselves, the same both ways
 * @param settingUp once-per-batch time, spent once
 * @param passive time that needs no hands, apart
 */
public record WorkTime(
        int units,
        Figure<Duration> oneByOne,
        Figure<Duration> asBatch,
        Duration sewing,
        Duration settingUp,
        Duration passive) {

    /** The time that {@code units} units take with these steps. */
    public static WorkTime of(List<Step> steps, int units) {
        Duration perUnit = steps.stream().map(Step::perUnit).reduce(Duration.ZERO, Duration::plus);
        Duration perBatch = steps.stream().map(Step::perBatch).reduce(Duration.ZERO, Duration::plus);
        Duration passive = steps.stream().map(Step::passive).reduce(Duration.ZERO, Duration::plus);
        Duration oneByOne = perUnit.plus(perBatch).multipliedBy(units);
        Duration asBatch = perUnit.multipliedBy(units).plus(perBatch);
        return new WorkTime(
                units,
                new Figure<>(
                        oneByOne,
                        told(
                                "One by one, every unit pays for its own set-ups.",
                                "{n} × ({u} + {b})",
                                units,
                                perUnit,
                                perBatch,
                                oneByOne)),
                new Figure<>(
                        asBatch,
                        told(
                                "As a batch, a set-up is made once and not once per bag.",
                                "{n} × {u} + {b}",
                                units,
                                perUnit,
                                perBatch,
                                asBatch)),
                perUnit.multipliedBy(units),
                perBatch,
                passive);
    }

    /** The hands-on time of one unit of the batch, to the second. */
    public Duration perUnit() {
        return units == 0
                ? Duration.ZERO
                : Duration.ofSeconds(Math.round((double) asBatch.value().toSeconds() / units));
    }

    public Duration saved() {
        return oneByOne.value().minus(asBatch.value());
    }

    private static Working told(
            String rule, String expression, int units, Duration perUnit, Duration perBatch, Duration result) {
        return Working.of(rule)
                .expression(expression)
                .input("n", "units", Value.of(units))
                .input("u", "all steps for one unit", Value.of(perUnit))
                .input("b", "all steps' time once per batch", Value.of(perBatch))
                .gives(Value.of(result));
    }
}
