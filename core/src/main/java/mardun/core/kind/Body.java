package mardun.core.kind;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.construction.SideEdge;
import mardun.core.design.BoxedBag;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.Shape;
import mardun.core.design.Wished;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;

/**
 * Front, back and lining of a bag with boxed corners or of a flat one, with a seam or a fold at its base.
 *
 * @param isBoxed it has a depth
 * @param rim what its top is
 * @param cloths what the outer is usually made of
 */
record Body(Draft draft, boolean isBoxed, Rim rim, List<ClothKind> cloths) {

    static final String OUTER = "A";
    static final String LINING = "B";

    private static final Map<Option, BoxingSchool> SCHOOLS = new EnumMap<>(Map.of(
            Option.CUT_OUT_FIRST, BoxingSchool.CUT_BEFORE_SEWING,
            Option.CUT_OUT_AFTER, BoxingSchool.CUT_AFTER_SEWING,
            Option.LINE_ACROSS, BoxingSchool.LINE_ACROSS,
            Option.SNIPPED, BoxingSchool.SNIPPED,
            Option.BOXED_AS_ONE, BoxingSchool.BOXED_AS_ONE));

    /** What becomes of the top edge. */
    enum Rim {
        /** A zip closes it. */
        ZIPPED,
        /** Outer and lining are joined there, or a hem is turned. */
        OPEN,
        /** A cord is drawn through below it. */
        CASED
    }

    boolean isLined() {
        return !draft.has(Option.UNLINED);
    }

    boolean isFolded() {
        return draft.has(Option.BASE_FOLD);
    }

    /** How many are cut: a front and a back, or one for both. */
    int panels() {
        return isFolded() ? 1 : 2;
    }

    private String depth() {
        return isBoxed ? "depth" : draft.usual("0 in", "0 cm");
    }

    String width() {
        return "panel_width(width; " + depth() + "; seam)";
    }

    /** As high as a face is finished, without what a zip or a rolled rim adds. */
    private String face() {
        if (rim == Rim.ZIPPED) {
            return "below_zip(height; shows)";
        }
        return draft.has(Option.ROLLED_RIM) ? "below_rolled_rim(height; band)" : "height";
    }

    String height() {
        return isFolded()
                ? "folded_length(" + face() + "; " + depth() + "; top)"
                : "panel_height(" + face() + "; " + depth() + "; top; seam)";
    }

    /** The opened width of the top. */
    String acrossTop() {
        return isBoxed ? "width + depth" : "width";
    }

    /** What a paper says of a panel. */
    List<Instead> paper() {
        List<Instead> paper = new ArrayList<>();
        paper.add(new Instead(
                "cut_width", "Panel, cut width", width(), "width", "finished_width(cut_width; seam; " + depth() + ")"));
        String below = isFolded()
                ? "folded_height(cut_height; top; " + depth() + ")"
                : "finished_height(cut_height; top; seam; " + depth() + ")";
        String finished = below;
        if (rim == Rim.ZIPPED) {
            finished = "with_zip(" + below + "; shows)";
        } else if (draft.has(Option.ROLLED_RIM)) {
            finished = "with_rolled_rim(" + below + "; band)";
        }
        paper.add(new Instead(
                "cut_height",
                isFolded() ? "Piece, cut length from rim to rim" : "Panel, cut height",
                height(),
                "height",
                finished));
        if (isBoxed) {
            paper.add(corner());
        }
        return paper;
    }

    /** A boxed base can't be measured once it stands; laid flat, the top can. */
    List<Instead> table() {
        return isBoxed
                ? List.of(
                        new Instead("across", "Across the top, laid flat", "width + depth", "width", "across - depth"))
                : List.of();
    }

    /** The corner, as its school measures it. */
    private Instead corner() {
        return switch (school()) {
            case CUT_BEFORE_SEWING, BOXED_AS_ONE ->
                new Instead(
                        "corner",
                        "Cut-out at the corner, from the raw side edge",
                        "cut_before(depth; seam; seam)",
                        "depth",
                        "depth_cut_before(corner; seam; seam)");
            case CUT_AFTER_SEWING ->
                new Instead(
                        "corner",
                        "Cut-out at the corner, from the stitching",
                        "cut_after(depth; seam)",
                        "depth",
                        "depth_cut_after(corner; seam)");
            case LINE_ACROSS ->
                new Instead(
                        "corner",
                        "Line across the corner, from its point",
                        "line_across(depth)",
                        "depth",
                        "depth_line_across(corner)");
            case SNIPPED ->
                new Instead(
                        "corner", "Seam of the snipped corner", "snip_seam(depth)", "depth", "depth_snip_seam(corner)");
        };
    }

