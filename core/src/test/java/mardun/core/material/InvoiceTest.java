package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class InvoiceTest {

    private static Money eur(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    @Test
    void postageIsSpreadByValue() {
        assertThat(Invoice.shares(List.of(eur(3000), eur(1000)), eur(500))).containsExactly(eur(375), eur(125));
        assertThat(Invoice.shares(List.of(eur(100), eur(100), eur(100)), eur(100)))
                .containsExactly(eur(34), eur(33), eur(33));
    }

    @Test
    void whereNothingHasAPriceItIsSpreadInEqualParts() {
        assertThat(Invoice.shares(List.of(eur(0), eur(0)), eur(501))).containsExactly(eur(251), eur(250));
    }

    @Test
    void theSharesAddUpAndFollowTheValue() {
        Random random = new Random(3);
        for (int i = 0; i < 500; i++) {
            List<Money> lines = IntStream.range(0, 1 + random.nextInt(12))
                    .mapToObj(line -> eur(random.nextInt(20_000)))
                    .toList();
            Money extra = eur(random.nextInt(5_000));
            List<Money> shares = Invoice.shares(lines, extra);
            assertThat(shares.stream().reduce(eur(0), Money::plus)).isEqualTo(extra);
            double total = lines.stream().mapToLong(Money::getAmountMinorLong).sum();
            for (int line = 0; total > 0 && line < lines.size(); line++) {
                double exact = extra.getAmountMinorLong() * lines.get(line).getAmountMinorLong() / total;
                assertThat(Math.abs(shares.get(line).getAmountMinorLong() - exact))
                        .isLessThan(1);
            }
        }
    }

    @Test
    void thePaperIsCheckedAgainstItsLines() {
        List<Money> lines = List.of(eur(1200), eur(800));
        assertThat(Invoice.difference(lines, eur(490), eur(110), eur(2600))).isEqualTo(eur(0));
        assertThat(Invoice.difference(lines, eur(490), eur(0), eur(2600))).isEqualTo(eur(110));
        assertThat(Invoice.difference(lines, eur(490), eur(0), eur(2000))).isEqualTo(eur(-490));
    }
}
