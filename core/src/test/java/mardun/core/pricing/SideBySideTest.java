package mardun.core.pricing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import mardun.core.pricing.SideBySide.Leaves;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class SideBySideTest {

    private static final Money LEAST = eur(1_500);

    private static Money eur(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    private static Leaves leaves(long ofOne, long anHour) {
        return new Leaves(Optional.of(eur(ofOne)), Optional.of(eur(anHour)));
    }

    @Test
    void oneBagMayLeaveTheMostForAnHourAndAnotherOfOne() {
        SideBySide both = SideBySide.of(List.of(leaves(500, 1_900), leaves(300, 2_400)), LEAST);
        assertThat(both.mostAnHour()).contains(1);
        assertThat(both.mostOfOne()).contains(0);
        assertThat(both.noneEnough()).isFalse();
    }

    @Test
    void whereTheBestEarnsTooLittleNoneEarnsEnough() {
        assertThat(SideBySide.of(List.of(leaves(-60, 1_200), leaves(-90, 900)), LEAST)
                        .noneEnough())
                .isTrue();
        assertThat(SideBySide.of(List.of(leaves(0, 1_500)), LEAST).noneEnough())
                .as("just the least is enough")
                .isFalse();
    }

    @Test
    void ofTwoAlikeItIsTheFirstAndWhatIsNotKnownDoesNotCompete() {
        Leaves unknown = new Leaves(Optional.of(eur(9_000)), Optional.empty());
        SideBySide some = SideBySide.of(List.of(unknown, leaves(500, 1_900), leaves(500, 1_900)), LEAST);
        assertThat(some.mostAnHour()).contains(1);
        assertThat(some.mostOfOne()).contains(1);
        SideBySide none = SideBySide.of(List.of(unknown), LEAST);
        assertThat(none.mostAnHour()).isEmpty();
        assertThat(none.noneEnough()).isFalse();
    }
}
