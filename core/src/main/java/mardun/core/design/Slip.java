package mardun.core.design;

import java.util.function.UnaryOperator;
import mardun.core.measure.Quantity;
import mardun.core.working.Sentence;

/**
 * Something that goes wrong between the plan and the bag, and leaves its mark on the bag's measures.
 *
 * @param family slips of one family exclude one another
 * @param what what happened
 * @param remedy what to do with the rest of the batch
 * @param surprise how seldom it happens: 0 for the commonest, one more for each time it is about three times as rare
 * @param effect what it does to a bag as planned
 */
record Slip(Family family, Sentence what, Sentence remedy, double surprise, UnaryOperator<Trial> effect) {

    /** What a slip happens to. */
    enum Family {
        CORNERS,
        SIDE_SEAM,
        TOP_SEAM,
        BASE_SEAM,
        BOXING_SEAM,
        END_SEAM,
        ALL_SEAMS,
        ZIP,
        FOLD,
        CUTTING
    }

    /** A bag as it may have been made. */
    record Trial(BagForm form, Sewn sewn) {

        Finished finish() {
            return form.finish(sewn);
        }

        Trial with(FormMeasure measure, Quantity value) {
            return new Trial(form, sewn.with(measure, value));
        }
    }
}
