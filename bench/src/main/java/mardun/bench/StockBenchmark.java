package mardun.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Locale;
import java.util.Random;
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
 * How long the interface waits, over HTTP, for the lists of a full shelf: 2 000 materials and 20 000 movements, brought
 * in from files, whose time is printed. The budgets: list and search in under 50 ms at the 95th percentile, a file of
 * 20 000 lines in under 10 s.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 5)
@Measurement(iterations = 3, time = 5)
@Fork(1)
public class StockBenchmark {

    private static final int MATERIALS = 2_000;
    private static final int MOVEMENTS = 20_000;
    private static final String[] WORDS = {"reed", "dune", "harbour", "juniper", "slate", "oat", "rust", "moss"};

    private MardunUnderLoad mardun;

    @Setup(Level.Trial)
    public void start() throws IOException {
        mardun = new MardunUnderLoad();
        System.out.printf(
                Locale.ROOT, "%d materials from a file: %d ms%n", MATERIALS, mardun.bringIn("materials", materials()));
        System.out.printf(
                Locale.ROOT, "%d movements from a file: %d ms%n", MOVEMENTS, mardun.bringIn("movements", movements()));
    }

    private static String materials() {
        StringBuilder csv =
                new StringBuilder("name;kind;what it is;price;price for;on hand;low below;usable width;place\n");
        for (int i = 0; i < MATERIALS; i++) {
            boolean cloth = i % 3 == 0;
            csv.append(name(i))
                    .append(cloth ? ";cloth;printed;" : ";notion;plated;")
                    .append(2 + i % 9)
                    .append(",50;")
                    .append(cloth ? "1 m;6 m;2 m;110 cm;shelf " : "10;80;20;;drawer ")
                    .append(i % 12)
                    .append('\n');
        }
        return csv.toString();
    }

    private static String movements() {
        Random random = new Random(4);
        StringBuilder csv = new StringBuilder("material;kind;amount;reason\n");
        for (int i = 0; i < MOVEMENTS; i++) {
            int material = random.nextInt(MATERIALS);
            boolean cloth = material % 3 == 0;
            boolean comes = random.nextBoolean();
            csv.append(name(material))
                    .append(comes ? ";bought;" : ";used;")
                    .append(cloth ? (1 + random.nextInt(20)) + "0 cm" : Integer.toString(1 + random.nextInt(9)))
                    .append(";season\n");
        }
        return csv.toString();
    }

    private static String name(int i) {
        return WORDS[i % WORDS.length] + " " + WORDS[i / WORDS.length % WORDS.length] + " " + i;
    }

    @TearDown(Level.Trial)
    public void stop() throws IOException {
        mardun.close();
    }

    @Benchmark
    public HttpResponse<String> pageOfCloths() {
        return mardun.get("/api/materials?kind=CLOTH&size=60");
    }

    @Benchmark
    public HttpResponse<String> search() {
        return mardun.get("/api/materials?query=harbour%20moss&size=60");
    }

    @Benchmark
    public HttpResponse<String> lowOnly() {
        return mardun.get("/api/materials?low=true&size=60");
    }

    @Benchmark
    public HttpResponse<String> oneShelf() {
        return mardun.get("/api/materials/40/shelf");
    }

    @Benchmark
    public HttpResponse<String> homeScreen() {
        return mardun.get("/api/bench");
    }
}
