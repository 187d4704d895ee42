package mardun.app.batch;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLine;
import mardun.core.batch.LineCounts;
import mardun.core.batch.PiecesMoved;

/** A line of a batch: so many bags of one size of one design in one choice of materials. */
@Entity
@Table(name = "batch_line")
class StoredLine {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(fetch = FetchType.LAZY)
    private Batch batch;

    private int number;
    private int position;
    private DesignId designId;
    private int designRevision;
    private String sizeName;
    private String sizeKey;
    private int wanted;
    private int started;
    private Long ownPriceMinor;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredPicks.class)
    private Map<String, String> picks = Map.of();

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = SlotMaterials.class)
    private Map<String, MaterialId> materials;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = BroughtPieces.class)
    private Map<MaterialId, Integer> brought = Map.of();

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = MovedPieces.class)
    private Map<String, PiecesMoved.OfCloth> moved = Map.of();

    private int movedCutting;
    private long movedNanos;

    private int good;
    private int seconds;
    private int scrap;

    protected StoredLine() {}

    StoredLine(Batch batch, ChosenLine chosen, int position) {
        this.batch = batch;
        this.number = chosen.number();
        enter(chosen, position);
    }

    /** Takes what was chosen anew; what is done of it stays. */
    void enter(ChosenLine chosen, int newPosition) {
        position = newPosition;
        designId = chosen.designId();
        designRevision = chosen.revision();
        sizeName = chosen.sizeName();
        sizeKey = chosen.sizeKey();
        wanted = chosen.wanted();
        started = chosen.started();
        ownPriceMinor = chosen.ownPriceMinor().orElse(null);
        picks = chosen.picks();
        materials = chosen.materials();
        brought = chosen.brought();
        move(chosen.moved());
    }

    /** Cut pieces came to it or went from it. */
    void move(PiecesMoved pieces) {
        moved = pieces.cloths();
        movedCutting = pieces.cutting();
        movedNanos = pieces.time().toNanos();
    }

    /** Its cloth is cut: what it brought from the shelf is there, and nothing more comes. */
    void bring(PiecesMoved pieces) {
        brought = Map.of();
        move(pieces);
    }

    /** It makes other numbers of bags from now on. */
    void count(LineCounts counts) {
        wanted = counts.wanted();
        started = counts.started();
    }

    void rePrice(Optional<Long> newOwnPriceMinor) {
        ownPriceMinor = newOwnPriceMinor.orElse(null);
    }

    /** So many more are done. */
    void done(int newGood, int newSeconds, int newScrap) {
        good += newGood;
        seconds += newSeconds;
        scrap += newScrap;
    }

    int position() {
        return position;
    }

    int number() {
        return number;
    }

    DesignId designId() {
        return designId;
    }

    int designRevision() {
        return designRevision;
    }

    ChosenLine chosen() {
        return new ChosenLine(
                number,
                designId,
                designRevision,
                sizeKey,
                sizeName,
                wanted,
                started,
                picks,
                materials,
                Optional.ofNullable(ownPriceMinor),
                good,
                seconds,
                scrap,
                brought,
                new PiecesMoved(moved, movedCutting, Duration.ofNanos(movedNanos)));
    }
}
