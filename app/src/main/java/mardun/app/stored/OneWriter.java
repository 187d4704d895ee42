package mardun.app.stored;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTimeoutException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Lets one thread write at a time, from its first change to the end of its transaction; who only reads goes on beside it.
 *
 * <p>What is committed goes to the disk with all changes that there are by then, and the database notes table by table and index by index how
 * far each is. A commit that fell between two changes of another transaction would have one of them with it and the other not; after a power
 * cut just then, half of a transaction would be there, as if it had been committed.
 */
final class OneWriter extends DelegatingDataSource {

    /** H2's number and state for a lock that didn't come free: who met other work tries again. */
    private static final int NOT_FREE = 50200;

    private static final String NOT_FREE_STATE = "HYT00";

    private final Duration longest;
    private final ReentrantLock turn = new ReentrantLock(true);

    /** @param longest how long somebody waits who wants to write before that is given up */
    OneWriter(DataSource target, Duration longest) {
        super(target);
        this.longest = longest;
    }

    @Override
    public Connection getConnection() throws SQLException {
        return watched(super.getConnection());
    }

    @Override
    public Connection getConnection(String username, String password) throws SQLException {
        return watched(super.getConnection(username, password));
    }

    private Connection watched(Connection connection) throws SQLException {
        neverWriteOver(connection);
        return (Connection) Proxy.newProxyInstance(
                getClass().getClassLoader(), new Class<?>[] {Connection.class}, new Turns(connection));
    }

    /**
     * What is written goes to the end of the file while it is open. The database would write over parts that aren't in use any more, while
     * the last commit that is on the disk still counts them among its own; after a power cut just then it would go back to an older one.
     */
    private static void neverWriteOver(Connection connection) throws SQLException {
        if (connection.isWrapperFor(JdbcConnection.class)
                && connection.unwrap(JdbcConnection.class).getSession() instanceof SessionLocal session
                && session.getDatabase().isPersistent()) {
            session.getDatabase().getStore().getMvStore().setReuseSpace(false);
        }
    }

    /** Whether something may change what is stored; a row that is held for a change counts, as that is noted at the row. */
    private static boolean isChange(String sql) {
        String words = sql.strip().toLowerCase(Locale.ROOT);
        return !words.startsWith("select") || words.contains("for update") || words.contains("next value for");
    }

    /** What is done with a connection: its thread's turn begins with the first change and ends with the transaction. */
    private final class Turns implements InvocationHandler {

        private final Connection connection;
        private boolean isWriting;

        private Turns(Connection connection) {
            this.connection = connection;
        }

        @Override
        public Object invoke(Object proxy, Method method, Object[] given) throws Throwable {
            switch (method.getName()) {
                case "equals":
                    return proxy == given[0];
                case "hashCode":
                    return System.identityHashCode(proxy);
                case "prepareStatement", "prepareCall":
                    if (isChange((String) given[0])) {
                        begin();
                    }
                    return asked(connection, method, given);
                case "createClob", "createNClob", "createBlob":
                    // Long texts are stored as soon as they are given, before the statement that names them.
                    begin();
                    return asked(connection, method, given);
                case "createStatement":
                    return watched((Statement) asked(connection, method, given));
                case "commit", "close", "setAutoCommit":
                    return last(method, given);
                case "rollback":
                    return given == null ? last(method, null) : asked(connection, method, given);
                default:
                    return asked(connection, method, given);
            }
        }

        private Statement watched(Statement statement) {
            return (Statement) Proxy.newProxyInstance(
                    getClass().getClassLoader(), new Class<?>[] {Statement.class}, (proxy, method, given) -> {
                        if (given != null && given.length > 0 && given[0] instanceof String sql && isChange(sql)) {
                            begin();
                        }
                        return asked(statement, method, given);
                    });
        }

        private void begin() throws SQLException {
            if (isWriting) {
                return;
            }
            try {
                if (!turn.tryLock(longest.toMillis(), TimeUnit.MILLISECONDS)) {
                    throw new SQLTimeoutException(
                            "Others wrote for longer than " + longest.toSeconds() + " s.", NOT_FREE_STATE, NOT_FREE);
                }
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                throw new SQLTimeoutException("Stopped while others wrote.", NOT_FREE_STATE, NOT_FREE, stopped);
            }
            isWriting = true;
        }

        private Object last(Method method, Object[] given) throws Throwable {
            try {
                return asked(connection, method, given);
            } finally {
                if (isWriting) {
                    isWriting = false;
                    turn.unlock();
                }
            }
        }

        private static Object asked(Object target, Method method, Object[] given) throws Throwable {
            try {
                return method.invoke(target, given);
            } catch (InvocationTargetException failed) {
                throw failed.getTargetException();
            }
        }
    }
}
