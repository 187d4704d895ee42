package mardun.core.pricing;

/** How a maker comes to a price. */
public enum PriceSchool {
    MATERIALS_AND_LABOUR("materials × factor + labour"),
    MARGIN("full cost and a margin"),
    MARKUP("full cost and a markup"),
    HOURLY("so many an hour at the least rate"),
    TRADE("trade price and its multiple"),
    MARKET("what people pay");

    private final String words;

    PriceSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether it follows from what a bag takes; else it is looked up. */
    public boolean followsFromCost() {
        return this != MARKET;
    }
}
