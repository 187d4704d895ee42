package mardun.app.material;

import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;

/** From which stock a material counts as low; absent where the maker didn't say. */
record ReorderPoint(MaterialId id, @Nullable Long lowAtValue, boolean twoPart) {

    ReorderPoint(long id, @Nullable Long lowAtValue, boolean twoPart) {
        this(new MaterialId(id), lowAtValue, twoPart);
    }
}
