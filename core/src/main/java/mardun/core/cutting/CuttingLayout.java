package mardun.core.cutting;

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

    /** No layout of the pieces that lie on the rolls is shorter. */
    public Length leastLength() {
        return bolts().stream().map(ClothLayout::leastLength).reduce(Length.ZERO, Length::plus);
    }
}
