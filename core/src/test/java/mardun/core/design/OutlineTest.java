package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What an outline encloses is the rectangle less what the shape takes away; no corner lies outside of it. */
class OutlineTest {

    private static final double W = 200;
    private static final double H = 120;

    private static Outline shaped(Shape.Kind kind, Shape.Place place, double across, double along) {
        return new Outlining(W, H).with(kind, place, across, along).outline();
    }

    @ParameterizedTest
    @CsvSource({
        "CORNERS_CUT, TOP, 30, 20, 1200",
        "CORNERS_CUT, BOTTOM, 30, 20, 1200",
        "CORNERS_CUT, BOTH, 30, 20, 2400",
        "SLANTED, TOP, 30, 20, 600",
        "SLANTED, BOTTOM, 100, 120, 12000",
        "NOTCHED, TOP, 60, 40, 1200",
        "NOTCHED, BOTTOM, 200, 40, 4000",
        "NOTCHED, BOTH, 60, 40, 2400",
        "TAPERED, TOP, 25, 0, 3000",
        "TAPERED, BOTTOM, 25, 0, 3000",
        "TAPERED, BOTH, 25, 0, 3000"
    })
    void aShapeTakesItsAreaAway(Shape.Kind kind, Shape.Place place, double across, double along, double area) {
        Outline outline = shaped(kind, place, across, along);
        assertThat(area(outline)).isCloseTo(W * H - area, within(1e-6));
        staysInside(outline);
    }

    @ParameterizedTest
    @CsvSource({
        "CORNERS_CUT, TOP, 30, 20, 100",
        "CORNERS_CUT, BOTH, 30, 20, 200",
        "SLANTED, TOP, 30, 40, 100",
        "NOTCHED, TOP, 60, 40, 100",
        "ROUNDED, BOTTOM, 20, 20, 62.832"
    })
    void whatIsNoEdgeOfTheRectangleIsCutAlongATemplate(
            Shape.Kind kind, Shape.Place place, double across, double along, double length) {
        assertThat(shaped(kind, place, across, along).insideRectangle(W, H)).isCloseTo(length, within(0.1));
    }

    @Test
    void aPlainRectangleNeedsNoTemplateAndAnOvalAllOfOne() {
        assertThat(Outline.rectangle(W, H).insideRectangle(W, H)).isZero();
        // Round an ellipse of half axes 100 and 60 mm, by Ramanujan.
        double round = Math.PI * (3 * 160 - Math.sqrt((3 * 100 + 60) * (100 + 3 * 60)));
        assertThat(Outline.oval(W, H).insideRectangle(W, H)).isCloseTo(round, within(0.5));
    }

    @ParameterizedTest
    @EnumSource(Shape.Place.class)
    void roundedCornersHaveAnArcEach(Shape.Place place) {
        Outline outline = shaped(Shape.Kind.ROUNDED, place, 15, 15);
        long arcs = outline.corners().stream()
                .filter(c -> c.radiusAcross() == 15 && c.radiusAlong() == 15)
                .count();
        assertThat(arcs).isEqualTo(place == Shape.Place.BOTH ? 4 : 2);
        staysInside(outline);
    }

    @Test
    void aFlapIsHalfARoundAsWideAsItsEnd() {
        Outline flap = shaped(Shape.Kind.ROUNDED, Shape.Place.BOTTOM, W / 2, 60);
        assertThat(flap.corners())
                .anySatisfy(c -> assertThat(c.x() == W / 2 && c.y() == H && c.radiusAlong() == 60)
                        .isTrue());
        staysInside(flap);
    }

    @Test
    void aBaseFoldHasItsCutOutsInTheMiddleOfTheSides() {
        Outline outline = new Outlining(W, H).sidesCut(30, 40).outline();
        assertThat(area(outline)).isCloseTo(W * H - 2 * 30 * 40, within(1e-6));
        assertThat(outline.corners()).anyMatch(c -> c.x() == 30 && c.y() == 40);
        assertThat(outline.corners()).anyMatch(c -> c.x() == 30 && c.y() == 80);
    }

    @Test
    void shapesOfOnePieceAddUp() {
        Outline outline = new Outlining(W, H)
                .with(Shape.Kind.NOTCHED, Shape.Place.TOP, 60, 40)
                .with(Shape.Kind.CORNERS_CUT, Shape.Place.TOP, 10, 10)
                .with(Shape.Kind.SLANTED, Shape.Place.BOTTOM, 20, 30)
                .sidesCut(5, 10)
                .outline();
        assertThat(area(outline)).isCloseTo(W * H - 1200 - 200 - 600 - 100, within(1e-6));
    }

    @Test
    void anOvalTouchesTheMiddleOfEachSide() {
        assertThat(Outline.oval(W, H).corners())
                .extracting(Outline.Corner::x, Outline.Corner::y)
                .containsExactly(tuple(0.0, 60.0), tuple(100.0, 0.0), tuple(200.0, 60.0), tuple(100.0, 120.0));
    }

    @ParameterizedTest
    @CsvSource({"true", "false"})
    void aCircleIsCutStraightWhereThePieceEnds(boolean top) {
        Outline outline = Outline.circleWithFlat(100, 80, top);
        double flat = top ? 0 : 80;
        assertThat(outline.corners().stream().filter(c -> c.y() == flat).map(Outline.Corner::x))
                .containsExactlyInAnyOrder(10.0, 90.0);
    }

    private static void staysInside(Outline outline) {
        assertThat(outline.corners()).allSatisfy(c -> {
            assertThat(c.x()).isBetween(0.0, W);
            assertThat(c.y()).isBetween(0.0, H);
        });
    }

    /** The area of a polygon from its corners. */
    private static double area(Outline outline) {
        double twice = 0;
        List<Outline.Corner> corners = outline.corners();
        for (int i = 0; i < corners.size(); i++) {
            Outline.Corner a = corners.get(i);
            Outline.Corner b = corners.get((i + 1) % corners.size());
            twice += a.x() * b.y() - b.x() * a.y();
        }
        return Math.abs(twice) / 2;
    }
}
