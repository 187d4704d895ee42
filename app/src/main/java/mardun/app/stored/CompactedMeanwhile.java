package mardun.app.stored;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Keeps the database's file from growing while the application runs. Each commit writes the few pages it changed, and what was written
 * before stays as long as one page of it is still in use; now and then the pages in use of the emptiest parts are written together, so that
 * the room of those parts is used again. The database would do so by itself if it weren't told to write each commit at once.
 */
@Component
class CompactedMeanwhile implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(CompactedMeanwhile.class);

    private static final long SECONDS = 10;

    /** A smaller file may be as empty as it is. */
    private static final long WORTH_IT = 32L << 20;

    /** How much of what is written is in use at least, in per cent. */
    private static final int HALF = 50;

    /** What is written together at a time, in bytes: who writes waits for it. */
    private static final int AT_A_TIME = 1 << 20;

    private final DataSource source;
    private final ScheduledExecutorService rounds = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "compacting");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    CompactedMeanwhile(DataSource source) {
        this.source = source;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        rounds.scheduleWithFixedDelay(this::look, SECONDS, SECONDS, TimeUnit.SECONDS);
    }

    private void look() {
        try {
            if (bytes() > WORTH_IT) {
                compact();
            }
        } catch (SQLException | RuntimeException failed) {
            // The next round tries again; one that failed must not end all of them.
            LOG.warn("The database's file wasn't compacted", failed);
        }
    }

    private long bytes() throws SQLException {
        try (Connection connection = source.getConnection()) {
            return store(connection).getFileStore().size();
        }
    }

    /** Writes some of what is in use anew, if less than half of what was written is. */
    void compact() throws SQLException {
        try (Connection connection = source.getConnection()) {
            MVStore store = store(connection);
            source.unwrap(OneWriter.class).alone(() -> {
                store.compact(HALF, AT_A_TIME);
                store.commit();
            });
        }
    }

    private static MVStore store(Connection connection) throws SQLException {
        SessionLocal session =
                (SessionLocal) connection.unwrap(JdbcConnection.class).getSession();
        return session.getDatabase().getStore().getMvStore();
    }

    @Override
    public void destroy() {
        rounds.shutdownNow();
    }
}
