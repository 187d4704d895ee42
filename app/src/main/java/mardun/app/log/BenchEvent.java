package mardun.app.log;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.log.BenchEventRepository.Timed;
import mardun.app.log.LoggedSlip.UsedUp;
import mardun.core.making.SetUp;
import org.hibernate.annotations.Generated;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** Something that happened at the bench; its id was made by the device on which it was touched. */
@Entity
class BenchEvent implements Persistable<UUID> {

    @Id
    private UUID id;

    /** In which order events came in. */
    @Generated
    private long number;

    private BatchId batchId;
    private int line;
    private DesignId designId;
    private String step;
    private String stepName;

    /** The step's name as it compares with those of other designs. */
    private String nameKey;

    @Enumerated(EnumType.STRING)
    private EventKind kind;

    private int bags;
    private long millis;
    private boolean slow;
    private Instant happenedAt;
    private String place;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredSetUp.class)
    private @Nullable Map<SetUp.Part, String> onMachine;

    private @Nullable UUID ofEvent;
    private String reason;

    @Enumerated(EnumType.STRING)
    private @Nullable SlipOutcome outcome;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredUsedUp.class)
    private @Nullable List<UsedUp> usedUp;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredTexts.class)
    private @Nullable List<String> confirmed;

    @Transient
    private boolean isStored;

    protected BenchEvent() {}

    BenchEvent(LogEntry entry, DesignId designId, @Nullable Map<SetUp.Part, String> onMachine) {
        this.id = entry.id();
        this.batchId = entry.batchId();
        this.line = entry.line();
        this.designId = designId;
        this.step = entry.step();
        this.stepName = entry.stepName();
        this.nameKey = SetUp.plain(entry.stepName());
        this.kind = entry.kind();
        this.bags = entry.bags();
        this.millis = entry.millis();
        this.slow = entry.slow();
        this.happenedAt = entry.at();
        this.place = entry.place();
        this.onMachine = onMachine;
        this.ofEvent = entry.ofEvent();
        this.reason = entry.reason();
        this.outcome = entry.slip() == null ? null : entry.slip().outcome();
        this.usedUp = entry.slip() == null ? null : entry.slip().usedUp();
        this.confirmed = entry.confirmed();
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

    /** What estimates need of it. */
    Timed timed() {
        return new Timed(id, nameKey, designId, step, batchId, kind, bags, millis, slow, happenedAt, ofEvent);
    }

    String place() {
        return place;
    }

    @Nullable
    Map<SetUp.Part, String> onMachine() {
        return onMachine;
    }

    BenchLog.Slip slip() {
        return new BenchLog.Slip(
                id, line, step, stepName, bags, outcome, reason, Duration.ofMillis(millis), happenedAt);
    }

    @Nullable
    UUID ofEvent() {
        return ofEvent;
    }

    /** As it is told, with what was said of it last. */
    LoggedTouch told(@Nullable BenchEvent about) {
        boolean isPutRight = about != null && about.kind == EventKind.PUT_RIGHT;
        boolean isLeftOut = about != null && about.kind == EventKind.LEFT_OUT;
        return new LoggedTouch(
                id,
                batchId,
                line,
                designId,
                step,
                stepName,
                kind,
                bags,
                Duration.ofMillis(isPutRight ? about.millis : millis),
                happenedAt,
                place,
                outcome,
                isPutRight || isLeftOut ? about.reason : reason,
                slow,
                isLeftOut,
                isPutRight,
                about != null && about.kind == EventKind.WITHDRAWN);
    }
}
