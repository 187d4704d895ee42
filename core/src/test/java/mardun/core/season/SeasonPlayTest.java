package mardun.core.season;

import static mardun.core.season.MadeUpSeason.fair;
import static mardun.core.season.MadeUpSeason.item;
import static mardun.core.season.MadeUpSeason.limits;
import static mardun.core.season.MadeUpSeason.shop;
import static mardun.core.season.MadeUpSeason.wantedUntil;
import static mardun.core.season.MadeUpSeason.withFading;
import static mardun.core.season.MadeUpSeason.withStock;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Each piece sold leaves 0.95 of its price at a fair, 0.85 in the shop, and one that is left is worth 2. */
class SeasonPlayTest {

    private static final List<SeasonItem> RED_AND_BLUE =
            List.of(item("fold", "red", 20, 20), item("fold", "blue", 10, 20));

    private static double takings(
            List<SeasonItem> items, List<ComingEvent> coming, double substitution, int[] made, Visit... visits) {
        double[] of = new double[items.size()];
        Arrays.fill(of, substitution);
        Season season = new Season(items, limits(10, 100, items), List.of(), coming);
        return new SeasonPlay(season, new Outlook(new Visit[][] {visits}), of).takings(made)[0];
    }

    private static Visit buyers(double mood, int... wants) {
        double[] moods = new double[wants.length];
        Arrays.fill(moods, mood);
        return new Visit(wants, moods, new double[] {1, 1, 1, 1});
    }

    @Test
    void sellsWhatIsThereAndKeepsTheWorthOfTheRest() {
        assertThat(takings(RED_AND_BLUE, List.of(shop(1)), 0.5, new int[] {3, 1}, buyers(0.9, 0, 0)))
                .isCloseTo(2 * 17 + 2 + 2, within(1e-9));
    }

    @Test
    void letsABuyerTakeAnotherClothOrLeave() {
        assertThat(takings(RED_AND_BLUE, List.of(shop(1)), 0.5, new int[] {0, 2}, buyers(0.4, 0)))
                .isCloseTo(8.5 + 2, within(1e-9));
        assertThat(takings(RED_AND_BLUE, List.of(shop(1)), 0.5, new int[] {0, 2}, buyers(0.6, 0)))
                .isCloseTo(4, within(1e-9));
    }

    @Test
    void neverLetsABuyerTakeAnotherDesign() {
        List<SeasonItem> items = List.of(item("fold", "red", 20, 20), item("roll", "red", 20, 20));
        assertThat(takings(items, List.of(shop(1)), 1, new int[] {0, 2}, buyers(0, 0)))
                .isCloseTo(4, within(1e-9));
    }

    @Test
    void bringsTheSamePartOfEachWhereTheTableIsTooSmall() {
        List<SeasonItem> items = List.of(withStock(RED_AND_BLUE.get(0), 0, 2), withStock(RED_AND_BLUE.get(1), 0, 1));
        // Six and three need 15 units of which there are 10: four of the one and two of the other.
        double all = takings(items, List.of(fair(1, 10)), 0, new int[] {6, 3}, buyers(0.9, 0, 0, 0, 0, 0, 0, 1, 1, 1));
        assertThat(all).isCloseTo(4 * 19 + 2 * 9.5 + 3 * 2, within(1e-9));
        // Of eleven units the one that is left over goes to nobody: a red needs two, and blue was cut off nothing.
        double eleven =
                takings(items, List.of(fair(1, 11)), 0, new int[] {6, 3}, buyers(0.9, 0, 0, 0, 0, 0, 0, 1, 1, 1));
        assertThat(eleven).isCloseTo(4 * 19 + 3 * 9.5 + 2 * 2, within(1e-9));
    }

    @Test
    void leavesABagOfAnOccasionAtHomeWhenThatIsOver() {
        List<SeasonItem> items = List.of(wantedUntil(RED_AND_BLUE.get(0), 1), RED_AND_BLUE.get(1));
        Visit nobody = buyers(0.9);
        Visit all = buyers(0, 0, 0, 1, 1);
        // On the day itself both are there; a week later the table of two is all the other's, and nobody takes red
        // instead.
        assertThat(takings(items, List.of(fair(1, 4), fair(2, 2)), 1, new int[] {2, 2}, all, nobody))
                .isCloseTo(2 * 19 + 2 * 9.5, within(1e-9));
        assertThat(takings(items, List.of(fair(1, 4), fair(2, 2)), 1, new int[] {2, 2}, nobody, all))
                .isCloseTo(2 * 9.5 + 2 * 2, within(1e-9));
    }

