package mardun.app.shop;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An online shop. The one that ships with Mardun is simulated; a client of a real one implements this.
 *
 * <p>It tells what happened in events that it keeps until they are acknowledged: late, more than once, in whatever order.
 */
public interface OnlineShop {

    /** What it doesn't do now, and a sentence on it. */
    final class Trouble extends Exception {
        public Trouble(String sentence) {
            super(sentence);
        }
    }

    /** What is offered. */
    record Offer(String sku, String title, long priceMinor, int units) {}

    /** What happened. */
    enum EventKind {
        ORDERED,
        CANCELLED,
        RETURN_WANTED,
        PAID_OUT
    }

    /**
     * Something that happened.
     *
     * @param order the number of the order; empty for a payout
     * @param ordered of an order
     * @param payout of a payout
     * @param reason why something is wanted back, or was cancelled; empty otherwise
     */
    record Event(
            UUID id,
            EventKind kind,
            String order,
            @Nullable Ordered ordered,
            @Nullable PaidOut payout,
            String reason) {}

    /** An order as a buyer placed it. */
    record Ordered(Instant placedAt, Buyer buyer, List<Line> lines, long postageMinor) {}

    /** Who bought, and where it goes. */
    record Buyer(String name, String reach, List<String> address) {}

    record Line(String sku, int units, long priceMinor) {}

    /** Money that was paid out for orders. */
    record PaidOut(String name, Instant paidAt, List<PaidLine> lines, long totalMinor) {}

    /** Of an order; below zero where a buyer was paid back. */
    record PaidLine(String order, long paidMinor, long feeMinor) {}

    /** Money that the buyer of an order gets back. */
    record PaidBack(UUID id, String order, long minor) {}

    /** What happened and isn't acknowledged yet. */
    List<Event> events() throws Trouble;

    /** These events needn't be told again. */
    void acknowledge(Collection<UUID> events) throws Trouble;

    /** Offers something, or changes its price or how many there are. */
    void offer(Offer offer) throws Trouble;

    /** Pays a buyer back, once for each id, however often it is told; it comes off a later payout. */
    void payBack(PaidBack refund) throws Trouble;

    /**
     * Whom it calls when something happened, as a webhook does: late, more than once, or not at all. Nothing is taken from the call; who
     * hears it looks at the shop.
     */
    void whenNews(Runnable bell);
}
