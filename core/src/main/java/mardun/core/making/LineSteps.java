package mardun.core.making;

import java.util.List;

/**
 * The steps of one line of a batch, in their order.
 *
 * @param line its number
 * @param units how many bags, one or more
 */
public record LineSteps(int line, int units, List<Step> steps) {

    public LineSteps {
        steps = List.copyOf(steps);
    }
}
