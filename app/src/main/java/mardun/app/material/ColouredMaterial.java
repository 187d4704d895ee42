package mardun.app.material;

import mardun.app.id.MaterialId;
import mardun.core.material.MaterialKind;

/** What a material is called and looks like, without what is there of it. */
public record ColouredMaterial(MaterialId id, MaterialKind kind, String name, String colour, boolean putAway) {}
