package mardun.core.pricing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mardun.core.money.Exact;
import mardun.core.pricing.Fee.Band;
import mardun.core.pricing.Fee.Basis;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a channel leaves of a price, and the lowest price that leaves what is wanted: both ways, worked out by hand. */
class TermsTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final PriceRounding COIN = PriceRounding.up(PricePoint.EXACT);
    private static final Pattern SHARE = Pattern.compile("([\\d.]+)%(?: to ([\\d.]+) then ([\\d.]+)%)?"
            + "(?: min ([\\d.]+))?(?: max ([\\d.]+))?(?: times ([\\d.]+))?");

    private static Money eur(String amount) {
        return Money.of(EUR, new BigDecimal(amount));
    }

    private static BigDecimal percent(String share) {
        return new BigDecimal(share).movePointLeft(2);
    }

    /** A fee as it is written in the table: {@code 8%}, {@code 10% to 40 then 5% max 8}, {@code 0.30 sale}, {@code 0.25 unit}. */
    private static Fee fee(String text) {
        if (text.endsWith("sale") || text.endsWith("unit")) {
            String[] words = text.split(" ");
            return Fee.fixed(text, words[1].equals("sale") ? Basis.SALE : Basis.UNIT, eur(words[0]));
        }
        Matcher share = SHARE.matcher(text);
        assertThat(share.matches()).as(text).isTrue();
        List<Band> bands = new ArrayList<>();
        bands.add(new Band(eur("0"), percent(share.group(1))));
        if (share.group(2) != null) {
            bands.add(new Band(eur(share.group(2)), percent(share.group(3))));
        }
        return new Fee(
                text,
                Basis.SHARE,
                bands,
                Optional.empty(),
                Optional.ofNullable(share.group(4)).map(TermsTest::eur),
                Optional.ofNullable(share.group(5)).map(TermsTest::eur),
                share.group(6) == null ? BigDecimal.ONE : new BigDecimal(share.group(6)));
    }

    private static Terms terms(String units, String tax, String fees, String postage) {
        String[] its = postage.split("/");
        String[] taxed = tax.split(" ");
        Tax.Mode mode = tax.equals("-") ? Tax.Mode.NONE : taxed[1].equals("in") ? Tax.Mode.INCLUDED : Tax.Mode.ADDED;
        return new Terms(
                fees == null
                        ? List.of()
                        : Arrays.stream(fees.split("; ")).map(TermsTest::fee).toList(),
                new Tax(mode, tax.equals("-") ? BigDecimal.ZERO : percent(taxed[0])),
                new BigDecimal(units),
                eur(its[0]),
                eur(its[1]));
    }

    /** The price, units a sale, tax, fees, postage that the buyer pays / that it costs, and what is left of one bag. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                     17.00 | 1   | -      |                                          | 0/0       | 17.00
                     17.00 | 1   | -      | 8%; 0.25 unit                            | 0/0       | 15.39
                     20.00 | 1   | -      | 2.75%                                    | 0/0       | 19.45
                     20.00 | 2   | -      | 2.75%; 0.20 sale                         | 0/0       | 19.35
                     12.00 | 1.5 | -      | 1.75%; 0.15 sale                         | 0/0       | 11.69
                     24.00 | 1   | 19 in  |                                          | 0/0       | 20.17
                     24.00 | 1   | 19 in  | 6.5%; 0.20 unit; 4%; 0.30 sale           | 0/0       | 17.15
                     24.00 | 1   | 19 on  | 6.5%; 0.20 unit; 4%; 0.30 sale           | 0/0       | 20.50
                     25.00 | 1   | 20 in  | 10%                                      | 0/0       | 18.33
                     25.00 | 1   | 20 on  | 10%                                      | 0/0       | 22.00
                     18.00 | 1   | -      | 6.5%; 0.20 unit; 4%; 0.30 sale           | 4.50/4.20 | 15.44
                     18.00 | 1   | 19 in  | 6.5%; 0.20 unit; 4%; 0.30 sale           | 4.50/4.20 | 11.85
                     18.00 | 2   | 19 in  | 6.5%; 4%; 0.30 sale                      | 4.50/5.20 | 12.14
                     18.00 | 1   | -      | 12% times 0.15                           | 0/3.90    | 13.78
                     30.00 | 1   | -      | 40%                                      | 0/0       | 18.00
                     30.00 | 1   | -      | 33.3%                                    | 0/0       | 20.01
                     10.00 | 1   | -      | 9% min 1.50                              | 0/0       | 8.50
                     50.00 | 1   | -      | 9% max 3.00                              | 0/0       | 47.00
                     50.00 | 1   | -      | 10% to 40 then 5%                        | 0/0       | 45.50
                     30.00 | 2   | -      | 10% to 40 then 5%                        | 0/0       | 27.50
                    100.00 | 1   | -      | 12% to 50 then 6% max 8.00               | 0/0       | 92.00
                    100.00 | 1   | 7 in   | 12% to 50 then 6% min 2.00               | 0/0       | 84.46
                      5.00 | 3   | -      | 5% min 0.90; 0.10 unit                   | 0/0       | 4.60
                      0.95 | 1   | -      | 8%; 0.25 unit                            | 0/0       | 0.62
                     39.90 | 1   | 8.1 in | 2.9%; 0.30 sale; 15% times 0.08          | 6.00/5.40 | 34.88
                     14.50 | 1.2 | 21 on  | 3.5%; 0.09 sale                          | 3.95/4.10 | 13.54
                     16.00 | 4   | -      | 2.5%; 1.00 sale                          | 0/0       | 15.35
                    199.00 | 1   | 19 in  | 11% max 15.00; 0.35 sale                 | 0/6.99    | 144.89
                      8.00 | 1   | 25 in  | 30%; 0.50 unit                           | 0/0       | 3.50
                     64.00 | 1   | 10 on  | 20% to 60 then 10%; 0.50 unit            | 5.00/7.50 | 47.41
                    """)
    void bothWays(String price, String units, String tax, String fees, String postage, String left) {
        Terms terms = terms(units, tax, fees, postage);
        assertThat(terms.left(eur(price))).isEqualTo(eur(left));
        Money back = terms.priceFor(Exact.minor(eur(left)), COIN).orElseThrow();
        isTheLowestFor(Exact.minor(eur(left)), back, terms);
        assertThat(back.isGreaterThan(eur(price))).isFalse();
    }

    private static void isTheLowestFor(BigFraction wanted, Money price, Terms terms) {
        BigFraction left = Exact.minor(terms.left(price));
        assertThat(left.compareTo(wanted)).as("never below what was wanted").isNotNegative();
        if (price.isPositive()) {
            assertThat(left.subtract(wanted)
                            .compareTo(BigFraction.of(terms.fees().size() + 3)))
                    .as("within the rounding of the lines: %s of %s for %s", left, price, wanted)
                    .isNotPositive();
        }
    }

    @Test
    void whatComesOffIsALineEach() {
        assertThat(terms("1", "19 in", "6.5%; 0.20 unit", "4.50/4.20").takes(eur("18.00")))
                .containsExactly(
                        new Terms.Line("tax", eur("3.59")),
                        new Terms.Line("6.5%", eur("1.46")),
                        new Terms.Line("0.20 unit", eur("0.20")),
                        new Terms.Line("postage", eur("4.20")),
                        new Terms.Line("postage that the buyer pays", eur("-4.50")));
        assertThat(terms("2", "20 on", null, "5.00/0").buyerPays(eur("10.00"))).isEqualTo(eur("15.00"));
    }

    @Test
    void whereEverythingIsEatenThereIsNoPrice() {
        Terms eaten = terms("1", "30 in", "50%; 30%", "0/0");
        assertThat(eaten.priceFor(BigFraction.of(1), COIN)).isEmpty();
        assertThat(eaten.eatsMost()).contains("50%");
        assertThat(eaten.priceFor(BigFraction.ZERO, COIN)).contains(eur("0.00"));
        assertThat(Terms.free(EUR).eatsMost()).isEmpty();
        assertThat(terms("1", "60 in", "20%", "0/0").eatsMost()).contains("tax");
        Terms capped = terms("1", "-", "99% max 40.00", "0/0");
        assertThat(capped.priceFor(BigFraction.of(100_00), COIN)).contains(eur("140.00"));
    }

    /** Where of each coin more only a trace is left, the price is high, and still never too low. */
    @Test
    void whereLittleIsLeftOfEachCoinThePriceIsHighEnough() {
        Terms terms = terms("1.3", "-", "60%; 39.98%; 0.30 sale", "0/0");
        BigFraction wanted = BigFraction.of(37);
        Money price = terms.priceFor(wanted, COIN).orElseThrow();
        assertThat(Exact.minor(terms.left(price)).compareTo(wanted)).isNotNegative();
    }

    /** Of a price on a band's edge the lower one counts up to it; the price for what is left beyond it is on the other line. */
    @Test
    void aBandsEdgeIsFoundFromBothSides() {
        Terms terms = terms("1", "-", "10% to 40 then 50%", "0/0");
        assertThat(terms.priceFor(BigFraction.of(36_00), COIN)).contains(eur("40.00"));
        assertThat(terms.priceFor(BigFraction.of(36_50), COIN)).contains(eur("41.00"));
        assertThat(terms.priceFor(BigFraction.of(35_99), COIN)).contains(eur("39.99"));
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"EUR", "JPY", "KWD"})
    void moneyIsNeitherLostNorMade(String code) {
        CurrencyUnit currency = CurrencyUnit.of(code);
        Random random = new Random(7);
        for (int i = 0; i < 700; i++) {
            Terms terms = random(currency, random);
            Money price = Money.ofMinor(currency, random.nextInt(20_000));
            Money taken = terms.takes(price).stream().map(Terms.Line::amount).reduce(Money.zero(currency), Money::plus);
            assertThat(terms.left(price).plus(taken)).isEqualTo(price);
            BigFraction wanted = BigFraction.of(random.nextInt(2_000_000), 100 + random.nextInt(100));
            Optional<Money> found = terms.priceFor(wanted, COIN);
            assertThat(found).as(terms.toString()).isPresent();
            isTheLowestFor(wanted, found.get(), terms);
            Money rounded =
                    terms.priceFor(wanted, PriceRounding.up(PricePoint.HALF)).orElseThrow();
            assertThat(Exact.minor(terms.left(rounded)).compareTo(wanted)).isNotNegative();
            assertThat(rounded.isLessThan(found.get())).isFalse();
        }
    }

    private static Terms random(CurrencyUnit currency, Random random) {
        List<Fee> fees = new ArrayList<>();
        Money zero = Money.zero(currency);
        for (int i = 0; i < random.nextInt(4); i++) {
            BigDecimal share = BigDecimal.valueOf(random.nextInt(150), 3);
            fees.add(
                    switch (random.nextInt(4)) {
                        case 0 -> Fee.share("share", share, zero);
                        case 1 -> Fee.fixed("sale", Basis.SALE, Money.ofMinor(currency, random.nextInt(90)));
                        case 2 -> Fee.fixed("unit", Basis.UNIT, Money.ofMinor(currency, random.nextInt(60)));
                        default ->
                            new Fee(
                                    "banded",
                                    Basis.SHARE,
                                    List.of(
                                            new Band(zero, share),
                                            new Band(
                                                    Money.ofMinor(currency, 1 + random.nextInt(9_000)),
                                                    BigDecimal.valueOf(random.nextInt(150), 3))),
                                    Optional.empty(),
                                    random.nextBoolean()
                                            ? Optional.of(Money.ofMinor(currency, random.nextInt(200)))
                                            : Optional.empty(),
                                    random.nextBoolean()
                                            ? Optional.of(Money.ofMinor(currency, 200 + random.nextInt(900)))
                                            : Optional.empty(),
                                    BigDecimal.valueOf(random.nextInt(101), 2));
                    });
        }
        return new Terms(
                fees,
                new Tax(Tax.Mode.values()[random.nextInt(3)], BigDecimal.valueOf(random.nextInt(260), 3)),
                BigDecimal.valueOf(5 + random.nextInt(40), 1),
                Money.ofMinor(currency, random.nextInt(3) * 250L),
                Money.ofMinor(currency, random.nextInt(3) * 270L));
    }

    @Test
    void whatIsNoFeeIsRefused() {
        assertThatThrownBy(() -> fee("100%")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> fee("8% min 3 max 2")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> fee("10% to 0 then 5%")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> fee("8% times 1.1")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Tax(Tax.Mode.INCLUDED, new BigDecimal("-0.05")))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> terms("0", "-", null, "0/0")).isInstanceOf(IllegalArgumentException.class);
    }
}
