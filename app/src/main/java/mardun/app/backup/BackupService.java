package mardun.app.backup;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import javax.sql.DataSource;
import mardun.app.background.Background;
import mardun.app.backup.BackupFiles.Backup;
import mardun.app.backup.BackupViews.BackupPlaceForm;
import mardun.app.backup.BackupViews.BackupPlaceView;
import mardun.app.backup.BackupViews.BackupView;
import mardun.app.backup.BackupViews.BackupsView;
import mardun.app.backup.BackupViews.RestoreLine;
import mardun.app.backup.BackupViews.RestoreView;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps backups: one a day by itself, others when asked; copies them to a second place, and restores them. */
@Service
class BackupService {

    private static final Logger LOG = LoggerFactory.getLogger(BackupService.class);

    private static final Duration LATE = Duration.ofDays(14);
    private static final int FIRST_LOOK_SECONDS = 60;
    private static final int LOOK_AGAIN_SECONDS = 3600;
    private static final long LARGEST_UPLOAD = 2_000_000_000L;
    private static final int LONGEST_TROUBLE = 480;
    private static final String UPLOAD = "upload-";

    /** What is counted, by the tables that hold it. */
    private static final Map<String, String> COUNTED = counted();

    private final ArchiveWriter writer;
    private final BackupFiles files;
    private final BackupPlaceRepository places;
    private final DataSource source;
    private final SettingsService settings;
    private final Path data;
    private final boolean automatic;
    private final Restart restart;
    private final TransactionTemplate storing;
    private final Clock clock;
    private final ReentrantLock one = new ReentrantLock();
    private final ScheduledExecutorService rounds =
            Executors.newSingleThreadScheduledExecutor(Background.quiet("backups"));

    private volatile @Nullable RestoreView opened;

