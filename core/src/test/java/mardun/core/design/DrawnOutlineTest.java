package mardun.core.design;

import static mardun.core.design.DesignMaker.edged;
import static mardun.core.design.DesignMaker.shaped;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assertions.assertTimeout;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import mardun.core.design.DrawnOutline.DrawnPoint;
import mardun.core.design.DrawnOutline.Line;
import mardun.core.design.DrawnOutline.Tips;
import mardun.core.design.Outline.Side;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Outlines drawn by hand: the curves, the mirror image, what is let in, and where an outline that is sewn is cut. */
class DrawnOutlineTest {

    private static final double PRECISE = 1e-6;

    private static Piece piece(String width, String height, DrawnOutline drawn) {
        return shaped(Piece.of("A", "Ear", Role.OUTER, "outer", "1", width, height), Shape.drawn(drawn));
    }

    private static SizedDesign sizedDesign(Piece piece) {
        return Sizing.of(DesignMaker.empty().pieces(piece).make(), 0);
    }

    private static SizedPiece sized(Piece piece) {
        return sizedDesign(piece).piece("A").orElseThrow();
    }

    private static Outline outline(String width, String height, DrawnOutline drawn) {
        return sized(piece(width, height, drawn)).outline();
    }

    private static List<String> found(Piece piece) {
        return sizedDesign(piece).findings().stream()
                .filter(finding -> finding.place().startsWith("pieces.A.shapes"))
                .map(finding -> finding.what().template())
                .toList();
    }

    private static DrawnOutline whole(DrawnPoint... points) {
        return new DrawnOutline(List.of(points), false, Line.CUT, Tips.MITRED, "", "");
    }

    private static DrawnOutline half(DrawnPoint... points) {
        return new DrawnOutline(List.of(points), true, Line.CUT, Tips.MITRED, "", "");
    }

    private static DrawnOutline taller(DrawnOutline drawn, String at, String by) {
        return new DrawnOutline(drawn.points(), drawn.mirrored(), drawn.line(), drawn.tips(), at, by);
    }

    private static DrawnOutline sewn(DrawnOutline drawn, Tips tips) {
        return new DrawnOutline(drawn.points(), drawn.mirrored(), Line.SEWN, tips, "", "");
    }

    private static DrawnPoint straight(String across, String down, Side side) {
        return new DrawnPoint(across, down, false, false, side);
    }

    private static DrawnPoint corner(String across, String down, Side side) {
        return new DrawnPoint(across, down, false, true, side);
    }

    private static DrawnPoint curve(String across, String down, Side side) {
        return new DrawnPoint(across, down, true, false, side);
    }

    private static DrawnPoint curveToCorner(String across, String down, Side side) {
        return new DrawnPoint(across, down, true, true, side);
    }

    private static final DrawnOutline TRIANGLE = whole(
            straight("0 mm", "100 mm", Side.BOTTOM),
            straight("50 mm", "0 mm", Side.LEFT),
            straight("100 mm", "100 mm", Side.RIGHT));

    /** A flap: straight sides that go over into half a round. */
    private static final DrawnOutline FLAP = half(
            straight("50 mm", "0 mm", Side.TOP),
            straight("50 mm", "40 mm", Side.RIGHT),
            curve("0 mm", "90 mm", Side.BOTTOM));

    @ParameterizedTest
    @CsvSource({"3", "4", "5", "12"})
    void pointsOnACircleGiveTheCircle(int many) {
        Random random = new Random(many);
        List<DrawnPoint> points = new ArrayList<>();
        double turned = random.nextDouble();
        for (int i = 0; i < many; i++) {
            double angle = 2 * Math.PI * (i + 0.3 * random.nextDouble()) / many + turned;
            points.add(curve((50 + 40 * Math.cos(angle)) + " mm", (50 + 40 * Math.sin(angle)) + " mm", Side.TOP));
        }
        Outline circle = outline("100 mm", "100 mm", new DrawnOutline(points, false, Line.CUT, Tips.MITRED, "", ""));
        assertThat(circle.area()).isCloseTo(Math.PI * 1600, within(0.01));
        assertThat(circle.points(0.01))
                .allSatisfy(
                        point -> assertThat(point.distance(new Point(50, 50))).isCloseTo(40, within(1e-4)));
    }

