package mardun.core.making;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * The hands-on time of a number of units, made one by one and as a batch.
 *
 * @param sewing time spent on the units themselves, the same both ways
 * @param settingUp once-per-batch time, spent once; of one line among several, what it bears of it
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
        return ofOneLine(steps, units);
    }

    /**
     * The time of a batch.
     *
     * @param units how many bags it is
     */
    public static WorkTime ofBatch(List<Operation> operations, int units) {
        Map<Integer, List<Operation.Part>> byLine = new TreeMap<>();
        operations.forEach(operation -> operation
                .parts()
                .forEach(part -> byLine.computeIfAbsent(part.line(), line -> new ArrayList<>())
                        .add(part)));
        boolean isOneLine = byLine.values().stream()
                .allMatch(parts -> byLine.size() == 1 && parts.get(0).units() == units);
        if (isOneLine) {
            return ofOneLine(
                    byLine.values().stream().findFirst().orElse(List.of()).stream()
                            .map(Operation.Part::step)
                            .toList(),
                    units);
        }
        List<WorkTime> alone = byLine.values().stream()
                .map(parts -> ofOneLine(
                        parts.stream().map(Operation.Part::step).toList(),
                        parts.get(0).units()))
                .toList();
        Duration oneByOne = alone.stream().map(time -> time.oneByOne().value()).reduce(Duration.ZERO, Duration::plus);
        Duration sewing = alone.stream().map(WorkTime::sewing).reduce(Duration.ZERO, Duration::plus);
        Duration once = operations.stream().map(Operation::once).reduce(Duration.ZERO, Duration::plus);
        Duration passive = operations.stream().map(Operation::passive).reduce(Duration.ZERO, Duration::plus);
        return new WorkTime(
                units,
                new Figure<>(
                        oneByOne,
                        Working.of("One by one, every unit pays for its own set-ups.")
                                .expression("{all}")
                                .input("all", "all bags of all lines, each for itself", Value.of(oneByOne))
                                .gives(Value.of(oneByOne))),
                new Figure<>(
                        sewing.plus(once),
                        Working.of("As a batch, what several lines have in common is set up once for all of them.")
                                .expression("{all} + {b}")
                                .input("all", "all steps for all bags", Value.of(sewing))
                                .input("b", "time once per batch, each operation once", Value.of(once))
                                .gives(Value.of(sewing.plus(once)))),
                sewing,
                once,
                passive);
    }

    /**
     * The time that one line of a batch bears.
     *
     * @param units how many bags the line is
     */
    public static WorkTime ofLine(int line, int units, List<Operation> operations, SetUpSpread spread) {
        List<Operation> its = operations.stream()
                .filter(operation -> operation.lines().contains(line))
                .toList();
        List<Operation.Part> parts = its.stream()
                .flatMap(operation -> operation.parts().stream().filter(part -> part.line() == line))
                .toList();
        WorkTime alone = ofOneLine(parts.stream().map(Operation.Part::step).toList(), units);
        if (its.stream().allMatch(operation -> operation.parts().size() == 1)) {
            return alone;
        }
        Duration borne = its.stream()
                .map(operation -> operation.shares(spread).get(line))
                .reduce(Duration.ZERO, Duration::plus);
        Duration together = alone.sewing().plus(borne);
        return new WorkTime(
                units,
                alone.oneByOne(),
                new Figure<>(
                        together,
                        Working.of("The line's own steps, and its share of what several lines are set up for together: "
                                        + spread.words() + ".")
                                .expression("{sewing} + {share}")
                                .input("sewing", "all steps for all bags of the line", Value.of(alone.sewing()))
                                .input("share", "share of the time once per batch", Value.of(borne))
                                .gives(Value.of(together))),
                alone.sewing(),
                borne,
                alone.passive());
    }

    private static WorkTime ofOneLine(List<Step> steps, int units) {
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
