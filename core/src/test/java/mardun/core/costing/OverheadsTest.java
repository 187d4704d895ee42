package mardun.core.costing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.UnitPrice;
import mardun.core.material.Worth;
import mardun.core.pricing.UnitTakes;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** Overheads by the hour, as a share of material and labour, or both. */
class OverheadsTest {

    private static final LabourRates RATES = LabourRates.of(eur(2_000));

    private static Money eur(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    private static Overheads overheads(long anHour, String share) {
        return new Overheads(eur(anHour), new BigDecimal(share));
    }

    private static WorkTime time(int minutesEach, int bags) {
        return WorkTime.of(
                List.of(new Step(
                        "sew",
                        "sew",
                        Stage.SEW,
                        Station.MACHINE,
                        SetUp.NONE,
                        Duration.ofMinutes(minutesEach),
                        Duration.ZERO,
                        Duration.ZERO,
                        "",
                        "",
                        "",
                        List.of(),
                        List.of())),
                bags);
    }

    private static List<CostLine> material(long minor) {
        return List.of(
                CostLine.ofCutPieces("outer", "Canvas", Worth.of(new UnitPrice(eur(1), Amount.pieces(1))), 1, minor));
    }

    /** 10 bags of 30 minutes: material 4.00 each, labour 10.00; 15 % of the two is 2.10, an hour's 1.20 is 0.60 for each. */
    @Test
    void aShareIsOfMaterialAndLabour() {
        UnitCost share = UnitCost.of(material(4_000), time(30, 10), RATES, overheads(0, "0.15"));
        assertThat(share.overhead().value()).isEqualTo(eur(210));
        assertThat(share.full().value()).isEqualTo(eur(1_610));
        UnitCost both = UnitCost.of(material(4_000), time(30, 10), RATES, overheads(120, "0.15"));
        assertThat(both.overhead().value()).isEqualTo(eur(270));
        assertThat(both.overhead().working().expression()).contains("{time}").contains("{share}");
        assertThat(UnitCost.exact(material(4_000), time(30, 10), RATES, overheads(120, "0.15")))
                .isEqualTo(BigFraction.of(16_700));
        assertThatThrownBy(() -> overheads(0, "-0.1")).isInstanceOf(IllegalArgumentException.class);
    }

    /** What is worked out from a bag's cost with something otherwise is what its cost then is, within a coin for each part. */
    @Test
    void whatIfIsWhatThenIs() {
        Random random = new Random(3);
        for (int round = 0; round < 300; round++) {
            int bags = 1 + random.nextInt(30);
            int minutes = 1 + random.nextInt(90);
            long material = random.nextInt(60_000);
            Overheads overheads = overheads(random.nextInt(400), "0." + random.nextInt(60));
            UnitTakes takes = takes(material, minutes, bags, overheads);
            assertThat(takes.dearer(new BigDecimal("0.5")).full().getAmountMinorLong())
                    .isCloseTo(full(material * 3 / 2, minutes, bags, overheads), within(3L));
            assertThat(takes.faster(Duration.ofMinutes(-7)).full().getAmountMinorLong())
                    .isCloseTo(full(material, minutes + 7, bags, overheads), within(8L));
        }
    }

    private static UnitTakes takes(long material, int minutes, int bags, Overheads overheads) {
        WorkTime time = time(minutes, bags);
        return UnitTakes.of(UnitCost.of(material(material), time, RATES, overheads), time);
    }

    private static long full(long material, int minutes, int bags, Overheads overheads) {
        return takes(material, minutes, bags, overheads).full().getAmountMinorLong();
    }

    /** So many an hour as are asked for earn just what is asked for: at the price, after material, overheads and the work itself. */
    @Test
    void asManyAsAreAskedForEarnIt() {
        UnitTakes takes = takes(4_000, 30, 10, overheads(120, "0.15"));
        BigFraction many = takes.manyFor(eur(2_000), takes.full()).orElseThrow();
        assertThat(many.doubleValue()).isCloseTo(2, within(0.01));
    }
}
