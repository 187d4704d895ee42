package mardun.app.material;

import java.util.Optional;
import mardun.app.id.MaterialId;

/** An area whose things refer to materials, so that none is removed under them. */
public interface UsesMaterials {

    /** What uses a material, in words such as {@code the design “Heron”}; empty if nothing does. */
    Optional<String> useOfMaterial(MaterialId materialId);
}
