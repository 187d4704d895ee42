package mardun.app.selling;

/** What happens at a stall. */
public enum StallEventKind {
    /** Bags were sold at once to one buyer. */
    SOLD,
    /** What was told before didn't happen, or was put right. */
    UNDONE,
    GIVEN_AWAY,
    BROKEN,
    STOLEN,
    /** A bag is put aside for somebody who will come again. */
    PROMISED,
    /** It isn't put aside any more. */
    RELEASED
}
