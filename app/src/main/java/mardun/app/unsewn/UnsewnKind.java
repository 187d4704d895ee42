package mardun.app.unsewn;

/** Why cut pieces came onto the shelf or left it. */
public enum UnsewnKind {
    /** A batch doesn't make them. */
    PUT_BY,
    /** Their own batch makes them after all. */
    TAKEN_UP,
    /** Another batch makes them. */
    USED,
    /** They are kits among the finished goods now. */
    BUNDLED,
    THROWN_AWAY,
    /** As it was booked before kits were goods with a price. */
    SOLD_AS_KIT,
    GIVEN_AWAY;

    /** Whether a person books it on the shelf, and not a batch. */
    boolean isByHand() {
        return this == THROWN_AWAY || this == GIVEN_AWAY;
    }
}
