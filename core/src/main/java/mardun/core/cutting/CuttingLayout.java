package mardun.core.cutting;

import java.util.List;
import java.util.Optional;
import mardun.core.measure.Length;

/**
 * Where each piece of a job lies: on offcuts and precuts, and on the bolt.
 *
 * @param cloths the cloths that are cut into, offcuts and precuts first; at most one of them is the bolt
 */
public record CuttingLayout(List<ClothLayout> cloths) {

    public CuttingLayout {
        cloths = List.copyOf(cloths);
    }

    public Optional<ClothLayout> bolt() {
        return cloths.stream().filter(ClothLayout::isBolt).findFirst();
    }

    /** The length of the bolt that is used, after its end is squared; zero if it isn't cut into. */
    public Length boltLength() {
        return bolt().map(ClothLayout::length).orElse(Length.ZERO);
    }
}
