package mardun.app.material;

import java.util.List;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.material.MaterialKind;
import org.springframework.stereotype.Component;

/** All materials in their order, read once until one of them changes: after some years there are thousands, and nearly every screen asks. */
@Component
class MaterialList {

    private static final String TABLE = "material";

    private final MaterialRepository materials;
    private final Remembered<String, List<Material>> remembered;

    MaterialList(MaterialRepository materials, Changes changes) {
        this.materials = materials;
        remembered = new Remembered<>(changes, TABLE);
    }

    /** By kind and name; to be looked at and not to be changed. */
    List<Material> all() {
        return remembered.get(TABLE, all -> materials.findAllByOrderByKindAscNameAsc());
    }

    List<Material> ofKind(MaterialKind kind) {
        return all().stream().filter(one -> one.kind() == kind).toList();
    }

    /** What every material is called and looks like. */
    List<ColouredMaterial> coloured() {
        return all().stream()
                .map(one -> new ColouredMaterial(one.id(), one.kind(), one.name(), one.colour(), one.isPutAway()))
                .toList();
    }
}
