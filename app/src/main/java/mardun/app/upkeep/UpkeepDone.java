package mardun.app.upkeep;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import mardun.core.making.Upkeep;

/** Something was changed or cared for at a machine. */
@Entity
class UpkeepDone {

    @Id
    private UUID id;

    private String place;

    @Enumerated(EnumType.STRING)
    private Upkeep.Kind kind;

    private Instant doneAt;
    private String note;

    protected UpkeepDone() {}

    UpkeepDone(UUID id, String place, Upkeep.Kind kind, Instant doneAt, String note) {
        this.id = id;
        this.place = place;
        this.kind = kind;
        this.doneAt = doneAt;
        this.note = note;
    }

    String place() {
        return place;
    }

    Upkeep.Kind kind() {
        return kind;
    }

    Instant doneAt() {
        return doneAt;
    }

    String note() {
        return note;
    }
}
