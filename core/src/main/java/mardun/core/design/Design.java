package mardun.core.design;

import java.util.List;
import mardun.core.making.Step;

/**
 * What can be made: its sizes, measurements, pieces, trims, notions and steps. Sizes share all formulas; only the
 * measurements differ.
 *
 * @param sizes the names of the sizes, smallest first; at least one
 */
public record Design(
        String name,
        List<String> sizes,
        List<Measurement> measurements,
        BoxedBag boxed,
        List<Piece> pieces,
        List<TrimNeed> trims,
        List<NotionNeed> notions,
        List<Step> steps) {

    public Design {
        sizes = List.copyOf(sizes);
        measurements = List.copyOf(measurements);
        pieces = List.copyOf(pieces);
        trims = List.copyOf(trims);
        notions = List.copyOf(notions);
        steps = List.copyOf(steps);
    }
}
