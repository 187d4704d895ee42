package mardun.app.stored;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Predicate;

/** What follows from what is stored, or from some tables of it, and from nothing else; remembered until something of that changes. */
public final class Remembered<K, V> {

    private final Changes changes;
    private final Predicate<String> isOneOfIts;
    private volatile AsOf<K, V> last;

    /** @param tables from which alone it follows; none for all */
    public Remembered(Changes changes, String... tables) {
        this(changes, tables.length == 0 ? table -> true : Set.of(tables)::contains);
    }

    private Remembered(Changes changes, Predicate<String> isOneOfIts) {
        this.changes = changes;
        this.isOneOfIts = isOneOfIts;
        this.last = new AsOf<>(-1, new ConcurrentHashMap<>());
    }

    /** What follows from whatever is stored but some tables. */
    public static <K, V> Remembered<K, V> exceptOf(Changes changes, Set<String> tables) {
        return new Remembered<>(changes, Predicate.not(tables::contains));
    }

    private record AsOf<K, V>(long count, Map<K, V> known) {}

    /** The value for a key, worked out where it isn't known; a transaction that has written to one of its tables gets its own. */
    public V get(K key, Function<K, V> work) {
        if (changes.isChanging(isOneOfIts)) {
            return work.apply(key);
        }
        Map<K, V> known = known();
        V before = known.get(key);
        if (before != null) {
            return before;
        }
        V made = changes.reading(isOneOfIts, () -> work.apply(key));
        known.put(key, made);
        return made;
    }

    /**
     * The values for some keys.
     *
     * @param work reads those together that aren't known; it answers a value for each of them
     */
    public Map<K, V> get(Collection<K> keys, Function<List<K>, Map<K, V>> work) {
        if (changes.isChanging(isOneOfIts)) {
            return work.apply(List.copyOf(keys));
        }
        Map<K, V> known = known();
        List<K> asked =
                keys.stream().filter(key -> !known.containsKey(key)).distinct().toList();
        if (!asked.isEmpty()) {
            known.putAll(changes.reading(isOneOfIts, () -> work.apply(asked)));
        }
        Map<K, V> found = new HashMap<>();
        keys.forEach(key -> found.put(key, known.get(key)));
        return found;
    }

    private Map<K, V> known() {
        long now = changes.count(isOneOfIts);
        AsOf<K, V> known = last;
        if (known.count() != now) {
            known = new AsOf<>(now, new ConcurrentHashMap<>());
            last = known;
        }
        return known.known();
    }
}
