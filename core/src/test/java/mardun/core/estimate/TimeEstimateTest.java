package mardun.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Times that are learnt from measurements: they move from the guess to the truth by degrees. */
class TimeEstimateTest {

    private static final Duration GUESS = Duration.ofMinutes(6);

    private static Measurement bag(String batch, int number, double seconds) {
        return new Measurement(batch + "/" + number, batch, number, 1, Duration.ofMillis(Math.round(seconds * 1000)));
    }

    /** Bags in routine, all of one length. */
    private static List<Measurement> routine(int bags, double seconds) {
        return List.of(new Measurement(
                "all", "1", LearningCurve.ROUTINE_FROM, bags, Duration.ofMillis(Math.round(bags * seconds * 1000))));
    }

    /** Batches as they really go: the first bags slower, each bag and each batch off by something. */
    private static List<Measurement> batches(Random random, int count, int bags, double seconds, double exponent) {
        LearningCurve curve = new LearningCurve(exponent);
        List<Measurement> all = new ArrayList<>();
        for (int batch = 1; batch <= count; batch++) {
            double off = 1 + 0.08 * random.nextGaussian();
            for (int i = 1; i <= bags; i++) {
                double noise = Math.exp(0.2 * random.nextGaussian() - 0.02);
                all.add(bag("b" + batch, i, seconds * off * curve.factor(i) * noise));
            }
        }
        return all;
    }

    @Test
    void withoutMeasurementsItIsTheGuess() {
        TimeEstimate estimate = TimeEstimate.guess(GUESS);
        assertThat(estimate.each()).isEqualTo(GUESS);
        assertThat(estimate.beginning()).isZero();
        assertThat(estimate.spread()).isEqualTo(TimeEstimate.SPREAD_OF_A_GUESS);
        assertThat(estimate.bags()).isZero();
    }

    /** Four bags count as much as the guess, twelve three times as much. */
    @Test
    void theGuessIsOutweighedAsIsStated() {
        assertThat(TimeEstimate.of(GUESS, routine(4, 120), List.of()).each()).isEqualTo(Duration.ofSeconds(240));
        assertThat(TimeEstimate.of(GUESS, routine(12, 120), List.of()).each()).isEqualTo(Duration.ofSeconds(180));
        assertThat(TimeEstimate.of(GUESS, routine(1, 120), List.of()).each())
                .isEqualTo(Duration.ofSeconds((4 * 360 + 120) / 5));
    }

    /** What the step took elsewhere betters the guess as eight bags at most, and is outweighed like it. */
    @Test
    void otherDesignsAreTheFirstGuess() {
        assertThat(TimeEstimate.of(GUESS, List.of(), routine(4, 120)).each()).isEqualTo(Duration.ofSeconds(240));
        assertThat(TimeEstimate.of(GUESS, List.of(), routine(200, 120)).each())
                .isEqualTo(Duration.ofSeconds((4 * 360 + 8 * 120) / 12));
        TimeEstimate both = TimeEstimate.of(GUESS, routine(4, 60), routine(200, 120));
        assertThat(both.each()).isEqualTo(Duration.ofSeconds((200 + 60) / 2));
        assertThat(both.bags()).as("it rests on this design's own bags").isEqualTo(4);
    }

    @Test
    void trueTimesAreRecoveredFromWhatIsLogged() {
        Random random = new Random(4);
        double worst = 0;
        double mean = 0;
        double exponents = 0;
        for (int round = 0; round < 40; round++) {
            TimeEstimate estimate = TimeEstimate.of(GUESS, batches(random, 8, 12, 200, 0.3), List.of());
            double off = estimate.each().toMillis() / 200_000.0 - 1;
            worst = Math.max(worst, Math.abs(off));
            mean += off / 40;
            exponents += estimate.curve().exponent() / 40;
            assertThat(estimate.bags() + estimate.leftOut().size()).isEqualTo(96);
            assertThat(estimate.batches()).isEqualTo(8);
        }
        // The guess of 360 s still counts as 4 of 100 bags, which is 3 %; eight batches are off by 8 % each.
        assertThat(mean).isCloseTo(0.032, within(0.02));
        assertThat(worst).isLessThan(0.18);
        assertThat(exponents).isCloseTo(0.28, within(0.04));
    }

