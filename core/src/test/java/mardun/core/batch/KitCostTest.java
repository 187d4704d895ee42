package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.Map;
import mardun.core.costing.LabourRates;
import mardun.core.making.WorkKind;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** What kits cost: cloth, notions and the work that is counted, to the cent. */
class KitCostTest {

    private static final LabourRates RATES = new LabourRates(euros(2_000), Map.of(WorkKind.CUTTING, euros(1_800)));

    private static Money euros(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    @Test
    void clothNotionsAndTheWorkOfCuttingMakeItUp() {
        KitCost cost = KitCost.of(euros(1_250), euros(333), 4, Duration.ofMinutes(7), RATES);
        assertThat(cost.work()).isEqualTo(Duration.ofMinutes(28));
        assertThat(cost.labour()).isEqualTo(euros(840));
        assertThat(cost.total()).isEqualTo(euros(1_250 + 333 + 840));
    }

    @Test
    void workThatNobodyCountsCostsNothing() {
        assertThat(KitCost.of(euros(1_250), euros(0), 4, Duration.ZERO, RATES).total())
                .isEqualTo(euros(1_250));
    }

    @Test
    void halfACentIsRoundedOnce() {
        // 3 × 50 s at 18.00 are 0.75; one second more 0.765.
        assertThat(KitCost.of(euros(0), euros(0), 3, Duration.ofSeconds(50), RATES)
                        .labour())
                .isEqualTo(euros(75));
        assertThat(KitCost.of(euros(0), euros(0), 3, Duration.ofSeconds(51), RATES)
                        .labour())
                .isEqualTo(euros(77));
    }

    @Test
    void noKitsAndTimeBelowNothingAreRefused() {
        assertThatThrownBy(() -> KitCost.of(euros(0), euros(0), 0, Duration.ZERO, RATES))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> KitCost.of(euros(0), euros(0), 1, Duration.ofSeconds(-1), RATES))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