    @Test
    void aCurveGoesOnFromAStraightLineWithoutAKink() {
        Outline flap = outline("100 mm", "90 mm", FLAP);
        assertThat(flap.area()).isCloseTo(100 * 40 + Math.PI * 50 * 50 / 2, within(0.01));
    }

    @Test
    void aCornerBreaksACurve() {
        DrawnOutline leaf = whole(
                curveToCorner("0 mm", "50 mm", Side.BOTTOM),
                curve("50 mm", "25 mm", Side.TOP),
                curveToCorner("100 mm", "50 mm", Side.TOP),
                curve("50 mm", "75 mm", Side.BOTTOM));
        // Two segments of a circle with a chord of 100 and 25 high.
        double radius = (50 * 50 + 25 * 25) / 50.0;
        double angle = 2 * Math.asin(50 / radius);
        assertThat(outline("100 mm", "100 mm", leaf).area())
                .isCloseTo(radius * radius * (angle - Math.sin(angle)), within(0.01));
    }

    @Test
    void aSideThatBulgesInwardsTakesAsMuchAwayAsOneThatBulgesOutwardsGives() {
        DrawnOutline in = whole(
                straight("0 mm", "0 mm", Side.LEFT),
                corner("100 mm", "0 mm", Side.TOP),
                curve("80 mm", "50 mm", Side.RIGHT),
                curveToCorner("100 mm", "100 mm", Side.RIGHT),
                straight("0 mm", "100 mm", Side.BOTTOM));
        DrawnOutline out = whole(
                straight("0 mm", "0 mm", Side.LEFT),
                corner("100 mm", "0 mm", Side.TOP),
                curve("120 mm", "50 mm", Side.RIGHT),
                curveToCorner("100 mm", "100 mm", Side.RIGHT),
                straight("0 mm", "100 mm", Side.BOTTOM));
        Outline inwards = outline("120 mm", "100 mm", in);
        Outline outwards = outline("120 mm", "100 mm", out);
        assertThat(inwards.corners()).anyMatch(Outline.Corner::bulgesInwards);
        assertThat(inwards.area() + outwards.area()).isCloseTo(2 * 100 * 100, within(0.01));
        assertThat(outwards.area()).isGreaterThan(100 * 100 + 1000);
    }

    @Test
    void theDirectionInWhichOneDrawsMakesNoDifference() {
        List<DrawnPoint> there = List.of(
                curve("10 mm", "60 mm", Side.BOTTOM),
                curve("30 mm", "5 mm", Side.LEFT),
                straight("80 mm", "20 mm", Side.TOP),
                curve("95 mm", "70 mm", Side.RIGHT));
        List<DrawnPoint> back = new ArrayList<>();
        for (int i = 0; i < there.size(); i++) {
            DrawnPoint point = there.get(i);
            DrawnPoint next = there.get((i + 1) % there.size());
            back.add(new DrawnPoint(point.across(), point.down(), next.curved(), point.corner(), next.side()));
        }
        Collections.reverse(back);
        Outline one = outline("110 mm", "110 mm", new DrawnOutline(there, false, Line.CUT, Tips.MITRED, "", ""));
        Outline other = outline("110 mm", "110 mm", new DrawnOutline(back, false, Line.CUT, Tips.MITRED, "", ""));
        assertThat(other.area()).isCloseTo(one.area(), within(PRECISE));
        assertThat(sides(other)).isEqualTo(sides(one));
    }

    private static Map<Side, Long> sides(Outline outline) {
        return outline.corners().stream().collect(Collectors.groupingBy(Outline.Corner::side, Collectors.counting()));
    }

