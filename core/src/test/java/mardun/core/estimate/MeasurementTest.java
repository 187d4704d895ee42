package mardun.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What touches at the bench say of a step's time. */
class MeasurementTest {

    private static final Duration GUESS = Duration.ofSeconds(100);

    private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

    private static Touch touch(int bags, int seconds) {
        return at(NOON, bags, seconds);
    }

    private static Touch at(Instant moment, int bags, int seconds) {
        return new Touch("t" + bags + "/" + seconds, "batch", bags, Duration.ofSeconds(seconds), moment);
    }

    private static List<String> read(Touch... touches) {
        return Measurement.of(List.of(touches), GUESS).stream()
                .map(one -> one.first() + "+" + one.bags() + " in " + one.time().toSeconds())
                .toList();
    }

    @Test
    void eachCountIsAMeasurementFromTheOneBefore() {
        assertThat(read(touch(1, 120), touch(1, 90), touch(2, 180)))
                .containsExactly("1+1 in 120", "2+1 in 90", "3+2 in 180");
    }

    @Test
    void timeBeforeAPauseBelongsToTheNextBag() {
        assertThat(read(touch(1, 120), touch(0, 40), touch(1, 50), touch(0, 30)))
                .containsExactly("1+1 in 120", "2+1 in 90");
    }

    /** A chain is sewn and cut apart, and counted bag by bag within some seconds. */
    @Test
    void aPileThatIsCountedAfterwardsIsOneMeasurement() {
        assertThat(read(touch(1, 480), touch(1, 1), touch(1, 1), touch(1, 1), touch(1, 95)))
                .containsExactly("1+4 in 483", "5+1 in 95");
    }

    @Test
    void whatIsCountedWithoutAClockIsNoMeasurement() {
        assertThat(read(touch(1, 100), at(NOON.plusSeconds(7200), 5, 0), touch(1, 90)))
                .containsExactly("1+1 in 100", "7+1 in 90");
        assertThat(read(touch(3, 0))).isEmpty();
    }

    @Test
    void aCountThatIsTakenBackIsNotFinishedYet() {
        assertThat(read(touch(1, 100), touch(1, 90), touch(-1, 5), touch(1, 20), touch(1, 80)))
                .containsExactly("1+1 in 100", "2+1 in 115", "3+1 in 80");
        assertThat(read(touch(1, 480), touch(1, 1), touch(-1, 2))).containsExactly("1+1 in 481");
        assertThat(read(touch(-1, 5), touch(1, 100))).containsExactly("1+1 in 105");
    }

    @Test
    void batchesAreCountedEachForItself() {
        List<Measurement> all = Measurement.of(
                List.of(
                        new Touch("a", "one", 1, Duration.ofSeconds(90), NOON),
                        new Touch("b", "two", 1, Duration.ofSeconds(95), NOON),
                        new Touch("c", "one", 1, Duration.ofSeconds(85), NOON)),
                GUESS);
        assertThat(all).extracting(one -> one.batch() + one.first()).containsExactly("one1", "one2", "two1");
    }

    /** Whatever is touched, no bag and no second is there twice. */
    @Test
    void noBagAndNoSecondIsThereTwice() {
        Random random = new Random(3);
        for (int round = 0; round < 500; round++) {
            List<Touch> touches = new ArrayList<>();
            int bags = 0;
            long seconds = 0;
            for (int i = 0; i < random.nextInt(30); i++) {
                int its = random.nextInt(6) - 2;
                touches.add(touch(its, random.nextInt(150)));
                bags = Math.max(0, bags + its);
                seconds += touches.get(i).hands().toSeconds();
            }
            List<Measurement> all = Measurement.of(touches, GUESS);
            assertThat(all.stream().mapToInt(Measurement::bags).sum()).isLessThanOrEqualTo(bags);
            assertThat(all.stream().mapToLong(one -> one.time().toSeconds()).sum())
                    .isLessThanOrEqualTo(seconds);
            int next = 1;
            for (Measurement one : all) {
                assertThat(one.first()).isGreaterThanOrEqualTo(next);
                assertThat(one.bags()).isPositive();
                next = one.first() + one.bags();
            }
        }
    }

    @Test
    void aTimeIsNeverNegative() {
        assertThatThrownBy(() -> touch(1, -1)).isInstanceOf(IllegalArgumentException.class);
    }
}
