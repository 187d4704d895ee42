package mardun.app.quote;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mardun.app.id.BatchId;
import org.jspecify.annotations.Nullable;

/** What a customer has ordered. */
@Entity
class CustomerOrder {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private Long quoteId;
    private int quoteNumber;
    private BatchId batchId;
    private Instant madeAt;
    private String who;
    private String reach;
    private LocalDate dueOn;
    private long totalMinor;
    private long depositMinor;
    private LocalDate depositPaidOn;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = OrderedLines.class)
    private List<String> lines;

    protected CustomerOrder() {}

    CustomerOrder(
            long quoteId,
            int quoteNumber,
            Instant madeAt,
            String who,
            String reach,
            @Nullable LocalDate dueOn,
            long totalMinor,
            long depositMinor,
            List<String> lines) {
        this.quoteId = quoteId;
        this.quoteNumber = quoteNumber;
        this.madeAt = madeAt;
        this.who = who;
        this.reach = reach;
        this.dueOn = dueOn;
        this.totalMinor = totalMinor;
        this.depositMinor = depositMinor;
        this.lines = List.copyOf(lines);
    }

    /** It is made in a batch. */
    void madeIn(BatchId batch) {
        batchId = batch;
    }

    /** Its deposit was paid on a day; absent where it wasn't after all. */
    void depositPaid(@Nullable LocalDate on) {
        depositPaidOn = on;
    }

    long id() {
        return id;
    }

    long version() {
        return version;
    }

    int quoteNumber() {
        return quoteNumber;
    }

    Optional<BatchId> batchId() {
        return Optional.ofNullable(batchId);
    }

    String who() {
        return who;
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

    List<String> lines() {
        return lines;
    }
}
