package mardun.core.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.FreeForm;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.Wished;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;

/**
 * What is made of one outer and one lining, sewn round and turned, with pockets on its inside: wallets that are folded, and rolls.
 * Its width is its own; its height is that of the folded thing.
 */
enum FlatGood implements Recipe {
    FOLD_OVER_WALLET(
            "2 * height + 2 * seam",
            "(cut_height - 2 * seam) / 2",
            "Rows of slots, each one's height",
            new Asked("width", "Width", "8 in", "20 cm"),
            new Asked("height", "Height, folded", "4 in", "10 cm")),
    FLAP_WALLET(
            "2 * height + flap + 2 * seam",
            "(cut_height - flap - 2 * seam) / 2",
            "Rows of slots, each one's height",
            new Asked("width", "Width", "8 in", "20 cm"),
            new Asked("height", "Height, closed", "4 in", "10 cm")),
    ROLL_UP(
            "height + 2 * seam",
            "cut_height - 2 * seam",
            "Pocket, finished height",
            new Asked("width", "Width, open", "16 in", "40 cm"),
            new Asked("height", "Height", "11 in", "28 cm"));

    private static final String WIDTH = "width + 2 * seam";

    private final String height;
    private final String finishedHeight;
    private final String rows;
    private final List<Asked> measures;

    FlatGood(String height, String finishedHeight, String rows, Asked... measures) {
        this.height = height;
        this.finishedHeight = finishedHeight;
        this.rows = rows;
        this.measures = List.of(measures);
    }

    @Override
    public List<Asked> measures() {
        return measures;
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        return switch (this) {
            case FOLD_OVER_WALLET ->
                new Offers()
                        .of(Option.PLEATED_SLOTS, Option.STACKED_SLOTS, Option.DIVIDED_SLOTS)
                        .of(Option.FUSED, Option.FUSED_TO_EDGE, Option.SOFT)
                        .of(Option.OPEN, Option.TIES)
                        .of(Option.INSIDE_LABEL, Option.FRONT_LABEL, Option.NO_LABEL)
                        .all();
            case FLAP_WALLET ->
                new Offers()
                        .of(Option.ROUND_FLAP, Option.STRAIGHT_FLAP, Option.SLANTED_FLAP)
                        .of(Option.PLEATED_SLOTS, Option.STACKED_SLOTS, Option.DIVIDED_SLOTS)
                        .of(Option.SNAP, Option.MAGNET, Option.LOCK)
                        .of(Option.FUSED, Option.FUSED_TO_EDGE, Option.SOFT)
                        .of(Option.INSIDE_LABEL, Option.FRONT_LABEL, Option.NO_LABEL)
                        .all();
            case ROLL_UP ->
                new Offers()
                        .of(Option.DIVIDED_SLOTS, Option.STACKED_SLOTS)
                        .of(Option.BASTED, Option.FUSED, Option.QUILTED, Option.SOFT)
                        .of(Option.TIES, Option.OPEN)
                        .of(Option.FRONT_LABEL, Option.INSIDE_LABEL, Option.NO_LABEL)
                        .all();
        };
    }

    @Override
    public List<Instead> paper(Draft draft) {
        return List.of(
                new Instead("cut_width", "Outer, cut width", WIDTH, "width", "cut_width - 2 * seam"),
                new Instead("cut_height", "Outer, cut height", height, "height", finishedHeight));
    }

    @Override
    public void fill(Draft draft) {
        if (this == FLAP_WALLET) {
            draft.about(Choice.FLAP, () -> draft.finished("flap", "Flap, finished length", "2 3/4 in", "7 cm"));
        }
        draft.cloth(Draft.OUTER, "Outer cloth", ClothKind.QUILTING_COTTON, ClothKind.LINEN, ClothKind.CANVAS);
        draft.cloth(Draft.LINING, "Inside cloth", ClothKind.QUILTING_COTTON);
        Draft.Cut outer = panel(draft, "A", "Outer", Role.OUTER, Draft.OUTER);
        Draft.Cut inside = panel(draft, "B", "Inside", Role.LINING, Draft.LINING);
        gap(draft, inside);
        for (Draft.Cut cut : List.of(outer, inside)) {
            Flaps.shape(draft, cut);
        }
        draft.form(new FreeForm(Optional.of("A"), Optional.of("B"), "width", "height", ""), Wished.NOTHING);
        draft.cutting().takes(4, 15).check("Print the right way up when it is closed.");
        Stiffening.back(draft, "A", 1, WIDTH, height);
        if (draft.hasPiece(Stiffening.LETTER)) {
            Flaps.shape(draft, draft.piece(Stiffening.LETTER));
        }
        draft.about(Choice.SLOTS, () -> slots(draft));
        Labels.label(draft, "A", "B");
        if (this == FLAP_WALLET) {
            draft.about(
                    Choice.CLOSING, () -> draft.allowance("snapIn", "Fastener from the flap's edge", "3/4 in", "2 cm"));
            Fastening.onFlap(draft, "A", "seam + flap - snapIn", "B", "piece_height - seam - snapIn");
        }
        Fastening.ties(draft, "18 in", "45 cm");
        sew(draft);
        Packing.pack(draft, "Threads cut, edges pressed flat.");
    }

