package mardun.app.request;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A request that made something, so that the same one sent again makes it no second time. */
@Entity
class HandledRequest {

    @Id
    private UUID requestId;

    private long resourceId;
    private Instant handledAt;

    protected HandledRequest() {}

    HandledRequest(UUID requestId, long resourceId, Instant handledAt) {
        this.requestId = requestId;
        this.resourceId = resourceId;
        this.handledAt = handledAt;
    }

    long resourceId() {
        return resourceId;
    }
}
