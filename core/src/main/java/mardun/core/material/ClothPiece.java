package mardun.core.material;

import mardun.core.measure.Extent;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A piece of cloth on the shelf in a size of its own: an offcut, or a precut as it was bought.
 *
 * @param key the lot it belongs to
 * @param count how many of this size are free
 * @param minorEach what one is worth, in exact minor units
 */
public record ClothPiece(String key, Extent extent, long count, BigFraction minorEach) {}
