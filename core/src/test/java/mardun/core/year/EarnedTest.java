package mardun.core.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class EarnedTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;

    @Test
    void anHourEarnsWhatIsLeftBesideTheWork() {
        // 40.00 paid; 4.00 tax, 1.00 fees, 9.00 material and overheads; the other 26.00 are for an hour and 20 minutes.
        SoldBags two = new SoldBags(2, 4000, 400, 100, 2900, making(2000, 80));

        Earned earned = Earned.of(List.of(two), EUR);

        assertThat(earned.perHour().orElseThrow().value()).isEqualTo(Money.of(EUR, 19.50));
        assertThat(earned.left()).isEqualTo(Money.of(EUR, 6));
        assertThat(earned.bags()).isEqualTo(2);
    }

    @Test
    void countsOnlyThoseOfWhichTheTimeIsKnown() {
        SoldBags known = new SoldBags(1, 2000, 0, 0, 500, making(0, 60));
        SoldBags fromBefore = new SoldBags(10, 90_000, 0, 0, 100, Optional.empty());

        Earned earned = Earned.of(List.of(known, fromBefore), EUR);

        assertThat(earned.perHour().orElseThrow().value()).isEqualTo(Money.of(EUR, 15));
        assertThat(earned.timed()).isEqualTo(1);
        assertThat(earned.bags()).isEqualTo(11);
        assertThat(earned.paid()).isEqualTo(Money.of(EUR, 920));
    }

    @Test
    void bagsThatTookNoTimeEarnNothingByTheHour() {
        assertThat(Earned.of(List.of(new SoldBags(1, 500, 0, 0, 100, making(0, 0))), EUR)
                        .perHour())
                .isEmpty();
        assertThat(Earned.of(List.of(), EUR).paid()).isEqualTo(Money.zero(EUR));
    }

    @Test
    void anHourMayCost() {
        SoldBags cheap = new SoldBags(1, 300, 50, 100, 900, making(400, 30));

        assertThat(Earned.of(List.of(cheap), EUR).perHour().orElseThrow().value())
                .isEqualTo(Money.of(EUR, -7));
    }

    private static Optional<SoldBags.Making> making(long labour, int minutes) {
        return Optional.of(new SoldBags.Making(labour, 0, Duration.ofMinutes(minutes)));
    }
}
