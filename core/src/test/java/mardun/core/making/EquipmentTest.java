package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.core.making.Equipment.Lack;
import mardun.core.making.Equipment.Need;
import mardun.core.making.Machine.Ability;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

/** What a maker has to put on a machine, and what she lacks. */
class EquipmentTest {

    private static Step sew(String name, String needle, String foot) {
        return new Step(
                name,
                name,
                Stage.SEW,
                Station.MACHINE,
                SetUp.of(needle, "navy", foot, ""),
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
        Equipment equipment = Equipment.of(List.of(), "zip foot, standard foot;\n1/4 in foot", "80 universal");
        assertThat(equipment.lacking(OPERATIONS))
                .extracting(lack -> lack.operation().step().name(), Lack::need, Lack::what)
                .containsExactly(
                        tuple("quilt", Need.NEEDLE, "90 topstitch"), tuple("quilt", Need.FOOT, "walking foot"));
    }

    @Test
    void whereNothingIsSaidAllIsThere() {
        assertThat(Equipment.of(List.of(), " , ", "").lacking(OPERATIONS)).isEmpty();
        assertThat(Equipment.of(List.of(), "", "80universal , 90 Topstitch").lacking(OPERATIONS))
                .isEmpty();
    }

    private static final Machine SMALL =
            new Machine("1", "Small", Station.MACHINE, Set.of(Ability.ZIGZAG, Ability.FREE_ARM), mm(6));
    private static final Machine STRONG =
            new Machine("2", "Strong", Station.MACHINE, Set.of(Ability.WALKING_FOOT), mm(12));
    private static final Equipment BOTH = new Equipment(List.of(SMALL, STRONG), Set.of(), Set.of());

    private static Optional<Length> mm(int millimetres) {
        return Optional.of(Length.of(millimetres, 1, LengthUnit.MILLIMETRE));
    }

    private static List<String> places(Station station, SetUp setUp, int thickness) {
        return BOTH.places(station, setUp, mm(thickness).orElseThrow()).stream()
                .map(Workplace::words)
                .toList();
    }

    @Test
    void anOperationGoesToTheMachinesThatCanDoIt() {
        assertThat(places(Station.MACHINE, SetUp.NONE, 3)).containsExactly("Small", "Strong");
        assertThat(places(Station.MACHINE, SetUp.NONE, 8)).containsExactly("Strong");
        assertThat(places(Station.MACHINE, SetUp.of("", "", "", "zigzag"), 3)).containsExactly("Small");
        assertThat(places(Station.MACHINE, SetUp.of("", "", "walking foot", ""), 3))
                .containsExactly("Strong");
        assertThat(places(Station.MACHINE, new SetUp(Map.of(), "2", false), 3)).containsExactly("Strong");
        assertThat(places(Station.PRESS, SetUp.NONE, 0)).containsExactly("the press");
    }

    @Test
    void whatNoMachineCanDoIsDoneAtTheFirstAndNamed() {
        assertThat(places(Station.MACHINE, SetUp.NONE, 20)).containsExactly("Small");
        assertThat(places(Station.MACHINE, new SetUp(Map.of(), "gone", false), 3))
                .containsExactly("Small", "Strong");
    }

    private static List<Need> needs(Equipment equipment, Station station, SetUp setUp, int thickness) {
        Step step = new Step(
                "a",
                "a",
                Stage.SEW,
                station,
                setUp,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
        return equipment
                .lacking(Operation.of(List.of(new LineSteps(
                        1, 1, 1, List.of(step), Map.of("a", mm(thickness).orElseThrow())))))
                .stream()
                .map(Lack::need)
                .toList();
    }

    @Test
    void aMachineThatIsLackingIsNamedByWhatItCannotDo() {
        SetUp zigzag = SetUp.of("", "", "", "zigzag");
        assertThat(needs(BOTH, Station.MACHINE, SetUp.NONE, 8)).isEmpty();
        assertThat(needs(BOTH, Station.MACHINE, SetUp.NONE, 20)).containsExactly(Need.THICKNESS);
        assertThat(needs(BOTH, Station.MACHINE, zigzag, 8)).containsExactly(Need.ALL_AT_ONCE);
        assertThat(needs(BOTH, Station.MACHINE, new SetUp(zigzag.on(), "2", false), 3))
                .containsExactly(Need.ZIGZAG);
        assertThat(needs(BOTH, Station.MACHINE, new SetUp(Map.of(), "gone", false), 3))
                .containsExactly(Need.MACHINE);
        assertThat(needs(BOTH, Station.OVERLOCKER, SetUp.NONE, 3)).containsExactly(Need.KIND);
        assertThat(needs(BOTH, Station.PRESS, SetUp.NONE, 0)).isEmpty();
        assertThat(needs(BOTH, Station.WORK_TABLE, SetUp.NONE, 0)).isEmpty();
        assertThat(needs(Equipment.ANYTHING, Station.OVERLOCKER, SetUp.NONE, 3)).isEmpty();
    }

    @Test
    void theThickestSeamIsThatOfTheStrongestMachine() {
        Length usual = mm(5).orElseThrow();
        assertThat(BOTH.thickestSeam(usual)).isEqualTo(mm(12).orElseThrow());
        assertThat(Equipment.ANYTHING.thickestSeam(usual)).isEqualTo(usual);
        Machine unsaid = new Machine("3", "", Station.MACHINE, Set.of(), Optional.empty());
        assertThat(new Equipment(List.of(unsaid), Set.of(), Set.of()).thickestSeam(usual))
                .isEqualTo(usual);
    }
}
