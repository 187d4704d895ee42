package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.pricing.Fee;
import mardun.core.pricing.Tax;
import mardun.core.pricing.Terms;
import mardun.core.selling.PayoutMatch.Expected;
import mardun.core.selling.PayoutMatch.Finding;
import mardun.core.selling.PayoutMatch.Matched;
import mardun.core.selling.PayoutMatch.PaidLine;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** A payout held against its orders, to the cent. */
class PayoutMatchTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;

    private static Money eur(String amount) {
        return Money.of(EUR, new BigDecimal(amount));
    }

    private static Terms terms() {
        Fee advertised = new Fee(
                "advertised",
                Fee.Basis.SHARE,
                List.of(new Fee.Band(eur("0"), new BigDecimal("0.12"))),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                new BigDecimal("0.15"));
        return new Terms(
                List.of(
                        Fee.share("shop", new BigDecimal("0.065"), eur("0")),
                        Fee.fixed("listing", Fee.Basis.UNIT, eur("0.35")),
                        Fee.fixed("payment", Fee.Basis.SALE, eur("0.30")),
                        advertised),
                Tax.NONE,
                new BigDecimal("2"),
                eur("4.50"),
                eur("4.20"));
    }

    private static Expected order(String paid, boolean isPaidOut, boolean isCancelled) {
        return new Expected(eur(paid), terms().possibleFees(eur(paid)), isPaidOut, isCancelled);
    }

    @Test
    void aShopTakesWhatIsCertainAndPerhapsMore() {
        // 6.5 % of 40.50 are 2.6325, two bags 0.70, 0.30; 12 % are 4.86.
        assertThat(terms().possibleFees(eur("40.50")))
                .extracting(fees -> fees.together() + " " + fees.with())
                .containsExactly("EUR 3.63 []", "EUR 8.49 [advertised]");
    }

    @Test
    void namesWhatDoesNotMatch() {
        PayoutMatch match = PayoutMatch.of(
                List.of(
                        new PaidLine("A", eur("40.50"), eur("3.63")),
                        new PaidLine("B", eur("40.50"), eur("8.49")),
                        new PaidLine("C", eur("40.50"), eur("3.99")),
                        new PaidLine("D", eur("36.00"), eur("3.34")),
                        new PaidLine("E", eur("40.50"), eur("3.63")),
                        new PaidLine("F", eur("40.50"), eur("3.63")),
                        new PaidLine("G", eur("40.50"), eur("3.63")),
                        new PaidLine("A", eur("40.50"), eur("3.63"))),
                Map.of(
                        "A", order("40.50", false, false),
                        "B", order("40.50", false, false),
                        "C", order("40.50", false, false),
                        "D", order("40.50", false, false),
                        "E", order("40.50", true, false),
                        "F", order("40.50", false, true)),
                eur("284.00"));
        assertThat(match.lines())
                .extracting(Matched::finding)
                .containsExactly(
                        Finding.MATCHES,
                        Finding.MATCHES,
                        Finding.OTHER_FEE,
                        Finding.OTHER_PAYMENT,
                        Finding.PAID_BEFORE,
                        Finding.CANCELLED,
                        Finding.NO_SUCH_ORDER,
                        Finding.PAID_BEFORE);
        assertThat(match.lines().get(1).with()).containsExactly("advertised");
        assertThat(match.lines().get(2).off()).isEqualTo(eur("-0.36"));
        assertThat(match.lines().get(3).off()).isEqualTo(eur("-4.50"));
        // The lines come to 36.87 × 5 + 32.01 + 36.51 + 32.66.
        assertThat(match.difference()).isEqualTo(eur("284.00").minus(eur("285.53")));
        assertThat(match.isClean()).isFalse();
    }

    @Test
    void isCleanWhereAllOfItIsAsItShouldBe() {
        PayoutMatch match = PayoutMatch.of(
                List.of(new PaidLine("A", eur("40.50"), eur("3.63"))),
                Map.of("A", order("40.50", false, false)),
                eur("36.87"));
        assertThat(match.isClean()).isTrue();
    }
}
