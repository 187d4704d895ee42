package mardun.core.costing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class YearlyOverheadsTest {

    private static Money eur(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    @Test
    void aYearIsSpreadOverItsHours() {
        assertThat(new YearlyOverheads(eur(48_000), Duration.ofHours(300)).perHour())
                .contains(eur(160));
        assertThat(new YearlyOverheads(eur(10_000), Duration.ofHours(300)).perHour())
                .as("33.33")
                .contains(eur(33));
        assertThat(new YearlyOverheads(eur(10_050), Duration.ofHours(100)).perHour())
                .as("100.5, half up")
                .contains(eur(101));
        assertThat(new YearlyOverheads(eur(48_000), Duration.ZERO).perHour()).isEmpty();
    }

    @Test
    void aShortLogStandsForAYearLikeItAndAVeryShortOneForNothing() {
        assertThat(YearlyOverheads.ofAYear(Duration.ofHours(40), 73)).contains(Duration.ofHours(200));
        assertThat(YearlyOverheads.ofAYear(Duration.ofHours(300), 365)).contains(Duration.ofHours(300));
        assertThat(YearlyOverheads.ofAYear(Duration.ofHours(9), 27)).isEmpty();
        assertThat(YearlyOverheads.ofAYear(Duration.ZERO, 200)).isEmpty();
    }
}
