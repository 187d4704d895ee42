package mardun.app.backup;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import mardun.app.backup.ArchiveFormat.Manifest;
import mardun.app.backup.ArchiveFormat.PicturePart;
import mardun.app.backup.ArchiveFormat.TablePart;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads an archive into a folder beside the workroom's: all of it is checked, the database is made anew as it was at the archive's schema,
 * filled, and taken to the schema of this version. Nothing that is open is touched.
 */
final class ArchiveReader {

    private static final long LARGEST = 4_000_000_000L;
    private static final long LARGEST_MANIFEST = 20_000_000;
    private static final int LONGEST_ROW = 40_000_000;
    private static final int LARGEST_PICTURE = 30_000_000;
    private static final int AT_ONCE = 500;

    /** So many characters of rows are in memory at most, before they are written. */
    private static final int MOST_WAITING = 2_000_000;

    private static final Pattern PICTURE = Pattern.compile("[0-9a-zA-Z-]{1,80}\\.(jpg|png|webp)");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private ArchiveReader() {}

    /**
     * What was read.
     *
     * @param rows how many rows each table has now, by its name
     */
    record Contents(Instant madeAt, int schema, Map<String, Long> rows, int pictures) {}

    /**
     * Reads an archive.
     *
     * @param into an empty folder, which gets a database and pictures
     * @throws ArchiveRefusedException if the file is something else, damaged, or of a version that isn't known yet
     */
    static Contents read(Path archive, Path into) throws IOException, ArchiveRefusedException {
        try (ZipFile zip = new ZipFile(archive.toFile(), StandardCharsets.UTF_8)) {
            Manifest manifest = manifest(zip);
            Database database = Database.madeAt(into, manifest.schema());
            fill(zip, manifest, database);
            pictures(zip, manifest.pictures(), into.resolve("pictures"));
            database.migrateToLatest();
            try (Connection connection = database.open()) {
                return new Contents(
                        Instant.parse(manifest.madeAt()),
                        manifest.schema(),
                        rows(connection),
                        manifest.pictures().size());
            }
        } catch (ZipException damaged) {
            throw new ArchiveRefusedException(
                    "This is no archive, or only a part of one: it can't be opened as a ZIP file. Choose one that Mardun saved.",
                    damaged);
        } catch (SQLException unfit) {
            throw new ArchiveRefusedException(
                    "The archive's tables don't fit together: " + firstLine(unfit.getMessage())
                            + " Choose another one.",
                    unfit);
        }
    }

    private static String firstLine(String message) {
        return message.lines().findFirst().orElse("").replaceAll("; SQL statement:.*", ".");
    }

    private static Manifest manifest(ZipFile zip) throws IOException, ArchiveRefusedException {
        ZipEntry entry = zip.getEntry(ArchiveFormat.MANIFEST);
        if (entry == null || entry.getSize() > LARGEST_MANIFEST) {
            throw new ArchiveRefusedException(
                    "This ZIP file isn't an archive of Mardun: it has no " + ArchiveFormat.MANIFEST + ".");
        }
        Manifest manifest;
        try (InputStream in = zip.getInputStream(entry)) {
            manifest = JSON.readValue(in.readAllBytes(), Manifest.class);
        } catch (JacksonException unread) {
            throw new ArchiveRefusedException("The archive's " + ArchiveFormat.MANIFEST + " can't be read.", unread);
        }
        if (!ArchiveFormat.KIND.equals(manifest.kind()) || !isWhole(manifest)) {
            throw new ArchiveRefusedException("This ZIP file isn't an archive of Mardun: its " + ArchiveFormat.MANIFEST
                    + " says something else.");
        }
        int latest = Database.latestSchema();
        if (manifest.format() > ArchiveFormat.FORMAT || manifest.schema() > latest) {
            throw new ArchiveRefusedException("The archive is of a newer Mardun (schema " + manifest.schema()
                    + "), and this one knows none beyond " + latest + ". Restore it with that one.");
        }
        if (manifest.schema() < 1) {
            throw new ArchiveRefusedException(
                    "The archive says that its schema is " + manifest.schema() + ", which never was.");
        }
        return manifest;
    }

    private static boolean isWhole(Manifest manifest) {
        return manifest.madeAt() != null
                && isMoment(manifest.madeAt())
                && manifest.tables() != null
                && manifest.tables().stream()
                        .allMatch(table -> table != null
                                && table.name() != null
                                && table.columns() != null
                                && !table.columns().isEmpty())
                && manifest.pictures() != null
                && manifest.pictures().stream().allMatch(Objects::nonNull);
    }

