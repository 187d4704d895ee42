package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import mardun.core.making.CuttingTime.Minutes;
import org.junit.jupiter.api.Test;

class CuttingTimeTest {

    private static final Step CUT = step("cut", Stage.CUT, Station.CUTTING_TABLE, 3, 15);
    private static final Step FUSE = step("fuse", Stage.CUT, Station.PRESS, 2, 6);
    private static final Step TRIM = step("trim", Stage.CUT, Station.CUTTING_TABLE, 1, 0);

    private static Step step(String key, Stage stage, Station station, int each, int once) {
        return new Step(
                key,
                key,
                stage,
                station,
                SetUp.NONE,
                Duration.ofMinutes(each),
                Duration.ofMinutes(once),
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    private static Duration total(List<Minutes> minutes, int units) {
        return minutes.stream()
                .map(one -> one.perUnit().multipliedBy(units).plus(one.perBatch()))
                .reduce(Duration.ZERO, Duration::plus);
    }

    @Test
    void onlyWhatIsDoneAtTheCuttingTableCounts() {
        CuttingTime time = CuttingTime.of(List.of(CUT, FUSE, TRIM), 12);
        assertThat(time.steps()).containsExactly(CUT, TRIM);
        assertThat(time.total()).isEqualTo(Duration.ofMinutes(63));
    }

    @Test
    void whatTheSheetSaysIsSpreadOverTheBagsAndTheSetUpStays() {
        CuttingTime time = CuttingTime.of(List.of(CUT), 12);
        assertThat(time.meeting(Duration.ofMinutes(27)))
                .containsExactly(new Minutes("cut", Duration.ofMinutes(1), Duration.ofMinutes(15)));
    }

    @Test
    void severalStepsShareItAsBefore() {
        CuttingTime time = CuttingTime.of(List.of(CUT, TRIM), 12);
        List<Minutes> met = time.meeting(Duration.ofMinutes(15 + 12 * 8));
        assertThat(met)
                .containsExactly(
                        new Minutes("cut", Duration.ofMinutes(6), Duration.ofMinutes(15)),
                        new Minutes("trim", Duration.ofMinutes(2), Duration.ZERO));
        assertThat(total(met, 12)).isEqualTo(Duration.ofMinutes(111));
    }

    @Test
    void aSheetThatTakesLessThanTheSetUpLeavesNothingForTheBags() {
        assertThat(CuttingTime.of(List.of(CUT), 12).meeting(Duration.ofMinutes(9)))
                .containsExactly(new Minutes("cut", Duration.ZERO, Duration.ofMinutes(9)));
    }

    @Test
    void stepsWithoutMinutesGetTheSameEach() {
        Step open = step("open", Stage.CUT, Station.CUTTING_TABLE, 0, 0);
        List<Minutes> met = CuttingTime.of(List.of(open, open), 4).meeting(Duration.ofMinutes(16));
        assertThat(met).containsOnly(new Minutes("open", Duration.ofMinutes(2), Duration.ZERO));
    }

    @Test
    void lessThanAMinuteApartIsTheSame() {
        CuttingTime time = CuttingTime.of(List.of(CUT), 12);
        assertThat(time.meets(Duration.ofMinutes(51).plusSeconds(59))).isTrue();
        assertThat(time.meets(Duration.ofMinutes(52))).isFalse();
    }
}
