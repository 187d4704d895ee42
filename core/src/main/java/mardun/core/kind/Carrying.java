package mardun.core.kind;

import java.util.List;
import mardun.core.construction.StrapSchool;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.Strap;
import mardun.core.design.TrimNeed;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;
import mardun.core.material.Ware;

/** What a bag is carried by: two handles or one, a long strap, or a loop for the wrist. */
final class Carrying {

    static final String HANDLE = "H";
    static final String STRAP = "S";

    private Carrying() {}

    static List<Option> handles() {
        return List.of(
                Option.FOUR_FOLD_HANDLES,
                Option.CENTRED_HANDLES,
                Option.TUBE_HANDLES,
                Option.WEBBING_HANDLES,
                Option.NO_HANDLE);
    }

    static List<Option> straps() {
        return List.of(Option.FOUR_FOLD_STRAP, Option.FACED_STRAP, Option.ONE_LAYER_STRAP, Option.WEBBING_STRAP);
    }

    /**
     * Handles on an outer, if they are chosen.
     *
     * @param across formula of how wide a face is at the rim
     */
    static void handles(Draft draft, String on, String across, String inch, String metric) {
        draft.about(Choice.HANDLES, () -> sewHandles(draft, on, across, inch, metric));
    }

    private static void sewHandles(Draft draft, String on, String across, String inch, String metric) {
        if (!draft.asks(Choice.HANDLES) || draft.has(Option.NO_HANDLE)) {
            return;
        }
        draft.finished("handle", "Handle, width", "1 in", "2.5 cm");
        draft.finished("handleLong", "Handle, length between its ends", inch, metric);
        boolean isOne = draft.has(Option.ONE_HANDLE);
        int count = isOne ? 1 : 2;
        int layers = 1;
        if (draft.has(Option.WEBBING_HANDLES)) {
            webbing(draft, HANDLE, "Handle, webbing", count, "handleLong", "handle", "", "");
        } else {
            StrapSchool school = draft.has(Option.FOUR_FOLD_HANDLES)
                    ? StrapSchool.FOUR_FOLD
                    : draft.has(Option.TUBE_HANDLES) ? StrapSchool.TUBE : StrapSchool.EDGES_TO_CENTRE;
            layers = strip(draft, HANDLE, "Handle", count, school, "handle", "handleLong + 2 * seam", "", "");
            draft.sewn("strips", isOne ? "Fold and sew the handle" : "Fold and sew the handles", Seam.STRONG)
                    .takes(isOne ? 2.5 : 5, 5)
                    .check("Raw edges inside, topstitched on both sides.")
                    .after("cut")
                    .uses(HANDLE, layers);
        }
        Draft.Sewing sewOn = draft.sewn("handles", isOne ? "Sew the handle on" : "Sew the handles on", Seam.STRONG)
                .takes(isOne ? 2 : 4, 3)
                .after("strips", "stiffen", "label", "cut")
                .uses(HANDLE, layers)
                .uses(on, 1, Side.TOP);
        if (isOne) {
            sewOn.check("Not twisted; each end on the middle of its side.").tells("Pin an end where each side will be");
        } else {
            sewOn.check("Not twisted; ends at the same distance from the middle on both faces.")
                    .tells("Pin each end", "(" + across + ") / 4", "the middle");
        }
    }

    /** A long strap between the sides of a bag, or a loop for the wrist. */
    static void strap(Draft draft, String on, String inch, String metric) {
        draft.about(Choice.STRAP, () -> oneStrap(draft, on, inch, metric));
    }

