package mardun.core.cutting;

import java.math.BigInteger;
import java.util.List;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * Where each piece lies on one cloth.
 *
 * @param lot the offcut, the precut or the roll that is cut into; empty for whatever roll or sheet there is
 * @param ofRoll it is cut off a roll, as much as is used; else all of an offcut or precut
 * @param width usable width of the cloth
 * @param length of the roll that is used after its end is squared, or all of an offcut or precut
 * @param pieces where they lie
 */
public record ClothLayout(String lot, boolean ofRoll, Length width, Length length, List<Placed> pieces) {

    static final String ANY = "";

    public ClothLayout {
        pieces = List.copyOf(pieces);
    }

    /** A layout on whatever roll there is. */
    public static ClothLayout onBolt(Length width, Length length, List<Placed> pieces) {
        return new ClothLayout(ANY, true, width, length, pieces);
    }

    /** It is cut off a roll. */
    public boolean isBolt() {
        return ofRoll;
    }

    /** All of a sheet, any of those that there are of it. */
    static ClothLayout onSheet(Extent sheet, List<Placed> pieces) {
        return new ClothLayout(ANY, false, sheet.width(), sheet.height(), pieces);
    }

    /** It is a sheet of cloth that is bought by the sheet. */
    public boolean isOfAnySheet() {
        return !ofRoll && lot.equals(ANY);
    }

    /** It is cut off a roll, and nobody said which. */
    public boolean isOfAnyRoll() {
        return ofRoll && lot.equals(ANY);
    }

    /** No cloth of this width gives these pieces from less: their area over the width, rounded up to the nanometre. */
    public Length leastLength() {
        BigInteger wide = BigInteger.valueOf(width.nanometres());
        BigInteger area =
                pieces.stream().map(piece -> piece.area().squareNanometres()).reduce(BigInteger.ZERO, BigInteger::add);
        return new Length(area.add(wide).subtract(BigInteger.ONE).divide(wide).longValueExact());
    }

    Extent extent() {
        return new Extent(width, length);
    }

    /** The area of the cloth. */
    public Area area() {
        return Area.of(width, length);
    }

    /**
     * A piece on the cloth.
     *
     * @param key of its kind
     * @param x from the left edge to its left side
     * @param y from the beginning of the cloth to its lower side
     * @param width as it lies
     * @param height as it lies
     * @param turned it lies across the grain
     * @param paired two of its kind lie here head to tail
     */
    public record Placed(
            PieceKey key, Length x, Length y, Length width, Length height, boolean turned, boolean paired) {

        /** A piece by itself. */
        public Placed(PieceKey key, Length x, Length y, Length width, Length height, boolean turned) {
            this(key, x, y, width, height, turned, false);
        }

        /** The same elsewhere along the cloth. */
        Placed along(Length otherY) {
            return new Placed(key, x, otherY, width, height, turned, paired);
        }

        /** The same, so far to the right and along. */
        Placed moved(Length right, Length along) {
            return new Placed(key, x.plus(right), y.plus(along), width, height, turned, paired);
        }

        /** How many pieces lie here. */
        public long count() {
            return paired ? 2 : 1;
        }

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
