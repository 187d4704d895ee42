package mardun.app.days;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import mardun.app.id.BatchId;

/** The day on which a batch was to be done when the maker last took note of the days. */
@Entity
@Table(name = "noted_day")
class NotedDay {

    @Id
    private Long batchId;

    private LocalDate ready;
    private Instant notedAt;

    protected NotedDay() {}

    NotedDay(BatchId batchId, Optional<LocalDate> ready, Instant notedAt) {
        this.batchId = batchId.value();
        this.ready = ready.orElse(null);
        this.notedAt = notedAt;
    }

    BatchId batchId() {
        return new BatchId(batchId);
    }

    /** Empty where it couldn't be laid then. */
    Optional<LocalDate> ready() {
        return Optional.ofNullable(ready);
    }

    Instant notedAt() {
        return notedAt;
    }
}
