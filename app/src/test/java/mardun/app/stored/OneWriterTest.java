package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLTimeoutException;
import java.sql.Statement;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** One thread writes at a time; who reads goes on beside it. */
class OneWriterTest {

    private static final Duration SHORT = Duration.ofMillis(150);

    private final ExecutorService other = Executors.newSingleThreadExecutor();
    private OneWriter source;

    @BeforeEach
    void aTable() throws SQLException {
        source = over(Duration.ofSeconds(20));
        try (Connection connection = source.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("create table bag(id int primary key, name clob)");
            statement.execute("insert into bag values(1, 'Heron'), (2, 'Owl')");
        }
    }

    private static OneWriter over(Duration longest) {
        JdbcDataSource h2 = new JdbcDataSource();
        h2.setURL("jdbc:h2:mem:" + UUID.randomUUID() + ";DB_CLOSE_DELAY=-1");
        return new OneWriter(h2, longest);
    }

    @AfterEach
    void end() {
        other.shutdownNow();
    }

    private Connection begun() throws SQLException {
        Connection connection = source.getConnection();
        connection.setAutoCommit(false);
        return connection;
    }

    private static void rename(Connection connection, int id) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement("update bag set name = 'Wren' where id = ?")) {
            statement.setInt(1, id);
            statement.executeUpdate();
        }
    }

    private static String name(Connection connection, int id) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement("SELECT name from bag where id = ?")) {
            statement.setInt(1, id);
            ResultSet found = statement.executeQuery();
            found.next();
            return found.getString(1);
        }
    }

    /** What another thread does in a transaction that it commits. */
    private Future<Boolean> elsewhere(Callable<Void> work) {
        return other.submit(() -> {
            work.call();
            return true;
        });
    }

    private Future<Boolean> renamedElsewhere(int id) {
        return elsewhere(() -> {
            try (Connection connection = begun()) {
                rename(connection, id);
                connection.commit();
            }
            return null;
        });
    }

    private static void waits(Future<?> work) {
        assertThatThrownBy(() -> work.get(SHORT.toMillis(), TimeUnit.MILLISECONDS))
                .isInstanceOf(TimeoutException.class);
    }

    private static void ends(Future<?> work) throws Exception {
        work.get(10, TimeUnit.SECONDS);
    }

    @Test
    void whoWritesSomethingElseWaitsForTheEndOfTheTransaction() throws Exception {
        try (Connection first = begun()) {
            rename(first, 1);
            Future<Boolean> second = renamedElsewhere(2);
            waits(second);
            first.commit();
            ends(second);
            assertThat(name(first, 2)).isEqualTo("Wren");
        }
    }

    @Test
    void whatIsTakenBackOrLeftAloneEndsTheTurnAsWell() throws Exception {
        try (Connection first = begun()) {
            rename(first, 1);
            Future<Boolean> second = renamedElsewhere(2);
            waits(second);
            first.rollback();
            ends(second);
        }
        Connection left = begun();
        rename(left, 1);
        Future<Boolean> third = renamedElsewhere(2);
        waits(third);
        left.close();
        ends(third);
    }

    @Test
    void oneThatIsBackAtASavepointIsntOverYet() throws Exception {
        try (Connection first = begun()) {
            var before = first.setSavepoint();
            rename(first, 1);
            first.rollback(before);
            Future<Boolean> second = renamedElsewhere(2);
            waits(second);
            first.commit();
            ends(second);
        }
    }

    @Test
    void whoReadsGoesOn() throws Exception {
        try (Connection first = begun()) {
            rename(first, 1);
            ends(elsewhere(() -> {
                try (Connection connection = begun();
                        Statement statement = connection.createStatement()) {
                    assertThat(name(connection, 1)).as("what isn't committed").isEqualTo("Heron");
                    statement.executeQuery(" select count(*) from bag").close();
                    connection.commit();
                }
                return null;
            }));
            first.commit();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"select * from bag where id = 2 for update", "insert into bag values(3, 'Reed')"})
    void aRowThatIsHeldCountsAndSoDoesAPlainStatement(String sql) throws Exception {
        try (Connection first = begun();
                Statement statement = first.createStatement()) {
            statement.execute(sql);
            Future<Boolean> second = renamedElsewhere(1);
            waits(second);
            first.commit();
            ends(second);
        }
    }

    @Test
    void aLongTextIsAChangeBeforeItsStatement() throws Exception {
        try (Connection first = begun()) {
            first.createClob().setString(1, "Heron".repeat(1000));
            Future<Boolean> second = renamedElsewhere(1);
            waits(second);
            first.commit();
            ends(second);
        }
    }

    @Test
    void aTransactionWithinAnotherIsOfTheSameThread() throws Exception {
        try (Connection outer = begun()) {
            rename(outer, 1);
            try (Connection inner = begun()) {
                rename(inner, 2);
                inner.commit();
            }
            Future<Boolean> second = renamedElsewhere(2);
            waits(second);
            outer.commit();
            ends(second);
        }
    }

    @Test
    void whatCommitsByItselfEndsWithItsConnection() throws Exception {
        try (Connection first = source.getConnection()) {
            rename(first, 1);
        }
        ends(renamedElsewhere(1));
    }

    @Test
    void waitsOnlySoLongAndSaysItAsTheDatabaseWould() throws Exception {
        source = over(SHORT);
        try (Connection first = begun();
                Statement statement = first.createStatement()) {
            statement.execute("create table bag(id int primary key, name clob)");
            Future<?> second = renamedElsewhere(1);
            assertThatThrownBy(() -> second.get(10, TimeUnit.SECONDS))
                    .hasCauseInstanceOf(SQLTimeoutException.class)
                    .satisfies(failed -> assertThat(((SQLException) failed.getCause()).getErrorCode())
                            .isEqualTo(50200));
        }
        ends(elsewhere(() -> {
            source.getConnection().close();
            return null;
        }));
    }
}
