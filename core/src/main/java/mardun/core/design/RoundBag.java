package mardun.core.design;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.Boxing;
import mardun.core.construction.RoundBases;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/**
 * A body sewn round a round base.
 *
 * @param outer the letter of the body
 * @param base the letter of the round piece
 */
public record RoundBag(
        Optional<String> outer, Optional<String> lining, String base, String sideSeam, String topSeam, String baseSeam)
        implements BagForm {

    @Override
    public Map<FormMeasure, String> measures() {
        Map<FormMeasure, String> measures = new EnumMap<>(FormMeasure.class);
        measures.put(FormMeasure.SIDE, sideSeam);
        measures.put(FormMeasure.TOP, topSeam);
        measures.put(FormMeasure.BASE, baseSeam);
        return measures;
    }

    @Override
    public Finished finish(Sewn sewn) {
        Figure<Quantity> diameter = RoundBases.diameter(sewn.width(), sewn.get(FormMeasure.SIDE));
        return Finished.of(
                diameter,
                Boxing.finishedHeight(
                        BaseEdge.SEAM,
                        sewn.height(),
                        sewn.get(FormMeasure.TOP),
                        sewn.get(FormMeasure.BASE),
                        Sewn.NOTHING),
                diameter);
    }
}
