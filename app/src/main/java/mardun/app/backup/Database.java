package mardun.app.backup;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;

/** A database of a workroom beside the one that is open: made anew, filled and read without the application. */
final class Database {

    static final String FILE = "mardun.mv.db";

    private static final String USER = "mardun";
    private static final String HISTORY = "flyway_schema_history";

    private final String url;

    private Database(Path folder) {
        this.url = "jdbc:h2:file:" + folder.resolve("mardun").toAbsolutePath() + ";WRITE_DELAY=0";
    }

    /** An empty database in a folder, as it was after a migration. */
    static Database madeAt(Path folder, int schema) {
        Database database = new Database(folder);
        database.migrate(MigrationVersion.fromVersion(Integer.toString(schema)));
        return database;
    }

    /** Takes it to the schema of this version. */
    void migrateToLatest() {
        migrate(MigrationVersion.LATEST);
    }

    private void migrate(MigrationVersion target) {
        Flyway.configure().dataSource(url, USER, "").target(target).load().migrate();
    }

    Connection open() throws SQLException {
        return DriverManager.getConnection(url, USER, "");
    }

    /** The number of the last migration that a database had. */
    static int schema(Connection connection) throws SQLException {
        try (PreparedStatement statement =
                        connection.prepareStatement("select max(cast(\"version\" as integer)) from \"" + HISTORY
                                + "\" where \"version\" is not null");
                ResultSet found = statement.executeQuery()) {
            found.next();
            return found.getInt(1);
        }
    }

    /** The number of the last migration that there is. */
    static int latestSchema() {
        int latest = 0;
        for (var migration : Flyway.configure()
                .dataSource("jdbc:h2:mem:migrations", USER, "")
                .load()
                .info()
                .all()) {
            latest = Math.max(latest, Integer.parseInt(migration.getVersion().getVersion()));
        }
        return latest;
    }

    /** The tables with their columns and types, each after those that its rows refer to. */
    static Map<String, Map<String, String>> tables(Connection connection) throws SQLException {
        Map<String, String> kinds = pairs(
                connection,
                "select table_name, table_type from information_schema.tables where table_schema = 'PUBLIC'");
        Map<String, Map<String, String>> tables = new LinkedHashMap<>();
        try (PreparedStatement statement = connection.prepareStatement("""
                        select table_name, column_name, data_type from information_schema.columns
                        where table_schema = 'PUBLIC' order by table_name, ordinal_position""");
                ResultSet found = statement.executeQuery()) {
            while (found.next()) {
                String table = found.getString(1);
                if (!table.equals(HISTORY) && kinds.getOrDefault(table, "").equals("BASE TABLE")) {
                    tables.computeIfAbsent(table, name -> new LinkedHashMap<>())
                            .put(found.getString(2), found.getString(3));
                }
            }
        }
        return ordered(tables, references(connection));
    }

    /** Which table refers to which. The database's own tables have no index to join them by, so they are joined here. */
    private static Map<String, List<String>> references(Connection connection) throws SQLException {
        Map<String, String> tableOf =
                pairs(connection, "select constraint_name, table_name from information_schema.table_constraints");
        Map<String, List<String>> references = new LinkedHashMap<>();
        pairs(
                        connection,
                        "select constraint_name, unique_constraint_name from information_schema.referential_constraints")
                .forEach((from, to) -> references
                        .computeIfAbsent(tableOf.get(from), table -> new ArrayList<>())
                        .add(tableOf.get(to)));
        return references;
    }

    private static Map<String, String> pairs(Connection connection, String query) throws SQLException {
        Map<String, String> pairs = new LinkedHashMap<>();
        try (PreparedStatement statement = connection.prepareStatement(query);
                ResultSet found = statement.executeQuery()) {
            while (found.next()) {
                pairs.put(found.getString(1), found.getString(2));
            }
        }
        return pairs;
    }

    private static Map<String, Map<String, String>> ordered(
            Map<String, Map<String, String>> tables, Map<String, List<String>> references) {
        Map<String, Map<String, String>> ordered = new LinkedHashMap<>();
        while (ordered.size() < tables.size()) {
            int before = ordered.size();
            tables.forEach((table, columns) -> {
                boolean isReady = references.getOrDefault(table, List.of()).stream()
                        .allMatch(other -> other.equals(table) || ordered.containsKey(other));
                if (isReady) {
                    ordered.putIfAbsent(table, columns);
                }
            });
            if (ordered.size() == before) {
                tables.forEach(ordered::putIfAbsent);
            }
        }
        return ordered;
    }
}
