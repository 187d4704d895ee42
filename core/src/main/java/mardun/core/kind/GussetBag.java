package mardun.core.kind;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.GussetedBag;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.Shape;
import mardun.core.design.Wished;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;

/** Two faces and a strip between them: a shoulder bag with a flap, or an open box. */
enum GussetBag implements Recipe {
    FLAP_BAG(
            new Asked("width", "Width", "10 in", "25 cm"),
            new Asked("height", "Height", "8 in", "20 cm"),
            new Asked("depth", "Depth", "2 1/2 in", "6 cm")),
    BOX(
            new Asked("width", "Width", "10 in", "25 cm"),
            new Asked("height", "Height", "6 in", "15 cm"),
            new Asked("depth", "Depth", "6 in", "15 cm"));

    private static final String FACE = "gusset_face(width; seam)";
    private static final String FACE_HIGH = "gusset_height(height; top; seam)";
    private static final String STRIP = "gusset_width(depth; seam)";
    private static final String STRIP_LONG = "gusset_length(width; height; radius; top)";

    private final List<Asked> measures;

    GussetBag(Asked... measures) {
        this.measures = List.of(measures);
    }

    @Override
    public List<Asked> measures() {
        return measures;
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        Offers offers = new Offers();
        if (this == FLAP_BAG) {
            offers.of(Option.ROUND_FLAP, Option.STRAIGHT_FLAP, Option.SLANTED_FLAP)
                    .of(Option.MAGNET, Option.SNAP, Option.LOCK)
                    .of(Carrying.straps());
        } else {
            offers.of(
                    Option.NO_HANDLE,
                    Option.FOUR_FOLD_HANDLES,
                    Option.CENTRED_HANDLES,
                    Option.TUBE_HANDLES,
                    Option.WEBBING_HANDLES);
        }
        return offers.of(Option.FUSED, Option.SOFT, Option.FUSED_TO_EDGE, Option.BASTED, Option.FOAM)
                .pocket()
                .of(Option.FRONT_LABEL, Option.INSIDE_LABEL, Option.NO_LABEL)
                .all();
    }

    @Override
    public List<Instead> paper(Draft draft) {
        return List.of(
                new Instead("cut_width", "Face, cut width", FACE, "width", "gusset_face_finished(cut_width; seam)"),
                new Instead(
                        "cut_height",
                        "Face, cut height",
                        FACE_HIGH,
                        "height",
                        "gusset_height_finished(cut_height; top; seam)"),
                new Instead(
                        "strip", "Strip between the faces, cut width", STRIP, "depth", "depth_of_gusset(strip; seam)"));
    }

    @Override
    public void fill(Draft draft) {
        draft.allowance("top", "Seam at the rim", "3/8 in", "1 cm");
        draft.finished("radius", "Radius of the bottom corners", "1 in", "2.5 cm");
        draft.cloth(Draft.OUTER, "Outer cloth", ClothKind.CANVAS, ClothKind.LINEN, ClothKind.QUILTING_COTTON);
        draft.cloth(Draft.LINING, "Lining cloth", ClothKind.QUILTING_COTTON);
        face(draft, "A", "Face", Role.OUTER, Draft.OUTER).upright();
        face(draft, "B", "Lining face", Role.LINING, Draft.LINING);
        strip(draft, "M", "Gusset", Role.OUTER, Draft.OUTER);
        Draft.Cut lining = strip(draft, "N", "Lining gusset", Role.LINING, Draft.LINING);
        draft.follows("gap", "Turning gap", Measurement.Kind.ALLOWANCE, draft.whole("max(width / 2; height * 2 / 3)"));
        lining.marked(Mark.at(
                        Mark.Kind.GAP,
                        "turning gap",
                        Mark.From.RAW,
                        draft.usual("0 in", "0 cm"),
                        "(piece_height - gap) / 2")
                .sized("", "gap"));
        draft.form(
                new GussetedBag(Optional.of("A"), Optional.of("B"), "M", Draft.SEAM, "top", "top", "radius"),
                new Wished("width", "height"));
        draft.cutting().takes(6, 18).check("Print upright on front and back.");
        Stiffening.back(draft, "A", 2, FACE, FACE_HIGH);
        if (draft.hasPiece(Stiffening.LETTER)) {
            rounded(draft.piece(Stiffening.LETTER));
        }
        InsidePocket.add(draft, "B");
        if (this == FLAP_BAG) {
            flap(draft);
        }
        Labels.label(draft, "A", "B");
        Carrying.handles(draft, "A", "width", "10 in", "26 cm");
        Carrying.strap(draft, "M", "46 in", "117 cm");
        steps(draft);
    }

