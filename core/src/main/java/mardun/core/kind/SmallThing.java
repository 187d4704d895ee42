package mardun.core.kind;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.FreeForm;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.Shape;
import mardun.core.design.TrimNeed;
import mardun.core.design.Wished;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;
import mardun.core.material.Ware;

/** Small gifts, and the sheet on which something of one's own begins. */
enum SmallThing implements Recipe {
    KEY_FOB(
            new Asked("long", "Webbing, length as cut", "11 in", "28 cm"),
            new Asked("webbing", "Webbing, width", "1 in", "2.5 cm")),
    PINCUSHION(
            new Asked("width", "Width before filling", "4 in", "10 cm"),
            new Asked("height", "Height before filling", "4 in", "10 cm")),
    HAND_WARMER(new Asked("diameter", "Diameter before filling", "3 1/2 in", "9 cm")),
    EYE_MASK(new Asked("width", "Width", "8 in", "20 cm"), new Asked("height", "Height", "3 1/2 in", "9 cm")),
    OWN(new Asked("width", "Width", "8 in", "20 cm"), new Asked("height", "Height", "8 in", "20 cm"));

    private final List<Asked> measures;

    SmallThing(Asked... measures) {
        this.measures = List.of(measures);
    }

    @Override
    public List<Asked> measures() {
        return measures;
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        return switch (this) {
            case KEY_FOB, OWN -> Map.of();
            case PINCUSHION ->
                new Offers()
                        .of(Option.WADDING, Option.NUT_SHELLS, Option.BEADS)
                        .of(Option.SEAM_LABEL, Option.NO_LABEL)
                        .all();
            case HAND_WARMER ->
                new Offers()
                        .of(Option.BEADS, Option.NUT_SHELLS)
                        .of(Option.SEAM_LABEL, Option.NO_LABEL)
                        .all();
            case EYE_MASK ->
                new Offers()
                        .of(Option.BASTED, Option.SOFT)
                        .of(Option.NO_LABEL, Option.INSIDE_LABEL)
                        .all();
        };
    }

    @Override
    public List<Instead> paper(Draft draft) {
        return switch (this) {
            case KEY_FOB ->
                List.of(
                        new Instead(
                                "cut_width",
                                "Cover, cut width",
                                "fob_cover_width(webbing; turn)",
                                "webbing",
                                "fob_webbing_width(cut_width; turn)"),
                        new Instead(
                                "cut_height",
                                "Cover, cut length",
                                "fob_cover_length(long; turn)",
                                "long",
                                "fob_webbing_length(cut_height; turn)"));
            case HAND_WARMER ->
                List.of(new Instead(
                        "cut_base",
                        "Round, cut diameter",
                        "round_base(diameter; seam)",
                        "diameter",
                        "round_base_finished(cut_base; seam)"));
            case PINCUSHION, EYE_MASK, OWN ->
                List.of(
                        new Instead(
                                "cut_width", "Piece, cut width", "width + 2 * seam", "width", "cut_width - 2 * seam"),
                        new Instead(
                                "cut_height",
                                "Piece, cut height",
                                "height + 2 * seam",
                                "height",
                                "cut_height - 2 * seam"));
        };
    }

    @Override
    public void fill(Draft draft) {
        switch (this) {
            case KEY_FOB -> keyFob(draft);
            case PINCUSHION -> filled(draft, "width", "height", Optional.empty());
            case HAND_WARMER -> filled(draft, "diameter", "diameter", Optional.of(Shape.CIRCLE));
            case EYE_MASK -> eyeMask(draft);
            case OWN -> own(draft);
        }
    }

    private static void keyFob(Draft draft) {
        draft.allowance("turn", "Turned in", "1/4 in", "6 mm");
        draft.cloth(Draft.OUTER, "Cover", ClothKind.QUILTING_COTTON, ClothKind.LINEN);
        draft.ware("webbing", "Webbing", Ware.WEBBING);
        draft.ware("ring", "Fob hardware", Ware.RING);
        draft.piece(
                "A",
                "Cover",
                Role.OUTER,
                Draft.OUTER,
                1,
                "fob_cover_width(webbing; turn)",
                "fob_cover_length(long; turn)");
        draft.trim("W", "Webbing", TrimNeed.Kind.WEBBING, "webbing", 1, "long");
        draft.notion("Fob hardware", "ring", 1);
        draft.form(new FreeForm(Optional.of("A"), Optional.empty(), "webbing", "long / 2", ""), Wished.NOTHING);
        draft.cutting().takes(1, 6);
        draft.atPress("fold", "Press the cover's edges in")
                .takes(1, 3)
                .after("cut")
                .uses("A");
        draft.sewn("join", "Sew the cover to the webbing", Seam.TOPSTITCH)
                .takes(2, 3)
                .check("Edges even on both sides.")
                .after("fold")
                .uses("A", 2)
                .uses("W");
        draft.finishing("fill", "Fold, clamp the hardware on")
                .takes(1, 2)
                .check("Ends even, teeth through all layers.")
                .caution("Pliers: fingers out of the jaws.")
                .after("join")
                .uses("W");
        draft.finishing("pack", "Inspect and pack").takes(0.5, 3).after("fill");
    }

