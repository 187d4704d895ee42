package mardun.core.kind;

import java.util.List;
import mardun.core.construction.StrapSchool;
import mardun.core.design.Role;
import mardun.core.design.Strap;
import mardun.core.material.Ware;

/** A maker's label, and a loop to hang the bag by. */
final class Labels {

    private static final String LOOP = "L";

    private Labels() {}

    static List<Option> all() {
        return List.of(Option.FRONT_LABEL, Option.SEAM_LABEL, Option.INSIDE_LABEL, Option.NO_LABEL);
    }

    /** A label on the outer, in its side seam or on what is inside. */
    static void label(Draft draft, String outer, String inside) {
        if (!draft.asks(Choice.LABEL) || draft.has(Option.NO_LABEL)) {
            return;
        }
        draft.ware("label", "Label", Ware.LABEL);
        draft.notion("Label", "label", 1);
        boolean isInside = draft.has(Option.INSIDE_LABEL);
        String name = draft.has(Option.FRONT_LABEL)
                ? "Sew label to the front"
                : isInside ? "Sew label to the lining" : "Fold the label, baste it to the side";
        draft.sewn("label", name, isInside ? Seam.PLAIN : draft.seamOfOuter())
                .takes(draft.has(Option.SEAM_LABEL) ? 0.5 : 0.75, 2)
                .check("Straight, print upright, clear of the corner.")
                .after("stiffen", "cut")
                .uses(isInside ? inside : outer);
    }

    /** A loop of the outer's cloth in the side seam. */
    static void loop(Draft draft, String outer) {
        draft.about(Choice.LOOP, () -> sideLoop(draft, outer));
    }

    private static void sideLoop(Draft draft, String outer) {
        if (!draft.asks(Choice.LOOP) || draft.has(Option.NO_LOOP)) {
            return;
        }
        draft.finished("loop", "Loop, width", "1/2 in", "1.5 cm");
        draft.finished("loopLong", "Loop, length of the strip", "4 in", "10 cm");
        draft.piece(LOOP, "Loop, folded in four", Role.STRAP, Draft.OUTER, 1, "strap_four_fold(loop)", "loopLong");
        draft.strap(new Strap(LOOP, StrapSchool.FOUR_FOLD, "loop", "", "", "", "", "", List.of()));
        draft.sewn("loop", "Fold the loop, baste it to the side", Seam.STRONG)
                .takes(1.5, 3)
                .check("Loop inwards, ends beyond the edge.")
                .after("stiffen", "cut")
                .uses(LOOP, 4)
                .uses(outer);
    }
}
