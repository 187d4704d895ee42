package mardun.core.nesting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import mardun.core.design.Point;
import mardun.core.material.ClothKind;
import mardun.core.nesting.MatNesting.Nested;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class MatNestingTest {

    private static final MatSize MAT = new MatSize(300, 300);
    private static final double GAP = 2;

    private static Contour rectangle(double width, double height) {
        return new Contour(
                List.of(new Point(0, 0), new Point(width, 0), new Point(width, height), new Point(0, height)));
    }

    /** The upper half of a circle. */
    private static Contour halfCircle(double radius) {
        return new Contour(IntStream.rangeClosed(0, 40)
                .mapToObj(i -> new Point(
                        radius - radius * Math.cos(Math.PI * i / 40), radius - radius * Math.sin(Math.PI * i / 40)))
                .toList());
    }

    private static Contour triangle(double width, double height) {
        return new Contour(List.of(new Point(0, height), new Point(width / 2, 0), new Point(width, height)));
    }

    private static MatShape shape(String key, Contour contour, int count) {
        return new MatShape(key, key, contour, count, false, true);
    }

    private static int laid(Nested nested) {
        return nested.mats().stream().mapToInt(mat -> mat.laid().size()).sum();
    }

    @Test
    void aMatIsFilledToItsEdges() {
        Nested nested = MatNesting.of(List.of(shape("A", rectangle(98, 98), 9)), MAT, GAP);
        assertThat(nested.mats()).hasSize(1);
        assertThat(nested.mats().get(0).covered()).isCloseTo(9 * 98 * 98 / 90000.0, Offset.offset(1e-9));
        assertThat(nested.mats().get(0).cutLength()).isCloseTo(9 * 4 * 98, Offset.offset(1e-9));
        assertThat(MatNesting.of(List.of(shape("A", rectangle(98, 98), 10)), MAT, GAP)
                        .mats())
                .hasSize(2);
    }

    /** Two triangles point to point lie in little more than the rectangle of one and a half. */
    @Test
    void shapesLieHeadToTailWhereThatSavesRoom() {
        MatSize strip = new MatSize(300, 100);
        Nested headToTail = MatNesting.of(List.of(shape("T", triangle(92, 96), 5)), strip, GAP);
        assertThat(headToTail.mats()).hasSize(1);
        assertThat(headToTail.mats().get(0).laid()).anyMatch(one -> one.quarters() == 2);
        Nested upright = MatNesting.of(List.of(new MatShape("T", "T", triangle(92, 96), 5, false, false)), strip, GAP);
        assertThat(upright.mats()).hasSize(2);
        assertThat(upright.mats()).allMatch(mat -> mat.laid().stream().allMatch(one -> one.quarters() == 0));
    }

    @Test
    void aShapeIsTurnedOnlyWhereItMayLieAcrossTheGrain() {
        MatSize strip = new MatSize(300, 60);
        Contour tall = rectangle(50, 200);
        assertThat(MatNesting.of(List.of(shape("A", tall, 1)), strip, GAP).tooLarge())
                .extracting(MatShape::key)
                .containsExactly("A");
        Nested turned = MatNesting.of(List.of(new MatShape("A", "A", tall, 1, true, false)), strip, GAP);
        assertThat(turned.tooLarge()).isEmpty();
        assertThat(turned.mats().get(0).laid().get(0).quarters()).isEqualTo(1);
    }

    /** Four that go round a hole like the sails of a mill are more than lie beside and above one another. */
    @Test
    void aMatIsFilledInTheBestOfManyWays() {
        Nested mill = MatNesting.of(List.of(new MatShape("A", "A", rectangle(185, 103), 8, true, true)), MAT, GAP);
        assertThat(mill.mats()).hasSize(2);
        assertThat(mill)
                .isEqualTo(
                        MatNesting.of(List.of(new MatShape("A", "A", rectangle(185, 103), 8, true, true)), MAT, GAP));
    }

    /** As much as a machine is ever given at once is laid while one waits. */
    @Test
    void manyShapesAreLaidSoon() {
        List<MatShape> shapes = List.of(
                new MatShape("A", "A", halfCircle(60), 300, false, true),
                new MatShape("B", "B", triangle(90, 140), 300, true, true),
                new MatShape("C", "C", rectangle(45, 70), 400, true, true));
        long begin = System.nanoTime();
        Nested nested = MatNesting.of(shapes, new MatSize(600, 600), GAP);
        assertThat(laid(nested)).isEqualTo(1000);
        assertThat((System.nanoTime() - begin) / 1e9).isLessThan(20);
        assertThat(nested.mats().stream().limit(nested.mats().size() - 1L)).allMatch(mat -> mat.covered() > 0.6);
    }

    /** Whatever is laid: all of it, on the mat, and nowhere nearer than the gap. */
    @Test
    void nothingTouchesAndNothingIsMissing() {
        Random random = new Random(5);
        for (int round = 0; round < 12; round++) {
            List<MatShape> shapes = new ArrayList<>();
            int wanted = 0;
            for (int kind = 0; kind < 4; kind++) {
                double size = 20 + random.nextInt(90);
                Contour contour = switch (random.nextInt(3)) {
                    case 0 -> halfCircle(size / 2);
                    case 1 -> triangle(size, 20 + random.nextInt(90));
                    default -> rectangle(size, 20 + random.nextInt(90));
                };
                int count = 1 + random.nextInt(9);
                wanted += count;
                shapes.add(new MatShape(
                        "K" + kind, "K" + kind, contour, count, random.nextBoolean(), random.nextBoolean()));
            }
            Nested nested = MatNesting.of(shapes, MAT, GAP);
            assertThat(nested.tooLarge()).isEmpty();
            assertThat(laid(nested)).isEqualTo(wanted);
            nested.mats().forEach(MatNestingTest::check);
        }
    }

    private static void check(NestedMat mat) {
        for (int i = 0; i < mat.laid().size(); i++) {
            NestedMat.Laid one = mat.laid().get(i);
            assertThat(one.left()).isNotNegative();
            assertThat(one.top()).isNotNegative();
            assertThat(one.left() + one.contour().width()).isLessThanOrEqualTo(MAT.width() + 1e-6);
            assertThat(one.top() + one.contour().height()).isLessThanOrEqualTo(MAT.height() + 1e-6);
            for (int j = 0; j < i; j++) {
                NestedMat.Laid other = mat.laid().get(j);
                for (Point point : one.contour().points()) {
                    double x = point.x() + one.left() - other.left();
                    double y = point.y() + one.top() - other.top();
                    assertThat(other.contour().holds(x, y)).isFalse();
                    assertThat(other.contour().distance(x, y)).isGreaterThanOrEqualTo(GAP - 1e-6);
                }
            }
        }
    }

    /** Two half circles fit a block that is lower than both, above one another; and the nearer they come the lower it is. */
    @Test
    void aContourKnowsItsMeasures() {
        Contour half = halfCircle(50);
        assertThat(half.width()).isCloseTo(100, Offset.offset(1e-9));
        assertThat(half.height()).isCloseTo(50, Offset.offset(1e-9));
        assertThat(half.area()).isCloseTo(Math.PI * 1250, Offset.offset(10.0));
        assertThat(half.turned(1).width()).isCloseTo(50, Offset.offset(1e-9));
        assertThat(half.turned(1)
                        .turned(3)
                        .points()
                        .get(0)
                        .distance(half.points().get(0)))
                .isLessThan(1e-9);
        assertThat(half.scaled(2, 1).area()).isCloseTo(2 * half.area(), Offset.offset(1e-6));
        List<Point> two = List.of(new Point(0, 0), new Point(1, 1));
        assertThatThrownBy(() -> new Contour(two)).hasMessageContaining("three corners");
    }

    @ParameterizedTest
    @EnumSource(ClothKind.class)
    void everyClothHasItsBlade(ClothKind cloth) {
        assertThat(Blade.of(cloth).why()).isNotEmpty();
        assertThat(Blade.of(cloth) == Blade.ROLLING)
                .isEqualTo(cloth.frays() || cloth == ClothKind.MESH || cloth == ClothKind.BATTING);
    }
}
