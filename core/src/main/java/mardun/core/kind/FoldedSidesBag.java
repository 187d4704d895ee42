package mardun.core.kind;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.FoldedSideBag;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.design.Wished;
import mardun.core.making.Lay;
import mardun.core.making.Step.Side;
import mardun.core.material.ClothKind;

/** A bag from one wrap round a zip, its sides folded in before the ends are sewn. */
record FoldedSidesBag() implements Recipe {

    private static final String WIDTH = "wrap_across(length; end)";
    private static final String HEIGHT = "wrap(height; fold_for_depth(depth); top; shows)";

    @Override
    public List<Asked> measures() {
        return List.of(
                new Asked("length", "Length", "9 in", "23 cm"),
                new Asked("height", "Height", "4 in", "10 cm"),
                new Asked("depth", "Depth", "4 in", "10 cm"));
    }

    @Override
    public Map<Choice, List<Option>> offers() {
        return new Offers()
                .zipEnds()
                .of(Option.LINED, Option.UNLINED)
                .of(Option.BASTED, Option.FUSED, Option.FUSED_TO_EDGE, Option.SOFT)
                .loop()
                .of(Option.FRONT_LABEL, Option.SEAM_LABEL, Option.NO_LABEL)
                .all();
    }

    @Override
    public List<Instead> paper(Draft draft) {
        return List.of(
                new Instead("cut_width", "Wrap, cut width", WIDTH, "length", "wrap_length(cut_width; end)"),
                new Instead(
                        "cut_height",
                        "Wrap, cut length from zip to zip",
                        HEIGHT,
                        "height",
                        "wrap_width(cut_height; fold; top; shows)"),
                new Instead("fold", "Sides folded in by", "fold_for_depth(depth)", "depth", "depth_of_fold(fold)"));
    }

    @Override
    public void fill(Draft draft) {
        draft.allowance("top", "Seam at the zip", "1/4 in", "6 mm");
        draft.measure("end", "Seam at the ends", Measurement.Kind.ALLOWANCE, Draft.SEAM);
        ZipEnds.shows(draft);
        draft.cloth(Draft.OUTER, "Outer cloth", ClothKind.QUILTING_COTTON, ClothKind.LINEN);
        boolean lined = draft.has(Option.LINED);
        draft.piece("A", "Wrap", Role.OUTER, Draft.OUTER, 1, WIDTH, HEIGHT).edges("top", "end", "top", "end");
        if (lined) {
            draft.cloth(Draft.LINING, "Lining cloth", ClothKind.QUILTING_COTTON);
            draft.piece("B", "Lining wrap", Role.LINING, Draft.LINING, 1, WIDTH, HEIGHT)
                    .edges("top", "end", "top", "end");
        }
        draft.form(
                new FoldedSideBag(
                        Optional.of("A"),
                        lined ? Optional.of("B") : Optional.empty(),
                        "fold_for_depth(depth)",
                        "top",
                        "end",
                        "shows"),
                new Wished("length", "height"));
        ZipEnds.add(draft, "Z", "Zip", WIDTH, "end");
        draft.cutting().takes(3, 12).check("Wrap cut along the grain.");
        Stiffening.back(draft, "A", 1, WIDTH, HEIGHT);
        ZipEnds.ready(draft, 1, "Z");
        Labels.label(draft, "A", "B");
        Labels.loop(draft, "A");
        Draft.Sewing zip = draft.sewn(
                        "zip", lined ? "Sew zip to outer and lining" : "Sew zip to the outer", Seam.AT_ZIP)
                .takes(5, 4)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Slider face down on the right side; all layers caught along the zip.")
                .after("tabs", "zips", "label", "stiffen", "loop", "cut")
                .uses("A", 1, Side.TOP, Side.BOTTOM)
                .uses("Z")
                .gate("Slider face down on the right side");
        Draft.Sewing topstitch = draft.sewn("topstitch", "Topstitch along the zip", Seam.TOPSTITCH_AT_ZIP)
                .takes(2, 4)
                .lies(Lay.RIGHT_SIDE_UP)
                .after("zip")
                .uses("A", 2, Side.TOP, Side.BOTTOM)
                .uses("Z");
        Draft.Sewing ends = draft.sewn("round", "Fold the sides in, sew across both ends", Seam.STRONG)
                .takes(5, 3)
                .lies(Lay.RIGHT_SIDES_TOGETHER)
                .check("Folds equally deep on both sides, zip half open.")
                .after("topstitch")
                .uses("A", 4, Side.LEFT, Side.RIGHT)
                .tells("Fold the side in, crease", "fold_for_depth(depth)", "the side")
                .gate("Zip is half open");
        if (lined) {
            zip.uses("B", 1, Side.TOP, Side.BOTTOM);
            topstitch.uses("B", 2, Side.TOP, Side.BOTTOM);
            ends.uses("B", 4, Side.LEFT, Side.RIGHT);
        }
        draft.sewn("overlock", "Overlock both ends", Seam.OVERLOCKED)
                .takes(2, 4)
                .check("Corners not cut into.")
                .after("round")
                .uses("A", 4, Side.LEFT, Side.RIGHT);
        draft.atTable("turned", "Turn, push the corners out").takes(1, 0).after("overlock");
        Packing.pack(draft, "No iron on the zip tape.");
    }
}
