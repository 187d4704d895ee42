package mardun.app.quote;

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
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import mardun.app.problem.RefusedException;
import mardun.core.selling.Tender;
import org.jspecify.annotations.Nullable;

/** What a customer has ordered. */
@Entity
class CustomerOrder {

    private static final int LONGEST_REASON = 500;

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private Long quoteId;
    private int quoteNumber;
    private @Nullable BatchId batchId;
    private @Nullable ChannelId channelId;
    private Instant madeAt;
    private String who;
    private String reach;
    private @Nullable LocalDate dueOn;
    private long totalMinor;
    private long depositMinor;
    private @Nullable LocalDate depositPaidOn;
    private boolean depositKept;

    @Enumerated(EnumType.STRING)
    private CustomerOrderState state;

    private @Nullable LocalDate closedOn;
    private String reason;
    private @Nullable UUID saleId;

    @Enumerated(EnumType.STRING)
    private @Nullable Tender tender;

    private @Nullable Long paidMinor;
    private boolean forgotten;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = OrderedLines.class)
    private List<OrderedLine> lines;

    protected CustomerOrder() {}

    /**
     * An order as it was agreed.
     *
     * @param quoteNumber the version of the quote that was taken
     * @param channelId through which it is sold; absent for the usual one
     */
    CustomerOrder(
            long quoteId,
            int quoteNumber,
            @Nullable ChannelId channelId,
            Instant madeAt,
            String who,
            String reach,
            @Nullable LocalDate dueOn,
            long totalMinor,
            long depositMinor,
            List<OrderedLine> lines) {
        this.quoteId = quoteId;
        this.quoteNumber = quoteNumber;
        this.channelId = channelId;
        this.madeAt = madeAt;
        this.who = who;
        this.reach = reach;
        this.dueOn = dueOn;
        this.totalMinor = totalMinor;
        this.depositMinor = depositMinor;
        this.lines = List.copyOf(lines);
        this.state = CustomerOrderState.AGREED;
        this.reason = "";
    }

    /** It is made in a batch. */
    void madeIn(BatchId batch) {
        batchId = batch;
    }

    /** Its deposit was paid on a day; absent where it wasn't after all. */
    void depositPaid(@Nullable LocalDate on) {
        refuseUnless(CustomerOrderState.AGREED);
        depositPaidOn = on;
    }

    /** The customer has the bags, and has paid so much for all of them, with what was paid before. */
    void handOver(UUID sale, LocalDate on, Tender by, long paid) {
        refuseUnless(CustomerOrderState.AGREED);
        state = CustomerOrderState.HANDED_OVER;
        saleId = sale;
        closedOn = on;
        tender = by;
        paidMinor = paid;
    }

    /**
     * Some of its bags came back, or all of them.
     *
     * @param sale of those that the customer keeps; absent for none
     * @param paid what stays paid
     */
    void comeBack(@Nullable UUID sale, long paid, String why) {
        refuseUnless(CustomerOrderState.HANDED_OVER);
        saleId = sale;
        paidMinor = paid;
        state = sale == null ? CustomerOrderState.CAME_BACK : CustomerOrderState.HANDED_OVER;
        String all = reason.isEmpty() ? why : reason + "; " + why;
        reason = all.substring(0, Math.min(LONGEST_REASON, all.length()));
    }

    /** Nothing came of it; a deposit that was paid was given back or kept. */
    void cancel(LocalDate on, String why, boolean keepsDeposit) {
        refuseUnless(CustomerOrderState.AGREED);
        state = CustomerOrderState.CANCELLED;
        closedOn = on;
        reason = why;
        depositKept = keepsDeposit && depositPaidOn != null;
    }

    /** What was said to have become of it was wrong: it is open again. */
    void openAgain() {
        if (state == CustomerOrderState.AGREED) {
            throw RefusedException.conflict("This order is open already.");
        }
        if (state == CustomerOrderState.CAME_BACK) {
            throw RefusedException.conflict("Its bags came back, and went where they belong. Agree a new order.");
        }
        if (forgotten) {
            throw RefusedException.conflict("Whose order this was is forgotten, so it stays closed.");
        }
        state = CustomerOrderState.AGREED;
        closedOn = null;
        reason = "";
        saleId = null;
        tender = null;
        paidMinor = null;
        depositKept = false;
    }

    /** Who ordered it, and how to reach them, is kept no longer; the figures stay. */
    void forget() {
        if (state == CustomerOrderState.AGREED) {
            throw RefusedException.conflict(
                    "This order is still open, so who it is for is needed. Hand it over or cancel it first.");
        }
        who = "";
        reach = "";
        reason = "";
        lines = lines.stream().map(OrderedLine::forgotten).toList();
        forgotten = true;
    }

    /** @throws RefusedException if something became of it already */
    void refuseUnlessOpen() {
        refuseUnless(CustomerOrderState.AGREED);
    }

    private void refuseUnless(CustomerOrderState wanted) {
        if (state != wanted) {
            throw RefusedException.conflict(
                    switch (state) {
                        case AGREED -> "This order isn't handed over yet.";
                        case HANDED_OVER -> "This order was handed over already. Open it again first.";
                        case CAME_BACK -> "All bags of this order came back.";
                        case CANCELLED -> "This order was cancelled. Open it again first.";
                    });
        }
    }

    long id() {
        return id;
    }

    long version() {
        return version;
    }

    long quoteId() {
        return quoteId;
    }

    int quoteNumber() {
        return quoteNumber;
    }

    Optional<BatchId> batchId() {
        return Optional.ofNullable(batchId);
    }

    Optional<ChannelId> channelId() {
        return Optional.ofNullable(channelId);
    }

    Instant madeAt() {
        return madeAt;
    }

    String who() {
        return who;
    }

    String reach() {
        return reach;
    }

    Optional<LocalDate> dueOn() {
        return Optional.ofNullable(dueOn);
    }

    long totalMinor() {
        return totalMinor;
    }

    long depositMinor() {
        return depositMinor;
    }

    Optional<LocalDate> depositPaidOn() {
        return Optional.ofNullable(depositPaidOn);
    }

    boolean isDepositKept() {
        return depositKept;
    }

    CustomerOrderState state() {
        return state;
    }

    Optional<LocalDate> closedOn() {
        return Optional.ofNullable(closedOn);
    }

    String reason() {
        return reason;
    }

    Optional<UUID> saleId() {
        return Optional.ofNullable(saleId);
    }

    Optional<Tender> tender() {
        return Optional.ofNullable(tender);
    }

    Optional<Long> paidMinor() {
        return Optional.ofNullable(paidMinor);
    }

    boolean isForgotten() {
        return forgotten;
    }

    List<OrderedLine> lines() {
        return lines;
    }

    /** How many bags were ordered. */
    int units() {
        return lines.stream().mapToInt(OrderedLine::units).sum();
    }
}
