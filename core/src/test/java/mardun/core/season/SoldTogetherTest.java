package mardun.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Which designs sell as sets, from sales of the past. */
class SoldTogetherTest {

    private static List<Set<String>> sales(int totes, int fobs, int sets) {
        List<Set<String>> sales = new ArrayList<>(Collections.nCopies(totes, Set.of("tote")));
        sales.addAll(Collections.nCopies(fobs, Set.of("fob")));
        sales.addAll(Collections.nCopies(sets, Set.of("tote", "fob")));
        return sales;
    }

    private static List<SoldTogether> of(List<Set<String>> sales) {
        return SoldTogether.of(sales, Map.of("tote", 29.0, "fob", 4.0, "case", 12.0));
    }

    @Test
    void theDearerDesignIsTheFirstAndOfTwoAtOnePriceTheOneThatSellsMore() {
        assertThat(of(sales(14, 30, 6))).containsExactly(new SoldTogether("tote", "fob", 6 / 30.0, 6, 20));
        assertThat(SoldTogether.of(sales(3, 14, 6), Map.of("tote", 9.0, "fob", 9.0)))
                .containsExactly(new SoldTogether("fob", "tote", 6 / 30.0, 6, 20));
    }

    @Test
    void twoSetsMayHaveBeenChance() {
        assertThat(of(sales(2, 0, 2))).isEmpty();
        assertThat(of(List.of())).isEmpty();
    }

    @Test
    void ofThreeInASaleTwoGoWithTheFirst() {
        List<Set<String>> sales = sales(10, 0, 0);
        sales.addAll(Collections.nCopies(4, Set.of("tote", "fob", "case")));
        assertThat(of(sales))
                .extracting(SoldTogether::first, SoldTogether::second, SoldTogether::sets)
                .containsExactly(tuple("tote", "case", 4), tuple("tote", "fob", 4));
        assertThat(SoldTogether.alongIn(Set.of("tote", "fob", "case"), of(sales)))
                .containsExactlyInAnyOrder("fob", "case");
        assertThat(SoldTogether.alongIn(Set.of("fob", "case"), of(sales))).isEmpty();
    }

    /** Made-up sales with a known share: many find it, few say too little rather than too much. */
    @Test
    void findsAKnownShareAndIsDrawnTowardsNoneByFewSales() {
        Random random = new Random(4);
        for (double share : new double[] {0.1, 0.3, 0.6}) {
            double few = 0;
            double many = 0;
            int rounds = 200;
            for (int round = 0; round < rounds; round++) {
                few += found(share, 12, random) / rounds;
                many += found(share, 600, random) / rounds;
            }
            assertThat(many).isCloseTo(share, within(0.02));
            assertThat(few).isLessThan(share);
        }
    }

    private static double found(double share, int totes, Random random) {
        List<Set<String>> sales = new ArrayList<>();
        for (int n = 0; n < totes; n++) {
            sales.add(random.nextDouble() < share ? Set.of("tote", "fob") : Set.of("tote"));
        }
        return of(sales).stream().mapToDouble(SoldTogether::share).sum();
    }

    /** Nobody buys a fob for itself, and half of those who buy a tote take one along: so many are made, and none without the set. */
    @Test
    void aSeasonMakesTheSecondBagForThoseWhoBuyTheFirst() {
        List<SeasonItem> items = List.of(
                MadeUpSeason.item("tote", "red", 30, 20),
                MadeUpSeason.withJudgement(MadeUpSeason.item("fob", "red", 9, 4), 0.001));
        List<PastEvent> past = IntStream.rangeClosed(1, 20)
                .mapToObj(week -> MadeUpSeason.fair(
                        -week,
                        List.of(
                                new PastEvent.Line(0, 12, 6, OptionalDouble.empty(), 30),
                                new PastEvent.Line(1, 8, 0, OptionalDouble.empty(), 9))))
                .toList();
        Season alone = new Season(
                items,
                MadeUpSeason.limits(12, 400, items),
                past,
                List.of(MadeUpSeason.fair(1, 100), MadeUpSeason.fair(2, 100)));
        Season together = new Season(
                items,
                alone.limits(),
                alone.past(),
                alone.coming(),
                List.of(new SoldTogether("tote", "fob", 0.5, 20, 40)));
        int[] without = new SeasonPlanner(alone, DemandPrior.USUAL, 3)
                .plan(SeasonAim.BEST_MEAN)
                .made();
        SeasonPlan with = new SeasonPlanner(together, DemandPrior.USUAL, 3).plan(SeasonAim.BEST_MEAN);
        assertThat(without[1]).isZero();
        assertThat(with.made()[1]).isPositive();
        assertThat(with.outcome().sold()[1] / with.outcome().sold()[0]).isBetween(0.25, 0.6);
    }
}
