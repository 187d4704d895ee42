package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import org.h2.jdbcx.JdbcDataSource;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Several threads write, each time in two tables with an index, until nothing reaches the disk any more, as at a power cut: what is there
 * then is whole transactions, and all that were acknowledged. Without {@link OneWriter} one cut in thirty or so leaves half of one. {@code
 * -Dmardun.cuts=2000} cuts it as often.
 */
class StoredWholeTest {

    private static final int CUTS = Integer.getInteger("mardun.cuts", 20);

    /** The more tables there are, the longer it takes to note how far each is. */
    private static final int TABLES = 300;

    private static final int WRITERS = 6;
    private static final int READERS = 2;
    private static final String OPTIONS =
            ";WRITE_DELAY=0;LOCK_TIMEOUT=20000;DB_CLOSE_ON_EXIT=FALSE;TRACE_LEVEL_FILE=0;FILE_LOCK=NO";

    private static volatile AtomicBoolean isCut = new AtomicBoolean();

    @TempDir
    private Path folder;

    /** Files that take nothing more once the power is cut. */
    public static final class CutFiles extends FilePathWrapper {

        @Override
        public String getScheme() {
            return "cut";
        }

        @Override
        public FileChannel open(String mode) throws IOException {
            return new CutFile(super.open(mode), isCut);
        }
    }

    private static final class CutFile extends FileBaseDefault {

        private final FileChannel file;
        private final AtomicBoolean off;

        private CutFile(FileChannel file, AtomicBoolean off) {
            this.file = file;
            this.off = off;
        }

        private void check() throws IOException {
            if (off.get()) {
                throw new IOException("there is no power");
            }
        }

        @Override
        public int read(ByteBuffer into, long position) throws IOException {
            return file.read(into, position);
        }

        @Override
        public int write(ByteBuffer from, long position) throws IOException {
            check();
            pause();
            check();
            return file.write(from, position);
        }

        /** As long as a disk takes, more or less: others go on meanwhile. */
        private static void pause() {
            try {
                Thread.sleep(0, 200_000);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }

        @Override
        public long size() throws IOException {
            return file.size();
        }

        @Override
        protected void implTruncate(long size) throws IOException {
            check();
            file.truncate(size);
        }

        @Override
        public void force(boolean metaData) throws IOException {
            file.force(metaData);
        }

        @Override
        public FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return file.tryLock(position, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            file.close();
        }
    }

    @BeforeAll
    static void files() {
        FilePath.register(new CutFiles());
    }

    @Test
    void whatIsThereAfterAPowerCutIsWholeTransactions() throws Exception {
        Path empty = emptyDatabase();
        Random random = new Random(20);
        long rows = 0;
        for (int cut = 0; cut < CUTS; cut++) {
            Path file = folder.resolve("cut" + cut + ".mv.db");
            Files.copy(empty, file);
            Set<UUID> acknowledged = writeUntilTheCut(url("cut", file), 40 + random.nextInt(120));
            // What still runs has the file that was cut; what is looked at is a copy of it.
            Path copy = folder.resolve("seen.mv.db");
            Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
            rows += check(copy, acknowledged, "cut " + cut);
            Files.delete(file);
        }
        assertThat(rows).as("something was written at all").isGreaterThan(CUTS);
    }

    private static String url(String scheme, Path file) {
        return "jdbc:h2:" + scheme + ":" + file.toString().replace(".mv.db", "") + OPTIONS;
    }

    private Path emptyDatabase() throws SQLException {
        Path file = folder.resolve("empty.mv.db");
        try (Connection connection = DriverManager.getConnection(url("file", file));
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "create table sent(id bigint generated by default as identity primary key, mark uuid not null, what clob)");
            statement.execute("create index sent_by_mark on sent(mark)");
            for (int i = 0; i < TABLES; i++) {
                statement.execute("create table between" + i + "(id bigint primary key)");
            }
            statement.execute("create table handled(mark uuid primary key, made bigint)");
        }
        return file;
    }

    private static Set<UUID> writeUntilTheCut(String url, int millis) throws Exception {
        AtomicBoolean off = new AtomicBoolean();
        isCut = off;
        JdbcDataSource h2 = new JdbcDataSource();
        h2.setURL(url);
        OneWriter source = new OneWriter(h2, Duration.ofSeconds(20));
        Set<UUID> acknowledged = ConcurrentHashMap.newKeySet();
        Queue<SQLException> before = new ConcurrentLinkedQueue<>();
        List<Thread> all = new ArrayList<>();
        for (int i = 0; i < WRITERS + READERS; i++) {
            boolean isReader = i >= WRITERS;
            all.add(new Thread(() -> {
                try (Connection connection = source.getConnection()) {
                    connection.setAutoCommit(false);
                    while (!off.get()) {
                        if (isReader) {
                            count(connection, "select count(*) from sent");
                            connection.commit();
                        } else {
                            UUID mark = UUID.randomUUID();
                            write(connection, mark);
                            if (!off.get()) {
                                acknowledged.add(mark);
                            }
                        }
                    }
                } catch (SQLException ended) {
                    if (!off.get()) {
                        before.add(ended);
                    }
                }
            }));
        }
        all.forEach(Thread::start);
        Thread.sleep(millis);
        off.set(true);
        for (Thread one : all) {
            one.join();
        }
        assertThat(before).as("nothing fails before the cut").isEmpty();
        return acknowledged;
    }

    private static void write(Connection connection, UUID mark) throws SQLException {
        try (PreparedStatement sent = connection.prepareStatement("insert into sent(mark, what) values(?, ?)");
                PreparedStatement handled =
                        connection.prepareStatement("insert into handled(mark, made) values(?, 1)")) {
            sent.setObject(1, mark);
            sent.setString(2, "a long text ".repeat(40));
            sent.executeUpdate();
            handled.setObject(1, mark);
            handled.executeUpdate();
        }
        connection.commit();
    }

    private static long check(Path file, Set<UUID> acknowledged, String when) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url("file", file))) {
            for (UUID mark : acknowledged) {
                assertThat(count(connection, "select count(*) from handled where mark = '" + mark + "'"))
                        .as(when + ": acknowledged")
                        .isEqualTo(1);
            }
            assertThat(count(
                            connection,
                            "select count(*) from handled where not exists"
                                    + " (select 1 from sent where sent.mark = handled.mark)"))
                    .as(when + ": handled, but not sent")
                    .isZero();
            assertThat(count(
                            connection,
                            "select count(*) from sent where what not like 'a long text %' or not exists"
                                    + " (select 1 from handled where sent.mark = handled.mark)"))
                    .as(when + ": sent, but not handled")
                    .isZero();
            return count(connection, "select count(*) from sent");
        }
    }

    private static long count(Connection connection, String query) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(query);
                ResultSet found = statement.executeQuery()) {
            found.next();
            return found.getLong(1);
        }
    }
}
