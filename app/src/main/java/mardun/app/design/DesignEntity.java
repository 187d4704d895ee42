package mardun.app.design;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import mardun.app.id.DesignId;

/** A stored design: its document as JSON, since it is edited, versioned and frozen as a whole. */
@Entity
@Table(name = "design")
class DesignEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String name;
    private String words;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String document;

    private Instant createdAt;
    private Instant changedAt;
    private boolean putAway;
    private int revision;

    protected DesignEntity() {}

    DesignEntity(Instant createdAt) {
        this.createdAt = createdAt;
    }

    /** Takes what was typed. */
    void enter(String newName, String newWords, String newDocument) {
        name = newName;
        words = newWords;
        document = newDocument;
    }

    /** It is another design than before. */
    void revise(Instant now) {
        changedAt = now;
        revision++;
    }

    /** Counts what it was: 1 when it was entered, one more after each change. */
    int revision() {
        return revision;
    }

    Instant changedAt() {
        return changedAt;
    }

    DesignId id() {
        return new DesignId(id);
    }

    long version() {
        return version;
    }

    String name() {
        return name;
    }

    /** What is put away is offered nowhere; its batches stay. */
    void putAway(boolean away) {
        putAway = away;
    }

    boolean isPutAway() {
        return putAway;
    }

    String document() {
        return document;
    }
}
