package mardun.core.template;

import static mardun.core.design.DesignMaker.edged;
import static mardun.core.design.DesignMaker.marked;
import static mardun.core.design.DesignMaker.shaped;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mardun.core.design.DesignMaker;
import mardun.core.design.Edges;
import mardun.core.design.Mark;
import mardun.core.design.Piece;
import mardun.core.design.Role;
import mardun.core.design.Shape;
import mardun.core.design.Sizing;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.template.ShiftedTemplate.Shift;
import org.junit.jupiter.api.Test;

/** One template, moved by a noted amount for the other sizes. */
class ShiftedTemplateTest {

    private static final double INCH = 25.4;

    private static Template flap(String width, String height, Mark... marks) {
        Piece piece = Piece.of("A", "Flap", Role.OUTER, "outer", "1", width, height);
        Piece rounded = shaped(
                edged(piece, Edges.all("1/2 in")), new Shape(Shape.Kind.ROUNDED, Shape.Place.BOTTOM, "2 in", ""));
        return Template.of(
                Sizing.of(DesignMaker.empty().pieces(marked(rounded, marks)).make(), 0)
                        .piece("A")
                        .orElseThrow(),
                "A Flap",
                List.of("cut 1"));
    }

    private static Mark snap(String down) {
        return Mark.at(Mark.Kind.HARDWARE, "snap", Mark.From.RAW, "5 in", down);
    }

    private static Optional<ShiftedTemplate> of(Template... sizes) {
        return ShiftedTemplate.of(Arrays.asList(sizes));
    }

    private static double line(ShiftedTemplate shifted, boolean down) {
        return shifted.template().lines().stream()
                .filter(line -> line.kind() == TemplateLine.Kind.SHIFT)
                .filter(line ->
                        (line.points().get(0).y() == line.points().get(1).y()) == down)
                .map(line ->
                        down ? line.points().get(0).y() : line.points().get(0).x())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aTallerSizeIsTheSmallerOneMovedDown() {
        ShiftedTemplate one = of(flap("10 in", "9 1/4 in"), flap("10 in", "8 in"), flap("10 in", "12 in"))
                .orElseThrow();
        assertThat(one.base()).isEqualTo(1);
        assertThat(one.template().height()).isEqualTo(8 * INCH);
        assertThat(one.shifts())
                .containsExactly(
                        new Shift(0, true, LengthReader.read("1 1/4 in", LengthUnit.INCH)),
                        new Shift(2, true, LengthReader.read("4 in", LengthUnit.INCH)));
        assertThat(line(one, true)).isBetween(0.5 * INCH, 6 * INCH);
    }

    @Test
    void theLineLiesOnTheSideOfAMarkThatStays() {
        // From the top it stays where it is: the line is below it.
        ShiftedTemplate below = of(flap("10 in", "8 in", snap("3 in")), flap("10 in", "9 in", snap("3 in")))
                .orElseThrow();
        assertThat(line(below, true)).isGreaterThan(3 * INCH);
        // From the bottom it goes along: the line is above it.
        ShiftedTemplate above = of(flap("10 in", "8 in", snap("3 in")), flap("10 in", "9 in", snap("4 in")))
                .orElseThrow();
        assertThat(line(above, true)).isLessThan(3 * INCH);
        // Half of the way is neither.
        assertThat(of(flap("10 in", "8 in", snap("3 in")), flap("10 in", "9 in", snap("3 1/2 in"))))
                .isEmpty();
    }

    @Test
    void aWiderSizeIsMovedToTheRightAndBothDirectionsGoTogether() {
        ShiftedTemplate one = of(flap("10 in", "8 in"), flap("12 in", "8 in"), flap("10 in", "9 in"))
                .orElseThrow();
        assertThat(one.shifts()).extracting(Shift::down).containsExactly(false, true);
        assertThat(line(one, false)).isBetween(2 * INCH, 8 * INCH);
        // Larger both ways takes a template of its own.
        assertThat(of(flap("10 in", "8 in"), flap("12 in", "9 in"))).isEmpty();
        assertThat(of(flap("10 in", "8 in"), flap("10 in", "8 in"))).isEmpty();
    }

    @Test
    void aShapeWithoutAStraightPartIsNotMoved() {
        Piece tapered = Piece.of("A", "Side", Role.OUTER, "outer", "1", "10 in", "8 in");
        Template small = Template.of(
                Sizing.of(
                                DesignMaker.empty()
                                        .pieces(shaped(
                                                tapered, new Shape(Shape.Kind.TAPERED, Shape.Place.BOTTOM, "1 in", "")))
                                        .make(),
                                0)
                        .piece("A")
                        .orElseThrow(),
                "",
                List.of());
        Template tall = Template.of(
                Sizing.of(
                                DesignMaker.empty()
                                        .pieces(shaped(
                                                tapered.cut("10 in", "9 in"),
                                                new Shape(Shape.Kind.TAPERED, Shape.Place.BOTTOM, "1 in", "")))
                                        .make(),
                                0)
                        .piece("A")
                        .orElseThrow(),
                "",
                List.of());
        assertThat(of(small, tall)).isEmpty();
    }
}
