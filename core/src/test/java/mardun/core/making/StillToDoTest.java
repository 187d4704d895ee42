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
        return left(open, isToCut, anyDone).time().toMinutes();
    }

    private static StillToDo left(Map<Integer, Integer> open, boolean isToCut, boolean anyDone) {
        return left(open, isToCut, anyDone, Map.of());
    }

    private static StillToDo left(
            Map<Integer, Integer> open, boolean isToCut, boolean anyDone, Map<Counted.Place, Integer> counted) {
        return StillToDo.of(ALL, new StillToDo.Progress(open, isToCut, anyDone, new Counted(counted)));
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
        assertThat(left(Map.of(1, 5, 2, 0), false, true).operations())
                .singleElement()
                .satisfies(sewing -> assertThat(sewing.lines()).containsExactly(1));
    }

    @Test
    void theClothOfAllBagsIsCutAsLongAsSomeIsToBeCut() {
        assertThat(left(Map.of(1, 5, 2, 1), true, true).operations().get(0).units())
                .isEqualTo(8);
    }

    @Test
    void nothingIsLeftOfABatchThatIsDone() {
        assertThat(left(Map.of(1, 0, 2, 0), false, true).operations()).isEmpty();
    }

    /** Of six and two bags four and two are sewn: two of the first line are left, and what was spent once isn't spent again. */
    @Test
    void whatIsCountedIsDone() {
        StillToDo left = left(
                Map.of(1, 6, 2, 2),
                false,
                false,
                Map.of(new Counted.Place(1, "sew"), 4, new Counted.Place(2, "sew"), 2));
        assertThat(left.time().toMinutes()).isEqualTo(5 + 2 * 4);
        assertThat(left.operations().get(1).lines()).containsExactly(1);
    }

    /** A bag that is finished is done with all its steps, counted or not; together they aren't taken off twice. */
    @Test
    void aFinishedBagIsNotCountedTwice() {
        Map<Counted.Place, Integer> counted = Map.of(new Counted.Place(1, "sew"), 4);
        assertThat(left(Map.of(1, 3, 2, 0), false, true, counted)
                        .operations()
                        .get(0)
                        .units())
                .isEqualTo(2);
        assertThat(left(Map.of(1, 1, 2, 0), false, true, counted)
                        .operations()
                        .get(0)
                        .units())
                .isEqualTo(1);
    }

    @Test
    void whatIsDoneOnceIsDoneWhenItIsCounted() {
        assertThat(left(Map.of(1, 6, 2, 2), false, false, Map.of(new Counted.Place(1, "oil the machine"), 1))
                        .time()
                        .toMinutes())
                .isEqualTo(8 * 4 + 2);
        assertThat(left(Map.of(1, 6, 2, 2), false, false, Map.of(new Counted.Place(1, "sew"), -3))
                        .time()
                        .toMinutes())
                .as("more taken back than counted")
                .isEqualTo(5 + 8 * 4 + 2);
    }

    @Test
    void whatIsCountedTooOftenIsDoneAndNoMore() {
        assertThat(left(Map.of(1, 6, 2, 2), false, false, Map.of(new Counted.Place(1, "sew"), 9))
                        .time()
                        .toMinutes())
                .isEqualTo(5 + 2 * 4 + 2);
    }
}
