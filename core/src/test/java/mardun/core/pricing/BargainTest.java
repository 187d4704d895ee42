package mardun.core.pricing;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A bag of 4.00 of material, 12 minutes at 20.00 an hour and 0.20 of overheads: 8.20. */
class BargainTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final UnitTakes POUCH =
            new UnitTakes(eur("4.00"), eur("4.00"), eur("0.20"), eur("0.00"), Duration.ofHours(2), 10, 10);
    private static final PriceRounding COIN = PriceRounding.up(PricePoint.EXACT);
    /** 3 % and 0.30 a sale; 1.5 bags at once. */
    private static final Terms STALL = new Terms(
            List.of(
                    Fee.share("card reader", new BigDecimal("0.03"), eur("0")),
                    Fee.fixed("each payment", Fee.Basis.SALE, eur("0.30"))),
            Tax.NONE,
            new BigDecimal("1.5"),
            eur("0"),
            eur("0"));
    /** 10 %; the buyer pays 4.50 for postage that costs 4.20. */
    private static final Terms SHOP = new Terms(
            List.of(Fee.share("shop", new BigDecimal("0.10"), eur("0"))),
            Tax.NONE,
            BigDecimal.ONE,
            eur("4.50"),
            eur("4.20"));

    private static Money eur(String amount) {
        return Money.of(EUR, new BigDecimal(amount));
    }

    /** Three for 40: 40 − 1.20 − 0.30 = 38.50, of which each is 12.83; one fixed fee for all three. */
    @Test
    void aSetPaysTheFixedFeeOnce() {
        Bargain three = Bargain.together(3, eur("40.00"), POUCH, STALL);
        assertThat(three.left()).as("12.83 − 8.20").isEqualTo(eur("4.63"));
        assertThat(three.perHour()).as("(12.83 − 4.20) × 5").contains(eur("43.15"));
        Bargain one = Bargain.together(1, eur("15.00"), POUCH, STALL);
        assertThat(one.left()).as("15 − 0.45 − 0.30 − 8.20").isEqualTo(eur("6.05"));
    }

    /** At 20: the buyer's 4.50 are missing, and 0.45 of the share with them: 20 − 2.00 − 4.20 = 13.80. */
    @Test
    void freePostageCostsThePostageLessItsShare() {
        assertThat(SHOP.left(eur("20.00"))).as("24.50 − 2.45 − 4.20").isEqualTo(eur("17.85"));
        assertThat(Bargain.postedFree(eur("20.00"), POUCH, SHOP).left())
                .as("13.80 − 8.20")
                .isEqualTo(eur("5.60"));
    }

    @ParameterizedTest
    @CsvSource({
        "1, 18.61", // 17.85 + 0.20 for the payment, ÷ 0.97
        "0.8, 14.93", // 14.28 + 0.20, ÷ 0.97
        "0.5, 9.41", // 8.925 + 0.20, ÷ 0.97
        "0, 0.21"
    })
    void theLeastTodayBringsWhatItWouldBringLater(String likelihood, String least) {
        assertThat(Bargain.leastToday(STALL, SHOP, eur("20.00"), new BigDecimal(likelihood), COIN))
                .contains(eur(least));
    }

    @Test
    void whatIsLetGoForTheLeastBringsNoLessThanWaitingAndACoinLessWould() {
        Random random = new Random(14);
        for (int i = 0; i < 2_000; i++) {
            Money price = Money.ofMinor(EUR, 500 + random.nextInt(8_000));
            BigDecimal likelihood = BigDecimal.valueOf(random.nextInt(101), 2);
            Money least =
                    Bargain.leastToday(STALL, SHOP, price, likelihood, COIN).orElseThrow();
            BigDecimal later = SHOP.left(price).getAmount().multiply(likelihood).max(BigDecimal.ZERO);
            assertThat(STALL.left(least).getAmount()).isGreaterThanOrEqualTo(later);
            assertThat(STALL.left(least.minusMinor(1)).getAmount()).isLessThan(later);
        }
    }
}
