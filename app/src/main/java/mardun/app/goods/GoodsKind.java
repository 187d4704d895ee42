package mardun.app.goods;

/** Why finished bags came to a place or left it. */
public enum GoodsKind {
    MADE("made"),
    MOVED("moved"),
    GIVEN_AWAY("given away"),
    SAMPLE("kept as a sample"),
    WRITTEN_OFF("written off"),
    COUNTED("counted"),
    SOLD("sold"),
    TAKEN_BACK("sale taken back"),
    STOLEN("stolen"),
    ENTERED("entered from a list"),
    BECAME_SECONDS("found to be seconds");

    private final String words;

    GoodsKind(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** What is written off or found to be seconds, and a count that differs from the book, say why. */
    boolean needsReason() {
        return this == WRITTEN_OFF || this == COUNTED || this == BECAME_SECONDS;
    }
}