    private static boolean isMoment(String text) {
        try {
            Instant.parse(text);
            return true;
        } catch (DateTimeParseException unread) {
            return false;
        }
    }

    private static void fill(ZipFile zip, Manifest manifest, Database database)
            throws IOException, SQLException, ArchiveRefusedException {
        try (Connection connection = database.open()) {
            Map<String, Map<String, String>> known = Database.tables(connection);
            try (Statement statement = connection.createStatement()) {
                statement.execute("set referential_integrity false");
            }
            connection.setAutoCommit(false);
            long read = 0;
            for (TablePart table : manifest.tables()) {
                Map<String, String> columns = known.get(table.name());
                if (columns == null
                        || !columns.keySet().containsAll(table.columns().keySet())) {
                    throw new ArchiveRefusedException("The archive has a table “" + table.name()
                            + "” that no Mardun of schema " + manifest.schema() + " has.");
                }
                read += table(zip, table, connection);
                if (read > LARGEST) {
                    throw new ArchiveRefusedException("The archive unpacks to more than " + LARGEST / 1_000_000_000
                            + " GB, and no workroom is that large.");
                }
            }
            connection.commit();
            connection.setAutoCommit(true);
            try (Statement statement = connection.createStatement()) {
                for (Map.Entry<String, Map<String, String>> table : known.entrySet()) {
                    continueNumbers(statement, table.getKey());
                }
                statement.execute("set referential_integrity true");
            }
            checkReferences(connection);
        }
    }

