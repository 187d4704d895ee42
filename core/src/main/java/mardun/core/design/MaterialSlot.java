package mardun.core.design;

import java.util.List;
import java.util.Optional;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Ware;

/**
 * What a design asks for, to be filled from the shelf.
 *
 * @param cloths the kinds of cloth that serve, the usual one first; empty for anything else, or where any serves
 * @param ware what a notion has to be; empty where that wasn't said
 */
public record MaterialSlot(String key, String label, MaterialKind kind, List<ClothKind> cloths, Optional<Ware> ware) {

    /** One that doesn't say what its notion is. */
    public MaterialSlot(String key, String label, MaterialKind kind, List<ClothKind> cloths) {
        this(key, label, kind, cloths, Optional.empty());
    }

    public MaterialSlot {
        cloths = List.copyOf(cloths);
    }
}
