package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.Random;
import mardun.core.selling.Settlement.Counted;
import mardun.core.selling.Settlement.Sold;
import mardun.core.working.Value;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** What a fair left, worked out by hand and held against its parts. */
class SettlementTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final Money NOTHING = Money.zero(EUR);

    private static Money eur(String amount) {
        return Money.of(EUR, new BigDecimal(amount));
    }

    private static FairCosts costs(String stall, String travel) {
        return new FairCosts(eur(stall), eur(travel), NOTHING, NOTHING, NOTHING, NOTHING);
    }

    private static final Sold SOLD =
            new Sold(24, eur("412.50"), NOTHING, eur("7.31"), eur("198.40"), eur("131.20"), Duration.ofMinutes(410), 0);

    @Test
    void comesToWhatIsLeftAndWhatAnHourIsPaid() {
        Settlement settled = Settlement.of(
                SOLD,
                new Counted(eur("-2.00"), eur("8.10")),
                costs("45.00", "18.60"),
                Duration.ofHours(9),
                Duration.ofMinutes(90));
        // 412.50 − 7.31 − 198.40 − 8.10 − 45.00 − 18.60 − 2.00
        assertThat(settled.left().value()).isEqualTo(eur("133.09"));
        // ÷ 10.5 h
        assertThat(settled.perHourThere().orElseThrow().value()).isEqualTo(eur("12.68"));
        // (133.09 + 131.20) ÷ (10.5 h + 6.8333 h)
        assertThat(settled.perHourInAll().orElseThrow().value()).isEqualTo(eur("15.25"));
        assertThat(settled.left().working().expression())
                .isEqualTo("{paid} − {off0} − {off1} − {off2} − {off3} − {off4} − {difference}");
    }

    @Test
    void saysNothingOfAnHourThatNobodyKnows() {
        Settlement atNoTime =
                Settlement.of(SOLD, Counted.asExpected(EUR), costs("0", "0"), Duration.ZERO, Duration.ZERO);
        assertThat(atNoTime.perHourThere()).isEmpty();
        assertThat(atNoTime.perHourInAll()).isEmpty();
        Sold unknown = new Sold(1, eur("9"), NOTHING, NOTHING, eur("4"), NOTHING, Duration.ZERO, 1);
        Settlement half =
                Settlement.of(unknown, Counted.asExpected(EUR), costs("0", "0"), Duration.ofHours(2), Duration.ZERO);
        assertThat(half.perHourThere().orElseThrow().value()).isEqualTo(eur("2.50"));
        assertThat(half.perHourInAll()).isEmpty();
    }

    @Test
    void isTheSumOfItsPartsToTheCent() {
        Random random = new Random(16);
        for (int i = 0; i < 2_000; i++) {
            Money[] some = new Money[13];
            for (int k = 0; k < some.length; k++) {
                some[k] = Money.ofMinor(EUR, random.nextInt(60_000));
            }
            Money difference = Money.ofMinor(EUR, random.nextInt(2_001) - 1_000);
            Settlement settled = Settlement.of(
                    new Sold(
                            9, some[0], some[1], some[2], some[3], some[4], Duration.ofMinutes(random.nextInt(900)), 0),
                    new Counted(difference, some[5]),
                    new FairCosts(some[6], some[7], some[8], some[9], some[10], some[11]),
                    Duration.ofMinutes(1 + random.nextInt(900)),
                    Duration.ofMinutes(random.nextInt(300)));
            long off = 0;
            for (int k : new int[] {1, 2, 3, 5, 6, 7, 8, 9, 10, 11}) {
                off += some[k].getAmountMinorLong();
            }
            long left = some[0].getAmountMinorLong() - off + difference.getAmountMinorLong();
            assertThat(settled.left().value().getAmountMinorLong()).isEqualTo(left);
            long told = settled.left().working().inputs().stream()
                    .mapToLong(input -> ((Value.Sum) input.value()).money().getAmountMinorLong())
                    .skip(1)
                    .sum();
            assertThat(told)
                    .as("every part is in the working")
                    .isEqualTo(off + Math.abs(difference.getAmountMinorLong()));
        }
    }
}
