package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A piece that was spoiled after all cloth was cut is cut once more: the shelf, the batch and what it costs follow, to the cent. */
class CutAgainAtTheBenchTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;
    private static long outer;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "10 yd");
        outer = bench.shelf().get("outer");
    }

    /** What one test leaves isn't there for the next. */
    @AfterEach
    void clear() {
        lotsOfOffcuts().forEach(lot -> spoil(lot.get("id").asLong()));
    }

    private static void spoil(long lot) {
        bench.ok(APP.post(
                "/api/materials/" + outer + "/movements",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        "SPOILED",
                        "amount",
                        "1",
                        "reason",
                        "given away",
                        "lotId",
                        lot)));
    }

    private static List<JsonNode> lotsOfOffcuts() {
        return shelfOf(outer)
                .get("lots")
                .valueStream()
                .filter(lot -> lot.hasNonNull("size"))
                .toList();
    }

    private long cut(String name) {
        long batch = bench.batch(APP.pouch(name), "6");
        bench.cut(batch);
        return batch;
    }

    private void offcut(String width, String height) {
        bench.ok(APP.post(
                "/api/materials/" + outer + "/pieces",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "width",
                        width,
                        "height",
                        height,
                        "count",
                        "1",
                        "place",
                        "basket",
                        "given",
                        false)));
    }

    private static JsonNode shelfOf(long material) {
        return bench.ok(APP.get("/api/materials/" + material + "/shelf"));
    }

    private long worth() {
        return List.of("outer", "lining", "interfacing").stream()
                .mapToLong(slot -> shelfOf(bench.shelf().get(slot))
                        .get("worth")
                        .get("minor")
                        .asLong())
                .sum();
    }

    private List<String> offcuts() {
        return lotsOfOffcuts().stream()
                .map(lot -> lot.get("width").get("exact").asString() + " × "
                        + lot.get("height").get("exact").asString() + ", "
                        + lot.get("place").asString())
                .toList();
    }

    /** What all bags of the line cost, in cents. */
    private long cost(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch))
                .get("sheet")
                .get("total")
                .get("minor")
                .asLong();
    }

    private JsonNode line(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch)).get("lines").get(0);
    }

    private JsonNode proposed(long batch, String pieces, int bags) {
        return bench.ok(APP.get("/api/bench/cut-again?batch=" + batch + "&line=1&bags=" + bags + "&pieces=" + pieces));
    }

    private Map<String, Object> slip(long batch, int bags, String outcome, List<String> pieces) {
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Box the corners");
        Map<String, Object> slip = bench.entry(batch, turn, "SLIPPED", bags, 0);
        slip.put("reason", "hole at the corner");
        slip.put(
                "slip",
                Map.of("outcome", outcome, "usedUp", List.of(), "again", Map.of("pieces", pieces, "dyes", List.of())));
        return slip;
    }

    private Map<String, Object> withdrawn(long batch, Map<String, Object> slip) {
        Map<String, Object> entry = new HashMap<>(slip);
        entry.put("id", UUID.randomUUID().toString());
        entry.put("kind", "WITHDRAWN");
        entry.put("bags", 0);
        entry.put("ofEvent", slip.get("id"));
        entry.remove("slip");
        return entry;
    }

    @Test
    void aPieceComesFromTheSmallestRestAndTheBatchBearsIt() {
        long batch = cut("Patched pouch");
        assertThat(proposed(batch, "", 1).get("pieces").get(0).get("letter").asString())
                .isEqualTo("A");
        offcut("30 in", "20 in");
        offcut("24 in", "20 in");
        JsonNode cloth = proposed(batch, "A", 1).get("cloths").get(0);
        assertThat(cloth.get("name").asString()).isEqualTo("Outer");
        assertThat(cloth.get("choices").get(0).get("says").asString())
                .startsWith("A from offcut ")
                .contains("basket, ≈ 61 cm × 50.8 cm. Kept of it: ");
        assertThat(proposed(batch, "A&pieces=A", 1)
                        .get("cloths")
                        .get(0)
                        .get("pieces")
                        .asString())
                .isEqualTo("2 of A");
        long worth = worth();
        long cost = cost(batch);

        Map<String, Object> slip = slip(batch, 1, "MENDED", List.of("A"));
        JsonNode after = bench.work(batch, List.of(slip, slip));
        assertThat(after.get("refused")).isEmpty();
        assertThat(after.get("slips").get(0).get("cutAgain").get(0).asString()).startsWith("A from offcut");
        assertThat(offcuts()).contains("76.2 cm × 50.8 cm, basket").doesNotContain("60.96 cm × 50.8 cm, basket");
        assertThat(offcuts().size()).as("its rests are kept in the same place").isGreaterThan(1);
        assertThat(worth).as("something left the shelf").isGreaterThan(worth());
        assertThat(cost(batch) - cost).as("and the batch bears it").isEqualTo(worth - worth());
        assertThat(line(batch).get("started").asInt()).isEqualTo(6);

        JsonNode back = bench.work(batch, List.of(withdrawn(batch, slip)));
        assertThat(back.get("refused")).isEmpty();
        assertThat(back.get("slips")).isEmpty();
        assertThat(offcuts()).containsExactlyInAnyOrder("76.2 cm × 50.8 cm, basket", "60.96 cm × 50.8 cm, basket");
        assertThat(worth()).isEqualTo(worth);
        assertThat(cost(batch)).isEqualTo(cost);
    }

    @Test
    void aRestThatIsUsedMeanwhileCannotComeBack() {
        long batch = cut("Used pouch");
        offcut("24 in", "20 in");
        Map<String, Object> slip = slip(batch, 1, "MENDED", List.of("A"));
        bench.work(batch, List.of(slip));
        spoil(lotsOfOffcuts().get(0).get("id").asLong());
        JsonNode refused = bench.work(batch, List.of(withdrawn(batch, slip)));
        assertThat(refused.get("refused").get(0).get("reason").asString()).contains("has been used since");
        assertThat(refused.get("slips")).hasSize(1);
    }

    /** One of six is scrapped and cut anew in its place: seven are begun, six are still to be made, and six come out. */
    @Test
    void aBagIsBegunInThePlaceOfOneThatIsScrapped() {
        long batch = cut("Second start pouch");
        JsonNode work = bench.work(batch, List.of());
        bench.work(batch, List.of(bench.worked(batch, bench.turn(work, "Sew zip to outer and lining"), 6, 600)));
        long worth = worth();
        long cost = cost(batch);
        Map<String, Object> slip = slip(batch, 1, "SCRAP", List.of());
        JsonNode after = bench.work(batch, List.of(slip));
        assertThat(after.get("refused")).isEmpty();
        assertThat(after.get("slips").get(0).get("cutAgain").size())
                .as("from each of its cloths")
                .isEqualTo(3);
        assertThat(line(batch).get("started").asInt()).isEqualTo(7);
        assertThat(line(batch).get("wanted").asInt()).isEqualTo(6);
        assertThat(line(batch).get("scrap").asInt()).isEqualTo(1);
        assertThat(line(batch).get("open").asInt()).isEqualTo(6);
        assertThat(cost(batch) - cost).isGreaterThanOrEqualTo(worth - worth());
        JsonNode zips =
                bench.turn(after, "Sew zip to outer and lining").get("parts").get(0);
        assertThat(zips.get("started").asInt() - zips.get("done").asInt())
                .as("the new one has no zip yet")
                .isEqualTo(1);

        bench.work(batch, List.of(withdrawn(batch, slip)));
        assertThat(line(batch).get("started").asInt()).isEqualTo(6);
        assertThat(line(batch).get("scrap").asInt()).isZero();
        assertThat(line(batch).get("open").asInt()).isEqualTo(6);
        assertThat(worth()).isEqualTo(worth);
        assertThat(cost(batch)).isEqualTo(cost);
    }

    /** The goods are worth what left the shelves for them and the work, to the cent. */
    @Test
    void whatComesOutCostsWhatItTook() {
        long batch = cut("Finished pouch");
        Map<String, Object> scrapped = slip(batch, 2, "SCRAP", List.of());
        scrapped.put(
                "slip",
                Map.of(
                        "outcome",
                        "SCRAP",
                        "usedUp",
                        List.of("zip", "slider", "label").stream()
                                .map(slot -> Map.of("materialId", bench.shelf().get(slot), "part", "WHOLE"))
                                .toList(),
                        "again",
                        Map.of("pieces", List.of(), "dyes", List.of())));
        bench.work(batch, List.of(scrapped, slip(batch, 1, "SECOND", List.of("A", "B"))));
        JsonNode read = bench.ok(APP.get("/api/batches/" + batch));
        long cost = cost(batch);
        JsonNode done = bench.ok(APP.post(
                "/api/batches/" + batch + "/finish",
                Map.of(
                        "version",
                        read.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", "5", "seconds", "1", "scrap", "")))));
        assertThat(done.get("stage").asString()).isEqualTo("FINISHED");
        assertThat(done.get("lines").get(0).get("started").asInt()).isEqualTo(8);
        assertThat(cost(batch)).as("but for what the ledger rounds").isCloseTo(cost, within(2L));
    }

    @Test
    void whatTheShelfDoesNotGiveIsRefusedAndNothingIsBooked() {
        long batch = cut("Short pouch");
        long worth = worth();
        JsonNode whole = proposed(batch, "A", 200);
        assertThat(whole.get("cloths").get(0).get("choices")).isEmpty();
        assertThat(whole.get("cloths").get(0).get("nothing").asString())
                .startsWith("Nothing of “Outer” that is free on the shelf gives ");
        JsonNode work = bench.work(batch, List.of(slip(batch, 200, "MENDED", List.of("A"))));
        assertThat(work.get("refused").get(0).get("reason").asString()).startsWith("Nothing of “Outer”");
        assertThat(work.get("slips")).isEmpty();
        assertThat(worth()).isEqualTo(worth);
        assertThat(proposed(batch, "Z", 1).get("refusal").asString()).contains("has no piece Z");
        assertThat(proposed(batch, "A", 900).get("refusal").asString()).contains("At most 200");
    }

    @Test
    void clothThatIsStillToBeCutIsCutOnTheCuttingPage() {
        long batch = bench.batch(APP.pouch("Uncut pouch"), "6");
        assertThat(proposed(batch, "A", 1).get("refusal").asString()).contains("on the cutting page");
        assertThat(bench.work(batch, List.of(slip(batch, 1, "MENDED", List.of("A"))))
                        .get("refused")
                        .get(0)
                        .get("reason")
                        .asString())
                .contains("on the cutting page");
    }
}
