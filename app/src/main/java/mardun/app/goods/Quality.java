package mardun.app.goods;

/** As what bags are sold. */
public enum Quality {
    GOOD(""),
    /** Not quite as they should be, and sold as such. */
    SECOND("second"),
    /** Not sewn: cut pieces with what goes along and their pattern sheet, for buyers who sew. */
    KIT("kit");

    private final String words;

    Quality(String words) {
        this.words = words;
    }

    /** As it is said of one; empty for one that is as it should be. */
    public String words() {
        return words;
    }
}
