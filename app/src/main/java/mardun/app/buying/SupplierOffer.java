package mardun.app.buying;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import mardun.app.id.MaterialId;

/** A pack of a material that a shop sells: a card of ten, half a metre, a roll. A changed price is a new offer. */
@Entity
class SupplierOffer {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private MaterialId materialId;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    private Supplier supplier;

    private long contentValue;
    private long priceMinor;

    protected SupplierOffer() {}

    SupplierOffer(MaterialId materialId, Supplier supplier, long contentValue, long priceMinor) {
        this.materialId = materialId;
        this.supplier = supplier;
        this.contentValue = contentValue;
        this.priceMinor = priceMinor;
    }

    long id() {
        return id;
    }

    MaterialId materialId() {
        return materialId;
    }

    Supplier supplier() {
        return supplier;
    }

    long contentValue() {
        return contentValue;
    }

    long priceMinor() {
        return priceMinor;
    }
}
