package mardun.core.material;

/** Whether an amount is a length in nanometres or a number of pieces. */
public enum Counting {
    LENGTH,
    PIECES
}
