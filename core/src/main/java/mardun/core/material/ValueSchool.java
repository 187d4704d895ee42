package mardun.core.material;

/** What material on the shelf is worth: three schools of practice. */
public enum ValueSchool {
    /** The oldest goes first, at what was paid for it. */
    FIRST_IN_FIRST_OUT("first in, first out"),
    /** All that is there is mixed, at the average of what was paid. */
    MOVING_AVERAGE("moving average"),
    /** What it would cost to buy again. */
    REPLACEMENT("what it would cost to buy again");

    private final String words;

    ValueSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
