package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is touched at the bench is kept once, whatever way it comes; counts, days and times follow from it. */
class BenchLogTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "900 yd");
    }

    /** A pouch whose steps no design of another test has. */
    private static long ownSteps(String name) {
        long pouch = APP.pouch(name);
        JsonNode stored = bench.ok(APP.get("/api/designs/" + pouch));
        ObjectNode document = (ObjectNode) stored.get("document");
        document.get("steps")
                .forEach(
                        step -> ((ObjectNode) step).put("name", step.get("name").asString() + ", timed"));
        bench.ok(APP.put(
                "/api/designs/" + pouch, Map.of("version", stored.get("version").asLong(), "document", document)));
        return pouch;
    }

    /** The first turn at a sewing machine. */
    private static JsonNode sewn(JsonNode work) {
        return work.get("turns")
                .valueStream()
                .filter(turn -> turn.get("station").asString().equals("MACHINE"))
                .findFirst()
                .orElseThrow();
    }

    private static int done(JsonNode work, String name) {
        return work.get("done")
                        .valueStream()
                        .anyMatch(one -> one.get("name").asString().equals(name))
                ? 6
                : bench.turn(work, name).get("parts").get(0).get("done").asInt();
    }

    @Test
    void whatIsCountedIsDoneAndTheRestIsLeft() {
        long batch = bench.batch(APP.pouch("Counted pouch"), "6");
        JsonNode before = bench.work(batch, List.of());
        JsonNode turn = sewn(before);
        String name = turn.get("name").asString();
        Map<String, Object> two = bench.worked(batch, turn, 2, 300);
        JsonNode after = bench.work(batch, List.of(two));
        assertThat(done(after, name)).isEqualTo(2);
        assertThat(done(bench.work(batch, List.of(two, two)), name))
                .as("sent again")
                .isEqualTo(2);
        assertThat(after.get("left").get("seconds").asLong())
                .isLessThan(before.get("left").get("seconds").asLong());
        assertThat(done(bench.work(batch, List.of(bench.worked(batch, turn, -1, 0))), name))
                .isEqualTo(1);
        JsonNode all = bench.work(batch, List.of(bench.worked(batch, turn, 5, 600)));
        assertThat(all.get("turns").valueStream().map(one -> one.get("name").asString()))
                .doesNotContain(name);
        assertThat(done(all, name)).isEqualTo(6);
        assertThat(bench.ok(APP.get("/api/batches/" + batch + "/order"))
                        .get("turns")
                        .valueStream()
                        .map(one -> one.get("name").asString()))
                .as("the batch's page knows it too")
                .doesNotContain(name);
    }

    @Test
    void whatIsOnTheMachineIsKnownFromTheLastSetUp() {
        long batch = bench.batch(APP.pouch("Set up pouch"), "6");
        JsonNode turn = sewn(bench.work(batch, List.of()));
        assertThat(turn.get("changes")).isNotEmpty();
        JsonNode after = bench.work(
                batch, List.of(bench.entry(batch, turn, "SET_UP", 0, 120), bench.worked(batch, turn, 1, 200)));
        assertThat(bench.turn(after, turn.get("name").asString()).get("changes"))
                .isEmpty();
    }

    /** Who pauses while she sets up has put nothing on yet. */
    @Test
    void aSetUpThatIsNotDoneYetPutsNothingOn() {
        long batch = bench.batch(APP.pouch("Half set up pouch"), "6");
        JsonNode turn = sewn(bench.work(batch, List.of()));
        Map<String, Object> begun = bench.entry(batch, turn, "SET_UP", 0, 60);
        begun.remove("puts");
        begun.put("place", "a machine of its own");
        assertThat(bench.work(batch, List.of(begun)).get("refused")).isEmpty();
        assertThat(APP.get("/api/bench").status()).isEqualTo(200);
    }

    /** Twelve bags outweigh the guess three to one; another design with the same step takes it for its first guess. */
    @Test
    void loggedTimesTakeThePlaceOfTheGuess() {
        long pouch = ownSteps("Timed pouch");
        long batch = bench.batch(pouch, "12");
        JsonNode turn = sewn(bench.work(batch, List.of()));
        String name = turn.get("name").asString();
        long guess = turn.get("parts").get(0).get("each").get("seconds").asLong();
        long truth = guess * 2;
        List<Map<String, Object>> entries = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            entries.add(bench.worked(batch, turn, 1, truth));
        }
        bench.work(batch, entries);
        long next = bench.batch(pouch, "12");
        JsonNode timed = bench.turn(bench.work(next, List.of()), name);
        assertThat(timed.get("bags").asInt()).isEqualTo(12);
        // No bag was slower than the others, so the beginning of a batch is hardly apart from routine.
        assertThat(timed.get("parts").get(0).get("each").get("seconds").asDouble())
                .isBetween(1.6 * guess, 1.8 * guess);
        long other = bench.batch(ownSteps("Another timed pouch"), "4");
        assertThat(bench.turn(bench.work(other, List.of()), name)
                        .get("parts")
                        .get(0)
                        .get("each")
                        .get("seconds")
                        .asDouble())
                .isBetween(1.5 * guess, 1.75 * guess);
        Map<String, Object> slow = new HashMap<>(bench.worked(next, timed, 1, 20 * truth));
        slow.put("slow", true);
        bench.work(next, List.of(slow));
        assertThat(bench.turn(bench.work(bench.batch(pouch, "1"), List.of()), name)
                        .get("bags")
                        .asInt())
                .as("a slow day says nothing")
                .isEqualTo(12);
        Map<String, Object> leftOut = bench.worked(batch, turn, 0, 0);
        leftOut.put("kind", "LEFT_OUT");
        leftOut.put("ofEvent", entries.get(0).get("id"));
        leftOut.put("reason", "The phone rang.");
        bench.work(batch, List.of(leftOut));
        assertThat(bench.turn(bench.work(bench.batch(pouch, "1"), List.of()), name)
                        .get("bags")
                        .asInt())
                .isEqualTo(11);
        assertThat(done(bench.work(batch, List.of()), name))
                .as("the bag is there all the same")
                .isEqualTo(6);
    }

    @Test
    void aBatchWhoseClothIsCutKeepsTheTimesOfItsPlan() {
        long pouch = APP.pouch("Frozen pouch");
        long cut = bench.batch(pouch, "6");
        JsonNode planned = bench.ok(APP.get("/api/batches/" + cut));
        bench.ok(APP.post(
                "/api/batches/" + cut + "/cut",
                Map.of(
                        "version", planned.get("version").asLong(),
                        "mark", planned.get("sheet").get("mark").asString(),
                        "reason", "")));
        String cost = costOf(cut);
        long other = bench.batch(pouch, "6");
        String before = costOf(other);
        JsonNode turn = sewn(bench.work(other, List.of()));
        List<Map<String, Object>> entries = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            entries.add(bench.worked(other, turn, 1, 3000));
        }
        bench.work(other, entries);
        assertThat(costOf(cut)).isEqualTo(cost);
        assertThat(costOf(other)).isNotEqualTo(before);
    }

    private static String costOf(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch))
                .get("sheet")
                .get("times")
                .get("asBatch")
                .toString();
    }

    @Test
    void whatCannotBeKeptHoldsUpNothingElse() {
        long batch = bench.batch(APP.pouch("Honest pouch"), "6");
        JsonNode turn = sewn(bench.work(batch, List.of()));
        Map<String, Object> stray = bench.worked(99_999, turn, 1, 10);
        Map<String, Object> good = bench.worked(batch, turn, 1, 100);
        JsonNode after = bench.work(batch, List.of(stray, good));
        assertThat(after.get("refused").get(0).get("id")).hasToString("\"" + stray.get("id") + "\"");
        assertThat(after.get("refused").get(0).get("reason").asString()).contains("no batch 99999");
        assertThat(done(after, turn.get("name").asString())).isEqualTo(1);
        Map<String, Object> noLine = bench.worked(batch, turn, 1, 10);
        noLine.put("line", 7);
        JsonNode again = bench.work(batch, List.of(noLine, bench.worked(batch, turn, 1, 100)));
        assertThat(again.get("refused").get(0).get("reason").asString()).contains("no line 7");
        assertThat(done(again, turn.get("name").asString()))
                .as("what stands beside it is kept")
                .isEqualTo(2);
        Map<String, Object> negative = bench.worked(batch, turn, 1, -5);
        assertThat(APP.post("/api/bench/work", Map.of("batchId", batch, "entries", List.of(negative)))
                        .status())
                .isEqualTo(422);
        assertThat(APP.post("/api/bench/work", Map.of("batchId", 99_999, "entries", List.of()))
                        .status())
                .isEqualTo(404);
    }

    /**
     * Two tablets touch and send as the network lets them: late, twice, in any order, both at once. What the log says then is what was
     * touched, added up.
     */
    @Test
    void howeverEntriesComeTheCountIsWhatWasTouched() throws Exception {
        long batch = bench.batch(APP.pouch("Two tablets"), "400");
        JsonNode turn = sewn(bench.work(batch, List.of()));
        Random random = new Random(13);
        ExecutorService tablets = Executors.newFixedThreadPool(2);
        try {
            int sum = 0;
            List<Future<?>> sending = new ArrayList<>();
            for (int tablet = 0; tablet < 2; tablet++) {
                List<Map<String, Object>> touched = new ArrayList<>();
                for (int i = 0; i < 60; i++) {
                    int bags = random.nextInt(10) == 0 ? -1 : 1 + random.nextInt(3);
                    sum += bags;
                    touched.add(bench.worked(batch, turn, bags, random.nextInt(200)));
                }
                List<List<Map<String, Object>>> sends = new ArrayList<>();
                for (int i = 0; i < touched.size(); i += 5) {
                    List<Map<String, Object>> some = new ArrayList<>(touched.subList(i, i + 5));
                    sends.add(some);
                    if (random.nextBoolean()) {
                        sends.add(some);
                    }
                }
                Collections.shuffle(sends, random);
                sending.add(tablets.submit(() -> sends.forEach(some -> bench.work(batch, some))));
                // The other tablet got some of them too, from a copy of the same page.
                sending.add(tablets.submit(() -> bench.work(batch, touched.subList(0, 20))));
            }
            for (Future<?> one : sending) {
                one.get();
            }
            assertThat(bench.turn(bench.work(batch, List.of()), turn.get("name").asString())
                            .get("parts")
                            .get(0)
                            .get("done")
                            .asInt())
                    .isEqualTo(sum);
        } finally {
            tablets.shutdownNow();
        }
    }

    @Test
    void aStepThatIsNotThereAnyMoreIsKeptAllTheSame() {
        long batch = bench.batch(APP.pouch("Changed pouch"), "6");
        JsonNode turn = sewn(bench.work(batch, List.of()));
        ObjectNode gone = ((ObjectNode) turn).deepCopy();
        gone.put("name", "A step that was {taken out} – ç 🧵");
        ((ObjectNode) gone.get("parts").get(0)).put("step", "gone");
        assertThat(bench.work(batch, List.of(bench.worked(batch, gone, 1, 60))).get("refused"))
                .isEmpty();
    }

    /** Two bags that were finished at once, without the bench, are done with every step; the next one counted is the third. */
    @Test
    void bagsThatWereFinishedWithoutTheBenchAreCountedFirst() {
        long batch = bench.batch(APP.pouch("Finished pouch"), "6");
        JsonNode planned = bench.ok(APP.get("/api/batches/" + batch));
        JsonNode cut = bench.ok(APP.post(
                "/api/batches/" + batch + "/cut",
                Map.of(
                        "version", planned.get("version").asLong(),
                        "mark", planned.get("sheet").get("mark").asString(),
                        "reason", "")));
        bench.ok(APP.post(
                "/api/batches/" + batch + "/finish",
                Map.of(
                        "version",
                        cut.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", "2", "seconds", "", "scrap", "")))));
        JsonNode turn = sewn(bench.work(batch, List.of()));
        String name = turn.get("name").asString();
        assertThat(turn.get("parts").get(0).get("done").asInt()).isEqualTo(2);
        assertThat(done(bench.work(batch, List.of(bench.worked(batch, turn, 1, 100))), name))
                .isEqualTo(3);
        assertThat(done(bench.work(batch, List.of(bench.worked(batch, turn, 1, 100))), name))
                .isEqualTo(4);
    }
}