    @Test
    void theLeftHalfIsTheMirrorImageWithItsSidesChanged() {
        Outline flap = outline("100 mm", "90 mm", FLAP);
        Polygon polygon = new Polygon(flap.points(0.01));
        assertThat(polygon.left()).isCloseTo(0, within(PRECISE));
        assertThat(polygon.right()).isCloseTo(100, within(PRECISE));
        assertThat(flap.corners()).anyMatch(corner -> corner.side() == Side.LEFT && corner.x() < 1);
        assertThat(flap.corners())
                .filteredOn(corner -> corner.side() == Side.LEFT)
                .allMatch(corner -> corner.x() < 50);
        assertThat(flap.corners())
                .filteredOn(corner -> corner.side() == Side.RIGHT)
                .allMatch(corner -> corner.x() > 50);
    }

    @Test
    void drawnAllRoundItIsWhatItsHalfIs() {
        DrawnOutline cut = whole(
                straight("piece_width / 2 + (50 mm)", "0 mm", Side.TOP),
                straight("piece_width / 2 + (50 mm)", "40 mm", Side.RIGHT),
                curve("piece_width / 2 + (0 mm)", "90 mm", Side.BOTTOM),
                curve("piece_width / 2 - (50 mm)", "40 mm", Side.BOTTOM),
                straight("piece_width / 2 - (50 mm)", "0 mm", Side.LEFT));
        assertThat(outline("100 mm", "90 mm", cut)).isEqualTo(outline("100 mm", "90 mm", FLAP));
        DrawnOutline seam = sewn(
                whole(
                        straight("50 mm", "0 mm", Side.TOP),
                        straight("50 mm", "40 mm", Side.RIGHT),
                        curve("0 mm", "90 mm", Side.BOTTOM),
                        curve("- (50 mm)", "40 mm", Side.BOTTOM),
                        straight("- (50 mm)", "0 mm", Side.LEFT)),
                Tips.MITRED);
        Piece half = edged(piece("112 mm", "102 mm", sewn(FLAP, Tips.MITRED)), Edges.all("6 mm"));
        Piece all = edged(piece("112 mm", "102 mm", seam), Edges.all("6 mm"));
        assertThat(sized(all).outline().area()).isCloseTo(sized(half).outline().area(), within(PRECISE));
    }

    @Test
    void whatIsLetInMakesItTallerThereAndNowhereElse() {
        Outline drawn = outline("100 mm", "100 mm", TRIANGLE);
        Outline longer = outline("100 mm", "130 mm", taller(TRIANGLE, "50 mm", "30 mm"));
        // At half its height the triangle is half as wide.
        assertThat(longer.area()).isCloseTo(drawn.area() + 50 * 30, within(PRECISE));
        assertThat(new Polygon(longer.points(1)).height()).isCloseTo(130, within(PRECISE));
    }

    @Test
    void whatIsLetInGoesStraightThroughCurves() {
        DrawnOutline circle = whole(
                curve("50 mm", "0 mm", Side.TOP),
                curve("100 mm", "50 mm", Side.RIGHT),
                curve("50 mm", "100 mm", Side.BOTTOM),
                curve("0 mm", "50 mm", Side.LEFT));
        for (int at : List.of(20, 50, 81)) {
            double chord = 2 * Math.sqrt(2500 - Math.pow(at - 50, 2));
            Outline longer = outline("100 mm", "112 mm", taller(circle, at + " mm", "12 mm"));
            assertThat(longer.area()).isCloseTo(Math.PI * 2500 + chord * 12, within(0.01));
        }
    }

    @Test
    void oneTemplateServesTwoHeights() {
        DrawnOutline flap = taller(FLAP, "20 mm", "piece_height - 90 mm");
        assertThat(outline("100 mm", "90 mm", flap).area())
                .isCloseTo(outline("100 mm", "90 mm", FLAP).area(), within(PRECISE));
        assertThat(outline("100 mm", "120 mm", flap).area())
                .isCloseTo(outline("100 mm", "90 mm", FLAP).area() + 100 * 30, within(PRECISE));
    }

