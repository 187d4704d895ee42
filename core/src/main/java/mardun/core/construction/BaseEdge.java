package mardun.core.construction;

/** How front and back are joined at the base: two panels with a seam, or one piece with a fold. */
public enum BaseEdge {
    SEAM,
    FOLD
}
