package mardun.core.kind;

import java.util.List;
import java.util.Map;
import mardun.core.design.TrimNeed;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;
import mardun.core.material.Ware;

/** A bag whose rim stays open or is held by a fastener: a tote, a slouch bag, a basket, a sleeve, a case. */
enum OpenBag implements Recipe {
    FLAT_TOTE(
            false,
            List.of(ClothKind.CANVAS, ClothKind.LINEN),
            new Asked("width", "Width", "14 in", "36 cm"),
            new Asked("height", "Height", "15 in", "38 cm")),
    BOXED_TOTE(
            true,
            List.of(ClothKind.CANVAS, ClothKind.LINEN),
            new Asked("width", "Width at the base", "12 in", "30 cm"),
            new Asked("height", "Height", "13 in", "33 cm"),
            new Asked("depth", "Depth", "4 in", "10 cm")),
    SLOUCH_BAG(
            true,
            List.of(ClothKind.LINEN, ClothKind.CANVAS),
            new Asked("width", "Width at the base", "14 in", "36 cm"),
            new Asked("height", "Height at the sides", "14 in", "36 cm"),
            new Asked("depth", "Depth", "3 in", "8 cm")),
    BASKET(
            true,
            List.of(ClothKind.CANVAS, ClothKind.LINEN),
            new Asked("width", "Width at the base", "8 in", "20 cm"),
            new Asked("height", "Height", "7 in", "18 cm"),
            new Asked("depth", "Depth", "5 in", "13 cm")),
    SLEEVE(
            false,
            List.of(ClothKind.QUILTING_COTTON, ClothKind.LINEN),
            new Asked("width", "Width inside", "10 in", "26 cm"),
            new Asked("height", "Height inside", "8 in", "20 cm")),
    CASE(
            false,
            List.of(ClothKind.QUILTING_COTTON, ClothKind.LINEN),
            new Asked("width", "Width", "4 in", "10 cm"),
            new Asked("height", "Height", "7 in", "18 cm"));

    private final boolean isBoxed;
    private final List<ClothKind> cloths;
    private final List<Asked> measures;

    OpenBag(boolean isBoxed, List<ClothKind> cloths, Asked... measures) {
        this.isBoxed = isBoxed;
        this.cloths = cloths;
        this.measures = List.of(measures);
    }

    @Override
    public List<Asked> measures() {
        return measures;
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        return switch (this) {
            case FLAT_TOTE, BOXED_TOTE -> totes();
            case SLOUCH_BAG ->
                new Offers()
                        .of(Option.V_TOP, Option.STRAIGHT_TOP)
                        .corners()
                        .of(Option.LINED, Option.LINED_TIGHTER)
                        .of(Option.SOFT, Option.FUSED, Option.FUSED_TO_EDGE, Option.BASTED)
                        .pocket()
                        .of(Option.OPEN, Option.SNAP, Option.MAGNET)
                        .of(Carrying.straps())
                        .label()
                        .all();
            case BASKET ->
                new Offers()
                        .of(
                                Option.BOXED_AS_ONE,
                                Option.CUT_OUT_FIRST,
                                Option.CUT_OUT_AFTER,
                                Option.LINE_ACROSS,
                                Option.SNIPPED)
                        .of(Option.ROLLED_RIM, Option.LINED)
                        .stiffening(Option.FOAM)
                        .of(
                                Option.NO_HANDLE,
                                Option.FOUR_FOLD_HANDLES,
                                Option.CENTRED_HANDLES,
                                Option.TUBE_HANDLES,
                                Option.WEBBING_HANDLES)
                        .of(Option.TWO_HANDLES, Option.ONE_HANDLE)
                        .of(Option.FRONT_LABEL, Option.NO_LABEL)
                        .all();
            case SLEEVE ->
                new Offers()
                        .base()
                        .of(Option.LINED, Option.LINED_TIGHTER)
                        .of(Option.BASTED, Option.QUILTED, Option.FUSED, Option.FOAM)
                        .of(Option.OPEN, Option.SNAP, Option.MAGNET)
                        .loop()
                        .label()
                        .all();
            case CASE ->
                new Offers()
                        .base()
                        .of(Option.LINED, Option.LINED_TIGHTER)
                        .of(Option.QUILTED, Option.BASTED, Option.FUSED, Option.FOAM)
                        .of(Option.SNAP, Option.MAGNET, Option.OPEN)
                        .loop()
                        .label()
                        .all();
        };
    }

