package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file that was much written to shrinks to what is in it, and nothing of that is lost. */
class CompactedAtTheEndTest {

    private static final long MEGABYTE = 1 << 20;

    @TempDir
    private Path folder;

    private String url() {
        DurableFiles.register();
        return "jdbc:h2:durable:" + folder.resolve("mardun")
                + ";WRITE_DELAY=0;DB_CLOSE_DELAY=-1;DB_CLOSE_ON_EXIT=FALSE";
    }

    private long bytes() throws IOException {
        return Files.size(folder.resolve("mardun.mv.db"));
    }

    private void write(int megabytes) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url(), "mardun", "");
                Statement statement = connection.createStatement()) {
            statement.execute("create table kept (id int primary key, document clob)");
            statement.execute("insert into kept select x, 'kept ' || x from system_range(1, 1000)");
            statement.execute("create table gone (document clob)");
            for (int i = 0; i < megabytes; i++) {
                statement.execute("insert into gone values (cast(random_uuid() as varchar) || space(1048576))");
            }
            statement.execute("drop table gone");
        }
    }

    private void compact() {
        JdbcDataSource source = new JdbcDataSource();
        source.setURL(url());
        source.setUser("mardun");
        new CompactedAtTheEnd(source).compact();
    }

    private int kept() throws SQLException {
        try (Connection connection = DriverManager.getConnection(url(), "mardun", "");
                Statement statement = connection.createStatement()) {
            ResultSet found = statement.executeQuery("select count(*) from kept where document = 'kept ' || id");
            found.next();
            int count = found.getInt(1);
            statement.execute("shutdown");
            return count;
        }
    }

    @Test
    void mostOfAMuchWrittenFileIsLetGo() throws IOException, SQLException {
        write(60);
        assertThat(bytes()).isGreaterThan(32 * MEGABYTE);
        compact();
        assertThat(bytes()).isLessThan(4 * MEGABYTE);
        assertThat(kept()).isEqualTo(1000);
    }

    @Test
    void aSmallFileStaysAsItIs() throws IOException, SQLException {
        write(3);
        long before = bytes();
        compact();
        assertThat(bytes()).isGreaterThanOrEqualTo(before);
        assertThat(kept()).isEqualTo(1000);
    }
}
