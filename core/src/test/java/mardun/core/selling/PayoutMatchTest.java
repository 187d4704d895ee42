package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mardun.core.pricing.Fee;
import mardun.core.pricing.Tax;
import mardun.core.pricing.Terms;
import mardun.core.selling.PayoutMatch.Expected;
import mardun.core.selling.PayoutMatch.Finding;
import mardun.core.selling.PayoutMatch.Matched;
import mardun.core.selling.PayoutMatch.PaidBack;
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
        return new Expected(eur(paid), terms().possibleFees(eur(paid)), isPaidOut, isCancelled, List.of());
    }

    /** Two bags for 40.50, of which one came back. */
    private static Expected partly(boolean isPaidOut, PaidBack... back) {
        return new Expected(eur("40.50"), terms().possibleFees(eur("40.50")), isPaidOut, false, List.of(back));
    }

    private static PaidBack back(String amount, boolean isPaidOut) {
        return new PaidBack(
                UUID.randomUUID(),
                eur(amount),
                terms().possibleFeesBack(eur("40.50"), eur(amount), amount.equals("40.50") ? 2 : 1),
                isPaidOut);
    }

    private static Matched only(Expected order, String paid, String fee) {
        PayoutMatch match = PayoutMatch.of(
                List.of(new PaidLine("A", eur(paid), eur(fee))),
                Map.of("A", order),
                eur(paid).minus(eur(fee)));
        assertThat(match.difference().isZero()).isTrue();
        return match.lines().get(0);
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

    @Test
    void whatIsGivenBackOfTheFeesDependsOnTheShop() {
        // 18.00 are paid back: nothing; 6.5 % of it 1.17; with 12 % 3.33; the bag's 0.35 with either, as of a sale of
        // one bag for 22.50.
        assertThat(terms().possibleFeesBack(eur("40.50"), eur("18.00"), 1))
                .extracting(Money::toString)
                .containsExactly("EUR 0.00", "EUR 1.17", "EUR 1.52", "EUR 3.33", "EUR 3.68");
        // All of it: the whole fee besides, with 12 % or without, and what a sale for nothing would have cost less.
        assertThat(terms().possibleFeesBack(eur("40.50"), eur("40.50"), 2))
                .extracting(Money::toString)
                .containsExactly("EUR 0.00", "EUR 2.63", "EUR 3.63", "EUR 7.49", "EUR 8.49");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> terms().possibleFeesBack(eur("40.50"), eur("40.51"), 2))
                .withMessageContaining("40.51");
        assertThatIllegalArgumentException().isThrownBy(() -> terms().possibleFeesBack(eur("40.50"), eur("0.00"), 1));
    }

    @Test
    void feesOfWhatIsPaidBackMayBeRoundedEitherWay() {
        // 6.5 % of 1.25 are 0.08125; of 40.50 less those of 39.25: 2.63 - 2.55 = 0.08; of 0.11: 0.00715, but 2.63 -
        // 2.63 = 0.
        assertThat(terms().possibleFeesBack(eur("40.50"), eur("0.11"), 1))
                .extracting(Money::toString)
                .contains("EUR 0.00", "EUR 0.01", "EUR 0.35");
    }

    @Test
    void whatWasPaidBackIsALineOfItsOwn() {
        PaidBack back = back("18.00", false);
        assertThat(only(partly(true, back), "-18.00", "-1.17"))
                .isEqualTo(new Matched(
                        new PaidLine("A", eur("-18.00"), eur("-1.17")),
                        Finding.MATCHES,
                        eur("0.00"),
                        List.of(),
                        List.of(back.id())));
        assertThat(only(partly(true, back), "-18.00", "0.00").finding()).isEqualTo(Finding.MATCHES);
        Matched fee = only(partly(true, back), "-18.00", "-1.00");
        assertThat(fee.finding()).isEqualTo(Finding.OTHER_FEE);
        assertThat(fee.off()).as("0.17 less than it should give back").isEqualTo(eur("-0.17"));
        assertThat(fee.paidBack()).containsExactly(back.id());
        assertThat(fee.isPaymentOfOrder()).isFalse();
        Matched more = only(partly(true, back), "-20.00", "0.00");
        assertThat(more.finding()).isEqualTo(Finding.OTHER_PAYMENT);
        assertThat(more.off()).isEqualTo(eur("-2.00"));
        assertThat(only(partly(true), "-18.00", "0.00").finding()).isEqualTo(Finding.NOTHING_PAID_BACK);
        assertThat(only(partly(true, back("18.00", true)), "-18.00", "0.00").finding())
                .isEqualTo(Finding.PAID_BEFORE);
    }

    @Test
    void whatWasPaidBackTwiceIsTwoLinesAndNotThree() {
        PaidBack first = back("10.00", false);
        PaidBack second = back("10.00", false);
        PaidLine line = new PaidLine("A", eur("-10.00"), eur("0.00"));
        PayoutMatch match =
                PayoutMatch.of(List.of(line, line, line), Map.of("A", partly(true, first, second)), eur("-30.00"));
        assertThat(match.lines())
                .extracting(Matched::finding)
                .containsExactly(Finding.MATCHES, Finding.MATCHES, Finding.PAID_BEFORE);
        assertThat(match.lines().get(0).paidBack()).containsExactly(first.id());
        assertThat(match.lines().get(1).paidBack()).containsExactly(second.id());
    }

    @Test
    void whatWasPaidBackMayBeMissingFromThePayment() {
        PaidBack back = back("18.00", false);
        Matched less = only(partly(false, back), "22.50", "2.46");
        assertThat(less.finding()).as("3.63 less 1.17").isEqualTo(Finding.MATCHES);
        assertThat(less.paidBack()).containsExactly(back.id());
        assertThat(less.isPaymentOfOrder()).isTrue();
        assertThat(only(partly(false, back), "22.50", "8.49").with()).containsExactly("advertised");
        assertThat(only(partly(false, back), "22.40", "2.46").finding()).isEqualTo(Finding.OTHER_PAYMENT);
        assertThat(only(partly(false, back("18.00", true)), "22.50", "2.46").finding())
                .as("it was settled before")
                .isEqualTo(Finding.OTHER_PAYMENT);
        PayoutMatch both = PayoutMatch.of(
                List.of(new PaidLine("A", eur("40.50"), eur("3.63")), new PaidLine("A", eur("-18.00"), eur("-1.52"))),
                Map.of("A", partly(false, back)),
                eur("20.39"));
        assertThat(both.isClean()).isTrue();
    }

    @Test
    void whatWasCancelledAfterItsPayoutIsTakenBackWhole() {
        PaidBack all = back("40.50", false);
        Expected cancelled = new Expected(eur("40.50"), terms().possibleFees(eur("40.50")), true, true, List.of(all));
        assertThat(only(cancelled, "-40.50", "-3.63").finding()).isEqualTo(Finding.MATCHES);
        assertThat(only(cancelled, "40.50", "3.63").finding()).isEqualTo(Finding.CANCELLED);
    }
}
