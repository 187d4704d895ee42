package mardun.core.template;

import static mardun.core.design.DesignMaker.edged;
import static mardun.core.design.DesignMaker.folded;
import static mardun.core.design.DesignMaker.marked;
import static mardun.core.design.DesignMaker.shaped;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import mardun.core.design.ClothFold;
import mardun.core.design.DesignMaker;
import mardun.core.design.Edges;
import mardun.core.design.Mark;
import mardun.core.design.Piece;
import mardun.core.design.Point;
import mardun.core.design.Role;
import mardun.core.design.Shape;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.template.TemplateLine.Kind;
import org.junit.jupiter.api.Test;

class TemplateTest {

    private static final Piece FACE = Piece.of("A", "Face", Role.OUTER, "outer", "1", "10 in", "8 in");
    private static final double INCH = 25.4;

    private static SizedPiece sized(Piece piece) {
        return Sizing.of(DesignMaker.empty().pieces(piece).make(), 0).piece("A").orElseThrow();
    }

    private static Template template(Piece piece) {
        return Template.of(sized(piece), "A Face", List.of("cut 1"));
    }

    private static Stream<TemplateLine> of(Template template, Kind kind) {
        return template.lines().stream().filter(line -> line.kind() == kind);
    }

    private static double length(Template template, Kind kind) {
        return of(template, kind)
                .mapToDouble(line -> {
                    double sum = 0;
                    for (int i = 1; i < line.points().size(); i++) {
                        sum += line.points().get(i - 1).distance(line.points().get(i));
                    }
                    return sum;
                })
                .sum();
    }

    @Test
    void isCutAlongTheOutline() {
        Template template = template(edged(FACE, Edges.all("1/2 in")));
        assertThat(template.width()).isEqualTo(254);
        assertThat(length(template, Kind.CUT)).isCloseTo(36 * INCH, within(1e-6));
        assertThat(length(template, Kind.SEAM)).isCloseTo(32 * INCH, within(1e-6));
        assertThat(of(template, Kind.ON_FOLD)).isEmpty();
    }

    @Test
    void aCurveIsWhereItIs() {
        Template template = template(shaped(FACE, new Shape(Shape.Kind.ROUNDED, Shape.Place.TOP, "3 in", "")));
        List<Point> corner = of(template, Kind.CUT)
                .flatMap(line -> line.points().stream())
                .filter(point -> point.x() < 3 * INCH && point.y() < 3 * INCH)
                .toList();
        assertThat(corner)
                .hasSizeGreaterThan(10)
                .allSatisfy(point -> assertThat(point.distance(new Point(3 * INCH, 3 * INCH)))
                        .isCloseTo(3 * INCH, within(1e-6)));
        // Between two points of it the straight line is no farther from the curve than a twentieth of a millimetre.
        for (int i = 1; i < corner.size(); i++) {
            double half = corner.get(i).distance(corner.get(i - 1)) / 2;
            double radius = 3 * INCH;
            assertThat(radius - Math.sqrt(radius * radius - half * half)).isLessThanOrEqualTo(0.05 + 1e-9);
        }
    }

    @Test
    void ofAPieceOnTheFoldItIsTheHalf() {
        Piece rounded = shaped(FACE, new Shape(Shape.Kind.ROUNDED, Shape.Place.BOTTOM, "2 in", ""));
        Template whole = template(rounded);
        Template half = template(folded(rounded, ClothFold.SIDE));
        assertThat(half.width()).isEqualTo(127);
        assertThat(half.height()).isEqualTo(8 * INCH);
        assertThat(length(half, Kind.CUT)).isCloseTo(length(whole, Kind.CUT) / 2, within(1e-6));
        assertThat(of(half, Kind.ON_FOLD))
                .singleElement()
                .satisfies(
                        line -> assertThat(line.points()).containsExactly(new Point(127, 0), new Point(127, 8 * INCH)));
        assertThat(half.lines())
                .allSatisfy(line -> assertThat(line.points())
                        .allSatisfy(point -> assertThat(point.x()).isLessThanOrEqualTo(127 + 1e-6)));
    }

    @Test
    void aFoldAtTheBaseHalvesItAcross() {
        Template half = template(folded(edged(FACE, Edges.all("1/2 in")), ClothFold.BASE));
        assertThat(half.height()).isEqualTo(4 * INCH);
        assertThat(of(half, Kind.ON_FOLD))
                .singleElement()
                .satisfies(line ->
                        assertThat(line.points()).containsExactly(new Point(0, 4 * INCH), new Point(254, 4 * INCH)));
        assertThat(length(half, Kind.CUT)).isCloseTo(18 * INCH, within(1e-6));
    }

    @Test
    void whatIsMarkedIsWhereItIsMeasured() {
        Template template =
                template(marked(FACE, Mark.at(Mark.Kind.HARDWARE, "Snap", Mark.From.RAW, "5 in", "1 1/2 in")));
        List<Point> cross = of(template, Kind.PLACE)
                .filter(line -> line.points().size() == 2)
                .flatMap(line -> line.points().stream())
                .toList();
        assertThat(cross.stream().mapToDouble(Point::x).average().orElseThrow()).isCloseTo(127, within(1e-6));
        assertThat(cross.stream().mapToDouble(Point::y).average().orElseThrow()).isCloseTo(38.1, within(1e-6));
    }

    @Test
    void theArrowSaysWhereTheTopIs() {
        assertThat(of(template(FACE), Kind.GRAIN)).hasSize(3);
        Piece upright = DesignMaker.directional(FACE);
        assertThat(of(template(upright), Kind.GRAIN)).hasSize(2);
    }

    @Test
    void twoThatAreCutAlikeAreDrawnAlike() {
        Template outer = template(FACE);
        Template lining = Template.of(
                sized(Piece.of("A", "Lining", Role.LINING, "lining", "2", "10 in", "8 in")), "B Lining", List.of());
        assertThat(lining.drawn()).isEqualTo(outer.drawn());
        assertThat(template(FACE.cut("10 in", "8 1/64 in")).drawn()).isNotEqualTo(outer.drawn());
    }

    @Test
    void sizesLieOverOneAnother() {
        Template small = template(FACE);
        Template large = template(FACE.cut("12 in", "9 in"));
        Template nested = Template.nested(List.of(small, large), "A Face", List.of());
        assertThat(nested.width()).isCloseTo(12 * INCH, within(1e-9));
        assertThat(of(nested, Kind.CUT).map(TemplateLine::size)).containsExactly(0, 1);
        assertThat(of(nested, Kind.GRAIN))
                .allSatisfy(line -> assertThat(line.size()).isEqualTo(1));
    }
}
