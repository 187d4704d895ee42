package mardun.app.shop;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import mardun.app.sale.ReturnedBags;
import mardun.app.shop.OnlineShop.Buyer;
import mardun.app.shop.OnlineShop.Line;
import mardun.app.shop.OnlineShop.Ordered;
import org.hibernate.annotations.Mutability;
import org.hibernate.type.descriptor.java.Immutability;
import org.jspecify.annotations.Nullable;

/** An order of the online shop. */
@Entity
class ShopOrder {

    private static final int LONGEST_REASON = 500;
    private static final int LONGEST_NAME = 1000;

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String number;

    @Enumerated(EnumType.STRING)
    private OrderState state;

    private @Nullable Instant placedAt;

    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredBuyer.class)
    private @Nullable Buyer buyer;

    /** To find the order by; empty where the buyer isn't known. */
    private String buyerName;

    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredOrderLines.class)
    private List<Line> lines;

    private long postageMinor;

    /** How many of which kinds are put aside for it. */
    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredReserved.class)
    private Map<String, Integer> reserved;

    private @Nullable UUID saleId;
    private @Nullable LocalDate postedOn;
    private @Nullable LocalDate arrivedOn;
    private String wantsBack;
    private String cameBack;
    private @Nullable Long payoutId;

    /** The first in front. */
    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredRefunds.class)
    private List<OrderRefund> refunds;

    private int untoldRefunds;

    protected ShopOrder() {}

    /** An order of which nothing is known yet but its number. */
    ShopOrder(String number) {
        this.number = number;
        this.buyerName = "";
        this.state = OrderState.SHORT;
        this.lines = List.of();
        this.reserved = Map.of();
        this.wantsBack = "";
        this.cameBack = "";
        this.refunds = List.of();
    }

    /** What the buyer ordered. */
    void placed(Ordered ordered) {
        placedAt = ordered.placedAt();
        buyer = ordered.buyer();
        String name = ordered.buyer().name();
        buyerName = name.substring(0, Math.min(LONGEST_NAME, name.length()));
        lines = List.copyOf(ordered.lines());
        postageMinor = ordered.postageMinor();
    }

    boolean isPlaced() {
        return placedAt != null;
    }

    void reserve(Map<String, Integer> aside, boolean isAll) {
        reserved = Map.copyOf(aside);
        state = isAll ? OrderState.RESERVED : OrderState.SHORT;
    }

    /** It is cancelled; where the shop had paid it out before, it pays the buyer back by itself. */
    void cancel() {
        reserved = Map.of();
        state = OrderState.CANCELLED;
        if (isPaidOut()) {
            refundByShop();
        }
    }

    /** A payout had it although it was cancelled before: the shop has to take that back again. */
    void paidOutCancelled(long payout) {
        payoutId = payout;
        if (refunds.isEmpty()) {
            refundByShop();
        }
    }

    private void refundByShop() {
        if (paidMinor() > 0) {
            refund(new OrderRefund(UUID.randomUUID(), paidMinor(), units(), true, false));
        }
    }

    void post(UUID sale, LocalDate on) {
        saleId = sale;
        reserved = Map.of();
        postedOn = on;
        state = OrderState.POSTED;
    }

    void arrive(LocalDate on) {
        arrivedOn = on;
        state = OrderState.ARRIVED;
    }

    void wantBack(String reason) {
        wantsBack = reason;
    }

    /** Some of its bags came back, or all of them; the shop has to pay back what the buyer gets for them. */
    void comeBack(ReturnedBags.Kept kept) {
        saleId = kept.sale();
        if (kept.sale() == null) {
            state = OrderState.CAME_BACK;
        }
        String all = cameBack.isEmpty() ? kept.words() : cameBack + "; " + kept.words();
        cameBack = all.substring(0, Math.min(LONGEST_REASON, all.length()));
        if (kept.refundMinor() > 0) {
            refund(new OrderRefund(UUID.randomUUID(), kept.refundMinor(), kept.units(), false, false));
        }
    }

    private void refund(OrderRefund refund) {
        refunds(Stream.concat(refunds.stream(), Stream.of(refund)).toList());
    }

    private void refunds(List<OrderRefund> now) {
        refunds = now;
        untoldRefunds = (int) now.stream().filter(one -> !one.isTold()).count();
    }

    /** The shop knows of a refund. */
    void toldRefund(UUID id) {
        refunds(refunds.stream()
                .map(one -> one.id().equals(id) ? one.told() : one)
                .toList());
    }

    /** A payout had some refunds. */
    void paidOutRefunds(Collection<UUID> ids) {
        refunds(refunds.stream()
                .map(one -> ids.contains(one.id()) ? one.paidOut() : one)
                .toList());
    }

    /** Nobody needs to know any more who it was. */
    void forget() {
        buyer = null;
        buyerName = "";
    }

    void paidOut(long payout) {
        payoutId = payout;
    }

    /** What the buyer paid in all. */
    long paidMinor() {
        return postageMinor
                + lines.stream()
                        .mapToLong(line -> Math.multiplyExact(line.priceMinor(), (long) line.units()))
                        .sum();
    }

    int units() {
        return lines.stream().mapToInt(Line::units).sum();
    }

    boolean isOpen() {
        return state == OrderState.RESERVED || state == OrderState.SHORT;
    }

    long id() {
        return id;
    }

    long version() {
        return version;
    }

    String number() {
        return number;
    }

    OrderState state() {
        return state;
    }

    Optional<Instant> placedAt() {
        return Optional.ofNullable(placedAt);
    }

    Optional<Buyer> buyer() {
        return Optional.ofNullable(buyer);
    }

    List<Line> lines() {
        return lines;
    }

    long postageMinor() {
        return postageMinor;
    }

    Map<String, Integer> reserved() {
        return reserved;
    }

    Optional<UUID> saleId() {
        return Optional.ofNullable(saleId);
    }

    Optional<LocalDate> postedOn() {
        return Optional.ofNullable(postedOn);
    }

    Optional<LocalDate> arrivedOn() {
        return Optional.ofNullable(arrivedOn);
    }

    String wantsBack() {
        return wantsBack;
    }

    String cameBack() {
        return cameBack;
    }

    List<OrderRefund> refunds() {
        return refunds;
    }

    /** What the buyer got back in all. */
    long refundedMinor() {
        return refunds.stream().mapToLong(OrderRefund::minor).sum();
    }

    /** Whether the shop knows of all that the buyer gets back. */
    boolean isRefundTold() {
        return untoldRefunds == 0;
    }

    boolean isPaidOut() {
        return payoutId != null;
    }
}
