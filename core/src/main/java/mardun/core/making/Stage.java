package mardun.core.making;

/** The part of a batch's way in which a step is done. */
public enum Stage {
    CUT,
    SEW,
    FINISH
}
