package mardun.core.pricing;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A bag of 4.00 of material, 12 minutes at 20.00 an hour and 0.20 of overheads; usually material × 2 + labour = 12.00. */
class QuotedPriceTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final Channel HOME = new Channel("home", BigDecimal.ZERO, eur("0"));
    private static final Channel STALL = new Channel("stall", new BigDecimal("0.05"), eur("0.50"));
    private static final UnitTakes POUCH =
            new UnitTakes(eur("4.00"), eur("4.00"), eur("0.20"), eur("0.00"), Duration.ofHours(2), 10, 10);
    private static final PriceChoice CHOICE = new PriceChoice(
            PriceSchool.MATERIALS_AND_LABOUR,
            BigDecimal.valueOf(2),
            new BigDecimal("0.3"),
            new BigDecimal("0.4"),
            BigDecimal.valueOf(2),
            Optional.empty(),
            false,
            PriceRounding.up(PricePoint.EXACT));

    private static Money eur(String amount) {
        return Money.of(EUR, new BigDecimal(amount));
    }

    private static QuotedPrice quoted(UnitTakes takes, Channel channel, Favour favour, String own) {
        return QuotedPrice.of(
                        takes,
                        channel,
                        CHOICE,
                        favour,
                        Optional.of(own).filter(text -> !text.isEmpty()).map(QuotedPriceTest::eur))
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "NONE, 12.00, 0.00, 39.00",
        "AT_COST, 8.20, 3.80, 20.00",
        "MATERIAL, 4.20, 7.80, 0.00",
    })
    void aFavourShowsWhatIsGivenAway(Favour favour, String price, String given, String perHour) {
        QuotedPrice quoted = quoted(POUCH, HOME, favour, "");
        assertThat(quoted.priced().price()).isEqualTo(eur(price));
        assertThat(quoted.given()).isEqualTo(eur(given));
        assertThat(quoted.priced().perHour()).contains(eur(perHour));
        assertThat(quoted.usual()).contains(eur("12.00"));
    }

    @Test
    void theChannelsFeesArePaidByAFavourToo() {
        QuotedPrice quoted = quoted(POUCH, STALL, Favour.AT_COST, "");
        assertThat(quoted.priced().price()).as("(8.20 + 0.50) / 0.95").isEqualTo(eur("9.16"));
        assertThat(quoted.priced().left()).isEqualTo(eur("0.00"));
    }

    @Test
    void aPriceThatIsTypedCountsAndMayBeAboveTheUsualOne() {
        assertThat(quoted(POUCH, HOME, Favour.AT_COST, "10.00").given()).isEqualTo(eur("2.00"));
        assertThat(quoted(POUCH, HOME, Favour.NONE, "15.00").given()).isEqualTo(eur("0.00"));
    }

    @Test
    void aWishCostsItsMinutesAndItsMaterial() {
        UnitTakes wished = POUCH.wishing(Duration.ofMinutes(6), eur("1.00"));
        assertThat(wished.full()).as("5.00 + 6.00 + 0.30").isEqualTo(eur("11.30"));
        assertThat(quoted(wished, HOME, Favour.NONE, "").priced().price())
                .as("5.00 × 2 + 6.00")
                .isEqualTo(eur("16.00"));
        assertThat(POUCH.wishing(Duration.ZERO, eur("0")).full()).isEqualTo(POUCH.full());
    }

    @ParameterizedTest
    @CsvSource({"10.00, 0.3, 3.00", "10.01, 0.3, 3.01", "10.00, 0, 0.00", "10.00, 1, 10.00", "0.01, 0.5, 0.01"})
    void aDepositIsRoundedUpToTheCoin(String total, String share, String deposit) {
        assertThat(QuotedOrder.deposit(eur(total), new BigDecimal(share))).isEqualTo(eur(deposit));
    }

    @Test
    void aCurrencyWithoutSmallCoinsHasWholeDeposits() {
        assertThat(QuotedOrder.deposit(Money.ofMinor(CurrencyUnit.JPY, 1_001), new BigDecimal("0.5")))
                .isEqualTo(Money.ofMinor(CurrencyUnit.JPY, 501));
    }

    /** 10 at 12.00 and 5 at 8.20: 161.00, of which 19.00 is given away. */
    @Test
    void anOrderAddsItsLinesUp() {
        QuotedOrder.Line usual =
                new QuotedOrder.Line(10, Duration.ofMinutes(12), Optional.of(quoted(POUCH, HOME, Favour.NONE, "")));
        QuotedOrder.Line favour =
                new QuotedOrder.Line(5, Duration.ofMinutes(12), Optional.of(quoted(POUCH, HOME, Favour.AT_COST, "")));
        QuotedOrder order = new QuotedOrder(List.of(usual, favour));
        assertThat(order.total()).contains(eur("161.00"));
        assertThat(order.given()).contains(eur("19.00"));
        assertThat(order.time()).isEqualTo(Duration.ofHours(3));
        assertThat(order.perHour()).as("two hours at 39.00, one at 20.00").contains(eur("32.67"));
    }

    @Test
    void anOrderWithALineWithoutAPriceHasNoTotal() {
        QuotedOrder order = new QuotedOrder(List.of(new QuotedOrder.Line(3, Duration.ZERO, Optional.empty())));
        assertThat(order.total()).isEmpty();
        assertThat(order.given()).isEmpty();
        assertThat(order.perHour()).isEmpty();
    }
}
