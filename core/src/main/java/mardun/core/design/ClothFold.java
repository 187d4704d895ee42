package mardun.core.design;

/** Which edge of a piece lies on the fold of the cloth when it is cut; the sizes are those of the opened piece. */
public enum ClothFold {
    NONE,
    SIDE,
    BASE
}
