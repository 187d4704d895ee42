package mardun.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import mardun.app.Mardun;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * How long the interface waits, over HTTP, for what follows from an edit of the demo's largest design, and for the pages
 * that list many designs. The budgets: a preview in under 30 ms, a page in under 50 ms, both at the 95th percentile.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 5)
@Measurement(iterations = 3, time = 5)
@Fork(1)
public class PreviewBenchmark {

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private Path folder;
    private ConfigurableApplicationContext app;
    private HttpRequest preview;

    @Setup(Level.Trial)
    public void start() throws IOException {
        folder = Files.createTempDirectory("mardun-bench");
        app = Mardun.run("--mardun.data=" + folder, "--server.port=0", "--mardun.demo=true");
        String largest = "";
        for (int id = 1; get("/api/designs/" + id).statusCode() == 200; id++) {
            String body = get("/api/designs/" + id).body();
            largest = body.length() > largest.length() ? body : largest;
        }
        int from = largest.indexOf("\"document\":") + "\"document\":".length();
        int to = largest.indexOf(",\"sheet\":");
        preview = request("/api/designs/preview")
                .POST(BodyPublishers.ofString("{\"document\":" + largest.substring(from, to) + "}"))
                .build();
        if (send(preview).statusCode() != 200) {
            throw new IllegalStateException(
                    "the preview doesn't answer: " + send(preview).body());
        }
    }

    @TearDown(Level.Trial)
    public void stop() throws IOException {
        app.close();
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder())
                    .forEach(path -> path.toFile().delete());
        }
    }

    @Benchmark
    public HttpResponse<String> previewOfTheLargestDesign() {
        return send(preview);
    }

    @Benchmark
    public HttpResponse<String> pageOfDesigns() {
        return get("/api/designs?size=24");
    }

    @Benchmark
    public HttpResponse<String> homeScreen() {
        return get("/api/bench");
    }

    private HttpResponse<String> get(String path) {
        return send(request(path).GET().build());
    }

    private HttpRequest.Builder request(String path) {
        String port = app.getEnvironment().getRequiredProperty("local.server.port");
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
        return HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token);
    }

    private HttpResponse<String> send(HttpRequest request) {
        try {
            return client.send(request, BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
