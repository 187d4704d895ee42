package mardun.core.making;

/** The place in the workroom where a step is done. */
public enum Station {
    CUTTING_TABLE("cutting table"),
    PRESS("press"),
    MACHINE("machine"),
    WORK_TABLE("work table");

    private final String words;

    Station(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
