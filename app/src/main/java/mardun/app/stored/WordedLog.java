package mardun.app.stored;

import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * The words of all that a table tells, so that a row is found by them without reading all of it: few words are said of many rows. The table
 * only grows, so what came since the last time is read and no more.
 *
 * @param <E> what is kept of a row besides its words
 */
public final class WordedLog<E> {

    /** Rows may be numbered in another order than they are seen in: so many of the last are looked at again. */
    private static final long SEEN_AGAIN = 1_000;

    private final Changes changes;
    private final String table;
    private final LongFunction<List<Worded<E>>> after;
    private volatile Known<E> known = new Known<>(-1, 0, List.of(), Map.of());

    /**
     * @param table whose changes count
     * @param after reads the rows with higher numbers than one, in the order of their numbers
     */
    public WordedLog(Changes changes, String table, LongFunction<List<Worded<E>>> after) {
        this.changes = changes;
        this.table = table;
        this.after = after;
    }

    /** A row with what is looked for in it. */
    public record Worded<E>(E row, long number, Instant at, String words) {}

    /** @param words which of the known words are said of it */
    private record Said<E>(E row, long number, Instant at, int words) {}

    /**
     * What is known of the table.
     *
     * @param count how often it had changed
     * @param last the highest number
     * @param said in the order of their moments
     * @param words by their places
     */
    private record Known<E>(long count, long last, List<Said<E>> said, Map<String, Integer> words) {}

    /**
     * The newest before a moment in which something is found.
     *
     * @param pattern what is looked for in the words
     * @param wanted what is found whatever is said of it
     */
    public List<E> found(Instant until, Pattern pattern, Predicate<E> wanted, int most) {
        Known<E> now = known();
        BitSet matching = new BitSet();
        now.words().forEach((said, place) -> {
            if (pattern.matcher(said).find()) {
                matching.set(place);
            }
        });
        List<E> found = new ArrayList<>();
        for (int i = now.said().size() - 1; i >= 0 && found.size() < most; i--) {
            Said<E> said = now.said().get(i);
            if ((matching.get(said.words()) || wanted.test(said.row()))
                    && said.at().isBefore(until)) {
                found.add(said.row());
            }
        }
        return found;
    }

    private Known<E> known() {
        long count = changes.countOf(table);
        Known<E> before = known;
        if (before.count() == count && !changes.isChanging()) {
            return before;
        }
        Known<E> now = with(before, count);
        if (!changes.isChanging()) {
            known = now;
        }
        return now;
    }

    private Known<E> with(Known<E> before, long count) {
        long from = before.last() - SEEN_AGAIN;
        Set<Long> seen = new HashSet<>();
        before.said().stream().map(Said::number).filter(number -> number > from).forEach(seen::add);
        List<Said<E>> said = new ArrayList<>(before.said());
        Map<String, Integer> words = new HashMap<>(before.words());
        long last = before.last();
        for (Worded<E> row : after.apply(from)) {
            if (seen.add(row.number())) {
                int place = words.computeIfAbsent(row.words(), its -> words.size());
                said.add(new Said<>(row.row(), row.number(), row.at(), place));
                last = Math.max(last, row.number());
            }
        }
        said.sort(Comparator.comparing((Said<E> one) -> one.at()).thenComparing(Said::number));
        return new Known<>(count, last, said, words);
    }
}
