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

/** What a design was after a change; it stays, since batches are planned with it. */
@Entity
@Table(name = "design_revision")
class DesignRevision {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private DesignId designId;
    private int number;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String document;

    private Instant madeAt;
    private String note = "";

    @Version
    private long version;

    protected DesignRevision() {}

    DesignRevision(DesignEntity design, Instant madeAt) {
        this.designId = design.id();
        this.number = design.revision();
        this.document = design.document();
        this.madeAt = madeAt;
    }

    DesignId designId() {
        return designId;
    }

    int number() {
        return number;
    }

    String note() {
        return note;
    }

    long version() {
        return version;
    }

    void note(String newNote) {
        note = newNote;
    }

    String document() {
        return document;
    }

    Instant madeAt() {
        return madeAt;
    }
}
