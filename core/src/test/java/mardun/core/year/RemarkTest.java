package mardun.core.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class RemarkTest {

    private final Remark little = earning("Tern tote, large", 9, 22);
    private final Remark lying = lying("8", 6, 0);
    private final Remark longer = longer("9", 150, 3);

    @Test
    void saysTheOneAtWhichMostIsAtStake() {
        // 22 bags of half an hour each: 11 hours that lack 6.00; six bags of 8.00; three batches that took 2 h 30 too
        // long.
        assertThat(Remark.most(List.of(longer, lying, little), Set.of())).contains(little);
        assertThat(Remark.most(List.of(longer, lying), Set.of())).contains(lying);
        assertThat(Remark.most(List.of(longer), Set.of())).contains(longer);
        assertThat(Remark.most(List.of(), Set.of())).isEmpty();
    }

    @Test
    void whatWasPutAwayIsNotSaid() {
        assertThat(Remark.most(List.of(little, lying), Set.of("earns/Tern tote, large")))
                .contains(lying);
    }

    @Test
    void aFewSalesSayNothing() {
        assertThat(Remark.most(List.of(earning("7", 9, 11)), Set.of())).isEmpty();
        assertThat(Remark.most(List.of(earning("7", 9, 12)), Set.of())).isPresent();
    }

    @Test
    void whatEarnsWhatIsWantedIsNotSpokenOf() {
        assertThat(Remark.most(List.of(earning("7", 15, 24), earning("8", 21, 24)), Set.of()))
                .isEmpty();
    }

    @Test
    void aSmallLackIsNotSpokenOf() {
        Remark nearly = new Remark.EarnsLittle(
                "Heron pouch", Money.of(CurrencyUnit.EUR, 14.26), eur(15), 24, Duration.ofHours(12));
        Remark less = new Remark.EarnsLittle(
                "Heron pouch", Money.of(CurrencyUnit.EUR, 14.25), eur(15), 24, Duration.ofHours(12));

        assertThat(Remark.most(List.of(nearly), Set.of())).isEmpty();
        assertThat(Remark.most(List.of(less), Set.of())).contains(less);
    }

    @Test
    void bagsThatGoAreNotSpokenOf() {
        assertThat(Remark.most(List.of(lying("8", 6, 20), lying("9", 3, 0)), Set.of()))
                .isEmpty();
    }

    @Test
    void batchesThatTookALittleLongerAreNotSpokenOf() {
        assertThat(Remark.most(List.of(longer("9", 19, 3), longer("9", 150, 2)), Set.of()))
                .isEmpty();
    }

    private static Remark earning(String bags, int anHour, int sold) {
        return new Remark.EarnsLittle(bags, eur(anHour), eur(15), sold, Duration.ofMinutes(30L * sold));
    }

    private static Remark lying(String kind, int there, int sold) {
        return new Remark.Lies(kind, "Tern tote, large", new ShelfWeeks(there, sold, 26), eur(8 * there));
    }

    /** Batches of 100 minutes together that took so many minutes longer. */
    private static Remark longer(String design, int beyond, int batches) {
        return new Remark.TakesLonger(
                design,
                "Tern tote",
                new TimesKept(batches, 0, Duration.ofMinutes(100), Duration.ofMinutes(100 + beyond)),
                eur(15));
    }

    private static Money eur(int whole) {
        return Money.of(CurrencyUnit.EUR, whole);
    }
}
