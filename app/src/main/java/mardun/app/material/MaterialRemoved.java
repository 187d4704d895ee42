package mardun.app.material;

import mardun.app.id.MaterialId;

/** A material that was never used was removed: what belonged to it alone goes too, in the same transaction. */
public record MaterialRemoved(MaterialId materialId) {}
