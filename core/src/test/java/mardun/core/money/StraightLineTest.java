package mardun.core.money;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

/** The quick way and the exact one come to the same minor unit, whatever the line and however large the place. */
class StraightLineTest {

    @Test
    void isRoundedAsTheExactLineIs() {
        Random random = new Random(11);
        for (int i = 0; i < 20_000; i++) {
            BigFraction begin = fraction(random);
            BigFraction slope = fraction(random);
            long x = random.nextLong() >> 20 + random.nextInt(43);
            assertThat(new StraightLine(begin, slope).rounded(x))
                    .as("%s + %s × %s", begin, slope, x)
                    .isEqualTo(Apportionment.rounded(begin.add(slope.multiply(x))));
        }
    }

    @Test
    void aHalfGoesAwayFromNothing() {
        StraightLine half = new StraightLine(BigFraction.ZERO, BigFraction.of(1, 2));
        assertThat(half.rounded(3)).isEqualTo(2);
        assertThat(half.rounded(-3)).isEqualTo(-2);
    }

    private static BigFraction fraction(Random random) {
        return BigFraction.of(random.nextInt(2_000_000) - 1_000_000, 1 + random.nextInt(1 << 1 + random.nextInt(29)));
    }
}
