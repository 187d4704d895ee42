package mardun.app.batch;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.plan.StepTook;
import mardun.core.design.Design;
import mardun.core.making.SetUp;
import mardun.core.making.Step;

/**
 * How long the steps of a batch were planned to take, and took: each for all lines that have it, with what is done once counted once.
 *
 * @param steps in the order in which the lines have them
 */
public record StepTimes(List<OfStep> steps) {

    /**
     * A step of a batch.
     *
     * @param took as planned where it wasn't timed
     * @param timed how many of its bags were timed
     */
    public record OfStep(String name, Duration planned, Duration took, int timed) {}

    /**
     * The steps of some lines.
     *
     * @param asPlanned each line's design with the times that it was planned with
     * @param took each line's steps as they were timed; a step that isn't among them took what was planned
     */
    public static StepTimes of(
            List<PlannedLine> lines, Map<Integer, Design> asPlanned, Map<Integer, List<StepTook>> took) {
        Map<String, OfStep> byName = new LinkedHashMap<>();
        Map<String, Duration> plannedOnce = new LinkedHashMap<>();
        Map<String, Duration> tookOnce = new LinkedHashMap<>();
        for (PlannedLine line : lines) {
            Map<String, StepTook> its = took.getOrDefault(line.number(), List.of()).stream()
                    .collect(Collectors.toMap(StepTook::step, Function.identity(), (one, other) -> other));
            int begun = line.chosen().started();
            for (Step step : asPlanned.get(line.number()).steps()) {
                String key = SetUp.plain(step.name());
                StepTook real =
                        its.getOrDefault(step.key(), new StepTook(step.key(), step.perUnit(), step.perBatch(), 0));
                byName.merge(
                        key,
                        new OfStep(
                                step.name(),
                                step.perUnit().multipliedBy(begun),
                                real.each().multipliedBy(begun),
                                real.timed()),
                        (one, other) -> new OfStep(
                                one.name(),
                                one.planned().plus(other.planned()),
                                one.took().plus(other.took()),
                                one.timed() + other.timed()));
                plannedOnce.merge(key, step.perBatch(), StepTimes::longer);
                tookOnce.merge(key, real.once(), StepTimes::longer);
            }
        }
        return new StepTimes(byName.entrySet().stream()
                .map(one -> new OfStep(
                        one.getValue().name(),
                        one.getValue().planned().plus(plannedOnce.get(one.getKey())),
                        one.getValue().took().plus(tookOnce.get(one.getKey())),
                        one.getValue().timed()))
                .toList());
    }

    private static Duration longer(Duration one, Duration other) {
        return one.compareTo(other) >= 0 ? one : other;
    }

    public Duration planned() {
        return steps.stream().map(OfStep::planned).reduce(Duration.ZERO, Duration::plus);
    }

    public Duration took() {
        return steps.stream().map(OfStep::took).reduce(Duration.ZERO, Duration::plus);
    }
}