    private Draft.Cut panel(Draft draft, String letter, String name, Role role, String slot) {
        return draft.piece(letter, name, role, slot, 1, WIDTH, height).edges("seam", "seam", "seam", "seam");
    }

    private static void gap(Draft draft, Draft.Cut inside) {
        draft.follows(
                "gap",
                "Turning gap",
                Measurement.Kind.ALLOWANCE,
                draft.whole("max(height / 2; " + draft.usual("2 1/2 in", "7 cm") + ")"));
        inside.marked(Mark.at(
                        Mark.Kind.GAP,
                        "turning gap",
                        Mark.From.RAW,
                        draft.usual("0 in", "0 cm"),
                        "(piece_height - gap) / 2")
                .sized("", "gap"));
    }

    private void slots(Draft draft) {
        draft.measure("rows", rows, Measurement.Kind.FINISHED, draft.whole("height / 2"));
        if (draft.has(Option.PLEATED_SLOTS)) {
            draft.finished("slotDeep", "Slot, depth", "2 1/4 in", "5.5 cm");
            draft.measure("slots", "Slots above one another", Measurement.Kind.COUNT, "3");
            slot(draft, "P", "Slots, pleated", "slots_pleated(rows; slotDeep; slots) + 2 * seam");
            draft.sewn("pleat", "Press and stitch the pleats", Seam.PLAIN)
                    .takes(6, 5)
                    .check("Each pleat with a card in it.")
                    .after("cut")
                    .uses("P", 3);
        } else if (draft.has(Option.STACKED_SLOTS)) {
            draft.finished("step", "Step from one to the next", "3/4 in", "2 cm");
            slot(draft, "P", "Slot, low", "pocket_folded(graduated(rows; step; 1); seam)")
                    .foldLine("lip");
            slot(draft, "Q", "Slot, middle", "pocket_folded(graduated(rows; step; 2); seam)")
                    .foldLine("lip");
            slot(draft, "R1", "Slot, high", "pocket_folded(graduated(rows; step; 3); seam)")
                    .foldLine("lip");
        } else {
            draft.measure("parts", "Compartments", Measurement.Kind.COUNT, this == ROLL_UP ? "6" : "2");
            slot(draft, "P", "Pocket, folded at its lip", "pocket_folded(rows; seam)")
                    .foldLine("lip")
                    .marked(Mark.at(
                            Mark.Kind.NOTCH,
                            "first compartment",
                            Mark.From.RAW,
                            "seam + pocket_division(width; parts)",
                            "piece_height"));
        }
        Draft.Sewing pockets = draft.sewn("pockets", "Sew the pockets to the inside", Seam.PLAIN)
                .takes(6, 4)
                .check("Lips in steps, the lowest in front; backstitched at each lip.")
                .after("pleat", "cut")
                .uses("P", 2)
                .uses("B");
        List<String> more = new ArrayList<>(List.of("Q", "R1"));
        more.removeIf(letter -> !draft.hasPiece(letter));
        more.forEach(letter -> pockets.uses(letter, 2));
    }

    private static Draft.Cut slot(Draft draft, String letter, String name, String height) {
        return draft.piece(letter, name, Role.POCKET, Draft.LINING, 1, WIDTH, height);
    }

    private void sew(Draft draft) {
        Draft.Sewing join = draft.sewn("join", "Sew outer and inside together, turn, topstitch", Seam.TOPSTITCH)
                .takes(7, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Gap closed by the topstitching; corners pushed out.")
                .after("stiffen", "pockets", "label", "closing", "cut")
                .uses("A", 1, Side.values())
                .uses("B", 1, Side.values())
                .uses("P");
        if (draft.hasAny(Option.FUSED_TO_EDGE, Option.BASTED, Option.QUILTED)) {
            join.uses(Stiffening.LETTER);
        }
        if (draft.has(Option.TIES)) {
            join.uses("R", 2).gate("Ties inwards, pinned out of the way");
        }
        if (this != ROLL_UP) {
            draft.atTable("folded", "Press the folds").takes(0.5, 1).after("join");
        }
    }
}
