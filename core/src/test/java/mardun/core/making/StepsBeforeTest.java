package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a bag has been through when it comes to a step. */
class StepsBeforeTest {

    private static Step step(String key, Stage stage, String... after) {
        return new Step(
                key,
                key,
                stage,
                Station.MACHINE,
                SetUp.NONE,
                Duration.ofMinutes(1),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(after),
                List.of());
    }

    private static final List<Step> BAG = List.of(
            step("cut", Stage.CUT),
            step("zip", Stage.SEW),
            step("strap", Stage.SEW, "cut"),
            step("side", Stage.SEW, "zip", "strap"),
            step("label", Stage.SEW, "zip"),
            step("press", Stage.FINISH));

    @Test
    void allThatItNamesAndWhatTheseWaitFor() {
        assertThat(StepsBefore.all(BAG).get("side")).containsExactlyInAnyOrder("cut", "zip", "strap");
        assertThat(StepsBefore.all(BAG).get("label")).containsExactlyInAnyOrder("cut", "zip");
        assertThat(StepsBefore.all(BAG).get("cut")).isEmpty();
    }

    @Test
    void theOneBeforeWhereItNamesNoneAndAllOfAnEarlierStage() {
        assertThat(StepsBefore.all(BAG).get("zip")).containsExactly("cut");
        assertThat(StepsBefore.all(BAG).get("press")).containsExactlyInAnyOrder("cut", "zip", "strap", "side", "label");
    }

    /** Steps that wait for one another are found fault with elsewhere; nothing hangs here. */
    @Test
    void stepsThatWaitForOneAnother() {
        assertThat(StepsBefore.all(List.of(step("a", Stage.SEW, "b"), step("b", Stage.SEW, "a")))
                        .get("a"))
                .containsExactly("b");
    }

    /**
     * Ten bags, all with their zip; at the side seam one is scrapped. It had its zip and never gets a label: nine more sides less those
     * that are sewn.
     */
    @Test
    void aScrappedBagIsNotDoneAnyFurther() {
        Counted counted = new Counted(
                Map.of(
                        new Counted.Place(1, "zip"),
                        10,
                        new Counted.Place(1, "side"),
                        3,
                        new Counted.Place(1, "label"),
                        2),
                Map.of(new Counted.Place(1, "side"), 1));
        StillToDo left = StillToDo.of(
                Operation.of(List.of(LineSteps.of(1, 10, BAG))),
                new StillToDo.Progress(Map.of(1, 9), false, false, counted));
        assertThat(left.operations().stream().map(operation -> operation.step().key() + " " + operation.units()))
                .containsExactly("strap 9", "side 6", "label 7", "press 9");
    }

    /** One that is scrapped before its zip was sewn isn't counted there. */
    @Test
    void aBagIsScrappedWhereItIs() {
        Counted counted = new Counted(Map.of(new Counted.Place(1, "zip"), 4), Map.of(new Counted.Place(1, "zip"), 2));
        StillToDo left = StillToDo.of(
                Operation.of(List.of(LineSteps.of(1, 10, BAG))),
                new StillToDo.Progress(Map.of(1, 8), false, false, counted));
        assertThat(left.operations().get(0).units()).as("zips").isEqualTo(4);
        assertThat(counted.scrapped(1)).isEqualTo(2);
        assertThat(counted.scrapped(2)).isZero();
    }
}
