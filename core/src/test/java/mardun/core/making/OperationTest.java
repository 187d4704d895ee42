package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class OperationTest {

    private static final SetUp ZIP_FOOT = SetUp.of("80", "", "zip foot", "2.5");

    private static Step step(String name, Stage stage, SetUp setUp, int perUnit, int perBatch) {
        return new Step(
                name,
                name,
                stage,
                Station.MACHINE,
                setUp,
                Duration.ofMinutes(perUnit),
                Duration.ofMinutes(perBatch),
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    private static Step sew(String name, int perUnit, int perBatch) {
        return step(name, Stage.SEW, ZIP_FOOT, perUnit, perBatch);
    }

    private static List<String> names(List<Operation> operations) {
        return operations.stream()
                .map(operation -> operation.step().name() + operation.lines())
                .toList();
    }

    @Test
    void stepsWithTheSameNameStationAndSetUpAreOneHoweverTheyAreWritten() {
        List<Operation> operations = Operation.of(List.of(
                LineSteps.of(1, 4, List.of(sew("Sew zip", 5, 10), sew("Close", 3, 2))),
                LineSteps.of(
                        2,
                        6,
                        List.of(
                                step("sew  ZIP", Stage.SEW, SetUp.of("80", "", "Zip Foot", "2.5"), 7, 12),
                                sew("Add strap", 2, 1),
                                sew("Close", 3, 2)))));
        assertThat(names(operations)).containsExactly("Sew zip[1, 2]", "Add strap[2]", "Close[1, 2]");
        Operation zip = operations.get(0);
        assertThat(zip.units()).isEqualTo(10);
        assertThat(zip.once()).isEqualTo(Duration.ofMinutes(12));
        assertThat(zip.time()).isEqualTo(Duration.ofMinutes(4 * 5 + 6 * 7 + 12));
    }

    @Test
    void anotherSetUpKeepsThemApart() {
        Step other = step("Sew zip", Stage.SEW, SetUp.of("100", "", "zip foot", "2.5"), 5, 10);
        assertThat(Operation.of(List.of(
                        LineSteps.of(1, 1, List.of(sew("Sew zip", 5, 10))), LineSteps.of(2, 1, List.of(other)))))
                .hasSize(2);
    }

    @Test
    void aStageOfAllLinesComesBeforeTheNext() {
        List<Operation> operations = Operation.of(List.of(
                LineSteps.of(
                        1,
                        1,
                        List.of(
                                step("Cut pouch", Stage.CUT, SetUp.NONE, 1, 0),
                                sew("Sew pouch", 1, 0),
                                step("Press", Stage.FINISH, SetUp.NONE, 1, 0))),
                LineSteps.of(
                        2,
                        1,
                        List.of(
                                step("Cut tote", Stage.CUT, SetUp.NONE, 1, 0),
                                sew("Sew tote", 1, 0),
                                step("Press", Stage.FINISH, SetUp.NONE, 1, 0)))));
        assertThat(names(operations))
                .containsExactly("Cut pouch[1]", "Cut tote[2]", "Sew pouch[1]", "Sew tote[2]", "Press[1, 2]");
    }

    @Test
    void theSameTwoStepsInAnotherOrderStayApart() {
        List<Operation> operations = Operation.of(List.of(
                LineSteps.of(1, 1, List.of(sew("Label", 1, 0), sew("Close", 1, 0))),
                LineSteps.of(2, 1, List.of(sew("Close", 1, 0), sew("Label", 1, 0)))));
        assertThat(operations).hasSize(3);
    }

    /** Each line's steps are all there, once, in their order; what is spent once is borne by its lines to the nanosecond. */
    @Test
    void nothingIsLostAndTheSharesAreTheWhole() {
        Random random = new Random(11);
        for (int round = 0; round < 300; round++) {
            List<LineSteps> lines = new ArrayList<>();
            for (int line = 1; line <= 1 + random.nextInt(8); line++) {
                List<Step> steps = new ArrayList<>();
                Set<String> used = new HashSet<>();
                for (int i = 0; i < random.nextInt(9); i++) {
                    String name = "s" + random.nextInt(6);
                    if (used.add(name)) {
                        steps.add(sew(name, random.nextInt(4), random.nextInt(7)));
                    }
                }
                lines.add(LineSteps.of(line, 1 + random.nextInt(30), steps));
            }
            List<Operation> operations = Operation.of(lines);
            for (LineSteps line : lines) {
                assertThat(operations.stream()
                                .flatMap(operation -> operation.parts().stream())
                                .filter(part -> part.line() == line.line())
                                .map(Operation.Part::step)
                                .toList())
                        .isEqualTo(line.steps());
            }
            for (SetUpSpread spread : SetUpSpread.values()) {
                Duration borne = Duration.ZERO;
                Map<WorkKind, Duration> byKind = new EnumMap<>(WorkKind.class);
                for (LineSteps line : lines) {
                    WorkTime its = WorkTime.ofLine(line.line(), line.units(), operations, spread, Duration.ZERO);
                    borne = borne.plus(its.asBatch().value());
                    its.byKind().forEach((kind, time) -> byKind.merge(kind, time, Duration::plus));
                }
                WorkTime whole = WorkTime.ofBatch(operations, 1, Duration.ZERO);
                assertThat(borne).isEqualTo(whole.asBatch().value());
                assertThat(byKind).isEqualTo(whole.byKind());
            }
        }
    }

    @Test
    void aSetUpIsSharedByUnitsOrByMinutes() {
        Operation zip = Operation.of(List.of(
                        LineSteps.of(1, 1, List.of(sew("Sew zip", 9, 12))),
                        LineSteps.of(2, 3, List.of(sew("Sew zip", 1, 12)))))
                .get(0);
        assertThat(zip.shares(SetUpSpread.BY_UNITS))
                .isEqualTo(Map.of(1, Duration.ofMinutes(3), 2, Duration.ofMinutes(9)));
        assertThat(zip.shares(SetUpSpread.BY_MINUTES))
                .isEqualTo(Map.of(1, Duration.ofMinutes(9), 2, Duration.ofMinutes(3)));
    }

    /** Two lines of one design rest on the same forty bags; another design's twelve come to them. */
    @Test
    void theSameMeasurementsAreCountedOnce() {
        Step timed = sew("Sew zip", 5, 0).timed(Duration.ofMinutes(5), Duration.ZERO, new Timing(40, 3, 0.1));
        Step other = sew("Sew zip", 5, 0).timed(Duration.ofMinutes(10), Duration.ZERO, new Timing(12, 1, 0.3));
        Operation operation = Operation.of(List.of(
                        LineSteps.of(1, 2, List.of(timed)),
                        LineSteps.of(2, 2, List.of(timed)),
                        LineSteps.of(3, 2, List.of(other))))
                .get(0);
        assertThat(operation.timing().bags()).isEqualTo(52);
        assertThat(operation.timing().spread()).isEqualTo((0.1 * 20 + 0.3 * 20) / 40);
    }
}
