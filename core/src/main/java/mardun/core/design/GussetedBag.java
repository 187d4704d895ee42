package mardun.core.design;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.Gussets;
import mardun.core.measure.Quantity;

/**
 * Two faces and a strip between them that goes down the sides and along the base.
 *
 * @param outer the letter of a face
 * @param gusset the letter of the strip
 * @param sideSeam between the strip and the faces
 * @param endSeam at the strip's ends
 * @param radius of the faces' bottom corners at the stitch line; empty for square ones
 */
public record GussetedBag(
        Optional<String> outer,
        Optional<String> lining,
        String gusset,
        String sideSeam,
        String topSeam,
        String endSeam,
        String radius)
        implements BagForm {

    @Override
    public Map<FormMeasure, String> measures() {
        Map<FormMeasure, String> measures = new EnumMap<>(FormMeasure.class);
        measures.put(FormMeasure.SIDE, sideSeam);
        measures.put(FormMeasure.TOP, topSeam);
        measures.put(FormMeasure.END, endSeam);
        measures.put(FormMeasure.RADIUS, radius);
        return measures;
    }

    @Override
    public Finished finish(Sewn sewn) {
        Quantity seam = sewn.get(FormMeasure.SIDE);
        Sewn.Sides strip = sewn.other().orElseThrow();
        return Finished.of(
                Gussets.width(sewn.width(), seam),
                Gussets.height(sewn.height(), sewn.get(FormMeasure.TOP), seam),
                Gussets.depth(shorter(strip), seam));
    }

    /** A strip's width is its shorter side, whichever way it is cut. */
    static Quantity shorter(Sewn.Sides strip) {
        return strip.width().compare(strip.height()) <= 0 ? strip.width() : strip.height();
    }

    static Quantity longer(Sewn.Sides strip) {
        return strip.width().compare(strip.height()) > 0 ? strip.width() : strip.height();
    }
}
