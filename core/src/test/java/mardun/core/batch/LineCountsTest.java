package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;

class LineCountsTest {

    @Test
    void whatIsPartedIsTheSameAgainTogether() {
        Random random = new Random(3);
        for (int round = 0; round < 500; round++) {
            int wanted = 2 + random.nextInt(50);
            LineCounts whole = new LineCounts(wanted, wanted + random.nextInt(4));
            LineCounts.Parts parts = whole.part(1 + random.nextInt(wanted - 1));
            assertThat(parts.stays().with(parts.goes())).isEqualTo(whole);
            assertThat(parts.goes().with(parts.stays())).isEqualTo(whole);
        }
    }

    @Test
    void oneThatIsWantedStays() {
        LineCounts four = new LineCounts(4, 5);
        assertThat(four.canPart(3)).isTrue();
        assertThat(four.canPart(4)).isFalse();
        assertThat(four.canPart(0)).isFalse();
        assertThatThrownBy(() -> four.part(4)).isInstanceOf(IllegalArgumentException.class);
    }
}
