package mardun.core.design;

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
        return new Design(
                "Test pouch",
                List.of("small", "medium"),
                List.of(
                        new Measurement("width", "Width at the base", Kind.FINISHED, List.of("5 in", width)),
                        new Measurement("height", "Height", Kind.FINISHED, List.of("4 1/2 in", "6 1/4 in")),
                        new Measurement("depth", "Depth", Kind.FINISHED, List.of(depth)),
                        new Measurement("seam", "Seam", Kind.ALLOWANCE, List.of(seam)),
                        new Measurement("shows", "Zip shows", Kind.ALLOWANCE, List.of("0 in"))),
                new BoxedBag(school, BaseEdge.SEAM, "A", "B", "depth", "seam", "seam", "seam", "seam", "shows"),
                List.of(
                        panel("A", "Outer", Role.OUTER, "outer"),
                        panel("B", "Lining", Role.LINING, "lining"),
                        new Piece(
                                "C",
                                "Interfacing",
                                Role.INTERFACING,
                                "interfacing",
                                2,
                                "interfacing(panel_width(width; depth; seam); seam)",
                                "interfacing(panel_height(height; depth; seam; seam); seam)",
                                false,
                                false,
                                Optional.of("A")),
                        new Piece(
                                "D",
                                "End tab",
                                Role.TAB,
                                "outer",
                                2,
                                "1 1/4 in",
                                "3 in",
                                false,
                                false,
                                Optional.empty())),
                List.of(new TrimNeed("Zip", "zip", 1, "zip_inset(panel_width(width; depth; seam); seam; 1/4 in)")),
                List.of(new NotionNeed("Slider", "slider", 1), new NotionNeed("Label", "label", 1)),
                List.of(
                        step("Cut", Stage.CUT, Station.CUTTING_TABLE, 3, 10),
                        step("Sew", Stage.SEW, Station.MACHINE, 15, 20),
                        step("Press and pack", Stage.FINISH, Station.PRESS, 2, 5)));
    }

    private static Piece panel(String letter, String name, Role role, String slot) {
        return new Piece(
                letter,
                name,
                role,
                slot,
                2,
                "panel_width(width; depth; seam)",
                "panel_height(below_zip(height; shows); depth; seam; seam)",
                true,
                true,
                Optional.empty());
    }

    private static Step step(String name, Stage stage, Station station, int perUnit, int perBatch) {
        return new Step(
                name,
                stage,
                station,
                SetUp.NONE,
                Duration.ofMinutes(perUnit),
                Duration.ofMinutes(perBatch),
                Duration.ZERO,
                "");
    }
}
