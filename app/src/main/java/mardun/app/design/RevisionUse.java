package mardun.app.design;

import java.util.Map;
import mardun.app.id.DesignId;

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

    /** By the numbers of the revisions. */
    Map<Integer, Made> madeWith(DesignId designId);
}
