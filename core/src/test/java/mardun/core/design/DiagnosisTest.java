package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.Diagnosis.Explanation;
import mardun.core.design.Diagnosis.Measured;
import mardun.core.design.Diagnosis.Named;
import mardun.core.design.Diagnosis.Report;
import mardun.core.design.Measurement.Kind;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Value;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DiagnosisTest {

    private static final int MEDIUM = 1;

    private static Report explain(Design design, String width, String height, String depth) {
        return Diagnosis.explain(
                design,
                Sizing.of(design, MEDIUM),
                new Measured(
                        Optional.of(in(width)), Optional.of(in(height)), Optional.of(in(depth)), Optional.empty()));
    }

    private static String first(Report report) {
        return report.explanations().get(0).slips().get(0).what().words();
    }

    @Test
    void aBagAsPlannedNeedsNoExplanation() {
        Report report = explain(Pouch.design(), "7 1/2", "6 1/4", "2 9/16");
        assertThat(report.asPlanned()).isTrue();
        assertThat(report.explanations()).isEmpty();
    }

    @Test
    void theSameSquaresMeasuredFromTheStitching() {
        Report report = explain(Pouch.design(), "7", "6", "3");
        assertThat(first(report)).isEqualTo("The corners were cut from the stitching, not from the raw edge.");
        assertThat(report.explanations().get(0).misses()).isEqualTo(Length.ZERO);
        assertThat(report.explanations().get(0).slips().get(0).remedy().words()).contains("from the raw edges");
    }

    @Test
    void aSideSeamSewnWiderWhereCornersAreCutAfterwards() {
        Design design = Pouch.with("7 1/2 in", "2 1/2 in", "1/4 in", BoxingSchool.CUT_AFTER_SEWING);
        Explanation explanation =
                explain(design, "7 1/4", "6 1/4", "2 1/2").explanations().get(0);
        assertThat(explanation.slips().get(0).what().words())
                .isEqualTo("The side seam was sewn {1} wide instead of {2}.");
        assertThat(explanation.slips().get(0).what().values().get(1)).isEqualTo(Value.of(in("3/8")));
    }

    @Test
    void twoSlipsTogetherAreFoundWhenOneExplainsNothing() {
        Design design = Pouch.with("7 1/2 in", "2 1/2 in", "1/4 in", BoxingSchool.CUT_AFTER_SEWING);
        Report report = explain(design, "7 1/4", "5 7/8", "2 1/2");
        List<Named> slips = report.explanations().get(0).slips();
        assertThat(slips).hasSize(2);
        assertThat(slips).anyMatch(s -> s.what().words().startsWith("The side seam"));
    }

    @Test
    void aLineDrawnALengthLongInsteadOfADistanceFromThePoint() {
        Design design = Pouch.with("7 1/2 in", "2 1/2 in", "1/4 in", BoxingSchool.LINE_ACROSS);
        // Half as deep: what the bag loses in depth it gains in width and, by half of it, in height.
        assertThat(first(explain(design, "8 3/4", "6 7/8", "1 1/4")))
                .isEqualTo("The line across the corner was drawn {0} long, not {0} away from the point.");
        assertThat(first(explain(design, "5", "5", "5")))
                .startsWith("The line across the corner was drawn {0} away from the point");
    }

    @Test
    void oneSeamAllRoundButAtTheTop() {
        Design design = Pouch.with("7 1/2 in", "2 1/2 in", "1/4 in", BoxingSchool.CUT_AFTER_SEWING);
        // Side, base and boxing seam of 3/8 for 1/4: 1/4 and 1/4 narrower, 1/8 and 1/8 lower, 1/4 deeper.
        Report report = explain(design, "7", "6", "2 3/4");
        assertThat(Stream.concat(
                                report.explanations().stream().map(Explanation::slips),
                                report.explanations().stream().flatMap(e -> e.instead().stream()))
                        .flatMap(List::stream)
                        .map(slip -> slip.what().words()))
                .contains("All seams but the one at the top were sewn {0} wide instead of {1}.");
    }

    @Test
    void aCornerMeasureOfAnotherSize() {
        Design design = DesignMaker.from(Pouch.design())
                .measured(Measurement.of("depth", "Depth", Kind.FINISHED, "1 1/2 in", "2 1/2 in"))
                .make();
        Sewn small = Sizing.of(design, 0).sewn().orElseThrow();
        Sewn medium = Sizing.of(design, MEDIUM).sewn().orElseThrow();
        Finished mixed = design.form()
                .finish(medium.with(FormMeasure.CUT_FROM_SIDE, small.get(FormMeasure.CUT_FROM_SIDE))
                        .with(FormMeasure.CUT_FROM_BASE, small.get(FormMeasure.CUT_FROM_BASE)));
        Report report = Diagnosis.explain(
                design,
                Sizing.of(design, MEDIUM),
                new Measured(
                        Optional.of(mixed.width().value().toLength(ShownRounding.NEAREST)),
                        Optional.of(mixed.height().value().toLength(ShownRounding.NEAREST)),
                        Optional.of(mixed.depth().value().toLength(ShownRounding.NEAREST)),
                        Optional.empty()));
        assertThat(first(report)).startsWith("The corners were measured as for the size “small”");
    }

    @Test
    void nothingIsListedTwice() {
        Design design = Pouch.with("7 1/2 in", "2 1/2 in", "1/4 in", BoxingSchool.CUT_AFTER_SEWING);
        for (String height : List.of("5 7/8", "6", "6 1/2")) {
            for (Explanation explanation :
                    explain(design, "7 1/4", height, "2 1/2").explanations()) {
                List<List<Named>> all = new ArrayList<>(explanation.instead());
                all.add(explanation.slips());
                assertThat(all).doesNotHaveDuplicates();
            }
        }
    }

    @Test
    void whatNothingExplainsSaysSo() {
        assertThat(explain(Pouch.design(), "15", "1", "9").explanations()).isEmpty();
    }

    @Test
    void somethingHasToBeMeasured() {
        Design design = Pouch.design();
        SizedDesign sized = Sizing.of(design, MEDIUM);
        Measured nothing = new Measured(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
        assertThatThrownBy(() -> Diagnosis.explain(design, sized, nothing)).hasMessage("nothing was measured");
    }

    static Stream<Design> designs() {
        List<Design> designs = new ArrayList<>();
        for (BoxingSchool school : BoxingSchool.values()) {
            designs.add(withTop(Pouch.with("7 1/2 in", "2 1/2 in", "1/4 in", school)));
            designs.add(withTop(Pouch.with("20 cm", "8 cm", "1 cm", school)));
        }
        designs.add(DesignMaker.from(withTop(Pouch.design()))
                .form(new BoxedBag(
                        BoxingSchool.CUT_BEFORE_SEWING,
                        BaseEdge.FOLD,
                        Optional.of("A"),
                        Optional.empty(),
                        "depth",
                        "seam",
                        "top",
                        "",
                        "seam",
                        "shows",
                        ""))
                .make());
        return designs.stream();
    }

    /** With different seams and a zip that shows, so that slips can be told apart. */
    private static Design withTop(Design design) {
        BoxedBag bag = (BoxedBag) design.form();
        return DesignMaker.from(design)
                .measured(
                        Measurement.of("top", "Top seam", Kind.ALLOWANCE, "3/8 in"),
                        Measurement.of("shows", "Zip shows", Kind.ALLOWANCE, "3/4 in"))
                .form(new BoxedBag(
                        bag.school(),
                        bag.base(),
                        bag.outer(),
                        Optional.empty(),
                        "depth",
                        "seam",
                        "top",
                        "seam",
                        "seam",
                        "shows",
                        ""))
                .make();
    }

    /** Each slip is planted, the bag that it makes is measured as exactly as a tape measure is read, and it is named first. */
    @ParameterizedTest
    @MethodSource("designs")
    void ofPlantedSlipsTheRightOneIsNamedFirst(Design design) {
        SizedDesign sized = Sizing.of(design, MEDIUM);
        Sewn sewn = sized.sewn().orElseThrow();
        Random random = new Random(11);
        int planted = 0;
        for (Slip slip : Slips.of(design.form(), sewn, Map.of())) {
            Finished made =
                    slip.effect().apply(new Slip.Trial(design.form(), sewn)).finish();
            if (made.width().value().value().signum() <= 0
                    || made.height().value().value().signum() <= 0) {
                continue;
            }
            Report report = Diagnosis.explain(
                    design,
                    sized,
                    new Measured(
                            Optional.of(read(made.width().value(), random)),
                            Optional.of(read(made.height().value(), random)),
                            Optional.of(read(made.depth().value(), random)),
                            made.across().map(a -> read(a.value(), random))));
            if (report.asPlanned()) {
                continue;
            }
            planted++;
            Explanation explanation = report.explanations().get(0);
            List<Named> named = Stream.concat(Stream.of(explanation.slips()), explanation.instead().stream())
                    .filter(slips -> slips.size() == 1)
                    .flatMap(List::stream)
                    .toList();
            assertThat(named)
                    .as("%s %s", slip.what(), sized.finished())
                    .contains(new Named(slip.what(), slip.remedy()));
        }
        assertThat(planted).isGreaterThan(25);
    }

    /** A length read off a tape measure: a hair to one side or the other. */
    private static Length read(Quantity exact, Random random) {
        long hair = Length.of(1, 64, LengthUnit.INCH).nanometres();
        return new Length(
                exact.toLength(ShownRounding.NEAREST).nanometres() + Math.round((random.nextDouble() - 0.5) * hair));
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }
}
