package mardun.app.stored;

import java.util.Locale;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
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

    private final AtomicLong count = new AtomicLong();

    /** Tells that a transaction that wrote is over. */
    private final class Over implements TransactionSynchronization {

        @Override
        public void afterCompletion(int status) {
            count.incrementAndGet();
        }
    }

    /** How often it changed since the application was started. */
    public long count() {
        return count.get();
    }

    /** Whether the caller's transaction has written: what it reads isn't anybody else's yet. */
    public boolean isChanging() {
        return TransactionSynchronizationManager.isSynchronizationActive()
                && TransactionSynchronizationManager.getSynchronizations().stream()
                        .anyMatch(Over.class::isInstance);
    }

    @Override
    public String inspect(String sql) {
        if (isWriting(sql)) {
            count.incrementAndGet();
            if (TransactionSynchronizationManager.isSynchronizationActive() && !isChanging()) {
                TransactionSynchronizationManager.registerSynchronization(new Over());
            }
        }
        return sql;
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
