package mardun.core.kind;

import mardun.core.design.Measurement;
import mardun.core.design.Shape;

/** The lower edge of a flap. */
final class Flaps {

    private Flaps() {}

    /** Gives a piece the chosen corners at its lower edge. */
    static void shape(Draft draft, Draft.Cut cut) {
        draft.about(Choice.FLAP, () -> corners(draft, cut));
    }

    private static void corners(Draft draft, Draft.Cut cut) {
        if (draft.hasAny(Option.ROUND_FLAP, Option.SLANTED_FLAP)) {
            draft.measure(
                    "flapCorner", "Corners of the flap", Measurement.Kind.FINISHED, draft.usual("1 1/2 in", "4 cm"));
            cut.shaped(
                    draft.has(Option.ROUND_FLAP) ? Shape.Kind.ROUNDED : Shape.Kind.SLANTED,
                    Shape.Place.BOTTOM,
                    "flapCorner + seam",
                    draft.has(Option.ROUND_FLAP) ? "" : "flapCorner + seam");
        }
    }
}
