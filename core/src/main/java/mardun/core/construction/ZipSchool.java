package mardun.core.construction;

/** The three ways in which a zip's ends meet the sides. */
public enum ZipSchool {
    INSET("inset with end tabs"),
    TABS_TO_EDGE("tabs to the edge"),
    FULL_LENGTH("full length, ends caught in the seams");

    private final String words;

    ZipSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
