package mardun.core.design;

/** A part of a bag as a maker speaks of it; all that is cut, bought or measured for it belongs together. */
public enum BagPart {
    BODY("Body"),
    LINING("Lining"),
    STIFFENING("Stiffening"),
    POCKETS("Pockets"),
    ZIP("Zip"),
    CLOSING("Closing"),
    STRAPS("Straps and handles"),
    FILLING("Filling"),
    LABEL("Label");

    private final String words;

    BagPart(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
