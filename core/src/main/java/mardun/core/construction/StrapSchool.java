package mardun.core.construction;

/** The ways in which a strap gets its finished width. */
public enum StrapSchool {
    FOUR_FOLD("folded in four"),
    TUBE("sewn as a tube and turned"),
    EDGES_TO_CENTRE("edges folded to the centre"),
    ONE_LAYER("one layer of a thick cloth"),
    FACED("faced from two strips"),
    WEBBING("webbing, as it is");

    private final String words;

    StrapSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
