package mardun.core.kind;

import java.util.Locale;
import mardun.core.construction.ZipSchool;
import mardun.core.design.Role;
import mardun.core.design.TrimNeed;
import mardun.core.design.ZipFit;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.Ware;

/** A zip along an edge: how long it is, and what its ends are made of. */
final class ZipEnds {

    static final String TAB = "D";

    private ZipEnds() {}

    /** What shows of a zip, teeth and a little tape. */
    static String shows(Draft draft) {
        return draft.allowance("shows", "Zip that shows", "3/8 in", "1 cm");
    }

    /**
     * A zip with its slider and its ends.
     *
     * @param edge formula of the edge that it is sewn to
     * @param side the symbol of the seam at the edge's ends
     */
    static void add(Draft draft, String letter, String name, String edge, String side) {
        draft.about(Choice.ZIP_ENDS, () -> oneZip(draft, letter, name, edge, side));
    }

    private static void oneZip(Draft draft, String letter, String name, String edge, String side) {
        draft.ware("zip", "Zip tape", Ware.ZIP_TAPE);
        draft.ware("slider", "Slider", Ware.SLIDER);
        draft.notion(name.equals("Zip") ? "Slider" : "Slider, " + name.toLowerCase(Locale.ROOT), "slider", 1);
        String slider = draft.usual("3/4 in", "2 cm");
        if (draft.hasAny(Option.FOLDED_TABS, Option.TUBE_TABS)) {
            draft.allowance("clearance", "Zip end to side seam", "1/8 in", "4 mm");
            trim(draft, letter, name, "zip_inset(" + edge + "; " + side + "; clearance)");
            draft.zip(new ZipFit(
                    letter, ZipSchool.INSET, edge, side, "clearance", "", "", draft.usual("3/8 in", "1 cm"), slider));
        } else if (draft.has(Option.TABS_TO_EDGE)) {
            draft.allowance("tab", "End tab, folded", "1 in", "2.5 cm");
            draft.allowance("over", "Tab covers the zip by", "1/4 in", "6 mm");
            trim(draft, letter, name, "zip_tabs_to_edge(" + edge + "; tab; over)");
            draft.zip(new ZipFit(letter, ZipSchool.TABS_TO_EDGE, edge, "", "", "tab", "over", "over", slider));
        } else {
            trim(draft, letter, name, "zip_full_length(" + edge + ")");
            draft.zip(new ZipFit(letter, ZipSchool.FULL_LENGTH, edge, "", "", "", "", side, slider));
        }
    }

    /** The tabs of all zips that have any, and the steps that make zips ready. */
    static void ready(Draft draft, int zips, String... letters) {
        draft.about(Choice.ZIP_ENDS, () -> makeReady(draft, zips, letters));
    }

    private static void makeReady(Draft draft, int zips, String... letters) {
        Draft.Sewing cut = draft.atTable(
                        "zips", zips == 1 ? "Cut zips, put sliders on" : "Cut zips, put sliders on all")
                .takes(zips, 3)
                .check(zips == 1 ? "All zips open the same way." : "Both zips of a bag open the same way.")
                .after("cut")
                .gate("Slider on, teeth together")
                .tells("Cut straight across the tape");
        for (String letter : letters) {
            cut.uses(letter);
        }
        if (draft.has(Option.CAUGHT)) {
            return;
        }
        draft.allowance("tape", "Zip tape width", "1 1/4 in", "3.2 cm");
        boolean tube = draft.has(Option.TUBE_TABS);
        if (tube) {
            draft.finished("tab", "End tab that shows", "5/8 in", "1.5 cm");
            draft.allowance("turn", "Turned in at the tab's end", "1/4 in", "7 mm");
        } else if (draft.has(Option.FOLDED_TABS)) {
            draft.allowance("tab", "End tab, unfolded", "3 in", "7.6 cm");
        }
        String width = tube ? "tab_tube_width(tape; turn)" : "tab_folded_width(tape)";
        String height = tube
                ? "tab_tube_length(tab; turn; turn)"
                : draft.has(Option.TABS_TO_EDGE) ? "tab_folded_length(tab)" : "tab";
        draft.piece(TAB, tube ? "End tab, tube" : "End tab", Role.TAB, Draft.OUTER, 2 * zips, width, height);
        Draft.Sewing tabs = draft.sewn(
                        "tabs", tube ? "Sew tubes, slip over the zip ends" : "Sew end tabs to the zips", Seam.PLAIN)
                .takes((tube ? 2.5 : 1.5) * zips, 5)
                .check("Slider inside both tabs.")
                .after("zips")
                .uses(TAB, 4)
                .gate("Slider inside both marks")
                .tells(
                        tube
                                ? "Slip the tube over the zip end, sew across"
                                : "Fold the tab over the zip end, sew across");
        for (String letter : letters) {
            tabs.uses(letter);
        }
    }

    /** A zip that closes the top of outer and lining. */
    static void sewIn(Draft draft, Body body) {
        Draft.Sewing zip = draft.sewn(
                        "zip", body.isLined() ? "Sew zip to outer and lining" : "Sew zip to the outer", Seam.AT_ZIP)
                .takes(body.isLined() ? 4 : 3, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Slider face down on the right side; all layers caught along the zip.")
                .after("tabs", "zips", "label", "pocket", "stiffen", "loop", "cut")
                .uses(Body.OUTER, 1, Side.TOP)
                .uses("Z")
                .gate("Slider face down on the right side")
                .tells("Sew to the slider; needle down, foot up, slider past, go on");
        Draft.Sewing topstitch = draft.sewn("topstitch", "Topstitch along the zip", Seam.TOPSTITCH_AT_ZIP)
                .takes(1.5, 4)
                .lies(Lay.RIGHT_SIDE_UP)
                .check("Seam pressed away from the teeth, without touching the tape.")
                .after("zip")
                .uses(Body.OUTER, 2, Side.TOP)
                .uses("Z");
        if (body.isLined()) {
            zip.uses(Body.LINING, 1, Side.TOP);
            topstitch.uses(Body.LINING, 2, Side.TOP);
        }
    }

    private static void trim(Draft draft, String letter, String name, String length) {
        draft.trim(letter, name, TrimNeed.Kind.ZIP, "zip", 1, length);
    }
}
