package mardun.core.pricing;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.LongUnaryOperator;
import java.util.stream.Stream;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import mardun.core.money.StraightLine;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * On what terms bags are sold through a channel: what of a price is left, and which price leaves what is wanted.
 *
 * <p>A buyer pays u · P + Q for u bags at the price P with the postage Q, and the tax on top where it isn't inside. Of that the tax, each
 * fee and what selling costs come off, spread over the u bags; what is left of one is N. Between the amounts at which a fee changes its way, N
 * is a straight line over P, so that the lowest price for a wanted N is found exactly.
 */
public final class Terms {

    private static final int MOST_ROUNDS = 200;

    private final List<Fee> fees;
    private final Tax tax;
    private final BigDecimal unitsPerSale;
    private final Money postagePaid;
    private final Money postage;

    private final BigFraction units;
    private final BigFraction onTop;
    private final List<Part> parts;
    private final List<Turn> turns;

    /**
     * Something that comes off, by the price in minor units.
     *
     * @param minor rounded, for one bag
     */
    private record Part(String name, LongUnaryOperator minor) {}

    /** What a buyer pays for a sale where a fee changes its way, and what is left of it there. */
    private record Turn(BigFraction paid, BigFraction left) {}

    /**
     * Terms.
     *
     * @param unitsPerSale how many bags a buyer takes at once, on average; more than 0
     * @param postagePaid what the buyer pays for postage, for each sale
     * @param postage what it really costs the maker, for each sale
     */
    public Terms(List<Fee> fees, Tax tax, BigDecimal unitsPerSale, Money postagePaid, Money postage) {
        if (unitsPerSale.signum() <= 0) {
            throw new IllegalArgumentException("a sale is of something: " + unitsPerSale);
        }
        this.fees = List.copyOf(fees);
        this.tax = tax;
        this.unitsPerSale = unitsPerSale;
        this.postagePaid = postagePaid;
        this.postage = postage;
        this.units = Exact.of(unitsPerSale);
        this.onTop = tax.mode() == Tax.Mode.ADDED ? BigFraction.ONE.add(Exact.of(tax.rate())) : BigFraction.ONE;
        this.parts = parts();
        this.turns = turns();
    }

    public List<Fee> fees() {
        return fees;
    }

    public Tax tax() {
        return tax;
    }

    /** How many bags a buyer takes at once, on average. */
    public BigDecimal unitsPerSale() {
        return unitsPerSale;
    }

    /** What the buyer pays for postage, for each sale. */
    public Money postagePaid() {
        return postagePaid;
    }

    /** What postage costs the maker, for each sale. */
    public Money postage() {
        return postage;
    }

    private List<Part> parts() {
        List<Part> all = new ArrayList<>();
        if (tax.mode() == Tax.Mode.INCLUDED) {
            BigFraction rate = Exact.of(tax.rate());
            all.add(ofPaid("tax", rate.divide(BigFraction.ONE.add(rate))));
        }
        fees.forEach(fee -> all.add(part(fee)));
        all.add(fixed("postage", Exact.minor(postage)));
        all.add(fixed("postage that the buyer pays", Exact.minor(postagePaid).negate()));
        return all;
    }

    private Part part(Fee fee) {
        if (fee.basis() != Fee.Basis.SHARE) {
            return fixed(fee.name(), fee.of(BigFraction.ZERO, units));
        }
        return fee.isStraight()
                ? ofPaid(fee.name(), fee.shareOfMore())
                : new Part(
                        fee.name(),
                        price -> Apportionment.rounded(
                                fee.of(paid(BigFraction.of(price)), units).divide(units)));
    }

    /** An amount for each sale. */
    private Part fixed(String name, BigFraction ofSale) {
        long minor = Apportionment.rounded(ofSale.divide(units));
        return new Part(name, price -> minor);
    }

    /** A share of what the buyer pays. */
    private Part ofPaid(String name, BigFraction share) {
        StraightLine line =
                new StraightLine(share.multiply(paid(BigFraction.ZERO)).divide(units), share.multiply(onTop));
        return new Part(name, line::rounded);
    }

