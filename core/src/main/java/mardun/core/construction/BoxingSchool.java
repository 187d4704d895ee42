package mardun.core.construction;

/** The five ways of boxing a corner. Mixing up the first two is the commonest cause of bags of the wrong size. */
public enum BoxingSchool {
    CUT_BEFORE_SEWING("cut out before sewing"),
    CUT_AFTER_SEWING("cut out after sewing"),
    LINE_ACROSS("line across the flattened corner, then trimmed"),
    SNIPPED("snipped to the stitching, one straight seam"),
    BOXED_AS_ONE("outer and lining boxed in one seam");

    private final String words;

    BoxingSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether cloth is cut away at the corner before any seam is sewn, so that the cut-out belongs on the cut list. */
    public boolean isCutOut() {
        return this == CUT_BEFORE_SEWING || this == BOXED_AS_ONE;
    }
}
