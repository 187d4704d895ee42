package mardun.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Seasons played by the rules written down once more, as plainly as they can be: one bag in the hand after the other. */
class SeasonPlayReferenceTest {

    private static final double[] SUBSTITUTION = {0.3, 0.7, 0.0, 1.0, 0.5, 0.5};

    static LongStream seeds() {
        return LongStream.range(0, 120);
    }

    /** A bag that lies in the workroom. */
    private record Bag(int item) {}

    private static Season season(Random random) {
        List<SeasonItem> items = new ArrayList<>();
        for (int n = 0; n < SUBSTITUTION.length; n++) {
            SeasonItem plain = MadeUpSeason.item("design " + n % 3, "cloth " + n, 5 + random.nextInt(20), 20);
            items.add(MadeUpSeason.withFading(
                    MadeUpSeason.withStock(plain, random.nextInt(3), 1 + random.nextInt(4)),
                    random.nextBoolean() ? 1 : 0.6));
        }
        List<ComingEvent> coming = new ArrayList<>();
        for (int week = 1; week <= 3; week++) {
            coming.add(MadeUpSeason.shop(week));
            coming.add(MadeUpSeason.fair(week, 3 + random.nextInt(40)));
        }
        return new Season(items, MadeUpSeason.limits(10, 100, items), List.of(), coming);
    }

    private static Visit visit(int items, Random random) {
        int buyers = random.nextInt(12);
        return new Visit(
                random.ints(buyers, 0, items).toArray(),
                random.doubles(buyers).toArray(),
                random.doubles(items, 0.1, 3).toArray());
    }

    private static double played(Season season, Visit[] visits, int[] made) {
        List<Bag> home = new ArrayList<>();
        for (int item = 0; item < made.length; item++) {
            for (int n = 0; n < season.items().get(item).stock() + made[item]; n++) {
                home.add(new Bag(item));
            }
        }
        double takings = 0;
        for (int event = 0; event < visits.length; event++) {
            ComingEvent its = season.coming().get(event);
            List<Bag> there = its.outlet() == Outlet.ONLINE ? home : onTable(season, home, its.table());
            for (int buyer = 0; buyer < visits[event].wants().length; buyer++) {
                int taken = takes(season, there, visits[event], buyer);
                if (taken >= 0) {
                    Bag bag = new Bag(taken);
                    there.remove(bag);
                    if (there != home) {
                        home.remove(bag);
                    }
                    takings += season.items().get(taken).net(its.outlet());
                }
            }
        }
        Map<Integer, Integer> left = new HashMap<>();
        for (Bag bag : home) {
            SeasonItem item = season.items().get(bag.item());
            int before = left.merge(bag.item(), 1, Integer::sum) - 1;
            takings += item.worthUnsold() * Math.pow(item.fading(), before);
        }
        return takings;
    }

    /** The same part of each item, whole bags first; then one more of each by what was cut off, where it still fits. */
    private static List<Bag> onTable(Season season, List<Bag> home, int table) {
        int items = season.items().size();
        int[] stock = new int[items];
        home.forEach(bag -> stock[bag.item()]++);
        int need = IntStream.range(0, items)
                .map(item -> stock[item] * season.items().get(item).space())
                .sum();
        List<Bag> there = new ArrayList<>();
        if (need <= table) {
            there.addAll(home);
            return there;
        }
        int room = table;
        Map<Integer, BigInteger> cutOff = new HashMap<>();
        for (int item = 0; item < items; item++) {
            BigInteger[] share =
                    BigInteger.valueOf((long) stock[item] * table).divideAndRemainder(BigInteger.valueOf(need));
            cutOff.put(item, share[1]);
            for (int n = 0; n < share[0].intValue(); n++) {
                there.add(new Bag(item));
                room -= season.items().get(item).space();
            }
        }
        List<Integer> order = IntStream.range(0, items)
                .boxed()
                .sorted(Comparator.comparing(cutOff::get, Comparator.reverseOrder()))
                .toList();
        for (int item : order) {
            long shown = there.stream().filter(bag -> bag.item() == item).count();
            int space = season.items().get(item).space();
            if (space <= room && shown < stock[item]) {
                there.add(new Bag(item));
                room -= space;
            }
        }
        return there;
    }

    private static int takes(Season season, List<Bag> there, Visit visit, int buyer) {
        int wanted = visit.wants()[buyer];
        if (there.contains(new Bag(wanted))) {
            return wanted;
        }
        if (visit.mood()[buyer] >= SUBSTITUTION[wanted]) {
            return -1;
        }
        List<Integer> others = IntStream.range(0, season.items().size())
                .filter(item -> season.items()
                        .get(item)
                        .design()
                        .equals(season.items().get(wanted).design()))
                .filter(item -> there.contains(new Bag(item)))
                .boxed()
                .toList();
        double all = others.stream().mapToDouble(item -> visit.appeal()[item]).sum();
        double upTo = 0;
        for (int other : others) {
            upTo += visit.appeal()[other];
            if (visit.mood()[buyer] / SUBSTITUTION[wanted] * all < upTo) {
                return other;
            }
        }
        return others.isEmpty() ? -1 : others.get(others.size() - 1);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void playsAsTheRulesSay(long seed) {
        Random random = new Random(seed);
        Season season = season(random);
        Visit[][] visits = new Visit[5][season.coming().size()];
        for (Visit[] its : visits) {
            for (int event = 0; event < its.length; event++) {
                its[event] = visit(season.items().size(), random);
            }
        }
        int[] made = random.ints(season.items().size(), 0, 6).toArray();
        SeasonPlay play = new SeasonPlay(season, new Outlook(visits), SUBSTITUTION);
        double[] takings = play.takings(made);
        double[] outcome = play.outcome(made).takings();
        for (int drawn = 0; drawn < visits.length; drawn++) {
            assertThat(takings[drawn]).isCloseTo(played(season, visits[drawn], made), within(1e-9));
            assertThat(outcome[drawn]).isEqualTo(takings[drawn]);
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void sellsNoMoreThanThereIsAndSellsOutOnlyWhatThereWas(long seed) {
        Random random = new Random(seed + 1000);
        Season season = season(random);
        Visit[][] visits = new Visit[8][season.coming().size()];
        for (Visit[] its : visits) {
            for (int event = 0; event < its.length; event++) {
                its[event] = visit(season.items().size(), random);
            }
        }
        int[] made = random.ints(season.items().size(), 0, 4).toArray();
        SeasonPlay.Outcome outcome = new SeasonPlay(season, new Outlook(visits), SUBSTITUTION).outcome(made);
        double wanted = 0;
        for (Visit[] its : visits) {
            for (Visit visit : its) {
                wanted += visit.wants().length / (double) visits.length;
            }
        }
        double sold = 0;
        for (int item = 0; item < made.length; item++) {
            int there = season.items().get(item).stock() + made[item];
            assertThat(outcome.sold()[item]).isBetween(0.0, there + 1e-9);
            assertThat(outcome.soldOut()[item]).isBetween(0.0, 1 + 1e-9);
            if (there == 0) {
                assertThat(outcome.soldOut()[item]).isZero();
            }
            sold += outcome.sold()[item];
        }
        assertThat(sold).isLessThanOrEqualTo(wanted + 1e-9);
    }
}
