package mardun.core.selling;

import java.util.List;
import java.util.stream.Stream;
import org.joda.money.Money;

/**
 * What going to a fair costs, whatever is sold there.
 *
 * @param stall the fee for the stall
 * @param travel for the way there and back
 * @param sleep for a place to sleep
 * @param food beyond what one eats at home
 * @param helpers what helpers are given
 * @param other parking, decoration, hired tables
 */
public record FairCosts(Money stall, Money travel, Money sleep, Money food, Money helpers, Money other) {

    /** One of them with its name. */
    public record Part(String name, Money amount) {}

    /** Those that are anything. */
    public List<Part> parts() {
        return Stream.of(
                        new Part("stall fee", stall),
                        new Part("travel", travel),
                        new Part("sleeping", sleep),
                        new Part("food", food),
                        new Part("helpers", helpers),
                        new Part("other costs", other))
                .filter(part -> !part.amount().isZero())
                .toList();
    }

    public Money together() {
        return stall.plus(travel).plus(sleep).plus(food).plus(helpers).plus(other);
    }
}
