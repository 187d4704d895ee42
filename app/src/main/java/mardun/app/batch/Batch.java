package mardun.app.batch;

import jakarta.persistence.Column;
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
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** So many units of one size of a design, made together. */
@Entity
class Batch {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private long designId;
    private String sizeName;
    private String sizeKey;
    private int units;

    @Enumerated(EnumType.STRING)
    private BatchStage stage;

    private LocalDate dueOn;
    private String forWhat;
    private Long ownPriceMinor;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String materials;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String frozen;

    private String offcuts;
    private Integer finishedUnits;
    private Instant createdAt;
    private Instant cutAt;
    private Instant finishedAt;

    protected Batch() {}

    Batch(long designId, Instant createdAt) {
        this.designId = designId;
        this.stage = BatchStage.PLANNED;
        this.createdAt = createdAt;
    }

    /** What a form says about a batch, read and checked; {@code materials} and {@code offcuts} are JSON. */
    record Entered(
            String sizeName,
            String sizeKey,
            int units,
            Optional<LocalDate> dueOn,
            String forWhat,
            Optional<Long> ownPriceMinor,
            String materials,
            String offcuts) {}

    void enter(Entered entered) {
        sizeName = entered.sizeName();
        sizeKey = entered.sizeKey();
        units = entered.units();
        dueOn = entered.dueOn().orElse(null);
        forWhat = entered.forWhat();
        ownPriceMinor = entered.ownPriceMinor().orElse(null);
        materials = entered.materials();
        offcuts = entered.offcuts();
    }

    /** The price and the day it is wanted may change as long as it isn't finished, whatever was cut. */
    void rePrice(@Nullable LocalDate newDueOn, String newForWhat, @Nullable Long newOwnPriceMinor) {
        dueOn = newDueOn;
        forWhat = newForWhat;
        ownPriceMinor = newOwnPriceMinor;
    }

    void cut(String frozenInputs, Instant now) {
        stage = BatchStage.CUT;
        frozen = frozenInputs;
        cutAt = now;
    }

    /**
     * The bags are done.
     *
     * @param frozenInputs what the plan was worked out from, with what everything really cost
     */
    void finish(int good, String frozenInputs, Instant now) {
        frozen = frozenInputs;
        stage = BatchStage.FINISHED;
        finishedUnits = good;
        finishedAt = now;
    }

    long id() {
        return id;
    }

    long version() {
        return version;
    }

    long designId() {
        return designId;
    }

    /** What the size is known by, whatever it is called by now; of batches from before that was kept, nothing. */
    Optional<String> sizeKey() {
        return Optional.ofNullable(sizeKey);
    }

    /** What the size was called when the batch was planned. */
    String sizeName() {
        return sizeName;
    }

    int units() {
        return units;
    }

    BatchStage stage() {
        return stage;
    }

    Optional<LocalDate> dueOn() {
        return Optional.ofNullable(dueOn);
    }

    String forWhat() {
        return forWhat;
    }

    Optional<Long> ownPriceMinor() {
        return Optional.ofNullable(ownPriceMinor);
    }

    String materials() {
        return materials;
    }

    /** The lots of offcuts and precuts that it is cut from first, as JSON. */
    String offcuts() {
        return offcuts;
    }

    Optional<String> frozen() {
        return Optional.ofNullable(frozen);
    }

    Optional<Integer> finishedUnits() {
        return Optional.ofNullable(finishedUnits);
    }

    Optional<Instant> finishedAt() {
        return Optional.ofNullable(finishedAt);
    }
}