    @Test
    void pointsGoWithTheHeightLessWhatIsLetIn() {
        DrawnOutline flap = taller(
                half(
                        straight("piece_width / 2", "0 mm", Side.TOP),
                        straight("piece_width / 2", "drawn_height - 50 mm", Side.RIGHT),
                        curve("0 mm", "drawn_height", Side.BOTTOM)),
                "20 mm",
                "30 mm");
        assertThat(outline("100 mm", "120 mm", flap).area())
                .isCloseTo(outline("100 mm", "90 mm", FLAP).area() + 100 * 30, within(PRECISE));
    }

    @Test
    void whatIsDrawnWhereItIsSewnIsCutOutsideByItsAllowances() {
        DrawnOutline square = whole(
                straight("0 mm", "0 mm", Side.LEFT),
                straight("80 mm", "0 mm", Side.TOP),
                straight("80 mm", "80 mm", Side.RIGHT),
                straight("0 mm", "80 mm", Side.BOTTOM));
        Piece piece =
                edged(piece("97 mm", "93 mm", sewn(square, Tips.CLIPPED)), new Edges("10 mm", "7 mm", "3 mm", "10 mm"));
        assertThat(sized(piece).outline().area()).isCloseTo(97 * 93, within(0.01));
        assertThat(found(piece)).isEmpty();
    }

    @Test
    void aSharpTipIsMitredOrClipped() {
        // A sharp triangle, 60 wide and 80 high: its tip has a half angle whose sine is 30 / hypot(30, 80).
        DrawnOutline sharp = half(straight("0 mm", "0 mm", Side.TOP), straight("30 mm", "80 mm", Side.RIGHT));
        double sine = 30 / Math.hypot(30, 80);
        Polygon mitred =
                new Polygon(sized(edged(piece("200 mm", "200 mm", sewn(sharp, Tips.MITRED)), Edges.all("6 mm")))
                        .outline()
                        .points(0.01));
        Polygon clipped =
                new Polygon(sized(edged(piece("200 mm", "200 mm", sewn(sharp, Tips.CLIPPED)), Edges.all("6 mm")))
                        .outline()
                        .points(0.01));
        assertThat(mitred.height()).isCloseTo(6 / sine + 80 + 6, within(0.001));
        assertThat(clipped.height()).isCloseTo(6 + 80 + 6, within(0.001));
        assertThat(clipped.width()).isLessThan(mitred.width());
    }

    @Test
    void theSeamOfWhatWasDrawnWhereItIsSewnIsWhatWasDrawn() {
        DrawnOutline flap = sewn(FLAP, Tips.MITRED);
        SizedPiece piece = sized(edged(piece("112 mm", "102 mm", flap), Edges.all("6 mm")));
        List<Point> seam =
                StitchLines.of(piece.outline(), Map.of("top", 6.0, "right", 6.0, "bottom", 6.0, "left", 6.0)).stream()
                        .flatMap(List::stream)
                        .toList();
        Polygon sewn = new Polygon(seam);
        assertThat(Math.abs(sewn.signedArea())).isCloseTo(4000 + Math.PI * 1250, within(5.0));
        assertThat(sewn.width()).isCloseTo(100, within(0.05));
        assertThat(sewn.height()).isCloseTo(90, within(0.05));
    }

    @Test
    void aCurveTighterThanItsSeamLeavesNoLoopInTheSeam() {
        DrawnOutline tight = half(
                straight("40 mm", "0 mm", Side.TOP),
                straight("40 mm", "76 mm", Side.RIGHT),
                curve("36 mm", "80 mm", Side.BOTTOM),
                straight("0 mm", "80 mm", Side.BOTTOM));
        List<List<Point>> seam = StitchLines.of(
                outline("80 mm", "80 mm", tight), Map.of("top", 10.0, "right", 10.0, "bottom", 10.0, "left", 10.0));
        Polygon polygon = new Polygon(seam.stream().flatMap(List::stream).toList());
        assertThat(polygon.crossesItself()).isFalse();
        assertThat(polygon.signedArea()).isCloseTo(60 * 60, within(1.0));
    }

