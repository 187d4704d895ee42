package mardun.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import java.util.Optional;
import mardun.app.backup.ArchiveRefusedException;
import mardun.app.backup.PendingRestore;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.core.env.MapPropertySource;

/** The folder with everything the maker entered, taken by one running application at a time. */
public final class WorkroomFolder {

    private static final String DEMO_MARK = "demo-data";

    /** Stands in the demo's folder once all of it was entered, so that half of it isn't taken for the whole. */
    public static final String DEMO_IS_WHOLE = "demo-is-whole.txt";

    /** Stands in the demo's folder while busy years are lived through, which are gone on with by the next start. */
    public static final String DEMO_YEARS_BEGUN = "demo-years-begun.json";

    private WorkroomFolder() {}

    /** A folder that is taken, and what holds it. */
    record Taken(Path folder, FileChannel lock) {

        /** Gives it back, because the application didn't start. */
        void giveBack() {
            try {
                lock.close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /**
     * Takes the data folder for an application that is about to start, and gives it back when that stops. The lock goes
     * with the process, so one that was killed leaves the folder free.
     *
     * @return what was taken
     * @throws StartRefusedException if the folder or the port is in use, or demo and real data would share the folder
     * @throws IOException if the folder can't be written
     */
    static Taken takeFor(ConfigurableApplicationContext context) throws IOException {
        Path folder = Path.of(context.getEnvironment().getRequiredProperty("mardun.data"))
                .toAbsolutePath()
                .normalize();
        Files.createDirectories(folder);
        context.getEnvironment()
                .getPropertySources()
                .addFirst(new MapPropertySource("workroom folder", Map.of("mardun.data", folder.toString())));
        FileChannel lock = lock(folder);
        try {
            keepDemoApart(
                    folder,
                    context.getEnvironment().getProperty("mardun.demo", Boolean.class, false),
                    context.getEnvironment().getProperty("mardun.demo.years", Integer.class, 0) > 0);
            checkPort(context.getEnvironment().getProperty("server.port", Integer.class, 8080));
            restore(folder, context.getEnvironment().getProperty("mardun.restore", ""));
            WorkroomFile.check(folder);
        } catch (IOException | StartRefusedException refused) {
            lock.close();
            throw refused;
        }
        context.addApplicationListener((ApplicationListener<ApplicationReadyEvent>) ready -> {
            try {
                WorkroomFile.mark(folder);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        context.addApplicationListener((ApplicationListener<ContextClosedEvent>) closed -> {
            try {
                lock.close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        return new Taken(folder, lock);
    }

    /** Puts a workroom in its place that was restored before, or that is restored now. */
    private static void restore(Path folder, String archive) throws IOException {
        Optional<Path> replaced = PendingRestore.finish(folder);
        replaced.ifPresent(
                path -> System.err.println("A backup was restored. What was there before is in " + path + "."));
        if (archive.isEmpty()) {
            return;
        }
        try {
            PendingRestore.restore(Path.of(archive), folder);
            System.err.println(archive + " was restored.");
        } catch (ArchiveRefusedException refused) {
            throw new StartRefusedException("Nothing was changed. " + refused.getMessage(), refused);
        }
    }

    private static FileChannel lock(Path folder) throws IOException {
        FileChannel channel =
                FileChannel.open(folder.resolve("mardun.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        FileLock lock;
        try {
            lock = channel.tryLock();
        } catch (OverlappingFileLockException heldInThisProcess) {
            lock = null;
        }
        if (lock == null) {
            channel.close();
            throw new StartRefusedException("Mardun already runs on the data folder " + folder
                    + ". Use the one that runs, or stop it first; or choose another folder with MARDUN_DATA.");
        }
        return channel;
    }

    /** @param livesYears busy years are lived through, which go on where they were stopped */
    private static void keepDemoApart(Path folder, boolean demo, boolean livesYears) throws IOException {
        Path mark = folder.resolve(DEMO_MARK);
        boolean hasData = Files.exists(folder.resolve(WorkroomFile.NAME));
        if (demo && hasData && !Files.exists(mark)) {
            throw new StartRefusedException(
                    "The folder " + folder + " holds a maker's own data, so the demo doesn't start on it.");
        }
        boolean goesOn = livesYears && Files.exists(folder.resolve(DEMO_YEARS_BEGUN));
        if (demo && hasData && !goesOn && !Files.exists(folder.resolve(DEMO_IS_WHOLE))) {
            throw new StartRefusedException("The demo's data in " + folder
                    + " was begun and never finished. Start it with --fresh, which makes it anew.");
        }
        if (!demo && Files.exists(mark)) {
            throw new StartRefusedException(
                    "The folder " + folder + " holds demo data. Choose another folder with MARDUN_DATA for your own.");
        }
        if (demo && !hasData) {
            Files.writeString(mark, "This folder holds demo data.\n");
        }
    }

    private static void checkPort(int port) {
        if (port == 0) {
            return;
        }
        try (ServerSocket probe = new ServerSocket(port, 1, InetAddress.getLoopbackAddress())) {
            probe.setReuseAddress(true);
        } catch (IOException taken) {
            throw new StartRefusedException(
                    "Port " + port + " is taken by another program. Start with another one, for instance --port "
                            + (port + 1) + ".",
                    taken);
        }
    }
}
