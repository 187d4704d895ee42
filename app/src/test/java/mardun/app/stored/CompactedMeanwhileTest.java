package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Random;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file that is changed all day, a little here and a little there, doesn't grow without end, and nothing in it is lost. */
class CompactedMeanwhileTest {

    private static final int ROWS = 4_000;
    private static final int CHANGES = 6_000;
    private static final int CHANGES_A_ROUND = 200;
    private static final long MEGABYTE = 1 << 20;

    @TempDir
    private Path folder;

    private OneWriter source(String name) {
        DurableFiles.register();
        JdbcDataSource h2 = new JdbcDataSource();
        h2.setURL(
                "jdbc:h2:durable:" + folder.resolve(name) + ";WRITE_DELAY=0;DB_CLOSE_DELAY=-1;DB_CLOSE_ON_EXIT=FALSE");
        return new OneWriter(h2, Duration.ofSeconds(20));
    }

    private long bytesAfterADay(String name, boolean isCompacted) throws IOException, SQLException {
        OneWriter source = source(name);
        CompactedMeanwhile file = new CompactedMeanwhile(source);
        Random random = new Random(19);
        try (Connection connection = source.getConnection();
                Statement statement = connection.createStatement()) {
            // What was let go is used again at once instead of after 45 seconds.
            statement.execute("set retention_time 0");
            statement.execute("create table sold (id int primary key, mark int, what varchar)");
            statement.execute("create index sold_by_mark on sold(mark)");
            statement.execute(
                    "insert into sold select x, 0, 'sold ' || x || space(400) from system_range(1, " + ROWS + ")");
            try (PreparedStatement change = connection.prepareStatement("update sold set mark = ? where id = ?")) {
                for (int i = 1; i <= CHANGES; i++) {
                    change.setInt(1, random.nextInt());
                    change.setInt(2, 1 + random.nextInt(ROWS));
                    change.executeUpdate();
                    if (isCompacted && i % CHANGES_A_ROUND == 0) {
                        file.compact();
                    }
                }
            }
            long bytes = Files.size(folder.resolve(name + ".mv.db"));
            statement.execute("shutdown immediately");
            return bytes;
        }
    }

    private int whole(String name) throws SQLException {
        try (Connection connection = source(name).getConnection();
                Statement statement = connection.createStatement();
                ResultSet found =
                        statement.executeQuery("select count(*) from sold where what like 'sold ' || id || ' %'")) {
            found.next();
            return found.getInt(1);
        }
    }

    @Test
    void whatIsChangedAllDayStaysSmall() throws IOException, SQLException {
        long left = bytesAfterADay("left", false);
        long compacted = bytesAfterADay("compacted", true);
        assertThat(left).isGreaterThan(16 * MEGABYTE);
        assertThat(compacted).isLessThan(left / 2);
        assertThat(whole("compacted")).isEqualTo(ROWS);
    }
}
