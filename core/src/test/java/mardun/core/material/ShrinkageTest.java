package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Random;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.junit.jupiter.api.Test;

class ShrinkageTest {

    private static final Shrinkage BEFORE = new Shrinkage(new BigDecimal("0.05"), false);
    private static final Shrinkage AFTER = new Shrinkage(new BigDecimal("0.05"), true);
    private static final long INCH = 25_400_000;
    private static final long MILLIMETRE = 1_000_000;

    private static Extent square(long nanometres) {
        return new Extent(new Length(nanometres), new Length(nanometres));
    }

    @Test
    void washedFirstItIsNarrowerAndMoreOfItIsTaken() {
        assertThat(BEFORE.whenCut(new Length(100))).isEqualTo(new Length(95));
        assertThat(BEFORE.whenCut(new Length(101))).isEqualTo(new Length(95));
        assertThat(BEFORE.toTake(new Length(95))).isEqualTo(new Length(100));
        assertThat(BEFORE.toTake(new Length(96))).isEqualTo(new Length(102));
        assertThat(BEFORE.toCut(square(INCH))).isEqualTo(square(INCH));
    }

    /** By hand: 9.5 in are 10 in before; 10.5 in are 11.0526 in, so 11 1/8 in; 100 mm are 105.26 mm, so 106 mm. */
    @Test
    void washedAfterwardsItsPiecesAreCutLarger() {
        assertThat(AFTER.toCut(square(95 * INCH / 10))).isEqualTo(square(10 * INCH));
        assertThat(AFTER.toCut(square(105 * INCH / 10))).isEqualTo(square(11 * INCH + INCH / 8));
        assertThat(AFTER.toCut(square(100 * MILLIMETRE))).isEqualTo(square(106 * MILLIMETRE));
        assertThat(AFTER.whenCut(new Length(INCH))).isEqualTo(new Length(INCH));
        assertThat(AFTER.toTake(new Length(INCH))).isEqualTo(new Length(INCH));
    }

    @Test
    void whatIsLeftIsNeverTooSmallAndLessThanAMarkTooLarge() {
        Random random = new Random(4);
        for (int i = 0; i < 500; i++) {
            BigDecimal share = new BigDecimal(random.nextInt(500)).movePointLeft(3);
            long finished = 1 + random.nextInt(2_000_000_000);
            long cut =
                    new Shrinkage(share, true).toCut(square(finished)).width().nanometres();
            BigDecimal left = BigDecimal.ONE.subtract(share).multiply(BigDecimal.valueOf(cut));
            assertThat(left).isGreaterThanOrEqualTo(BigDecimal.valueOf(finished));
            assertThat(left).isLessThan(BigDecimal.valueOf(finished + INCH / 8 + 1));
        }
    }

    @Test
    void clothThatKeepsItsSizeIsCutAsItIs() {
        Shrinkage none = new Shrinkage(BigDecimal.ZERO, true);
        assertThat(none.toCut(square(12_345))).isEqualTo(square(12_345));
        assertThat(none.isAfter()).isFalse();
        assertThat(Shrinkage.NONE.isBefore()).isFalse();
        assertThatThrownBy(() -> new Shrinkage(BigDecimal.ONE, false)).hasMessageContaining("less than all");
        assertThatThrownBy(() -> new Shrinkage(new BigDecimal("-0.1"), false)).hasMessageContaining("less than all");
    }
}
