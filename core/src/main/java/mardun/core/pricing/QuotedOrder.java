package mardun.core.pricing;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mardun.core.money.Exact;
import org.joda.money.Money;

/** An order of several kinds of bags, at the prices that are asked for them. */
public record QuotedOrder(List<Line> lines) {

    /**
     * So many bags of a kind.
     *
     * @param each hands-on time of one, wishes included
     * @param price of one; empty where there is none
     */
    public record Line(int units, Duration each, Optional<QuotedPrice> price) {

        /** What the customer pays for all of them, tax included. */
        public Optional<Money> total() {
            return price.map(one -> one.priced().buyerPays().multipliedBy(units));
        }

        /** Hands-on time for all of them. */
        public Duration time() {
            return each.multipliedBy(units);
        }
    }

    public QuotedOrder {
        lines = List.copyOf(lines);
    }

    /** What the customer pays for all of it; empty where a line has no price. */
    public Optional<Money> total() {
        return lines.stream().allMatch(line -> line.total().isPresent())
                ? lines.stream().map(line -> line.total().orElseThrow()).reduce(Money::plus)
                : Optional.empty();
    }

    /** What is given away by it; empty where a line has no price. */
    public Optional<Money> given() {
        return total().isEmpty()
                ? Optional.empty()
                : lines.stream()
                        .map(line -> line.price().orElseThrow().given().multipliedBy(line.units()))
                        .reduce(Money::plus);
    }

    /** Hands-on time of all of it. */
    public Duration time() {
        return lines.stream().map(Line::time).reduce(Duration.ZERO, Duration::plus);
    }

    /** What an hour of all of it earns; empty where that isn't known of a line. */
    public Optional<Money> perHour() {
        return Earning.together(lines.stream()
                .map(line ->
                        new Earning(line.price().flatMap(price -> price.priced().perHour()), line.time()))
                .toList());
    }

    /** What is paid before the work is begun: a share of the whole, rounded up to the coin; the rest makes the whole with it. */
    public static Money deposit(Money total, BigDecimal share) {
        return Money.ofMinor(
                total.getCurrencyUnit(),
                Exact.minor(total)
                        .multiply(Exact.of(share))
                        .bigDecimalValue(0, RoundingMode.CEILING)
                        .longValueExact());
    }
}
