package mardun.core.making;

import java.util.List;

/**
 * The steps of one line of a batch, in their order.
 *
 * @param line its number
 * @param units how many bags are made
 * @param cut for how many bags the cutting is done: as many, unless pieces are cut elsewhere or stay unsewn
 * @param steps those that are done for one bag or more
 */
public record LineSteps(int line, int units, int cut, List<Step> steps) {

    public LineSteps {
        int sewn = units;
        int cutFor = cut;
        steps = steps.stream()
                .filter(step -> (step.stage() == Stage.CUT ? cutFor : sewn) > 0)
                .toList();
    }

    /** A line whose bags are all cut and sewn here. */
    public static LineSteps of(int line, int units, List<Step> steps) {
        return new LineSteps(line, units, units, steps);
    }

    /** For how many bags a step is done. */
    int units(Step step) {
        return step.stage() == Stage.CUT ? cut : units;
    }
}
