package mardun.app.note;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;

/** Something to be told when what it is about comes up again; its id was made where it was written. */
@Entity
class Note {

    @Id
    private UUID id;

    @Enumerated(EnumType.STRING)
    private NoteAbout about;

    private @Nullable DesignId designId;
    private String step;
    private String stepName;
    private String letter;
    private @Nullable MaterialId materialId;
    private String machine;
    private @Nullable BatchId batchId;
    private String text;
    private Instant notedAt;
    private @Nullable Instant putAwayAt;

    protected Note() {}

    Note(UUID id, NotePin pin, @Nullable BatchId batchId, String text, Instant notedAt) {
        this.id = id;
        this.about = pin.about();
        this.designId = pin.designId();
        this.step = pin.step();
        this.stepName = pin.stepName();
        this.letter = pin.letter();
        this.materialId = pin.materialId();
        this.machine = pin.machine();
        this.batchId = batchId;
        this.text = text;
        this.notedAt = notedAt;
    }

    void putAway(@Nullable Instant at) {
        putAwayAt = at;
    }

    UUID id() {
        return id;
    }

    NotePin pin() {
        return new NotePin(about, designId, step, stepName, letter, materialId, machine);
    }

    Optional<BatchId> batchId() {
        return Optional.ofNullable(batchId);
    }

    String text() {
        return text;
    }

    Instant notedAt() {
        return notedAt;
    }

    boolean isPutAway() {
        return putAwayAt != null;
    }
}
