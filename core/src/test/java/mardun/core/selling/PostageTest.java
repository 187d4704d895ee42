package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import mardun.core.selling.Parcel.Bags;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class PostageTest {

    private static final long CM = 10_000_000;

    private static Length cm(long centimetres) {
        return new Length(centimetres * CM);
    }

    private static Bulk grams(long grams) {
        return new Bulk(Bulk.Kind.WEIGHT, grams * 1_000_000_000L);
    }

    private static PostageRate rate(String name, long most, Optional<Length> thick, long minor) {
        return new PostageRate(
                "home",
                name,
                grams(most),
                Optional.of(cm(35)),
                Optional.of(cm(25)),
                thick,
                Money.ofMinor(CurrencyUnit.EUR, minor));
    }

    @Test
    void bagsLieFlatOnOneAnotherInTheirPacking() {
        Parcel parcel = Parcel.of(
                List.of(
                        new Bags(2, grams(90), cm(18), cm(6), cm(16), cm(2)),
                        new Bags(1, grams(40), cm(25), Length.ZERO, cm(12), cm(1))),
                grams(30));

        assertThat(parcel.weight()).isEqualTo(grams(250));
        assertThat(parcel.longest()).as("a flat pouch").isEqualTo(cm(25));
        assertThat(parcel.middle()).as("16 and half of 6").isEqualTo(cm(19));
        assertThat(parcel.shortest()).isEqualTo(cm(5));
    }

    @Test
    void theCheapestThatTakesItIsTaken() {
        List<PostageRate> rates = List.of(
                rate("parcel", 2_000, Optional.empty(), 549),
                rate("large letter", 500, Optional.of(cm(3)), 160),
                rate("packet", 1_000, Optional.of(cm(8)), 275));
        Bags pouch = new Bags(1, grams(90), cm(18), cm(6), cm(16), cm(2));
        Parcel one = Parcel.of(List.of(pouch), grams(30));
        Parcel three = Parcel.of(List.of(new Bags(3, grams(90), cm(18), cm(6), cm(16), cm(2))), grams(30));

        assertThat(PostageRate.cheapest(rates, "home", one))
                .map(PostageRate::name)
                .contains("large letter");
        assertThat(PostageRate.cheapest(rates, "home", three))
                .map(PostageRate::name)
                .contains("packet");
        assertThat(rates.get(1).misfit(three)).contains(PostageRate.Misfit.TOO_LARGE);
        assertThat(rates.get(1).misfit(Parcel.of(List.of(pouch), grams(500)))).contains(PostageRate.Misfit.TOO_HEAVY);
        assertThat(PostageRate.cheapest(rates, "abroad", one)).isEmpty();
    }

    @Test
    void moreBagsAreNeverPostedForLess() {
        Random random = new Random(3);
        for (int i = 0; i < 2_000; i++) {
            List<PostageRate> rates = new ArrayList<>();
            for (int j = 0; j < 6; j++) {
                rates.add(rate(
                        "rate " + j,
                        100 + random.nextInt(3_000),
                        random.nextBoolean() ? Optional.of(cm(1 + random.nextInt(20))) : Optional.empty(),
                        100 + random.nextInt(2_000)));
            }
            Bags bags = new Bags(
                    1 + random.nextInt(5),
                    grams(20 + random.nextInt(300)),
                    cm(5 + random.nextInt(25)),
                    cm(random.nextInt(8)),
                    cm(5 + random.nextInt(20)),
                    cm(1 + random.nextInt(3)));
            Bags more = new Bags(bags.units() + 1, bags.weight(), bags.wide(), bags.deep(), bags.high(), bags.thick());
            Optional<Money> few = PostageRate.cheapest(rates, "home", Parcel.of(List.of(bags), grams(20)))
                    .map(PostageRate::price);
            PostageRate.cheapest(rates, "home", Parcel.of(List.of(more), grams(20)))
                    .ifPresent(rate -> assertThat(few)
                            .hasValueSatisfying(price -> assertThat(price).isLessThanOrEqualTo(rate.price())));
        }
    }
}
