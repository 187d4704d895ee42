package mardun.core.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class AveragePriceTest {

    private static SoldBags sold(int bags, long paid) {
        return new SoldBags(bags, paid, 0, 0, 0, Optional.empty());
    }

    @Test
    void isWeighedByHowManyWereSold() {
        assertThat(AveragePrice.of(List.of(sold(1, 1000), sold(3, 6000))).each())
                .isEqualTo(1750);
    }

    @Test
    void isRoundedHalfUpToTheCoin() {
        assertThat(AveragePrice.of(List.of(sold(2, 1001))).each()).isEqualTo(501);
        assertThat(AveragePrice.of(List.of(sold(3, 1000))).each()).isEqualTo(333);
    }

    @Test
    void saysByHowMuchItMoved() {
        AveragePrice before = AveragePrice.of(List.of(sold(2, 3000)));
        AveragePrice now = AveragePrice.of(List.of(sold(4, 5600)));
        assertThat(now.beyond(before)).isEqualTo(-100);
        assertThat(before.beyond(now)).isEqualTo(100);
    }
}
