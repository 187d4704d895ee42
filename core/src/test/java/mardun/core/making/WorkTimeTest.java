package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class WorkTimeTest {

    @Test
    void aBatchMakesEachSetUpOnce() {
        WorkTime time = WorkTime.of(List.of(step(3, 10, 0), step(15, 20, 30)), 24);
        assertThat(time.oneByOne().value()).isEqualTo(Duration.ofMinutes(24 * (18 + 30)));
        assertThat(time.asBatch().value()).isEqualTo(Duration.ofMinutes(24 * 18 + 30));
        assertThat(time.saved()).isEqualTo(Duration.ofMinutes(23 * 30));
        assertThat(time.passive()).isEqualTo(Duration.ofMinutes(30));
        assertThat(time.perUnit()).isEqualTo(Duration.ofSeconds(19 * 60 + 15));
        assertThat(time.sewing().plus(time.settingUp()))
                .isEqualTo(time.asBatch().value());
    }

    @Test
    void oneBagTakesTheSameBothWays() {
        WorkTime time = WorkTime.of(List.of(step(3, 10, 0)), 1);
        assertThat(time.oneByOne().value()).isEqualTo(time.asBatch().value());
    }

    @Test
    void aSetUpNamesOnlyWhatChanges() {
        SetUp lining = SetUp.of("80 universal", "ecru", "standard foot", "2.5 mm");
        SetUp zip = SetUp.of("80 universal", "ecru", "zip foot", "");
        assertThat(zip.changesFrom(lining)).containsExactly("zip foot");
        assertThat(lining.changesFrom(SetUp.NONE))
                .containsExactly("needle 80 universal", "ecru thread", "standard foot", "stitch 2.5 mm");
        assertThat(SetUp.NONE.changesFrom(lining)).isEmpty();
    }

    private static Step step(int perUnit, int perBatch, int passive) {
        return new Step(
                "sew",
                "Sew",
                Stage.SEW,
                Station.MACHINE,
                SetUp.NONE,
                Duration.ofMinutes(perUnit),
                Duration.ofMinutes(perBatch),
                Duration.ofMinutes(passive),
                "",
                "",
                "",
                List.of(),
                List.of());
    }
}
