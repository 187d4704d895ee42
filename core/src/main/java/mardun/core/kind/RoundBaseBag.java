package mardun.core.kind;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.Role;
import mardun.core.design.RoundBag;
import mardun.core.design.TrimNeed;
import mardun.core.design.Wished;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;
import mardun.core.material.Ware;

/** A body sewn round a round base, drawn together by cords or open. */
record RoundBaseBag() implements Recipe {

    private static final String BODY = "round_body(diameter; seam)";
    private static final String BODY_HIGH = "height + top + seam";
    private static final String BASE = "round_base(diameter; seam)";

    @Override
    public List<Asked> measures() {
        return List.of(
                new Asked("diameter", "Diameter of the base", "6 in", "15 cm"),
                new Asked("height", "Height", "9 in", "23 cm"));
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        return new Offers()
                .of(Option.DRAWCORD, Option.OPEN)
                .of(Option.FUSED, Option.SOFT, Option.FUSED_TO_EDGE, Option.BASTED)
                .of(Option.NO_HANDLE, Option.FOUR_FOLD_HANDLES, Option.CENTRED_HANDLES, Option.WEBBING_HANDLES)
                .of(Option.FRONT_LABEL, Option.INSIDE_LABEL, Option.NO_LABEL)
                .all();
    }

    @Override
    public List<Instead> paper(Draft draft) {
        return List.of(
                new Instead("cut_base", "Base, cut diameter", BASE, "diameter", "round_base_finished(cut_base; seam)"),
                new Instead("cut_height", "Body, cut height", BODY_HIGH, "height", "cut_height - top - seam"));
    }

    @Override
    public void fill(Draft draft) {
        draft.allowance("top", "Seam at the rim", "3/8 in", "1 cm");
        draft.cloth(Draft.OUTER, "Outer cloth", ClothKind.LINEN, ClothKind.QUILTING_COTTON, ClothKind.CANVAS);
        draft.cloth(Draft.LINING, "Lining cloth", ClothKind.QUILTING_COTTON);
        Draft.Cut body = body(draft, "A", "Body", Role.OUTER, Draft.OUTER).upright();
        draft.piece("M", "Base", Role.OUTER, Draft.OUTER, 1, BASE, BASE).circle();
        body(draft, "B", "Lining body", Role.LINING, Draft.LINING);
        draft.piece("N", "Lining base", Role.LINING, Draft.LINING, 1, BASE, BASE)
                .circle();
        draft.form(
                new RoundBag(Optional.of("A"), Optional.of("B"), "M", Draft.SEAM, "top", Draft.SEAM),
                new Wished("diameter", "height"));
        draft.cutting().takes(4, 15).check("Circles cut with a template.");
        base(draft);
        Labels.label(draft, "A", "B");
        Carrying.handles(draft, "A", "pi * diameter / 2", "12 in", "30 cm");
        if (draft.has(Option.DRAWCORD)) {
            draft.about(Choice.CLOSING, () -> casing(draft, body));
        }
        steps(draft);
    }

    private static Draft.Cut body(Draft draft, String letter, String name, Role role, String slot) {
        return draft.piece(letter, name, role, slot, 1, BODY, BODY_HIGH).edges("top", "seam", "seam", "seam");
    }

    /** Body and base are stiffened alike; the base in a circle of its own. */
    private static void base(Draft draft) {
        Stiffening.back(draft, "A", 1, BODY, BODY_HIGH);
        if (draft.hasPiece(Stiffening.LETTER)) {
            boolean inset = draft.has(Option.FUSED);
            draft.piece(
                            "I",
                            "Stiffening of the base",
                            Role.INTERFACING,
                            draft.has(Option.BASTED) ? "batting" : "interfacing",
                            1,
                            inset ? "interfacing(" + BASE + "; inset)" : BASE,
                            inset ? "interfacing(" + BASE + "; inset)" : BASE)
                    .circle()
                    .backing("M");
            draft.step("stiffen").uses("M").uses("I");
        }
    }

    private static void casing(Draft draft, Draft.Cut body) {
        CordCasing.add(draft);
        draft.allowance("tail", "Tail of the cord", "4 in", "10 cm");
        draft.allowance("knot", "For the knot", "1 1/2 in", "4 cm");
        draft.ware("cord", "Cord", Ware.CORD);
        draft.trim("K", "Cord", TrimNeed.Kind.CORD, "cord", 2, "cord(pi * diameter / 2; tail; knot)");
        CordCasing.gap(draft, body);
    }

    private static void steps(Draft draft) {
        draft.sewn("side", "Sew the side seams", Seam.PLAIN)
                .takes(3, 3)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check(
                        draft.has(Option.DRAWCORD)
                                ? "Gap for the cord left open and backstitched; turning gap in the lining."
                                : "Turning gap left in the lining.")
                .after("label", "handles", "stiffen", "cut")
                .uses("A", 2, Side.LEFT, Side.RIGHT)
                .uses("B", 2, Side.LEFT, Side.RIGHT);
        Draft.Sewing round = draft.sewn("round", "Sew the base in", Seam.PLAIN)
                .takes(6, 2)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Quarters matched, curve clipped.")
                .after("side", "stiffen")
                .uses("A", 1, Side.BOTTOM)
                .uses("M");
        if (draft.hasAny(Option.FUSED_TO_EDGE, Option.BASTED)) {
            round.uses(Stiffening.LETTER).uses("I");
        }
        draft.sewn("lining", "Sew the lining's base in", Seam.PLAIN)
                .takes(5, 0)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Turning gap left.")
                .after("side")
                .uses("B", 1, Side.BOTTOM)
                .uses("N");
        draft.sewn("rim", "Join at the rim, turn, close the gap", Seam.TOPSTITCH)
                .takes(6, 3)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Side seams matched.")
                .after("round", "lining")
                .uses("A", 1, Side.TOP)
                .uses("B", 1, Side.TOP);
        if (draft.has(Option.DRAWCORD)) {
            draft.sewn("casing", "Stitch the casing", Seam.TOPSTITCH)
                    .takes(3, 2)
                    .check("Both lines level with the ends of the gap.")
                    .after("rim")
                    .uses("A", 1, Side.TOP)
                    .uses("B", 1, Side.TOP);
            draft.finishing("cord", "Thread and knot the cords")
                    .takes(3, 2)
                    .check("One from each side.")
                    .after("casing")
                    .uses("K");
        }
        Packing.pack(draft, "Threads cut, nothing puckered.");
    }
}
