package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A design's past: each change with what it changed, a note, what was made with it, and one of them brought back. */
class RevisionsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static int made;

    private long design;

    @BeforeAll
    static void settings() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
    }

    @BeforeEach
    void aPouch() {
        made++;
        design = APP.pouch("Pouch {" + made + "} “ç”");
    }

    private String path() {
        return "/api/designs/" + design;
    }

    private JsonNode read() {
        return APP.get(path()).body();
    }

    private JsonNode past() {
        return APP.get(path() + "/revisions").body().get("revisions");
    }

    /** Changes the first measurement's first value, and the number of the first piece. */
    private void change(String measure, String pieces) {
        JsonNode now = read();
        ObjectNode document = (ObjectNode) now.get("document");
        ((tools.jackson.databind.node.ArrayNode)
                        document.get("measurements").get(0).get("values"))
                .set(0, measure);
        ((ObjectNode) document.get("pieces").get(0)).put("quantity", pieces);
        Answer saved = APP.put(path(), Map.of("version", now.get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
    }

    @Test
    void eachChangeTellsWhatItChanged() {
        String before = read().at("/document/measurements/0/values/0").asString();
        change("11 in", "3");
        JsonNode past = past();
        assertThat(past).hasSize(2);
        assertThat(past.get(0).get("number").asInt()).isEqualTo(2);
        assertThat(past.get(0).get("changes").asInt()).isEqualTo(2);
        assertThat(past.get(1).has("changes")).isFalse();
        JsonNode compared = APP.get(path() + "/revisions/1/to/2").body().get("differences");
        JsonNode measurement = compared.get(0);
        assertThat(measurement.get("part").asString()).isEqualTo("Measurements");
        assertThat(measurement.at("/fields/0/before").asString()).isEqualTo(before);
        assertThat(measurement.at("/fields/0/after").asString()).isEqualTo("11 in");
        assertThat(compared.get(1).get("part").asString()).isEqualTo("Pieces");
        assertThat(compared.get(1).at("/fields/0/field").asString()).isEqualTo("how many");
        assertThat(compared.get(1).at("/fields/0/after").asString()).isEqualTo("3");
    }

    @Test
    void whatIsSavedUnchangedMakesNoRevision() {
        JsonNode now = read();
        APP.put(path(), Map.of("version", now.get("version").asLong(), "document", now.get("document")));
        assertThat(past()).hasSize(1);
    }

    @Test
    void aNoteStaysWithItsRevisionAndASecondTabIsTold() {
        change("11 in", "2");
        assertThat(note(2, 0, "Wider: the old one held no pencils {ç}").status())
                .isEqualTo(200);
        assertThat(past().get(0).get("note").asString()).isEqualTo("Wider: the old one held no pencils {ç}");
        assertThat(note(2, 0, "from another tab").status()).isEqualTo(409);
        assertThat(note(2, 1, "x".repeat(501)).status()).isEqualTo(422);
        assertThat(note(9, 0, "no such one").status()).isEqualTo(404);
    }

    private Answer note(int number, long version, String note) {
        return APP.put(path() + "/revisions/" + number + "/note", Map.of("version", version, "note", note));
    }

    @Test
    void anOldOneIsBroughtBackUnderTheNameThatItHasNow() {
        JsonNode first = read().get("document");
        change("11 in", "3");
        JsonNode now = read();
        ((ObjectNode) now.get("document")).put("name", "Another name " + made);
        APP.put(path(), Map.of("version", now.get("version").asLong(), "document", now.get("document")));
        long version = read().get("version").asLong();
        Answer stale = APP.post(path() + "/revisions/1/brought-back", Map.of("version", version - 1));
        assertThat(stale.status()).isEqualTo(409);
        Answer back = APP.post(path() + "/revisions/1/brought-back", Map.of("version", version));
        assertThat(back.status()).as(back.body().toString()).isEqualTo(200);
        assertThat(back.body().at("/revisions/0/note").asString()).isEqualTo("As it was in revision 1.");
        JsonNode document = read().get("document");
        assertThat(document.get("name").asString()).isEqualTo("Another name " + made);
        assertThat(document.get("measurements")).isEqualTo(first.get("measurements"));
        assertThat(document.get("pieces")).isEqualTo(first.get("pieces"));
        JsonNode left = APP.get(path() + "/revisions/1/to/4").body().get("differences");
        assertThat(left).hasSize(1);
        assertThat(left.get(0).get("part").asString()).isEqualTo("The design");
    }

    @Test
    void whatWasMadeWithItStandsBesideIt() {
        Map<String, Long> shelf = APP.pouchShelf("30 yd");
        assertThat(APP.post("/api/batches", RunningApp.batch(design, "4", shelf, List.of()))
                        .status())
                .isEqualTo(201);
        change("11 in", "3");
        assertThat(past().get(0).get("batches").asInt()).isZero();
        assertThat(past().get(1).get("batches").asInt()).isEqualTo(1);
    }

    @Test
    void aRevisionThatThereNeverWasIsRefused() {
        assertThat(APP.get(path() + "/revisions/1/to/9").status()).isEqualTo(404);
        assertThat(APP.get("/api/designs/999999/revisions").status()).isEqualTo(404);
    }
}
