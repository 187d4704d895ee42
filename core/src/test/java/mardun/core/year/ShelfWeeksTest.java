package mardun.core.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;

class ShelfWeeksTest {

    @Test
    void saysHowLongBagsLast() {
        assertThat(new ShelfWeeks(9, 12, 26).lasts()).contains(new BigDecimal("19.5"));
        assertThat(new ShelfWeeks(0, 12, 26).lasts()).contains(new BigDecimal("0.0"));
        assertThat(new ShelfWeeks(9, 0, 26).lasts()).isEmpty();
    }

    @Test
    void bagsDieOnTheShelfThatDoNotGoForAQuarter() {
        assertThat(new ShelfWeeks(3, 0, 13).isDying()).isTrue();
        assertThat(new ShelfWeeks(3, 0, 12).isDying()).isFalse();
        assertThat(new ShelfWeeks(0, 0, 26).isDying()).isFalse();
    }

    @Test
    void bagsDieThatLastLongerThanAYear() {
        assertThat(new ShelfWeeks(20, 10, 26).isDying()).isFalse();
        assertThat(new ShelfWeeks(21, 10, 26).isDying()).isTrue();
    }
}
