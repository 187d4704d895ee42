package mardun.core.season;

import static mardun.core.season.MadeUpSeason.day;
import static mardun.core.season.MadeUpSeason.fair;
import static mardun.core.season.MadeUpSeason.item;
import static mardun.core.season.MadeUpSeason.limits;
import static mardun.core.season.MadeUpSeason.shop;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DemandEstimateTest {

    private static final List<SeasonItem> ITEMS = List.of(item("fold", "red", 12, 20), item("roll", "blue", 12, 20));

    private static Season season(int fairs, List<ComingEvent> coming, double... rates) {
        Random random = new Random(11);
        List<PastEvent> past = new ArrayList<>();
        for (int n = fairs; n > 0; n--) {
            List<PastEvent.Line> lines = new ArrayList<>();
            for (int item = 0; item < rates.length; item++) {
                lines.add(day(item, 30, rates[item], 12, false, random));
            }
            past.add(fair(-n, lines));
        }
        return new Season(ITEMS, limits(10, 100, ITEMS), past, coming);
    }

    private static double[] buyers(Outlook outlook, int event) {
        double[] buyers = new double[ITEMS.size()];
        for (Visit[] visits : outlook.visits()) {
            for (int wanted : visits[event].wants()) {
                buyers[wanted] += 1.0 / outlook.seasons();
            }
        }
        return buyers;
    }

    @Test
    void drawsAsManyBuyersAsItExpectsWhereMuchIsKnown() {
        DemandEstimate estimate = DemandFit.of(season(80, List.of(fair(1, 50)), 2, 5), DemandPrior.USUAL);
        double[] buyers = buyers(estimate.draw(6000, 1), 0);
        for (int item = 0; item < ITEMS.size(); item++) {
            // Rates are lopsided, so their mean lies over the likeliest by half their variance; weather takes a little
            // off.
            double doubt = estimate.doubt(0, item);
            double mean = estimate.rate(0, item) * Math.exp(doubt * doubt / 2);
            assertThat(buyers[item]).isCloseTo(mean, within(0.12 * mean));
        }
    }

    @Test
    void scattersMoreWhereLessIsKnown() {
        assertThat(spread(DemandFit.of(season(1, List.of(fair(1, 50)), 3, 3), DemandPrior.USUAL)))
                .isGreaterThan(1.15 * spread(DemandFit.of(season(60, List.of(fair(1, 50)), 3, 3), DemandPrior.USUAL)));
    }

    /** The spread of all buyers of a season, as a part of their mean. */
    private static double spread(DemandEstimate estimate) {
        Outlook outlook = estimate.draw(4000, 2);
        double sum = 0;
        double squares = 0;
        for (Visit[] visits : outlook.visits()) {
            double buyers = visits[0].wants().length;
            sum += buyers;
            squares += buyers * buyers;
        }
        double mean = sum / outlook.seasons();
        return Math.sqrt(squares / outlook.seasons() - mean * mean) / mean;
    }

    @Test
    void hasGoodAndBadSeasonsForAllItemsTogether() {
        Outlook outlook = DemandFit.of(season(60, List.of(fair(1, 50)), 8, 8), DemandPrior.USUAL)
                .draw(4000, 3);
        double together = 0;
        double one = 0;
        double other = 0;
        for (Visit[] visits : outlook.visits()) {
            double red = -8;
            double blue = -8;
            for (int wanted : visits[0].wants()) {
                red += wanted == 0 ? 1 : 0;
                blue += wanted == 1 ? 1 : 0;
            }
            together += red * blue;
            one += red * red;
            other += blue * blue;
        }
        assertThat(together / Math.sqrt(one * other)).isGreaterThan(0.15);
    }

    @Test
    void drawsTheSameSeasonsForTheSameSeedAndOthersForAnother() {
        DemandEstimate estimate = DemandFit.of(season(5, List.of(shop(1), fair(1, 50)), 3, 3), DemandPrior.USUAL);
        Visit[] first = estimate.draw(3, 7).visits()[2];
        Visit[] again = estimate.draw(3, 7).visits()[2];
        Visit[] another = estimate.draw(3, 8).visits()[2];
        assertThat(again[1].wants()).isEqualTo(first[1].wants());
        assertThat(again[0].mood()).isEqualTo(first[0].mood());
        assertThat(another[0].mood()).isNotEqualTo(first[0].mood());
    }

    @Test
    void givesEachBuyerAMoodAndWantsOnlyWhatThereIs() {
        Outlook outlook = DemandFit.of(season(5, List.of(shop(1), fair(1, 50)), 3, 3), DemandPrior.USUAL)
                .draw(200, 1);
        for (Visit[] visits : outlook.visits()) {
            for (Visit visit : visits) {
                assertThat(visit.mood()).hasSameSizeAs(visit.wants());
                assertThat(visit.appeal()).hasSize(ITEMS.size());
                for (int n = 0; n < visit.wants().length; n++) {
                    assertThat(visit.wants()[n]).isBetween(0, ITEMS.size() - 1);
                    assertThat(visit.mood()[n]).isBetween(0.0, 1.0);
                }
            }
        }
    }
}
