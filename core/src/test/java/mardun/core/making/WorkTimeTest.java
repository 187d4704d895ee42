package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.making.DayPlan.Laid;
import mardun.core.making.DayPlan.Work;
import org.junit.jupiter.api.Test;

class WorkTimeTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Map<DayOfWeek, Duration> TWO_HOURS_ON_WORKDAYS = Map.of(
            DayOfWeek.MONDAY, Duration.ofHours(2),
            DayOfWeek.TUESDAY, Duration.ofHours(2),
            DayOfWeek.WEDNESDAY, Duration.ofHours(2));

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
        SetUp lining = new SetUp("80 universal", "ecru", "standard foot", "2.5 mm");
        SetUp zip = new SetUp("80 universal", "ecru", "zip foot", "");
        assertThat(zip.changesFrom(lining)).containsExactly("zip foot");
        assertThat(lining.changesFrom(SetUp.NONE))
                .containsExactly("needle 80 universal", "ecru thread", "standard foot", "stitch 2.5 mm");
        assertThat(SetUp.NONE.changesFrom(lining)).isEmpty();
    }

    @Test
    void whatIsDueFirstIsLaidFirst() {
        DayPlan.Plan plan = DayPlan.lay(
                List.of(
                        new Work("someday", Duration.ofHours(1), Optional.empty()),
                        new Work("later", Duration.ofHours(3), Optional.of(MONDAY.plusDays(9))),
                        new Work("soon", Duration.ofHours(1), Optional.of(MONDAY.plusDays(1)))),
                TWO_HOURS_ON_WORKDAYS,
                MONDAY);
        assertThat(plan.laid())
                .containsExactly(
                        new Laid("soon", MONDAY, Duration.ofHours(1)),
                        new Laid("later", MONDAY, Duration.ofHours(1)),
                        new Laid("later", MONDAY.plusDays(1), Duration.ofHours(2)),
                        new Laid("someday", MONDAY.plusDays(2), Duration.ofHours(1)));
        assertThat(plan.ready()).containsEntry("later", MONDAY.plusDays(1));
    }

    @Test
    void workThatNeverFitsHasNoDayOfReadiness() {
        DayPlan.Plan none =
                DayPlan.lay(List.of(new Work("a", Duration.ofHours(1), Optional.empty())), Map.of(), MONDAY);
        assertThat(none.laid()).isEmpty();
        assertThat(none.ready()).isEmpty();
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
