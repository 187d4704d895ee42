package mardun.core.year;

import java.math.BigInteger;
import java.time.Duration;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/** Something in the figures that deserves to be said. There is never more than one at a time: the one at which most money is at stake. */
public sealed interface Remark {

    /** So many bags must have been sold lately before their earning is spoken of. */
    int ENOUGH_SOLD = 12;

    /** Of so many bags that were sold last the earning is looked at. */
    int LAST_SOLD = 24;

    /** So many bags of a kind have to lie before that is spoken of. */
    int ENOUGH_LYING = 4;

    /** Of so many batches that were finished last the time is looked at, and there must be as many. */
    int LAST_BATCHES = 3;

    /** Tells it from others, and stays the same while its subject does. */
    String key();

    /** The money at stake, in exact minor units; nothing or less where it isn't worth saying. */
    BigFraction atStake();

    /**
     * An hour of making some bags earned less than the maker wants for one.
     *
     * @param bags what they are called: a size of a design
     * @param sold of the last so many bags
     * @param time of making them
     */
    record EarnsLittle(String bags, Money perHour, Money wanted, int sold, Duration time) implements Remark {

        /** A smaller share of what is wanted isn't worth a word. */
        private static final BigFraction LITTLE = BigFraction.of(1, 20);

        @Override
        public String key() {
            return "earns/" + bags;
        }

        @Override
        public BigFraction atStake() {
            BigFraction lacks = Exact.minor(wanted.minus(perHour));
            boolean isLittle = lacks.compareTo(Exact.minor(wanted).multiply(LITTLE)) >= 0;
            return sold < ENOUGH_SOLD || !isLittle ? BigFraction.ZERO : lacks.multiply(hours(time));
        }
    }

    /**
     * Bags of a kind lie and don't go.
     *
     * @param worth what they cost
     */
    record Lies(String kind, String words, ShelfWeeks weeks, Money worth) implements Remark {

        @Override
        public String key() {
            return "lies/" + kind;
        }

        @Override
        public BigFraction atStake() {
            return weeks.isDying() && weeks.there() >= ENOUGH_LYING ? Exact.minor(worth) : BigFraction.ZERO;
        }
    }

    /**
     * Batches of a design take longer than planned.
     *
     * @param anHour what an hour is worth to the maker
     */
    record TakesLonger(String design, String name, TimesKept times, Money anHour) implements Remark {

        private static final int MUCH = 20;

        @Override
        public String key() {
            return "longer/" + design;
        }

        @Override
        public BigFraction atStake() {
            boolean isMuch = times.batches() >= LAST_BATCHES && times.beyond().orElse(0) >= MUCH;
            return isMuch ? Exact.minor(anHour).multiply(hours(times.took().minus(times.planned()))) : BigFraction.ZERO;
        }
    }

    /** The one at which most is at stake of those that weren't put away; of equals the first by key. */
    static Optional<Remark> most(Collection<Remark> all, Set<String> putAway) {
        return all.stream()
                .filter(one -> one.atStake().signum() > 0 && !putAway.contains(one.key()))
                .max(Comparator.comparing(Remark::atStake).thenComparing(Remark::key, Comparator.reverseOrder()));
    }

    private static BigFraction hours(Duration time) {
        return BigFraction.of(
                BigInteger.valueOf(time.toNanos()),
                BigInteger.valueOf(Duration.ofHours(1).toNanos()));
    }
}
