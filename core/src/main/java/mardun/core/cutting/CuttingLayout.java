package mardun.core.cutting;

import java.math.BigInteger;
import java.util.List;
import mardun.core.measure.Length;

/**
 * Where each piece of a job lies: on offcuts and precuts, and on rolls.
 *
 * @param cloths the cloths that are cut into, offcuts and precuts first
 */
public record CuttingLayout(List<ClothLayout> cloths) {

    public CuttingLayout {
        cloths = List.copyOf(cloths);
    }

    /** What is cut off rolls. */
    public List<ClothLayout> bolts() {
        return cloths.stream().filter(ClothLayout::isBolt).toList();
    }

    /** The length of rolls that is used, after their ends are squared. */
    public Length boltLength() {
        return bolts().stream().map(ClothLayout::length).reduce(Length.ZERO, Length::plus);
    }

    /** What leaves the rolls: what is used of each, and what squares its end. */
    public Length takenOfRolls(Length squaring) {
        return boltLength().plus(squaring.times(bolts().size()));
    }

    /** How many sheets are cut into, of cloth that is bought by the sheet. */
    public long sheets() {
        return cloths.stream().filter(ClothLayout::isOfAnySheet).count();
    }

    /** Its pieces lie on no fewer sheets: their area over that of a sheet, rounded up. */
    public long leastSheets() {
        BigInteger covered = BigInteger.ZERO;
        BigInteger each = BigInteger.ONE;
        for (ClothLayout cloth : cloths) {
            if (cloth.isOfAnySheet()) {
                each = cloth.area().squareNanometres();
                covered = covered.add(cloth.pieces().stream()
                        .map(piece -> piece.area().squareNanometres())
                        .reduce(BigInteger.ZERO, BigInteger::add));
            }
        }
        return covered.add(each).subtract(BigInteger.ONE).divide(each).longValueExact();
    }

    /** No layout of the pieces that lie on the rolls is shorter. */
    public Length leastLength() {
        return bolts().stream().map(ClothLayout::leastLength).reduce(Length.ZERO, Length::plus);
    }
}
