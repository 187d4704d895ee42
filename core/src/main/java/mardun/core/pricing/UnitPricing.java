package mardun.core.pricing;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.Optional;
import mardun.core.costing.UnitCost;
import mardun.core.making.WorkTime;
import mardun.core.money.Apportionment;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * What a unit should sell for through a channel, and what it leaves.
 *
 * @param suggested the price by the maker's school, rounded up to a price point
 * @param price the price that counts: the maker's own, or else the suggested one
 * @param fees what the channel takes of it
 * @param left what is left of it after the fees and all costs, labour among them
 * @param perHour what an hour of hands-on work earns at that price; empty if there is no work
 */
public record UnitPricing(
        Channel channel,
        Figure<Money> suggested,
        Money price,
        Figure<Money> fees,
        Figure<Money> left,
        Optional<Figure<Money>> perHour) {

    private static final String HALF_UP = "rounded once, half up";

    /** The pricing of a unit with the given cost; {@code own} is the price the maker has set, if any. */
    public static UnitPricing of(
            UnitCost cost, WorkTime time, Channel channel, PriceChoice choice, Optional<Money> own) {
        Figure<Money> suggested = suggested(cost, channel, choice);
        Money price = own.orElse(suggested.value());
        Figure<Money> fees = fees(channel, price);
        return new UnitPricing(
                channel, suggested, price, fees, left(cost, price, fees), perHour(cost, time, price, fees));
    }

    private static Figure<Money> suggested(UnitCost cost, Channel channel, PriceChoice choice) {
        CurrencyUnit currency = cost.full().value().getCurrencyUnit();
        Working wanted = wantedWorking(cost, choice, choice.school());
        Money price = priceFor(wanted(cost, choice, choice.school()), channel, choice.point(), currency);
        Working.Builder working = Working.of("What is wanted for the unit plus the channel's fee, divided so that the"
                        + " channel's share still comes off.")
                .expression("({wanted} + {fee}) ÷ (1 − {share})")
                .input("wanted", choice.school().words(), wanted.result(), wanted)
                .input("fee", channel.name() + ", fee for a unit", Value.of(channel.feePerUnit()))
                .input("share", channel.name() + ", share of the price", new Value.Share(channel.share()))
                .rounded("rounded up " + choice.point().words());
        for (PriceSchool school : PriceSchool.values()) {
            Money alternative = priceFor(wanted(cost, choice, school), channel, choice.point(), currency);
            working.school(school.words(), Value.of(alternative), school == choice.school());
        }
        return new Figure<>(price, working.gives(Value.of(price)));
    }

    private static Money priceFor(BigFraction wanted, Channel channel, PricePoint point, CurrencyUnit currency) {
        BigFraction exact = wanted.add(BigFraction.of(channel.feePerUnit().getAmountMinorLong()))
                .divide(BigFraction.ONE.subtract(fraction(channel.share())));
        return point.roundUp(exact, currency);
    }

    /** What the maker wants for a unit by a school, in exact minor units. */
    private static BigFraction wanted(UnitCost cost, PriceChoice choice, PriceSchool school) {
        BigFraction full = minor(cost.full().value());
        return switch (school) {
            case MATERIALS_AND_LABOUR ->
                minor(cost.material().value())
                        .multiply(fraction(choice.factor()))
                        .add(minor(cost.labour().value()))
                        .add(spoiled(cost));
            case MARGIN -> full.divide(BigFraction.ONE.subtract(fraction(choice.margin())));
            case MARKUP -> full.multiply(BigFraction.ONE.add(fraction(choice.markup())));
        };
    }

    private static Working wantedWorking(UnitCost cost, PriceChoice choice, PriceSchool school) {
        Value result = new Value.ExactSum(
                wanted(cost, choice, school),
                cost.full().value().getCurrencyUnit().getCode());
        Working.Builder working = switch (school) {
            case MATERIALS_AND_LABOUR ->
                spoiled(
                                cost,
                                Working.of("Materials by a factor, for the time spent choosing, fetching and"
                                                + " preparing them, plus labour.")
                                        .expression("{material} × {factor} + {labour}"
                                                + (cost.spoiled().isPresent() ? " + {spoiled}" : "")))
                        .input(
                                "material",
                                "material",
                                Value.of(cost.material().value()),
                                cost.material().working())
                        .input("factor", "factor", new Value.Factor(choice.factor()))
                        .input(
                                "labour",
                                "labour",
                                Value.of(cost.labour().value()),
                                cost.labour().working());
            case MARGIN ->
                Working.of("Full cost, so that the margin is left of what is wanted.")
                        .expression("{cost} ÷ (1 − {margin})")
                        .input(
                                "cost",
                                "full cost",
                                Value.of(cost.full().value()),
                                cost.full().working())
                        .input("margin", "margin", new Value.Share(choice.margin()));
            case MARKUP ->
                Working.of("Full cost with a markup on top.")
                        .expression("{cost} × (1 + {markup})")
                        .input(
                                "cost",
                                "full cost",
                                Value.of(cost.full().value()),
                                cost.full().working())
                        .input("markup", "markup", new Value.Share(choice.markup()));
        };
        return working.gives(result);
    }

    private static BigFraction spoiled(UnitCost cost) {
        return cost.spoiled().map(figure -> minor(figure.value())).orElse(BigFraction.ZERO);
    }

    private static Working.Builder spoiled(UnitCost cost, Working.Builder working) {
        cost.spoiled()
                .ifPresent(figure -> working.input(
                        "spoiled", "share of what was spoiled", Value.of(figure.value()), figure.working()));
        return working;
    }

    private static Figure<Money> fees(Channel channel, Money price) {
        BigFraction exact = minor(price).multiply(fraction(channel.share())).add(minor(channel.feePerUnit()));
        Money fees = Money.ofMinor(price.getCurrencyUnit(), Apportionment.rounded(exact));
        Working told = Working.of("The channel takes its share of the price and its fee for each unit.")
                .expression("{price} × {share} + {fee}")
                .input("price", "price", Value.of(price))
                .input("share", channel.name() + ", share of the price", new Value.Share(channel.share()))
                .input("fee", channel.name() + ", fee for a unit", Value.of(channel.feePerUnit()))
                .rounded(HALF_UP)
                .gives(Value.of(fees));
        return new Figure<>(fees, told);
    }

    private static Figure<Money> left(UnitCost cost, Money price, Figure<Money> fees) {
        Money left = price.minus(fees.value()).minus(cost.full().value());
        Working told = Working.of("What is left of the price after the channel's fees and the full cost.")
                .expression("{price} − {fees} − {cost}")
                .input("price", "price", Value.of(price))
                .input("fees", "fees", Value.of(fees.value()), fees.working())
                .input(
                        "cost",
                        "full cost",
                        Value.of(cost.full().value()),
                        cost.full().working())
                .gives(Value.of(left));
        return new Figure<>(left, told);
    }

    private static Optional<Figure<Money>> perHour(UnitCost cost, WorkTime time, Money price, Figure<Money> fees) {
        long seconds = time.asBatch().value().toSeconds();
        if (seconds == 0) {
            return Optional.empty();
        }
        boolean anySpoiled = cost.good() < time.units();
        BigFraction earned = minor(price)
                .subtract(minor(fees.value()))
                .multiply(cost.good())
                .subtract(minor(cost.material().value())
                        .add(minor(cost.overhead().value()))
                        .multiply(time.units()))
                .multiply(3600)
                .divide(BigInteger.valueOf(seconds));
        Money perHour = Money.ofMinor(price.getCurrencyUnit(), Apportionment.rounded(earned));
        Working.Builder told = Working.of(
                        "What the work itself earns: the price after fees, materials and overheads, for"
                                + " each hands-on hour.")
                .expression(
                        anySpoiled
                                ? "(({price} − {fees}) × {good} − ({material} + {overheads}) × {n}) ÷ {time}"
                                : "({price} − {fees} − {material} − {overheads}) × {n} ÷ {time}")
                .input("price", "price", Value.of(price))
                .input("fees", "fees", Value.of(fees.value()), fees.working())
                .input(
                        "material",
                        "material",
                        Value.of(cost.material().value()),
                        cost.material().working())
                .input(
                        "overheads",
                        "overheads",
                        Value.of(cost.overhead().value()),
                        cost.overhead().working())
                .input("n", "units", Value.of(time.units()))
                .input(
                        "time",
                        "hands-on time of the batch",
                        Value.of(time.asBatch().value()),
                        time.asBatch().working())
                .rounded(HALF_UP);
        if (anySpoiled) {
            told.input("good", "came out well", Value.of(cost.good()));
        }
        return Optional.of(new Figure<>(perHour, told.gives(Value.of(perHour))));
    }

    private static BigFraction minor(Money money) {
        return BigFraction.of(money.getAmountMinorLong());
    }

    private static BigFraction fraction(BigDecimal decimal) {
        return decimal.scale() > 0
                ? BigFraction.of(decimal.unscaledValue(), BigInteger.TEN.pow(decimal.scale()))
                : BigFraction.of(decimal.toBigIntegerExact(), BigInteger.ONE);
    }
}
