package mardun.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import mardun.core.estimate.MeasuredEach.Counted;
import org.junit.jupiter.api.Test;

class MeasuredEachTest {

    private static Counted at(String step, long bags, long minutes) {
        return new Counted(step, bags, Duration.ofMinutes(minutes));
    }

    @Test
    void addsUpWhatEachStepTookForABag() {
        // Cut: 20 bags in 40 min; sewn: 5 of them in 50 min.
        assertThat(MeasuredEach.of(List.of(at("cut", 10, 25), at("sew", 5, 50), at("cut", 10, 15))))
                .contains(new MeasuredEach(Duration.ofMinutes(12), 2));
    }

    @Test
    void aCountThatWasTakenBackIsNone() {
        assertThat(MeasuredEach.of(List.of(at("cut", 10, 20), at("cut", -5, 0))))
                .contains(new MeasuredEach(Duration.ofMinutes(4), 1));
        assertThat(MeasuredEach.of(List.of(at("cut", 3, 20), at("cut", -3, 0), at("sew", 2, 0))))
                .isEmpty();
        assertThat(MeasuredEach.of(List.of())).isEmpty();
    }
}