    BackupService(
            ArchiveWriter writer,
            BackupPlaceRepository places,
            DataSource source,
            SettingsService settings,
            @Value("${mardun.data}") Path data,
            @Value("${mardun.backups.automatic}") boolean automatic,
            Restart restart,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.writer = writer;
        this.files = new BackupFiles(data, clock);
        this.places = places;
        this.source = source;
        this.settings = settings;
        this.data = data;
        this.automatic = automatic;
        this.restart = restart;
        this.storing = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    private static Map<String, String> counted() {
        Map<String, String> counted = new LinkedHashMap<>();
        counted.put("DESIGN", "designs");
        counted.put("MATERIAL", "materials");
        counted.put("STOCK_MOVEMENT", "movements on the shelf");
        counted.put("BATCH", "batches");
        counted.put("BENCH_EVENT", "touches at the bench");
        counted.put("FINISHED_GOODS", "lots of finished bags");
        counted.put("FAIR", "fairs");
        counted.put("SALE", "sales");
        counted.put("SHOP_ORDER", "orders of the online shop");
        counted.put("QUOTE", "quotes");
        return counted;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        sweep();
        if (automatic) {
            rounds.scheduleWithFixedDelay(this::look, FIRST_LOOK_SECONDS, LOOK_AGAIN_SECONDS, TimeUnit.SECONDS);
        }
    }

    @PreDestroy
    void stop() {
        rounds.shutdownNow();
    }

    /** What was begun when the application was killed is of no use. */
    private void sweep() {
        try {
            files.sweep();
            try (DirectoryStream<Path> uploads = Files.newDirectoryStream(data, UPLOAD + "*.zip")) {
                for (Path upload : uploads) {
                    Files.deleteIfExists(upload);
                }
            }
        } catch (IOException stays) {
            LOG.warn("What was left of a backup can't be removed: {}", stays.getMessage());
        }
    }

    /** Makes the day's backup, unless there is one or nothing was entered yet. */
    private void look() {
        try {
            LocalDate today = LocalDate.now(clock);
            boolean isMade = files.all().stream()
                    .anyMatch(backup -> backup.madeAt().toLocalDate().equals(today));
            if (!isMade && isAnythingEntered()) {
                make();
            }
        } catch (IOException | SQLException | RuntimeException failed) {
            LOG.warn("The day's backup couldn't be made: {}", failed.getMessage());
        }
    }

    private boolean isAnythingEntered() throws SQLException {
        try (Connection connection = source.getConnection()) {
            Map<String, Long> rows = ArchiveReader.rows(connection);
            return COUNTED.keySet().stream().anyMatch(table -> rows.getOrDefault(table, 0L) > 0);
        }
    }

    BackupsView view() {
        try {
            BackupPlace place = places.findById(BackupPlace.ONE).orElseThrow();
            ViewWriter writer = settings.current().writer();
            boolean isLate = !place.folder().isEmpty()
                    && (!place.trouble().isEmpty()
                            || place.lastAt()
                                    .map(at -> at.isBefore(clock.instant().minus(LATE)))
                                    .orElse(true));
            return new BackupsView(
                    files.all().stream()
                            .map(backup -> new BackupView(backup.name(), backup.madeAt(), writer.size(backup.bytes())))
                            .toList(),
                    new BackupPlaceView(
                            place.version(),
                            place.folder(),
                            place.lastAt().map(this::local).orElse(null),
                            place.trouble(),
                            isLate),
                    opened);
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    private LocalDateTime local(Instant at) {
        return LocalDateTime.ofInstant(at, clock.getZone());
    }

    /** Makes a backup now, and copies it to the second place if there is one. */
    void make() {
        one.lock();
        try {
            Backup made = files.make(writer::write);
            copy(made);
        } catch (ArchiveRefusedException unreadable) {
            throw RefusedException.conflict(
                    "The backup was written and couldn't be read back, so it wasn't kept: " + unreadable.getMessage());
        } catch (IOException failed) {
            throw RefusedException.conflict(
                    "The backup couldn't be written: " + failed.getMessage() + ". Is there room on the disk?");
        } finally {
            one.unlock();
        }
    }

    private void copy(Backup backup) throws IOException {
        String folder = places.findById(BackupPlace.ONE).orElseThrow().folder();
        if (folder.isEmpty()) {
            return;
        }
        String trouble = copied(files.file(backup.name()).orElseThrow(), Path.of(folder));
        storing.executeWithoutResult(stored -> {
            BackupPlace place = places.findById(BackupPlace.ONE).orElseThrow();
            if (trouble.isEmpty()) {
                place.copied(clock.instant());
            } else {
                place.failed(trouble);
            }
            places.save(place);
        });
    }

    /** Copies a backup; answers why it couldn't be, or nothing. */
    private static String copied(Path backup, Path folder) {
        try {
            if (!Files.isDirectory(folder)) {
                return "The folder " + folder + " isn't there. Is the stick in, or the disk switched on?";
            }
            Path half = folder.resolve(backup.getFileName() + ".half");
            Files.copy(backup, half, StandardCopyOption.REPLACE_EXISTING);
            Files.move(half, folder.resolve(backup.getFileName()), StandardCopyOption.REPLACE_EXISTING);
            return "";
        } catch (IOException failed) {
            String why = "It couldn't be copied to " + folder + ": " + failed.getMessage();
            return why.substring(0, Math.min(LONGEST_TROUBLE, why.length()));
        }
    }

    /** Backups are copied to another folder from now on; the last one at once. */
    void place(BackupPlaceForm form) {
        FieldReader fields = new FieldReader();
        String folder = form.folder().strip();
        if (!folder.isEmpty()) {
            check(folder, fields);
        }
        fields.check();
        storing.executeWithoutResult(stored -> {
            BackupPlace place = places.findById(BackupPlace.ONE).orElseThrow();
            ChangedMeanwhileException.check("The second place", form.version(), place.version());
            place.moveTo(folder);
            places.saveAndFlush(place);
        });
        one.lock();
        try {
            Optional<Backup> last = files.all().stream().findFirst();
            if (last.isPresent()) {
                copy(last.get());
            }
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } finally {
            one.unlock();
        }
    }

    private void check(String folder, FieldReader fields) {
        try {
            Path path = Path.of(folder);
            if (!path.isAbsolute()) {
                fields.refuse("folder", folder, "Type the whole path, from its beginning.");
            } else if (!Files.isDirectory(path)) {
                fields.refuse(
                        "folder", folder, "There is no folder “" + folder + "”. Make it first, or put the stick in.");
            } else if (path.normalize().startsWith(data.toAbsolutePath().normalize())) {
                fields.refuse(
                        "folder", folder, "This is where the workroom itself lies. Choose another disk or a stick.");
            } else if (!Files.isWritable(path)) {
                fields.refuse("folder", folder, "Nothing can be written to “" + folder + "”.");
            }
        } catch (InvalidPathException unread) {
            fields.refuse("folder", folder, "“" + folder + "” is no path of a folder.");
        }
    }

    /** The file of a backup. */
    Path file(String name) {
        try {
            return files.file(name)
                    .orElseThrow(() -> RefusedException.missing("There is no such backup, or no longer."));
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    /** All that is stored now, as an archive. */
    void write(OutputStream out) {
        try {
            writer.write(out);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    /** Opens an archive to be restored: all of it is read and checked, and nothing changed. */
    RestoreView open(InputStream archive) {
        try {
            Path file = Files.createTempFile(data, UPLOAD, ".zip");
            try {
                long bytes = 0;
                try (OutputStream out = Files.newOutputStream(file)) {
                    byte[] some = new byte[1 << 16];
                    for (int read = archive.read(some); read >= 0; read = archive.read(some)) {
                        bytes += read;
                        if (bytes > LARGEST_UPLOAD) {
                            throw RefusedException.conflict("The archive is larger than 2 GB.");
                        }
                        out.write(some, 0, read);
                    }
                }
                return open(file);
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (IOException failed) {
            throw RefusedException.conflict(
                    "The archive couldn't be taken in: " + failed.getMessage() + ". Is there room on the disk?");
        }
    }

    RestoreView openKept(String name) {
        try {
            return open(file(name));
        } catch (IOException failed) {
            throw RefusedException.conflict("The backup couldn't be read: " + failed.getMessage());
        }
    }

    private RestoreView open(Path archive) throws IOException {
        one.lock();
        try (Connection connection = source.getConnection()) {
            opened = null;
            ArchiveReader.Contents contents = PendingRestore.read(archive, data);
            Map<String, Long> now = ArchiveReader.rows(connection);
            List<RestoreLine> lines = new ArrayList<>();
            COUNTED.forEach((table, words) -> lines.add(new RestoreLine(
                    words, now.getOrDefault(table, 0L), contents.rows().getOrDefault(table, 0L))));
            RestoreView view =
                    new RestoreView(UUID.randomUUID().toString(), local(contents.madeAt()), contents.pictures(), lines);
            opened = view;
            return view;
        } catch (ArchiveRefusedException refused) {
            throw RefusedException.conflict(refused.getMessage());
        } catch (SQLException failed) {
            throw new IOException(failed);
        } finally {
            one.unlock();
        }
    }

    /** What was opened takes the place of all that is there, which is kept beside it; the application starts anew. */
    void accept(String id) {
        one.lock();
        try {
            RestoreView view = opened;
            if (view == null || !view.id().equals(id)) {
                throw RefusedException.conflict("Another archive was opened meanwhile, or none is. Look at it again.");
            }
            PendingRestore.accept(data);
            opened = null;
        } catch (IOException failed) {
            throw RefusedException.conflict("It couldn't be restored: " + failed.getMessage());
        } finally {
            one.unlock();
        }
        restart.soon();
    }

    void giveUp() {
        one.lock();
        try {
            opened = null;
            PendingRestore.giveUp(data);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } finally {
            one.unlock();
        }
    }
}
