package mardun.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import mardun.core.caution.Caution.Here;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.material.Ware;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Each caution stands where what it warns of is, and nowhere else. */
class CautionTest {

    private static Step step(String name, Stage stage, Station station) {
        return new Step(
                name,
                name,
                stage,
                station,
                SetUp.NONE,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    private static List<Caution> at(Stage stage, List<Step> steps, Set<Ware> wares, List<String> fillings) {
        return Caution.at(new Here(stage, steps, wares, fillings, false));
    }

    @ParameterizedTest
    @CsvSource({
        "CUTTING_TABLE, BLADE",
        "PRESS, IRON",
        "MACHINE, NEEDLE",
        "WORK_TABLE, POSTURE",
    })
    void aStationHasItsOwn(Station station, Caution caution) {
        assertThat(at(Stage.SEW, List.of(step("Do it", Stage.SEW, station)), Set.of(), List.of()))
                .containsExactly(caution);
    }

    @ParameterizedTest
    @CsvSource({
        "Glue the flap, GLUE",
        "hold it until it is GLUED, GLUE",
        "Pierce for the snap, PIERCING",
        "Set eyelets, PIERCING",
        "Topstitch with an awl, PIERCING",
    })
    void whatAStepSaysIsHeard(String name, Caution caution) {
        assertThat(at(Stage.FINISH, List.of(step(name, Stage.FINISH, Station.MACHINE)), Set.of(), List.of()))
                .containsExactly(Caution.NEEDLE, caution);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Unglueable trim", "Sew the shawl", "Untangle it"})
    void whatOnlySoundsAlikeIsnt(String name) {
        assertThat(at(Stage.FINISH, List.of(step(name, Stage.FINISH, Station.MACHINE)), Set.of(), List.of()))
                .containsExactly(Caution.NEEDLE);
    }

    @Test
    void nutShellsAndMagnetsAreNamedWhenTheBagIsFinished() {
        assertThat(at(Stage.FINISH, List.of(), Set.of(Ware.MAGNET, Ware.RING), List.of("Walnut shells, fine")))
                .containsExactly(Caution.NUT_SHELLS, Caution.MAGNETS);
        assertThat(at(Stage.FINISH, List.of(), Set.of(Ware.SNAP), List.of("Wool stuffing")))
                .isEmpty();
        assertThat(at(Stage.CUT, List.of(), Set.of(Ware.MAGNET), List.of("Walnut shells, fine")))
                .isEmpty();
    }

    @Test
    void whatIsForChildrenSaysSo() {
        assertThat(Caution.at(new Here(Stage.FINISH, List.of(), Set.of(), List.of(), true)))
                .containsExactly(Caution.CHILDREN);
    }
}
