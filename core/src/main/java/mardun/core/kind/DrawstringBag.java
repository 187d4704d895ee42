package mardun.core.kind;

import java.util.List;
import java.util.Map;
import mardun.core.construction.StrapSchool;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.Strap;
import mardun.core.design.TrimNeed;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;
import mardun.core.material.Ware;

/** A bag with a cord in a casing below its rim: flat, boxed, or a backpack whose cords run down to its corners. */
enum DrawstringBag implements Recipe {
    FLAT(false, new Asked("width", "Width", "8 in", "20 cm"), new Asked("height", "Height", "10 in", "25 cm")),
    BOXED(
            true,
            new Asked("width", "Width at the base", "7 in", "18 cm"),
            new Asked("height", "Height", "10 in", "25 cm"),
            new Asked("depth", "Depth", "3 in", "8 cm")),
    BACKPACK(
            true,
            new Asked("width", "Width at the base", "12 in", "30 cm"),
            new Asked("height", "Height", "16 in", "40 cm"),
            new Asked("depth", "Depth", "3 in", "8 cm"));

    private static final String CORD = "K";

    private final boolean isBoxed;
    private final List<Asked> measures;

    DrawstringBag(boolean isBoxed, Asked... measures) {
        this.isBoxed = isBoxed;
        this.measures = List.of(measures);
    }

    @Override
    public List<Asked> measures() {
        return measures;
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        Offers offers = new Offers();
        if (this == BACKPACK) {
            return offers.corners()
                    .of(Option.LINED, Option.LINED_TIGHTER, Option.UNLINED)
                    .of(Option.SOFT, Option.FUSED, Option.FUSED_TO_EDGE)
                    .pocket()
                    .label()
                    .all();
        }
        offers.of(Option.TWO_CORDS, Option.ONE_CORD);
        if (isBoxed) {
            offers.corners();
        }
        return offers.base()
                .of(Option.UNLINED, Option.LINED, Option.LINED_TIGHTER)
                .of(Option.SOFT, Option.FUSED, Option.FUSED_TO_EDGE)
                .label()
                .all();
    }

    private Body body(Draft draft) {
        return new Body(
                draft, isBoxed, Body.Rim.CASED, List.of(ClothKind.QUILTING_COTTON, ClothKind.LINEN, ClothKind.CANVAS));
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
        draft.about(Choice.CORDS, () -> casing(draft, body.isLined()));
        body.add();
        gaps(draft, body);
        draft.about(Choice.CORDS, () -> cords(draft, body));
        draft.cutting().takes(body.isLined() ? 3.5 : 2, 12).check("Print upright on front and back.");
        Stiffening.back(draft, Body.OUTER, body.panels(), body.width(), body.height());
        Labels.label(draft, Body.OUTER, Body.LINING);
        InsidePocket.add(draft, Body.LINING);
        if (this == BACKPACK) {
            anchors(draft);
        }
        body.sewRound(Seam.PLAIN);
        draft.step("round")
                .tells("Leave the gap for the cord open, backstitch on both sides", "header + top", "the raw edge");
        if (this == BACKPACK) {
            draft.step("round").after("anchors").uses("T", 2);
        }
        if (body.isLined()) {
            body.sewRim(Seam.PLAIN);
            body.turn();
            draft.sewn("casing", "Stitch the casing", Seam.TOPSTITCH)
                    .takes(3, 2)
                    .check("Both lines level with the ends of the gap.")
                    .after("close")
                    .uses(Body.OUTER, 1, Side.TOP)
                    .uses(Body.LINING, 1, Side.TOP);
        } else {
            draft.sewn("casing", "Turn the rim down, stitch the casing", Seam.PLAIN)
                    .takes(4, 3)
                    .check("Both lines level with the ends of the gap.")
                    .after("box", "overlock", "round")
                    .uses(Body.OUTER, 2, Side.TOP);
        }
        draft.finishing("cord", cordCount(draft) == 2 ? "Thread and knot the cords" : "Thread and knot the cord")
                .takes(cordCount(draft) == 2 ? 3 : 2, 2)
                .check(cordCount(draft) == 2 ? "One from each side." : "Both ends equally long.")
                .after("casing")
                .uses(CORD);
        Packing.pack(draft, "Threads cut, cord runs freely.");
    }

    /** The casing and what of the rim makes it: a seam where the bag is lined, else what is turned down. */
    private static void casing(Draft draft, boolean lined) {
        CordCasing.add(draft);
        if (lined) {
            draft.allowance("top", "Seam at the rim", "3/8 in", "1 cm");
        } else {
            draft.allowance("turn", "Turned under below the casing", "3/8 in", "1 cm");
            draft.measure("top", "Turned down at the rim", Measurement.Kind.ALLOWANCE, "header + casing + turn");
        }
    }

    /** Where the cord comes out: in the side seam, as high as the casing. */
    private void gaps(Draft draft, Body body) {
        Draft.Cut outer = draft.piece(Body.OUTER);
        String left = draft.usual("0 in", "0 cm");
        CordCasing.gap(draft, outer);
        if (body.isFolded()) {
            outer.marked(Mark.at(
                            Mark.Kind.GAP,
                            "gap for the cord, other end",
                            Mark.From.RAW,
                            left,
                            "piece_height - header - top - casing")
                    .sized("", "casing"));
        }
    }

    private int cordCount(Draft draft) {
        return draft.has(Option.ONE_CORD) ? 1 : 2;
    }

    private void cords(Draft draft, Body body) {
        draft.ware("cord", "Cord", Ware.CORD);
        if (this == BACKPACK) {
            draft.finished("drop", "Drop to the anchor tab", "15 in", "38 cm");
            draft.allowance("knot", "For the knot", "3 in", "8 cm");
        } else {
            draft.allowance("tail", "Tail of the cord", "4 in", "10 cm");
            draft.allowance("knot", "For the knot", "1 1/2 in", "4 cm");
        }
        String length = this == BACKPACK
                ? "cord_backpack(" + body.acrossTop() + "; drop; knot)"
                : "cord(" + body.acrossTop() + "; tail; knot)";
        draft.trim(CORD, "Cord", TrimNeed.Kind.CORD, "cord", cordCount(draft), length);
    }

    private static void anchors(Draft draft) {
        draft.finished("tabWide", "Anchor tab, width", "1 in", "2.5 cm");
        draft.finished("tabLong", "Anchor tab, length of the strip", "5 in", "13 cm");
        draft.piece(
                "T",
                "Anchor tab, edges to the centre",
                Role.TAB,
                Draft.OUTER,
                2,
                "strap_edges_to_centre(tabWide)",
                "tabLong");
        draft.strap(new Strap("T", StrapSchool.EDGES_TO_CENTRE, "tabWide", "", "", "", "", "", List.of()));
        draft.sewn("anchors", "Make the anchor tabs, baste them to the sides", Seam.STRONG)
                .takes(4, 4)
                .check("Loops inwards, above the boxed corner.")
                .after("stiffen", "label", "cut")
                .uses("T", 4)
                .uses(Body.OUTER);
    }
}
