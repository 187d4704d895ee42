package mardun.core.cutting;

import java.util.List;
import mardun.core.measure.Length;

/**
 * Where each piece lies on a cloth.
 *
 * @param width usable width of the cloth
 * @param length of the cloth that is used
 * @param leastLength no layout can be shorter: the pieces' area over the width, rounded up
 * @param pieces where they lie, strip after strip
 */
public record ClothLayout(Length width, Length length, Length leastLength, List<Placed> pieces) {

    public ClothLayout {
        pieces = List.copyOf(pieces);
    }

    /**
     * A piece on the cloth.
     *
     * @param letter of its kind
     * @param x from the left edge to its left side
     * @param y from the beginning of the cloth to its lower side
     * @param width as it lies
     * @param height as it lies
     * @param turned it lies across the grain
     */
    public record Placed(String letter, Length x, Length y, Length width, Length height, boolean turned) {

        Length right() {
            return x.plus(width);
        }

        Length top() {
            return y.plus(height);
        }
    }
}
