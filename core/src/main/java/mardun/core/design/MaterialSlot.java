package mardun.core.design;

import java.util.List;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;

/**
 * What a design asks for, to be filled from the shelf.
 *
 * @param cloths the kinds of cloth that serve, the usual one first; empty for anything else, or where any serves
 */
public record MaterialSlot(String key, String label, MaterialKind kind, List<ClothKind> cloths) {

    public MaterialSlot {
        cloths = List.copyOf(cloths);
    }
}
