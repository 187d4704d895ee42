package mardun.app.shop;

import java.util.UUID;

/**
 * Money that the buyer of an online order got back.
 *
 * @param id by which the shop knows it
 * @param minor above zero
 * @param units how many bags came back for it; may be none
 * @param isTold the shop knows of it
 * @param isPaidOut a payout had it
 */
record OrderRefund(UUID id, long minor, int units, boolean isTold, boolean isPaidOut) {

    OrderRefund told() {
        return new OrderRefund(id, minor, units, true, isPaidOut);
    }

    OrderRefund paidOut() {
        return new OrderRefund(id, minor, units, isTold, true);
    }
}