    /** What is said to be likely holds as often as is said: in eight of ten batches to come, or a little more. */
    @Test
    void theLikelyRangeHoldsTheNextBatch() {
        Random random = new Random(5);
        for (int before : new int[] {1, 2, 6}) {
            int within = 0;
            for (int round = 0; round < 1000; round++) {
                double truth = 300 * Math.exp(0.25 * random.nextGaussian());
                TimeEstimate estimate =
                        TimeEstimate.of(Duration.ofSeconds(300), batches(random, before, 8, truth, 0.15), List.of());
                double next = truth * (1 + 0.08 * random.nextGaussian());
                if (next * 1000 >= estimate.atLeast().toMillis()
                        && next * 1000 <= estimate.atMost().toMillis()) {
                    within++;
                }
            }
            assertThat(within / 1000.0).as("after %d batches", before).isBetween(0.78, 0.95);
        }
    }

    @Test
    void theMoreIsMeasuredTheNarrowerItIs() {
        double before = TimeEstimate.SPREAD_OF_A_GUESS;
        for (int batches = 1; batches <= 20; batches *= 2) {
            double now = TimeEstimate.of(GUESS, batches(new Random(6), batches, 6, 250, 0.15), List.of())
                    .spread();
            assertThat(now).isLessThan(before);
            before = now;
        }
        assertThat(before).as("batches differ all the same").isBetween(0.1, 0.13);
    }

    /** A batch's beginning comes to what its first bags took longer. */
    @Test
    void theFirstBagsAreApartFromRoutine() {
        LearningCurve steep = new LearningCurve(0.5);
        List<Measurement> all = new ArrayList<>();
        for (int batch = 1; batch <= 30; batch++) {
            for (int i = 1; i <= 10; i++) {
                all.add(bag("b" + batch, i, 100 * steep.factor(i)));
            }
        }
        TimeEstimate estimate = TimeEstimate.of(Duration.ofSeconds(100), all, List.of());
        assertThat(estimate.each().toSeconds()).isCloseTo(100, within(1L));
        assertThat(estimate.curve().exponent()).isCloseTo(0.48, within(0.03));
        assertThat(estimate.beginning().toMillis() / 1000.0).isCloseTo(100 * steep.beginning(), within(12.0));
        assertThat(LearningCurve.USUAL.factor(2) / LearningCurve.USUAL.factor(1))
                .isCloseTo(0.9, within(0.001));
        assertThat(LearningCurve.USUAL.factor(LearningCurve.ROUTINE_FROM)).isEqualTo(1);
    }

    @Test
    void aClockThatRanThroughLunchIsLeftOut() {
        List<Measurement> all = new ArrayList<>(batches(new Random(7), 1, 9, 120, 0.15));
        double before = TimeEstimate.of(GUESS, all, List.of()).each().toMillis();
        all.add(bag("b1", 10, 2700));
        all.add(bag("b1", 11, 2));
        TimeEstimate estimate = TimeEstimate.of(GUESS, all, List.of());
        assertThat(estimate.leftOut())
                .extracting(one -> one.measurement().key() + " " + one.reason())
                .containsExactly("b1/10 LONG", "b1/11 SHORT");
        assertThat(estimate.leftOut().get(0).usual().toSeconds()).isBetween(90L, 150L);
        assertThat((double) estimate.each().toMillis()).isCloseTo(before, within(4000.0));
    }

    @Test
    void ofAFewAllAreKept() {
        List<Measurement> four = List.of(bag("b", 5, 100), bag("b", 6, 100), bag("b", 7, 100), bag("b", 8, 2000));
        assertThat(TimeEstimate.of(GUESS, four, List.of()).leftOut()).isEmpty();
    }
}
