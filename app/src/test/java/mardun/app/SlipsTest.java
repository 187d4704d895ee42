package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import mardun.app.batch.BatchWork;
import mardun.app.id.BatchId;
import mardun.app.log.EventKind;
import mardun.app.log.LogEntry;
import mardun.core.making.Counted;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What goes wrong at the bench: the bag, the shelf and the counts follow, and what was no slip is taken back. */
class SlipsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "900 yd");
    }

    private static Map<String, Object> slip(
            long batch, JsonNode turn, int bags, String outcome, List<Map<String, Object>> usedUp) {
        Map<String, Object> slip = bench.entry(batch, turn, "SLIPPED", bags, 0);
        slip.put("reason", "zip cut short");
        slip.put("slip", Map.of("outcome", outcome, "usedUp", usedUp));
        return slip;
    }

    private static Map<String, Object> used(String slot) {
        return Map.of("materialId", bench.shelf().get(slot), "part", "WHOLE");
    }

    private static Map<String, Object> withdrawn(long batch, JsonNode turn, Map<String, Object> slip) {
        Map<String, Object> entry = bench.entry(batch, turn, "WITHDRAWN", 0, 0);
        entry.put("ofEvent", slip.get("id"));
        return entry;
    }

    private static JsonNode line(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch)).get("lines").get(0);
    }

    private static long sliders() {
        return bench.ok(APP.get("/api/materials/" + bench.shelf().get("slider")))
                .get("onHand")
                .get("value")
                .asLong();
    }

    private static String step(JsonNode work, String name) {
        return bench.turn(work, name).get("parts").get(0).get("done").asInt() + " of "
                + bench.turn(work, name).get("parts").get(0).get("started").asInt();
    }

    /** A batch of six whose cloth is cut. */
    private static long cut(String name) {
        long batch = bench.batch(APP.pouch(name), "6");
        bench.cut(batch);
        return batch;
    }

    /** Four zips are sewn in when one bag is scrapped at its side seam: it had its zip, and five go on from there. */
    @Test
    void aScrappedBagGoesNoFurther() {
        long batch = cut("Scrapped pouch");
        JsonNode work = bench.work(batch, List.of());
        JsonNode round = bench.turn(work, "Sew round outer and lining");
        bench.work(batch, List.of(bench.worked(batch, bench.turn(work, "Sew zip to outer and lining"), 4, 400)));
        Map<String, Object> slip = slip(batch, round, 1, "SCRAP", List.of(used("slider"), used("zip")));
        long before = sliders();
        JsonNode after = bench.work(batch, List.of(slip, slip));
        assertThat(after.get("refused")).isEmpty();
        assertThat(step(after, "Sew zip to outer and lining")).isEqualTo("4 of 6");
        assertThat(step(after, "Sew round outer and lining")).isEqualTo("0 of 5");
        assertThat(step(after, "Press, inspect, pack")).isEqualTo("0 of 5");
        assertThat(after.get("slips").get(0).get("reason").asString()).isEqualTo("zip cut short");
        assertThat(after.get("reasons").get(0).asString()).isEqualTo("zip cut short");
        assertThat(line(batch).get("scrap").asInt()).isEqualTo(1);
        assertThat(line(batch).get("open").asInt()).isEqualTo(5);
        assertThat(sliders()).as("its slider is lost, once").isEqualTo(before - 1);

        JsonNode back = bench.work(batch, List.of(withdrawn(batch, round, slip)));
        assertThat(back.get("refused")).isEmpty();
        assertThat(back.get("slips")).isEmpty();
        assertThat(step(back, "Sew round outer and lining")).isEqualTo("0 of 6");
        assertThat(line(batch).get("open").asInt()).isEqualTo(6);
        assertThat(sliders()).as("it lies there again").isEqualTo(before);
        JsonNode twice = bench.work(batch, List.of(withdrawn(batch, round, slip)));
        assertThat(twice.get("refused").get(0).get("reason").asString()).contains("no such slip");
        assertThat(line(batch).get("open").asInt()).isEqualTo(6);
    }

    /** What was timed, went wrong and was noted with a revision stands beside that one, and not beside the next. */
    @Test
    void whatWasLearntStandsBesideTheRevisionItWasMadeWith() {
        long pouch = APP.pouch("Learnt pouch {ç}");
        long batch = bench.batch(pouch, "6");
        bench.cut(batch);
        JsonNode work = bench.work(batch, List.of());
        JsonNode zip = bench.turn(work, "Sew zip to outer and lining");
        Map<String, Object> wrongTime = bench.worked(batch, zip, 1, 9000);
        bench.work(
                batch,
                List.of(
                        bench.worked(batch, zip, 4, 400),
                        wrongTime,
                        bench.worked(batch, bench.turn(work, "Sew round outer and lining"), 2, 100),
                        slip(batch, zip, 1, "SECOND", List.of()),
                        slip(batch, zip, 1, "SECOND", List.of())));
        assertThat(APP.post(
                                "/api/logbook/corrections",
                                Map.of(
                                        "id",
                                        UUID.randomUUID(),
                                        "event",
                                        wrongTime.get("id"),
                                        "leftOut",
                                        true,
                                        "minutes",
                                        "",
                                        "reason",
                                        "the phone rang"))
                        .status())
                .isEqualTo(204);
        Map<String, Object> pin = new HashMap<>(
                Map.of("about", "PIECE", "designId", pouch, "step", "", "stepName", "", "letter", "A", "machine", ""));
        assertThat(APP.post("/api/notes", Map.of("id", UUID.randomUUID(), "pin", pin, "text", "cut it a hair wider"))
                        .status())
                .isEqualTo(204);
        JsonNode design = APP.get("/api/designs/" + pouch).body();
        ObjectNode document = (ObjectNode) design.get("document").deepCopy();
        document.put("note", "wider now");
        bench.ok(APP.put(
                "/api/designs/" + pouch, Map.of("version", design.get("version").asLong(), "document", document)));

        JsonNode revisions =
                bench.ok(APP.get("/api/designs/" + pouch + "/revisions")).get("revisions");
        JsonNode first = revisions.get(1);
        assertThat(first.get("each").get("seconds").asLong())
                .as("100 s at the zip, without the time that was left out, and 50 s round it")
                .isEqualTo(150);
        assertThat(first.get("timedSteps").asInt()).isEqualTo(2);
        assertThat(first.get("slips").asInt()).isEqualTo(2);
        assertThat(first.get("slipReason").asString()).isEqualTo("zip cut short");
        assertThat(first.get("notes").get(0).get("about").asString()).isEqualTo("A");
        assertThat(first.get("notes").get(0).get("text").asString()).isEqualTo("cut it a hair wider");
        JsonNode next = revisions.get(0);
        assertThat(next.has("each") && !next.get("each").isNull()).isFalse();
        assertThat(next.get("slips").asInt()).isZero();
        assertThat(next.get("notes")).isEmpty();
    }

    /** What is done of those that go on is counted as before, and the last of them finishes the batch. */
    @Test
    void theOthersAreFinishedAndBearIt() {
        long batch = cut("Costly pouch");
        JsonNode work = bench.work(batch, List.of());
        String planned = costOf(batch);
        long before = sliders();
        bench.work(
                batch,
                List.of(
                        slip(batch, bench.turn(work, "Box the corners"), 2, "SCRAP", List.of(used("slider"))),
                        slip(batch, bench.turn(work, "Box the corners"), 1, "SECOND", List.of()),
                        slip(batch, bench.turn(work, "Box the corners"), 1, "MENDED", List.of(used("zip")))));
        JsonNode read = bench.ok(APP.get("/api/batches/" + batch));
        assertThat(read.get("lines").get(0).get("secondsAtBench").asInt()).isEqualTo(1);
        JsonNode done = bench.ok(APP.post(
                "/api/batches/" + batch + "/finish",
                Map.of(
                        "version",
                        read.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", "3", "seconds", "1", "scrap", "")))));
        assertThat(done.get("stage").asString()).isEqualTo("FINISHED");
        assertThat(done.get("lines").get(0).get("scrap").asInt()).isEqualTo(2);
        assertThat(costOf(batch)).isNotEqualTo(planned);
        assertThat(sliders()).as("two lost, and one in each that came out").isEqualTo(before - 6);
        JsonNode late =
                bench.work(batch, List.of(slip(batch, bench.turn(work, "Box the corners"), 1, "SCRAP", List.of())));
        assertThat(late.get("refused").get(0).get("reason").asString()).contains("None of the bags");
    }

    private static String costOf(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch))
                .get("sheet")
                .get("lines")
                .get(0)
                .get("ticket")
                .get("cost")
                .toString();
    }

    @Test
    void scrappingTheLastOfAllEndsTheBatch() {
        long batch = cut("Lost pouch");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Box the corners");
        JsonNode after = bench.work(batch, List.of(slip(batch, turn, 6, "SCRAP", List.of())));
        assertThat(after.get("refused")).isEmpty();
        assertThat(after.get("open").asBoolean()).isFalse();
        assertThat(bench.work(batch, List.of(slip(batch, turn, 1, "SCRAP", List.of())))
                        .get("refused"))
                .hasSize(1);
    }

    @Test
    void nothingIsLostBeforeTheClothIsCut() {
        long batch = bench.batch(APP.pouch("Uncut pouch"), "6");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Box the corners");
        JsonNode after = bench.work(batch, List.of(slip(batch, turn, 1, "SCRAP", List.of())));
        assertThat(after.get("refused").get(0).get("reason").asString()).contains("isn't all cut yet");
        Map<String, Object> without = slip(batch, turn, 1, "MENDED", List.of());
        without.remove("slip");
        assertThat(bench.work(batch, List.of(without)).get("refused")).hasSize(1);
    }

    /** A bag isn't counted unless what must be looked at before is confirmed; nothing gets past that, on whatever way it comes. */
    @Test
    void whatMustBeConfirmedIs() {
        long batch = cut("Gated pouch");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Turn and close the gap");
        Map<String, Object> count = bench.worked(batch, turn, 1, 100);
        count.put("confirmed", List.of("something else"));
        JsonNode after = bench.work(batch, List.of(count));
        assertThat(after.get("refused").get(0).get("reason").asString())
                .contains("Corners pushed out, nothing left inside");
        assertThat(step(after, "Turn and close the gap")).isEqualTo("0 of 6");
        count.remove("confirmed");
        assertThat(bench.work(batch, List.of(count)).get("refused")).hasSize(1);
        assertThat(step(bench.work(batch, List.of(bench.worked(batch, turn, 2, 100))), "Turn and close the gap"))
                .isEqualTo("2 of 6");
        Map<String, Object> back = bench.worked(batch, turn, -1, 0);
        back.remove("confirmed");
        assertThat(bench.work(batch, List.of(back)).get("refused"))
                .as("taking back asks nothing")
                .isEmpty();
    }

    /** Of ten designs' worth of scrap the next batch knows: with two of six lost, more are begun. */
    @Test
    void howManyToBeginFollowsFromWhatWasLost() {
        long pouch = APP.pouch("Risky pouch");
        Map<String, Object> form = RunningApp.batch(pouch, "10", bench.shelf(), List.of());
        JsonNode before = bench.ok(APP.post("/api/batches/starting?likelihood=90", form));
        assertThat(before.get("wanted").asInt()).isEqualTo(10);
        assertThat(before.get("bags").asInt()).isZero();
        long batch = bench.batch(pouch, "6");
        bench.cut(batch);
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Box the corners");
        bench.work(batch, List.of(slip(batch, turn, 4, "SCRAP", List.of())));
        JsonNode after = bench.ok(APP.post("/api/batches/starting?likelihood=90", form));
        assertThat(after.get("lost").asInt()).isEqualTo(4);
        assertThat(after.get("enough").asInt())
                .isGreaterThan(before.get("enough").asInt());
        assertThat(APP.post("/api/batches/starting?likelihood=100", form).status())
                .isEqualTo(400);
    }

    /** One touch, as some device tells it. */
    private static LogEntry touch(BatchId batch, int line, String step, EventKind kind, int bags) {
        return new LogEntry(
                UUID.randomUUID(),
                batch,
                line,
                step,
                step,
                kind,
                bags,
                1000,
                false,
                Instant.now(),
                "1",
                null,
                null,
                "",
                null,
                null,
                List.of());
    }

    /**
     * Some thousand deliveries: touches of two devices, taken back now and then, sent in pieces, late, again and again, in any order. What
     * the log says is what a sum on paper says, each touch once.
     */
    @Test
    void howeverTouchesAreDeliveredEachCountsOnce() {
        BatchWork work = APP.part(BatchWork.class);
        Random random = new Random(20_261_128);
        for (int script = 0; script < 12; script++) {
            BatchId batch = new BatchId(bench.batch(APP.pouch("Script " + script), "500"));
            Map<Counted.Place, Integer> paper = new HashMap<>();
            List<List<LogEntry>> sends = new ArrayList<>();
            for (int device = 0; device < 2; device++) {
                List<LogEntry> waiting = new ArrayList<>();
                for (int i = 0; i < 60; i++) {
                    String step = "step " + random.nextInt(3);
                    int bags = random.nextInt(8) == 0 ? -1 : 1 + random.nextInt(3);
                    LogEntry entry = touch(batch, 1, step, EventKind.WORKED, bags);
                    paper.merge(new Counted.Place(1, step), bags, Integer::sum);
                    waiting.add(entry);
                    if (random.nextInt(3) == 0) {
                        // The answer to this send is lost now and then: the same entries go with the next one too.
                        sends.add(List.copyOf(waiting));
                        if (random.nextInt(4) > 0) {
                            waiting.clear();
                        }
                    }
                }
                sends.add(List.copyOf(waiting));
            }
            List<List<LogEntry>> again = new ArrayList<>(sends);
            Collections.shuffle(again, random);
            sends.addAll(again.subList(0, again.size() / 2));
            Collections.shuffle(sends, random);
            sends.forEach(send -> assertThat(work.keep(batch, send)).isEmpty());
            Map<Counted.Place, Integer> kept =
                    new HashMap<>(work.of(batch).planned().counted().bags());
            assertThat(kept).as("script %s", script).isEqualTo(paper);
        }
    }
}
