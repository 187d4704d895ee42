package mardun.core.making;

/** How pieces lie on one another while a step sews them. */
public enum Lay {
    RIGHT_SIDES_TOGETHER("right sides together"),
    WRONG_SIDES_TOGETHER("wrong sides together"),
    RIGHT_SIDE_UP("right side up");

    private final String words;

    Lay(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
