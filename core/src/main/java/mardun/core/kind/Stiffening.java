package mardun.core.kind;

import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.material.ClothKind;

/** What gives an outer its stand: fused inside the seams, to the edge, basted, foam, or quilted over size. */
final class Stiffening {

    static final String LETTER = "C";

    private Stiffening() {}

    /**
     * Backs a piece that the draft has.
     *
     * @param count how many of it are cut
     */
    static void back(Draft draft, String letter, int count, String width, String height) {
        draft.about(Choice.STIFFENING, () -> stiffen(draft, letter, count, width, height));
    }

    private static void stiffen(Draft draft, String letter, int count, String width, String height) {
        if (draft.has(Option.FUSED)) {
            draft.cloth("interfacing", "Interfacing", ClothKind.FUSIBLE);
            inset(draft, "Interfacing inset");
            draft.piece(
                            LETTER,
                            "Interfacing",
                            Role.INTERFACING,
                            "interfacing",
                            count,
                            "interfacing(" + width + "; inset)",
                            "interfacing(" + height + "; inset)")
                    .backing(letter);
            fuse(draft, letter, "Glue side down, inside the seam lines.");
        } else if (draft.has(Option.FUSED_TO_EDGE)) {
            draft.cloth("interfacing", "Interfacing", ClothKind.FUSIBLE);
            draft.piece(LETTER, "Interfacing", Role.INTERFACING, "interfacing", count, whole(width), whole(height))
                    .backing(letter);
            fuse(draft, letter, "Glue side down, edge on edge.");
        } else if (draft.has(Option.BASTED)) {
            draft.cloth("batting", "Batting or fleece", ClothKind.BATTING);
            draft.piece(LETTER, "Fleece, basted in", Role.INTERFACING, "batting", count, whole(width), whole(height))
                    .backing(letter);
            draft.sewn("stiffen", "Baste fleece to the outer", Seam.THICK)
                    .takes(3, 3)
                    .check("Basted inside the seam line, flat.")
                    .after("cut")
                    .uses(letter)
                    .uses(LETTER);
        } else if (draft.has(Option.FOAM)) {
            draft.cloth("foam", "Foam", ClothKind.FOAM);
            inset(draft, "Foam inset");
            draft.piece(
                            LETTER,
                            "Foam",
                            Role.INTERFACING,
                            "foam",
                            count,
                            "interfacing(" + width + "; inset)",
                            "interfacing(" + height + "; inset)")
                    .backing(letter);
            draft.sewn("stiffen", "Baste foam to the outer", Seam.THICK)
                    .takes(4, 5)
                    .check("Foam out of the seams.")
                    .after("cut")
                    .uses(letter)
                    .uses(LETTER);
        } else if (draft.has(Option.QUILTED)) {
            quilt(draft, letter, count, width, height);
        }
    }

    /** Quilting draws cloth in: outer and batting are cut over size and trimmed together. */
    private static void quilt(Draft draft, String letter, int count, String width, String height) {
        draft.cloth("batting", "Batting", ClothKind.BATTING);
        draft.allowance("over_size", "Cut over size for quilting", "1 in", "2.5 cm");
        draft.piece(letter).enlarged("over_size").trimmedTo(width, height);
        draft.piece(
                        LETTER,
                        "Batting, quilted",
                        Role.INTERFACING,
                        "batting",
                        count,
                        whole(width + " + over_size"),
                        whole(height + " + over_size"))
                .backing(letter)
                .trimmedTo(width, height);
        draft.sewn("stiffen", "Quilt the outer to the batting, trim", Seam.THICK)
                .takes(9, 5)
                .check("Trimmed to size after quilting, square corners.")
                .after("cut")
                .uses(letter)
                .uses(LETTER)
                .tells("Quilt from the middle outwards");
    }

    private static String whole(String size) {
        return "interfacing_basted(" + size + ")";
    }

    private static void inset(Draft draft, String label) {
        draft.measure("inset", label, Measurement.Kind.ALLOWANCE, Draft.SEAM);
    }

    private static void fuse(Draft draft, String letter, String check) {
        draft.atPress("stiffen", "Fuse interfacing to the outer")
                .takes(2, 6)
                .rests(5)
                .check(check)
                .after("cut")
                .uses(letter)
                .uses(LETTER)
                .tells("Press and hold, lift, move on");
    }
}
