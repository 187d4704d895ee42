package mardun.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;

/** The packaged application as a process of its own, on a free port and a scratch folder. */
final class PackagedApp implements AutoCloseable {

    /** Where it is yesterday for most of the world, and always another day than in the browsers of these tests. */
    private static final String ZONE = "Pacific/Pago_Pago";

    /** An address of this machine that stands for one on the workroom's network: what comes there isn't the machine itself. */
    private static final String HOUSE = "127.0.0.2";

    /** An application that lives for a minute is not worth compiling with care. */
    private static final List<String> QUICKLY =
            List.of("-XX:TieredStopAtLevel=1", "-XX:ReservedCodeCacheSize=240m", "-Xmx256m", "-XX:+UseSerialGC");

    private static final Duration STARTS_WITHIN = Duration.ofMinutes(5);

    /** What a page sends twice, as a cookie and as a header, to show that it is the application's own. */
    private static final String TOKEN = UUID.randomUUID().toString();

    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();
    private static final Path SPREAD_OUT = Path.of("target/run");
    private static final Path CLASSES = SPREAD_OUT.resolve("classes.jsa");

    /** Once for all tests: nobody spreads it out anew under an application that runs from there. */
    private static Path spread;

    /** A folder with the invented workroom's data, from which no application runs. */
    private static Path entered;

    private final Path folder;
    private final int port;
    private final boolean demo;
    private Process process;

    private PackagedApp(boolean demo) throws IOException {
        this(demo, Files.createTempDirectory("mardun-e2e"));
    }

    private PackagedApp(boolean demo, Path folder) throws IOException {
        this.folder = folder;
        this.demo = demo;
        try (ServerSocket free = new ServerSocket(0)) {
            this.port = free.getLocalPort();
        }
    }

    static PackagedApp withDemoData() throws IOException {
        PackagedApp app = new PackagedApp(true);
        copy(demoData(), app.folder);
        app.start();
        return app;
    }

    /** The invented workroom's data, entered once for all tests: each has its own copy of it. */
    private static synchronized Path demoData() throws IOException {
        if (entered == null) {
            PackagedApp first = new PackagedApp(true);
            Runtime.getRuntime().addShutdownHook(new Thread(() -> delete(first.folder)));
            first.start();
            first.kill();
            entered = first.folder;
        }
        return entered;
    }

