package mardun.app.sale;

/** What became of bags that came back from their buyer. */
public enum CameBack {
    INTO_STOCK("into stock"),
    SECONDS("among the seconds"),
    SCRAPPED("scrapped"),
    /** The buyer has them again. */
    MENDED("mended and given back");

    private final String words;

    CameBack(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
