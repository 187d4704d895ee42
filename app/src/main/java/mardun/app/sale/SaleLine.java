package mardun.app.sale;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.Optional;
import java.util.UUID;
import mardun.app.sale.Sale.Worth;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Bags of a sale that were of one lot, or of none, because the book had none left. */
@Entity
@Immutable
class SaleLine {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private UUID saleId;
    private String bagKind;
    private @Nullable Long goodsId;
    private String place;
    private int units;
    private long paidMinor;
    private long usualMinor;
    private long costMinor;
    private long labourMinor;
    private long overheadMinor;
    private long seconds;
    private int unknownUnits;

    protected SaleLine() {}

    /**
     * Bags of a sale.
     *
     * @param goodsId the lot; absent where the book had none left
     * @param usualMinor what one is usually sold for
     */
    SaleLine(
            UUID saleId,
            String bagKind,
            @Nullable Long goodsId,
            String place,
            int units,
            long paidMinor,
            long usualMinor,
            Worth worth) {
        this.saleId = saleId;
        this.bagKind = bagKind;
        this.goodsId = goodsId;
        this.place = place;
        this.units = units;
        this.paidMinor = paidMinor;
        this.usualMinor = usualMinor;
        this.costMinor = worth.costMinor();
        this.labourMinor = worth.labourMinor();
        this.overheadMinor = worth.overheadMinor();
        this.seconds = worth.seconds();
        this.unknownUnits = worth.unknownUnits();
    }

    long id() {
        return id;
    }

    UUID saleId() {
        return saleId;
    }

    String bagKind() {
        return bagKind;
    }

    Optional<Long> goodsId() {
        return Optional.ofNullable(goodsId);
    }

    String place() {
        return place;
    }

    int units() {
        return units;
    }

    long paidMinor() {
        return paidMinor;
    }

    long usualMinor() {
        return usualMinor;
    }

    Worth worth() {
        return new Worth(costMinor, labourMinor, overheadMinor, seconds, unknownUnits);
    }
}
