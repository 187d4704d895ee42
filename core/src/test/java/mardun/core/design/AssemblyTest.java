package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.Panel.Part;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import org.junit.jupiter.api.Test;

class AssemblyTest {

    private static final Part YOKE = new Part("A", "");
    private static final Part ZIP = new Part("Z", "3/8 in");
    private static final Part BODY = new Part("B", "");

    private static DesignMaker twoParts() {
        return DesignMaker.empty()
                .pieces(
                        Piece.of("A", "Yoke", Role.OUTER, "outer", "1", "10 1/2 in", "3 in"),
                        Piece.of("B", "Body", Role.OUTER, "outer", "1", "10 1/2 in", "6 in"))
                .trims(TrimNeed.of("Z", "Zip", TrimNeed.Kind.ZIP, "zip", "1", "10 1/2 in"));
    }

    private static Panel panel(String letter, Panel.Direction direction, Part... parts) {
        return new Panel(letter, "Face " + letter, direction, List.of(parts), "1/4 in", Optional.empty(), List.of());
    }

    private static SizedDesign sized(DesignMaker maker) {
        return Sizing.of(maker.make(), 0);
    }

    @Test
    void twoPartsMeasureTheirSumLessTwoAllowances() {
        SizedDesign sized = sized(twoParts().panels(panel("P", Panel.Direction.DOWN, YOKE, BODY)));
        assertThat(sized.findings()).isEmpty();
        assertThat(sized.extent("P")).contains(extent("10 1/2 x 8 1/2"));
        assertThat(sized.panel("P").orElseThrow().height().working().rule()).contains("sum of its parts");
    }

    @Test
    void aZipBetweenTakesOneAllowanceOfEachAndAddsWhatShows() {
        SizedDesign sized = sized(twoParts().panels(panel("P", Panel.Direction.DOWN, YOKE, ZIP, BODY)));
        assertThat(sized.extent("P")).contains(extent("10 1/2 x 8 7/8"));
        SizedPanel.Interval zip = sized.panel("P").orElseThrow().zips().get(0);
        assertThat(zip.from()).isEqualTo(in("2 3/4"));
        assertThat(zip.to()).isEqualTo(in("3 1/8"));
    }

    @Test
    void aPanelMayBePartOfAPanelAndBeTrimmed() {
        Panel face = new Panel(
                "Q",
                "Two faces",
                Panel.Direction.ACROSS,
                List.of(new Part("P", ""), new Part("P", "")),
                "1/4 in",
                Optional.of(new Piece.TrimTo("20 in", "8 1/4 in")),
                List.of());
        SizedDesign sized = sized(twoParts().panels(panel("P", Panel.Direction.DOWN, YOKE, BODY), face));
        assertThat(sized.panel("Q").orElseThrow().width().value()).isEqualTo(in("20 1/2"));
        assertThat(sized.extent("Q")).contains(extent("20 x 8 1/4"));
        assertThat(sized.findings()).isEmpty();
    }

    @Test
    void theBagsSizeFollowsFromTheAssembledPanel() {
        BoxedBag bag = new BoxedBag(
                BoxingSchool.CUT_BEFORE_SEWING,
                BaseEdge.SEAM,
                Optional.of("P"),
                Optional.empty(),
                "2 in",
                "1/4 in",
                "1/4 in",
                "1/4 in",
                "1/4 in",
                "",
                "");
        SizedDesign sized = sized(
                twoParts().panels(panel("P", Panel.Direction.DOWN, YOKE, BODY)).form(bag));
        Finished finished = sized.finished().orElseThrow();
        assertThat(finished.width().value()).isEqualTo(Quantity.of(in("8")));
        assertThat(finished.height().value()).isEqualTo(Quantity.of(in("7")));
        assertThat(finished.across().orElseThrow().value()).isEqualTo(Quantity.of(in("10")));
    }

    @Test
    void partsThatDifferAcrossTheirJoinAreTold() {
        SizedDesign sized = sized(twoParts()
                .piece("A", p -> DesignMaker.sized(p, "11 in", "3 in"))
                .panels(panel("P", Panel.Direction.DOWN, YOKE, BODY)));
        assertThat(sized.findings()).singleElement().satisfies(finding -> {
            assertThat(finding.check()).contains(Check.JOIN_MATCH);
            assertThat(finding.place()).isEqualTo("panels.P");
        });
    }

