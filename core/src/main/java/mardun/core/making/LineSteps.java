package mardun.core.making;

import java.util.List;
import java.util.Map;
import mardun.core.measure.Length;

/**
 * The steps of one line of a batch, in their order.
 *
 * @param line its number
 * @param units how many bags are made
 * @param cut for how many bags the cutting is done: as many, unless pieces are cut elsewhere or stay unsewn
 * @param steps those that are done for one bag or more
 * @param thickness of what lies under the foot in each step, by its key; of one that isn't there, nothing
 */
public record LineSteps(int line, int units, int cut, List<Step> steps, Map<String, Length> thickness) {

    public LineSteps {
        int sewn = units;
        int cutFor = cut;
        steps = steps.stream()
                .filter(step -> (step.stage() == Stage.CUT ? cutFor : sewn) > 0)
                .toList();
    }

    /** A line whose bags are all cut and sewn here. */
    public static LineSteps of(int line, int units, List<Step> steps) {
        return new LineSteps(line, units, units, steps, Map.of());
    }

    /** The line's part in the operation of a step. */
    Operation.Part part(Step step) {
        return new Operation.Part(
                line, step.stage() == Stage.CUT ? cut : units, step, thickness.getOrDefault(step.key(), Length.ZERO));
    }
}