    private List<Turn> turns() {
        BigFraction free = paid(BigFraction.ZERO);
        return Stream.concat(Stream.of(free), fees.stream().flatMap(fee -> fee.turns().stream()))
                .filter(paid -> paid.compareTo(free) >= 0)
                .distinct()
                .sorted()
                .map(paid -> new Turn(paid, leftOfSale(paid)))
                .toList();
    }

    /** A share of every price, and an amount for each bag. */
    public static Terms simple(BigDecimal share, Money eachUnit) {
        Money zero = Money.zero(eachUnit.getCurrencyUnit());
        List<Fee> fees = new ArrayList<>();
        fees.add(Fee.share("share of the price", share, zero));
        fees.add(Fee.fixed("fee for a unit", Fee.Basis.UNIT, eachUnit));
        return new Terms(fees, Tax.NONE, BigDecimal.ONE, zero, zero);
    }

    /** Everything is left. */
    public static Terms free(CurrencyUnit currency) {
        Money zero = Money.zero(currency);
        return new Terms(List.of(), Tax.NONE, BigDecimal.ONE, zero, zero);
    }

    /** Something that comes off for one bag, or to it where it is below zero: what the buyer pays for postage. */
    public record Line(String name, Money amount) {}

    private CurrencyUnit currency() {
        return postage.getCurrencyUnit();
    }

    /** What a buyer pays for a sale at an exact price, in minor units. */
    private BigFraction paid(BigFraction price) {
        return price.multiply(units).add(Exact.minor(postagePaid)).multiply(onTop);
    }

    private BigFraction taxOf(BigFraction paid) {
        BigFraction rate = Exact.of(tax.rate());
        return tax.mode() == Tax.Mode.NONE
                ? BigFraction.ZERO
                : paid.multiply(rate).divide(BigFraction.ONE.add(rate));
    }

    /** What is left of a sale before it is rounded, by what the buyer pays. */
    private BigFraction leftOfSale(BigFraction paid) {
        BigFraction left = paid.subtract(taxOf(paid)).subtract(Exact.minor(postage));
        for (Fee fee : fees) {
            left = left.subtract(fee.of(paid, units));
        }
        return left;
    }

    /**
     * What comes off a price for one bag, each line rounded half up; lines of nothing are left out. Tax on top isn't part of the price, so it
     * doesn't come off it.
     */
    public List<Line> takes(Money price) {
        List<Line> lines = new ArrayList<>();
        for (Part part : parts) {
            long minor = part.minor().applyAsLong(price.getAmountMinorLong());
            if (minor != 0) {
                lines.add(new Line(part.name(), Money.ofMinor(currency(), minor)));
            }
        }
        return lines;
    }

    /** What all of that comes to. */
    public Money taken(Money price) {
        long minor = 0;
        for (Part part : parts) {
            minor = Math.addExact(minor, part.minor().applyAsLong(price.getAmountMinorLong()));
        }
        return Money.ofMinor(currency(), minor);
    }

    /** What is left of a price for one bag: N, before the bag's own cost. */
    public Money left(Money price) {
        return price.minus(taken(price));
    }

    /** The same terms for a sale of just so many bags. */
    public Terms ofUnits(int sold) {
        return new Terms(fees, tax, BigDecimal.valueOf(sold), postagePaid, postage);
    }

    /** The same terms for a sale that is paid by card, or that isn't. */
    public Terms paidByCard(boolean byCard) {
        return byCard
                ? this
                : new Terms(
                        fees.stream().filter(fee -> !fee.cardOnly()).toList(), tax, unitsPerSale, postagePaid, postage);
    }

    /**
     * What came off a sale that was made.
     *
     * @param tax inside what was paid
     * @param fees all that selling took beside that, postage among it
     */
    public record Took(Money tax, Money fees) {}

