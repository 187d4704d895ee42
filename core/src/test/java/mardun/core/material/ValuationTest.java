package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mardun.core.material.StockEvent.Came;
import mardun.core.material.StockEvent.Kept;
import mardun.core.material.StockEvent.Left;
import mardun.core.material.StockEvent.Repriced;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ValuationTest {

    private static final UnitPrice PRICE = new UnitPrice(Money.ofMinor(CurrencyUnit.EUR, 30), Amount.pieces(1));

    private static Valuing school(ValueSchool school) {
        return new Valuing(school, false, false);
    }

    private static Repriced price(long minor) {
        return new Repriced("rings", BigFraction.of(minor));
    }

    private static Came bought(long pieces, long paid) {
        return new Came("rings", pieces, paid, false);
    }

    @ParameterizedTest
    @CsvSource({
        // ten for 1.00, ten for 2.00, price now 0.30 each: five, then ten
        "FIRST_IN_FIRST_OUT, 50, 150, 100",
        "MOVING_AVERAGE,     75, 150, 75",
        "REPLACEMENT,       150, 300, 150"
    })
    void eachSchoolValuesWhatIsTaken(ValueSchool school, long first, long second, long left) {
        Valuation valuation = Valuation.of(
                List.of(
                        price(30),
                        bought(10, 100),
                        bought(10, 200),
                        new Left("one", "rings", 5),
                        new Left("two", "rings", 10)),
                school(school));
        assertThat(valuation.used("one")).isEqualTo(first);
        assertThat(valuation.used("two")).isEqualTo(second);
        assertThat(valuation.left()).isEqualTo(left);
        assertThat(valuation.quantity("rings")).isEqualTo(5);
    }

    @Test
    void aNewPriceIsNoUse() {
        Valuation valuation =
                Valuation.of(List.of(price(30), bought(10, 100), price(35)), school(ValueSchool.REPLACEMENT));
        assertThat(valuation.came()).isEqualTo(300);
        assertThat(valuation.revalued()).isEqualTo(50);
        assertThat(valuation.left()).isEqualTo(350);
    }

    @ParameterizedTest
    @EnumSource(ValueSchool.class)
    void whatWasGivenIsWorthNothingOrWhatItWouldHaveCost(ValueSchool school) {
        List<StockEvent> events = List.of(price(30), new Came("rings", 10, 300, true), new Left("one", "rings", 4));
        assertThat(Valuation.of(events, new Valuing(school, true, false)).used("one"))
                .isZero();
        assertThat(Valuation.of(events, new Valuing(school, true, false)).left())
                .isZero();
        assertThat(Valuation.of(events, new Valuing(school, false, false)).used("one"))
                .isEqualTo(120);
        assertThat(Valuation.of(events, new Valuing(school, false, false)).left())
                .isEqualTo(180);
    }

    @Test
    void anOffcutCarriesItsShareOfTheClothOrIsPaidFor() {
        List<StockEvent> events = List.of(
                new Came("bolt", 1000, 2000, false),
                new Left("cut", "bolt", 500),
                new Kept("offcut", 2, "cut", BigFraction.of(1, 4)));
        Valuation byArea = Valuation.of(events, school(ValueSchool.FIRST_IN_FIRST_OUT));
        assertThat(byArea.used("cut")).isEqualTo(750);
        assertThat(byArea.left("offcut")).isEqualTo(250);
        Valuation paid = Valuation.of(events, new Valuing(ValueSchool.FIRST_IN_FIRST_OUT, false, true));
        assertThat(paid.used("cut")).isEqualTo(1000);
        assertThat(paid.left("offcut")).isZero();
    }

    /** Offcuts of given cloth are given too, also where everything else is worth what it costs to buy again. */
    @ParameterizedTest
    @EnumSource(ValueSchool.class)
    void anOffcutOfWhatWasGivenIsGiven(ValueSchool school) {
        List<StockEvent> events = List.of(
                new Repriced("bolt", BigFraction.of(2)),
                new Repriced("offcut", BigFraction.of(139)),
                new Came("bolt", 1000, 2000, true),
                new Left("cut", "bolt", 500),
                new Kept("offcut", 1, "cut", BigFraction.of(139, 1000)));
        Valuation valuation = Valuation.of(events, new Valuing(school, true, false));
        assertThat(valuation.left("offcut")).isZero();
        assertThat(valuation.used("cut")).isZero();
        Valuation priced = Valuation.of(events, new Valuing(school, false, false));
        assertThat(priced.left("offcut")).isEqualTo(139);
        assertThat(priced.used("cut")).isEqualTo(861);
    }

    /** Cloth of which half was given: half of the offcut's worth is paid for. */
    @Test
    void anOffcutOfClothThatWasGivenInPartIsPaidForInPart() {
        List<StockEvent> events = List.of(
                new Repriced("bolt", BigFraction.of(2)),
                new Repriced("offcut", BigFraction.of(200)),
                new Came("bolt", 250, 500, true),
                new Came("bolt", 250, 500, false),
                new Left("cut", "bolt", 500),
                new Kept("offcut", 1, "cut", BigFraction.of(1, 5)));
        Valuation valuation = Valuation.of(events, new Valuing(ValueSchool.REPLACEMENT, true, false));
        assertThat(valuation.left("offcut")).isEqualTo(100);
        assertThat(valuation.used("cut")).isEqualTo(400);
    }

    /** Whatever stands in the book: what is kept of a cloth is never worth more than all of it. */
    @ParameterizedTest
    @EnumSource(ValueSchool.class)
    void allOffcutsOfAClothTogetherAreWorthNoMoreThanIt(ValueSchool school) {
        List<StockEvent> events = List.of(
                new Repriced("bolt", BigFraction.of(2)),
                new Repriced("offcut", BigFraction.of(800)),
                new Came("bolt", 1000, 2000, false),
                new Left("cut", "bolt", 500),
                new Kept("offcut", 1, "cut", BigFraction.of(4, 5)),
                new Kept("offcut", 1, "cut", BigFraction.of(4, 5)));
        Valuation valuation = Valuation.of(events, school(school));
        assertThat(valuation.used("cut")).isZero();
        assertThat(valuation.left("offcut")).isEqualTo(1000);
    }

    @Test
    void whatWasTakenBeforeItWasEnteredIsSetRightLater() {
        List<StockEvent> before = List.of(price(30), bought(2, 20), new Left("batch", "rings", 5));
        Valuation owing = Valuation.of(before, school(ValueSchool.FIRST_IN_FIRST_OUT));
        assertThat(owing.quantity("rings")).isEqualTo(-3);
        assertThat(owing.used("batch")).isEqualTo(20 + 90);
        assertThat(owing.left()).isEqualTo(-90);
        List<StockEvent> after = new ArrayList<>(before);
        after.add(bought(10, 150));
        Valuation settled = Valuation.of(after, school(ValueSchool.FIRST_IN_FIRST_OUT));
        assertThat(settled.used("batch")).isEqualTo(20 + 45);
        assertThat(settled.left()).isEqualTo(105);
    }

    @Test
    void theNextAmountsAreWorthWhatTheirLayersCost() {
        Valuation valuation = Valuation.of(
                List.of(price(30), bought(10, 100), bought(10, 200)), school(ValueSchool.FIRST_IN_FIRST_OUT));
        Worth worth = valuation.worth("rings", Counting.PIECES, PRICE);
        assertThat(worth.cost(Amount.pieces(5))).isEqualTo(BigFraction.of(50));
        assertThat(worth.cost(Amount.pieces(15))).isEqualTo(BigFraction.of(200));
        assertThat(worth.cost(Amount.pieces(22))).isEqualTo(BigFraction.of(360));
        assertThat(worth.taken(Amount.pieces(22)))
                .extracting(Worth.Taken::isOnTheShelf)
                .containsExactly(true, true, false);
    }

    /** For random histories: in money nothing is lost and nothing made, after every single event. */
    @ParameterizedTest
    @EnumSource(ValueSchool.class)
    void whatCameIsUsedOrLeftToTheCent(ValueSchool school) {
        Random random = new Random(20_240_611);
        for (int history = 0; history < 300; history++) {
            Valuing valuing = new Valuing(school, random.nextBoolean(), random.nextBoolean());
            List<StockEvent> events = new ArrayList<>();
            Map<String, Long> onHand = new HashMap<>();
            for (int i = 0; i < 40; i++) {
                events.add(random(random, i, events, onHand));
                Valuation valuation = Valuation.of(events, valuing);
                assertThat(valuation.came() + valuation.revalued())
                        .as("%s, history %d after %s", valuing, history, events)
                        .isEqualTo(valuation.used() + valuation.left());
                onHand.forEach((pile, quantity) ->
                        assertThat(valuation.quantity(pile)).as(pile).isEqualTo(quantity));
            }
        }
    }

    /** What is used up in the end was worth what was paid, in both schools that go by what was paid. */
    @ParameterizedTest
    @EnumSource(
            value = ValueSchool.class,
            names = {"FIRST_IN_FIRST_OUT", "MOVING_AVERAGE"})
    void anEmptyShelfIsWorthNothing(ValueSchool school) {
        Random random = new Random(7);
        for (int history = 0; history < 200; history++) {
            List<StockEvent> events = new ArrayList<>();
            long there = 0;
            long paid = 0;
            for (int i = 0; i < 20; i++) {
                Came came = bought(1 + random.nextInt(1000), random.nextInt(5000));
                events.add(came);
                there += came.quantity();
                paid += came.paidMinor();
                long out = random.nextLong(there + 1);
                if (out > 0) {
                    events.add(new Left("m" + i, "rings", out));
                    there -= out;
                }
            }
            if (there > 0) {
                events.add(new Left("last", "rings", there));
            }
            Valuation valuation = Valuation.of(events, school(school));
            assertThat(valuation.left()).isZero();
            assertThat(valuation.used()).isEqualTo(paid);
        }
    }

    private static StockEvent random(Random random, int i, List<StockEvent> before, Map<String, Long> onHand) {
        String pile = random.nextBoolean() ? "bolt" : "offcut";
        long quantity = 1 + random.nextInt(999);
        List<Left> left = before.stream()
                .filter(Left.class::isInstance)
                .map(Left.class::cast)
                .toList();
        switch (random.nextInt(6)) {
            case 0 -> {
                return new Repriced(pile, BigFraction.of(random.nextInt(500), 1 + random.nextInt(7)));
            }
            case 1, 2 -> {
                onHand.merge(pile, quantity, Long::sum);
                return new Came(pile, quantity, random.nextInt(100_000), random.nextInt(4) == 0);
            }
            case 3 -> {
                if (!left.isEmpty()) {
                    onHand.merge("offcut", quantity, Long::sum);
                    return new Kept(
                            "offcut",
                            quantity,
                            left.get(random.nextInt(left.size())).id(),
                            BigFraction.of(random.nextInt(100), 100));
                }
            }
            default -> {}
        }
        onHand.merge(pile, -quantity, Long::sum);
        return new Left("m" + i, pile, quantity);
    }
}
