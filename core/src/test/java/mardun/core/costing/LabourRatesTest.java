package mardun.core.costing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.making.WorkKind;
import mardun.core.making.WorkTime;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class LabourRatesTest {

    private static final Money NOTHING = eur(0);
    private static final LabourRates RATES =
            new LabourRates(eur(2_000), Map.of(WorkKind.SEWING, eur(2_400), WorkKind.CUTTING, eur(1_200)));

    private static Money eur(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    private static Step step(String name, Station station, int minutes, int once) {
        return new Step(
                name,
                name,
                Stage.SEW,
                station,
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

    /** 10 bags: 50 minutes cut at 12, 125 sewn at 24, 30 pressed at 20: 10.00 + 50.00 + 10.00 = 70.00. */
    @Test
    void eachKindOfWorkIsPaidAtItsRate() {
        WorkTime time = WorkTime.of(
                List.of(
                        step("cut", Station.CUTTING_TABLE, 4, 10),
                        step("sew", Station.MACHINE, 10, 5),
                        step("overlock", Station.OVERLOCKER, 2, 0),
                        step("press", Station.PRESS, 3, 0)),
                10);
        assertThat(time.byKind())
                .containsEntry(WorkKind.CUTTING, Duration.ofMinutes(50))
                .containsEntry(WorkKind.SEWING, Duration.ofMinutes(125))
                .containsEntry(WorkKind.PRESSING, Duration.ofMinutes(30));
        UnitCost cost = UnitCost.of(List.of(), time, RATES, Overheads.of(NOTHING));
        assertThat(cost.labour().value()).isEqualTo(eur(700));
        assertThat(cost.labour().working().inputs()).hasSize(7);
        assertThat(UnitCost.of(List.of(), time, LabourRates.of(eur(2_000)), Overheads.of(NOTHING))
                        .labour()
                        .value())
                .as("205 minutes at 20")
                .isEqualTo(eur(683));
    }

    @Test
    void aRateThatIsTheUsualOneIsNoOther() {
        assertThat(new LabourRates(eur(2_000), Map.of(WorkKind.PRESSING, eur(2_000))).isOne())
                .isTrue();
        assertThat(RATES.of(WorkKind.HANDWORK)).isEqualTo(eur(2_000));
    }

    @Test
    void theKindsMakeTheWholeAndEqualRatesMakeWhatOneRateMakes() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            List<Step> steps = random.ints(1 + random.nextInt(6), 0, Station.values().length)
                    .mapToObj(at -> step("s" + at, Station.values()[at], random.nextInt(20), random.nextInt(20)))
                    .toList();
            WorkTime time = WorkTime.of(steps, 1 + random.nextInt(30));
            assertThat(time.byKind().values().stream().reduce(Duration.ZERO, Duration::plus))
                    .isEqualTo(time.asBatch().value());
            BigFraction alike = LabourRates.of(eur(1_900)).worth(time.byKind());
            assertThat(alike)
                    .isEqualTo(BigFraction.of(1_900L * time.asBatch().value().toSeconds(), 3_600));
        }
    }
}