    @Test
    void whatCannotBeCutIsRefusedWithItsReason() {
        assertThat(found(piece(
                        "100 mm",
                        "100 mm",
                        whole(
                                straight("0 mm", "0 mm", Side.TOP),
                                straight("100 mm", "100 mm", Side.RIGHT),
                                straight("100 mm", "0 mm", Side.BOTTOM),
                                straight("0 mm", "100 mm", Side.LEFT)))))
                .containsExactly("{0}: its outline crosses itself.");
        assertThat(found(piece("90 mm", "100 mm", TRIANGLE)))
                .containsExactly("{0}: its outline is {1} wide and {2} high, its rectangle {3} × {4}.");
        assertThat(found(piece("100 mm", "100 mm", taller(TRIANGLE, "", "10 mm"))))
                .containsExactly("{0}: it isn't said where it becomes taller.");
        assertThat(found(piece(
                        "100 mm",
                        "100 mm",
                        whole(straight("0 mm", "0 mm", Side.TOP), straight("9 mm", "0 mm", Side.TOP)))))
                .containsExactly("{0}: its outline has {1} points.");
        assertThat(found(piece("100 mm", "90 mm", half(straight("-5 mm", "0 mm", Side.TOP)))))
                .containsExactly("{0}: point {1} lies {2} left of the middle.");
        assertThat(found(piece("100 mm", "90 mm", half(straight("", "0 mm", Side.TOP)))))
                .containsExactly("{0}: a point of its outline has no place yet.");
    }

    @Test
    void pointsFarAwayAndLessThanNothingLetInAreRefused() {
        assertThat(found(piece("100 mm", "100 mm", taller(TRIANGLE, "20 mm", "-10 mm"))))
                .containsExactly("{0}: {1} can't be let in.");
        assertThat(found(piece("100 mm", "90 mm", half(straight("900 m", "0 mm", Side.TOP)))))
                .containsExactly("{0}: point {1} lies farther away than {2}.");
    }

    /** As many points as there may be, curved and metres apart: looked at in no time. */
    @Test
    void theLargestOutlineIsLookedAtQuickly() {
        List<DrawnPoint> points = new ArrayList<>();
        for (int i = 0; i < DrawnOutline.MOST_POINTS; i++) {
            double angle = 2 * Math.PI * i / DrawnOutline.MOST_POINTS;
            double radius = i % 2 == 0 ? 4900 : 2500;
            points.add(curve(
                    (5000 + radius * Math.cos(angle)) + " mm", (5000 + radius * Math.sin(angle)) + " mm", Side.TOP));
        }
        Piece star = edged(
                piece("9.9 m", "9.9 m", new DrawnOutline(points, false, Line.SEWN, Tips.CLIPPED, "", "")),
                Edges.all("6 mm"));
        assertTimeout(Duration.ofSeconds(2), () -> sizedDesign(star));
    }

    @Test
    void aRectangleThatIsLargerThanItsOutlineIsTold() {
        assertThat(found(piece("120 mm", "100 mm", TRIANGLE)))
                .containsExactly("{0}: its outline is {1} wide and {2} high, and cloth is laid out for {3} × {4}.");
    }

    @Test
    void isSaidOnTheCutList() {
        SizedPiece piece = sized(piece("100 mm", "130 mm", taller(TRIANGLE, "50 mm", "30 mm")));
        assertThat(PieceNotes.of(piece).get(0).template())
                .isEqualTo("Cut by its template, {0} let in across; it takes {1} of its rectangle.");
    }
}
