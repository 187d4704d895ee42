package mardun.core.kind;

import java.util.List;
import mardun.core.construction.ZipSchool;
import mardun.core.design.Gather;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.TrimNeed;
import mardun.core.design.ZipFit;
import mardun.core.material.Ware;

/** A pocket on the lining, in the upper part of a face, clear of boxed corners. */
final class InsidePocket {

    static final String LETTER = "P";
    private static final String ZIP = "Y";

    private InsidePocket() {}

    static List<Option> all() {
        return List.of(
                Option.NO_POCKET, Option.SLIP_POCKET, Option.FOLDED_POCKET, Option.ELASTIC_POCKET, Option.ZIP_POCKET);
    }

    /**
     * Adds it, if one is chosen.
     *
     * @param on the letter of the lining's piece, as wide as {@code width} at its base
     */
    static void add(Draft draft, String on) {
        draft.about(Choice.POCKET, () -> pocket(draft, on));
    }

    private static void pocket(Draft draft, String on) {
        if (!draft.asks(Choice.POCKET) || draft.has(Option.NO_POCKET)) {
            return;
        }
        draft.measure("pocketWide", "Pocket, finished width", Measurement.Kind.FINISHED, draft.whole("width * 2 / 3"));
        draft.measure(
                "pocketHigh", "Pocket, finished height", Measurement.Kind.FINISHED, draft.whole("height * 2 / 5"));
        draft.piece(on)
                .marked(Mark.at(
                                Mark.Kind.POCKET,
                                "pocket",
                                Mark.From.RAW,
                                "(piece_width - pocketWide) / 2",
                                "top + height / 4")
                        .sized("pocketWide", "pocketHigh"));
        if (draft.has(Option.SLIP_POCKET)) {
            slip(draft, on);
        } else if (draft.has(Option.FOLDED_POCKET)) {
            folded(draft, on, "pocketWide + 2 * seam", "Fold and sew on the pocket", 4);
        } else if (draft.has(Option.ELASTIC_POCKET)) {
            elastic(draft, on);
        } else {
            zipped(draft, on);
        }
    }

    private static void slip(Draft draft, String on) {
        draft.allowance("hem", "Hem of the pocket", "1 in", "2.5 cm");
        draft.measure("parts", "Compartments", Measurement.Kind.COUNT, "2");
        draft.piece(
                        LETTER,
                        "Pocket",
                        Role.POCKET,
                        Draft.LINING,
                        1,
                        "pocketWide + 2 * seam",
                        "pocket_hemmed(pocketHigh; hem; seam)")
                .marked(Mark.at(
                        Mark.Kind.NOTCH,
                        "first compartment",
                        Mark.From.RAW,
                        "seam + pocket_division(pocketWide; parts)",
                        "piece_height"));
        draft.sewn("pocket", "Hem, divide and sew on the pocket", Seam.PLAIN)
                .takes(5, 4)
                .check("Clear of the corners; compartments even, backstitched at the lip.")
                .after("cut")
                .uses(LETTER, 2)
                .uses(on);
    }

    private static void folded(Draft draft, String on, String width, String step, double minutes) {
        draft.piece(LETTER, "Pocket, double", Role.POCKET, Draft.LINING, 1, width, "pocket_folded(pocketHigh; seam)")
                .foldLine("lip");
        draft.sewn("pocket", step, Seam.PLAIN)
                .takes(minutes, 3)
                .check("Clear of the corners; backstitched at the lip.")
                .after("elastic", "cut")
                .uses(LETTER, 2)
                .uses(on);
    }

    private static void elastic(Draft draft, String on) {
        draft.measure("ratio", "Gather ratio", Measurement.Kind.FACTOR, "1.4");
        draft.allowance("caught", "Elastic caught at each end", "3/8 in", "1 cm");
        draft.ware("elastic", "Elastic", Ware.ELASTIC);
        draft.trim("E", "Elastic", TrimNeed.Kind.ELASTIC, "elastic", 1, "elastic_length(pocketWide; caught)");
        draft.sewn("elastic", "Casing and elastic in the pocket", Seam.PLAIN)
                .takes(4, 3)
                .check("Gathers even.")
                .after("cut")
                .uses(LETTER, 2)
                .uses("E");
        folded(draft, on, "gathered_width(pocketWide; ratio; seam)", "Sew on the pocket", 4);
        draft.gather(new Gather(LETTER, "E", "", "caught"));
    }

    private static void zipped(Draft draft, String on) {
        draft.ware("zip", "Zip tape", Ware.ZIP_TAPE);
        draft.ware("slider", "Slider", Ware.SLIDER);
        draft.notion("Slider of the pocket", "slider", 1);
        String slider = draft.usual("3/4 in", "2 cm");
        draft.trim(ZIP, "Zip of the pocket", TrimNeed.Kind.ZIP, "zip", 1, "zip_full_length(pocketWide)");
        draft.zip(new ZipFit(ZIP, ZipSchool.FULL_LENGTH, "pocketWide", "", "", "", "", "", slider));
        draft.piece(
                LETTER,
                "Pocket behind the zip",
                Role.POCKET,
                Draft.LINING,
                2,
                "pocketWide + 2 * seam",
                "pocketHigh + 2 * seam");
        draft.sewn("pocket", "Face the opening, sew zip and pocket in", Seam.AT_ZIP)
                .takes(9, 5)
                .check("Corners of the opening snipped to the stitching, zip flat.")
                .after("cut")
                .uses(LETTER, 2)
                .uses(ZIP)
                .uses(on)
                .gate("Pocket bag marked on the wrong side, opening drawn");
    }
}
