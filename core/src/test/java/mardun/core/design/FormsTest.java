package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.construction.SideEdge;
import mardun.core.design.Measurement.Kind;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.Quantity;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Forms other than the boxed one, shapes, counts, choices and fillings. */
class FormsTest {

    @Test
    void foldedSidesFinishAtWhatWasWanted() {
        SizedDesign sized = Sizing.of(foldedSides("4 in", "9 in", "1 in"), 0);
        assertThat(sized.findings()).isEmpty();
        Finished finished = sized.finished().orElseThrow();
        assertThat(finished.width().value()).isEqualTo(q("9 in"));
        assertThat(finished.height().value()).isEqualTo(q("4 in"));
        assertThat(finished.depth().value()).isEqualTo(q("2 in"));
    }

    private static Design foldedSides(String height, String length, String fold) {
        return DesignMaker.empty()
                .measured(
                        Measurement.of("height", "Height", Kind.FINISHED, height),
                        Measurement.of("length", "Length", Kind.FINISHED, length),
                        Measurement.of("fold", "Fold", Kind.ALLOWANCE, fold),
                        Measurement.of("seam", "Seam", Kind.ALLOWANCE, "1/4 in"))
                .pieces(Piece.of(
                        "A",
                        "Wrap",
                        Role.OUTER,
                        "outer",
                        "1",
                        "wrap_across(length; seam)",
                        "wrap(height; fold; seam; 3/8 in)"))
                .form(new FoldedSideBag(Optional.of("A"), Optional.empty(), "fold", "seam", "seam", "3/8 in"))
                .make();
    }

    private static DesignMaker gusseted(String radius, String gussetLength) {
        return DesignMaker.empty()
                .measured(
                        Measurement.of("width", "Width", Kind.FINISHED, "10 in"),
                        Measurement.of("height", "Height", Kind.FINISHED, "8 in"),
                        Measurement.of("depth", "Depth", Kind.FINISHED, "3 in"),
                        Measurement.of("seam", "Seam", Kind.ALLOWANCE, "1/4 in"),
                        Measurement.of("radius", "Radius", Kind.ALLOWANCE, radius))
                .pieces(
                        Piece.of(
                                "A",
                                "Face",
                                Role.OUTER,
                                "outer",
                                "2",
                                "gusset_face(width; seam)",
                                "gusset_height(height; seam; seam)"),
                        Piece.of("G", "Gusset", Role.OUTER, "outer", "1", gussetLength, "gusset_width(depth; seam)"))
                .form(new GussetedBag(Optional.of("A"), Optional.empty(), "G", "seam", "seam", "seam", "radius"));
    }

    @Test
    void aGussetGoesRoundItsFace() {
        SizedDesign sized = Sizing.of(
                gusseted("2 in", "gusset_length(width; height; radius; seam)").make(), 0);
        assertThat(sized.findings()).isEmpty();
        assertThat(sized.finished().orElseThrow().depth().value()).isEqualTo(q("3 in"));
        assertThat(sized.finished().orElseThrow().height().value()).isEqualTo(q("8 in"));
    }

    @Test
    void aGussetThatIsTooShortIsTold() {
        SizedDesign sized = Sizing.of(
                gusseted("0 in", "gusset_length(width; height; 2 in; seam)").make(), 0);
        assertThat(sized.findings())
                .singleElement()
                .satisfies(f -> assertThat(f.check()).contains(Check.GUSSET_LENGTH));
    }

    @ParameterizedTest
    @CsvSource({"round_base(diameter; seam), true", "round_base(diameter; 1/2 in), false"})
    void aBodyGoesRoundItsBase(String base, boolean fits) {
        Design design = DesignMaker.empty()
                .measured(
                        Measurement.of("diameter", "Diameter", Kind.FINISHED, "15 cm"),
                        Measurement.of("seam", "Seam", Kind.ALLOWANCE, "1 cm"))
                .pieces(
                        Piece.of("A", "Body", Role.OUTER, "outer", "1", "round_body(diameter; seam)", "20 cm"),
                        DesignMaker.shaped(Piece.of("B", "Base", Role.OUTER, "outer", "1", base, base), Shape.CIRCLE))
                .form(new RoundBag(Optional.of("A"), Optional.empty(), "B", "seam", "seam", "seam"))
                .make();
        SizedDesign sized = Sizing.of(design, 0);
        assertThat(sized.findings().isEmpty()).isEqualTo(fits);
        assertThat(sized.finished().orElseThrow().width().value().value().doubleValue())
                .isCloseTo(15e7, within(1.0));
        assertThat(sized.finished().orElseThrow().height().value()).isEqualTo(q("18 cm"));
    }

