package mardun.app.material;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import mardun.app.id.MaterialId;
import org.hibernate.annotations.Immutable;

/** What a material costs to buy, since when. */
@Entity
@Immutable
class MaterialPrice {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private MaterialId materialId;
    private Instant since;
    private long priceMinor;
    private long pricePerValue;

    protected MaterialPrice() {}

    MaterialPrice(Material material, Instant since) {
        this.materialId = material.id();
        this.since = since;
        this.priceMinor = material.priceMinor();
        this.pricePerValue = material.pricePer().value();
    }

    MaterialId materialId() {
        return materialId;
    }

    long id() {
        return id;
    }

    Instant since() {
        return since;
    }

    long priceMinor() {
        return priceMinor;
    }

    long pricePerValue() {
        return pricePerValue;
    }
}
