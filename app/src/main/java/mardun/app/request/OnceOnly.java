package mardun.app.request;

import java.time.Clock;
import java.util.UUID;
import java.util.function.LongSupplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes a thing once for each request id, whether the maker clicked twice or the browser sent the form again. Requests
 * that make something wait for one another; in a workroom of one that costs nothing.
 */
@Service
public class OnceOnly {

    private final HandledRequestRepository handled;
    private final TransactionTemplate transaction;
    private final Clock clock;

    OnceOnly(HandledRequestRepository handled, PlatformTransactionManager transactions, Clock clock) {
        this.handled = handled;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** The id of what {@code making} makes, or of what this request made before; all in one transaction. */
    public synchronized long make(UUID requestId, LongSupplier making) {
        Long id = transaction.execute(status -> handled.findById(requestId)
                .map(HandledRequest::resourceId)
                .orElseGet(() -> {
                    long made = making.getAsLong();
                    handled.save(new HandledRequest(requestId, made, clock.instant()));
                    return made;
                }));
        if (id == null) {
            throw new IllegalStateException("a transaction gave nothing");
        }
        return id;
    }
}
