package mardun.core.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.design.Point;
import mardun.core.template.PaperTiles.Page;
import mardun.core.template.TemplatePlane.Placed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PaperTilesTest {

    private static Template rectangle(double width, double height) {
        return new Template(
                "A",
                List.of(),
                width,
                height,
                List.of(new TemplateLine(
                        TemplateLine.Kind.CUT,
                        0,
                        List.of(
                                new Point(0, 0),
                                new Point(width, 0),
                                new Point(width, height),
                                new Point(0, height),
                                new Point(0, 0)))));
    }

    private static List<Template> some(Random random) {
        List<Template> templates = new ArrayList<>();
        for (int i = 1 + random.nextInt(9); i > 0; i--) {
            templates.add(rectangle(20 + random.nextInt(700), 20 + random.nextInt(500)));
        }
        return templates;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyPointIsOnAPageAndNoTwoTemplatesTouch(long seed) {
        Random random = new Random(seed);
        PaperTiles tiles = PaperTiles.of(some(random), random.nextBoolean() ? TemplatePaper.A4 : TemplatePaper.LETTER);
        List<Placed> placed = tiles.plane().placed();
        for (Placed one : placed) {
            for (Placed other : placed) {
                assertThat(one != other && one.meets(other.left(), other.top(), other.right(), other.bottom()))
                        .isFalse();
            }
            for (int i = 0; i <= 20; i++) {
                double x = one.left() + one.template().width() * i / 20;
                double y = one.top() + one.template().height() * i / 20;
                assertThat(tiles.pages())
                        .anySatisfy(page -> assertThat(holds(page, x, y)).isTrue());
            }
        }
        assertThat(tiles.pages()).hasSizeLessThanOrEqualTo(tiles.columns() * tiles.rows());
    }

    private static boolean holds(Page page, double x, double y) {
        return x >= page.left() && x <= page.right() && y >= page.top() && y <= page.bottom();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void eachMarkIsOnBothPagesThatItJoins(long seed) {
        PaperTiles tiles = PaperTiles.of(some(new Random(seed)), TemplatePaper.A4);
        assertThat(tiles.joins())
                .allSatisfy(join -> assertThat(tiles.pages().stream()
                                .filter(page ->
                                        holds(page, join.at().x(), join.at().y()))
                                .count())
                        .isGreaterThanOrEqualTo(2));
        for (Page page : tiles.pages()) {
            if (tiles.goesOn(page, true)) {
                Page next = tiles.pages().stream()
                        .filter(one -> one.row() == page.row() && one.column() == page.column() + 1)
                        .findFirst()
                        .orElseThrow();
                assertThat(page.right() - next.left()).isCloseTo(TemplatePaper.OVERLAP, within(1e-9));
            }
        }
    }

    @Test
    void whatFitsIsOnOnePage() {
        PaperTiles tiles = PaperTiles.of(List.of(rectangle(170, 120), rectangle(80, 100)), TemplatePaper.A4);
        assertThat(tiles.pages()).hasSize(1);
        assertThat(tiles.joins()).isEmpty();
        assertThat(tiles.pages().get(0).name()).isEqualTo("A1");
    }

    @Test
    void takesNoMorePagesThanOneColumnWould() {
        List<Template> long1 = List.of(rectangle(900, 60), rectangle(900, 60));
        assertThat(PaperTiles.of(long1, TemplatePaper.A4).pages()).hasSizeLessThanOrEqualTo(6);
    }

    @Test
    void paperFromARollIsAsLongAsItTakes() {
        List<Template> templates = List.of(rectangle(500, 300), rectangle(500, 200));
        PaperTiles tiles = PaperTiles.of(templates, TemplatePaper.roll(610));
        assertThat(tiles.pages()).hasSize(1);
        assertThat(tiles.paper().height())
                .isCloseTo(500 + 3 * TemplatePlane.GAP + 2 * TemplatePaper.MARGIN, within(1e-9));
        assertThat(PaperTiles.isWideEnough(templates, TemplatePaper.roll(610))).isTrue();
        assertThat(PaperTiles.isWideEnough(templates, TemplatePaper.roll(500))).isFalse();
    }
}
