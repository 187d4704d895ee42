package mardun.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MakeProgrammeTest {

    private static final int MOST = 4;

    static LongStream seeds() {
        return LongStream.range(0, 150);
    }

    private record Tiny(Season season, double[][] worth) {}

    private static Tiny tiny(long seed) {
        Random random = new Random(seed);
        List<SeasonItem> items = new ArrayList<>();
        int number = 2 + random.nextInt(4);
        for (int n = 0; n < number; n++) {
            items.add(MadeUpSeason.item("design " + n / 2, "cloth " + n % 2, 10, 10 + random.nextInt(40)));
        }
        double[][] worth = new double[number][MOST];
        for (double[] its : worth) {
            for (int piece = 0; piece < MOST; piece++) {
                its[piece] = 12 * random.nextDouble();
            }
            Arrays.sort(its);
            for (int piece = 0; piece < MOST / 2; piece++) {
                double kept = its[piece];
                its[piece] = its[MOST - 1 - piece];
                its[MOST - 1 - piece] = kept;
            }
        }
        Map<String, SeasonLimits.Cloth> cloth = new TreeMap<>();
        cloth.put(
                "cloth 0",
                new SeasonLimits.Cloth(2 * random.nextDouble(), OptionalDouble.of(8), random.nextInt(2) * 5));
        cloth.put(
                "cloth 1",
                new SeasonLimits.Cloth(2 * random.nextDouble(), OptionalDouble.empty(), random.nextInt(2) * 3));
        SeasonLimits limits = new SeasonLimits(
                1 + 4 * random.nextDouble(),
                2 + 15 * random.nextDouble(),
                random.nextBoolean() ? OptionalInt.of(3 + random.nextInt(6)) : OptionalInt.empty(),
                cloth);
        return new Tiny(new Season(items, limits, List.of(), List.of()), worth);
    }

    /** What a choice is worth, by the rules written down once more; absent if it breaks a limit. */
    private static OptionalDouble value(Tiny tiny, int[] made) {
        Season season = tiny.season();
        double value = 0;
        double minutes = 0;
        double spent = 0;
        int pieces = 0;
        Map<String, Double> used = new TreeMap<>();
        Map<String, Double> setUps = new TreeMap<>();
        for (int item = 0; item < made.length; item++) {
            SeasonItem one = season.items().get(item);
            for (int n = 0; n < made[item]; n++) {
                value += tiny.worth()[item][n];
                minutes += one.minutes();
                spent += one.trimCost();
                pieces++;
                used.merge(one.cloth(), 0.3, Double::sum);
                setUps.put(one.design(), one.setUpMinutes());
            }
        }
        minutes += setUps.values().stream().mapToDouble(one -> one).sum();
        for (Map.Entry<String, Double> one : used.entrySet()) {
            SeasonLimits.Cloth cloth = season.limits().cloth().get(one.getKey());
            double over = Math.max(0, one.getValue() - cloth.shelf());
            if (over > 1e-9 && cloth.price().isEmpty()) {
                return OptionalDouble.empty();
            }
            spent += over * cloth.price().orElse(0);
            value -= Math.min(one.getValue(), cloth.shelf()) * cloth.worth();
        }
        boolean fits = minutes <= season.limits().hours() * 60 + 1e-9
                && spent <= season.limits().money() + 1e-9
                && pieces <= season.limits().pieces().orElse(Integer.MAX_VALUE);
        return fits ? OptionalDouble.of(value - spent) : OptionalDouble.empty();
    }

    private static double best(Tiny tiny, int[] made, int item) {
        if (item == made.length) {
            return value(tiny, made).orElse(Double.NEGATIVE_INFINITY);
        }
        double best = Double.NEGATIVE_INFINITY;
        for (int n = 0; n <= MOST; n++) {
            made[item] = n;
            best = Math.max(best, best(tiny, made, item + 1));
        }
        made[item] = 0;
        return best;
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void choosesWithinItsProvenGapOfTheBestOfAllChoices(long seed) {
        Tiny tiny = tiny(seed);
        MakeProgramme.Choice choice = new MakeProgramme(tiny.season(), tiny.worth()).solve(new double[0], new int[0]);
        double best = best(tiny, new int[tiny.worth().length], 0);
        assertThat(value(tiny, choice.made()).orElseThrow()).isCloseTo(choice.value(), within(1e-6));
        assertThat(best).isBetween(choice.value() - 1e-6, choice.bound() + 1e-6);
    }

    @Test
    void findsTheBestOfAllChoicesNearlyAlwaysAndProvesIt() {
        double missed = 0;
        double all = 0;
        int exact = 0;
        int proven = 0;
        for (long seed : seeds().toArray()) {
            Tiny tiny = tiny(seed);
            double best = best(tiny, new int[tiny.worth().length], 0);
            MakeProgramme.Choice choice =
                    new MakeProgramme(tiny.season(), tiny.worth()).solve(new double[0], new int[0]);
            missed += best - choice.value();
            all += best;
            exact += best - choice.value() < 1e-6 ? 1 : 0;
            proven += choice.bound() - choice.value() < 0.001 * best ? 1 : 0;
        }
        assertThat(exact).isGreaterThan(147);
        assertThat(proven).isGreaterThan(140);
        assertThat(missed / all).isLessThan(0.0001);
    }

    /** The same with one or two pieces of some items that are made whatever they bring. */
    private static Tiny pledged(Tiny tiny, long seed) {
        Random random = new Random(seed);
        List<SeasonItem> items = tiny.season().items().stream()
                .map(item -> MadeUpSeason.atLeast(item, random.nextInt(3) == 0 ? 1 + random.nextInt(2) : 0))
                .toList();
        return new Tiny(new Season(items, tiny.season().limits(), List.of(), List.of()), tiny.worth());
    }

    private static double bestOf(Tiny tiny, int[] made, int item) {
        if (item == made.length) {
            return value(tiny, made).orElse(Double.NEGATIVE_INFINITY);
        }
        double best = Double.NEGATIVE_INFINITY;
        for (int n = tiny.season().items().get(item).atLeast(); n <= MOST; n++) {
            made[item] = n;
            best = Math.max(best, bestOf(tiny, made, item + 1));
        }
        return best;
    }

    @Test
    void makesWhatIsMadeWhateverItBringsAndTheBestBesides() {
        int looked = 0;
        double missed = 0;
        double all = 0;
        for (long seed : seeds().toArray()) {
            Tiny tiny = pledged(tiny(seed), seed);
            double best = bestOf(tiny, new int[tiny.worth().length], 0);
            if (best > Double.NEGATIVE_INFINITY) {
                MakeProgramme.Choice choice =
                        new MakeProgramme(tiny.season(), tiny.worth()).solve(new double[0], new int[0]);
                for (int item = 0; item < choice.made().length; item++) {
                    assertThat(choice.made()[item])
                            .isGreaterThanOrEqualTo(
                                    tiny.season().items().get(item).atLeast());
                }
                assertThat(value(tiny, choice.made()).orElseThrow()).isCloseTo(choice.value(), within(1e-6));
                assertThat(best).as("seed %d", seed).isBetween(choice.value() - 1e-6, choice.bound() + 1e-6);
                missed += best - choice.value();
                all += Math.abs(best);
                looked++;
            }
        }
        assertThat(looked).isGreaterThan(80);
        assertThat(missed / all).isLessThan(0.01);
    }

    @Test
    void choosesNothingWhereThereIsNoTime() {
        Tiny tiny = tiny(1);
        SeasonLimits none = new SeasonLimits(
                0, 100, OptionalInt.empty(), tiny.season().limits().cloth());
        MakeProgramme.Choice choice = new MakeProgramme(
                        new Season(tiny.season().items(), none, List.of(), List.of()), tiny.worth())
                .solve(new double[0], new int[0]);
        assertThat(choice.made()).containsOnly(0);
        assertThat(choice.value()).isZero();
    }

    @Test
    void gainsNothingByMoreOfALimitThatHoldsNobodyBackAndNeverLoses() {
        for (long seed : seeds().limit(60).toArray()) {
            Tiny tiny = tiny(seed);
            Season season = tiny.season();
            MakeProgramme.Choice before = new MakeProgramme(season, tiny.worth()).solve(new double[0], new int[0]);
            Tiny more = new Tiny(
                    season.within(season.limits().withHours(season.limits().hours() + 1)), tiny.worth());
            double after = new MakeProgramme(more.season(), more.worth())
                    .solve(new double[0], before.made())
                    .value();
            double bestBefore = best(tiny, new int[tiny.worth().length], 0);
            double bestAfter = best(more, new int[tiny.worth().length], 0);
            assertThat(after).as("seed %d", seed).isGreaterThanOrEqualTo(before.value() - 1e-9);
            if (before.value() > bestBefore - 1e-6 && bestAfter < bestBefore + 1e-6) {
                assertThat(after).as("seed %d", seed).isCloseTo(before.value(), within(1e-6));
            }
        }
    }
}