    private static void oneStrap(Draft draft, String on, String inch, String metric) {
        if (!draft.asks(Choice.STRAP) || draft.has(Option.NO_STRAP)) {
            return;
        }
        if (draft.has(Option.WRIST_STRAP)) {
            draft.finished("strap", "Wrist loop, width", "1/2 in", "1.5 cm");
            draft.finished("strapLong", "Wrist loop, length of the strip", "13 in", "33 cm");
            strip(draft, STRAP, "Wrist loop", 1, StrapSchool.FOUR_FOLD, "strap", "strapLong + 2 * seam", "", "");
            sewOn(draft, on, "Fold the wrist loop, baste it to the side", 3, 4);
            return;
        }
        draft.finished("strap", "Strap, width", "1 1/2 in", "4 cm");
        draft.finished("strapLong", "Strap, length", inch, metric);
        draft.measure(
                "strapShort",
                "Strap, shortest that serves",
                Measurement.Kind.FINISHED,
                "strapLong - " + draft.usual("6 in", "15 cm"));
        draft.measure(
                "strapMost",
                "Strap, longest that serves",
                Measurement.Kind.FINISHED,
                "strapLong + " + draft.usual("6 in", "15 cm"));
        if (draft.has(Option.WEBBING_STRAP)) {
            webbing(draft, STRAP, "Strap, webbing", 1, "strapLong", "strap", "strapShort", "strapMost");
            sewOn(draft, on, "Sew the strap to the sides", 4, 1);
            return;
        }
        StrapSchool school = draft.has(Option.FACED_STRAP)
                ? StrapSchool.FACED
                : draft.has(Option.ONE_LAYER_STRAP) ? StrapSchool.ONE_LAYER : StrapSchool.FOUR_FOLD;
        boolean joined = school != StrapSchool.ONE_LAYER;
        if (joined) {
            draft.allowance("strapCloth", "Usable width of the strap's cloth", "42 in", "107 cm");
            draft.follows(
                    "joins", "Joins in the strap", Measurement.Kind.COUNT, "strap_joins(strapLong; strapCloth; seam)");
        }
        String length = joined ? "strap_joined_length(strapLong; seam; joins)" : "strapLong";
        int layers = strip(draft, STRAP, "Strap", 1, school, "strap", length, "strapShort", "strapMost");
        draft.sewn("strips", joined ? "Join, fold and topstitch the strap" : "Topstitch the strap", Seam.STRONG)
                .takes(joined ? 10 : 4, 5)
                .check("Joins pressed open, none at an end.")
                .after("cut")
                .uses(STRAP, layers);
        sewOn(draft, on, "Sew the strap to the sides", 4, layers);
    }

    private static void sewOn(Draft draft, String on, String name, double minutes, int layers) {
        draft.sewn("strap", name, Seam.STRONG)
                .takes(minutes, 3)
                .check("Not twisted; backstitched across each end.")
                .after("strips", "stiffen", "cut")
                .uses(STRAP, layers)
                .uses(on);
    }

    /** A strip of cloth that becomes a strap; how many layers of it lie under the foot. */
    private static int strip(
            Draft draft,
            String letter,
            String name,
            int count,
            StrapSchool school,
            String width,
            String length,
            String shortest,
            String longest) {
        String slot = school == StrapSchool.ONE_LAYER ? "strap" : Draft.OUTER;
        if (school == StrapSchool.ONE_LAYER) {
            draft.cloth(slot, "Strap cloth", ClothKind.LEATHER_LIKE, ClothKind.CORK);
        }
        String cut = switch (school) {
            case FOUR_FOLD -> "strap_four_fold(" + width + ")";
            case TUBE -> "strap_tube(" + width + "; seam)";
            case EDGES_TO_CENTRE -> "strap_edges_to_centre(" + width + ")";
            case ONE_LAYER -> "strap_one_layer(" + width + ")";
            case FACED -> "strap_faced(" + width + "; seam)";
            case WEBBING -> width;
        };
        boolean needsSeam = school == StrapSchool.TUBE || school == StrapSchool.FACED;
        draft.piece(
                letter,
                name + ", " + school.words(),
                Role.STRAP,
                slot,
                school == StrapSchool.FACED ? 2 * count : count,
                cut,
                length);
        draft.strap(new Strap(
                letter,
                school,
                width,
                needsSeam ? Draft.SEAM : "",
                "",
                shortest,
                longest.isEmpty() ? "" : longest + " + 2 * seam",
                "",
                List.of()));
        return switch (school) {
            case FOUR_FOLD -> 4;
            case ONE_LAYER, WEBBING -> 1;
            case TUBE, EDGES_TO_CENTRE, FACED -> 2;
        };
    }

    private static void webbing(
            Draft draft,
            String letter,
            String name,
            int count,
            String length,
            String width,
            String shortest,
            String longest) {
        draft.allowance("turnUnder", "Webbing turned under at each end", "1 in", "2.5 cm");
        draft.ware("webbing", "Webbing", Ware.WEBBING);
        draft.trim(new TrimNeed(
                letter, name, TrimNeed.Kind.WEBBING, "webbing", String.valueOf(count), length, "turnUnder", "", ""));
        draft.strap(new Strap(
                letter,
                StrapSchool.WEBBING,
                width,
                "",
                "",
                shortest,
                longest.isEmpty() ? "" : longest + " + 2 * turnUnder",
                "",
                List.of()));
    }
}
