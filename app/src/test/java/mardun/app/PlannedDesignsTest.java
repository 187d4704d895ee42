package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A batch is planned with its designs as they are then, until it takes a change over or its cloth is cut. */
class PlannedDesignsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static Map<String, Long> shelf;

    private long pouch;

    @BeforeAll
    static void shelf() {
        APP.settings("INCH");
        shelf = APP.pouchShelf("90 yd");
    }

    @BeforeEach
    void pouch() {
        pouch = APP.pouch("Pouch " + UUID.randomUUID());
    }

    private JsonNode design() {
        return APP.get("/api/designs/" + pouch).body();
    }

    /** Makes the side seam another, which changes every panel. */
    private void changeSeam(String seam) {
        JsonNode design = design();
        ObjectNode document = (ObjectNode) design.get("document").deepCopy();
        document.get("measurements").forEach(row -> {
            if (row.get("symbol").asString().equals("seam")) {
                ((ObjectNode) row).putArray("values").add(seam);
            }
        });
        ok(APP.put(
                "/api/designs/" + pouch, Map.of("version", design.get("version").asLong(), "document", document)));
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 201);
        return answer.body();
    }

    private Map<String, Object> form(String units) {
        return RunningApp.batch(pouch, units, shelf, List.of());
    }

    private static String outerWidth(JsonNode sheet) {
        return sheet.get("cutList")
                .get(0)
                .get("piece")
                .get("width")
                .get("value")
                .get("exact")
                .asString();
    }

    private static JsonNode batch(long id) {
        return APP.get("/api/batches/" + id).body();
    }

    @Test
    void aChangeOfTheDesignWaitsUntilItIsTakenOver() {
        int revision = design().get("revision").asInt();
        JsonNode planned = ok(APP.post("/api/batches", form("4")));
        String width = outerWidth(planned.get("sheet"));
        assertThat(planned.get("changedDesigns")).isEmpty();
        changeSeam("1/2 in");
        assertThat(design().get("revision").asInt()).isEqualTo(revision + 1);

        JsonNode kept = batch(planned.get("id").asLong());
        assertThat(outerWidth(kept.get("sheet"))).isEqualTo(width);
        assertThat(kept.get("changedDesigns").get(0).get("designId").asLong()).isEqualTo(pouch);
        assertThat(kept.get("mark")).isEqualTo(planned.get("mark"));

        JsonNode taken = ok(APP.post(
                "/api/batches/" + kept.get("id").asLong() + "/take-design",
                Map.of("version", kept.get("version").asLong(), "designId", pouch)));
        assertThat(outerWidth(taken.get("sheet"))).isNotEqualTo(width);
        assertThat(taken.get("changedDesigns")).isEmpty();
        assertThat(outerWidth(ok(APP.post("/api/batches/preview", form("4")))))
                .isEqualTo(outerWidth(taken.get("sheet")));
        assertThat(APP.post(
                                "/api/batches/" + kept.get("id").asLong() + "/take-design",
                                Map.of("version", kept.get("version").asLong(), "designId", pouch))
                        .status())
                .as("another tab still has it as it was before")
                .isEqualTo(409);
    }

    @Test
    void savingADesignWithoutAChangeIsNoRevision() {
        JsonNode design = design();
        ok(APP.put(
                "/api/designs/" + pouch,
                Map.of("version", design.get("version").asLong(), "document", design.get("document"))));
        assertThat(design().get("revision").asInt())
                .isEqualTo(design.get("revision").asInt());
    }

    @Test
    void aLineThatComesToABatchIsOfTheSameDesignAsTheOthers() {
        JsonNode planned = ok(APP.post("/api/batches", form("4")));
        String width = outerWidth(planned.get("sheet"));
        changeSeam("1/2 in");
        Map<String, Object> more = form("3");
        Map<String, Object> first = RunningApp.line(form("4"));
        first.put("number", 1);
        more.put("version", planned.get("version").asLong());
        more.put("batchId", planned.get("id").asLong());
        more.put("lines", List.of(first, RunningApp.line(form("3"))));
        JsonNode grown = ok(APP.put("/api/batches/" + planned.get("id").asLong(), more));
        assertThat(grown.get("lines").get(0).get("revision"))
                .isEqualTo(grown.get("lines").get(1).get("revision"));
        assertThat(grown.get("sheet").get("cutList").get(0).get("count").asInt())
                .isEqualTo(14);
        assertThat(outerWidth(grown.get("sheet"))).isEqualTo(width);

        first.put("revision", 1);
        Map<String, Object> second = RunningApp.line(form("3"));
        second.put("revision", 2);
        more.put("lines", List.of(first, second));
        assertThat(APP.post("/api/batches/preview", more).detail())
                .contains("planned with two states of the design, 1 and 2");
    }

    @Test
    void aRevisionThatIsGoneIsSaidToBe() {
        Map<String, Object> form = form("4");
        RunningApp.line(form).put("revision", 99);
        Answer answer = APP.post("/api/batches/preview", form);
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.detail()).contains("has no revision 99. Plan with the design as it is now.");
        assertThat(APP.get("/api/designs/" + pouch + "/revisions/99").status()).isEqualTo(404);
        assertThat(ok(APP.get("/api/designs/" + pouch + "/revisions/1"))
                        .get("document")
                        .get("name"))
                .isEqualTo(design().get("document").get("name"));
    }

    @Test
    void batchesThatAreJoinedMeetInTheLaterDesign() {
        JsonNode first = ok(APP.post("/api/batches", form("4")));
        changeSeam("1/2 in");
        JsonNode second = ok(APP.post("/api/batches", form("3")));
        String width = outerWidth(second.get("sheet"));
        JsonNode joined = ok(APP.post(
                "/api/batches/" + first.get("id").asLong() + "/join",
                Map.of(
                        "version",
                        first.get("version").asLong(),
                        "otherId",
                        second.get("id").asLong(),
                        "otherVersion",
                        second.get("version").asLong())));
        assertThat(joined.get("lines")).hasSize(1);
        assertThat(joined.get("lines").get(0).get("started").asInt()).isEqualTo(7);
        assertThat(joined.get("changedDesigns")).isEmpty();
        assertThat(outerWidth(joined.get("sheet"))).isEqualTo(width);
    }

    @Test
    void onceItsClothIsCutABatchStaysWithItsDesign() {
        JsonNode planned = ok(APP.post("/api/batches", form("2")));
        ok(APP.post(
                "/api/batches/" + planned.get("id").asLong() + "/cut",
                Map.of("version", planned.get("version").asLong(), "reason", "")));
        changeSeam("1/2 in");
        JsonNode cut = batch(planned.get("id").asLong());
        assertThat(cut.get("changedDesigns")).isEmpty();
        Answer refused = APP.post(
                "/api/batches/" + planned.get("id").asLong() + "/take-design",
                Map.of("version", cut.get("version").asLong(), "designId", pouch));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("sewn from the design as it was then");
    }
}
