package mardun.core.measure;

import java.math.RoundingMode;

/**
 * Which way a length goes when it is shown or ends a formula. A piece a hair too big is trimmed, one too small is lost:
 * outlines go up; cut-outs, insets, interfacing and stiffeners go down; placements and all else to the nearest.
 */
public enum ShownRounding {
    UP(RoundingMode.CEILING, "rounded up"),
    DOWN(RoundingMode.FLOOR, "rounded down"),
    NEAREST(RoundingMode.HALF_UP, "rounded to the nearest");

    private final RoundingMode mode;
    private final String words;

    ShownRounding(RoundingMode mode, String words) {
        this.mode = mode;
        this.words = words;
    }

    public RoundingMode mode() {
        return mode;
    }

    public String words() {
        return words;
    }
}
