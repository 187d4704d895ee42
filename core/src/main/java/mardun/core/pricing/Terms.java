package mardun.core.pricing;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * On what terms bags are sold through a channel: what of a price is left, and which price leaves what is wanted.
 *
 * <p>A buyer pays u · P + Q for u bags at the price P with the postage Q, and the tax on top where it isn't inside. Of that the tax, each
 * fee and what selling costs come off, spread over the u bags; what is left of one is N. Between the amounts at which a fee changes its way, N
 * is a straight line over P, so that the lowest price for a wanted N is found exactly.
 *
 * @param unitsPerSale how many bags a buyer takes at once, on average; more than 0
 * @param postagePaid what the buyer pays for postage, for each sale
 * @param postage what it really costs the maker, for each sale
 */
public record Terms(List<Fee> fees, Tax tax, BigDecimal unitsPerSale, Money postagePaid, Money postage) {

    private static final int MOST_ROUNDS = 200;

    public Terms {
        fees = List.copyOf(fees);
        if (unitsPerSale.signum() <= 0) {
            throw new IllegalArgumentException("a sale is of something: " + unitsPerSale);
        }
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

    private BigFraction units() {
        return Exact.of(unitsPerSale);
    }

    /** What a buyer pays for a sale at an exact price, in minor units. */
    private BigFraction paid(BigFraction price) {
        BigFraction asked = price.multiply(units()).add(Exact.minor(postagePaid));
        return tax.mode() == Tax.Mode.ADDED ? asked.multiply(BigFraction.ONE.add(Exact.of(tax.rate()))) : asked;
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
            left = left.subtract(fee.of(paid, units()));
        }
        return left;
    }

    /**
     * What comes off a price for one bag, each line rounded half up; lines of nothing are left out. Tax on top isn't part of the price, so it
     * doesn't come off it.
     */
    public List<Line> takes(Money price) {
        BigFraction paid = paid(Exact.minor(price));
        BigFraction each = BigFraction.ONE.divide(units());
        List<Line> lines = new ArrayList<>();
        if (tax.mode() == Tax.Mode.INCLUDED) {
            add(lines, "tax", taxOf(paid).multiply(each));
        }
        for (Fee fee : fees) {
            add(lines, fee.name(), fee.of(paid, units()).multiply(each));
        }
        add(lines, "postage", Exact.minor(postage).multiply(each));
        add(
                lines,
                "postage that the buyer pays",
                Exact.minor(postagePaid).multiply(each).negate());
        return lines;
    }

    private void add(List<Line> lines, String name, BigFraction exact) {
        long minor = Apportionment.rounded(exact);
        if (minor != 0) {
            lines.add(new Line(name, Money.ofMinor(currency(), minor)));
        }
    }

    /** What all of that comes to. */
    public Money taken(Money price) {
        return takes(price).stream().map(Line::amount).reduce(Money.zero(currency()), Money::plus);
    }

    /** What is left of a price for one bag: N, before the bag's own cost. */
    public Money left(Money price) {
        return price.minus(taken(price));
    }

    /** What the buyer pays for one bag in all, with tax on top and the share of postage. */
    public Money buyerPays(Money price) {
        return Money.ofMinor(
                currency(), Apportionment.rounded(paid(Exact.minor(price)).divide(units())));
    }

    /**
     * The lowest price, rounded as the maker does, of which at least so much is left; empty if no price leaves it.
     *
     * @param wanted what is to be left of one bag, in exact minor units
     * @param rounding to the maker's price points, upwards
     */
    public Optional<Money> priceFor(BigFraction wanted, PriceRounding rounding) {
        return exactPriceFor(wanted).map(exact -> {
            Money price = rounding.up(exact, currency());
            // Each line is rounded for itself, so that a cent may be missing where the exact price would do, or be
            // over.
            for (int i = 0; i < MOST_ROUNDS && !leaves(wanted, price); i++) {
                price = rounding.above(price);
            }
            for (int i = 0; i < MOST_ROUNDS && leaves(wanted, rounding.below(price)); i++) {
                price = rounding.below(price);
            }
            return price;
        });
    }

    private boolean leaves(BigFraction wanted, Money price) {
        return Exact.minor(left(price)).compareTo(wanted) >= 0;
    }

    /** The same before anything is rounded; never below zero. */
    private Optional<BigFraction> exactPriceFor(BigFraction wanted) {
        BigFraction ofSale = wanted.multiply(units());
        BigFraction free = paid(BigFraction.ZERO);
        TreeSet<BigFraction> turns = fees.stream()
                .flatMap(fee -> fee.turns().stream())
                .filter(turn -> turn.compareTo(free) > 0)
                .collect(Collectors.toCollection(TreeSet::new));
        BigFraction from = free;
        BigFraction left = leftOfSale(from);
        if (left.compareTo(ofSale) >= 0) {
            return Optional.of(BigFraction.ZERO);
        }
        for (BigFraction to : turns) {
            BigFraction then = leftOfSale(to);
            if (then.compareTo(ofSale) >= 0) {
                return Optional.of(price(between(from, left, to, then, ofSale)));
            }
            from = to;
            left = then;
        }
        BigFraction beyond = from.add(BigFraction.ONE);
        BigFraction slope = leftOfSale(beyond).subtract(left);
        return slope.signum() <= 0
                ? Optional.empty()
                : Optional.of(price(from.add(ofSale.subtract(left).divide(slope))));
    }

    private static BigFraction between(
            BigFraction from, BigFraction left, BigFraction to, BigFraction then, BigFraction wanted) {
        return from.add(wanted.subtract(left).multiply(to.subtract(from)).divide(then.subtract(left)));
    }

    /** The price at which a buyer pays so much for a sale. */
    private BigFraction price(BigFraction paid) {
        BigFraction asked =
                tax.mode() == Tax.Mode.ADDED ? paid.divide(BigFraction.ONE.add(Exact.of(tax.rate()))) : paid;
        return asked.subtract(Exact.minor(postagePaid)).divide(units());
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
}
