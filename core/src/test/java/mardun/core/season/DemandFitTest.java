package mardun.core.season;

import static mardun.core.season.MadeUpSeason.day;
import static mardun.core.season.MadeUpSeason.fair;
import static mardun.core.season.MadeUpSeason.item;
import static mardun.core.season.MadeUpSeason.limits;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DemandFitTest {

    private static Season season(List<SeasonItem> items, List<PastEvent> past) {
        return new Season(items, limits(10, 100, items), past, List.of(fair(1, 100)));
    }

    private static List<PastEvent> fairs(int number, int brought, boolean areHoursNoted, double... rates) {
        Random random = new Random(7);
        List<PastEvent> past = new ArrayList<>();
        for (int n = number; n > 0; n--) {
            List<PastEvent.Line> lines = new ArrayList<>();
            for (int item = 0; item < rates.length; item++) {
                lines.add(day(item, brought, rates[item], 12, areHoursNoted, random));
            }
            past.add(fair(-n, lines));
        }
        return past;
    }

    @ParameterizedTest(name = "{0} brought, hours noted: {1}")
    @CsvSource({"40, false", "4, true", "4, false", "2, true"})
    void findsTheRatesThatMadeTheSalesHoweverOftenTheyWereSoldOut(int brought, boolean areHoursNoted) {
        List<SeasonItem> items =
                List.of(item("fold", "red", 12, 20), item("roll", "blue", 12, 20), item("tuck", "green", 12, 20));
        DemandEstimate estimate =
                DemandFit.of(season(items, fairs(120, brought, areHoursNoted, 1, 3, 6)), DemandPrior.USUAL);
        assertThat(estimate.rate(0, 0)).isCloseTo(1, within(0.25));
        assertThat(estimate.rate(0, 1)).isCloseTo(3, within(0.7));
        assertThat(estimate.rate(0, 2)).isCloseTo(6, within(1.8));
    }

    @Test
    void takesASoldOutDayForAtLeastAsManyBuyers() {
        List<SeasonItem> items = List.of(item("fold", "red", 12, 20));
        PastEvent someLeft = fair(-3, List.of(new PastEvent.Line(0, 5, 4, OptionalDouble.empty(), 12)));
        PastEvent soldOut = fair(-3, List.of(new PastEvent.Line(0, 4, 4, OptionalDouble.empty(), 12)));
        PastEvent soldOutAtOnce = fair(-3, List.of(new PastEvent.Line(0, 4, 4, OptionalDouble.of(1), 12)));
        double left = rate(items, someLeft);
        double out = rate(items, soldOut);
        double atOnce = rate(items, soldOutAtOnce);
        assertThat(out).isGreaterThan(1.1 * left);
        assertThat(atOnce).isGreaterThan(1.3 * out);
    }

    private static double rate(List<SeasonItem> items, PastEvent past) {
        return DemandFit.of(season(items, List.of(past)), DemandPrior.USUAL).rate(0, 0);
    }

    @Test
    void countsBuyersOfWhatWasNotThereAsItsOwnAndNotAsThatOfItsMate() {
        List<SeasonItem> items = List.of(item("fold", "red", 12, 20), item("fold", "blue", 12, 20));
        PastEvent.Line red = new PastEvent.Line(0, 9, 6, OptionalDouble.empty(), 12);
        double alone = rate(items, fair(-3, List.of(red)));
        double withMate = rate(items, fair(-3, List.of(red, new PastEvent.Line(1, 9, 6, OptionalDouble.empty(), 12))));
        assertThat(alone).isLessThan(0.92 * withMate);
    }

    @Test
    void drawsFewFiguresTowardsThoseOfTheirKindAndManyNot() {
        List<SeasonItem> items = new ArrayList<>();
        for (int n = 0; n < 6; n++) {
            items.add(item("design " + n, "cloth " + n, 12, 20));
        }
        double[] rates = {3, 3, 3, 3, 3, 0.4};
        double few = DemandFit.of(season(items, fairs(1, 30, false, rates)), DemandPrior.USUAL)
                .rate(0, 5);
        double many = DemandFit.of(season(items, fairs(60, 30, false, rates)), DemandPrior.USUAL)
                .rate(0, 5);
        assertThat(few).isGreaterThan(1.6 * many);
        assertThat(many).isCloseTo(0.4, within(0.2));
    }

    @Test
    void goesByTheKindForADesignThatWasNeverOffered() {
        List<SeasonItem> items = new ArrayList<>();
        for (int n = 0; n < 5; n++) {
            items.add(item("design " + n, "cloth " + n, 12, 20));
        }
        SeasonItem pattern = item("never", "offered", 12, 20);
        items.add(new SeasonItem(
                pattern.id(),
                pattern.design(),
                pattern.kind(),
                pattern.size(),
                pattern.cloth(),
                pattern.price(),
                pattern.netAtFair(),
                pattern.netOnline(),
                pattern.trimCost(),
                pattern.minutes(),
                pattern.setUpMinutes(),
                Map.of("offered", 0.3),
                1,
                0,
                OptionalInt.empty(),
                OptionalInt.empty(),
                OptionalInt.empty(),
                0,
                2,
                1,
                1));
        DemandEstimate estimate = DemandFit.of(season(items, fairs(40, 30, false, 2, 2, 2, 2, 2)), DemandPrior.USUAL);
        assertThat(estimate.rate(0, 5)).isCloseTo(2, within(0.5));
        assertThat(estimate.doubt(0, 5)).isGreaterThan(2 * estimate.doubt(0, 0));
    }

    @Test
    void restsOnItsOwnSalesTheMoreOfThemThereAre() {
        List<SeasonItem> items = List.of(item("fold", "red", 12, 20), item("roll", "blue", 12, 20));
        double before = -1;
        for (int number : new int[] {0, 1, 2, 4, 8, 16}) {
            DemandEstimate estimate = DemandFit.of(season(items, fairs(number, 20, false, 2, 4)), DemandPrior.USUAL);
            assertThat(estimate.ofItsOwn(0)).isBetween(0.0, 1.0).isGreaterThan(before);
            before = estimate.ofItsOwn(0);
        }
        assertThat(before).isGreaterThan(0.5);
    }

    @Test
    void restsOnNothingOfItsOwnWhereItWasNeverOffered() {
        List<SeasonItem> items = List.of(item("fold", "red", 12, 20), item("roll", "blue", 12, 20));
        DemandEstimate estimate = DemandFit.of(season(items, fairs(8, 20, false, 3)), DemandPrior.USUAL);
        assertThat(estimate.ofItsOwn(1)).isZero();
        assertThat(estimate.ofItsOwn(0)).isPositive();
    }

    @Test
    void isSurerTheMoreFairsAreBehind() {
        List<SeasonItem> items = List.of(item("fold", "red", 12, 20), item("roll", "blue", 12, 20));
        double before = Double.POSITIVE_INFINITY;
        for (int number : new int[] {0, 1, 2, 4, 8, 16, 32, 64}) {
            double doubt = DemandFit.of(season(items, fairs(number, 20, false, 2, 4)), DemandPrior.USUAL)
                    .doubt(0, 1);
            assertThat(doubt).as("after %d fairs", number).isLessThan(before);
            before = doubt;
        }
    }

    @Test
    void keepsTheMakersOwnJudgementApartFromTheData() {
        SeasonItem red = item("fold", "red", 12, 20);
        List<PastEvent> past = fairs(10, 20, false, 3);
        double plain =
                DemandFit.of(season(List.of(red), past), DemandPrior.USUAL).rate(0, 0);
        double judged = DemandFit.of(season(List.of(MadeUpSeason.withJudgement(red, 1.5)), past), DemandPrior.USUAL)
                .rate(0, 0);
        assertThat(judged).isCloseTo(1.5 * plain, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 8})
    void knowsWhenTheLastOneWentInTheMeanOfDaysThatSoldOut(int pieces) {
        Random random = new Random(pieces);
        double rate = 0.8 * pieces;
        double sum = 0;
        int days = 0;
        for (int n = 0; n < 400_000; n++) {
            double at = 0;
            for (int piece = 0; piece < pieces; piece++) {
                at -= Math.log(1 - random.nextDouble()) / rate;
            }
            if (at <= 1) {
                sum += at;
                days++;
            }
        }
        assertThat(DemandFit.lastOneWent(pieces, rate)).isCloseTo(sum / days, within(0.005));
    }
}
