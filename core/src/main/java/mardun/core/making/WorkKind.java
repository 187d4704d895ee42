package mardun.core.making;

/** What kind of work it is, by the place where it is done; each may be paid otherwise. */
public enum WorkKind {
    SEWING("sewing"),
    CUTTING("cutting"),
    PRESSING("pressing"),
    HANDWORK("work by hand");

    private final String words;

    WorkKind(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The kind of what is done at a place. */
    public static WorkKind at(Station station) {
        return switch (station) {
            case MACHINE, OVERLOCKER -> SEWING;
            case CUTTING_TABLE, CUTTING_MACHINE -> CUTTING;
            case PRESS -> PRESSING;
            case HAND_PRESS, WORK_TABLE -> HANDWORK;
        };
    }
}
