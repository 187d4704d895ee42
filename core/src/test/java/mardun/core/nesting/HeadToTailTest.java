package mardun.core.nesting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import mardun.core.design.Point;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HeadToTailTest {

    private static final double GAP = 1;

    private static Contour of(double... xy) {
        return new Contour(IntStream.range(0, xy.length / 2)
                .mapToObj(i -> new Point(xy[2 * i], xy[2 * i + 1]))
                .toList());
    }

    /** The upper half of a circle, on a straight foot. */
    private static Contour ear(double radius, double foot) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= 60; i++) {
            double angle = Math.PI * i / 60;
            points.add(new Point(radius - radius * Math.cos(angle), radius - radius * Math.sin(angle)));
        }
        points.add(new Point(2 * radius, radius + foot));
        points.add(new Point(0, radius + foot));
        return new Contour(points);
    }

    /** Two right-angled triangles make a rectangle: half of what both rectangles take, and the gap. */
    @Test
    void twoTrianglesMakeARectangle() {
        HeadToTail block = HeadToTail.of(of(0, 0, 0, 80, 100, 80), GAP).orElseThrow();
        double share = block.width() * block.height() / (2 * 80 * 100);
        assertThat(share).isCloseTo(0.5, Offset.offset(0.02));
    }

    /** Slanted sides lie along one another. */
    @Test
    void tapersSaveWhatTheySlant() {
        HeadToTail block = HeadToTail.of(of(20, 0, 80, 0, 100, 60, 0, 60), GAP).orElseThrow();
        assertThat(block.height()).isCloseTo(60, Offset.offset(1e-9));
        assertThat(block.width()).isCloseTo(180 + GAP, Offset.offset(0.5));
    }

    @Test
    void whatHasStraightSidesIsLeftAlone() {
        assertThat(HeadToTail.of(of(0, 0, 90, 0, 90, 50, 0, 50), GAP)).isEmpty();
        assertThat(HeadToTail.of(of(2, 0, 88, 0, 90, 50, 0, 50), GAP)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 5, 40})
    void twoEarsLieHalfAWidthAside(double foot) {
        Contour ear = ear(50, foot);
        HeadToTail.of(ear, GAP).ifPresent(block -> {
            assertThat(block.width() * block.height()).isLessThan(0.95 * 2 * 100 * (50 + foot));
            apart(ear, block);
        });
    }

    /** Whatever the shape: both lie in the rectangle, and neither in the other. */
    @Test
    void neitherLiesInTheOther() {
        Random random = new Random(3);
        int found = 0;
        for (int round = 0; round < 200; round++) {
            List<Point> points = new ArrayList<>();
            int corners = 3 + random.nextInt(9);
            for (int i = 0; i < corners; i++) {
                double angle = 2 * Math.PI * i / corners;
                double away = 20 + random.nextInt(80);
                points.add(new Point(100 + away * Math.cos(angle), 100 + away * Math.sin(angle)));
            }
            Contour contour = new Contour(points);
            if (HeadToTail.of(contour, GAP).isPresent()) {
                found++;
                apart(contour, HeadToTail.of(contour, GAP).orElseThrow());
            }
        }
        assertThat(found).isGreaterThan(100);
    }

    private static void apart(Contour contour, HeadToTail block) {
        for (boolean turned : new boolean[] {false, true}) {
            double width = turned ? block.height() : block.width();
            double height = turned ? block.width() : block.height();
            List<List<Point>> shapes = block.shapes(contour, turned);
            for (int i = 0; i < 2; i++) {
                List<Point> one = shapes.get(i);
                List<Point> other = shapes.get(1 - i);
                Contour moved = new Contour(other);
                double left = other.stream().mapToDouble(Point::x).min().orElseThrow();
                double top = other.stream().mapToDouble(Point::y).min().orElseThrow();
                for (int j = 0; j < one.size(); j++) {
                    Point a = one.get(j);
                    Point b = one.get((j + 1) % one.size());
                    for (double at = 0; at < 1; at += 0.125) {
                        double x = a.x() + (b.x() - a.x()) * at;
                        double y = a.y() + (b.y() - a.y()) * at;
                        assertThat(x).isBetween(-1e-6, width + 1e-6);
                        assertThat(y).isBetween(-1e-6, height + 1e-6);
                        assertThat(moved.holds(x - left, y - top)).isFalse();
                    }
                }
            }
        }
    }
}
