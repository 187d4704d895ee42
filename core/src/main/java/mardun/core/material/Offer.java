package mardun.core.material;

import org.joda.money.Money;

/**
 * Something that a shop sells: a card of ten rings, half a metre of cloth, a roll.
 *
 * @param key the caller's name for it
 * @param material the key of the material in it
 * @param supplier the key of the shop
 * @param content how much is in one; a positive amount
 * @param price of one; zero or more
 */
public record Offer(String key, String material, String supplier, Amount content, Money price) {

    public Offer {
        if (!content.isPositive() || price.isNegative()) {
            throw new IllegalArgumentException("a pack holds something and costs nothing or more");
        }
    }
}
