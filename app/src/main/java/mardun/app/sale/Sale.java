package mardun.app.sale;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mardun.app.id.ChannelId;
import mardun.app.id.FairId;
import mardun.app.sale.Sales.NewSale;
import mardun.core.selling.Tender;
import org.hibernate.annotations.Generated;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** Bags that were sold at once to one buyer. */
@Entity
class Sale implements Persistable<UUID> {

    @Id
    private UUID id;

    /** In which order sales came in. */
    @Generated
    @Column(insertable = false, updatable = false)
    private long number;

    private ChannelId channelId;
    private @Nullable FairId fairId;
    private Instant soldAt;
    private LocalDate soldOn;

    @Enumerated(EnumType.STRING)
    private Tender tender;

    private int units;
    private long paidMinor;
    private long taxMinor;
    private long feesMinor;
    private long costMinor;
    private long labourMinor;
    private long seconds;
    private int unknownUnits;
    private String payment;
    private String note;
    private @Nullable Instant takenBackAt;

    @Transient
    private boolean isStored;

    protected Sale() {}

    Sale(NewSale sold, LocalDate soldOn) {
        this.id = sold.id();
        this.channelId = sold.channelId();
        this.fairId = sold.fairId().orElse(null);
        this.soldAt = sold.at();
        this.soldOn = soldOn;
        this.tender = sold.tender();
        this.units = sold.units();
        this.paidMinor = sold.paidMinor();
        this.payment = sold.payment();
        this.note = sold.note();
    }

    @PostLoad
    @PostPersist
    void stored() {
        isStored = true;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return !isStored;
    }

    /** What came off it. */
    void took(long tax, long fees) {
        taxMinor = tax;
        feesMinor = fees;
    }

    /** What its bags cost, and the work in them. */
    void cost(Worth worth) {
        costMinor = worth.costMinor();
        labourMinor = worth.labourMinor();
        seconds = worth.seconds();
        unknownUnits = worth.unknownUnits();
    }

    /**
     * What bags of a sale are worth.
     *
     * @param unknownUnits of how many of them nobody knows the work
     */
    record Worth(long costMinor, long labourMinor, long overheadMinor, long seconds, int unknownUnits) {

        static final Worth NOTHING = new Worth(0, 0, 0, 0, 0);

        Worth plus(Worth other) {
            return new Worth(
                    costMinor + other.costMinor,
                    labourMinor + other.labourMinor,
                    overheadMinor + other.overheadMinor,
                    seconds + other.seconds,
                    unknownUnits + other.unknownUnits);
        }
    }

    /** As it was booked. */
    NewSale booked(String place, List<Sales.Sold> bags) {
        return new NewSale(
                id, channelId, Optional.ofNullable(fairId), place, soldAt, tender, bags, paidMinor, payment, note);
    }

    void takeBack(Instant at) {
        takenBackAt = at;
    }

    boolean isTakenBack() {
        return takenBackAt != null;
    }

    Instant soldAt() {
        return soldAt;
    }

    LocalDate soldOn() {
        return soldOn;
    }

    @Nullable
    FairId fairId() {
        return fairId;
    }

    Tender tender() {
        return tender;
    }

    int units() {
        return units;
    }

    long paidMinor() {
        return paidMinor;
    }
}
