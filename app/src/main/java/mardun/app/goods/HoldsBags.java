package mardun.app.goods;

import java.util.Set;
import mardun.app.id.BatchId;

/** An area whose bags at some places are for somebody: nobody packs them for a fair, and no plan counts on them. */
public interface HoldsBags {

    /** The places where bags are held now. */
    Set<String> heldPlaces();

    /** Open batches whose bags are for somebody. */
    default Set<BatchId> promisedBatches() {
        return Set.of();
    }
}
