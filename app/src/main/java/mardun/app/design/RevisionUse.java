package mardun.app.design;

import java.util.Map;
import java.util.Optional;
import mardun.app.id.DesignId;
import mardun.core.estimate.MeasuredEach;

/** An area that makes bags from designs, and knows what became of each revision. */
public interface RevisionUse {

    /**
     * What was made with a revision.
     *
     * @param batches how many were planned with it and not given up
     * @param bags that came out, good ones and seconds
     * @param lost that came to nothing
     */
    record Made(int batches, int bags, int lost) {

        static final Made NOTHING = new Made(0, 0, 0);
    }

    /**
     * What was learnt at the bench with a revision.
     *
     * @param each how long one bag took, as it was measured; empty where nothing was timed
     * @param slips with how many bags something went wrong
     * @param reason why, most often; empty where nothing went wrong
     */
    record Learnt(Optional<MeasuredEach> each, int slips, String reason) {

        static final Learnt NOTHING = new Learnt(Optional.empty(), 0, "");
    }

    /** By the numbers of the revisions. */
    Map<Integer, Learnt> learntWith(DesignId designId);

    /** By the numbers of the revisions. */
    Map<Integer, Made> madeWith(DesignId designId);
}
