package mardun.core.cutting;

import java.util.List;
import mardun.core.measure.Length;
import mardun.core.working.Figure;

/**
 * How much cloth is needed.
 *
 * @param length along the cloth, over its whole usable width
 * @param strips how it is cut, in order
 */
public record ClothNeed(Figure<Length> length, List<Strip> strips) {

    /**
     * Strips of one height across the cloth, each cut into pieces.
     *
     * @param height of each strip
     * @param rows how many strips
     * @param across how many pieces a full strip gives
     * @param turned the pieces lie across the grain
     */
    public record Strip(CutPiece piece, Length height, long rows, long across, boolean turned) {

        public Length length() {
            return height.times(rows);
        }
    }
}
