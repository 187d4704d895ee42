package mardun.app.stored;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/** What follows from what is stored, or from some tables of it, and from nothing else; remembered until something of that changes. */
public final class Remembered<K, V> {

    private final Changes changes;
    private final List<String> tables;
    private volatile AsOf<K, V> last;

    /** @param tables from which alone it follows; none for all */
    public Remembered(Changes changes, String... tables) {
        this.changes = changes;
        this.tables = List.of(tables);
        this.last = new AsOf<>(-1, new ConcurrentHashMap<>());
    }

    private record AsOf<K, V>(long count, Map<K, V> known) {}

    /** The value for a key, worked out where it isn't known; a transaction that has written gets its own. */
    public V get(K key, Function<K, V> work) {
        if (changes.isChanging()) {
            return work.apply(key);
        }
        long now = tables.isEmpty()
                ? changes.count()
                : tables.stream().mapToLong(changes::countOf).sum();
        AsOf<K, V> known = last;
        if (known.count() != now) {
            known = new AsOf<>(now, new ConcurrentHashMap<>());
            last = known;
        }
        V before = known.known().get(key);
        if (before != null) {
            return before;
        }
        V made = work.apply(key);
        known.known().put(key, made);
        return made;
    }
}
