package mardun.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The packaged application is loaded with writes of every kind and killed at some moment, again and again. What it had acknowledged is
 * there afterwards, once; what it hadn't is there once after it is sent again with the id that it had; and what lies on the shelf is what
 * came. {@code -Dmardun.kills=200} kills it as often.
 */
class KilledAtAnyMomentTest {

    private static final int KILLS = Integer.getInteger("mardun.kills", 2);
    private static final int SHORTEST_MS = 150;
    private static final int LONGEST_MS = 1800;
    private static final int LONGEST_WARM_UP_MS = 10_000;
    private static final int STEP_MS = 20;
    private static final Pattern ON_HAND = Pattern.compile("\"onHand\":\\{[^}]*?\"count\":(\\d+)");
    private static final Pattern MARKED = Pattern.compile("sent ([0-9a-f]{8}-[0-9a-f-]{27})");

    /** A batch of the invented workroom that is at the bench. */
    private static final int BATCH = 8;

    /**
     * A kind of writes.
     *
     * @param json what is sent with an id, in words that are found again
     * @param listing where all of them are read
     */
    private record Kind(String path, Function<UUID, String> json, String listing) {}

    /** Something that was sent, and whether it was acknowledged. */
    private static final class Write {
        private final Kind kind;
        private final UUID id = UUID.randomUUID();
        private final String json;
        private volatile int status;

        private Write(Kind kind) {
            this.kind = kind;
            this.json = kind.json().apply(id);
        }

        private void send(PackagedApp app) {
            status = app.tryPost(kind.path(), json);
        }

        private boolean isAcknowledged() {
            return status >= 200 && status < 300;
        }
    }

    private final Random random = new Random(Long.getLong("mardun.seed", 20));
    private final Queue<Write> writes = new ConcurrentLinkedQueue<>();

    @Test
    void nothingThatWasAcknowledgedIsLostOrDoubled() throws Exception {
        try (PackagedApp app = PackagedApp.withDemoData()) {
            long material = material(app);
            List<Kind> kinds = kinds(app, material);
            for (int kill = 0; kill < KILLS; kill++) {
                load(app, kinds, SHORTEST_MS + random.nextInt(LONGEST_MS - SHORTEST_MS));
                app.start();
                check(app, kinds);
                sendAgain(app);
                checkAll(app, kinds, material);
                // Two hundred take an hour: how far it came is seen meanwhile.
                System.out.println(kill + 1 + " kills, " + writes.size() + " writes");
            }
            for (Kind kind : kinds) {
                assertThat(of(kind)).as("it was loaded at all: " + kind.path()).hasSizeGreaterThan(KILLS);
            }
        }
    }

    private static List<Kind> kinds(PackagedApp app, long material) throws IOException {
        String fair = found("\"coming\":\\[\\{\"id\":(\\d+)", app.get("/api/fairs"));
        String stall = "/api/fairs/" + fair + "/stall";
        String bag = found("\"key\":\"([^\"]+)\"", app.get(stall));
        String from = LocalDate.now().minusMonths(6).toString();
        return List.of(
                new Kind(
                        "/api/fairs",
                        id -> """
                        {"requestId":"%s","name":"sent %s","heldOn":"%s"}""".formatted(id, id, LocalDate.now().plusDays(40)),
                        "/api/fairs?size=1"),
                new Kind(
                        "/api/materials/" + material + "/movements",
                        id -> """
                        {"requestId":"%s","kind":"BOUGHT","amount":"1","reason":"sent %s","paid":"1"}""".formatted(id, id),
                        "/api/lists/movements.csv"),
                new Kind(
                        stall,
                        id -> """
                        {"device":"%s","entries":[{"id":"%s","kind":"SOLD","at":"%s","tender":"CASH","paidMinor":1200,"payment":"",
                         "note":"sent %s","bags":[{"kind":"%s","units":1,"priceMinor":1200}]}]}""".formatted(id, id, Instant.now(), id, bag),
                        "/api/year/books/SALES.csv?from=" + from),
                new Kind(
                        "/api/bench/work",
                        id -> """
                        {"batchId":%d,"entries":[{"id":"%s","batchId":%d,"kind":"SET_UP","line":1,"step":"hem","stepName":"Hem",
                         "place":"1","bags":0,"millis":60000,"at":"%s","reason":"sent %s","slow":false}]}""".formatted(BATCH, id, BATCH, Instant.now(), id),
                        "/api/logbook/bench-log.csv"),
                new Kind("/api/designs", id -> """
                        {"requestId":"%s","name":"sent %s"}""".formatted(id, id), "/api/design-names"));
    }

