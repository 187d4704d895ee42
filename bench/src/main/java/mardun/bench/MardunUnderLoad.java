package mardun.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandler;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;
import mardun.app.Mardun;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application with demo data on a free port and a scratch folder, asked over HTTP. */
final class MardunUnderLoad implements AutoCloseable {

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final Path folder;
    private final boolean isKept;
    private final String[] arguments;
    private ConfigurableApplicationContext app;

    /** @param more what else it is started with */
    MardunUnderLoad(String... more) throws IOException {
        this(Files.createTempDirectory("mardun-bench"), false, more);
    }

    /** On a folder that is kept, with what is in it already. */
    static MardunUnderLoad on(Path kept, String... more) {
        return new MardunUnderLoad(kept, true, more);
    }

    private MardunUnderLoad(Path folder, boolean isKept, String... more) {
        this.folder = folder;
        this.isKept = isKept;
        arguments = Stream.concat(
                        Stream.of("--mardun.data=" + folder, "--server.port=0", "--mardun.demo=true"), Stream.of(more))
                .toArray(String[]::new);
        start();
    }

    private void start() {
        app = Mardun.run(arguments);
        get("/api/settings");
    }

    /** Stops it and starts it again on the same data, in the same process; answers how long the start took, in milliseconds. */
    long startAgain() {
        app.close();
        cookies.getCookieStore().removeAll();
        long begun = System.nanoTime();
        start();
        return (System.nanoTime() - begun) / 1_000_000;
    }

    HttpResponse<String> get(String path) {
        return send("GET", path, "application/json", BodyPublishers.noBody());
    }

    HttpResponse<String> post(String path, String json) {
        return send("POST", path, "application/json", BodyPublishers.ofString(json));
    }

    /** How many bytes something has, without keeping them. */
    long size(String path) throws IOException {
        try (InputStream body = send(
                        "GET", path, "application/json", BodyPublishers.noBody(), BodyHandlers.ofInputStream())
                .body()) {
            return body.transferTo(OutputStream.nullOutputStream());
        }
    }

    /** Brings a list in from a file and enters all of it; answers how long that took, in milliseconds. */
    long bringIn(String list, String csv) {
        long begun = System.nanoTime();
        String opened = send(
                        "POST", "/api/imports?list=" + list, "application/octet-stream", BodyPublishers.ofString(csv))
                .body();
        String id = opened.replaceAll("(?s).*\"id\":\"([^\"]+)\".*", "$1");
        waitFor(id, "READ");
        post("/api/imports/" + id + "/enter", "{}");
        waitFor(id, "ENTERED");
        return (System.nanoTime() - begun) / 1_000_000;
    }

    private void waitFor(String id, String state) {
        while (true) {
            String job = get("/api/imports/" + id).body();
            if (job.contains("\"state\":\"" + state + "\"")) {
                return;
            }
            if (!job.contains("ING\"")) {
                throw new IllegalStateException("the file isn't taken: " + job);
            }
            pause();
        }
    }

    /** As often as the interface asks, so that asking doesn't slow what is measured. */
    private static void pause() {
        try {
            Thread.sleep(100);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    HttpResponse<String> send(String method, String path, String type, BodyPublisher body) {
        return send(method, path, type, body, BodyHandlers.ofString());
    }

    private <T> HttpResponse<T> send(
            String method, String path, String type, BodyPublisher body, BodyHandler<T> answered) {
        String port = app.getEnvironment().getRequiredProperty("local.server.port");
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
        try {
            return client.send(
                    HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                            .header("Content-Type", type)
                            .header("X-XSRF-TOKEN", token)
                            .method(method, body)
                            .build(),
                    answered);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() throws IOException {
        app.close();
        if (isKept) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder())
                    .forEach(path -> path.toFile().delete());
        }
    }
}
