package mardun.core.pricing;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/** The price of a bag through a channel by each school, side by side. */
public final class SchoolPrices {

    private SchoolPrices() {}

    /**
     * A price, and what it leaves.
     *
     * @param school by which it came about
     * @param buyerPays what a buyer pays for one in all
     * @param taken what the channel takes of it, tax and postage with it
     * @param left after that and the full cost
     * @param perHour what an hour's work earns; empty where there is none
     */
    public record Priced(
            PriceSchool school, Money price, Money buyerPays, Money taken, Money left, Optional<Money> perHour) {}

    /**
     * The price by the school that is chosen.
     *
     * @param market what people pay; empty where nobody knows
     * @return empty where no price leaves what is wanted, or nobody knows what people pay
     */
    public static Optional<Money> price(UnitTakes takes, Channel channel, PriceChoice choice, Optional<Money> market) {
        if (choice.school() == PriceSchool.MARKET) {
            return market;
        }
        CurrencyUnit currency = takes.material().getCurrencyUnit();
        BigFraction wanted = takes.wanted(choice);
        boolean asksMultiple = choice.school() == PriceSchool.TRADE && channel.kind() == Channel.Kind.BUYERS;
        if (asksMultiple) {
            Money trade = choice.rounding().up(wanted, currency);
            return Optional.of(
                    choice.rounding().up(Exact.minor(trade).multiply(Exact.of(choice.multiple())), currency));
        }
        if (choice.feesInside()) {
            return Optional.of(choice.rounding().up(wanted, currency));
        }
        return channel.terms()
                .priceFor(wanted, choice.rounding())
                .map(up -> nearest(up, wanted, takes, channel, choice));
    }

    /** The price point below, where that is nearer to what is wanted and nothing is lost by it. */
    private static Money nearest(Money up, BigFraction wanted, UnitTakes takes, Channel channel, PriceChoice choice) {
        Money below = choice.rounding().below(up);
        if (!choice.rounding().toNearest() || below.equals(up)) {
            return up;
        }
        Money leftBelow = channel.terms().left(below);
        BigFraction missing = wanted.subtract(Exact.minor(leftBelow));
        BigFraction over = Exact.minor(channel.terms().left(up)).subtract(wanted);
        boolean isNearer = missing.compareTo(over) < 0 && !leftBelow.isLessThan(takes.full());
        return isNearer ? below : up;
    }

    /** What people pay: the middle of the prices that were seen, the lower of two; empty where none was. */
    public static Optional<Money> market(List<Money> seen) {
        return seen.stream().sorted().skip(Math.max(0, seen.size() - 1) / 2).findFirst();
    }

    /**
     * “I make so many an hour, and never work for less than that: what must it cost?”
     *
     * @param least what an hour has to earn
     * @return empty where no price leaves it
     */
    public static Optional<Money> soManyAnHour(
            int many, Money least, UnitTakes takes, Channel channel, PriceChoice choice) {
        return price(takes.making(many), channel, choice.atLeast(least), Optional.empty());
    }

    /** The price that counts, the one that is set or else the school's, with what it leaves; empty where there is neither. */
    public static Optional<Priced> counting(UnitTakes takes, Channel channel, PriceChoice choice, Optional<Money> set) {
        return set.or(() -> price(takes, channel, choice, Optional.empty()))
                .map(price -> priced(choice.school(), price, takes, channel));
    }

    /** All schools that give a price, in their order. */
    public static List<Priced> all(UnitTakes takes, Channel channel, PriceChoice choice, Optional<Money> market) {
        return Arrays.stream(PriceSchool.values())
                .flatMap(school -> price(takes, channel, choice.by(school), market).stream()
                        .map(price -> priced(school, price, takes, channel)))
                .toList();
    }

    /** What a price leaves. */
    public static Priced priced(PriceSchool school, Money price, UnitTakes takes, Channel channel) {
        Money taken = channel.terms().taken(price);
        Money net = price.minus(taken);
        return new Priced(
                school,
                price,
                channel.terms().buyerPays(price),
                taken,
                net.minus(takes.full()),
                takes.takesTime() ? Optional.of(takes.perHour(net)) : Optional.empty());
    }

    /** The lowest price at which an hour's work earns so much; empty if none does. */
    public static Optional<Money> priceFor(Money anHour, UnitTakes takes, Channel channel, PriceRounding rounding) {
        return channel.terms().priceFor(takes.neededFor(anHour), rounding);
    }
}
