package mardun.app;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.Set;
import mardun.app.backup.BackupFiles;
import mardun.app.stored.DatabaseCodes;

/** The database's file, looked at before it is opened: what isn't a workroom any more isn't begun anew over it. */
final class WorkroomFile {

    static final String NAME = "mardun.mv.db";

    /** Stands in a folder once a workroom was opened in it. */
    private static final String MARK = "workroom.txt";

    private static final String BEGINS = "H:2,";

    /** The database's own numbers for a file that it can't read: corrupted, or not of a database. */
    private static final Set<Integer> DAMAGED = Set.of(90030, 90048);

    private WorkroomFile() {}

    /**
     * Looks at it.
     *
     * @throws StartRefusedException if it is empty, cut short, or something else, or gone from a folder that had one
     */
    static void check(Path folder) throws IOException {
        Path file = folder.resolve(NAME);
        boolean wasOpened = Files.exists(folder.resolve(MARK));
        if (!Files.exists(file)) {
            if (wasOpened) {
                throw new StartRefusedException("The folder " + folder + " held a workroom, and its database " + NAME
                        + " is gone. " + remedy(folder) + " To begin with an empty workroom, take " + MARK
                        + " out of the folder.");
            }
        } else if (!begins(file) || wasOpened && !holdsAWorkroom(folder)) {
            throw new StartRefusedException("The database " + file + " is damaged: it has " + Files.size(file)
                    + " bytes, and no workroom can be read from them. Nothing was changed. " + remedy(folder));
        }
    }

    /** Whether a database can be opened and holds a workroom; it is opened for reading only, so nothing of it is changed. */
    private static boolean holdsAWorkroom(Path folder) {
        String url = "jdbc:h2:file:"
                + folder.resolve(NAME.replace(".mv.db", "")).toAbsolutePath() + ";ACCESS_MODE_DATA=r;IFEXISTS=TRUE";
        try (Connection connection = DriverManager.getConnection(url, "mardun", "");
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery("select count(*) from \"flyway_schema_history\"")) {
            return found.next() && found.getLong(1) > 0;
        } catch (SQLException unread) {
            return false;
        }
    }

    private static boolean begins(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new String(in.readNBytes(BEGINS.length()), StandardCharsets.US_ASCII).equals(BEGINS);
        }
    }

    /** Whether something failed because the database's file isn't what was written to it. */
    static boolean isDamage(Throwable failure) {
        return DatabaseCodes.areBehind(failure, DAMAGED);
    }

    static StartRefusedException damaged(Path folder, Throwable failure) {
        try {
            return new StartRefusedException(
                    "The database " + folder.resolve(NAME) + " is damaged: it can't be read. Nothing was changed. "
                            + remedy(folder),
                    failure);
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    /** How to go on from the last backup. */
    static String remedy(Path folder) throws IOException {
        Optional<Path> last = BackupFiles.last(folder);
        return last.map(backup ->
                        "The last good backup is " + backup + ": restore it with ./mardun restore " + backup + ".")
                .orElse("There is no backup in the folder; put a copy of the file there.");
    }

    /** A workroom was opened. */
    static void mark(Path folder) throws IOException {
        Path mark = folder.resolve(MARK);
        if (!Files.exists(mark)) {
            Files.writeString(mark, "This folder holds a workroom of Mardun. Its database is " + NAME + ".\n");
        }
    }
}
