package mardun.core.making;

/** What kind of work it is; each may be paid otherwise. What is done in making bags is of the kind of the place where it is done. */
public enum WorkKind {
    SEWING("sewing"),
    CUTTING("cutting"),
    PRESSING("pressing"),
    HANDWORK("work by hand"),
    /** Of a sale, for whoever buys; no step of a design is of this kind. */
    PACKING("packing"),
    /** Photographing and listing what is sold; no step of a design is of this kind. */
    LISTING("photographing and listing");

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
