package mardun.core.design;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/** Anything else, from a key fob to a wallet: its finished measures are formulas of its own. */
public record FreeForm(Optional<String> outer, Optional<String> lining, String width, String height, String depth)
        implements BagForm {

    @Override
    public Map<FormMeasure, String> measures() {
        Map<FormMeasure, String> measures = new EnumMap<>(FormMeasure.class);
        measures.put(FormMeasure.WIDTH, width);
        measures.put(FormMeasure.HEIGHT, height);
        measures.put(FormMeasure.DEPTH, depth);
        return measures;
    }

    @Override
    public Finished finish(Sewn sewn) {
        return Finished.of(
                told(sewn.get(FormMeasure.WIDTH)),
                told(sewn.get(FormMeasure.HEIGHT)),
                told(sewn.get(FormMeasure.DEPTH)));
    }

    private static Figure<Quantity> told(Quantity quantity) {
        return new Figure<>(quantity, Working.of("By this design's formula.").gives(Value.of(quantity)));
    }
}