    /**
     * What comes off a whole sale of {@link #unitsPerSale()} bags, each rounded once, half up.
     *
     * @param paid what the buyer paid in all
     */
    public Took took(Money paid) {
        BigFraction exact = Exact.minor(paid);
        long tax = Apportionment.rounded(taxOf(exact));
        long all = paid.getAmountMinorLong() - Apportionment.rounded(leftOfSale(exact));
        return new Took(Money.ofMinor(currency(), tax), Money.ofMinor(currency(), all - tax));
    }

    /**
     * What a channel may take of a sale: every fee that is certain, and any of those that are taken only sometimes.
     *
     * @param with which of those are in it; empty for none
     */
    public record PossibleFees(Money together, List<String> with) {}

    /**
     * What a channel may take of a whole sale of {@link #unitsPerSale()} bags, each fee rounded for itself, half up, as those do who take it;
     * what it takes at the least first. Postage and tax aren't among it.
     *
     * @param paid what the buyer paid in all
     */
    public List<PossibleFees> possibleFees(Money paid) {
        List<PossibleFees> possible = new ArrayList<>();
        possible.add(new PossibleFees(Money.zero(currency()), List.of()));
        for (Fee fee : fees) {
            Money its = Money.ofMinor(
                    currency(), Apportionment.rounded(fee.whenTaken().of(Exact.minor(paid), units)));
            boolean isCertain = fee.likelihood().compareTo(BigDecimal.ONE) == 0;
            List<PossibleFees> with = possible.stream()
                    .map(one -> new PossibleFees(
                            one.together().plus(its),
                            isCertain
                                    ? one.with()
                                    : Stream.concat(one.with().stream(), Stream.of(fee.name()))
                                            .toList()))
                    .toList();
            if (isCertain) {
                possible.clear();
            }
            possible.addAll(with);
        }
        possible.sort(Comparator.comparing(PossibleFees::together));
        return List.copyOf(possible);
    }

    /**
     * What a channel may give back of what it took of a whole sale of {@link #unitsPerSale()} bags when some of it is paid back to the buyer.
     * Channels differ in it: one gives nothing back, one its share of what was paid back, one what it would have taken less of a sale that
     * was smaller from the start, and of a sale that is paid back whole perhaps all.
     *
     * @param paid what the buyer paid in all
     * @param paidBack more than nothing, and at most what was paid
     * @param unitsBack how many bags came back
     * @return each once, the least first
     */
    public List<Money> possibleFeesBack(Money paid, Money paidBack, int unitsBack) {
        if (!paidBack.isPositive() || paidBack.isGreaterThan(paid)) {
            throw new IllegalArgumentException("of " + paid + " can't be paid back " + paidBack);
        }
        SortedSet<Money> possible = new TreeSet<>();
        possible.add(Money.zero(currency()));
        Terms shares = new Terms(
                fees.stream().filter(fee -> fee.basis() == Fee.Basis.SHARE).toList(),
                tax,
                unitsPerSale,
                postagePaid,
                postage);
        shares.possibleFees(paidBack).forEach(its -> possible.add(its.together()));
        addLess(possible, paid, possibleFees(paid.minus(paidBack)));
        int unitsKept = unitsPerSale.intValue() - unitsBack;
        if (unitsKept > 0) {
            addLess(possible, paid, ofUnits(unitsKept).possibleFees(paid.minus(paidBack)));
        }
        if (paidBack.isEqual(paid)) {
            possibleFees(paid).forEach(all -> possible.add(all.together()));
        }
        return List.copyOf(possible);
    }

    private void addLess(SortedSet<Money> possible, Money paid, List<PossibleFees> ofRest) {
        possibleFees(paid)
                .forEach(before -> ofRest.stream()
                        .filter(after -> after.with().equals(before.with()))
                        .map(after -> before.together().minus(after.together()))
                        .filter(Money::isPositive)
                        .forEach(possible::add));
    }

    /** The same terms where the buyer pays nothing for postage, and the maker all of it. */
    public Terms postedFree() {
        return new Terms(fees, tax, unitsPerSale, Money.zero(currency()), postage);
    }

    /**
     * What is left of a whole sale, rounded once, half up.
     *
     * @param together the price of all bags in it
     */
    public Money leftOfAll(Money together) {
        return Money.ofMinor(
                currency(),
                Apportionment.rounded(leftOfSale(paid(Exact.minor(together).divide(units)))));
    }

