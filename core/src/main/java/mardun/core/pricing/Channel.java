package mardun.core.pricing;

import java.math.BigDecimal;
import org.joda.money.Money;

/**
 * A way of selling.
 *
 * @param share what it takes of the price the buyer pays, from 0 to less than 1
 * @param feePerUnit what it takes for each unit besides
 */
public record Channel(String name, BigDecimal share, Money feePerUnit) {

    public Channel {
        if (share.signum() < 0 || share.compareTo(BigDecimal.ONE) >= 0) {
            throw new IllegalArgumentException("a channel's share is from 0 to less than the whole price: " + share);
        }
    }
}
