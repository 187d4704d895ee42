package mardun.core.making;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * The hands-on time of a number of units, made one by one and as a batch.
 *
 * @param sewing time spent on the units themselves, the same both ways
 * @param settingUp once-per-batch time, spent once; of one line among several, what it bears of it
 * @param passive time that needs no hands, apart
 * @param byKind the time as a batch by kinds of work; what came with cut pieces is cutting
 */
public record WorkTime(
        int units,
        Figure<Duration> oneByOne,
        Figure<Duration> asBatch,
        Duration sewing,
        Duration settingUp,
        Duration passive,
        Map<WorkKind, Duration> byKind) {

    public WorkTime {
        byKind = Map.copyOf(byKind);
    }

    /** The time that {@code units} units take with these steps. */
    public static WorkTime of(List<Step> steps, int units) {
        return ofOneLine(steps, units);
    }

    /**
     * The time of a batch.
     *
     * @param units how many bags it is
     * @param came hands-on time that came with cut pieces; below zero where more went
     */
    public static WorkTime ofBatch(List<Operation> operations, int units, Duration came) {
        Map<Integer, List<Operation.Part>> byLine = new TreeMap<>();
        operations.forEach(operation -> operation
                .parts()
                .forEach(part -> byLine.computeIfAbsent(part.line(), line -> new ArrayList<>())
                        .add(part)));
        if (byLine.size() <= 1) {
            return ofParts(byLine.values().stream().findFirst().orElse(List.of()), units, came);
        }
        Duration oneByOne = byLine.values().stream().map(WorkTime::oneByOne).reduce(came, Duration::plus);
        Duration sewing = operations.stream().map(Operation::sewing).reduce(came, Duration::plus);
        Duration once = operations.stream().map(Operation::once).reduce(Duration.ZERO, Duration::plus);
        Duration passive = operations.stream().map(Operation::passive).reduce(Duration.ZERO, Duration::plus);
        return new WorkTime(
                units,
                eachForItself(oneByOne, "all bags of all lines, each for itself"),
                new Figure<>(
                        sewing.plus(once),
                        withWhatCame(
                                Working.of(
                                                "As a batch, what several lines have in common is set up once for all of them.")
                                        .input("all", "all steps for all bags", Value.of(sewing.minus(came)))
                                        .input("b", "time once per batch, each operation once", Value.of(once)),
                                "{all} + {b}",
                                came,
                                sewing.plus(once))),
                sewing,
                once,
                passive,
                byKind(
                        operations.stream()
                                .map(operation -> new Spent(
                                        operation.parts().get(0).step().station(), operation.time())),
                        came));
    }

    /** Time that is spent at a place. */
    private record Spent(Station at, Duration time) {}

    private static Map<WorkKind, Duration> byKind(Stream<Spent> all, Duration came) {
        Map<WorkKind, Duration> byKind = new EnumMap<>(WorkKind.class);
        all.forEach(spent -> byKind.merge(WorkKind.at(spent.at()), spent.time(), Duration::plus));
        if (!came.isZero()) {
            byKind.merge(WorkKind.CUTTING, came, Duration::plus);
        }
        return byKind;
    }

    /**
     * The time that one line of a batch bears.
     *
     * @param units how many bags the line is
     * @param came hands-on time that came with its cut pieces; below zero where more went
     */
    public static WorkTime ofLine(int line, int units, List<Operation> operations, SetUpSpread spread, Duration came) {
        List<Operation> its = operations.stream()
                .filter(operation -> operation.lines().contains(line))
                .toList();
        List<Operation.Part> parts = its.stream()
                .flatMap(operation -> operation.parts().stream().filter(part -> part.line() == line))
                .toList();
        WorkTime alone = ofParts(parts, units, came);
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
                        withWhatCame(
                                Working.of(
                                                "The line's own steps, and its share of what several lines are set up for together: "
                                                        + spread.words() + ".")
                                        .input(
                                                "sewing",
                                                "all steps for all bags of the line",
                                                Value.of(alone.sewing().minus(came)))
                                        .input("share", "share of the time once per batch", Value.of(borne)),
                                "{sewing} + {share}",
                                came,
                                together)),
                alone.sewing(),
                borne,
                alone.passive(),
                byKind(
                        Stream.concat(
                                parts.stream().map(part -> new Spent(part.step().station(), part.sewing())),
                                its.stream()
                                        .map(operation -> new Spent(
                                                operation.parts().get(0).step().station(),
                                                operation.shares(spread).get(line)))),
                        came));
    }

    private static Working withWhatCame(Working.Builder told, String expression, Duration came, Duration all) {
        if (came.isZero()) {
            return told.expression(expression).gives(Value.of(all));
        }
        return told.expression(expression + (came.isNegative() ? " − {moved}" : " + {moved}"))
                .input(
                        "moved",
                        came.isNegative() ? "cutting of bags that went" : "cutting of bags that came",
                        Value.of(came.abs()))
                .gives(Value.of(all));
    }

    /** The time of one line, some of whose steps may be done for more or fewer bags than it makes. */
    private static WorkTime ofParts(List<Operation.Part> parts, int units, Duration came) {
        if (came.isZero() && parts.stream().allMatch(part -> part.units() == units)) {
            return ofOneLine(parts.stream().map(Operation.Part::step).toList(), units);
        }
        Duration oneByOne = oneByOne(parts).plus(came);
        Duration sewing = parts.stream().map(Operation.Part::sewing).reduce(came, Duration::plus);
        Duration once = parts.stream().map(part -> part.step().perBatch()).reduce(Duration.ZERO, Duration::plus);
        return new WorkTime(
                units,
                eachForItself(oneByOne, "all bags, those that are only cut among them"),
                new Figure<>(
                        sewing.plus(once),
                        withWhatCame(
                                Working.of("As a batch, a set-up is made once and not once per bag.")
                                        .input("all", "all steps, each for its bags", Value.of(sewing.minus(came)))
                                        .input("b", "time once per batch", Value.of(once)),
                                "{all} + {b}",
                                came,
                                sewing.plus(once))),
                sewing,
                once,
                parts.stream().map(part -> part.step().passive()).reduce(Duration.ZERO, Duration::plus),
                byKind(
                        parts.stream()
                                .map(part -> new Spent(
                                        part.step().station(),
                                        part.sewing().plus(part.step().perBatch()))),
                        came));
    }

    private static Figure<Duration> eachForItself(Duration oneByOne, String which) {
        return new Figure<>(
                oneByOne,
                Working.of("One by one, every unit pays for its own set-ups.")
                        .expression("{all}")
                        .input("all", which, Value.of(oneByOne))
                        .gives(Value.of(oneByOne)));
    }

    private static Duration oneByOne(List<Operation.Part> parts) {
        return parts.stream()
                .map(part -> part.step().perUnit().plus(part.step().perBatch()).multipliedBy(part.units()))
                .reduce(Duration.ZERO, Duration::plus);
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
                passive,
                byKind(
                        steps.stream()
                                .map(step -> new Spent(
                                        step.station(),
                                        step.perUnit().multipliedBy(units).plus(step.perBatch()))),
                        Duration.ZERO));
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
