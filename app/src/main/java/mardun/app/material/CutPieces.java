package mardun.app.material;

import java.time.Instant;

/** What was cut from materials and lies there, not sewn: it belongs to what the shelf is worth. */
public interface CutPieces {

    /**
     * What was there.
     *
     * @param minor what their cloth cost, in minor units
     */
    record Worth(long pieces, long minor) {}

    /** What was there at a moment. */
    Worth at(Instant until);
}
