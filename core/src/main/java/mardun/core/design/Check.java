package mardun.core.design;

/** What a careful maker looks at before cloth is cut. */
public enum Check {
    PIECE_UNUSED("A piece that no step uses"),
    ZIP_FIT("Zip and seam"),
    OPENING("Opening for a hand"),
    INTERFACING_SIZE("Interfacing and its piece"),
    WISHED("What is wished and what comes out"),
    DRAWN_OUTLINE("Outline and its rectangle"),
    PANELS_MATCH("Lining and outer"),
    FACES_MATCH("Front and back"),
    TURNING_GAP("Turning gap"),
    JOIN_MATCH("Parts of a panel"),
    TRIM_TO("Cut and trim to"),
    PRINT_AT_FOLD("One-way print at a fold"),
    MOTIF("Part of the print"),
    CORNER_CUT("Cut-outs at the corners"),
    STRAP_WIDTH("Width of a strap"),
    STRAP_RANGE("Length of a strap"),
    STRAP_RING("Strap and ring"),
    POCKET_CLEAR("Pocket, corners and zips"),
    GATHER("Gathered edge"),
    CASING_HEIGHT("Casing and cord"),
    CASING_GAP("Gap of a casing"),
    HALVES_FACE("Halves of a fastener"),
    GUSSET_LENGTH("Gusset and face"),
    ROUND_BASE("Body and round base"),
    IRON("Iron"),
    NEEDLE("Needle and cloth"),
    BULK("Thickness of a seam"),
    STEP_ORDER("Order of the steps"),
    CHILDREN("For children"),
    LICENCE("Licence"),
    PRICE("Price and cost");

    private final String title;

    Check(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
