package mardun.core.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mardun.core.year.MoneyFlow.To;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class MoneyFlowTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;

    @Test
    void goesToEachPlaceWhatWasSpentThere() {
        SoldBags bags =
                new SoldBags(3, 6000, 600, 200, 3000, Optional.of(new SoldBags.Making(1500, 300, Duration.ofHours(1))));

        MoneyFlow flow = MoneyFlow.of(List.of(bags), 700, 50, EUR);

        assertThat(flow.parts())
                .containsEntry(To.TAX, eur(600))
                .containsEntry(To.FEES, eur(200))
                .containsEntry(To.FAIRS, eur(700))
                .containsEntry(To.GONE, eur(50))
                .containsEntry(To.MATERIAL, eur(1200))
                .containsEntry(To.OVERHEADS, eur(300))
                .containsEntry(To.LABOUR, eur(1500))
                .containsEntry(To.LEFT, eur(1450));
        assertThat(flow.unknownBags()).isZero();
    }

    @Test
    void allThatBagsCostIsMaterialWhereTheWorkIsNotKnown() {
        MoneyFlow flow = MoneyFlow.of(List.of(new SoldBags(4, 4000, 0, 0, 2500, Optional.empty())), 0, 0, EUR);

        assertThat(flow.parts()).containsEntry(To.MATERIAL, eur(2500)).containsEntry(To.LABOUR, eur(0));
        assertThat(flow.unknownBags()).isEqualTo(4);
    }

    @Test
    void partsAreWhatBuyersPaidWhateverHappened() {
        Random random = new Random(17);
        for (int round = 0; round < 300; round++) {
            List<SoldBags> sold = new ArrayList<>();
            for (int i = random.nextInt(8); i > 0; i--) {
                long labour = random.nextInt(3000);
                long overheads = random.nextInt(500);
                sold.add(new SoldBags(
                        1 + random.nextInt(5),
                        random.nextInt(20_000),
                        random.nextInt(2000),
                        random.nextInt(2000),
                        labour + overheads + random.nextInt(4000),
                        random.nextBoolean()
                                ? Optional.empty()
                                : Optional.of(new SoldBags.Making(
                                        labour, overheads, Duration.ofMinutes(random.nextInt(300))))));
            }
            MoneyFlow flow = MoneyFlow.of(sold, random.nextInt(9000), random.nextInt(900), EUR);

            assertThat(flow.parts().values().stream().reduce(eur(0), Money::plus))
                    .isEqualTo(flow.sales());
            assertThat(flow.parts()).hasSize(To.values().length);
        }
    }

    private static Money eur(long minor) {
        return Money.ofMinor(EUR, minor);
    }
}
