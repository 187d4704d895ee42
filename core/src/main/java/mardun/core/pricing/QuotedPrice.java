package mardun.core.pricing;

import java.util.Optional;
import org.joda.money.Money;

/**
 * What is asked for one bag of an order, and what is given away with it.
 *
 * @param usual what the maker's school asks for it; empty where that gives no price
 * @param priced the price that is asked, with what it leaves
 * @param given what the price is below the usual one; nothing where it isn't
 */
public record QuotedPrice(Optional<Money> usual, SchoolPrices.Priced priced, Money given) {

    /**
     * The price of one bag.
     *
     * @param takes what it takes in an order of that size, wishes included
     * @param own the price that the maker typed, if any: it counts before all others
     * @return empty where nothing gives a price
     */
    public static Optional<QuotedPrice> of(
            UnitTakes takes, Channel channel, PriceChoice choice, Favour favour, Optional<Money> own) {
        Optional<Money> usual = SchoolPrices.price(takes, channel, choice, Optional.empty());
        Optional<Money> asked = favour.wanted(takes)
                .map(wanted -> channel.terms().priceFor(wanted, choice.rounding()))
                .orElse(usual);
        return own.or(() -> asked)
                .map(price -> new QuotedPrice(
                        usual,
                        SchoolPrices.priced(choice.school(), price, takes, channel),
                        usual.map(its -> below(price, its)).orElse(Money.zero(price.getCurrencyUnit()))));
    }

    private static Money below(Money price, Money usual) {
        return price.isLessThan(usual) ? usual.minus(price) : Money.zero(price.getCurrencyUnit());
    }
}