    private static Draft.Cut face(Draft draft, String letter, String name, Role role, String slot) {
        return rounded(draft.piece(letter, name, role, slot, 2, FACE, FACE_HIGH).edges("top", "seam", "seam", "seam"));
    }

    private static Draft.Cut rounded(Draft.Cut cut) {
        return cut.shaped(Shape.Kind.ROUNDED, Shape.Place.BOTTOM, "radius + seam", "");
    }

    private static Draft.Cut strip(Draft draft, String letter, String name, Role role, String slot) {
        return draft.piece(letter, name, role, slot, 1, STRIP, STRIP_LONG).edges("top", "seam", "top", "seam");
    }

    private static void flap(Draft draft) {
        draft.about(
                Choice.FLAP,
                () -> draft.measure(
                        "flap", "Flap, finished length", Measurement.Kind.FINISHED, draft.whole("height * 3 / 5")));
        Flaps.shape(draft, flapPiece(draft, "F", "Flap", Role.OUTER, Draft.OUTER));
        Flaps.shape(draft, flapPiece(draft, "V", "Lining of the flap", Role.LINING, Draft.LINING));
        draft.about(
                Choice.CLOSING, () -> draft.allowance("snapIn", "Fastener from the flap's edge", "1 1/4 in", "3 cm"));
        Fastening.onFlap(draft, "A", "top + flap - snapIn", "V", "seam + flap - snapIn");
        draft.sewn("flap", "Sew the flap, turn, topstitch, baste to the back", Seam.STRONG)
                .takes(6, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Curve clipped; middle of the flap on the middle of the back.")
                .after("closing", "stiffen", "cut")
                .uses("F", 1, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .uses("V", 1, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .uses("A", 1, Side.TOP);
    }

    private static Draft.Cut flapPiece(Draft draft, String letter, String name, Role role, String slot) {
        return draft.piece(letter, name, role, slot, 1, "width + 2 * seam", "flap + 2 * seam")
                .edges("seam", "seam", "seam", "seam");
    }

    private static void steps(Draft draft) {
        Draft.Sewing outer = draft.sewn("round", "Sew the gusset to both faces", Seam.STRONG)
                .takes(12, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Middles matched, curve notched.")
                .after("flap", "handles", "strap", "label", "closing", "stiffen", "cut")
                .uses("A", 1, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .uses("M", 1, Side.LEFT, Side.RIGHT);
        if (draft.hasAny(Option.FUSED_TO_EDGE, Option.BASTED)) {
            outer.uses(Stiffening.LETTER);
        }
        draft.sewn("lining", "Sew the lining's gusset to its faces", Seam.PLAIN)
                .takes(8, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Turning gap left.")
                .after("pocket", "closing", "label", "cut")
                .uses("B", 1, Side.LEFT, Side.RIGHT, Side.BOTTOM)
                .uses("N", 1, Side.LEFT, Side.RIGHT);
        draft.sewn("rim", "Join at the rim, turn, topstitch", Seam.TOPSTITCH)
                .takes(7, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Seams of outer and lining matched.")
                .after("round", "lining")
                .uses("A", 1, Side.TOP)
                .uses("B", 1, Side.TOP);
        draft.sewn("close", "Close the gap", Seam.PLAIN)
                .takes(2, 1)
                .after("rim")
                .uses("N", 2, Side.LEFT);
        Packing.pack(draft, "Threads cut, nothing puckered.");
    }
}
