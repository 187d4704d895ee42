package mardun.app.request;

import java.time.Clock;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.LongSupplier;
import mardun.app.problem.RefusedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes a thing once for each request id, whether the maker clicked twice or the browser sent the form again. The same
 * request sent twice at once waits for itself; others go on beside it.
 */
@Service
public class OnceOnly {

    private final HandledRequestRepository handled;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final Map<UUID, Turn> turns = new ConcurrentHashMap<>();

    OnceOnly(HandledRequestRepository handled, PlatformTransactionManager transactions, Clock clock) {
        this.handled = handled;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** Those who sent the same request: one after another. */
    private static final class Turn {
        private int waiting;
    }

    /**
     * The id of what {@code making} makes, or of what this request made before; all in one transaction.
     *
     * @param what is asked for, such as {@code batch} or {@code movement of 7}
     * @param form as it was sent: a request id that comes again with another form is refused, since nobody could tell which
     *     of the two was meant
     */
    public long make(UUID requestId, String what, Record form, LongSupplier making) {
        String mark = Fingerprint.of(what + " " + form);
        Turn turn = turns.compute(requestId, (id, before) -> {
            Turn mine = before == null ? new Turn() : before;
            mine.waiting++;
            return mine;
        });
        try {
            synchronized (turn) {
                return makeOnce(requestId, mark, making);
            }
        } finally {
            turns.computeIfPresent(requestId, (id, mine) -> --mine.waiting == 0 ? null : mine);
        }
    }

    private long makeOnce(UUID requestId, String mark, LongSupplier making) {
        Long id = transaction.execute(status -> handled.findById(requestId)
                .map(before -> sameAs(before, mark))
                .orElseGet(() -> {
                    long made = making.getAsLong();
                    handled.save(new HandledRequest(requestId, made, mark, clock.instant()));
                    return made;
                }));
        if (id == null) {
            throw new IllegalStateException("a transaction gave nothing");
        }
        return id;
    }

    private static long sameAs(HandledRequest before, String mark) {
        if (!before.isFor(mark)) {
            throw RefusedException.conflict("This form was sent before with something else in it, and that was taken."
                    + " Nothing was taken a second time. Look at what is there, and enter the rest in a new form.");
        }
        return before.resourceId();
    }
}
