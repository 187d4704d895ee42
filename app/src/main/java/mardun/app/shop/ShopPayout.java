package mardun.app.shop;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;
import java.util.List;
import mardun.core.selling.PayoutMatch.Finding;

/** Money that the shop paid out, held against its orders when it came. */
@Entity
class ShopPayout {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private Instant paidAt;
    private long totalMinor;
    private long offMinor;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredPayoutLines.class)
    private List<Row> lines;

    /** A line with what was found. */
    record Row(String order, long paidMinor, long feeMinor, Finding finding, long offMinor, List<String> with) {}

    protected ShopPayout() {}

    ShopPayout(String name, Instant paidAt, long totalMinor, long offMinor, List<Row> lines) {
        this.name = name;
        this.paidAt = paidAt;
        this.totalMinor = totalMinor;
        this.offMinor = offMinor;
        this.lines = List.copyOf(lines);
    }

    long id() {
        return id;
    }

    String name() {
        return name;
    }

    Instant paidAt() {
        return paidAt;
    }

    long totalMinor() {
        return totalMinor;
    }

    /** By how much it is more than its own lines. */
    long offMinor() {
        return offMinor;
    }

    List<Row> lines() {
        return lines;
    }
}
