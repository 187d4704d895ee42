package mardun.app.ticket;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.app.id.ChannelId;
import mardun.app.paper.LabelDrawing.CodeKind;
import mardun.app.ticket.TicketViews.PrintTarget;
import mardun.core.label.LabelSheet;
import org.jspecify.annotations.Nullable;

/** Tickets that were printed at once. */
@Entity
class TicketRun {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private Instant madeAt;

    @Enumerated(EnumType.STRING)
    private PrintTarget target;

    private ChannelId channelId;
    private String sheetKey;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredMeasures.class)
    private SheetMeasures measures;

    @Enumerated(EnumType.STRING)
    private CodeKind code;

    private int used;
    private boolean takenBack;

    @OneToMany(mappedBy = "run", cascade = CascadeType.ALL)
    @OrderBy("position")
    private List<TicketLine> lines = new ArrayList<>();

    protected TicketRun() {}

    TicketRun(
            Instant madeAt,
            PrintTarget target,
            @Nullable ChannelId channelId,
            String sheetKey,
            LabelSheet sheet,
            CodeKind code,
            int used) {
        this.madeAt = madeAt;
        this.target = target;
        this.channelId = channelId;
        this.sheetKey = sheetKey;
        this.measures = SheetMeasures.of(sheet);
        this.code = code;
        this.used = used;
    }

    void add(TicketLine line) {
        line.of(this, lines.size());
        lines.add(line);
    }

    /** They came out badly, or were never stuck on: as if they hadn't been printed. */
    void takeBack() {
        takenBack = true;
    }

    long id() {
        return id;
    }

    Instant madeAt() {
        return madeAt;
    }

    PrintTarget target() {
        return target;
    }

    /** In which channel the price holds; empty for tickets without a price. */
    Optional<ChannelId> channelId() {
        return Optional.ofNullable(channelId);
    }

    String sheetKey() {
        return sheetKey;
    }

    LabelSheet sheet() {
        return measures.sheet();
    }

    CodeKind code() {
        return code;
    }

    /** How many labels of the first sheet were gone before. */
    int used() {
        return used;
    }

    boolean isTakenBack() {
        return takenBack;
    }

    List<TicketLine> lines() {
        return lines;
    }

    int units() {
        return lines.stream().mapToInt(TicketLine::units).sum();
    }

    int cameOut() {
        return lines.stream().mapToInt(TicketLine::cameOut).sum();
    }

    /** The line of which a ticket is still to come; empty once all have. */
    Optional<TicketLine> next() {
        return takenBack
                ? Optional.empty()
                : lines.stream().filter(line -> line.cameOut() < line.units()).findFirst();
    }

    /** How many labels of the last sheet are gone afterwards; none when it is full. */
    int usedAfter() {
        return (used + units()) % sheet().labels();
    }
}