    @Test
    void offersAgainWhatWasLeftAtHome() {
        List<SeasonItem> items = List.of(RED_AND_BLUE.get(0));
        double both = takings(
                items, List.of(fair(1, 2), fair(2, 2)), 0, new int[] {4}, buyers(0.9, 0, 0, 0), buyers(0.9, 0, 0, 0));
        assertThat(both).isCloseTo(4 * 19, within(1e-9));
    }

    @Test
    void saysWhatEachPieceIsWorthAsPlayingWithOneMoreWouldShow() {
        List<SeasonItem> items = List.of(item("fold", "red", 20, 20), withFading(item("roll", "blue", 10, 20), 0.7));
        Season season = new Season(items, limits(10, 100, items), List.of(), List.of(shop(1), fair(1, 100), shop(2)));
        Outlook outlook = DemandFit.of(season, DemandPrior.USUAL).draw(200, 3);
        SeasonPlay play = new SeasonPlay(season, outlook, new double[] {0, 0});
        double[] weights = new double[200];
        Arrays.fill(weights, 1.0 / 200);
        double[][] worth = play.worthOfEach(new int[] {2, 3}, weights, new int[] {12, 12});
        for (int item = 0; item < 2; item++) {
            for (int pieces = 0; pieces < 12; pieces++) {
                int[] made = {2, 3};
                made[item] = pieces;
                double without = mean(play.takings(made));
                made[item]++;
                assertThat(worth[item][pieces]).isCloseTo(mean(play.takings(made)) - without, within(1e-9));
            }
        }
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }

    private static SeasonPlay withSets(List<SeasonItem> items, double share, Visit... visits) {
        Season season = new Season(
                items,
                limits(10, 100, items),
                List.of(),
                List.of(shop(1)),
                List.of(new SoldTogether("tote", "fob", share, 5, 9)));
        return new SeasonPlay(season, new Outlook(new Visit[][] {visits}), new double[items.size()]);
    }

    private static final List<SeasonItem> TOTES_AND_FOBS = List.of(
            item("tote", "red", 20, 20),
            item("tote", "blue", 20, 20),
            item("fob", "blue", 10, 5),
            item("fob", "red", 8, 5));

    @Test
    void takesASecondBagAlongInTheSameClothIfItIsThere() {
        SeasonPlay play = withSets(TOTES_AND_FOBS, 1, buyers(0.9, 0, 1, 1));
        // Red with red, blue with blue, and blue with the red one that is still there.
        assertThat(play.takings(new int[] {1, 2, 1, 2})[0]).isCloseTo(3 * 17 + 8.5 + 2 * 6.8, within(1e-9));
        // None is left for the last one, who takes the tote all the same.
        assertThat(play.takings(new int[] {1, 2, 1, 1})[0]).isCloseTo(3 * 17 + 8.5 + 6.8, within(1e-9));
        assertThat(play.takings(new int[] {0, 0, 1, 1})[0]).isCloseTo(2 * 2, within(1e-9));
        assertThat(withSets(TOTES_AND_FOBS, 0, buyers(0.9, 0, 1, 1)).takings(new int[] {1, 2, 1, 2})[0])
                .isCloseTo(3 * 17 + 3 * 2, within(1e-9));
    }

    @Test
    void aPieceIsWorthWhatItSellsAlong() {
        SeasonPlay play = withSets(TOTES_AND_FOBS, 1, buyers(0.9, 0, 0));
        int[] most = {3, 3, 3, 4};
        // Fobs enough lie there: a further tote sells one more of them, which is worth 2 where it lies and 7.6 at a
        // fair.
        double[][] worth = play.worthOfEach(new int[] {1, 0, 0, 3}, new double[] {1}, most);
        assertThat(worth[0][0]).isCloseTo(17 + 7.6 - 2, within(1e-9));
        assertThat(worth[0][1]).isCloseTo(17 + 7.6 - 2, within(1e-9));
        assertThat(worth[0][2]).isCloseTo(2, within(1e-9));
        // None is there: it is the fob that is missing.
        worth = play.worthOfEach(new int[] {2, 0, 0, 0}, new double[] {1}, most);
        assertThat(worth[0][0]).isCloseTo(17, within(1e-9));
        assertThat(worth[3][0]).isCloseTo(6.8, within(1e-9));
        assertThat(worth[3][1]).isCloseTo(6.8, within(1e-9));
        assertThat(worth[3][2]).isCloseTo(2, within(1e-9));
    }
}
