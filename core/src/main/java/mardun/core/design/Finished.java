package mardun.core.design;

import java.util.Optional;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/**
 * What the finished bag measures, worked out from its cut panels.
 *
 * @param depth 0 for a flat bag
 * @param height at the tips, where a V is cut out of the top
 * @param across the top, where that differs from the width: a boxed bag is wider there
 * @param below the V, where one is cut out of the top: how high the bag is there
 */
public record Finished(
        Figure<Quantity> width,
        Figure<Quantity> height,
        Figure<Quantity> depth,
        Optional<Figure<Quantity>> across,
        Optional<Figure<Quantity>> below) {

    static Finished of(Figure<Quantity> width, Figure<Quantity> height, Figure<Quantity> depth) {
        return new Finished(width, height, depth, Optional.empty(), Optional.empty());
    }

    Finished withBelow(Figure<Quantity> heightBelow) {
        return new Finished(width, height, depth, across, Optional.of(heightBelow));
    }
}
