package mardun.core.making;

/** How what is spent once per batch is spread over the lines that share it: making a set-up, threading, clearing up. */
public enum SetUpSpread {
    BY_UNITS("by how many bags of each line"),
    BY_MINUTES("by the minutes that each line takes of the step");

    private final String words;

    SetUpSpread(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