    @Test
    void aPanelWithinItselfNamesTheCircleAndAMissingPartIsNamed() {
        assertThat(sized(twoParts()
                                .panels(
                                        panel("P", Panel.Direction.DOWN, YOKE, new Part("Q", "")),
                                        panel("Q", Panel.Direction.DOWN, BODY, new Part("P", ""))))
                        .findings())
                .extracting(f -> f.what().words())
                .anyMatch(sentence -> sentence.contains("P → Q → P"));
        assertThat(sized(twoParts().panels(panel("P", Panel.Direction.DOWN, YOKE, new Part("X", ""))))
                        .findings())
                .extracting(f -> f.what().words())
                .anyMatch(sentence -> sentence.contains("asks for “X”"));
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Extent extent(String text) {
        return LengthReader.readExtent(text, LengthUnit.INCH);
    }

    @Test
    void aTuckTakesTwiceItsDepthAndIsJoinedToNothing() {
        Panel plain = panel("P", Panel.Direction.DOWN, YOKE, ZIP, BODY);
        Panel tucked =
                panel("P", Panel.Direction.DOWN, YOKE, new Part("", "", "1/2 in", Panel.Hang.FLAT, ""), ZIP, BODY);
        SizedPanel without = sized(twoParts().panels(plain)).panels().get(0);
        SizedPanel with = sized(twoParts().panels(tucked)).panels().get(0);
        assertThat(without.height().value().minus(with.height().value())).isEqualTo(in("1"));
        assertThat(without.zips().get(0).from().minus(with.zips().get(0).from()))
                .isEqualTo(in("1"));
        assertThat(with.width().value()).isEqualTo(without.width().value());
    }

    private static DesignMaker with(String bodyWidth) {
        return DesignMaker.empty()
                .pieces(
                        Piece.of("A", "Yoke", Role.OUTER, "outer", "1", "10 1/2 in", "3 in"),
                        Piece.of("B", "Skirt", Role.OUTER, "outer", "1", bodyWidth, "6 in"));
    }

    @Test
    void aGatheredPartTakesTheWidthOfWhatItIsSewnTo() {
        Part gathered = new Part("B", "", "", Panel.Hang.GATHERED, "");
        SizedDesign skirt = sized(with("21 in").panels(panel("P", Panel.Direction.DOWN, YOKE, gathered)));
        assertThat(skirt.findings()).isEmpty();
        assertThat(skirt.extent("P")).contains(extent("10 1/2 x 8 1/2"));
        assertThat(sized(with("11 in").panels(panel("P", Panel.Direction.DOWN, YOKE, gathered)))
                        .findings())
                .singleElement()
                .matches(finding -> finding.check().equals(Optional.of(Check.GATHER)))
                .matches(finding -> finding.place().equals("panels.P.parts.1"));
        assertThat(sized(with("21 in").panels(panel("P", Panel.Direction.DOWN, YOKE, BODY)))
                        .findings())
                .singleElement()
                .matches(finding -> finding.check().equals(Optional.of(Check.JOIN_MATCH)));
    }

    /** 7 1/2 over a width of 10 is a slope of 3/4, along which an allowance is 5/4 as long. */
    @Test
    void aSlantedSeamTakesItsSlantAndLongerAllowances() {
        DesignMaker parts = DesignMaker.empty()
                .pieces(
                        Piece.of("A", "Upper", Role.OUTER, "outer", "1", "10 in", "9 in"),
                        Piece.of("B", "Lower", Role.OUTER, "outer", "1", "10 in", "9 in"));
        Panel slanted =
                panel("P", Panel.Direction.DOWN, new Part("A", "", "", Panel.Hang.FLAT, "7 1/2 in"), new Part("B", ""));
        SizedDesign sized = sized(parts.panels(slanted));
        assertThat(sized.findings()).isEmpty();
        assertThat(sized.extent("P")).contains(extent("10 x 9 7/8"));
    }

    @Test
    void aSlantedSeamJoinsTwoCloths() {
        Part slanted = new Part("A", "", "", Panel.Hang.FLAT, "1 in");
        assertThat(sized(twoParts().panels(panel("P", Panel.Direction.DOWN, slanted, ZIP, BODY)))
                        .findings())
                .singleElement()
                .matches(Finding::isRefused)
                .matches(finding -> finding.place().equals("panels.P.parts.0.slant"));
        assertThat(sized(twoParts().panels(panel("P", Panel.Direction.DOWN, BODY, slanted)))
                        .findings())
                .singleElement()
                .matches(finding -> finding.place().equals("panels.P.parts.1.slant"));
    }

    @Test
    void aSeamSlantsNoFurtherThanItsPartsAreLong() {
        Part slanted = new Part("A", "", "", Panel.Hang.FLAT, "3 1/2 in");
        SizedDesign sized = sized(twoParts().panels(panel("P", Panel.Direction.DOWN, slanted, BODY)));
        assertThat(sized.findings())
                .singleElement()
                .matches(Finding::isRefused)
                .matches(finding -> finding.place().equals("panels.P.parts.0.slant"));
        Part fine =
                new Part("A", "", "", Panel.Hang.FLAT, "1 in / 7 / 7 / 7 / 7 / 7 / 7 / 7 / 7 / 7 / 7 / 7 / 7 / 7 / 7");
        assertThat(sized(twoParts().panels(panel("P", Panel.Direction.DOWN, fine, BODY)))
                        .extent("P"))
                .contains(extent("10 1/2 x 8 1/2"));
    }
}
