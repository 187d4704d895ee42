package mardun.app.resell;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.springframework.data.domain.Persistable;

/** What a reseller has sold, what it takes of that, and what is left for the maker. */
@Entity
class ResellerSettlement implements Persistable<UUID> {

    @Id
    private UUID id;

    private long resellerId;

    /** In which order settlements came in. */
    @Generated
    @Column(insertable = false, updatable = false)
    private long number;

    private LocalDate settledOn;
    private UUID saleId;
    private int units;
    private long soldMinor;
    private long takenMinor;
    private long taxMinor;
    private boolean takenBack;

    @Transient
    private boolean isStored;

    protected ResellerSettlement() {}

    /**
     * A settlement.
     *
     * @param soldMinor what buyers paid
     * @param takenMinor what the reseller takes of it
     * @param taxMinor the tax in it
     */
    ResellerSettlement(
            UUID id,
            long resellerId,
            LocalDate settledOn,
            UUID saleId,
            int units,
            long soldMinor,
            long takenMinor,
            long taxMinor) {
        this.id = id;
        this.resellerId = resellerId;
        this.settledOn = settledOn;
        this.saleId = saleId;
        this.units = units;
        this.soldMinor = soldMinor;
        this.takenMinor = takenMinor;
        this.taxMinor = taxMinor;
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

    void takeBack() {
        takenBack = true;
    }

    long resellerId() {
        return resellerId;
    }

    LocalDate settledOn() {
        return settledOn;
    }

    UUID saleId() {
        return saleId;
    }

    int units() {
        return units;
    }

    long soldMinor() {
        return soldMinor;
    }

    long takenMinor() {
        return takenMinor;
    }

    long taxMinor() {
        return taxMinor;
    }

    boolean isTakenBack() {
        return takenBack;
    }
}
