package mardun.app.printer;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import mardun.app.paper.LabelDrawing;

/** A label that came out of the simulated printer, whole or crumpled. */
@Entity
@Table(name = "printed_label")
class CameOut {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String labelKey;
    private Instant cameAt;
    private boolean crumpled;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredDrawing.class)
    private LabelDrawing face;

    protected CameOut() {}

    CameOut(PrintedLabel label, Instant cameAt, boolean crumpled) {
        this.labelKey = label.key();
        this.cameAt = cameAt;
        this.crumpled = crumpled;
        this.face = label.drawing();
    }

    long id() {
        return id;
    }

    String labelKey() {
        return labelKey;
    }

    Instant cameAt() {
        return cameAt;
    }

    boolean isCrumpled() {
        return crumpled;
    }

    LabelDrawing face() {
        return face;
    }
}
