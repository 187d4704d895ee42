package mardun.core.kind;

import java.util.List;
import java.util.Map;
import mardun.core.design.Shape;
import mardun.core.design.TrimNeed;
import mardun.core.material.ClothKind;
import mardun.core.material.Ware;

/** A small bag for a gift: its neck tied with a ribbon, or its top two ears that are tied to a bow. */
record TreatBag() implements Recipe {

    @Override
    public List<Asked> measures() {
        return List.of(
                new Asked("width", "Width at the base", "4 in", "10 cm"),
                new Asked("height", "Height", "8 in", "20 cm"),
                new Asked("depth", "Depth", "2 in", "5 cm"));
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        return new Offers()
                .of(Option.GATHERED_TOP, Option.EARED_TOP)
                .corners()
                .of(Option.LINED, Option.LINED_TIGHTER, Option.UNLINED)
                .of(Option.SEAM_LABEL, Option.FRONT_LABEL, Option.NO_LABEL)
                .all();
    }

    private static Body body(Draft draft) {
        return new Body(draft, true, Body.Rim.OPEN, List.of(ClothKind.QUILTING_COTTON, ClothKind.LINEN));
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
            draft.allowance("top", "Seam at the top", "1/4 in", "6 mm");
        } else {
            draft.allowance("top", "Narrow hem at the top", "1/2 in", "1.2 cm");
        }
        body.add();
        if (draft.has(Option.EARED_TOP)) {
            draft.about(Choice.TOP, () -> draft.finished("ear", "Ear, height as cut", "3 in", "8 cm"));
            ears(draft, Body.OUTER);
            if (body.isLined()) {
                ears(draft, Body.LINING);
            }
        } else {
            draft.about(Choice.TOP, () -> ribbon(draft));
        }
        draft.cutting().takes(2.5, 10).check("Print upright on front and back.");
        Labels.label(draft, Body.OUTER, Body.LINING);
        if (!body.isLined()) {
            body.sewRim(Seam.PLAIN);
        }
        body.sewRound(Seam.PLAIN);
        if (body.isLined()) {
            body.sewRim(Seam.PLAIN);
        }
        body.turn();
        if (draft.has(Option.GATHERED_TOP)) {
            draft.finishing("fill", "Gather the neck, tie the ribbon")
                    .takes(1, 1)
                    .after("close", "box")
                    .uses("R");
        }
        Packing.pack(draft, "Threads cut, corners pushed out.");
    }

    private static void ears(Draft draft, String letter) {
        draft.piece(letter).shaped(Shape.Kind.SLANTED, Shape.Place.TOP, "panel_width(width; depth; seam) / 2", "ear");
    }

    /** Round the gathered neck, with two loops and two tails: the first one is found by trial. */
    private static void ribbon(Draft draft) {
        draft.finished("neck", "Gathered neck, measured round", "2 1/2 in", "6 cm");
        draft.finished("bow", "Loop of the bow", "2 in", "5 cm");
        draft.finished("tail", "Tail of the bow", "3 in", "8 cm");
        draft.allowance("knot", "For the knot", "3/4 in", "2 cm");
        draft.ware("ribbon", "Ribbon", Ware.RIBBON);
        draft.trim("R", "Ribbon", TrimNeed.Kind.RIBBON, "ribbon", 1, "neck + 2 * 2 * bow + 2 * tail + knot");
    }
}
