package mardun.core.design;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.FoldedSides;

/**
 * A bag from one wrap whose sides are folded in. The wrap's height goes round the bag, its width along it.
 *
 * @param fold how far the sides are folded in
 * @param topSeam at the zip or the rim
 * @param endSeam at both ends
 */
public record FoldedSideBag(
        Optional<String> outer, Optional<String> lining, String fold, String topSeam, String endSeam, String zipShows)
        implements BagForm {

    @Override
    public Map<FormMeasure, String> measures() {
        Map<FormMeasure, String> measures = new EnumMap<>(FormMeasure.class);
        measures.put(FormMeasure.FOLD, fold);
        measures.put(FormMeasure.TOP, topSeam);
        measures.put(FormMeasure.END, endSeam);
        measures.put(FormMeasure.ZIP_SHOWS, zipShows);
        return measures;
    }

    @Override
    public Finished finish(Sewn sewn) {
        return Finished.of(
                FoldedSides.length(sewn.width(), sewn.get(FormMeasure.END)),
                FoldedSides.width(
                        sewn.height(),
                        sewn.get(FormMeasure.FOLD),
                        sewn.get(FormMeasure.TOP),
                        sewn.get(FormMeasure.ZIP_SHOWS)),
                FoldedSides.depth(sewn.get(FormMeasure.FOLD)));
    }
}
