package mardun.app.goods;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDate;
import java.util.Optional;
import mardun.app.goods.GoodsViews.NewGoods;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.core.money.Apportionment;

/** The bags that a batch gave, with what each of them cost. */
@Entity
class FinishedGoods {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private BatchId batchId;
    private Integer lineNumber;
    private DesignId designId;
    private String sizeKey;
    private MaterialId clothId;

    @Enumerated(EnumType.STRING)
    private Quality quality;

    private long totalCostMinor;
    private String designName;
    private String sizeName;
    private String clothName;
    private int units;
    private long unitCostMinor;
    private long priceMinor;
    private LocalDate finishedOn;
    private Long labourMinor;
    private long overheadMinor;
    private String bagKind;
    private Long madeSeconds;
    private Long fromGoodsId;
    private String choiceKey = "";
    private String choiceWords = "";

    protected FinishedGoods() {}

    /** Bags that were made before Mardun knew of them. */
    FinishedGoods(
            String designName,
            String sizeName,
            String clothName,
            int units,
            long unitCostMinor,
            long priceMinor,
            LocalDate finishedOn) {
        this.quality = Quality.GOOD;
        this.designName = designName;
        this.sizeName = sizeName;
        this.clothName = clothName;
        this.units = units;
        this.unitCostMinor = unitCostMinor;
        this.totalCostMinor = Math.multiplyExact(unitCostMinor, (long) units);
        this.priceMinor = priceMinor;
        this.finishedOn = finishedOn;
        this.bagKind = BagKind.keyOf(this);
    }

    FinishedGoods(NewGoods made, LocalDate finishedOn) {
        this.batchId = made.batchId();
        this.lineNumber = made.lineNumber();
        this.designId = made.designId();
        this.sizeKey = made.sizeKey();
        this.clothId = made.clothId();
        this.quality = made.quality();
        this.designName = made.designName();
        this.sizeName = made.sizeName();
        this.choiceKey = made.choice().key();
        this.choiceWords = made.choice().words();
        this.clothName = made.clothName();
        this.units = made.units();
        this.totalCostMinor = made.totalCostMinor();
        this.unitCostMinor = Apportionment.share(made.totalCostMinor(), 1, made.units());
        this.priceMinor = made.priceMinor();
        this.finishedOn = finishedOn;
        this.bagKind = BagKind.keyOf(this);
        took(made.made().labourMinor(), made.made().overheadMinor(), made.made().seconds());
    }

    /**
     * Some of them that turned out to be seconds: they carry their share of what all of them cost. They belong to no batch, whose
     * figures go by the lots that it gave.
     */
    FinishedGoods seconds(int some) {
        FinishedGoods second = new FinishedGoods();
        second.fromGoodsId = id;
        second.designId = designId;
        second.sizeKey = sizeKey;
        second.clothId = clothId;
        second.quality = Quality.SECOND;
        second.designName = designName;
        second.sizeName = sizeName;
        second.choiceKey = choiceKey;
        second.choiceWords = choiceWords;
        second.clothName = clothName;
        second.units = some;
        second.totalCostMinor = Apportionment.share(totalCostMinor, some, units);
        second.unitCostMinor = unitCostMinor;
        second.priceMinor = priceMinor;
        second.finishedOn = finishedOn;
        second.overheadMinor = Apportionment.share(overheadMinor, some, units);
        if (labourMinor != null && madeSeconds != null) {
            second.labourMinor = Apportionment.share(labourMinor, some, units);
            second.madeSeconds = Apportionment.share(madeSeconds, some, units);
        }
        second.bagKind = BagKind.keyOf(second);
        return second;
    }

    /** The lot from which these were parted, because they turned out to be seconds. */
    Optional<Long> fromGoodsId() {
        return Optional.ofNullable(fromGoodsId);
    }

    /**
     * What the work in all of them comes to.
     *
     * @param overheads what they bear of them, in minor units
     * @param seconds hands-on time that all of them took
     */
    void took(long minor, long overheads, long seconds) {
        labourMinor = minor;
        overheadMinor = overheads;
        madeSeconds = seconds;
    }

    /** What the work in one of them costs, rounded; empty for those that were done before that was kept. */
    Optional<Long> unitLabourMinor() {
        return Optional.ofNullable(labourMinor).map(all -> Apportionment.share(all, 1, units));
    }

    /** What all of them bear of overheads; nothing for those that were done before that was kept. */
    long overheadMinor() {
        return overheadMinor;
    }

    /** How many seconds one of them took, rounded; empty likewise. */
    Optional<Long> unitSeconds() {
        return Optional.ofNullable(madeSeconds).map(all -> Apportionment.share(all, 1, units));
    }

    /** Tells which bags are the same to a buyer. */
    String bagKind() {
        return bagKind;
    }

    Optional<MaterialId> clothId() {
        return Optional.ofNullable(clothId);
    }

    /** They cost so much more together. */
    void bear(long minor) {
        totalCostMinor += minor;
        unitCostMinor = Apportionment.share(totalCostMinor, 1, units);
    }

    long id() {
        return id;
    }

    /** The batch that gave them; empty for bags that were entered from a list. */
    Optional<BatchId> batchId() {
        return Optional.ofNullable(batchId);
    }

    /** The line of the batch; empty for bags that were entered from a list. */
    Optional<Integer> lineNumber() {
        return Optional.ofNullable(lineNumber);
    }

    /** Of which design; empty for bags that were entered from a list. */
    Optional<DesignId> designId() {
        return Optional.ofNullable(designId);
    }

    /** What the size is known by; empty where nobody kept that. */
    Optional<String> sizeKey() {
        return Optional.ofNullable(sizeKey);
    }

    Quality quality() {
        return quality;
    }

    /** What all of them cost together, to the cent; {@link #unitCostMinor()} is what one cost, rounded. */
    long totalCostMinor() {
        return totalCostMinor;
    }

    String designName() {
        return designName;
    }

    /** The size, and what was chosen otherwise than usual. */
    String sizeName() {
        return isUsual() ? sizeName : sizeName + ", " + choiceWords;
    }

    /** Nothing was chosen otherwise than usual. */
    boolean isUsual() {
        return choiceKey.isEmpty();
    }

    /** Tells what was chosen from other choices of the design; empty for the usual. */
    String choiceKey() {
        return choiceKey;
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