    private BoxingSchool school() {
        return school(draft);
    }

    /** The school of the corners that was chosen; where none is asked for, cut out first. */
    static BoxingSchool school(Draft draft) {
        return SCHOOLS.entrySet().stream()
                .filter(entry -> draft.has(entry.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(BoxingSchool.CUT_BEFORE_SEWING);
    }

    /** Outer, lining and how they come together. */
    void add() {
        draft.cloth(Draft.OUTER, "Outer cloth", cloths.toArray(ClothKind[]::new));
        Draft.Cut outer = draft.piece(
                        OUTER,
                        isFolded() ? "Outer, one piece" : "Outer panel",
                        Role.OUTER,
                        Draft.OUTER,
                        panels(),
                        width(),
                        height())
                .edges("top", "seam", isFolded() ? "top" : "seam", "seam")
                .boxed(isBoxed);
        if (isFolded()) {
            outer.foldLine("base fold");
        } else {
            outer.upright();
        }
        if (isLined()) {
            lining();
        }
        String boxing = draft.has(Option.SNIPPED) ? "depth / 2" : Draft.SEAM;
        draft.form(
                new BoxedBag(
                        school(),
                        isFolded() ? BaseEdge.FOLD : BaseEdge.SEAM,
                        Optional.of(OUTER),
                        isLined() ? Optional.of(LINING) : Optional.empty(),
                        isBoxed ? "depth" : "",
                        Draft.SEAM,
                        "top",
                        isFolded() ? "" : Draft.SEAM,
                        isBoxed ? boxing : "",
                        rim == Rim.ZIPPED ? "shows" : "",
                        draft.has(Option.ROLLED_RIM) ? "band" : "",
                        Optional.empty(),
                        SideEdge.SEAMS),
                new Wished("width", "height"));
    }

    private void lining() {
        draft.cloth(Draft.LINING, "Lining cloth", ClothKind.QUILTING_COTTON);
        String height = draft.has(Option.ROLLED_RIM) ? "lining_rolled(" + height() + "; band)" : height();
        Draft.Cut lining = draft.piece(
                        LINING,
                        isFolded() ? "Lining, one piece" : "Lining panel",
                        Role.LINING,
                        Draft.LINING,
                        panels(),
                        width(),
                        height)
                .edges("top", "seam", isFolded() ? "top" : "seam", "seam")
                .boxed(isBoxed);
        if (isFolded()) {
            lining.foldLine("base fold");
        }
        if (draft.has(Option.LINED_TIGHTER)) {
            tighter(draft);
        }
        turningGap(lining);
    }

    /** The lining's seams are sewn a little wider than the outer's. */
    static void tighter(Draft draft) {
        draft.about(
                Choice.LINING,
                () -> draft.measure(
                        "liningSeam",
                        "Seam of the lining",
                        Measurement.Kind.ALLOWANCE,
                        "seam + " + draft.usual("1/8 in", "3 mm")));
        draft.liningSeam("liningSeam");
    }

    /**
     * Where the bag is turned through: the base of the lining, or its side where the base is a fold. A stiff bag is folded once
     * when it is turned, so half of it goes through.
     */
    private void turningGap(Draft.Cut lining) {
        String half = "(" + acrossTop() + ") / 2";
        String left = draft.usual("0 in", "0 cm");
        if (isFolded()) {
            draft.follows(
                    "gap", "Turning gap", Measurement.Kind.ALLOWANCE, draft.whole("max(height / 2; " + half + ")"));
            lining.marked(Mark.at(Mark.Kind.GAP, "turning gap", Mark.From.RAW, left, "(piece_height / 2 - gap) / 2")
                    .sized("", "gap"));
        } else {
            draft.follows(
                    "gap", "Turning gap", Measurement.Kind.ALLOWANCE, draft.whole("max(width * 2 / 3; " + half + ")"));
            lining.marked(
                    Mark.at(Mark.Kind.GAP, "turning gap", Mark.From.RAW, "(piece_width - gap) / 2", "piece_height")
                            .sized("gap", ""));
        }
    }

    /** A V cut out of the middle of the top of outer and lining. */
    void vTop() {
        draft.about(Choice.TOP, () -> {
            draft.finished("vWide", "V, width at the rim", "6 in", "15 cm");
            draft.finished("vDeep", "V, finished depth", "3 in", "8 cm");
        });
        vTopOf(OUTER);
        if (isLined()) {
            vTopOf(LINING);
        }
    }

    /** The same V in another piece of the face. */
    void vTopOf(String letter) {
        draft.piece(letter)
                .shaped(
                        Shape.Kind.NOTCHED,
                        Shape.Place.TOP,
                        "vWide",
                        "notch_cut_depth(vDeep; top; notch_angle(vWide; vDeep))");
    }

    /** Sides, base and corners, up to where the bag is turned. */
    void sewRound(Seam seam) {
        List<Side> sides = isFolded() ? List.of(Side.LEFT, Side.RIGHT) : List.of(Side.LEFT, Side.RIGHT, Side.BOTTOM);
        Side[] along = sides.toArray(Side[]::new);
        String what = isFolded() ? "Sew the sides" : "Sew sides and base";
        Draft.Sewing round = draft.sewn("round", isLined() ? what + " of outer and lining" : what, seam)
                .takes(isLined() ? 3.5 : 2, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .after("topstitch", "hem", "handles", "strap", "loop", "label", "closing", "pocket", "stiffen", "cut")
                .uses(OUTER, 2, along);
        if (isLined()) {
            round.uses(LINING, 2, along).check("Turning gap left in the lining; backstitched at the gap.");
        }
        if (draft.hasAny(Option.FUSED_TO_EDGE, Option.BASTED, Option.QUILTED)) {
            round.uses(Stiffening.LETTER, 2);
        }
        if (rim == Rim.ZIPPED) {
            round.gate("Zip is open");
        }
        if (!isLined()) {
            draft.sewn("overlock", "Overlock the seams", Seam.OVERLOCKED)
                    .takes(2, 4)
                    .check("Seam allowance whole, corners not cut into.")
                    .after("round")
                    .uses(OUTER, 2, along);
        }
        if (isBoxed) {
            box(seam);
        }
    }

    private void box(Seam seam) {
        String name = switch (school()) {
            case CUT_BEFORE_SEWING -> "Box the corners";
            case CUT_AFTER_SEWING -> "Cut the corners out, box them";
            case LINE_ACROSS -> "Line across the corners, sew, trim";
            case SNIPPED -> "Snip to the stitching, sew the corners straight";
            case BOXED_AS_ONE -> "Box outer and lining in one seam";
        };
        Draft.Sewing box = draft.sewn("box", name, seam)
                .takes(isLined() ? 2.5 : 1.5, 0)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("All layers caught, no hole at the corner.")
                .after("round", "overlock")
                .uses(OUTER, 2)
                .tells("Lay side seam on base" + (isFolded() ? " fold" : " seam") + ", pull flat");
        if (isLined()) {
            box.uses(LINING, 2);
        }
    }

    /** Turned through the gap, and the gap closed. */
    void turn() {
        if (isLined()) {
            draft.sewn("close", "Turn and close the gap", Seam.PLAIN)
                    .takes(2, 1)
                    .check("Corners pushed out before the gap is closed.")
                    .after("rim", "box", "round")
                    .uses(LINING, 2, isFolded() ? Side.LEFT : Side.BOTTOM)
                    .gate("Corners pushed out, nothing left inside")
                    .tells("Fold the gap in, clip, sew close to the edge");
        }
    }

    /** An open rim: outer and lining joined, or a hem. */
    void sewRim(Seam seam) {
        if (isLined()) {
            draft.sewn("rim", "Join at the rim, turn, topstitch", Seam.TOPSTITCH)
                    .takes(5, 4)
                    .lies(Lay.RIGHT_SIDES_TOGETHER)
                    .check("Side seams of outer and lining matched.")
                    .after("box", "round")
                    .uses(OUTER, 2, Side.TOP)
                    .uses(LINING, 2, Side.TOP)
                    .gate("Outer inside the lining, right sides together");
        } else {
            draft.sewn("hem", "Turn and sew the hem at the rim", seam)
                    .takes(3, 3)
                    .check("Hem as wide all round.")
                    .after("label", "handles", "cut")
                    .uses(OUTER, 3, Side.TOP);
        }
    }
}
