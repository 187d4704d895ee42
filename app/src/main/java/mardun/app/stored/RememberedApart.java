package mardun.app.stored;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What follows from rows that are told apart by something, by their month say, remembered for each until somebody writes a row of it: what
 * is long past needn't be read anew because of what happens today.
 *
 * <p>Whoever writes such a row says so within the transaction; while it lasts, everybody reads those rows anew, so nobody sees what isn't
 * committed nor misses what is.
 */
public final class RememberedApart<K, V> {

    /** How many transactions are writing just now, and how many have. */
    private record Writing(int open, long over) {

        static final Writing NOBODY = new Writing(0, 0);

        Writing and(Writing other) {
            return new Writing(open + other.open, over + other.over);
        }
    }

    private record Known<V>(long over, V value) {}

    private final Cache<K, Known<V>> known;
    private final Map<Object, Writing> writing = new ConcurrentHashMap<>();
    private Writing ofAny = Writing.NOBODY;

    /** @param most so many are remembered */
    public RememberedApart(int most) {
        this.known = Caffeine.newBuilder().maximumSize(most).build();
    }

    /**
     * The values for some keys, in their order.
     *
     * @param work reads those together that aren't known or of which somebody is writing; it answers a value for each of them
     */
    public List<V> get(List<K> keys, Function<List<K>, Map<K, V>> work) {
        Map<K, V> found = new HashMap<>();
        Map<K, Writing> asked = new LinkedHashMap<>();
        for (K key : keys) {
            Writing now = writing(key);
            Known<V> kept = now.open() == 0 ? known.getIfPresent(key) : null;
            if (kept != null && kept.over() == now.over()) {
                found.put(key, kept.value());
            } else {
                asked.put(key, now);
            }
        }
        if (!asked.isEmpty()) {
            Map<K, V> made = work.apply(List.copyOf(asked.keySet()));
            found.putAll(made);
            asked.forEach((key, before) -> {
                if (before.open() == 0) {
                    // If somebody has written meanwhile, the count is another one, and this is never taken.
                    known.put(key, new Known<>(before.over(), made.get(key)));
                }
            });
        }
        return keys.stream().map(found::get).toList();
    }

    private synchronized Writing writing(K key) {
        return writing.getOrDefault(key, Writing.NOBODY).and(ofAny);
    }

    /** The caller's transaction writes a row of a key. */
    public void writes(K key) {
        Over over = over();
        if (over.keys.add(key)) {
            begin(key);
        }
    }

    /** The caller's transaction writes rows, nobody knows of which keys. */
    public void writesAny() {
        Over over = over();
        if (!over.any) {
            over.any = true;
            beginAny();
        }
    }

    private synchronized void begin(Object key) {
        writing.merge(key, new Writing(1, 0), Writing::and);
    }

    private synchronized void beginAny() {
        ofAny = ofAny.and(new Writing(1, 0));
    }

    private synchronized void end(Over over) {
        over.keys.forEach(key -> writing.merge(key, new Writing(-1, 1), Writing::and));
        if (over.any) {
            ofAny = ofAny.and(new Writing(-1, 1));
        }
    }

    private Over over() {
        return TransactionSynchronizationManager.getSynchronizations().stream()
                .filter(Over.class::isInstance)
                .map(Over.class::cast)
                .filter(one -> one.owner == this)
                .findFirst()
                .orElseGet(() -> {
                    Over begun = new Over(this);
                    TransactionSynchronizationManager.registerSynchronization(begun);
                    return begun;
                });
    }

    /** What a transaction writes, until it is over. */
    private static final class Over implements TransactionSynchronization {

        private final RememberedApart<?, ?> owner;
        private final Set<Object> keys = new HashSet<>();
        private boolean any;

        private Over(RememberedApart<?, ?> owner) {
            this.owner = owner;
        }

        @Override
        public void afterCompletion(int status) {
            owner.end(this);
        }
    }
}
