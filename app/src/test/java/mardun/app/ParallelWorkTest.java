package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Two tabs, a tablet and a laptop, a double click: what comes at the same moment, over HTTP and the real database. */
class ParallelWorkTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final ExecutorService POOL = Executors.newFixedThreadPool(8);
    private static final Map<String, Long> SHELF = new LinkedHashMap<>();
    private static long design;
    private static long shop;

    @BeforeAll
    static void aWorkroom() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        SHELF.putAll(APP.pouchShelf("200 yd"));
        design = APP.pouch("Test pouch");
        shop = APP.post(
                        "/api/suppliers",
                        Map.of("requestId", UUID.randomUUID(), "version", 0, "name", "A shop", "postage", "0"))
                .id();
    }

    @AfterAll
    static void noMoreWork() {
        POOL.shutdown();
    }

    private static Map<String, Object> form(String units) {
        return RunningApp.batch(design, units, SHELF, List.of());
    }

    private static Answer batch(String units) {
        Answer made = APP.post("/api/batches", form(units));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made;
    }

    private static List<Answer> atOnce(List<Callable<Answer>> requests) throws Exception {
        List<Answer> answers = new ArrayList<>();
        for (Future<Answer> answer : POOL.invokeAll(requests)) {
            answers.add(answer.get());
        }
        return answers;
    }

    @Test
    void cutsThatAreTickedAtOnceAreAllKept() throws Exception {
        Answer made = batch("40");
        String path = "/api/batches/" + made.id() + "/cutting";
        APP.post(path + "/search", Map.of("aim", "MONEY", "seconds", 0.1, "fromOffcuts", true));
        while (APP.get(path + "/search").body().get("running").asBoolean()) {
            Thread.sleep(20);
        }
        List<String> keys = new ArrayList<>();
        for (JsonNode cloth : APP.get(path).body().get("cloths")) {
            if (cloth.get("materialId").asLong() == SHELF.get("outer")) {
                cloth.get("mats")
                        .get(0)
                        .get("steps")
                        .forEach(step -> keys.add(step.get("key").asString()));
            }
        }
        assertThat(keys).hasSizeGreaterThan(3);
        for (int round = 0; round < 6; round++) {
            boolean done = round % 2 == 0;
            List<Callable<Answer>> ticks = keys.stream()
                    .<Callable<Answer>>map(key -> () -> APP.put(
                            path + "/step", Map.of("materialId", SHELF.get("outer"), "step", key, "done", done)))
                    .toList();
            assertThat(atOnce(ticks)).allMatch(answer -> answer.status() == 200);
            for (JsonNode cloth : APP.get(path).body().get("cloths")) {
                if (cloth.get("materialId").asLong() == SHELF.get("outer")) {
                    cloth.get("mats")
                            .get(0)
                            .get("steps")
                            .forEach(step -> assertThat(step.get("done").asBoolean())
                                    .as(step.get("key").asString())
                                    .isEqualTo(done));
                }
            }
        }
        List<Callable<Answer>> spoiled = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            spoiled.add(() -> APP.post(
                    path + "/spoiled",
                    Map.of(
                            "requestId",
                            UUID.randomUUID(),
                            "materialId",
                            SHELF.get("outer"),
                            "letter",
                            "A",
                            "count",
                            "1")));
        }
        assertThat(atOnce(spoiled)).allMatch(answer -> answer.status() == 200);
        long again = 0;
        for (JsonNode cloth : APP.get(path).body().get("cloths")) {
            for (JsonNode kind : cloth.get("pieces")) {
                again += kind.get("again").asLong();
            }
        }
        assertThat(again).isEqualTo(6);
    }

    @Test
    void aBatchThatIsCutMeanwhileHoldsNoCloth() throws Exception {
        for (int round = 0; round < 12; round++) {
            Answer made = batch("3");
            long version = made.body().get("version").asLong();
            String path = "/api/batches/" + made.id();
            atOnce(List.of(
                    () -> APP.post(path + "/reserve", Map.of("version", version)),
                    () -> APP.post(path + "/cut", Map.of("version", version, "reason", "")),
                    () -> APP.post(path + "/reserve", Map.of("version", version))));
            assertThat(APP.get(path).body().get("stage").asString()).isEqualTo("CUT");
            for (JsonNode held : APP.get("/api/materials/" + SHELF.get("outer") + "/shelf")
                    .body()
                    .get("reserved")) {
                assertThat(held.get("batchId").asLong()).isNotEqualTo(made.id());
            }
        }
    }

    @Test
    void deliveriesReservationsAndCountsGoOnBesideOneAnother() throws Exception {
        List<Callable<Answer>> all = new ArrayList<>();
        List<Long> ids = List.copyOf(SHELF.values());
        for (int i = 0; i < 8; i++) {
            Answer made = batch("2");
            long version = made.body().get("version").asLong();
            int shift = i;
            all.add(() -> APP.post("/api/batches/" + made.id() + "/reserve", Map.of("version", version)));
            all.add(() -> APP.post("/api/deliveries", delivery(ids.get((shift + 3) % 3), ids.get(shift % 3))));
            all.add(() -> APP.post("/api/deliveries", delivery(ids.get(shift % 3), ids.get((shift + 1) % 3))));
        }
        assertThat(atOnce(all))
                .allSatisfy(answer ->
                        assertThat(answer.status()).as(answer.body().toString()).isIn(200, 201));
    }

    private static Map<String, Object> delivery(long... materials) {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (long material : materials) {
            Map<String, Object> line = new LinkedHashMap<>();
            line.put("materialId", material);
            line.put("packs", "1");
            line.put("content", "1 yd");
            line.put("price", "2.00");
            for (String empty : List.of("dyeLot", "place", "measuredWidth", "pieceWidth", "pieceHeight")) {
                line.put(empty, "");
            }
            lines.add(line);
        }
        return Map.of(
                "requestId",
                UUID.randomUUID(),
                "supplierId",
                shop,
                "paperNumber",
                "",
                "cameOn",
                LocalDate.now().toString(),
                "postage",
                "",
                "duty",
                "",
                "total",
                2 * materials.length + ".00",
                "lines",
                lines);
    }

    @Test
    void aRequestIdMakesOneThingAndNoOther() throws Exception {
        Map<String, Object> form = form("4");
        List<Callable<Answer>> same = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            same.add(() -> APP.post("/api/batches", form));
        }
        List<Answer> answers = atOnce(same);
        assertThat(answers).allMatch(answer -> answer.id() == answers.get(0).id());
        Map<String, Object> other = form("9");
        other.put("requestId", form.get("requestId"));
        Answer refused = APP.post("/api/batches", other);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("was sent before with something else in it");
        Map<String, Object> material = new LinkedHashMap<>(APP.cloth("Under the same id", "44 in", "1.00", ""));
        material.put("requestId", form.get("requestId"));
        assertThat(APP.post("/api/materials", material).status()).isEqualTo(422);
    }

    @Test
    void aLongListComesInWhileOthersGoOn() throws Exception {
        int lines = 3_000;
        long bead = APP.post("/api/materials", APP.material("NOTION", "Many beads", "", "2.50", "10", "5000"))
                .id();
        String list = "material,kind,amount\n" + "Many beads,used,1\n".repeat(lines);
        String job = APP.upload("/api/imports?list=movements", list.getBytes(StandardCharsets.UTF_8))
                .body()
                .get("id")
                .asString();
        assertThat(settled(job)).isEqualTo("READ");
        assertThat(APP.post("/api/imports/" + job + "/enter", "").status()).isEqualTo(202);
        int beside = 0;
        while (APP.get("/api/imports/" + job).body().get("state").asString().equals("ENTERING")) {
            Answer used = APP.post(
                    "/api/materials/" + bead + "/movements",
                    Map.of("requestId", UUID.randomUUID(), "kind", "USED", "amount", "1", "reason", "meanwhile"));
            assertThat(used.status()).as(used.body().toString()).isIn(200, 201);
            beside++;
        }
        assertThat(settled(job)).isEqualTo("ENTERED");
        assertThat(beside).as("entries of others while the list came in").isGreaterThan(1);
        assertThat(APP.get("/api/materials/" + bead)
                        .body()
                        .get("onHand")
                        .get("count")
                        .asLong())
                .isEqualTo(5_000 - lines - beside);
    }

    private static String settled(String job) throws InterruptedException {
        String state = "READING";
        while (state.endsWith("ING")) {
            Thread.sleep(20);
            state = APP.get("/api/imports/" + job).body().get("state").asString();
        }
        return state;
    }
}
