package mardun.core.design;

import java.util.Optional;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/**
 * What the finished bag measures, worked out from its cut panels.
 *
 * @param depth 0 for a flat bag
 * @param across the top, where that differs from the width: a boxed bag is wider there
 */
public record Finished(
        Figure<Quantity> width, Figure<Quantity> height, Figure<Quantity> depth, Optional<Figure<Quantity>> across) {

    static Finished of(Figure<Quantity> width, Figure<Quantity> height, Figure<Quantity> depth) {
        return new Finished(width, height, depth, Optional.empty());
    }
}
