package mardun.app.batch;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import org.hibernate.annotations.BatchSize;

/** What was frozen with a batch: large, and read only where its plan is worked out. */
@Entity
@BatchSize(size = 60)
class FrozenBatch {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String document;

    protected FrozenBatch() {}

    FrozenBatch(String document) {
        this.document = document;
    }

    String document() {
        return document;
    }

    void become(String newDocument) {
        document = newDocument;
    }
}