    @Test
    void countsChoicesAndAnglesAreMeasurementsToo() {
        Design design = DesignMaker.empty()
                .sizes("four", "six")
                .measured(
                        Measurement.of("slots", "Slots", Kind.COUNT, "4", "6"),
                        new Measurement(
                                "lip", "Lip", Kind.CHOICE, List.of("hemmed", "bound"), List.of("bound", "hemmed")),
                        Measurement.of("slant", "Slant", Kind.ANGLE, "45°"),
                        Measurement.of("ratio", "Ratio", Kind.FACTOR, "1.5"))
                .pieces(
                        Piece.of(
                                "A",
                                "Slots",
                                Role.POCKET,
                                "outer",
                                "slots / 2",
                                "4 in * ratio",
                                "pick(lip; 3 in; 5 in) + 1 in * tan(slant)"),
                        Piece.of("B", "Only in six", Role.POCKET, "outer", "slots - 4", "1 in", "1 in"))
                .make();
        SizedDesign four = Sizing.of(design, 0);
        SizedDesign six = Sizing.of(design, 1);
        assertThat(four.findings()).isEmpty();
        assertThat(four.piece("A").orElseThrow().count()).isEqualTo(2);
        assertThat(four.piece("A").orElseThrow().height().value()).isEqualTo(in("6 in"));
        assertThat(four.piece("B")).isEmpty();
        assertThat(six.piece("A").orElseThrow().height().value()).isEqualTo(in("4 in"));
        assertThat(six.piece("B").orElseThrow().count()).isEqualTo(2);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    COUNT  | 2.5    | It is a whole number of things
                    COUNT  | 4 in   | Type a plain number
                    COUNT  | 0 - 1  | Make it zero or more
                    ANGLE  | 4 in   | Give it in degrees
                    ANGLE  | 200°   | less than 180
                    CHOICE | velvet | Choose bound or hemmed
                    FACTOR | 60°    | Type a plain number
                    """)
    void eachKindSaysWhatIsRight(Kind kind, String typed, String remedy) {
        Design design = DesignMaker.empty()
                .measured(new Measurement("m", "The measure", kind, List.of(typed), List.of("bound", "hemmed")))
                .make();
        assertThat(Sizing.of(design, 0).findings()).singleElement().satisfies(f -> {
            assertThat(f.place()).isEqualTo("measurements.m");
            assertThat(f.remedy().words()).contains(remedy);
        });
    }

    private static SizedDesign face(Shape... shapes) {
        return Sizing.of(
                DesignMaker.empty()
                        .pieces(DesignMaker.shaped(
                                Piece.of("A", "Face", Role.OUTER, "outer", "1", "10 in", "8 in"), shapes))
                        .make(),
                0);
    }

    private static Shape top(Shape.Kind kind, String across, String along) {
        return new Shape(kind, Shape.Place.TOP, across, along);
    }

    @ParameterizedTest
    @CsvSource({
        "NOTCHED, 3 in, 2 in, 7",
        "NOTCHED, 10 in, 2 in, 7",
        "NOTCHED, 12 in, 2 in, 0",
        "NOTCHED, 3 in, 8 in, 0",
        "ROUNDED, 5 in, '', 6",
        "ROUNDED, 5 in, 3 in, 6",
        "ROUNDED, 5 1/8 in, 3 in, 0",
        "SLANTED, 5 in, 8 in, 6",
        "CORNERS_CUT, 4 15/16 in, 3 in, 8",
        "CORNERS_CUT, 5 in, 3 in, 0",
        "TAPERED, 5 in, '', 4",
        "TAPERED, 6 in, '', 0"
    })
    void aShapeMayTakeAllOfAnEndAndNothingMore(Shape.Kind kind, String across, String along, int points) {
        SizedDesign sized = face(top(kind, across, along));
        assertThat(sized.canBeSewn()).isEqualTo(points > 0);
        assertThat(sized.piece("A").orElseThrow().outline().corners()).hasSize(points > 0 ? points : 4);
        assertThat(sized.piece("A").orElseThrow().shapes()).hasSize(points > 0 ? 1 : 0);
    }

    @Test
    void shapesOfDifferentPartsAreCombined() {
        SizedPiece piece = face(
                        top(Shape.Kind.NOTCHED, "4 in", "2 in"),
                        top(Shape.Kind.ROUNDED, "1 in", ""),
                        new Shape(Shape.Kind.CORNERS_CUT, Shape.Place.BOTTOM, "1 1/4 in", "1 1/4 in"))
                .piece("A")
                .orElseThrow();
        assertThat(piece.shapes()).hasSize(3);
        assertThat(piece.outline().corners()).hasSize(13);
    }

    @Test
    void twoShapesForTheSameCornersOrOneThatTakesTheRoomOfAnotherAreRefused() {
        SizedDesign twice = face(top(Shape.Kind.ROUNDED, "1 in", ""), top(Shape.Kind.SLANTED, "1 in", "1 in"));
        assertThat(twice.findings()).singleElement().satisfies(f -> {
            assertThat(f.place()).isEqualTo("pieces.A.shapes.1");
            assertThat(f.what().words()).isEqualTo("Face: two of its shapes are about the corners at the top.");
        });
        assertThat(face(top(Shape.Kind.ROUNDED, "4 in", ""), top(Shape.Kind.NOTCHED, "3 in", "1 in"))
                        .canBeSewn())
                .isFalse();
        assertThat(face(Shape.CIRCLE, top(Shape.Kind.NOTCHED, "3 in", "1 in")).canBeSewn())
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({"8 in, true", "4 in, true", "3 in, false", "9 in, false"})
    void aCircleWithAFlatIsHalfToAllOfACircleHigh(String height, boolean fits) {
        Piece base = Piece.of("A", "Base", Role.OUTER, "outer", "1", "8 in", height);
        Design design = DesignMaker.empty()
                .pieces(DesignMaker.shaped(base, new Shape(Shape.Kind.CIRCLE_WITH_FLAT, Shape.Place.BOTTOM, "", "")))
                .make();
        assertThat(Sizing.of(design, 0).canBeSewn()).isEqualTo(fits);
    }

    @Test
    void aNotchStaysWhereTheCornersAreBoxed() {
        Shape notch = top(Shape.Kind.NOTCHED, "4 in", "2 in");
        Design seam = DesignMaker.from(Pouch.design())
                .form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.SEAM))
                .piece("A", p -> DesignMaker.boxedAndShaped(p, notch))
                .make();
        assertThat(Sizing.of(seam, 1).piece("A").orElseThrow().outline().corners())
                .hasSize(11);
        Design fold = DesignMaker.from(Pouch.design())
                .form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.FOLD))
                .piece("A", p -> DesignMaker.boxedAndShaped(p, notch))
                .make();
        assertThat(Sizing.of(fold, 1).piece("A").orElseThrow().outline().corners())
                .hasSize(15);
    }

    @Test
    void layersCountAndFillingsAreWeighed() {
        Design design = DesignMaker.empty()
                .pieces(DesignMaker.counted(Piece.of("A", "Face", Role.OUTER, "outer", "2", "10 in", "8 in"), "2", 3))
                .fillings(new FillingNeed("Beads", "beads", List.of("120 g")))
                .make();
        SizedDesign sized = Sizing.of(design, 0);
        assertThat(sized.piece("A").orElseThrow().count()).isEqualTo(6);
        assertThat(sized.fillings())
                .singleElement()
                .satisfies(f -> assertThat(f.amount().amount()).isEqualTo(120_000_000_000L));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {3, 4, 5})
    void scalingAllMeasurementsScalesEveryPiece(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 50; i++) {
            int height = 60 + random.nextInt(100);
            int length = 100 + random.nextInt(100);
            int fold = 10 + random.nextInt(20);
            SizedDesign one = Sizing.of(scaled(height, length, fold, 1), 0);
            SizedDesign three = Sizing.of(scaled(height, length, fold, 3), 0);
            assertThat(three.piece("A").orElseThrow().width().value())
                    .isEqualTo(one.piece("A").orElseThrow().width().value().times(3));
            assertThat(three.piece("A").orElseThrow().height().value())
                    .isEqualTo(one.piece("A").orElseThrow().height().value().times(3));
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {8, 9, 10})
    void whateverIsTypedWhatCanBeSewnHasOnlyRealPieces(long seed) {
        Random random = new Random(seed);
        int sewn = 0;
        for (int i = 0; i < 200; i++) {
            Design folded = scaled(random.nextInt(150), random.nextInt(200), random.nextInt(60), 1);
            Design gusset = gusseted(mm(random.nextInt(120)), "gusset_length(width; height; radius; seam)")
                    .measured(
                            Measurement.of("width", "Width", Kind.FINISHED, mm(random.nextInt(300))),
                            Measurement.of("depth", "Depth", Kind.FINISHED, mm(random.nextInt(90))))
                    .make();
            for (Design design : List.of(folded, gusset)) {
                SizedDesign sized = Sizing.of(design, 0);
                if (sized.canBeSewn()) {
                    sewn++;
                    assertThat(sized.pieces()).hasSameSizeAs(design.pieces()).allSatisfy(p -> {
                        assertThat(p.width().value().isPositive()).isTrue();
                        assertThat(p.height().value().isPositive()).isTrue();
                    });
                    Finished finished = sized.finished().orElseThrow();
                    assertThat(finished.width().value().value().signum()).isPositive();
                    assertThat(finished.height().value().value().signum()).isPositive();
                }
            }
        }
        assertThat(sewn).isBetween(100, 399);
    }

    private static Design scaled(int height, int length, int fold, int factor) {
        return DesignMaker.from(foldedSides(mm(height * factor), mm(length * factor), mm(fold * factor)))
                .measured(Measurement.of("seam", "Seam", Kind.ALLOWANCE, mm(7 * factor)))
                .piece("A", p -> DesignMaker.sized(p, p.width(), "wrap(height; fold; seam; " + mm(9 * factor) + ")"))
                .make();
    }

    private static String mm(int count) {
        return LengthWriter.exactly(Length.of(count, LengthUnit.MILLIMETRE), UnitSystem.METRIC);
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Quantity q(String text) {
        return Quantity.of(in(text));
    }

    @Test
    void aBagWithAVIsLessHighBelowIt() {
        Shape notch = top(Shape.Kind.NOTCHED, "4 in", "2 in");
        Design design = DesignMaker.from(Pouch.design())
                .piece("A", p -> DesignMaker.edged(DesignMaker.boxedAndShaped(p, notch), Edges.all("1/4 in")))
                .make();
        Finished finished = Sizing.of(design, 1).finished().orElseThrow();
        // Half the V's angle is 45°, so sewing makes it a quarter by the sine of that deeper.
        double below = finished.below().orElseThrow().value().value().doubleValue();
        double tips = finished.height().value().value().doubleValue();
        double inch = 25_400_000;
        assertThat((tips - below) / inch).isCloseTo(2 + 0.25 * Math.sqrt(2) - 0.25, within(1e-6));
        assertThat(Sizing.of(Pouch.design(), 1).finished().orElseThrow().below())
                .isEmpty();
    }

    @Test
    void aLiningThatRollsOverTheRimStandsAboveTheOuter() {
        BoxedBag flat = Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.SEAM);
        BoxedBag rolled = new BoxedBag(
                flat.school(),
                flat.base(),
                flat.outer(),
                flat.lining(),
                flat.depth(),
                flat.sideSeam(),
                flat.topSeam(),
                flat.baseSeam(),
                flat.boxingSeam(),
                flat.zipShows(),
                "3/4 in");
        Quantity plain = heightOf(flat);
        assertThat(heightOf(rolled).minus(plain)).isEqualTo(Quantity.of(Length.of(3, 4, LengthUnit.INCH)));
    }

    private static Quantity heightOf(BagForm form) {
        Design design = DesignMaker.from(Pouch.design()).form(form).make();
        return Sizing.of(design, 1).finished().orElseThrow().height().value();
    }

    /** 2 × (8 + 3) + 2 × 1/2 in is 23 in: one piece for a base of 8 in and a depth of 3 in. */
    private static SizedDesign round(SideEdge sides, String width) {
        return round(sides, BaseEdge.SEAM, width);
    }

    private static SizedDesign round(SideEdge sides, BaseEdge base, String width) {
        BoxedBag bag = new BoxedBag(
                BoxingSchool.CUT_BEFORE_SEWING,
                base,
                Optional.of("A"),
                Optional.empty(),
                "3 in",
                "1/2 in",
                "1/2 in",
                "1/2 in",
                "1/2 in",
                "",
                "",
                Optional.empty(),
                sides);
        return Sizing.of(
                DesignMaker.empty()
                        .form(bag)
                        .pieces(DesignMaker.boxed(
                                Piece.of("A", "Round", Role.OUTER, "outer", "1", width, "10 in"), false))
                        .make(),
                0);
    }

    @ParameterizedTest
    @EnumSource(
            value = SideEdge.class,
            names = {"ONE_FOLD", "BACK_SEAM"})
    void onePieceRoundTheBagHasOneSeam(SideEdge sides) {
        SizedDesign sized = round(sides, "round_panel_width(8 in; 3 in; 1/2 in)");
        assertThat(sized.findings()).isEmpty();
        assertThat(sized.piece("A").orElseThrow().extent().width()).isEqualTo(Length.of(23, LengthUnit.INCH));
        Finished finished = sized.finished().orElseThrow();
        assertThat(finished.width().value()).isEqualTo(Quantity.of(Length.of(8, LengthUnit.INCH)));
        assertThat(finished.depth().value()).isEqualTo(Quantity.of(Length.of(3, LengthUnit.INCH)));
        assertThat(finished.across().orElseThrow().value()).isEqualTo(Quantity.of(Length.of(11, LengthUnit.INCH)));
    }

    @Test
    void onePieceRoundTheBagHasABaseSeam() {
        assertThat(round(SideEdge.BACK_SEAM, BaseEdge.FOLD, "23 in").findings())
                .filteredOn(Finding::isRefused)
                .extracting(Finding::place)
                .contains("form.base");
    }

    /** From the fold 1 in on each side, from the side 1 1/2 in; from the base 1 1/2 in. */
    @Test
    void itsCornersLieAtTheFoldOrBetweenTheSeam() {
        assertThat(PieceNotes.of(round(SideEdge.ONE_FOLD, "23 in").piece("A").orElseThrow())
                        .get(0)
                        .words())
                .contains("on each side of a fold");
        assertThat(cutOuts(SideEdge.ONE_FOLD)).containsExactly(1.5, 10.5, 12.5, 21.5);
        // Between the seams are 22 in; a quarter of them from the middle is 6 in and 17 in.
        assertThat(cutOuts(SideEdge.BACK_SEAM)).containsExactly(5.0, 7.0, 16.0, 18.0);
        assertThat(cutOuts(SideEdge.SEAMS)).containsExactly(1.5, 21.5);
    }

    /** Where the bottom edge goes up, from left to right, in inches. */
    private static List<Double> cutOuts(SideEdge sides) {
        SizedPiece piece = round(sides, "23 in").piece("A").orElseThrow();
        double bottom = piece.extent().height().nanometres() / 1e6;
        return piece.outline().corners().stream()
                .filter(corner -> Math.abs(corner.y() - bottom) < 1e-6)
                .map(corner -> Math.round(corner.x() / 25.4 * 1e6) / 1e6)
                .filter(x -> x > 0 && x < 23)
                .sorted()
                .distinct()
                .toList();
    }
}
