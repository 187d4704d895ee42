package mardun.core.design;

import static mardun.core.design.DesignMaker.backing;
import static mardun.core.design.DesignMaker.boxed;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.Measurement.Kind;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;

/** A lined, boxed zip pouch in two sizes, for tests. */
public final class Pouch {

    private Pouch() {}

    public static Design design() {
        return with("7 1/2 in", "2 1/2 in", "1/4 in", BoxingSchool.CUT_BEFORE_SEWING);
    }

    public static Design with(String width, String depth, String seam, BoxingSchool school) {
        return DesignMaker.empty()
                .sizes("small", "medium")
                .measured(
                        Measurement.of("width", "Width at the base", Kind.FINISHED, "5 in", width),
                        Measurement.of("height", "Height", Kind.FINISHED, "4 1/2 in", "6 1/4 in"),
                        Measurement.of("depth", "Depth", Kind.FINISHED, depth),
                        Measurement.of("seam", "Seam", Kind.ALLOWANCE, seam),
                        Measurement.of("shows", "Zip shows", Kind.ALLOWANCE, "0 in"))
                .form(bag(school, BaseEdge.SEAM))
                .pieces(
                        boxed(panel("A", "Outer", Role.OUTER, "outer"), true),
                        boxed(panel("B", "Lining", Role.LINING, "lining"), true),
                        backing(
                                Piece.of(
                                        "C",
                                        "Interfacing",
                                        Role.INTERFACING,
                                        "interfacing",
                                        "2",
                                        "interfacing(panel_width(width; depth; seam); seam)",
                                        "interfacing(panel_height(height; depth; seam; seam); seam)"),
                                "A"),
                        Piece.of("D", "End tab", Role.TAB, "outer", "2", "1 1/4 in", "3 in"))
                .trims(TrimNeed.of(
                        "Z",
                        "Zip",
                        TrimNeed.Kind.ZIP,
                        "zip",
                        "1",
                        "zip_inset(panel_width(width; depth; seam); seam; 1/4 in)"))
                .notions(NotionNeed.of("Slider", "slider", "1"), NotionNeed.of("Label", "label", "1"))
                .steps(
                        step("Cut", Stage.CUT, Station.CUTTING_TABLE, 3, 10),
                        step("Sew", Stage.SEW, Station.MACHINE, 15, 20),
                        step("Press and pack", Stage.FINISH, Station.PRESS, 2, 5))
                .make();
    }

    static BoxedBag bag(BoxingSchool school, BaseEdge base) {
        return new BoxedBag(
                school, base, Optional.of("A"), Optional.of("B"), "depth", "seam", "seam", "seam", "seam", "shows", "");
    }

    private static Piece panel(String letter, String name, Role role, String slot) {
        return Piece.of(
                letter,
                name,
                role,
                slot,
                "2",
                "panel_width(width; depth; seam)",
                "panel_height(below_zip(height; shows); depth; seam; seam)");
    }

    public static Step step(String name, Stage stage, Station station, int perUnit, int perBatch) {
        return new Step(
                name,
                name,
                stage,
                station,
                SetUp.NONE,
                Duration.ofMinutes(perUnit),
                Duration.ofMinutes(perBatch),
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }
}
