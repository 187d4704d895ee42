package mardun.core.pricing;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.time.Duration;
import java.util.Optional;
import mardun.core.costing.UnitCost;
import mardun.core.making.WorkTime;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * What one bag of a batch takes, as far as its price is concerned.
 *
 * @param material of one that is begun
 * @param labour for one that is begun
 * @param overhead for one that is begun
 * @param spoiled the share of what was spoiled
 * @param batchTime hands-on time of all that are begun
 * @param units how many are begun, one or more
 * @param good how many of them carry the cost
 * @param overheadShare which share of material and labour is in the overheads; the rest of them goes by the hour
 */
public record UnitTakes(
        Money material,
        Money labour,
        Money overhead,
        Money spoiled,
        Duration batchTime,
        int units,
        int good,
        BigDecimal overheadShare) {

    private static final BigInteger NANOS_PER_HOUR =
            BigInteger.valueOf(Duration.ofHours(1).toNanos());

    /** One whose overheads go by the hour alone. */
    public UnitTakes(
            Money material, Money labour, Money overhead, Money spoiled, Duration batchTime, int units, int good) {
        this(material, labour, overhead, spoiled, batchTime, units, good, BigDecimal.ZERO);
    }

    public static UnitTakes of(UnitCost cost, WorkTime time) {
        Money nothing = Money.zero(cost.full().value().getCurrencyUnit());
        return new UnitTakes(
                cost.material().value(),
                cost.labour().value(),
                cost.overhead().value(),
                cost.spoiled().map(figure -> figure.value()).orElse(nothing),
                time.asBatch().value(),
                time.units(),
                cost.good(),
                cost.overheadShare());
    }

    /** The same if its material cost so much more, or less where the share is below zero. */
    public UnitTakes dearer(BigDecimal share) {
        BigFraction factor = BigFraction.ONE.add(Exact.of(share));
        return with(times(material, factor), labour, BigFraction.ONE, batchTime);
    }

    /** The same if an hour were paid otherwise. */
    public UnitTakes paid(Money anHour) {
        BigFraction hoursEach = BigFraction.of(BigInteger.valueOf(batchTime.toNanos()), NANOS_PER_HOUR)
                .divide(units);
        return with(material, times(anHour, hoursEach), BigFraction.ONE, batchTime);
    }

    /** The same if each took so much less time, or more where it is below zero; no bag is made in less than no time. */
    public UnitTakes faster(Duration each) {
        Duration less = batchTime.minus(each.multipliedBy(units));
        Duration time = less.isNegative() ? Duration.ZERO : less;
        if (!takesTime()) {
            return this;
        }
        BigFraction part = BigFraction.of(BigInteger.valueOf(time.toNanos()), BigInteger.valueOf(batchTime.toNanos()));
        return with(material, times(labour, part), part, time);
    }

    /**
     * The same with a special wish: each takes so much more time and material.
     *
     * @param each hands-on time that the wish takes of each; labour and overheads go with it
     * @param more what its material costs for each
     */
    public UnitTakes wishing(Duration each, Money more) {
        UnitTakes slower = faster(each.negated());
        return slower.with(material.plus(more), slower.labour, BigFraction.ONE, slower.batchTime);
    }

    /**
     * The same if so many came out well in an hour: labour and overheads go with the time.
     *
     * @param anHour one or more; only where it takes time
     */
    public UnitTakes making(int anHour) {
        Duration time = Duration.ofHours(1).multipliedBy(good).dividedBy(anHour);
        BigFraction part = BigFraction.of(BigInteger.valueOf(time.toNanos()), BigInteger.valueOf(batchTime.toNanos()));
        return with(material, times(labour, part), part, time);
    }

    /**
     * How many have to come out well in an hour so that it earns so much, exact; empty where no number is enough. The overheads of an hour are
     * earned with it.
     *
     * @param left what is left of a price, in money
     */
    public Optional<BigFraction> manyFor(Money anHour, Money left) {
        BigFraction begun = BigFraction.of(units, good);
        BigFraction share = Exact.of(overheadShare);
        BigFraction takesItself = Exact.minor(material).multiply(share.add(1)).multiply(begun);
        BigFraction one = Exact.minor(left).subtract(takesItself);
        BigFraction overheadOfAnHour = overheadByTheHour()
                .add(share.multiply(Exact.minor(labour)))
                .multiply(begun)
                .divide(hours());
        return one.signum() <= 0
                ? Optional.empty()
                : Optional.of(Exact.minor(anHour).add(overheadOfAnHour).divide(one));
    }

    /** What of the overheads goes by the hour, exact. */
    private BigFraction overheadByTheHour() {
        return Exact.minor(overhead).subtract(Exact.of(overheadShare).multiply(Exact.minor(material.plus(labour))));
    }

    /**
     * The same with other material, labour and time.
     *
     * @param part of the overheads that go by the hour
     */
    private UnitTakes with(Money newMaterial, Money newLabour, BigFraction part, Duration newTime) {
        Money newOverhead = Money.ofMinor(
                material.getCurrencyUnit(),
                Apportionment.rounded(overheadByTheHour()
                        .multiply(part)
                        .add(Exact.of(overheadShare).multiply(Exact.minor(newMaterial.plus(newLabour))))));
        Money each = newMaterial.plus(newLabour).plus(newOverhead);
        return new UnitTakes(
                newMaterial,
                newLabour,
                newOverhead,
                times(each, BigFraction.of(units - good, good)),
                newTime,
                units,
                good,
                overheadShare);
    }

    private static Money times(Money money, BigFraction factor) {
        return Money.ofMinor(
                money.getCurrencyUnit(),
                Apportionment.rounded(Exact.minor(money).multiply(factor)));
    }

    /** What one that came out well costs. */
    public Money full() {
        return material.plus(labour).plus(overhead).plus(spoiled);
    }

    /** Hours for one that came out well. */
    private BigFraction hours() {
        return BigFraction.of(BigInteger.valueOf(batchTime.toNanos()), NANOS_PER_HOUR)
                .divide(good);
    }

    /** What the work in so many that came out well costs, rounded half up. */
    public Money labourOf(int bags) {
        return times(labour, BigFraction.of(units, good).multiply(bags));
    }

    /** What so many that came out well bear of overheads, rounded half up. */
    public Money overheadsOf(int bags) {
        return times(overhead, BigFraction.of(units, good).multiply(bags));
    }

    /** How long so many that came out well took. */
    public Duration timeOf(int bags) {
        return batchTime.multipliedBy(bags).dividedBy(good);
    }

    /** Whether any work is in it; else nothing is earned by the hour. */
    public boolean takesTime() {
        return !batchTime.isZero();
    }

    /** How many come out well in an hour, exact; only where it takes time. */
    public BigFraction perHourMade() {
        return hours().reciprocal();
    }

    /** What is paid out for one that came out well, without the work, in exact minor units. */
    BigFraction withoutLabour() {
        return Exact.minor(material).add(Exact.minor(overhead)).multiply(BigFraction.of(units, good));
    }

    /** What has to be left of a price so that an hour's work earns so much, in exact minor units. */
    public BigFraction neededFor(Money anHour) {
        return withoutLabour().add(Exact.minor(anHour).multiply(hours()));
    }

    /** What an hour's work earns where so much is left of a price, rounded half up; only where it takes time. */
    public Money perHour(Money left) {
        BigFraction earned = Exact.minor(left).subtract(withoutLabour()).divide(hours());
        return Money.ofMinor(left.getCurrencyUnit(), Apportionment.rounded(earned));
    }

    /**
     * What is wanted for one by a school that follows from cost, in exact minor units. Of the trade school that is the trade price.
     *
     * @throws IllegalArgumentException for prices that are looked up
     */
    public BigFraction wanted(PriceChoice choice) {
        BigFraction cost = Exact.minor(full());
        BigFraction materials = Exact.minor(material).multiply(Exact.of(choice.factor()));
        return switch (choice.school()) {
            case MATERIALS_AND_LABOUR -> materials.add(Exact.minor(labour)).add(Exact.minor(spoiled));
            case MARGIN -> cost.divide(BigFraction.ONE.subtract(Exact.of(choice.margin())));
            case MARKUP, TRADE -> cost.multiply(BigFraction.ONE.add(Exact.of(choice.markup())));
            case HOURLY ->
                materials
                        .multiply(BigFraction.of(units, good))
                        .add(choice.leastRate()
                                .map(Exact::minor)
                                .orElseGet(() -> labourRate())
                                .multiply(hours()));
            case MARKET -> throw new IllegalArgumentException("what people pay doesn't follow from cost");
        };
    }

    /** What an hour is paid that the labour was reckoned with. */
    private BigFraction labourRate() {
        return takesTime()
                ? Exact.minor(labour).multiply(BigFraction.of(units, good)).divide(hours())
                : BigFraction.ZERO;
    }
}
