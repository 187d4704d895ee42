package mardun.app.design;

import java.util.Optional;
import mardun.app.id.DesignId;

/** An area whose things refer to designs, so that none is removed under them. */
public interface UsesDesigns {

    /** What uses a design, in words such as {@code Batch 7}; empty if nothing does. */
    Optional<String> useOfDesign(DesignId designId);
}
