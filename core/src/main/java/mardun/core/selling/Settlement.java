package mardun.core.selling;

import java.math.BigInteger;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.money.Apportionment;
import mardun.core.money.Exact;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * What a fair left: of what buyers paid, the tax, what selling took, what the bags cost and what going there cost come off. An hour there
 * is an hour at the stall, setting up and clearing away included, or on the way; an hour in all is one there or one of making what was sold.
 *
 * @param left what is left when making is paid by the maker's own rate
 * @param perHourThere what an hour there is paid beyond that; empty where nobody typed the hours
 * @param perHourInAll what an hour is paid, making included, where making isn't paid before; empty where that time isn't known
 */
public record Settlement(
        Figure<Money> left, Optional<Figure<Money>> perHourThere, Optional<Figure<Money>> perHourInAll) {

    private static final String HALF_UP = "rounded once, half up";
    private static final BigInteger NANOS_PER_HOUR =
            BigInteger.valueOf(Duration.ofHours(1).toNanos());

    /**
     * What was sold.
     *
     * @param paid what buyers paid
     * @param tax inside it
     * @param fees what the channel and payments took
     * @param cost what the bags cost, with the work in them
     * @param labour the work in that, at the maker's rate
     * @param making hands-on time that making them took
     * @param unknown how many of them nobody knows the making of
     */
    public record Sold(
            int bags, Money paid, Money tax, Money fees, Money cost, Money labour, Duration making, int unknown) {}

    /**
     * What the count of the evening says.
     *
     * @param difference what there is more than there should be, or less where it is below zero
     * @param gone what bags cost that were given away, broken or stolen
     */
    public record Counted(Money difference, Money gone) {

        public static Counted asExpected(CurrencyUnit currency) {
            return new Counted(Money.zero(currency), Money.zero(currency));
        }
    }

    /**
     * Settles a fair.
     *
     * @param there time at the stall
     * @param onTheWay time there and back
     */
    public static Settlement of(Sold sold, Counted counted, FairCosts costs, Duration there, Duration onTheWay) {
        Figure<Money> left = left(sold, counted, costs);
        Duration away = there.plus(onTheWay);
        Optional<Figure<Money>> perHourThere = away.isZero() ? Optional.empty() : Optional.of(there(left, away));
        boolean isMakingKnown = sold.unknown() == 0 && !away.plus(sold.making()).isZero();
        return new Settlement(
                left,
                perHourThere,
                isMakingKnown && !away.isZero() ? Optional.of(inAll(left, sold, away)) : Optional.empty());
    }

    private static Figure<Money> left(Sold sold, Counted counted, FairCosts costs) {
        Money left = sold.paid()
                .minus(sold.tax())
                .minus(sold.fees())
                .minus(sold.cost())
                .minus(counted.gone())
                .minus(costs.together())
                .plus(counted.difference());
        Working.Builder working = Working.of(
                "Of what buyers paid come off the tax, what selling took, what the bags cost and what going there cost.");
        StringBuilder expression = new StringBuilder("{paid}");
        working.input("paid", "what buyers paid", Value.of(sold.paid()));
        List<FairCosts.Part> off = new ArrayList<>(List.of(
                new FairCosts.Part("tax", sold.tax()),
                new FairCosts.Part("fees of selling", sold.fees()),
                new FairCosts.Part("cost of what was sold", sold.cost()),
                new FairCosts.Part("given away, broken, stolen", counted.gone())));
        off.addAll(costs.parts());
        int number = 0;
        for (FairCosts.Part part : off) {
            if (!part.amount().isZero()) {
                String symbol = "off" + number++;
                expression.append(" − {").append(symbol).append('}');
                working.input(symbol, part.name(), Value.of(part.amount()));
            }
        }
        if (!counted.difference().isZero()) {
            boolean more = counted.difference().isPositive();
            expression.append(more ? " + " : " − ").append("{difference}");
            working.input(
                    "difference",
                    more ? "counted more than expected" : "counted less than expected",
                    Value.of(counted.difference().abs()));
        }
        return new Figure<>(left, working.expression(expression.toString()).gives(Value.of(left)));
    }

    private static Figure<Money> there(Figure<Money> left, Duration away) {
        Money anHour = anHour(Exact.minor(left.value()), away, left.value().getCurrencyUnit());
        return new Figure<>(
                anHour,
                Working.of("What is left, for each hour at the stall and on the way.")
                        .expression("{left} ÷ {away}")
                        .input("left", "left", Value.of(left.value()), left.working())
                        .input("away", "hours there and on the way", Value.of(away))
                        .rounded(HALF_UP)
                        .gives(Value.of(anHour)));
    }

    private static Figure<Money> inAll(Figure<Money> left, Sold sold, Duration away) {
        CurrencyUnit currency = left.value().getCurrencyUnit();
        Duration all = away.plus(sold.making());
        Money anHour = anHour(Exact.minor(left.value()).add(Exact.minor(sold.labour())), all, currency);
        return new Figure<>(
                anHour,
                Working.of(
                                "What is left before making is paid, for each hour at the stall, on the way and at the bench.")
                        .expression("({left} + {labour}) ÷ ({away} + {making})")
                        .input("left", "left", Value.of(left.value()), left.working())
                        .input("labour", "work in what was sold", Value.of(sold.labour()))
                        .input("away", "hours there and on the way", Value.of(away))
                        .input("making", "hours of making what was sold", Value.of(sold.making()))
                        .rounded(HALF_UP)
                        .gives(Value.of(anHour)));
    }

    private static Money anHour(BigFraction minor, Duration time, CurrencyUnit currency) {
        BigFraction hours = BigFraction.of(BigInteger.valueOf(time.toNanos()), NANOS_PER_HOUR);
        return Money.ofMinor(currency, Apportionment.rounded(minor.divide(hours)));
    }
}
