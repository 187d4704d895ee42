package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.Measurement.Kind;
import mardun.core.measure.Extent;
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

class SizingTest {

    private static final int MEDIUM = 1;

    @Test
    void worksOutEveryPieceOfASize() {
        SizedDesign sized = Sizing.of(Pouch.design(), MEDIUM);
        assertThat(sized.canBeSewn()).isTrue();
        assertThat(sized.findings()).isEmpty();
        assertThat(sized.piece("A").orElseThrow().extent()).isEqualTo(extent("10 1/2 x 8"));
        assertThat(sized.piece("C").orElseThrow().extent()).isEqualTo(extent("10 x 7 1/2"));
        assertThat(sized.piece("D").orElseThrow().extent()).isEqualTo(extent("1 1/4 x 3"));
        assertThat(sized.trims().get(0).length().value()).isEqualTo(in("9 1/2"));
        assertThat(sized.corner().orElseThrow().fromSide().value()).isEqualTo(Quantity.of(in("1 1/4")));
    }

    @Test
    void tellsWhatEachFormulaComesTo() {
        Design tabbed = DesignMaker.from(Pouch.design())
                .trims(new TrimNeed(
                        "W", "Handle", TrimNeed.Kind.WEBBING, "zip", "1 + 1", "2 * width + depth", "2 * seam", "", ""))
                .make();
        SizedDesign sized = Sizing.of(tabbed, MEDIUM);
        assertThat(sized.workedOut())
                .containsEntry(everywhere("panel_width(width; depth; seam)"), Quantity.of(in("10 1/2")))
                .containsEntry(everywhere("1 + 1"), Quantity.of(2))
                // The length as it is written, without what is turned under.
                .containsEntry(everywhere("2 * width + depth"), Quantity.of(in("17 1/2")))
                .containsEntry(everywhere("2 * seam"), Quantity.of(in("1/2")))
                .doesNotContainKeys(everywhere("2"), everywhere("7 1/2 in"), everywhere("3 in"));
    }

    @Test
    void aFormulaOverThePiecesOwnSizeIsToldWhereItStands() {
        Mark mark = Mark.at(Mark.Kind.HARDWARE, "Snap", Mark.From.RAW, "piece_width / 2", "2 * seam");
        Design marked = DesignMaker.from(Pouch.design())
                .piece("A", piece -> DesignMaker.marked(piece, mark))
                .piece("D", piece -> DesignMaker.marked(piece, mark))
                .make();
        assertThat(Sizing.of(marked, MEDIUM).workedOut())
                .containsEntry(
                        new SizedDesign.FormulaAt(Optional.of("pieces.A.marks.0.across"), "piece_width / 2"),
                        Quantity.of(in("5 1/4")))
                .containsEntry(
                        new SizedDesign.FormulaAt(Optional.of("pieces.D.marks.0.across"), "piece_width / 2"),
                        Quantity.of(in("5/8")))
                .containsEntry(everywhere("2 * seam"), Quantity.of(in("1/2")));
    }

    private static SizedDesign.FormulaAt everywhere(String formula) {
        return new SizedDesign.FormulaAt(Optional.empty(), formula);
    }

    @Test
    void theOtherSizeFollowsTheSameFormulas() {
        SizedDesign sized = Sizing.of(Pouch.design(), 0);
        assertThat(sized.size()).isEqualTo("small");
        assertThat(sized.piece("A").orElseThrow().extent()).isEqualTo(extent("8 x 6 1/4"));
    }

    @ParameterizedTest
    @EnumSource(BoxingSchool.class)
    void whatIsCutFinishesAtWhatWasWanted(BoxingSchool school) {
        Random random = new Random(41);
        for (int i = 0; i < 100; i++) {
            Length width = Length.of(100 + random.nextInt(300), LengthUnit.MILLIMETRE);
            Length depth = Length.of(30 + random.nextInt(60), LengthUnit.MILLIMETRE);
            Length seam = Length.of(1 + random.nextInt(20), 32, LengthUnit.INCH);
            SizedDesign sized = Sizing.of(Pouch.with(text(width), text(depth), text(seam), school), MEDIUM);
            assertThat(sized.findings())
                    .as("seam %s", seam)
                    // Snipped corners are sewn with half the depth, whatever the boxing seam is.
                    .filteredOn(
                            f -> school != BoxingSchool.SNIPPED || !f.check().equals(Optional.of(Check.CORNER_CUT)))
                    .isEmpty();
            Finished finished = sized.finished().orElseThrow();
            assertThat(finished.width().value()).isEqualTo(Quantity.of(width));
            assertThat(finished.depth().value()).isEqualTo(Quantity.of(depth));
            assertThat(finished.height().value()).isEqualTo(Quantity.of(in("6 1/4")));
        }
    }

