package mardun.app.cutting;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.core.cutting.Aim;

/** A layout of a batch on one cloth for one aim, with what was cut by it so far; layout, recuts and cuts are JSON. */
@Entity
@Table(name = "cutting_sheet")
class StoredSheet {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private BatchId batchId;
    private MaterialId materialId;

    @Enumerated(EnumType.STRING)
    private Aim aim;

    private boolean chosen;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String layout;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String recuts;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String done;

    protected StoredSheet() {}

    StoredSheet(BatchId batchId, MaterialId materialId, Aim aim, boolean chosen, String layout) {
        this.batchId = batchId;
        this.materialId = materialId;
        this.aim = aim;
        this.chosen = chosen;
        this.layout = layout;
        this.recuts = "[]";
        this.done = "[]";
    }

    void choose(boolean isChosen) {
        chosen = isChosen;
    }

    void cut(String newDone) {
        done = newDone;
    }

    void recut(String newRecuts) {
        recuts = newRecuts;
    }

    long id() {
        return id;
    }

    BatchId batchId() {
        return batchId;
    }

    MaterialId materialId() {
        return materialId;
    }

    Aim aim() {
        return aim;
    }

    boolean isChosen() {
        return chosen;
    }

    String layout() {
        return layout;
    }

    String recuts() {
        return recuts;
    }

    String done() {
        return done;
    }
}
