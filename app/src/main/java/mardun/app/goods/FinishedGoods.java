package mardun.app.goods;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The bags that a batch gave, with what each of them cost. */
@Entity
class FinishedGoods {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private Long batchId;
    private String designName;
    private String sizeName;
    private String clothName;
    private int units;
    private long unitCostMinor;
    private long priceMinor;
    private LocalDate finishedOn;

    protected FinishedGoods() {}

    FinishedGoods(
            @Nullable Long batchId,
            String designName,
            String sizeName,
            String clothName,
            int units,
            long unitCostMinor,
            long priceMinor,
            LocalDate finishedOn) {
        this.batchId = batchId;
        this.designName = designName;
        this.sizeName = sizeName;
        this.clothName = clothName;
        this.units = units;
        this.unitCostMinor = unitCostMinor;
        this.priceMinor = priceMinor;
        this.finishedOn = finishedOn;
    }

    long id() {
        return id;
    }

    /** The batch that gave them; empty for bags that were entered from a list. */
    Optional<Long> batchId() {
        return Optional.ofNullable(batchId);
    }

    String designName() {
        return designName;
    }

    String sizeName() {
        return sizeName;
    }

    String clothName() {
        return clothName;
    }

    int units() {
        return units;
    }

    long unitCostMinor() {
        return unitCostMinor;
    }

    long priceMinor() {
        return priceMinor;
    }

    LocalDate finishedOn() {
        return finishedOn;
    }
}