    private static long table(ZipFile zip, TablePart table, Connection connection)
            throws IOException, SQLException, ArchiveRefusedException {
        String file = ArchiveFormat.TABLES + table.name() + ArchiveFormat.TABLE_ENDING;
        ZipEntry entry = zip.getEntry(file);
        if (entry == null) {
            throw new ArchiveRefusedException("The archive lacks " + file + ", which its manifest names.");
        }
        List<String> columns = List.copyOf(table.columns().keySet());
        // Rows that were there at once after a migration are the archive's rows as they were before they were changed.
        try (Statement statement = connection.createStatement()) {
            statement.execute("delete from " + ArchiveWriter.quoted(table.name()));
        }
        String insert = "insert into " + ArchiveWriter.quoted(table.name()) + " ("
                + columns.stream().map(ArchiveWriter::quoted).collect(Collectors.joining(", "))
                + ") overriding system value values (" + "?, ".repeat(columns.size() - 1) + "?)";
        MessageDigest digest = ArchiveWriter.sha256();
        long rows = 0;
        long read = 0;
        long waiting = 0;
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                        new DigestInputStream(zip.getInputStream(entry), digest), StandardCharsets.UTF_8));
                PreparedStatement statement = connection.prepareStatement(insert)) {
            for (String line = line(lines, file); line != null; line = line(lines, file)) {
                read += line.length();
                if (read > LARGEST) {
                    throw new ArchiveRefusedException(file + " is larger than any workroom's.");
                }
                add(line, columns, statement, file, rows + 1);
                rows++;
                waiting += line.length();
                if (rows % AT_ONCE == 0 || waiting > MOST_WAITING) {
                    statement.executeBatch();
                    connection.commit();
                    waiting = 0;
                }
            }
            statement.executeBatch();
            connection.commit();
        } catch (ZipException damaged) {
            throw new ArchiveRefusedException(file + " is damaged: it can't be unpacked.", damaged);
        }
        if (!ArchiveWriter.hex(digest).equals(table.sha256()) || rows != table.rows()) {
            throw new ArchiveRefusedException(
                    file + " isn’t what was saved: its checksum differs. Choose an archive that is whole.");
        }
        return read;
    }

    /** The next line, without reading on where it doesn't end; null after the last one. */
    private static @Nullable String line(Reader lines, String file) throws IOException, ArchiveRefusedException {
        int next = lines.read();
        if (next < 0) {
            return null;
        }
        StringBuilder line = new StringBuilder();
        while (next >= 0 && next != '\n') {
            if (line.length() == LONGEST_ROW) {
                throw new ArchiveRefusedException("A row of " + file + " is longer than any row can be.");
            }
            line.append((char) next);
            next = lines.read();
        }
        return line.toString();
    }

    private static void add(String line, List<String> columns, PreparedStatement statement, String file, long number)
            throws SQLException, ArchiveRefusedException {
        JsonNode row;
        try {
            row = JSON.readTree(line);
        } catch (JacksonException unread) {
            throw new ArchiveRefusedException("Line " + number + " of " + file + " can't be read.", unread);
        }
        for (int i = 0; i < columns.size(); i++) {
            JsonNode value = row.get(columns.get(i));
            statement.setObject(i + 1, value == null || value.isNull() ? null : value.asString());
        }
        statement.addBatch();
    }

    /** Numbers that the database gives go on after the largest that there is. */
    private static void continueNumbers(Statement statement, String table) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (ResultSet found =
                statement.executeQuery("select column_name from information_schema.columns where table_schema ="
                        + " 'PUBLIC' and is_identity = 'YES' and table_name = '" + table.replace("'", "''") + "'")) {
            while (found.next()) {
                columns.add(found.getString(1));
            }
        }
        for (String column : columns) {
            long next;
            try (ResultSet found = statement.executeQuery("select coalesce(max(" + ArchiveWriter.quoted(column)
                    + "), 0) + 1 from " + ArchiveWriter.quoted(table))) {
                found.next();
                next = found.getLong(1);
            }
            statement.execute("alter table " + ArchiveWriter.quoted(table) + " alter column "
                    + ArchiveWriter.quoted(column) + " restart with " + next);
        }
    }

    /** A row that refers to one that isn't there is none that Mardun stored. */
    private static void checkReferences(Connection connection) throws SQLException, ArchiveRefusedException {
        Map<String, String> constraints = new LinkedHashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery("""
                        select f.table_name, f.column_name, p.table_name, p.column_name
                        from information_schema.referential_constraints r
                        join information_schema.key_column_usage f on f.constraint_name = r.constraint_name
                        join information_schema.key_column_usage p on p.constraint_name = r.unique_constraint_name
                            and p.ordinal_position = f.position_in_unique_constraint""")) {
            while (found.next()) {
                constraints.put(
                        found.getString(1) + "." + found.getString(2),
                        "select count(*) from " + ArchiveWriter.quoted(found.getString(1)) + " a where a."
                                + ArchiveWriter.quoted(found.getString(2))
                                + " is not null and not exists (select 1 from "
                                + ArchiveWriter.quoted(found.getString(3)) + " b where b."
                                + ArchiveWriter.quoted(found.getString(4)) + " = a."
                                + ArchiveWriter.quoted(found.getString(2)) + ")");
            }
        }
        for (Map.Entry<String, String> constraint : constraints.entrySet()) {
            try (Statement statement = connection.createStatement();
                    ResultSet found = statement.executeQuery(constraint.getValue())) {
                found.next();
                if (found.getLong(1) > 0) {
                    throw new ArchiveRefusedException("The archive doesn’t fit together: " + found.getLong(1)
                            + " rows of " + constraint.getKey() + " refer to something that isn’t in it.");
                }
            }
        }
    }

    private static void pictures(ZipFile zip, List<PicturePart> pictures, Path folder)
            throws IOException, ArchiveRefusedException {
        Files.createDirectories(folder);
        for (PicturePart picture : pictures) {
            ZipEntry entry = Optional.ofNullable(picture.name())
                    .filter(name -> PICTURE.matcher(name).matches())
                    .map(name -> zip.getEntry(ArchiveFormat.PICTURES + name))
                    .orElseThrow(() -> new ArchiveRefusedException(
                            "The archive lacks the picture “" + picture.name() + "”, or its name can’t be one."));
            MessageDigest digest = ArchiveWriter.sha256();
            try (InputStream in = new DigestInputStream(zip.getInputStream(entry), digest)) {
                byte[] bytes = in.readNBytes(LARGEST_PICTURE + 1);
                if (bytes.length > LARGEST_PICTURE) {
                    throw new ArchiveRefusedException(
                            "The picture “" + picture.name() + "” is larger than any can be.");
                }
                Files.write(folder.resolve(picture.name()), bytes);
            }
            if (!ArchiveWriter.hex(digest).equals(picture.sha256())) {
                throw new ArchiveRefusedException(
                        "The picture “" + picture.name() + "” isn’t what was saved: its checksum differs.");
            }
        }
    }

    static Map<String, Long> rows(Connection connection) throws SQLException {
        Map<String, Long> rows = new LinkedHashMap<>();
        for (String table : Database.tables(connection).keySet()) {
            try (Statement statement = connection.createStatement();
                    ResultSet found = statement.executeQuery("select count(*) from " + ArchiveWriter.quoted(table))) {
                found.next();
                rows.put(table, found.getLong(1));
            }
        }
        return rows;
    }
}
