package mardun.core.cutting;

import java.math.BigInteger;
import java.util.List;
import mardun.core.measure.Area;
import mardun.core.measure.Length;

/**
 * Where each piece lies on one cloth.
 *
 * @param lot the offcut or precut that is cut into; empty for the bolt
 * @param width usable width of the cloth
 * @param length of the bolt that is used after its end is squared, or all of an offcut or precut
 * @param pieces where they lie
 */
public record ClothLayout(String lot, Length width, Length length, List<Placed> pieces) {

    private static final String BOLT = "";

    public ClothLayout {
        pieces = List.copyOf(pieces);
    }

    /** A layout on the bolt. */
    public static ClothLayout onBolt(Length width, Length length, List<Placed> pieces) {
        return new ClothLayout(BOLT, width, length, pieces);
    }

    public boolean isBolt() {
        return lot.equals(BOLT);
    }

    /** No cloth of this width gives these pieces from less: their area over the width, rounded up to the nanometre. */
    public Length leastLength() {
        BigInteger wide = BigInteger.valueOf(width.nanometres());
        BigInteger area =
                pieces.stream().map(piece -> piece.area().squareNanometres()).reduce(BigInteger.ZERO, BigInteger::add);
        return new Length(area.add(wide).subtract(BigInteger.ONE).divide(wide).longValueExact());
    }

    /** The area of the cloth. */
    public Area area() {
        return Area.of(width, length);
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

        public Length right() {
            return x.plus(width);
        }

        public Length top() {
            return y.plus(height);
        }

        Area area() {
            return Area.of(width, height);
        }
    }
}
