package mardun.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

class ApportionmentTest {

    @Test
    void threeThirdsOfACoinGoToOnePart() {
        BigFraction third = BigFraction.of(1, 3);
        assertThat(Apportionment.of(List.of(third, third, third), 1)).containsExactly(1L, 0L, 0L);
    }

    @Test
    void theLargestFractionIsRoundedUp() {
        assertThat(Apportionment.of(List.of(BigFraction.of(5, 4), BigFraction.of(7, 4)), 3))
                .containsExactly(1L, 2L);
    }

    @Test
    void partsOfAnySumAddUpAndStayWithinOne() {
        Random random = new Random(91);
        for (int i = 0; i < 2000; i++) {
            List<BigFraction> parts = IntStream.range(0, 1 + random.nextInt(8))
                    .mapToObj(n -> BigFraction.of(random.nextInt(100_000), 1 + random.nextInt(97)))
                    .toList();
            long total = Apportionment.rounded(parts.stream().reduce(BigFraction.ZERO, BigFraction::add));
            List<Long> whole = Apportionment.of(parts, total);
            assertThat(whole.stream().mapToLong(Long::longValue).sum()).isEqualTo(total);
            for (int n = 0; n < parts.size(); n++) {
                assertThat(Math.abs(parts.get(n)
                                .subtract(BigFraction.of(whole.get(n)))
                                .doubleValue()))
                        .isLessThan(1);
            }
        }
    }

    /** Told by other means: as decimals of two hundred digits. */
    @Test
    void aHalfIsRoundedAwayFromZero() {
        Random random = new Random(17);
        for (int i = 0; i < 5000; i++) {
            long minor = random.nextLong(-5_000_000_000_000L, 5_000_000_000_000L);
            long part = random.nextInt(1 << (1 + random.nextInt(30)));
            long whole = (random.nextBoolean() ? 1 : -1) * (1L + random.nextInt(1 << (1 + random.nextInt(30))));
            if (Math.abs((double) minor * part / whole) > 9e18) {
                continue;
            }
            long expected = new BigDecimal(minor)
                    .multiply(new BigDecimal(part))
                    .divide(new BigDecimal(whole), 200, RoundingMode.HALF_EVEN)
                    .setScale(0, RoundingMode.HALF_UP)
                    .longValueExact();
            assertThat(Apportionment.share(minor, part, whole)).isEqualTo(expected);
            assertThat(Apportionment.rounded(BigFraction.of(minor, whole), part))
                    .isEqualTo(expected);
        }
        assertThat(Apportionment.share(5, 1, 2)).isEqualTo(3);
        assertThat(Apportionment.share(-5, 1, 2)).isEqualTo(-3);
        assertThat(Apportionment.rounded(BigFraction.of(1, 2))).isEqualTo(1);
    }

    @Test
    void aTotalThatIsNotTheSumIsRefused() {
        assertThatThrownBy(() -> Apportionment.of(List.of(BigFraction.ONE), 5))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
