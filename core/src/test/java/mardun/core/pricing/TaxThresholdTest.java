package mardun.core.pricing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import mardun.core.pricing.TaxThreshold.Standing;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TaxThresholdTest {

    private static Money eur(String amount) {
        return Money.of(CurrencyUnit.EUR, new BigDecimal(amount));
    }

    @ParameterizedTest
    @CsvSource({
        "0.00, BELOW",
        "17599.99, BELOW",
        "17600.00, NEAR",
        "21999.99, NEAR",
        "22000.00, REACHED",
        "30000.00, REACHED"
    })
    void isNearFromFourFifthsOn(String sold, Standing standing) {
        assertThat(new TaxThreshold(eur("22000")).of(eur(sold))).isEqualTo(standing);
    }

    @Test
    void isMoreThanNothing() {
        assertThatThrownBy(() -> new TaxThreshold(eur("0"))).isInstanceOf(IllegalArgumentException.class);
    }
}