    private static void filled(Draft draft, String width, String height, Optional<Shape> shape) {
        draft.cloth(Draft.OUTER, "Cloth", ClothKind.QUILTING_COTTON, ClothKind.LINEN);
        String wide = "round_base(" + width + "; seam)";
        String high = "round_base(" + height + "; seam)";
        boolean round = shape.isPresent();
        Draft.Cut cut = round
                ? draft.piece("A", "Round", Role.OUTER, Draft.OUTER, 2, wide, high)
                        .circle()
                : draft.piece("A", "Square", Role.OUTER, Draft.OUTER, 2, "width + 2 * seam", "height + 2 * seam");
        cut.edges("seam", "seam", "seam", "seam");
        draft.follows(
                "gap",
                "Gap to fill it through",
                Measurement.Kind.ALLOWANCE,
                draft.whole("max(" + width + "; " + height + ") / 2"));
        if (!round) {
            cut.marked(Mark.at(
                            Mark.Kind.GAP,
                            "gap to fill it through",
                            Mark.From.RAW,
                            "(piece_width - gap) / 2",
                            "piece_height")
                    .sized("gap", ""));
        }
        draft.form(new FreeForm(Optional.of("A"), Optional.empty(), width, height, ""), Wished.NOTHING);
        String name = draft.has(Option.BEADS) ? "Beads" : draft.has(Option.NUT_SHELLS) ? "Nut shells" : "Wadding";
        draft.bulk("filling", name);
        draft.filling(
                name,
                "filling",
                draft.has(Option.WADDING) ? draft.usual("1 oz", "30 g") : draft.usual("5 oz", "140 g"));
        draft.cutting().takes(1, 6);
        Labels.label(draft, "A", "A");
        draft.sewn("round", "Sew round", Seam.PLAIN)
                .takes(2, 3)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Gap left; short stitches, so that nothing trickles.")
                .after("label", "cut")
                .uses("A", 2, Side.values());
        draft.atTable("turned", "Turn, fill")
                .takes(2, 2)
                .check("Weighed, not guessed.")
                .goesOn()
                .after("round");
        draft.sewn("close", "Close the gap, sewn twice", Seam.PLAIN)
                .takes(1.5, 1)
                .after("turned")
                .uses("A", 2, Side.BOTTOM);
        draft.finishing("pack", "Inspect and pack")
                .takes(0.5, 3)
                .check(draft.has(Option.NUT_SHELLS) ? "Label names the nut shells." : "Nothing trickles.")
                .after("close");
    }

    private static void eyeMask(Draft draft) {
        draft.cloth(Draft.OUTER, "Outer cloth", ClothKind.QUILTING_COTTON, ClothKind.LINEN);
        draft.cloth(Draft.LINING, "Cloth at the skin", ClothKind.QUILTING_COTTON);
        draft.ware("elastic", "Elastic", Ware.ELASTIC);
        draft.finished("nose", "Arch for the nose, width", "1 1/2 in", "4 cm");
        draft.finished("noseHigh", "Arch for the nose, height", "1 in", "2.5 cm");
        draft.finished("corner", "Radius of the corners", "1 1/2 in", "4 cm");
        draft.finished("band", "Elastic, length that is seen", "13 in", "33 cm");
        draft.allowance("caught", "Elastic caught at each end", "1/2 in", "1.2 cm");
        mask(draft, "A", "Outer", Role.OUTER, Draft.OUTER);
        mask(draft, "B", "Inside", Role.LINING, Draft.LINING);
        draft.trim("E", "Elastic", TrimNeed.Kind.ELASTIC, "elastic", 1, "elastic_length(band; caught)");
        draft.form(new FreeForm(Optional.of("A"), Optional.of("B"), "width", "height", ""), Wished.NOTHING);
        draft.cutting().takes(2.5, 8).check("Cut with a template.");
        Stiffening.back(draft, "A", 1, "width + 2 * seam", "height + 2 * seam");
        if (draft.hasPiece(Stiffening.LETTER)) {
            shape(draft.piece(Stiffening.LETTER));
        }
        Labels.label(draft, "A", "B");
        Draft.Sewing join = draft.sewn("join", "Sew round with the elastic, turn, topstitch", Seam.TOPSTITCH)
                .takes(6, 3)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Elastic flat and caught at both sides; arch clipped.")
                .after("stiffen", "label", "cut")
                .uses("A", 1, Side.values())
                .uses("B", 1, Side.values())
                .uses("E");
        if (draft.has(Option.BASTED)) {
            join.uses(Stiffening.LETTER);
        }
        Packing.pack(draft, "Nothing hard on the side of the skin.");
    }

    private static void mask(Draft draft, String letter, String name, Role role, String slot) {
        shape(draft.piece(letter, name, role, slot, 1, "width + 2 * seam", "height + 2 * seam")
                .edges("seam", "seam", "seam", "seam"));
    }

    private static void shape(Draft.Cut cut) {
        cut.shaped(Shape.Kind.ROUNDED, Shape.Place.BOTH, "corner", "")
                .shaped(Shape.Kind.NOTCHED, Shape.Place.BOTTOM, "nose", "noseHigh");
    }

    private static void own(Draft draft) {
        draft.cloth(Draft.OUTER, "Cloth");
        draft.piece("A", "Piece", Role.OUTER, Draft.OUTER, 1, "width + 2 * seam", "height + 2 * seam")
                .edges("seam", "seam", "seam", "seam");
        draft.form(new FreeForm(Optional.of("A"), Optional.empty(), "width", "height", ""), Wished.NOTHING);
        draft.cutting().takes(1, 5).uses("A");
    }
}
