package mardun.app.stored;

import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * When the application stops, the database's file shrinks to what is in it: every commit is written at once, so most of a file that was
 * much written to is empty. The database writes it anew beside the old one and puts it in its place; if that is cut off, the old one is
 * still there.
 */
@Component
class CompactedAtTheEnd {

    private static final Logger LOG = LoggerFactory.getLogger(CompactedAtTheEnd.class);

    /** A smaller file isn't worth the wait. */
    private static final long WORTH_IT = 32L << 20;

    private static final int HALF_FULL = 50;

    private final DataSource source;

    CompactedAtTheEnd(DataSource source) {
        this.source = source;
    }

    @PreDestroy
    void compact() {
        boolean isClosed = false;
        try (Connection connection = source.getConnection();
                Statement statement = connection.createStatement()) {
            if (told(statement, "info.FILE_SIZE") > WORTH_IT && fullness(statement) < HALF_FULL) {
                statement.execute("SHUTDOWN COMPACT");
                isClosed = true;
            }
        } catch (SQLException stays) {
            // A connection to what was closed says so when it is given back.
            if (!isClosed) {
                LOG.warn("The database's file stays as large as it is", stays);
            }
        }
    }

    /** How much of the file is in use, in per cent: chunks of it are, and parts of these. */
    private static long fullness(Statement statement) throws SQLException {
        return told(statement, "info.FILL_RATE") * told(statement, "info.CHUNKS_FILL_RATE") / 100;
    }

    /** What the database tells of itself in whole numbers; nothing where it doesn't. */
    private static long told(Statement statement, String name) throws SQLException {
        try (ResultSet found = statement.executeQuery(
                "select setting_value from information_schema.settings where setting_name = '" + name + "'")) {
            return found.next() ? Long.parseLong(found.getString(1)) : 0;
        }
    }
}
