package mardun.core.kind;

import mardun.core.design.Casing;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;

/** The casing below a rim in which a cord runs, and the gap in the side seam where it comes out. */
final class CordCasing {

    private CordCasing() {}

    /** Its measures: the header above it, the cord, and a height that follows from the cord. */
    static void add(Draft draft) {
        draft.finished("header", "Header above the casing", "1 in", "2.5 cm");
        draft.allowance("cord", "Diameter of the cord", "3/16 in", "5 mm");
        draft.allowance("ease", "Ease in the casing", "1/4 in", "7 mm");
        draft.follows(
                "casing",
                "Height of the casing",
                Measurement.Kind.ALLOWANCE,
                "up_to(casing_round(cord; ease); " + draft.usual("1/8 in", "1 mm") + ")");
        draft.casing(new Casing("Casing", "casing", true, "cord", "ease", "casing", "header + top", "header", "top"));
    }

    /** The gap in the left seam, as high as the casing. */
    static void gap(Draft draft, Draft.Cut outer) {
        outer.marked(
                Mark.at(Mark.Kind.GAP, "gap for the cord", Mark.From.RAW, draft.usual("0 in", "0 cm"), "header + top")
                        .sized("", "casing"));
    }
}
