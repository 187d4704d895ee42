package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import mardun.app.batch.CuttableBatches;
import mardun.app.id.BatchId;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenBatch;
import mardun.app.plan.Planned;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A plan that is known already is what would be worked out anew, whatever happened since. */
class KnownPlansTest {

    private static final int CHANGES = 80;

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final Random RANDOM = new Random(1961);

    private static AtTheBench bench;
    private static List<Long> batches;

    @BeforeAll
    static void aWorkroomWithBatchesInEachState() {
        bench = new AtTheBench(APP, "900 yd");
        bench.ok(APP.put("/api/settings", APP.settings("INCH")));
        long heron = APP.pouch("Heron pouch");
        long plover = APP.pouch("Plover pouch");
        batches = List.of(
                bench.batch(heron, "6"), bench.batch(heron, "12"), bench.batch(plover, "4"), bench.batch(plover, "9"));
        bench.cut(batches.get(1));
        bench.cut(batches.get(3));
        JsonNode cut = bench.ok(APP.get("/api/batches/" + batches.get(3)));
        bench.ok(APP.post(
                "/api/batches/" + batches.get(3) + "/finish",
                Map.of(
                        "version",
                        cut.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", "3", "seconds", "1", "scrap", "")))));
    }

    @Test
    void whateverHappensAKnownPlanIsThatOfNow() {
        Map<String, Integer> happened = new HashMap<>();
        for (int i = 0; i < CHANGES; i++) {
            String what = change();
            happened.merge(what, 1, Integer::sum);
            for (long batch : batches) {
                assertThat(known(batch))
                        .as(what + " was the last change, batch " + batch)
                        .isEqualTo(anew(batch));
            }
        }
        assertThat(happened.keySet())
                .containsExactlyInAnyOrder("a movement", "a price", "the settings", "a touch", "a design");
    }

    private static String change() {
        List<Long> shelf = List.copyOf(bench.shelf().values());
        long material = shelf.get(RANDOM.nextInt(shelf.size()));
        switch (RANDOM.nextInt(8)) {
            case 0, 1 -> {
                move(material, "USED", "2", null);
                return "a movement";
            }
            case 2 -> {
                move(material, "BOUGHT", "3", (5 + RANDOM.nextInt(40)) + ".00");
                return "a price";
            }
            case 3 -> {
                ObjectNode form = APP.settings("INCH");
                form.put("hourlyRate", (15 + RANDOM.nextInt(5)) + ".00");
                bench.ok(APP.put("/api/settings", form));
                return "the settings";
            }
            case 4 -> {
                long design = 1 + RANDOM.nextInt(2);
                ObjectNode view = (ObjectNode) APP.get("/api/designs/" + design).body();
                ObjectNode document = (ObjectNode) view.get("document");
                document.put("liningSeam", RANDOM.nextBoolean() ? "1/4 in" : "3/8 in");
                ObjectNode form = document.objectNode();
                form.set("document", document);
                form.set("version", view.get("version"));
                assertThat(APP.put("/api/designs/" + design, form).status()).isEqualTo(200);
                return "a design";
            }
            default -> {
                touch(batches.get(RANDOM.nextBoolean() ? 1 : 3));
                return "a touch";
            }
        }
    }

    private static void move(long material, String kind, String amount, String paid) {
        Map<String, Object> form = new HashMap<>(
                Map.of("requestId", UUID.randomUUID(), "kind", kind, "amount", amount, "reason", "by the test"));
        if (paid != null) {
            form.put("paid", paid);
        }
        assertThat(APP.post("/api/materials/" + material + "/movements", form).status())
                .isBetween(200, 204);
    }

    /** A bag more of the step that is next, or one less where all are done. */
    private static void touch(long batch) {
        JsonNode work = bench.work(batch, List.of());
        List<JsonNode> turns = new ArrayList<>();
        work.get("turns").valueStream().skip(1).limit(2).forEach(turns::add);
        JsonNode turn = turns.get(RANDOM.nextInt(turns.size()));
        JsonNode part = turn.get("parts").get(0);
        boolean isFull = part.get("done").asInt() == part.get("all").asInt();
        bench.work(batch, List.of(bench.worked(batch, turn, isFull ? -1 : 1, 40 + RANDOM.nextInt(400))));
    }

    private static List<Object> known(long batch) {
        return figures(APP.part(BatchPlans.class).of(chosen(batch), settings()));
    }

    private static List<Object> anew(long batch) {
        return figures(APP.newPart(BatchPlans.class).of(chosen(batch), settings()));
    }

    private static List<Object> figures(Planned planned) {
        return List.of(planned.plan(), planned.toCome(), planned.mark());
    }

    private static ChosenBatch chosen(long batch) {
        return APP.part(CuttableBatches.class).get(new BatchId(batch)).chosen();
    }

    private static Settings settings() {
        return APP.part(SettingsService.class).current();
    }
}
