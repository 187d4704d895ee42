package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StitchLinesTest {

    private static final Map<String, Double> ALL = Map.of("top", 6.0, "right", 6.0, "bottom", 6.0, "left", 6.0);

    private static void isAt(Point point, double x, double y) {
        assertThat(point.x()).isCloseTo(x, within(1e-6));
        assertThat(point.y()).isCloseTo(y, within(1e-6));
    }

    @Test
    void seamsMeetInTheCornersOfARectangle() {
        List<List<Point>> lines = StitchLines.of(Outline.rectangle(200, 100), ALL);
        assertThat(lines).singleElement().satisfies(line -> {
            assertThat(line).hasSize(5);
            isAt(line.get(0), 6, 94);
            isAt(line.get(1), 6, 6);
            isAt(line.get(2), 194, 6);
        });
    }

    @Test
    void anEdgeWithoutAllowanceIsSewnNowhere() {
        List<List<Point>> lines = StitchLines.of(Outline.rectangle(200, 100), Map.of("bottom", 10.0, "left", 0.0));
        assertThat(lines).singleElement().satisfies(line -> {
            assertThat(line).hasSize(2);
            isAt(line.get(0), 200, 90);
            isAt(line.get(1), 0, 90);
        });
    }

    @Test
    void aNotchIsFollowedInside() {
        Outline outline = new Outlining(200, 100)
                .with(Shape.Kind.NOTCHED, Shape.Place.TOP, 80, 40)
                .outline();
        List<List<Point>> lines = StitchLines.of(outline, Map.of("top", 6.0));
        Point tip = lines.get(0).stream()
                .filter(point -> Math.abs(point.x() - 100) < 1e-6)
                .findFirst()
                .orElseThrow();
        assertThat(tip.y()).isCloseTo(40 + 6 * Math.sqrt(2), within(1e-6));
    }

    @Test
    void aRoundIsFollowedAsARound() {
        List<List<Point>> lines = StitchLines.of(Outline.oval(100, 100), ALL);
        lines.forEach(line -> line.forEach(
                point -> assertThat(Math.hypot(point.x() - 50, point.y() - 50)).isCloseTo(44, within(0.3))));
        assertThat(lines.stream().mapToInt(List::size).sum()).isGreaterThan(40);
    }

    @Test
    void aCutOutCornerIsGoneRoundAlongItsEdges() {
        Outline outline = new Outlining(200, 100)
                .with(Shape.Kind.CORNERS_CUT, Shape.Place.BOTTOM, 30, 20)
                .outline();
        List<Point> line = StitchLines.of(outline, ALL).get(0);
        assertThat(line).anySatisfy(point -> isAt(point, 164, 74));
        assertThat(line).allSatisfy(point -> assertThat(point.y()).isLessThanOrEqualTo(94 + 1e-6));
    }

    @Test
    void aCornerThatIsRounderThanItsSeamIsLeftOut() {
        Outline outline = new Outlining(200, 100)
                .with(Shape.Kind.ROUNDED, Shape.Place.TOP, 3, 3)
                .outline();
        StitchLines.of(outline, ALL)
                .forEach(line -> line.forEach(point -> {
                    assertThat(point.x()).isBetween(-1e-6, 200 + 1e-6);
                    assertThat(point.y()).isBetween(-1e-6, 100 + 1e-6);
                }));
    }
}
