package mardun.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The packaged application is loaded with writes of several kinds and killed at some moment, again and again. What it had acknowledged is
 * there afterwards, once; what it hadn't is there once after it is sent again with the id that it had. {@code -Dmardun.kills=200} kills it
 * as often.
 */
class KilledAtAnyMomentTest {

    private static final int KILLS = Integer.getInteger("mardun.kills", 2);
    private static final int AT_ONCE = 3;
    private static final int SHORTEST_MS = 150;
    private static final int LONGEST_MS = 1800;
    private static final int LONGEST_WARM_UP_MS = 10_000;
    private static final int STEP_MS = 20;
    private static final Pattern ON_HAND = Pattern.compile("\"onHand\":\\{[^}]*?\"count\":(\\d+)");

    /** Something that was sent, and whether it was acknowledged. */
    private static final class Write {
        private final String path;
        private final String json;
        private volatile int status;

        private Write(String path, String json) {
            this.path = path;
            this.json = json;
        }

        private boolean isAcknowledged() {
            return status >= 200 && status < 300;
        }
    }

    private final Random random = new Random(Long.getLong("mardun.seed", 20));
    private final List<Write> fairs = new ArrayList<>();
    private final List<Write> movements = new ArrayList<>();
    private long materialId;

    @Test
    void nothingThatWasAcknowledgedIsLostOrDoubled() throws Exception {
        try (PackagedApp app = PackagedApp.empty()) {
            materialId = material(app);
            int acknowledged = 0;
            for (int kill = 0; kill < KILLS; kill++) {
                load(app, SHORTEST_MS + random.nextInt(LONGEST_MS - SHORTEST_MS));
                app.start();
                acknowledged = check(app);
                sendAgain(app);
                checkAll(app);
            }
            assertThat(acknowledged).as("it was loaded at all").isGreaterThan(KILLS * 5);
        }
    }

    private static long material(PackagedApp app) throws IOException {
        String made = app.post("/api/materials", """
                {"version":0,"requestId":"%s","name":"Counted snaps","kind":"NOTION","note":"","colour":"#336699","usableWidth":"",
                 "directional":false,"price":"1","pricePer":"1","lowAt":"","onHand":"0"}""".formatted(UUID.randomUUID()));
        Matcher id = Pattern.compile("\"id\":(\\d+)").matcher(made);
        assertThat(id.find()).as(made).isTrue();
        return Long.parseLong(id.group(1));
    }

    /** Some threads write until the process is gone. */
    private void load(PackagedApp app, int millis) throws Exception {
        long before = acknowledged();
        AtomicBoolean isOver = new AtomicBoolean();
        ExecutorService writers = Executors.newFixedThreadPool(AT_ONCE);
        for (int i = 0; i < AT_ONCE; i++) {
            boolean isOfFairs = i == 0;
            writers.submit(() -> {
                while (!isOver.get()) {
                    Write write = isOfFairs ? fair() : movement();
                    write.status = app.tryPost(write.path, write.json);
                }
            });
        }
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

    private Write fair() {
        UUID id = UUID.randomUUID();
        Write write = new Write(
                "/api/fairs",
                "{\"requestId\":\"%s\",\"name\":\"Fair %s\",\"heldOn\":\"%s\"}"
                        .formatted(id, id, LocalDate.now().plusDays(40)));
        synchronized (fairs) {
            fairs.add(write);
        }
        return write;
    }

    private Write movement() {
        Write write = new Write(
                "/api/materials/" + materialId + "/movements",
                "{\"requestId\":\"%s\",\"kind\":\"BOUGHT\",\"amount\":\"1\",\"reason\":\"\",\"paid\":\"1\"}"
                        .formatted(UUID.randomUUID()));
        synchronized (movements) {
            movements.add(write);
        }
        return write;
    }

    private long acknowledged() {
        synchronized (fairs) {
            synchronized (movements) {
                return acknowledged(fairs) + acknowledged(movements);
            }
        }
    }

    private static long acknowledged(List<Write> writes) {
        return writes.stream().filter(Write::isAcknowledged).count();
    }

    /** What was acknowledged is there; what wasn't may be, once. */
    private int check(PackagedApp app) throws IOException {
        assertThat(Stream.concat(fairs.stream(), movements.stream()).map(write -> write.status))
                .as("taken, or cut off")
                .allMatch(status -> status == 0 || status >= 200 && status < 300);
        long onHand = onHand(app);
        assertThat(onHand).isBetween(acknowledged(movements), (long) movements.size());
        Map<String, Integer> there = fairsThere(app);
        for (Write fair : fairs) {
            int times = there.getOrDefault(fair.json, 0);
            assertThat(times).as(fair.json).isLessThanOrEqualTo(1);
            if (fair.isAcknowledged()) {
                assertThat(times).as("acknowledged: " + fair.json).isEqualTo(1);
            }
        }
        return (int) (acknowledged(movements) + acknowledged(fairs));
    }

    /** Nobody knows whether what wasn't acknowledged is there, so it is sent again, as a browser would. */
    private void sendAgain(PackagedApp app) {
        List<Write> all = new ArrayList<>(fairs);
        all.addAll(movements);
        all.stream().filter(write -> !write.isAcknowledged()).forEach(write -> {
            write.status = app.tryPost(write.path, write.json);
            assertThat(write.status).as(write.json).isBetween(200, 299);
        });
    }

    private void checkAll(PackagedApp app) throws IOException {
        assertThat(onHand(app)).isEqualTo(movements.size());
        Map<String, Integer> there = fairsThere(app);
        assertThat(there).hasSize(fairs.size());
        assertThat(there.values()).allMatch(times -> times == 1);
    }

    private long onHand(PackagedApp app) throws IOException {
        String material = app.get("/api/materials/" + materialId);
        Matcher count = ON_HAND.matcher(material);
        assertThat(count.find()).as(material).isTrue();
        return Long.parseLong(count.group(1));
    }

    /** How often each fair is there that was sent, by what was sent. */
    private Map<String, Integer> fairsThere(PackagedApp app) throws IOException {
        String all = app.get("/api/fairs?size=1");
        Map<String, Integer> there = new HashMap<>();
        for (Write fair : fairs) {
            Matcher name = Pattern.compile("\"name\":\"(Fair [0-9a-f-]+)\"").matcher(fair.json);
            assertThat(name.find()).isTrue();
            int times = all.split(Pattern.quote("\"name\":\"" + name.group(1) + "\""), -1).length - 1;
            if (times > 0) {
                there.put(fair.json, times);
            }
        }
        return there;
    }
}
