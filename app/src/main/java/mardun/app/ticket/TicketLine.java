package mardun.app.ticket;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import java.util.Objects;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import org.jspecify.annotations.Nullable;

/** So many tickets that are alike, with what stands on them. */
@Entity
class TicketLine {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(fetch = FetchType.LAZY)
    private TicketRun run;

    private int position;
    private @Nullable Long goodsId;
    private @Nullable BatchId batchId;
    private @Nullable Integer lineNumber;
    private DesignId designId;
    private String sizeKey;
    private Long priceMinor;
    private boolean ownPrice;
    private int units;
    private int cameOut;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredText.class)
    private TicketText words;

    protected TicketLine() {}

    /**
     * Tickets to be printed.
     *
     * @param goodsId the finished bags that they are for; absent for tickets of a design, or of bags that are still to be made
     * @param bags the line of a batch whose bags they are for; empty otherwise
     * @param priceMinor absent for tickets without a price
     * @param ownPrice it was typed, and follows no book
     */
    TicketLine(
            @Nullable Long goodsId,
            Optional<LineOf> bags,
            @Nullable DesignId designId,
            String sizeKey,
            @Nullable Long priceMinor,
            boolean ownPrice,
            int units,
            TicketText words) {
        this.goodsId = goodsId;
        this.batchId = bags.map(LineOf::batch).orElse(null);
        this.lineNumber = bags.map(LineOf::line).orElse(null);
        this.designId = designId;
        this.sizeKey = sizeKey;
        this.priceMinor = priceMinor;
        this.ownPrice = ownPrice;
        this.units = units;
        this.words = words;
    }

    /** A line of a batch. */
    record LineOf(BatchId batch, int line) {}

    void of(TicketRun itsRun, int itsPosition) {
        run = itsRun;
        position = itsPosition;
    }

    /** One more came out. */
    void comeOut() {
        cameOut++;
    }

    void allComeOut() {
        cameOut = units;
    }

    TicketRun run() {
        return run;
    }

    int position() {
        return position;
    }

    /** The finished bags that they are for; not asked of others. */
    long goodsId() {
        return Objects.requireNonNull(goodsId);
    }

    /** The bags that were still to be made; not asked of others. */
    LineOf bags() {
        return new LineOf(Objects.requireNonNull(batchId), Objects.requireNonNull(lineNumber));
    }

    Optional<DesignId> designId() {
        return Optional.ofNullable(designId);
    }

    String sizeKey() {
        return sizeKey;
    }

    Optional<Long> priceMinor() {
        return Optional.ofNullable(priceMinor);
    }

    boolean isOwnPrice() {
        return ownPrice;
    }

    int units() {
        return units;
    }

    int cameOut() {
        return cameOut;
    }

    TicketText words() {
        return words;
    }
}
