package mardun.app.selling;

/** The weather of a fair, all its days together. */
public enum Weather {
    DRY,
    MIXED,
    WET
}
