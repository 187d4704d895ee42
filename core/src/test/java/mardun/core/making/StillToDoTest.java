package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What of a batch is still to be done. */
class StillToDoTest {

    private static Step step(String key, Stage stage, int minutes, int once) {
        return new Step(
                key,
                key,
                stage,
                stage == Stage.CUT ? Station.CUTTING_TABLE : Station.MACHINE,
                SetUp.NONE,
                Duration.ofMinutes(minutes),
                Duration.ofMinutes(once),
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    private static final List<Step> STEPS = List.of(
            step("cut", Stage.CUT, 3, 10), step("oil the machine", Stage.SEW, 0, 5), step("sew", Stage.SEW, 4, 2));

    /** Six bags of the first line and two of the second; of the second none is left. */
    private static final List<Operation> ALL =
            Operation.of(List.of(LineSteps.of(1, 6, STEPS), LineSteps.of(2, 2, STEPS)));

    private static long minutes(Map<Integer, Integer> open, boolean isToCut, boolean anyDone) {
        return StillToDo.of(ALL, open, isToCut, anyDone).time().toMinutes();
    }

    @Test
    void allOfItIsLeftBeforeAnythingIsCut() {
        assertThat(minutes(Map.of(1, 6, 2, 2), true, false)).isEqualTo(8 * 3 + 10 + 5 + 8 * 4 + 2);
    }

    @Test
    void nothingOfTheCuttingIsLeftOnceAllClothIsCut() {
        assertThat(minutes(Map.of(1, 6, 2, 2), false, false)).isEqualTo(5 + 8 * 4 + 2);
    }

    @Test
    void whatIsSpentOnceIsDoneWithTheFirstBag() {
        assertThat(minutes(Map.of(1, 5, 2, 0), false, true)).isEqualTo(5 * 4 + 2);
        assertThat(StillToDo.of(ALL, Map.of(1, 5, 2, 0), false, true).operations())
                .singleElement()
                .satisfies(sewing -> assertThat(sewing.lines()).containsExactly(1));
    }

    @Test
    void theClothOfAllBagsIsCutAsLongAsSomeIsToBeCut() {
        assertThat(StillToDo.of(ALL, Map.of(1, 5, 2, 1), true, true)
                        .operations()
                        .get(0)
                        .units())
                .isEqualTo(8);
    }

    @Test
    void nothingIsLeftOfABatchThatIsDone() {
        assertThat(StillToDo.of(ALL, Map.of(1, 0, 2, 0), false, true).operations())
                .isEmpty();
    }
}