    @Test
    void onePieceFoldedAtTheBaseFinishesAsWanted() {
        UnaryOperator<Piece> folded =
                p -> DesignMaker.counted(DesignMaker.sized(p, p.width(), "folded_length(height; depth; seam)"), "1", 1);
        SizedDesign sized = Sizing.of(
                DesignMaker.from(Pouch.design())
                        .piece("A", p -> DesignMaker.boxed(folded.apply(p), false))
                        .piece("B", folded)
                        .form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.FOLD))
                        .make(),
                MEDIUM);
        assertThat(sized.findings()).isEmpty();
        assertThat(sized.piece("A").orElseThrow().extent()).isEqualTo(extent("10 1/2 x 15 1/2"));
        assertThat(sized.finished().orElseThrow().height().value()).isEqualTo(Quantity.of(in("6 1/4")));
        assertThat(sized.corner().orElseThrow().fromBase().value()).isEqualTo(Quantity.of(in("1")));
    }

    @Test
    void cutOutsThatMeetAreRefused() {
        SizedDesign sized = Sizing.of(replacing(Pouch.design(), "A", "2 1/2 in"), MEDIUM);
        assertThat(sized.findings())
                .anySatisfy(f -> assertThat(f.what().words()).contains("cut-outs of {1} meet in a width of {3}"));
        assertThat(sized.canBeSewn()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    13 1/2     | INCH   | 13 1/2 in
                    13-1/2     | INCH   | 13-1/2 in
                    13,5       | METRIC | 13,5 cm
                    13 1/2 in  | METRIC | 13 1/2 in
                    26.7cm     | INCH   | 26.7cm
                    0          | INCH   | 0 in
                    width + 2  | INCH   | width + 2
                    2 * seam   | METRIC | 2 * seam
                    nonsense   | INCH   | nonsense
                    """)
    void aBareLengthIsKeptWithTheMakersUnit(String typed, UnitSystem system, String kept) {
        assertThat(Measurement.kept(typed, system)).isEqualTo(kept);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    10 in         | 2 cm     | METRIC | 27.4 cm
                    10 in         | + 1/2    | INCH   | 10 ½ in
                    20 cm         | -2       | METRIC | 18 cm
                    width * 4 / 5 | +2 cm    | METRIC | (width * 4 / 5) + 2 cm
                    width         | - 1/4 in | INCH   | (width) - ¼ in
                    """)
    void aValueIsChangedForACopiedSize(String value, String change, UnitSystem system, String changed) {
        assertThat(Measurement.changed(value, change, system)).isEqualTo(changed);
    }

    @Test
    void aChangeThatLeavesLessThanNothingIsExplained() {
        assertThatThrownBy(() -> Measurement.changed("1 in", "-2", UnitSystem.INCH))
                .hasMessageContaining("leaves less than nothing of 1 in");
    }

    @Test
    void aFlatPouchHasNoCorners() {
        SizedDesign sized = Sizing.of(Pouch.with("7 1/2 in", "0 in", "1/4 in", BoxingSchool.CUT_BEFORE_SEWING), MEDIUM);
        assertThat(sized.canBeSewn()).isTrue();
        assertThat(sized.corner()).isEmpty();
        assertThat(sized.finished().orElseThrow().width().value()).isEqualTo(Quantity.of(in("7 1/2")));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    7 1/2 in | 1/4 in     | 1/4 in | CUT_BEFORE_SEWING | measurements.depth | smaller than its allowance
                    7 1/2 in | 1/2 in     | 1/4 in | CUT_AFTER_SEWING  | measurements.depth | nothing to cut out
                    0 in     | 2 1/2 in   | 1/4 in | CUT_BEFORE_SEWING | form               | there is no such bag
                    width    | 2 1/2 in   | 1/4 in | CUT_BEFORE_SEWING | measurements.width | goes in a circle
                    seam     | 2 1/2 in   | width  | CUT_BEFORE_SEWING | measurements.seam  | goes in a circle: Width at the base → Seam → Width at the base
                    7.5      | 2 1/2 in   | 1/4 in | CUT_BEFORE_SEWING | measurements.width | is a number, and Width at the base is a length
                    7 feets  | 2 1/2 in   | 1/4 in | CUT_BEFORE_SEWING | measurements.width | “7 feets” has “feets”
                    -3 in    | 2 1/2 in   | 1/4 in | CUT_BEFORE_SEWING | measurements.width | less than nothing
                    40 m     | 2 1/2 in   | 1/4 in | CUT_BEFORE_SEWING | measurements.width | longer than any cloth
                    hight    | 2 1/2 in   | 1/4 in | CUT_BEFORE_SEWING | measurements.width | no such measurement
                    """)
    void refusesWhatCannotBeSewn(
            String width, String depth, String seam, BoxingSchool school, String place, String why) {
        SizedDesign sized = Sizing.of(Pouch.with(width, depth, seam, school), MEDIUM);
        assertThat(sized.canBeSewn()).isFalse();
        assertThat(sized.findings()).anySatisfy(finding -> {
            assertThat(finding.place()).isEqualTo(place);
            assertThat(finding.what().words()).contains(why);
            assertThat(finding.remedy().words()).isNotBlank();
        });
    }

    @Test
    void oneBadMeasurementIsToldOnceAndTheRestIsStillWorkedOut() {
        SizedDesign sized =
                Sizing.of(Pouch.with("seven", "2 1/2 in", "1/4 in", BoxingSchool.CUT_BEFORE_SEWING), MEDIUM);
        assertThat(sized.findings()).hasSize(1);
        assertThat(sized.piece("D")).isPresent();
        assertThat(sized.piece("A")).isEmpty();
        assertThat(sized.measurements()).containsKeys("height", "depth", "seam").doesNotContainKey("width");
    }

    @Test
    void interfacingLargerThanItsPieceAndAShortZipAreCaredFor() {
        SizedDesign sized = Sizing.of(
                replacing(Pouch.with("1 in", "2 1/2 in", "1/4 in", BoxingSchool.CUT_BEFORE_SEWING), "C", "12 in"),
                MEDIUM);
        assertThat(sized.canBeSewn()).isTrue();
        assertThat(sized.findings()).extracting(Finding::place).containsExactly("pieces.C", "trims.Z");
    }

    @Test
    void aLiningThatFinishesOtherThanTheOuterIsCaredFor() {
        SizedDesign sized = Sizing.of(replacing(Pouch.design(), "B", "11 in"), MEDIUM);
        assertThat(sized.findings()).extracting(Finding::place).containsExactly("form.lining");
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {51, 52, 53, 54})
    void noDesignThatCanBeSewnHasAPieceOfNothing(long seed) {
        Random random = new Random(seed);
        int sewn = 0;
        for (int i = 0; i < 400; i++) {
            Design design = Pouch.with(
                    random.nextInt(200) + " mm",
                    random.nextInt(150) + " mm",
                    random.nextInt(30) + " mm",
                    BoxingSchool.values()[random.nextInt(5)]);
            SizedDesign sized = Sizing.of(design, MEDIUM);
            if (sized.canBeSewn()) {
                sewn++;
                assertThat(sized.pieces())
                        .hasSize(4)
                        .allSatisfy(p -> assertThat(p.width().value().isPositive()
                                        && p.height().value().isPositive())
                                .isTrue());
                assertThat(sized.finished()
                                .orElseThrow()
                                .width()
                                .value()
                                .value()
                                .signum())
                        .isPositive();
            }
        }
        assertThat(sewn).isBetween(20, 399);
    }

    @Test
    void aThirdOfALengthIsRoundedUpForAnOuterAndDownForInterfacing() {
        Design design = replacing(replacing(Pouch.design(), "A", "17 in / 3"), "C", "17 in / 3");
        SizedDesign sized = Sizing.of(design, MEDIUM);
        assertThat(sized.piece("A").orElseThrow().width().value().nanometres()).isEqualTo(143_933_334);
        assertThat(sized.piece("C").orElseThrow().width().value().nanometres()).isEqualTo(143_933_333);
    }

    @Test
    void measurementsMayFollowFromOthers() {
        Design design = DesignMaker.from(Pouch.design())
                .measured(Measurement.of("height", "Height", Kind.FINISHED, "width * 4 / 5"))
                .make();
        SizedDesign sized = Sizing.of(design, MEDIUM);
        assertThat(sized.finished().orElseThrow().height().value()).isEqualTo(Quantity.of(in("6")));
    }

    private static Design replacing(Design design, String letter, String width) {
        return DesignMaker.from(design)
                .piece(letter, p -> DesignMaker.sized(p, width, p.height()))
                .make();
    }

    private static String text(Length length) {
        return LengthWriter.exactly(length, UnitSystem.METRIC);
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Extent extent(String text) {
        return LengthReader.readExtent(text, LengthUnit.INCH);
    }
}
