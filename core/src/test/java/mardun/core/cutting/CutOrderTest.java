package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.measure.Length;
import org.junit.jupiter.api.Test;

/** The cuts of a cloth as one makes them, worked out by hand. */
class CutOrderTest {

    private static Placed at(String letter, int x, int y, int width, int height) {
        return new Placed(PieceKey.of(letter), inches(x), inches(y), inches(width), inches(height), false);
    }

    private static Length inches(int count) {
        return in("1").times(count);
    }

    private static CutOrder offcut(int width, int length, Placed... pieces) {
        return CutOrder.of(new ClothLayout("4", false, inches(width), inches(length), List.of(pieces)), 2, in("1/4"));
    }

    @Test
    void anOffcutIsNotSquaredAndIsCutAlongWhereNoCutGoesAcross() {
        CutOrder order = offcut(20, 14, at("A", 0, 0, 5, 14), at("B", 5, 0, 6, 7), at("B", 5, 7, 6, 7));
        assertThat(order.steps()).hasSize(2).allMatch(step -> step.kind() == CutOrder.Kind.STRIP && !step.across());
        assertThat(order.steps().get(0).size()).isEqualTo(inches(5));
        CutOrder.Step second = order.steps().get(1);
        assertThat(second.size()).isEqualTo(inches(6));
        assertThat(second.x()).isEqualTo(inches(5));
        assertThat(second.parts())
                .singleElement()
                .matches(part -> part.times() == 2
                        && part.size().equals(inches(7))
                        && part.piece().orElseThrow().key().equals(PieceKey.of("B")));
    }

    @Test
    void anOffcutOfJustTheSizeIsTakenAsItIs() {
        assertThat(offcut(8, 10, at("A", 0, 0, 8, 10)).steps())
                .singleElement()
                .matches(step -> step.kind() == CutOrder.Kind.AS_IT_IS);
    }

    @Test
    void equalStripsAreOneStepWithAsManyLayersAsTheClothAllows() {
        ClothLayout cloth = ClothLayout.onBolt(
                inches(20),
                inches(15),
                List.of(
                        at("A", 0, 0, 10, 5),
                        at("A", 10, 0, 10, 5),
                        at("A", 0, 5, 10, 5),
                        at("A", 10, 5, 10, 5),
                        at("A", 0, 10, 10, 5),
                        at("B", 10, 10, 6, 4)));
        List<CutOrder.Step> steps = CutOrder.of(cloth, 4, in("1/4")).steps();
        assertThat(steps).hasSize(3);
        assertThat(steps.get(0).kind()).isEqualTo(CutOrder.Kind.SQUARE);
        assertThat(steps.get(1).times()).isEqualTo(2);
        assertThat(steps.get(1).layers()).isEqualTo(2);
        assertThat(steps.get(1).extent().height()).isEqualTo(inches(10));
        CutOrder.Step last = steps.get(2);
        assertThat(last.times()).isEqualTo(1);
        assertThat(last.parts()).hasSize(3);
        assertThat(last.parts()
                        .get(1)
                        .parts()
                        .get(0)
                        .piece()
                        .orElseThrow()
                        .key()
                        .letter())
                .isEqualTo("B");
        assertThat(last.parts().get(2).isRest()).isTrue();
        assertThat(last.parts().get(2).size()).isEqualTo(inches(4));
    }

    @Test
    void equalStripsWithAsMuchCutAwayBetweenThemAreOneStep() {
        ClothLayout cloth = ClothLayout.onBolt(
                inches(20),
                inches(29),
                List.of(
                        at("A", 0, 0, 20, 5),
                        at("A", 0, 8, 20, 5),
                        at("A", 0, 16, 20, 5),
                        at("A", 0, 23, 20, 5),
                        at("B", 0, 28, 20, 1)));
        List<CutOrder.Step> steps = CutOrder.of(cloth, 4, in("1/4")).steps();
        assertThat(steps).hasSize(4);
        assertThat(steps.get(1).times()).isEqualTo(3);
        assertThat(steps.get(1).pitch()).contains(inches(8));
        assertThat(steps.get(1).extent().height()).isEqualTo(inches(21));
        assertThat(steps.get(1).pieces()).hasSize(3);
        assertThat(steps.get(2).times())
                .as("it begins 7 in after the one before")
                .isEqualTo(1);
        assertThat(steps.get(2).pitch()).isEmpty();
    }

    @Test
    void whatDoesNotComeApartHasNoOrder() {
        assertThatThrownBy(() -> offcut(
                        3,
                        3,
                        at("A", 0, 0, 2, 1),
                        at("B", 2, 0, 1, 2),
                        at("A", 1, 2, 2, 1),
                        at("B", 0, 1, 1, 2),
                        at("C", 1, 1, 1, 1)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no cut goes from edge to edge");
    }

    @Test
    void aBudgetIsSpentByWorkOrByWhoeverStopsIt() {
        Budget budget = Budget.of(100, () -> false);
        budget.spend(60);
        assertThat(budget.share()).isEqualTo(0.6);
        assertThat(budget.isSpent(0.5)).isTrue();
        assertThat(budget.isSpent()).isFalse();
        budget.spend(60);
        assertThat(budget.isSpent()).isTrue();
        assertThat(budget.share()).isEqualTo(1);
        assertThat(Budget.of(0, () -> false).share()).isEqualTo(1);
        assertThat(Budget.until(() -> true).isSpent()).isTrue();
    }
}
