package mardun.app.batch;

import mardun.app.goods.GoodsViews.Choice;
import mardun.app.goods.GoodsViews.Made;
import mardun.app.goods.GoodsViews.NewGoods;
import mardun.app.goods.Quality;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;

/** What a line of a batch gives to the shelf of finished bags. */
final class LineGoods {

    private LineGoods() {}

    /**
     * Bags of a line, or kits of its pieces, which belong to no batch.
     *
     * @param costMinor what all of them cost together
     * @param priceMinor for what one is sold
     */
    static NewGoods of(
            Planned planned, PlannedLine line, Quality quality, int units, long costMinor, long priceMinor, Made made) {
        OuterCloth cloth = OuterCloth.of(planned, line);
        boolean isKit = quality == Quality.KIT;
        return new NewGoods(
                isKit ? null : planned.batchId(),
                isKit ? null : line.number(),
                line.chosen().designId(),
                line.design().name(),
                line.chosen().sizeKey(),
                line.sizeName(),
                Choice.of(line.chosen().picks().values(), line.picked()),
                cloth.materialId().orElse(null),
                cloth.name(),
                quality,
                units,
                costMinor,
                priceMinor,
                made);
    }
}
