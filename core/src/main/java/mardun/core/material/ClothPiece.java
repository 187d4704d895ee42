package mardun.core.material;

import mardun.core.measure.Extent;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A piece of cloth on the shelf in a size of its own: an offcut, or a precut as it was bought.
 *
 * @param key the lot it belongs to
 * @param count how many of this size are free
 * @param minorEach what one is worth, in exact minor units
 * @param dye the dyer's mark; empty where it has none
 */
public record ClothPiece(String key, Extent extent, long count, BigFraction minorEach, String dye) {

    /** A piece without a mark. */
    public ClothPiece(String key, Extent extent, long count, BigFraction minorEach) {
        this(key, extent, count, minorEach, "");
    }

    /** Pieces and rolls with the same mark, however it is written, are of one dye; empty where it has none. */
    public String dyeLot() {
        return Roll.dyeLot(dye);
    }
}
