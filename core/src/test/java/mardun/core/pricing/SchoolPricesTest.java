package mardun.core.pricing;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A bag of 4.00 of material, 12 minutes at 20.00 an hour and 0.20 of overheads, by each school and through several channels. */
class SchoolPricesTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private static final Channel HOME = new Channel("home", BigDecimal.ZERO, eur("0"));
    private static final Channel STALL = new Channel("stall", new BigDecimal("0.05"), eur("0.50"));
    private static final Channel SHOP =
            new Channel("shop", Channel.Kind.RESELLER, Terms.simple(BigDecimal.ZERO, eur("0")));
    private static final UnitTakes POUCH =
            new UnitTakes(eur("4.00"), eur("4.00"), eur("0.20"), eur("0.00"), Duration.ofHours(2), 10, 10);

    private static Money eur(String amount) {
        return Money.of(EUR, new BigDecimal(amount));
    }

    private static PriceChoice choice(PriceSchool school, PriceRounding rounding) {
        return new PriceChoice(
                school,
                BigDecimal.valueOf(2),
                new BigDecimal("0.3"),
                new BigDecimal("0.4"),
                BigDecimal.valueOf(2),
                Optional.of(eur("32.00")),
                false,
                rounding);
    }

    @Test
    void aSortOfBagsHasItsOwnSchool() {
        PriceChoice usual = choice(PriceSchool.MARGIN, PriceRounding.up(PricePoint.EXACT));
        PriceChoice choice = new PriceChoice(
                usual.school(),
                usual.factor(),
                usual.margin(),
                usual.markup(),
                usual.multiple(),
                usual.leastRate(),
                usual.feesInside(),
                usual.rounding(),
                Map.of(" Pouch ", PriceSchool.MARKUP));
        assertThat(choice.forSort("pouch").school()).isEqualTo(PriceSchool.MARKUP);
        assertThat(choice.by(PriceSchool.TRADE).forSort("POUCH ").school())
                .as("it is still known after another school was looked at")
                .isEqualTo(PriceSchool.MARKUP);
        assertThat(choice.forSort("tote").school()).isEqualTo(PriceSchool.MARGIN);
        assertThat(choice.forSort("").school()).isEqualTo(PriceSchool.MARGIN);
    }

    private static Money price(PriceSchool school, Channel channel, PricePoint point) {
        return SchoolPrices.price(POUCH, channel, choice(school, PriceRounding.up(point)), Optional.of(eur("17.00")))
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "MATERIALS_AND_LABOUR, 12.00, 13.16",
        "MARGIN, 11.72, 12.86",
        "MARKUP, 11.48, 12.61",
        "HOURLY, 14.40, 15.68",
        "TRADE, 22.96, 22.96",
        "MARKET, 17.00, 17.00"
    })
    void eachSchoolHasItsPrice(PriceSchool school, String atHome, String atTheStall) {
        assertThat(price(school, HOME, PricePoint.EXACT)).isEqualTo(eur(atHome));
        assertThat(price(school, STALL, PricePoint.EXACT)).isEqualTo(eur(atTheStall));
    }

    @Test
    void aResellerPaysTheTradePriceAndAsksItsMultiple() {
        assertThat(price(PriceSchool.TRADE, SHOP, PricePoint.HALF)).isEqualTo(eur("11.50"));
        assertThat(price(PriceSchool.TRADE, STALL, PricePoint.HALF))
                .as("no less than in the reseller's shop")
                .isEqualTo(eur("23.00"));
    }

    @Test
    void allStandSideBySideWithWhatTheyLeave() {
        List<SchoolPrices.Priced> all = SchoolPrices.all(
                POUCH, STALL, choice(PriceSchool.MARKUP, PriceRounding.up(PricePoint.HALF)), Optional.of(eur("17.00")));
        assertThat(all).extracting(SchoolPrices.Priced::school).containsExactly(PriceSchool.values());
        SchoolPrices.Priced market = all.get(5);
        assertThat(market.taken()).isEqualTo(eur("1.35"));
        assertThat(market.left()).as("17.00 − 1.35 − 8.20").isEqualTo(eur("7.45"));
        assertThat(market.perHour()).as("(15.65 − 4.20) × 5 an hour").contains(eur("57.25"));
        assertThat(SchoolPrices.all(
                        POUCH, STALL, choice(PriceSchool.MARKUP, PriceRounding.up(PricePoint.HALF)), Optional.empty()))
                .as("nobody knows what people pay")
                .hasSize(5);
    }

    /** "I make five an hour, my least is 32: what must it cost?", and backwards. */
    @ParameterizedTest
    @CsvSource({"4, 12.20", "5, 10.60", "6, 9.54", "7, 8.78"})
    void soManyAnHour(int anHour, String price) {
        UnitTakes takes =
                new UnitTakes(eur("4.00"), eur("0.00"), eur("0.20"), eur("0.00"), Duration.ofHours(1), anHour, anHour);
        Money asked = SchoolPrices.priceFor(eur("32.00"), takes, HOME, PriceRounding.up(PricePoint.EXACT))
                .orElseThrow();
        assertThat(asked).isEqualTo(eur(price));
        assertThat(takes.perHour(asked).isLessThan(eur("32.00"))).isFalse();
        assertThat(takes.perHour(asked.minusMinor(1)).isLessThan(eur("32.00"))).isTrue();
        assertThat(takes.perHourMade().intValue()).isEqualTo(anHour);
    }

    /** Materials × 2 and 32.00 shared by so many; whatever the number, its own time doesn't count. */
    @ParameterizedTest
    @CsvSource({"4, 16.00", "5, 14.40", "6, 13.34", "8, 12.00"})
    void askedForwards(int many, String price) {
        PriceChoice choice = choice(PriceSchool.MARGIN, PriceRounding.up(PricePoint.EXACT));
        assertThat(SchoolPrices.soManyAnHour(many, eur("32.00"), POUCH, HOME, choice))
                .contains(eur(price));
        assertThat(SchoolPrices.soManyAnHour(5, eur("32.00"), POUCH, HOME, choice))
                .as("at the number that is made it is the school's price")
                .isEqualTo(SchoolPrices.price(POUCH, HOME, choice.by(PriceSchool.HOURLY), Optional.empty()));
    }

    /** An hour's overheads are 1.00: (32.00 + 1.00) ÷ (10.60 − 4.00) = 5. */
    @Test
    void askedBackwards() {
        assertThat(POUCH.manyFor(eur("32.00"), eur("10.60")).orElseThrow()).isEqualTo(BigFraction.of(5));
        assertThat(POUCH.making(10).perHour(eur("7.30"))).isEqualTo(eur("32.00"));
        assertThat(POUCH.manyFor(eur("32.00"), eur("7.30")).orElseThrow()).isEqualTo(BigFraction.of(10));
        assertThat(POUCH.manyFor(eur("32.00"), eur("4.00")))
                .as("the material takes it all")
                .isEmpty();
    }

    @Test
    void theMarketIsTheMiddleOfWhatWasSeen() {
        assertThat(SchoolPrices.market(List.of())).isEmpty();
        assertThat(SchoolPrices.market(List.of(eur("28"), eur("19.50"), eur("24"))))
                .contains(eur("24"));
        assertThat(SchoolPrices.market(List.of(eur("18.50"), eur("16")))).contains(eur("16"));
    }

    @Test
    void thoseThatCameOutWellCarryTheOthers() {
        UnitTakes takes = new UnitTakes(eur("4.00"), eur("4.00"), eur("0.20"), eur("2.05"), Duration.ofHours(2), 10, 8);
        assertThat(takes.full()).isEqualTo(eur("10.25"));
        assertThat(takes.perHourMade().doubleValue()).isEqualTo(4.0);
        assertThat(takes.perHour(eur("10.25"))).as("(10.25 − 4.20 × 10/8) × 4").isEqualTo(eur("20.00"));
        assertThat(takes.neededFor(eur("20.00"))).isEqualTo(Exact.minor(eur("10.25")));
    }

    /** Cloth dearer by 12 %, 25 an hour, three minutes faster: 4.48, 5.00, and three quarters of work and overheads. */
    @Test
    void whatIfSomethingWereOtherwise() {
        assertThat(POUCH.dearer(new BigDecimal("0.12")).full()).isEqualTo(eur("8.68"));
        assertThat(POUCH.dearer(new BigDecimal("-0.25")).material()).isEqualTo(eur("3.00"));
        assertThat(POUCH.paid(eur("25")).labour()).isEqualTo(eur("5.00"));
        UnitTakes faster = POUCH.faster(Duration.ofMinutes(3));
        assertThat(faster.labour()).isEqualTo(eur("3.00"));
        assertThat(faster.overhead()).isEqualTo(eur("0.15"));
        assertThat(faster.perHourMade().doubleValue()).isCloseTo(6.667, org.assertj.core.api.Assertions.within(0.001));
        assertThat(POUCH.faster(Duration.ofMinutes(20)).labour()).isEqualTo(eur("0.00"));
        assertThat(POUCH.faster(Duration.ofMinutes(20)).takesTime()).isFalse();
        UnitTakes spoiled =
                new UnitTakes(eur("4.00"), eur("4.00"), eur("0.20"), eur("2.05"), Duration.ofHours(2), 10, 8);
        assertThat(spoiled.dearer(new BigDecimal("0.5")).spoiled())
                .as("10.20 × 2 / 8")
                .isEqualTo(eur("2.55"));
    }

    @Test
    void pricesAreRoundedAsTheMakerDoes() {
        assertThat(price(PriceSchool.MARKUP, STALL, PricePoint.NINETY_FIVE)).isEqualTo(eur("12.95"));
        assertThat(price(PriceSchool.MARKUP, STALL, PricePoint.FIVES)).isEqualTo(eur("15.00"));
        PriceRounding own = new PriceRounding(PricePoint.OWN, List.of(eur("18"), eur("12"), eur("14.50")), false);
        assertThat(own.up(Exact.minor(eur("12.01")), EUR)).isEqualTo(eur("14.50"));
        assertThat(own.up(Exact.minor(eur("18.01")), EUR))
                .as("above the last, whole amounts")
                .isEqualTo(eur("19.00"));
        assertThat(own.below(eur("14.50"))).isEqualTo(eur("12.00"));
        assertThat(own.below(eur("12.00"))).as("there is none below").isEqualTo(eur("12.00"));
        assertThat(own.below(eur("19.00"))).isEqualTo(eur("18.00"));
        assertThat(own.above(eur("14.50"))).isEqualTo(eur("18.00"));
        PriceRounding halves = PriceRounding.up(PricePoint.HALF);
        assertThat(halves.below(eur("12.00"))).isEqualTo(eur("11.50"));
        assertThat(halves.above(eur("12.00"))).isEqualTo(eur("12.50"));
        assertThat(PriceRounding.up(PricePoint.NINETY_FIVE).below(eur("12.95"))).isEqualTo(eur("11.95"));
        CurrencyUnit yen = CurrencyUnit.JPY;
        assertThat(PricePoint.NINETY_FIVE.roundUp(Exact.of(new BigDecimal("119.2")), yen))
                .isEqualTo(Money.ofMinor(yen, 120));
        assertThat(PricePoint.FIVES.roundUp(Exact.of(new BigDecimal("119.2")), yen))
                .isEqualTo(Money.ofMinor(yen, 120));
        CurrencyUnit dinar = CurrencyUnit.of("KWD");
        assertThat(PricePoint.NINETY_FIVE.roundUp(Exact.of(new BigDecimal("4951")), dinar))
                .isEqualTo(Money.of(dinar, new BigDecimal("5.950")));
    }

    /** Down to the nearer price, but not below what the bag costs. */
    @Test
    void theNearestIsTakenWhereNothingIsLost() {
        PriceRounding nearest = new PriceRounding(PricePoint.WHOLE, List.of(), true);
        assertThat(SchoolPrices.price(POUCH, HOME, choice(PriceSchool.MARKUP, nearest), Optional.empty()))
                .as("11.48")
                .contains(eur("11.00"));
        assertThat(SchoolPrices.price(POUCH, HOME, choice(PriceSchool.MARGIN, nearest), Optional.empty()))
                .as("11.72")
                .contains(eur("12.00"));
        PriceChoice atCost = new PriceChoice(
                PriceSchool.MARKUP,
                BigDecimal.ONE,
                BigDecimal.ZERO,
                BigDecimal.ZERO,
                BigDecimal.ONE,
                Optional.empty(),
                false,
                nearest);
        assertThat(SchoolPrices.price(POUCH, HOME, atCost, Optional.empty()))
                .as("8.20 is what it costs")
                .contains(eur("9.00"));
    }

    @Test
    void withTheFeesInsideTheChannelTakesFromThePrice() {
        PriceChoice inside = new PriceChoice(
                PriceSchool.MARKUP,
                BigDecimal.ONE,
                BigDecimal.ZERO,
                new BigDecimal("0.4"),
                BigDecimal.ONE,
                Optional.empty(),
                true,
                PriceRounding.up(PricePoint.EXACT));
        assertThat(SchoolPrices.price(POUCH, STALL, inside, Optional.empty())).contains(eur("11.48"));
    }
}
