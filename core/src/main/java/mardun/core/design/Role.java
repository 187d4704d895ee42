package mardun.core.design;

import mardun.core.measure.ShownRounding;

/** What a piece is for. It decides which way a size is rounded, and each role has a hatch of its own in drawings. */
public enum Role {
    OUTER(ShownRounding.UP),
    LINING(ShownRounding.UP),
    INTERFACING(ShownRounding.DOWN),
    POCKET(ShownRounding.UP),
    TAB(ShownRounding.UP),
    STRAP(ShownRounding.UP),
    ACCENT(ShownRounding.UP);

    private final ShownRounding outline;

    Role(ShownRounding outline) {
        this.outline = outline;
    }

    /** An outline goes up, since a piece a hair too big is trimmed; interfacing goes down, to stay out of the seams. */
    public ShownRounding outline() {
        return outline;
    }
}
