package mardun.core.pricing;

import java.math.BigDecimal;
import org.joda.money.Money;

/**
 * A way of selling.
 *
 * @param kind whether buyers pay the price there, or a reseller does
 */
public record Channel(String name, Kind kind, Terms terms) {

    /** Who pays the price. */
    public enum Kind {
        /** Those who will carry the bag. */
        BUYERS,
        /** A reseller, who asks a multiple of it. */
        RESELLER
    }

    /** One that takes a share of the price and an amount for each bag. */
    public Channel(String name, BigDecimal share, Money feePerUnit) {
        this(name, Kind.BUYERS, Terms.simple(share, feePerUnit));
    }
}
