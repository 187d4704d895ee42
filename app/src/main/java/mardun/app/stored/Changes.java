package mardun.app.stored;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.hibernate.cfg.JdbcSettings;
import org.hibernate.resource.jdbc.spi.StatementInspector;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Counts the changes of what is stored, so that what follows from it can be remembered until the next one. Every statement that writes
 * counts when it is made, and its transaction once more when it is over: whoever reads between the two remembers nothing for longer.
 */
@Component
public class Changes implements StatementInspector, HibernatePropertiesCustomizer {

    private static final Pattern WRITES = Pattern.compile(
            "(?:insert\\s+into|update|delete\\s+from|merge\\s+into)\\s+(\\w+)", Pattern.CASE_INSENSITIVE);

    private static final Pattern READS = Pattern.compile("(?:from|join)\\s+(\\w+)(?![\\w.])", Pattern.CASE_INSENSITIVE);

    /** From which tables alone something follows that is just worked out, one within another. */
    private static final ThreadLocal<Deque<Predicate<String>>> FOLLOWS_FROM = ThreadLocal.withInitial(ArrayDeque::new);

    /** Stands for what is written in another way than row by row. */
    private static final String NO_TABLE = "";

    private final Map<String, AtomicLong> countsOfTables = new ConcurrentHashMap<>();

    /** Tells that a transaction that wrote is over. */
    private final class Over implements TransactionSynchronization {

        private final Set<String> tables = new HashSet<>();

        @Override
        public void afterCompletion(int status) {
            tables.forEach(Changes.this::countIn);
        }
    }

    private void countIn(String table) {
        countsOfTables.computeIfAbsent(table, its -> new AtomicLong()).incrementAndGet();
    }

    /** How often one of its tables changed since the application was started. */
    public long countOf(String table) {
        AtomicLong its = countsOfTables.get(table);
        return its == null ? 0 : its.get();
    }

    /** How often tables of a kind changed since the application was started. */
    long count(Predicate<String> tables) {
        return countsOfTables.entrySet().stream()
                .filter(table -> tables.test(table.getKey()))
                .mapToLong(table -> table.getValue().get())
                .sum();
    }

    /** Whether the caller's transaction has written: what it reads isn't anybody else's yet. */
    public boolean isChanging() {
        return its().isPresent();
    }

    /** Whether the caller's transaction has written to a table of a kind. */
    boolean isChanging(Predicate<String> tables) {
        return its().filter(over -> over.tables.stream().anyMatch(tables)).isPresent();
    }

    private static Optional<Over> its() {
        return TransactionSynchronizationManager.isSynchronizationActive()
                ? TransactionSynchronizationManager.getSynchronizations().stream()
                        .filter(Over.class::isInstance)
                        .map(Over.class::cast)
                        .findFirst()
                : Optional.empty();
    }

    @Override
    public String inspect(String sql) {
        if (isWriting(sql)) {
            if (TransactionSynchronizationManager.isSynchronizationActive() && !isChanging()) {
                TransactionSynchronizationManager.registerSynchronization(new Over());
            }
            Matcher written = WRITES.matcher(sql);
            String table = written.lookingAt() ? written.group(1).toLowerCase(Locale.ROOT) : NO_TABLE;
            countIn(table);
            its().ifPresent(over -> over.tables.add(table));
        } else {
            assert strange(sql).isEmpty() : "it is remembered, and follows from " + strange(sql) + " too: " + sql;
        }
        return sql;
    }

    /** Works something out that is then remembered until one of its tables changes; where assertions are on, it may read no other. */
    <T> T reading(Predicate<String> tables, Supplier<T> work) {
        FOLLOWS_FROM.get().push(tables);
        try {
            return work.get();
        } finally {
            FOLLOWS_FROM.get().pop();
        }
    }

    /** What a statement reads besides the tables from which something that is being worked out follows. */
    private static List<String> strange(String sql) {
        return READS.matcher(sql)
                .results()
                .map(found -> found.group(1).toLowerCase(Locale.ROOT))
                .filter(table -> FOLLOWS_FROM.get().stream().anyMatch(tables -> !tables.test(table)))
                .toList();
    }

    private static boolean isWriting(String sql) {
        String begins = sql.stripLeading();
        return !begins.substring(0, Math.min(6, begins.length()))
                .toLowerCase(Locale.ROOT)
                .equals("select");
    }

    @Override
    public void customize(Map<String, Object> hibernate) {
        hibernate.put(JdbcSettings.STATEMENT_INSPECTOR, this);
    }
}
