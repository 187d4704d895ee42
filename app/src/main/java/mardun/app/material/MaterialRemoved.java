package mardun.app.material;

/** A material that was never used was removed: what belonged to it alone goes too, in the same transaction. */
public record MaterialRemoved(long materialId) {}
