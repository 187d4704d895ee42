package mardun.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.concurrent.TimeUnit;
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

    private MardunUnderLoad mardun;
    private String preview;

    @Setup(Level.Trial)
    public void start() throws IOException {
        mardun = new MardunUnderLoad();
        String largest = "";
        for (int id = 1; mardun.get("/api/designs/" + id).statusCode() == 200; id++) {
            String body = mardun.get("/api/designs/" + id).body();
            largest = body.length() > largest.length() ? body : largest;
        }
        int from = largest.indexOf("\"document\":") + "\"document\":".length();
        int to = largest.indexOf(",\"sheet\":");
        preview = "{\"document\":" + largest.substring(from, to) + "}";
        HttpResponse<String> first = previewOfTheLargestDesign();
        if (first.statusCode() != 200) {
            throw new IllegalStateException("the preview doesn't answer: " + first.body());
        }
    }

    @TearDown(Level.Trial)
    public void stop() throws IOException {
        mardun.close();
    }

    @Benchmark
    public HttpResponse<String> previewOfTheLargestDesign() {
        return mardun.post("/api/designs/preview", preview);
    }

    @Benchmark
    public HttpResponse<String> pageOfDesigns() {
        return mardun.get("/api/designs?size=24");
    }

    @Benchmark
    public HttpResponse<String> homeScreen() {
        return mardun.get("/api/bench");
    }
}
