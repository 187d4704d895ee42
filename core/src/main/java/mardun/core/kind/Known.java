package mardun.core.kind;

/** What a maker knows of a bag that she is to make. */
public enum Known {
    /** What it shall measure once it is finished. */
    FINISHED,
    /** What a paper says to cut; that is kept as it stands, and what the bag measures follows from it. */
    CUT,
    /** A bag lies on the table: it is measured outside, and how it was sewn is guessed. */
    ON_THE_TABLE
}
