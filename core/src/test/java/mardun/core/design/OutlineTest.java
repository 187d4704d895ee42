package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;
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

    @ParameterizedTest
    @CsvSource({"TOP, 2", "BOTTOM, 2", "BOTH, 4"})
    void cutOutCornersTakeTheirRectangles(Shape.Place place, int corners) {
        Outline outline = Outline.cornersCut(W, H, 30, 20, place);
        assertThat(area(outline)).isCloseTo(W * H - corners * 30 * 20, within(1e-6));
        staysInside(outline);
    }

    @ParameterizedTest
    @CsvSource({"TOP, 1", "BOTTOM, 1", "BOTH, 2"})
    void aNotchTakesATriangle(Shape.Place place, int notches) {
        Outline outline = Outline.notched(W, H, 60, 40, place);
        assertThat(area(outline)).isCloseTo(W * H - notches * 60 * 40 / 2.0, within(1e-6));
        staysInside(outline);
    }

    @ParameterizedTest
    @CsvSource({"TOP, 1", "BOTTOM, 1", "BOTH, 1"})
    void taperedSidesTakeATriangleOnEachSide(Shape.Place place, int share) {
        Outline outline = Outline.tapered(W, H, 25, place);
        assertThat(area(outline)).isCloseTo(W * H - share * 25 * H, within(1e-6));
        staysInside(outline);
    }

    @ParameterizedTest
    @EnumSource(Shape.Place.class)
    void roundedCornersHaveAnArcEach(Shape.Place place) {
        Outline outline = Outline.rounded(W, H, 15, place);
        long arcs = outline.corners().stream().filter(c -> c.radius() == 15).count();
        assertThat(arcs).isEqualTo(place == Shape.Place.BOTH ? 4 : 2);
        staysInside(outline);
    }

    @Test
    void aBaseFoldHasItsCutOutsInTheMiddleOfTheSides() {
        Outline outline = Outline.sidesCut(W, H, 30, 40);
        assertThat(area(outline)).isCloseTo(W * H - 2 * 30 * 40, within(1e-6));
        assertThat(outline.corners()).anyMatch(c -> c.x() == 30 && c.y() == 40);
        assertThat(outline.corners()).anyMatch(c -> c.x() == 30 && c.y() == 80);
    }

    @Test
    void aCircleGoesThroughTheMiddleOfItsRectangle() {
        List<Outline.Corner> corners = Outline.circle(100, 100).corners();
        assertThat(corners).extracting(Outline.Corner::y).containsOnly(50.0);
        assertThat(corners.get(1).radius()).isEqualTo(50);
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