    private Map<Choice, List<Option>> totes() {
        Offers offers = new Offers();
        if (isBoxed) {
            offers.corners();
        }
        return offers.base()
                .of(Option.LINED, Option.LINED_TIGHTER, Option.UNLINED)
                .stiffening(Option.SOFT)
                .pocket()
                .of(Option.OPEN, Option.SNAP, Option.MAGNET)
                .handles()
                .loop()
                .label()
                .all();
    }

    private Body body(Draft draft) {
        return new Body(draft, isBoxed, Body.Rim.OPEN, cloths);
    }

    @Override
    public List<Instead> paper(Draft draft) {
        return body(draft).paper();
    }

    @Override
    public List<Instead> table(Draft draft) {
        return body(draft).table();
    }

    @Override
    public void fill(Draft draft) {
        Body body = body(draft);
        if (body.isLined()) {
            draft.allowance("top", "Seam at the rim", "3/8 in", "1 cm");
        } else {
            draft.allowance("top", "Hem at the rim, turned twice", "1 1/2 in", "4 cm");
        }
        if (draft.has(Option.ROLLED_RIM)) {
            draft.about(Choice.LINING, () -> draft.finished("band", "Band of the rolled rim", "1 in", "2.5 cm"));
        }
        body.add();
        if (draft.has(Option.V_TOP)) {
            body.vTop();
        }
        Seam seam = draft.seamOfOuter();
        draft.cutting().takes(body.isLined() ? 4 : 2.5, 15).check("Print upright on front and back.");
        Stiffening.back(draft, Body.OUTER, body.panels(), body.width(), body.height());
        if (draft.has(Option.V_TOP) && draft.hasPiece(Stiffening.LETTER)) {
            body.vTopOf(Stiffening.LETTER);
        }
        Labels.label(draft, Body.OUTER, Body.LINING);
        Labels.loop(draft, Body.OUTER);
        InsidePocket.add(draft, Body.LINING);
        Fastening.atRim(draft, body);
        Carrying.handles(
                draft,
                Body.OUTER,
                body.acrossTop(),
                this == BASKET ? "10 in" : "24 in",
                this == BASKET ? "26 cm" : "60 cm");
        Carrying.strap(draft, Body.OUTER, "44 in", "112 cm");
        if (!body.isLined()) {
            body.sewRim(seam);
        }
        body.sewRound(seam);
        if (this == BASKET) {
            stiffenedRim(draft, body);
        } else if (body.isLined()) {
            body.sewRim(seam);
        }
        body.turn();
        Packing.pack(draft, "Threads cut, nothing puckered.");
    }

    private static void stiffenedRim(Draft draft, Body body) {
        draft.allowance("rimEase", "Ease of the stiffener", "1/4 in", "6 mm");
        draft.allowance("rimOverlap", "Overlap of its ends", "3/4 in", "2 cm");
        draft.ware("stiffener", "Rim stiffener", Ware.STIFFENER);
        draft.trim(
                "R",
                "Rim stiffener",
                TrimNeed.Kind.STIFFENER,
                "stiffener",
                1,
                "rim_stiffener(2 * (" + body.acrossTop() + "); rimEase; rimOverlap)");
        draft.sewn(
                        "rim",
                        draft.has(Option.ROLLED_RIM)
                                ? "Set in the stiffener, roll the lining over the rim, stitch"
                                : "Join at the rim, turn, set in the stiffener, stitch",
                        Seam.TOPSTITCH)
                .takes(8, 4)
                .check("Band as wide all round, ends of the stiffener overlapping at a side.")
                .after("box", "round")
                .uses(Body.OUTER, 1, Side.TOP)
                .uses(Body.LINING, 2, Side.TOP)
                .uses("R");
    }
}
