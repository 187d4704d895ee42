package mardun.app.backup;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** The backups in the workroom's folder: each an archive that was read back before it got its name. */
public final class BackupFiles {

    private static final String FOLDER = "backups";
    private static final String BEGINS = "workroom-";
    private static final String ENDS = ".zip";
    private static final String UNCHECKED = ".unchecked";
    private static final String CHECK = "check";
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("uuuu-MM-dd-HHmmss");

    private final Path folder;
    private final Clock clock;

    BackupFiles(Path data, Clock clock) {
        this.folder = data.resolve(FOLDER);
        this.clock = clock;
    }

    /**
     * A backup.
     *
     * @param name of its file
     * @param madeAt in the machine's zone
     */
    record Backup(String name, LocalDateTime madeAt, long bytes) {}

    /** All backups, the last one first. */
    List<Backup> all() throws IOException {
        return all(folder);
    }

    private static List<Backup> all(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(file -> backup(file).stream())
                    .sorted(Comparator.comparing(Backup::madeAt).reversed())
                    .toList();
        }
    }

    private static Optional<Backup> backup(Path file) {
        String name = file.getFileName().toString();
        if (!name.startsWith(BEGINS) || !name.endsWith(ENDS)) {
            return Optional.empty();
        }
        try {
            LocalDateTime madeAt =
                    LocalDateTime.parse(name.substring(BEGINS.length(), name.length() - ENDS.length()), STAMP);
            return Optional.of(new Backup(name, madeAt, Files.size(file)));
        } catch (DateTimeParseException | IOException notOurs) {
            return Optional.empty();
        }
    }

    /** The file of a backup. */
    Optional<Path> file(String name) throws IOException {
        return all().stream()
                .filter(backup -> backup.name().equals(name))
                .map(backup -> folder.resolve(backup.name()))
                .findFirst();
    }

    /** The last backup in a workroom's folder, for whoever can't open it. */
    public static Optional<Path> last(Path data) throws IOException {
        Path folder = data.resolve(FOLDER);
        return all(folder).stream().findFirst().map(backup -> folder.resolve(backup.name()));
    }

    /** Removes what was left of backups that weren't finished; only while none is being made. */
    void sweep() throws IOException {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, "{" + CHECK + "*,*" + UNCHECKED + "}")) {
            for (Path file : files) {
                PendingRestore.remove(file);
            }
        }
    }

    /** What writes an archive. */
    interface Written {
        void to(OutputStream out) throws IOException;
    }

    /**
     * Makes a backup, reads it back, and lets older ones go.
     *
     * @throws ArchiveRefusedException if what was written can't be read back; there is no backup then
     */
    Backup make(Written archive) throws IOException, ArchiveRefusedException {
        Files.createDirectories(folder);
        String name = BEGINS + LocalDateTime.now(clock).format(STAMP) + ENDS;
        Path unchecked = folder.resolve(name + UNCHECKED);
        try {
            write(archive, unchecked);
            Path check = Files.createTempDirectory(folder, CHECK);
            try {
                ArchiveReader.read(unchecked, check);
            } finally {
                PendingRestore.remove(check);
            }
            Files.move(unchecked, folder.resolve(name), StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(unchecked);
        }
        letGo();
        return backup(folder.resolve(name)).orElseThrow();
    }

    static void write(Written archive, Path file) throws IOException {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
            archive.to(out);
        }
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    private void letGo() throws IOException {
        List<Backup> all = all();
        Set<Backup> kept =
                Keeping.kept(all, backup -> backup.madeAt().toLocalDate(), Comparator.comparing(Backup::madeAt));
        for (Backup backup : all) {
            if (!kept.contains(backup)) {
                Files.deleteIfExists(folder.resolve(backup.name()));
            }
        }
    }
}
