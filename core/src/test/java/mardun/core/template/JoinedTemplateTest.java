package mardun.core.template;

import static mardun.core.design.DesignMaker.marked;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mardun.core.design.DesignMaker;
import mardun.core.design.Mark;
import mardun.core.design.Piece;
import mardun.core.design.Point;
import mardun.core.design.Role;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.template.JoinedTemplate.CannotBeJoinedException;
import org.junit.jupiter.api.Test;

/** Two templates laid on one another, mark on mark. */
class JoinedTemplateTest {

    private static final double INCH = 25.4;

    private static SizedPiece sized(String letter, String width, String height, Mark... marks) {
        Piece piece = Piece.of(letter, "Piece " + letter, Role.OUTER, "outer", "1", width, height);
        return Sizing.of(DesignMaker.empty().pieces(marked(piece, marks)).make(), 0)
                .piece(letter)
                .orElseThrow();
    }

    private static Mark notch(String label, String across, String down) {
        return Mark.at(Mark.Kind.NOTCH, label, Mark.From.RAW, across, down);
    }

    private static List<List<Point>> cut(JoinedTemplate joined) {
        return joined.template().lines().stream()
                .filter(line -> line.kind() == TemplateLine.Kind.CUT)
                .map(TemplateLine::points)
                .toList();
    }

    private static double area(List<Point> closed) {
        double sum = 0;
        for (int i = 1; i < closed.size(); i++) {
            sum += closed.get(i - 1).x() * closed.get(i).y()
                    - closed.get(i).x() * closed.get(i - 1).y();
        }
        return Math.abs(sum) / 2;
    }

    @Test
    void withOneMarkTheSecondIsMoved() {
        JoinedTemplate joined = JoinedTemplate.of(
                sized("A", "10 in", "8 in", notch("base", "5 in", "7 in")),
                sized("B", "6 in", "4 in", notch("Base ", "3 in", "1 in")),
                "A + B",
                List.of());
        // The seams of both, 1 in each, lie on one another.
        assertThat(joined.height()).isEqualTo(LengthReader.read("10 in", LengthUnit.INCH));
        assertThat(joined.width()).isEqualTo(LengthReader.read("10 in", LengthUnit.INCH));
        assertThat(joined.marks()).containsExactly("base");
        assertThat(cut(joined))
                .singleElement()
                .satisfies(line -> assertThat(area(line)).isCloseTo((80 + 24 - 2 * 6) * INCH * INCH, within(0.01)));
    }

    @Test
    void withTwoMarksItIsTurnedAsWell() {
        // B stands on its side: its marks are one above the other.
        JoinedTemplate joined = JoinedTemplate.of(
                sized("A", "10 in", "8 in", notch("1", "2 in", "8 in"), notch("2", "6 in", "8 in")),
                sized("B", "5 in", "8 in", notch("1", "0 in", "2 in"), notch("2", "0 in", "6 in")),
                "A + B",
                List.of());
        // Turned by a quarter it lies above A's lower edge, which is within A, or below it; its left edge is that edge.
        assertThat(joined.marks()).containsExactly("1", "2");
        assertThat(cut(joined)).hasSize(1);
        assertThat(joined.template().lines().stream()
                        .filter(line -> line.kind() == TemplateLine.Kind.NOTCH)
                        .count())
                .isEqualTo(4);
        double all = area(cut(joined).get(0));
        assertThat(all).isBetween(80 * INCH * INCH - 0.01, 120 * INCH * INCH + 0.01);
    }

    @Test
    void marksThatLieDifferentlyFarApartAreRefused() {
        assertThatThrownBy(() -> JoinedTemplate.of(
                        sized("A", "10 in", "8 in", notch("1", "2 in", "8 in"), notch("2", "6 in", "8 in")),
                        sized("B", "10 in", "4 in", notch("1", "2 in", "0 in"), notch("2", "6 1/4 in", "0 in")),
                        "",
                        List.of()))
                .isInstanceOf(CannotBeJoinedException.class)
                .hasMessageContaining("beside that of Piece A");
    }

    @Test
    void piecesWithoutACommonMarkAreRefused() {
        SizedPiece one = sized("A", "10 in", "8 in", notch("1", "2 in", "8 in"));
        SizedPiece other = sized("B", "10 in", "8 in", notch("2", "2 in", "8 in"), notch("", "1 in", "0 in"));
        assertThat(JoinedTemplate.marksOf(one, other)).isEmpty();
        assertThatThrownBy(() -> JoinedTemplate.of(one, other, "", List.of()))
                .isInstanceOf(CannotBeJoinedException.class)
                .hasMessageContaining("no mark by the same name");
    }

    @Test
    void bothAreOnOnePlaneFromItsCorner() {
        JoinedTemplate joined = JoinedTemplate.of(
                sized("A", "4 in", "4 in", notch("1", "0 in", "2 in")),
                sized("B", "4 in", "4 in", notch("1", "4 in", "2 in")),
                "",
                List.of());
        assertThat(joined.template().width()).isCloseTo(8 * INCH, within(0.001));
        assertThat(cut(joined).get(0)).allSatisfy(point -> {
            assertThat(point.x()).isBetween(-0.001, 8 * INCH + 0.001);
            assertThat(point.y()).isBetween(-0.001, 4 * INCH + 0.001);
        });
    }
}