    private static void copy(Path from, Path to) throws IOException {
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.toList()) {
                Path copied = to.resolve(from.relativize(file));
                if (Files.isDirectory(file)) {
                    Files.createDirectories(copied);
                } else {
                    Files.copy(file, copied);
                }
            }
        }
    }

    static PackagedApp empty() throws IOException {
        PackagedApp app = new PackagedApp(false);
        app.start();
        return app;
    }

    /** With an empty workroom in a folder that is there. */
    static PackagedApp on(Path folder) throws IOException {
        PackagedApp app = new PackagedApp(false, folder);
        app.start();
        return app;
    }

    void start() throws IOException {
        Path jar = spreadOut();
        List<String> command = new ArrayList<>();
        command.add(JAVA);
        command.addAll(QUICKLY);
        command.addAll(List.of(
                "-XX:SharedArchiveFile=" + CLASSES,
                "-Duser.timezone=" + ZONE,
                "-jar",
                jar.toString(),
                "--server.port=" + port,
                "--mardun.data=" + folder,
                "--mardun.door.addresses=" + HOUSE));
        if (demo) {
            command.add("--mardun.demo=true");
        }
        Path log = folder.resolve("e2e.log");
        process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()))
                .start();
        waitUntilItAnswers(log);
    }

    /**
     * The application spread out, with an archive of its classes beside it, as {@code ./mardun} does it: making that takes as
     * long as two starts, and each start after it is a third shorter.
     */
    private static synchronized Path spreadOut() throws IOException {
        if (spread == null) {
            Path jar = jar();
            run(
                    JAVA,
                    "-Djarmode=tools",
                    "-jar",
                    jar.toString(),
                    "extract",
                    "--force",
                    "--destination",
                    SPREAD_OUT.toString());
            Path made = SPREAD_OUT.resolve(jar.getFileName());
            archiveClasses(made);
            spread = made;
        }
        return spread;
    }

    private static void archiveClasses(Path jar) throws IOException {
        Path scratch = Files.createTempDirectory("mardun-classes");
        List<String> command = new ArrayList<>();
        command.add(JAVA);
        command.addAll(QUICKLY);
        command.addAll(List.of(
                "-XX:ArchiveClassesAtExit=" + CLASSES,
                "-Dspring.context.exit=onRefresh",
                "-jar",
                jar.toString(),
                "--server.port=0",
                "--mardun.data=" + scratch));
        run(command.toArray(String[]::new));
        delete(scratch);
    }

    private static void run(String... command) throws IOException {
        Process running = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        try {
            if (running.waitFor() != 0) {
                throw new IOException(String.join(" ", command) + " ended with " + running.exitValue());
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    private static Path jar() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("../app/target"))) {
            return files.filter(file -> file.getFileName().toString().endsWith("-exec.jar"))
                    .findFirst()
                    .orElseThrow(() -> new IOException("the application isn't packaged; run ./mardun test"));
        }
    }

    private void waitUntilItAnswers(Path log) throws IOException {
        HttpClient client = HttpClient.newHttpClient();
        long end = System.nanoTime() + STARTS_WITHIN.toNanos();
        while (System.nanoTime() < end) {
            if (!process.isAlive()) {
                throw new IOException("the application stopped: " + Files.readString(log));
            }
            try {
                int status = client.send(
                                HttpRequest.newBuilder(URI.create(url("/actuator/health")))
                                        .build(),
                                BodyHandlers.discarding())
                        .statusCode();
                if (status == 200) {
                    return;
                }
            } catch (IOException notYet) {
                pause();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IOException(e);
            }
        }
        throw new IOException("the application doesn't answer: " + Files.readString(log));
    }

    private static void pause() throws IOException {
        try {
            Thread.sleep(100);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    /** The address of a page for the workroom's other devices, while the door is open. */
    String urlInTheHouse(String path) {
        return "http://" + HOUSE + ":" + port + path;
    }

    String url(String path) {
        return "http://localhost:" + port + path;
    }

    String get(String path) throws IOException {
        return send(HttpRequest.newBuilder(URI.create(url(path))));
    }

    String post(String path, String json) throws IOException {
        return send(posting(path, json));
    }

    String put(String path, String json) throws IOException {
        return send(sending("PUT", path, json));
    }

    private HttpRequest.Builder posting(String path, String json) {
        return sending("POST", path, json);
    }

    private HttpRequest.Builder sending(String method, String path, String json) {
        return HttpRequest.newBuilder(URI.create(url(path)))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", TOKEN)
                .header("Cookie", "XSRF-TOKEN=" + TOKEN)
                .method(method, HttpRequest.BodyPublishers.ofString(json));
    }

    private static String send(HttpRequest.Builder request) throws IOException {
        try {
            return HttpClient.newHttpClient()
                    .send(request.build(), BodyHandlers.ofString())
                    .body();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    /** Sends something; answers its status, or 0 where the process ended before it answered. */
    int tryPost(String path, String json) {
        try {
            return HttpClient.newHttpClient()
                    .send(posting(path, json).build(), BodyHandlers.discarding())
                    .statusCode();
        } catch (IOException cut) {
            return 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return 0;
        }
    }

    /** Sends something and ends the process so many milliseconds later, whether it has answered by then or not. */
    void postAndKill(String path, String json, int millis) throws IOException {
        CompletableFuture<?> sent = HttpClient.newHttpClient()
                .sendAsync(posting(path, json).build(), BodyHandlers.discarding())
                .exceptionally(cut -> null);
        try {
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        kill();
        sent.join();
    }

    /** Ends the process at once, as a power cut would. */
    void kill() throws IOException {
        process.destroyForcibly();
        waitForItsEnd();
    }

    private void waitForItsEnd() throws IOException {
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    @Override
    public void close() throws IOException {
        kill();
        delete(folder);
    }

    private static void delete(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted((a, b) -> b.compareTo(a)).forEach(path -> path.toFile().delete());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
