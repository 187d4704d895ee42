package mardun.core.measure;

/** What a value in a formula measures; only like things can be added. */
public enum Dimension {
    NUMBER("a number"),
    LENGTH("a length"),
    AREA("an area");

    private final String words;

    Dimension(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
