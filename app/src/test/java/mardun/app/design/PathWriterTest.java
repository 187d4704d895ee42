package mardun.app.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import mardun.core.design.Outline;
import mardun.core.design.Outline.Corner;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

class PathWriterTest {

    private static Corner at(double x, double y, double radius) {
        return new Corner(x, y, radius, radius, Outline.Side.TOP);
    }

    private static Outline rectangle(double width, double height) {
        return new Outline(List.of(
                new Corner(0, 0, 0, 0, Outline.Side.LEFT),
                new Corner(width, 0, 0, 0, Outline.Side.TOP),
                new Corner(width, height, 0, 0, Outline.Side.RIGHT),
                new Corner(0, height, 0, 0, Outline.Side.BOTTOM)));
    }

    @Test
    void linesAndArcsAreWrittenInMillimetres() {
        Outline outline = new Outline(List.of(at(0, 0, 0), at(100.125, 0, 0), at(110, 10, 10), at(0, 50, 0)));
        assertThat(PathWriter.path(outline))
                .isEqualTo("M0.00 0.00L100.13 0.00A10.00 10.00 0 0 1 110.00 10.00L0.00 50.00Z");
    }

    @Test
    void aRoundIsRoundAllTheWayAlsoWhereItCloses() {
        Outline circle = new Outline(List.of(at(0, 50, 50), at(50, 0, 50), at(100, 50, 50), at(50, 100, 50)));
        assertThat(PathWriter.path(circle))
                .isEqualTo("M0.00 50.00A50.00 50.00 0 0 1 50.00 0.00A50.00 50.00 0 0 1 100.00 50.00"
                        + "A50.00 50.00 0 0 1 50.00 100.00A50.00 50.00 0 0 1 0.00 50.00Z");
    }

    @Test
    void aSideThatBulgesInwardsIsDrawnTheOtherWayRound() {
        Outline dented = new Outline(List.of(at(0, 0, 0), at(100, 0, -80), at(100, 100, 0), at(0, 100, 0)));
        assertThat(PathWriter.path(dented))
                .isEqualTo("M0.00 0.00A80.00 80.00 0 0 0 100.00 0.00L100.00 100.00L0.00 100.00Z");
    }

    @Test
    void seamsRunAlongTheEdgesThatHaveOne() {
        Map<String, Length> allowances = Map.of("bottom", Length.of(1, LengthUnit.CENTIMETRE), "left", Length.ZERO);
        assertThat(PathWriter.seams(rectangle(200, 100), allowances)).isEqualTo("M200.00 90.00L0.00 90.00");
    }

    @Test
    void aDecimalPointIsAPointInEveryCountry() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.GERMANY);
            assertThat(PathWriter.seams(rectangle(10, 10), Map.of("top", Length.of(5, 10, LengthUnit.MILLIMETRE))))
                    .isEqualTo("M0.00 0.50L10.00 0.50");
        } finally {
            Locale.setDefault(before);
        }
    }
}
