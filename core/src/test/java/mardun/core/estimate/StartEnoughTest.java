package mardun.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What share is spoiled, and how many to start so that enough come out. */
class StartEnoughTest {

    private static final BigDecimal NINE_OF_TEN = new BigDecimal("0.9");

    private static Spoilage share(String share) {
        return new Spoilage(new BigDecimal(share), 0, 0);
    }

    @Test
    void whatIsUsualMovesToWhatHappens() {
        assertThat(Spoilage.of(Spoilage.USUAL, 0, 0).share()).isEqualByComparingTo("0.02");
        // (25 × 0.02 + 5) / (25 + 50)
        assertThat(Spoilage.of(Spoilage.USUAL, 50, 5).share()).isEqualByComparingTo("0.0733");
        assertThat(Spoilage.of(Spoilage.USUAL, 5000, 500).share().doubleValue()).isCloseTo(0.1, within(0.001));
        assertThat(Spoilage.of(Spoilage.USUAL, 40, 0).share()).isEqualByComparingTo("0.0077");
        assertThatThrownBy(() -> Spoilage.of(Spoilage.USUAL, 3, 4)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Spoilage.of(Spoilage.USUAL, 3, -1)).isInstanceOf(IllegalArgumentException.class);
    }

    /** One of ten is spoiled: of 10 all come out with 0.9^10 = 34.86 %, of 11 at least ten with 69.73 %, of 12 with 88.91 %, of 13 with 96.58 %. */
    @Test
    void theChancesAreThoseOfTheBinomial() {
        StartEnough start = StartEnough.of(10, share("0.1"), NINE_OF_TEN);
        assertThat(start.start().value()).isEqualTo(13);
        assertThat(start.chances())
                .containsExactly(
                        new StartEnough.Chance(10, new BigDecimal("0.3486")),
                        new StartEnough.Chance(11, new BigDecimal("0.6973")),
                        new StartEnough.Chance(12, new BigDecimal("0.8891")),
                        new StartEnough.Chance(13, new BigDecimal("0.9658")));
        assertThat(StartEnough.chance(10, 12, share("0.1"))).isEqualByComparingTo("0.8891");
        assertThat(StartEnough.chance(10, 9, share("0.1"))).isZero();
    }

    /** Half are spoiled, one is wanted: of two one comes out in exactly three of four. */
    @Test
    void aLikelihoodThatIsJustReachedIsReached() {
        assertThat(StartEnough.of(1, share("0.5"), new BigDecimal("0.75"))
                        .start()
                        .value())
                .isEqualTo(2);
        assertThat(StartEnough.of(1, share("0.5"), new BigDecimal("0.7501"))
                        .start()
                        .value())
                .isEqualTo(3);
    }

    @Test
    void nothingMoreIsStartedWhereNothingIsSpoiled() {
        assertThat(StartEnough.of(40, share("0"), new BigDecimal("0.99"))
                        .start()
                        .value())
                .isEqualTo(40);
    }

    /** Against the sum of the binomial's terms, one after another. */
    @Test
    void anotherWayOfAddingUpComesToTheSame() {
        for (String p : new String[] {"0.0123", "0.07", "0.2", "0.45"}) {
            for (int wanted : new int[] {1, 2, 7, 30}) {
                for (int started = wanted; started < wanted + 12; started++) {
                    int all = started;
                    double sum = IntStream.rangeClosed(0, started - wanted)
                            .mapToDouble(spoiled -> choose(all, spoiled)
                                    * Math.pow(Double.parseDouble(p), spoiled)
                                    * Math.pow(1 - Double.parseDouble(p), all - spoiled))
                            .sum();
                    assertThat(StartEnough.chance(wanted, started, share(p)))
                            .as("%s of %s at %s", wanted, started, p)
                            .isCloseTo(
                                    new BigDecimal(sum).setScale(6, RoundingMode.HALF_UP),
                                    within(new BigDecimal("0.000102")));
                }
            }
        }
    }

    private static double choose(int n, int k) {
        double ways = 1;
        for (int i = 0; i < k; i++) {
            ways = ways * (n - i) / (i + 1);
        }
        return ways;
    }

    @Test
    void aSeasonsWorthIsWorkedOutAtOnce() {
        long from = System.nanoTime();
        StartEnough start = StartEnough.of(5000, share("0.0313"), new BigDecimal("0.95"));
        assertThat(start.start().value()).isBetween(5160, 5190);
        assertThat(Duration.ofNanos(System.nanoTime() - from)).isLessThan(Duration.ofSeconds(5));
    }

    /** A fifth is spoiled: of a thousand wanted more than 1250 are begun, and it is really reached. */
    @Test
    void manyMoreAreBegunWhereManyAreSpoiled() {
        StartEnough start = StartEnough.of(1000, share("0.2"), NINE_OF_TEN);
        assertThat(start.isReached()).isTrue();
        assertThat(start.start().value()).isBetween(1260, 1290);
        assertThat(StartEnough.chance(1000, start.start().value(), share("0.2")))
                .isGreaterThanOrEqualTo(NINE_OF_TEN);
        assertThat(StartEnough.chance(1000, start.start().value() - 1, share("0.2")))
                .isLessThan(NINE_OF_TEN);
        assertThat(start.chances()).hasSize(StartEnough.CHANCES + 1);
        assertThat(StartEnough.of(5000, share("0.9"), NINE_OF_TEN).isReached()).isFalse();
    }

    @Test
    void whatCanNotBeWantedIsRefused() {
        assertThatThrownBy(() -> StartEnough.of(0, share("0.1"), NINE_OF_TEN))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> StartEnough.of(1, share("0.1"), BigDecimal.ONE))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