    /** What the buyer pays for one bag in all, with tax on top and the share of postage. */
    public Money buyerPays(Money price) {
        return Money.ofMinor(
                currency(), Apportionment.rounded(paid(Exact.minor(price)).divide(units)));
    }

    /**
     * The lowest price, rounded as the maker does, of which at least so much is left; empty if no price leaves it.
     *
     * @param wanted what is to be left of one bag, in exact minor units
     * @param rounding to the maker's price points, upwards
     */
    public Optional<Money> priceFor(BigFraction wanted, PriceRounding rounding) {
        // Each line is rounded for itself, by half a coin at most: so much more is certainly enough.
        BigFraction slack = BigFraction.of(parts.size() + 1, 2);
        return exactPriceFor(wanted)
                .flatMap(exact -> {
                    Money price = rounding.up(exact, currency());
                    return leaves(wanted, price)
                            ? Optional.of(price)
                            : exactPriceFor(wanted.add(slack)).map(enough -> rounding.up(enough, currency()));
                })
                .map(price -> {
                    Money lowest = price;
                    Money below = rounding.below(lowest);
                    for (int i = 0; i < MOST_ROUNDS && below.isLessThan(lowest) && leaves(wanted, below); i++) {
                        lowest = below;
                        below = rounding.below(lowest);
                    }
                    return lowest;
                });
    }

    private boolean leaves(BigFraction wanted, Money price) {
        return Exact.minor(left(price)).compareTo(wanted) >= 0;
    }

    /** The same before anything is rounded; never below zero. */
    private Optional<BigFraction> exactPriceFor(BigFraction wanted) {
        BigFraction ofSale = wanted.multiply(units);
        Turn from = turns.get(0);
        if (from.left().compareTo(ofSale) >= 0) {
            return Optional.of(BigFraction.ZERO);
        }
        for (Turn to : turns) {
            if (to.left().compareTo(ofSale) >= 0) {
                return Optional.of(price(between(from, to, ofSale)));
            }
            from = to;
        }
        BigFraction slope = leftOfSale(from.paid().add(BigFraction.ONE)).subtract(from.left());
        return slope.signum() <= 0
                ? Optional.empty()
                : Optional.of(price(from.paid().add(ofSale.subtract(from.left()).divide(slope))));
    }

    private static BigFraction between(Turn from, Turn to, BigFraction wanted) {
        return from.paid()
                .add(wanted.subtract(from.left())
                        .multiply(to.paid().subtract(from.paid()))
                        .divide(to.left().subtract(from.left())));
    }

    /** The price at which a buyer pays so much for a sale. */
    private BigFraction price(BigFraction paid) {
        return paid.divide(onTop).subtract(Exact.minor(postagePaid)).divide(units);
    }

    /** What takes the largest share of a price that is raised; empty where nothing takes any. */
    public Optional<String> eatsMost() {
        BigFraction rate = Exact.of(tax.rate());
        BigFraction taxShare = tax.mode() == Tax.Mode.NONE ? BigFraction.ZERO : rate.divide(BigFraction.ONE.add(rate));
        String name = taxShare.signum() > 0 ? "tax" : "";
        BigFraction most = taxShare;
        for (Fee fee : fees) {
            if (fee.shareOfMore().compareTo(most) > 0) {
                most = fee.shareOfMore();
                name = fee.name();
            }
        }
        return Optional.of(name).filter(some -> !some.isEmpty());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Terms its
                && fees.equals(its.fees)
                && tax.equals(its.tax)
                && unitsPerSale.equals(its.unitsPerSale)
                && postagePaid.equals(its.postagePaid)
                && postage.equals(its.postage);
    }

    @Override
    public int hashCode() {
        return Objects.hash(fees, tax, unitsPerSale, postagePaid, postage);
    }

    @Override
    public String toString() {
        return fees + ", " + tax + ", " + unitsPerSale + " a sale, postage " + postage + ", of which " + postagePaid
                + " is paid";
    }
}
