package mardun.core.design;

/** The seams and measures that a bag is sewn with. */
public enum FormMeasure {
    DEPTH("depth", "finished depth", false),
    SIDE("sideSeam", "side seam", true),
    TOP("topSeam", "top seam", true),
    BASE("baseSeam", "base seam", true),
    BOXING("boxingSeam", "boxing seam", true),
    ZIP_SHOWS("zipShows", "what shows of the zip", false),
    RIM_BAND("rimBand", "band of the rolled rim", false),
    FOLD("fold", "how far the sides are folded in", false),
    END("endSeam", "end seam", true),
    RADIUS("radius", "radius of the corners", false),
    WIDTH("width", "width", false),
    HEIGHT("height", "height", false),
    /** Where the lining's seams are sewn wider than the outer's, so that it sits inside without creases. */
    LINING_SEAM("liningSeam", "seams of the lining, if they are wider", false),
    /** What the finished bag is meant to measure; nothing is sewn with it. */
    WISHED_WIDTH("wishedWidth", "wished width", false),
    WISHED_HEIGHT("wishedHeight", "wished height", false),
    /** What is measured at a boxed corner from its side; worked out from the depth. */
    CUT_FROM_SIDE("cutFromSide", "cut-out from the side", false),
    /** What is measured at a boxed corner from its base; worked out from the depth. */
    CUT_FROM_BASE("cutFromBase", "cut-out from the base", false);

    private final String key;
    private final String label;
    private final boolean seam;

    FormMeasure(String key, String label, boolean seam) {
        this.key = key;
        this.label = label;
        this.seam = seam;
    }

    /** Its name in a design's places: {@code form.sideSeam}. */
    public String key() {
        return key;
    }

    public String label() {
        return label;
    }

    /** Whether it is a seam, which may be sewn wider or narrower than it was planned. */
    public boolean isSeam() {
        return seam;
    }
}
