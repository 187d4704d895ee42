package mardun.core.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mardun.core.material.ClothKind;

/** A pouch that a zip closes at its top, with boxed corners or flat. */
record ZipPouch(boolean isBoxed) implements Recipe {

    @Override
    public List<Asked> measures() {
        List<Asked> measures = new ArrayList<>(List.of(
                new Asked("width", isBoxed ? "Width at the base" : "Width", "8 in", "20 cm"),
                new Asked("height", "Height", "6 in", "15 cm")));
        if (isBoxed) {
            measures.add(new Asked("depth", "Depth", "3 in", "7 cm"));
        }
        return measures;
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        Offers offers = new Offers();
        if (isBoxed) {
            offers.corners();
        }
        return offers.base()
                .zipEnds()
                .of(Option.LINED, Option.LINED_TIGHTER, Option.UNLINED)
                .stiffening(Option.FUSED)
                .pocket()
                .of(Option.NO_STRAP, Option.WRIST_STRAP)
                .loop()
                .label()
                .all();
    }

    private Body body(Draft draft) {
        return new Body(
                draft, isBoxed, Body.Rim.ZIPPED, List.of(ClothKind.QUILTING_COTTON, ClothKind.LINEN, ClothKind.CANVAS));
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
        draft.allowance("top", "Top seam, at the zip", "1/4 in", "6 mm");
        ZipEnds.shows(draft);
        body.add();
        ZipEnds.add(draft, "Z", "Zip", body.width(), Draft.SEAM);
        draft.cutting().takes(body.isLined() ? 3 : 2, 15).check("Print upright on front and back.");
        Stiffening.back(draft, Body.OUTER, body.panels(), body.width(), body.height());
        ZipEnds.ready(draft, 1, "Z");
        Labels.label(draft, Body.OUTER, Body.LINING);
        Labels.loop(draft, Body.OUTER);
        InsidePocket.add(draft, Body.LINING);
        Carrying.strap(draft, Body.OUTER, "", "");
        ZipEnds.sewIn(draft, body);
        body.sewRound(Seam.PLAIN);
        body.turn();
        if (!body.isLined()) {
            draft.atTable("turned", "Turn, push the corners out").takes(0.5, 0).after("box", "overlock");
        }
        Packing.pack(draft, "No iron on the zip tape.");
    }
}
