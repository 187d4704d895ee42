package mardun.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.UUID;
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

/** How long the interface waits, over HTTP, for the pages of prices of a maker with 200 designs. The budget: 50 ms at the 95th percentile. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 5)
@Measurement(iterations = 3, time = 5)
@Fork(1)
public class PricePagesBenchmark {

    private static final int DESIGNS = 200;

    private MardunUnderLoad mardun;

    @Setup(Level.Trial)
    public void start() throws IOException {
        mardun = new MardunUnderLoad();
        for (int i = 0; i < DESIGNS - 16; i++) {
            HttpResponse<String> made = mardun.post(
                    "/api/designs",
                    "{\"requestId\":\"" + UUID.randomUUID() + "\",\"name\":\"Copy " + i + "\",\"copyOf\":" + (1 + i % 3)
                            + "}");
            if (made.statusCode() != 201) {
                throw new IllegalStateException("no design was made: " + made.body());
            }
        }
    }

    @TearDown(Level.Trial)
    public void stop() throws IOException {
        mardun.close();
    }

    @Benchmark
    public HttpResponse<String> priceBook() {
        return mardun.get("/api/prices/book");
    }

    @Benchmark
    public HttpResponse<String> priceSheet() {
        return mardun.get("/api/prices/sheet?design=1&size=s1");
    }

    @Benchmark
    public HttpResponse<String> priceTickets() {
        return mardun.get("/api/price-tickets");
    }

    @Benchmark
    public HttpResponse<String> quotes() {
        return mardun.get("/api/quotes");
    }
}
