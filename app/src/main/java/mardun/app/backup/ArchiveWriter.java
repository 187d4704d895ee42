package mardun.app.backup;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import mardun.app.backup.ArchiveFormat.Manifest;
import mardun.app.backup.ArchiveFormat.PicturePart;
import mardun.app.backup.ArchiveFormat.TablePart;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Writes all that the maker entered as one archive: what was stored at one moment, whatever is written meanwhile. */
@Component
class ArchiveWriter {

    /** H2's level at which a transaction sees nothing of what others store meanwhile. */
    private static final int SNAPSHOT = 6;

    private static final int AT_ONCE = 500;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final DataSource source;
    private final Path pictures;
    private final Clock clock;

    ArchiveWriter(DataSource source, @Value("${mardun.data}") Path data, Clock clock) {
        this.source = source;
        this.pictures = data.resolve("pictures");
        this.clock = clock;
    }

    /** Writes the archive; the stream stays open. */
    void write(OutputStream out) throws IOException {
        try (Connection connection = source.getConnection()) {
            int before = connection.getTransactionIsolation();
            connection.setAutoCommit(false);
            connection.setTransactionIsolation(SNAPSHOT);
            try {
                write(connection, out);
            } finally {
                connection.rollback();
                connection.setTransactionIsolation(before);
                connection.setAutoCommit(true);
            }
        } catch (SQLException unread) {
            throw new IOException("The database can't be read.", unread);
        }
    }

    private void write(Connection connection, OutputStream out) throws SQLException, IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        List<TablePart> tables = new ArrayList<>();
        for (Map.Entry<String, Map<String, String>> table :
                Database.tables(connection).entrySet()) {
            tables.add(table(connection, table.getKey(), table.getValue(), zip));
        }
        List<PicturePart> kept = pictures(zip);
        zip.putNextEntry(new ZipEntry(ArchiveFormat.MANIFEST));
        zip.write(JSON.writerWithDefaultPrettyPrinter()
                .writeValueAsBytes(new Manifest(
                        ArchiveFormat.KIND,
                        ArchiveFormat.FORMAT,
                        Database.schema(connection),
                        clock.instant().toString(),
                        tables,
                        kept)));
        zip.closeEntry();
        zip.finish();
    }

    private static TablePart table(Connection connection, String name, Map<String, String> columns, ZipOutputStream zip)
            throws SQLException, IOException {
        zip.putNextEntry(new ZipEntry(ArchiveFormat.TABLES + name + ArchiveFormat.TABLE_ENDING));
        MessageDigest digest = sha256();
        long rows = 0;
        try (Statement statement = connection.createStatement();
                DigestOutputStream out = new DigestOutputStream(new Unclosed(zip), digest)) {
            statement.setFetchSize(AT_ONCE);
            String list = columns.keySet().stream().map(ArchiveWriter::quoted).collect(Collectors.joining(", "));
            try (ResultSet found = statement.executeQuery("select " + list + " from " + quoted(name))) {
                while (found.next()) {
                    out.write(row(found));
                    out.write('\n');
                    rows++;
                }
            }
        }
        zip.closeEntry();
        return new TablePart(name, columns, rows, hex(digest));
    }

    static String quoted(String name) {
        return '"' + name.replace("\"", "\"\"") + '"';
    }

    private static byte[] row(ResultSet found) throws SQLException {
        ResultSetMetaData columns = found.getMetaData();
        ObjectNode row = JSON.createObjectNode();
        for (int i = 1; i <= columns.getColumnCount(); i++) {
            String name = columns.getColumnName(i);
            String text = found.getString(i);
            if (text == null) {
                row.putNull(name);
            } else {
                put(row, name, columns.getColumnType(i), text);
            }
        }
        return JSON.writeValueAsBytes(row);
    }

    private static void put(ObjectNode row, String name, int type, String text) {
        switch (type) {
            case Types.BIGINT, Types.INTEGER, Types.SMALLINT, Types.TINYINT -> row.put(name, Long.parseLong(text));
            case Types.BOOLEAN, Types.BIT -> row.put(name, Boolean.parseBoolean(text));
            default -> row.put(name, text);
        }
    }

    private List<PicturePart> pictures(ZipOutputStream zip) throws IOException {
        List<PicturePart> kept = new ArrayList<>();
        if (!Files.isDirectory(pictures)) {
            return kept;
        }
        List<Path> files;
        try (Stream<Path> found = Files.list(pictures)) {
            files = found.filter(Files::isRegularFile).sorted().toList();
        }
        for (Path file : files) {
            byte[] bytes = readIfThere(file);
            if (bytes != null) {
                MessageDigest digest = sha256();
                zip.putNextEntry(new ZipEntry(ArchiveFormat.PICTURES + file.getFileName()));
                zip.write(bytes);
                zip.closeEntry();
                digest.update(bytes);
                kept.add(new PicturePart(file.getFileName().toString(), bytes.length, hex(digest)));
            }
        }
        return kept;
    }

    /** A photo may be taken away while others are written. */
    private static byte @Nullable [] readIfThere(Path file) throws IOException {
        return Files.exists(file) ? Files.readAllBytes(file) : null;
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }

    static String hex(MessageDigest digest) {
        return HexFormat.of().formatHex(digest.digest());
    }

    /** An entry ends without ending the archive. */
    private static final class Unclosed extends FilterOutputStream {

        Unclosed(OutputStream out) {
            super(out);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            out.write(bytes, from, length);
        }

        @Override
        public void close() throws IOException {
            flush();
        }
    }
}
