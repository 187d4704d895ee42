package mardun.core.material;

/** What an amount is counted in: nanometres, pieces, nanograms or femtolitres. */
public enum Counting {
    LENGTH,
    PIECES,
    WEIGHT,
    VOLUME
}
