package mardun.app.request;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A request that made something, so that the same one sent again makes it no second time. */
@Entity
@Immutable
class HandledRequest {

    @Id
    private UUID requestId;

    private long resourceId;
    private String mark;
    private Instant handledAt;

    protected HandledRequest() {}

    HandledRequest(UUID requestId, long resourceId, String mark, Instant handledAt) {
        this.requestId = requestId;
        this.resourceId = resourceId;
        this.mark = mark;
        this.handledAt = handledAt;
    }

    /** Whether it was the same request; of those from before marks were kept, nobody can tell otherwise. */
    boolean isFor(String otherMark) {
        return mark == null || mark.equals(otherMark);
    }

    long resourceId() {
        return resourceId;
    }
}
