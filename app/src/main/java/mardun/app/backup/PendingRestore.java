package mardun.app.backup;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A workroom that was restored beside the one that is there, and takes its place at the next start. Each file changes places with one
 * rename, so whatever happens meanwhile, the start after it goes on where it was; what was there before is kept in a folder of its own.
 */
public final class PendingRestore {

    private static final String FOLDER = "restore";
    private static final String READY = "ready.txt";
    private static final List<String> PARTS = List.of(Database.FILE, "pictures");
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("uuuu-MM-dd-HHmmss");

    private PendingRestore() {}

    /**
     * Reads an archive into the folder for the next start.
     *
     * @return what it holds
     * @throws ArchiveRefusedException if it can't be restored; nothing is pending then
     */
    static ArchiveReader.Contents read(Path archive, Path data) throws IOException, ArchiveRefusedException {
        Path folder = data.resolve(FOLDER);
        remove(folder);
        Files.createDirectories(folder);
        try {
            return ArchiveReader.read(archive, folder);
        } catch (ArchiveRefusedException | IOException refused) {
            remove(folder);
            throw refused;
        }
    }

    /** What was read takes its place at the next start. */
    static void accept(Path data) throws IOException {
        Path folder = data.resolve(FOLDER);
        Path ready = folder.resolve(READY);
        force(folder.resolve(Database.FILE));
        Files.writeString(ready, LocalDateTime.now().format(STAMP));
        force(ready);
    }

    private static void force(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    static void giveUp(Path data) throws IOException {
        remove(data.resolve(FOLDER));
    }

    /**
     * Puts what is pending in its place; of nothing pending, nothing.
     *
     * @return the folder with what was there before; empty where nothing was restored
     */
    public static Optional<Path> finish(Path data) throws IOException {
        Path folder = data.resolve(FOLDER);
        Path ready = folder.resolve(READY);
        if (!Files.exists(ready)) {
            return Optional.empty();
        }
        Path replaced = data.resolve("replaced-" + Files.readString(ready).strip());
        Files.createDirectories(replaced);
        for (String part : PARTS) {
            if (Files.exists(folder.resolve(part))) {
                if (Files.exists(data.resolve(part))) {
                    Files.move(data.resolve(part), replaced.resolve(part), StandardCopyOption.ATOMIC_MOVE);
                }
                Files.move(folder.resolve(part), data.resolve(part), StandardCopyOption.ATOMIC_MOVE);
            }
        }
        remove(folder);
        return Optional.of(replaced);
    }

    /**
     * Restores an archive into a workroom that isn't open.
     *
     * @throws ArchiveRefusedException if it can't be restored; nothing is changed then
     */
    public static void restore(Path archive, Path data) throws IOException, ArchiveRefusedException {
        read(archive, data);
        accept(data);
        finish(data);
    }

    static void remove(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        List<Path> inside;
        try (Stream<Path> files = Files.walk(folder)) {
            inside = files.sorted(Comparator.reverseOrder()).toList();
        }
        for (Path file : inside) {
            Files.deleteIfExists(file);
        }
    }
}
