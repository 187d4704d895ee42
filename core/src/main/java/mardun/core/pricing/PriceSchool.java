package mardun.core.pricing;

/** How a maker comes from cost to the amount that is wanted for a unit. */
public enum PriceSchool {
    MATERIALS_AND_LABOUR("materials × factor + labour"),
    MARGIN("full cost and a margin"),
    MARKUP("full cost and a markup");

    private final String words;

    PriceSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
