package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.time.Duration;
import java.util.List;
import mardun.core.making.Equipment.Lack;
import org.junit.jupiter.api.Test;

/** What a maker has to put on a machine, and what she lacks. */
class EquipmentTest {

    private static Step sew(String name, String needle, String foot) {
        return new Step(
                name,
                name,
                Stage.SEW,
                Station.MACHINE,
                new SetUp(needle, "navy", foot, ""),
                Duration.ofMinutes(2),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    private static final List<Operation> OPERATIONS = Operation.of(List.of(LineSteps.of(
            3,
            2,
            List.of(
                    sew("zip", "80 universal", "Zip foot"),
                    sew("quilt", "90 topstitch", "walking foot"),
                    sew("baste", "", "")))));

    @Test
    void whatIsNotThereIsNamedWithItsOperation() {
        Equipment equipment = Equipment.of("zip foot, standard foot;\n1/4 in foot", "80 universal");
        assertThat(equipment.lacking(OPERATIONS))
                .extracting(lack -> lack.operation().step().name(), Lack::part, Lack::what)
                .containsExactly(
                        tuple("quilt", SetUp.Part.NEEDLE, "90 topstitch"),
                        tuple("quilt", SetUp.Part.FOOT, "walking foot"));
    }

    @Test
    void whereNothingIsSaidAllIsThere() {
        assertThat(Equipment.of(" , ", "").lacking(OPERATIONS)).isEmpty();
        assertThat(Equipment.of("", "80universal , 90 Topstitch").lacking(OPERATIONS))
                .isEmpty();
    }
}
