package mardun.core.pricing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.costing.UnitCost;
import mardun.core.making.WorkTime;
import mardun.core.money.Exact;
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
        UnitTakes takes = UnitTakes.of(cost, time);
        Figure<Money> suggested = suggested(cost, takes, channel, choice);
        Money price = own.orElse(suggested.value());
        Figure<Money> fees = fees(channel, price);
        return new UnitPricing(
                channel, suggested, price, fees, left(cost, price, fees), perHour(cost, takes, time, price, fees));
    }

    private static Figure<Money> suggested(UnitCost cost, UnitTakes takes, Channel channel, PriceChoice choice) {
        CurrencyUnit currency = cost.full().value().getCurrencyUnit();
        Working wanted = wantedWorking(cost, takes, choice);
        Optional<Money> found = SchoolPrices.price(takes, channel, choice, Optional.empty());
        Money price = found.orElseGet(() -> choice.rounding().up(takes.wanted(choice), currency));
        String upTo = "rounded up " + choice.rounding().point().words();
        Working.Builder working;
        if (choice.school() == PriceSchool.TRADE && channel.kind() == Channel.Kind.BUYERS) {
            BigFraction multiplied = Exact.minor(choice.rounding().up(takes.wanted(choice), currency))
                    .multiply(Exact.of(choice.multiple()));
            working = Working.of(
                            "The trade price, and what a shop asks for it, so that no reseller's price is below the maker's.")
                    .expression("{trade} × {multiple} + {over}")
                    .input(
                            "trade",
                            "trade price",
                            Value.of(choice.rounding().up(takes.wanted(choice), currency)),
                            wanted)
                    .input("multiple", "multiple", new Value.Factor(choice.multiple()))
                    .input("over", "to the price point", over(price, multiplied));
        } else if (choice.feesInside() || found.isEmpty()) {
            working = Working.of(
                            found.isEmpty()
                                    ? channel.name() + " takes of every price as much as it is raised"
                                            + channel.terms()
                                                    .eatsMost()
                                                    .map(fee -> ", most of it by “" + fee + "”")
                                                    .orElse("")
                                            + ": no price leaves what is wanted."
                                    : "What is wanted for the unit is the price, and the channel takes from it.")
                    .expression("{wanted} + {over}")
                    .input("wanted", choice.school().words(), wanted.result(), wanted)
                    .input("over", "to the price point", over(price, takes.wanted(choice)));
        } else {
            Figure<Money> taken = fees(channel, price);
            BigFraction before = takes.wanted(choice).add(Exact.minor(taken.value()));
            working = Working.of("What is wanted for the unit and what the channel takes of the price.")
                    .expression("{wanted} + {taken} + {over}")
                    .input("wanted", choice.school().words(), wanted.result(), wanted)
                    .input("taken", channel.name() + " takes", Value.of(taken.value()), taken.working())
                    .input("over", "to the price point", over(price, before));
        }
        for (PriceSchool school : PriceSchool.values()) {
            SchoolPrices.price(takes, channel, choice.by(school), Optional.empty())
                    .ifPresent(other -> working.school(school.words(), Value.of(other), school == choice.school()));
        }
        return new Figure<>(price, working.rounded(upTo).gives(Value.of(price)));
    }

    private static Value over(Money price, BigFraction before) {
        return new Value.ExactSum(
                Exact.minor(price).subtract(before), price.getCurrencyUnit().getCode());
    }

    private static Working wantedWorking(UnitCost cost, UnitTakes takes, PriceChoice choice) {
        Value result = new Value.ExactSum(
                takes.wanted(choice), cost.full().value().getCurrencyUnit().getCode());
        Working.Builder working = switch (choice.school()) {
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
            case HOURLY ->
                Working.of("Materials by a factor, and for its time the least that an hour is worked for.")
                        .expression("{material} × {factor} × {begun} ÷ {good} + {rest}")
                        .input(
                                "material",
                                "material",
                                Value.of(cost.material().value()),
                                cost.material().working())
                        .input("factor", "factor", new Value.Factor(choice.factor()))
                        .input("begun", "begun", Value.of(takes.units()))
                        .input("good", "came out well", Value.of(takes.good()))
                        .input(
                                "rest",
                                "its time at the least rate",
                                new Value.ExactSum(
                                        takes.wanted(choice)
                                                .subtract(Exact.minor(takes.material())
                                                        .multiply(Exact.of(choice.factor()))
                                                        .multiply(BigFraction.of(takes.units(), takes.good()))),
                                        cost.full().value().getCurrencyUnit().getCode()));
            case MARKUP, TRADE ->
                Working.of("Full cost with a markup on top.")
                        .expression("{cost} × (1 + {markup})")
                        .input(
                                "cost",
                                "full cost",
                                Value.of(cost.full().value()),
                                cost.full().working())
                        .input("markup", "markup", new Value.Share(choice.markup()));
            case MARKET -> throw new IllegalArgumentException("what people pay doesn't follow from cost");
        };
        return working.gives(result);
    }

    private static Working.Builder spoiled(UnitCost cost, Working.Builder working) {
        cost.spoiled()
                .ifPresent(figure -> working.input(
                        "spoiled", "share of what was spoiled", Value.of(figure.value()), figure.working()));
        return working;
    }

    private static Figure<Money> fees(Channel channel, Money price) {
        Money taken = channel.terms().taken(price);
        List<Terms.Line> lines = channel.terms().takes(price);
        Working.Builder told = Working.of(
                lines.isEmpty()
                        ? "Selling there costs nothing."
                        : "What comes off the price there, each rounded for itself.");
        List<String> terms = new ArrayList<>();
        for (Terms.Line line : lines) {
            String symbol = "part " + (terms.size() + 1);
            terms.add("{" + symbol + "}");
            told.input(symbol, line.name(), Value.of(line.amount()));
        }
        if (lines.isEmpty()) {
            terms.add("{taken}");
            told.input("taken", channel.name(), Value.of(taken));
        }
        return new Figure<>(taken, told.expression(String.join(" + ", terms)).gives(Value.of(taken)));
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

    private static Optional<Figure<Money>> perHour(
            UnitCost cost, UnitTakes takes, WorkTime time, Money price, Figure<Money> fees) {
        if (!takes.takesTime()) {
            return Optional.empty();
        }
        boolean anySpoiled = cost.good() < time.units();
        Money perHour = takes.perHour(price.minus(fees.value()));
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
}
