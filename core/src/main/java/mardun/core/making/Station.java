package mardun.core.making;

/** The kind of place in the workroom where a step is done. */
public enum Station {
    CUTTING_TABLE("cutting table"),
    CUTTING_MACHINE("cutting machine"),
    PRESS("press"),
    MACHINE("machine"),
    OVERLOCKER("overlocker"),
    HAND_PRESS("hand press"),
    WORK_TABLE("work table");

    private final String words;

    Station(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether a machine stands there, of which there may be several. */
    public boolean isMachine() {
        return this != CUTTING_TABLE && this != WORK_TABLE;
    }

    /** Whether it is sewn there. */
    public boolean sews() {
        return this == MACHINE || this == OVERLOCKER;
    }
}