    private static String found(String pattern, String text) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        assertThat(matcher.find()).as(text).isTrue();
        return matcher.group(1);
    }

    private static long material(PackagedApp app) throws IOException {
        return Long.parseLong(found("\"id\":(\\d+)", app.post("/api/materials", """
                {"version":0,"requestId":"%s","name":"Counted snaps","kind":"NOTION","note":"","colour":"#336699","usableWidth":"",
                 "directional":false,"price":"1","pricePer":"1","lowAt":"","onHand":"0"}""".formatted(UUID.randomUUID()))));
    }

    /** Somebody writes of each kind until the process is gone. */
    private void load(PackagedApp app, List<Kind> kinds, int millis) throws Exception {
        long before = acknowledged();
        AtomicBoolean isOver = new AtomicBoolean();
        ExecutorService writers = Executors.newFixedThreadPool(kinds.size());
        kinds.forEach(kind -> writers.submit(() -> {
            while (!isOver.get()) {
                Write write = new Write(kind);
                writes.add(write);
                write.send(app);
            }
        }));
        // A server that was just started takes its time over the first of them.
        for (int waited = 0; waited < LONGEST_WARM_UP_MS && acknowledged() == before; waited += STEP_MS) {
            Thread.sleep(STEP_MS);
        }
        Thread.sleep(millis);
        app.kill();
        isOver.set(true);
        writers.shutdown();
        assertThat(writers.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
    }

    private long acknowledged() {
        return writes.stream().filter(Write::isAcknowledged).count();
    }

    private List<Write> of(Kind kind) {
        return writes.stream().filter(write -> write.kind == kind).toList();
    }

    /** What was acknowledged is there; what wasn't may be, once. */
    private void check(PackagedApp app, List<Kind> kinds) throws IOException {
        for (Kind kind : kinds) {
            Map<UUID, Long> there = there(app, kind);
            for (Write write : of(kind)) {
                assertThat(write.status)
                        .as("taken, or cut off: " + write.json)
                        .matches(status -> status == 0 || write.isAcknowledged());
                assertThat(there.getOrDefault(write.id, 0L))
                        .as(write.status + " was answered to " + write.json)
                        .isBetween(write.isAcknowledged() ? 1L : 0L, 1L);
            }
        }
    }

    /** How often each is there, by its id. */
    private static Map<UUID, Long> there(PackagedApp app, Kind kind) throws IOException {
        return MARKED.matcher(app.get(kind.listing()))
                .results()
                .map((MatchResult found) -> UUID.fromString(found.group(1)))
                .collect(Collectors.groupingBy(id -> id, Collectors.counting()));
    }

    /** Nobody knows whether what wasn't acknowledged is there, so it is sent again, as a browser would. */
    private void sendAgain(PackagedApp app) {
        writes.stream().filter(write -> !write.isAcknowledged()).forEach(write -> {
            write.send(app);
            assertThat(write.status).as(write.json).isBetween(200, 299);
        });
    }

    private void checkAll(PackagedApp app, List<Kind> kinds, long material) throws IOException {
        for (Kind kind : kinds) {
            Map<UUID, Long> there = there(app, kind);
            assertThat(there.keySet())
                    .as(kind.path())
                    .isEqualTo(of(kind).stream().map(write -> write.id).collect(Collectors.toSet()));
            assertThat(there.values()).as(kind.path()).allMatch(times -> times == 1);
        }
        String shown = app.get("/api/materials/" + material);
        assertThat(Long.parseLong(found(ON_HAND.pattern(), shown)))
                .as("what lies on the shelf is what came")
                .isEqualTo(of(kinds.get(1)).size());
    }
}
