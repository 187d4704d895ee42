package mardun.core.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.SideEdge;
import mardun.core.design.BoxedBag;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.Panel;
import mardun.core.design.Role;
import mardun.core.design.Wished;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;

/**
 * A pouch with two zips across its front: the upper one opens the pouch, the lower one a pocket before the layer behind the
 * zips. The front is sewn together from three strips and the zips between them.
 */
record TwoZipPouch() implements Recipe {

    private static final String WIDTH = "panel_width(width; depth; seam)";
    private static final String HEIGHT = "panel_height(height; depth; seam; seam)";

    @Override
    public List<Asked> measures() {
        return List.of(
                new Asked("width", "Width at the base", "9 in", "23 cm"),
                new Asked("height", "Height", "7 in", "18 cm"),
                new Asked("depth", "Depth", "1 1/2 in", "4 cm"));
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        return new Offers()
                .of(Option.CUT_OUT_FIRST, Option.CUT_OUT_AFTER, Option.LINE_ACROSS, Option.SNIPPED)
                .zipEnds()
                .of(Option.LINED, Option.LINED_TIGHTER)
                .of(Option.FUSED, Option.SOFT, Option.FUSED_TO_EDGE)
                .loop()
                .of(Option.FRONT_LABEL, Option.SEAM_LABEL, Option.NO_LABEL)
                .all();
    }

    /** The back is the one piece that says what the pouch measures. */
    @Override
    public List<Instead> paper(Draft draft) {
        List<Instead> paper = new ArrayList<>(new Body(draft, true, Body.Rim.OPEN, List.of()).paper());
        paper.set(
                0,
                new Instead("cut_width", "Back, cut width", WIDTH, "width", "finished_width(cut_width; seam; depth)"));
        paper.set(
                1,
                new Instead(
                        "cut_height",
                        "Back, cut height",
                        HEIGHT,
                        "height",
                        "finished_height(cut_height; seam; seam; depth)"));
        return paper;
    }

    @Override
    public List<Instead> table(Draft draft) {
        return new Body(draft, true, Body.Rim.OPEN, List.of()).table();
    }

    @Override
    public void fill(Draft draft) {
        draft.finished("strip", "Strip above the upper zip", "1 in", "2.5 cm");
        draft.finished("between", "Between the zips", "2 1/2 in", "6 cm");
        ZipEnds.shows(draft);
        draft.cloth(Draft.OUTER, "Outer cloth", ClothKind.QUILTING_COTTON, ClothKind.LINEN);
        draft.cloth("accent", "Accent cloth", ClothKind.QUILTING_COTTON, ClothKind.LINEN);
        draft.cloth(Draft.LINING, "Lining cloth", ClothKind.QUILTING_COTTON);
        pieces(draft);
        draft.form(
                new BoxedBag(
                        Body.school(draft),
                        BaseEdge.SEAM,
                        Optional.of("P"),
                        Optional.of("F"),
                        "depth",
                        Draft.SEAM,
                        Draft.SEAM,
                        Draft.SEAM,
                        draft.has(Option.SNIPPED) ? "depth / 2" : Draft.SEAM,
                        "",
                        "",
                        Optional.of("B"),
                        SideEdge.SEAMS),
                new Wished("width", "height"));
        ZipEnds.add(draft, "Z", "Upper zip", WIDTH, Draft.SEAM);
        ZipEnds.add(draft, "Y", "Lower zip", WIDTH, Draft.SEAM);
        steps(draft);
    }

    private static void pieces(Draft draft) {
        strip(draft, "A", "Strip above", Role.OUTER, Draft.OUTER, "strip + 2 * seam");
        strip(draft, "M", "Middle", Role.ACCENT, "accent", "between + 2 * seam");
        strip(
                        draft,
                        "N",
                        "Lower front",
                        Role.OUTER,
                        Draft.OUTER,
                        HEIGHT + " - (strip + 2 * seam) - (between + 2 * seam) - 2 * shows + 4 * seam")
                .boxed(true)
                .upright();
        strip(draft, "B", "Back", Role.OUTER, Draft.OUTER, HEIGHT).boxed(true).upright();
        strip(draft, "E", "Layer behind the zips", Role.LINING, Draft.LINING, HEIGHT)
                .boxed(true);
        Draft.Cut lining = draft.piece("F", "Lining", Role.LINING, Draft.LINING, 2, WIDTH, HEIGHT)
                .edges("seam", "seam", "seam", "seam")
                .boxed(true);
        draft.follows("gap", "Turning gap", Measurement.Kind.ALLOWANCE, draft.whole("width * 2 / 3"));
        lining.marked(Mark.at(Mark.Kind.GAP, "turning gap", Mark.From.RAW, "(piece_width - gap) / 2", "piece_height")
                .sized("gap", ""));
        if (draft.has(Option.LINED_TIGHTER)) {
            Body.tighter(draft);
        }
        draft.panel(new Panel(
                "P",
                "Front with two zips",
                Panel.Direction.DOWN,
                List.of(
                        new Panel.Part("A", ""),
                        new Panel.Part("Z", "shows"),
                        new Panel.Part("M", ""),
                        new Panel.Part("Y", "shows"),
                        new Panel.Part("N", "")),
                Draft.SEAM,
                Optional.empty(),
                List.of()));
    }

    private static Draft.Cut strip(Draft draft, String letter, String name, Role role, String slot, String height) {
        return draft.piece(letter, name, role, slot, 1, WIDTH, height).edges("seam", "seam", "seam", "seam");
    }

    private static void steps(Draft draft) {
        draft.cutting().takes(5, 18).check("Print upright on front and back.");
        Stiffening.back(draft, "B", 1, WIDTH, HEIGHT);
        ZipEnds.ready(draft, 2, "Z", "Y");
        draft.sewn("zip", "Sew the front together with its zips", Seam.AT_ZIP)
                .takes(10, 5)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Sliders face down on the right side.")
                .after("tabs", "zips", "cut")
                .uses("A", 1, Side.BOTTOM)
                .uses("M", 1, Side.TOP, Side.BOTTOM)
                .uses("N", 1, Side.TOP)
                .uses("Z")
                .uses("Y")
                .gate("Sliders face down on the right side");
        draft.sewn("behind", "Baste the layer behind", Seam.PLAIN)
                .takes(2, 2)
                .check("Flat, not tight.")
                .after("zip")
                .uses("P")
                .uses("E");
        Labels.label(draft, "N", "F");
        Labels.loop(draft, "B");
        Draft.Sewing round = draft.sewn("round", "Sew round outer and lining", Seam.PLAIN)
                .takes(6, 3)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Turning gap left in the lining; backstitched at the gap.")
                .after("behind", "stiffen", "label", "loop", "cut")
                .uses("B", 1, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .uses("N", 1, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .uses("E", 1, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .uses("F", 2, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .gate("Upper zip is open");
        if (draft.has(Option.FUSED_TO_EDGE)) {
            round.uses(Stiffening.LETTER);
        }
        draft.sewn("box", "Box the corners", Seam.PLAIN)
                .takes(4, 0)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("All layers caught, no hole at the corner.")
                .after("round")
                .uses("B", 2)
                .uses("F", 2);
        draft.sewn("close", "Turn and close the gap", Seam.PLAIN)
                .takes(2, 1)
                .check("Corners pushed out before the gap is closed.")
                .after("box")
                .uses("F", 2, Side.BOTTOM);
        Packing.pack(draft, "Both zips run freely; no iron on the zip tape.");
    }
}
