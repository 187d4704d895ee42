package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What isn't used any more is put away and taken back; what never was can be removed. */
class PutAwayTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final Map<String, Long> SHELF = new HashMap<>();

    @BeforeAll
    static void aWorkroomInInches() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        SHELF.putAll(APP.pouchShelf("20 yd"));
    }

    private static long cloth(String name, String lowAt, String onHand) {
        Map<String, Object> form = new HashMap<>(APP.cloth(name, "44 in", "9.00", onHand));
        form.put("lowAt", lowAt);
        return APP.enter(form);
    }

    private static Answer design(String name) {
        return APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", name));
    }

    private static Answer put(String path, boolean away) {
        long version = APP.get(path).body().get("version").asLong();
        return APP.put(path + "/put-away", Map.of("version", version, "putAway", away));
    }

    private static Answer remove(String path) {
        return APP.delete(
                path + "?version=" + APP.get(path).body().get("version").asLong());
    }

    private static List<String> names(String path) {
        JsonNode body = APP.get(path).body();
        return (body.isArray() ? body : body.get("items"))
                .valueStream()
                .map(one -> one.get("name").asString())
                .toList();
    }

    private static boolean isBought(String name) {
        return APP.get("/api/buying")
                .body()
                .get("nowhere")
                .valueStream()
                .anyMatch(want -> want.get("name").asString().equals(name));
    }

    private static Answer batch(long design, long cloth) {
        Map<String, Long> shelf = new HashMap<>(SHELF);
        shelf.put("outer", cloth);
        return APP.post("/api/batches", RunningApp.batch(design, "2", shelf, List.of()));
    }

    @Test
    void aMaterialThatIsPutAwayIsOfferedNowhereAndKeepsWhatIsThere() {
        long id = cloth("Old Fern", "5 yd", "2 yd");
        JsonNode document = design("Asks for cloth").body().get("document");
        String path = "/api/materials/" + id;
        assertThat(isBought("Old Fern")).isTrue();
        assertThat(APP.post("/api/designs/slot-materials", Map.of("document", document))
                        .body()
                        .toString())
                .contains(Long.toString(id));

        Answer away = put(path, true);

        assertThat(away.status()).as(away.body().toString()).isEqualTo(200);
        assertThat(names("/api/materials?putAway=false")).doesNotContain("Old Fern");
        assertThat(names("/api/materials?putAway=true")).contains("Old Fern");
        assertThat(names("/api/materials?low=true")).doesNotContain("Old Fern");
        assertThat(isBought("Old Fern")).isFalse();
        JsonNode offered = APP.post("/api/designs/slot-materials", Map.of("document", document))
                .body();
        assertThat(offered.valueStream().flatMap(slot -> slot.get("materialIds").valueStream()))
                .noneMatch(one -> one.asLong() == id);
        assertThat(APP.get(path + "/shelf").body().get("onHand").get("text").asString())
                .isEqualTo("2 yd");
        assertThat(APP.get("/api/stock-take?query=fern").body().toString()).contains("Old Fern");

        put(path, false);
        assertThat(names("/api/materials?putAway=false")).contains("Old Fern");
        assertThat(isBought("Old Fern")).isTrue();
    }

    @Test
    void whatAPutAwayMaterialWasChosenForKeepsIt() {
        long id = cloth("Stays Chosen", "", "9 yd");
        Answer planned = batch(design("With a batch").id(), id);
        assertThat(planned.status()).as(planned.body().toString()).isEqualTo(201);
        put("/api/materials/" + id, true);
        assertThat(APP.get("/api/batches/" + planned.id())
                        .body()
                        .get("lines")
                        .get(0)
                        .get("materials")
                        .valueStream())
                .anyMatch(choice -> choice.get("materialId").asLong() == id);
    }

    @Test
    void anotherTabThatReadItBeforeIsTold() {
        long id = cloth("Two Tabs", "", "");
        put("/api/materials/" + id, true);
        Answer late = APP.put("/api/materials/" + id + "/put-away", Map.of("version", 0, "putAway", false));
        assertThat(late.status()).isEqualTo(409);
    }

    @Test
    void whatWasEnteredByMistakeIsRemovedWithItsPrices() {
        long id = cloth("Mistake", "", "3 yd");
        assertThat(remove("/api/materials/" + id).status()).isEqualTo(204);
        assertThat(APP.get("/api/materials/" + id).status()).isEqualTo(404);
        assertThat(names("/api/materials")).doesNotContain("Mistake");
        assertThat(cloth("Mistake", "", "")).isNotEqualTo(id);
    }

    @Test
    void whatWasTakenOfTheShelfOrIsPlannedWithStays() {
        long taken = cloth("Taken", "", "3 yd");
        Answer moved = APP.post(
                "/api/materials/" + taken + "/movements",
                Map.of("requestId", UUID.randomUUID(), "kind", "SPOILED", "amount", "1 yd", "reason", "a stain"));
        assertThat(moved.status()).as(moved.body().toString()).isLessThan(300);
        Answer refused = remove("/api/materials/" + taken);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail())
                .isEqualTo("“Taken” can't be removed: stock of it was moved."
                        + " Put it away instead; its history stays.");

        long planned = cloth("Planned", "", "3 yd");
        long batch = batch(design("Planned with").id(), planned).id();
        assertThat(remove("/api/materials/" + planned).detail()).contains("Batch " + batch + " uses it");
        assertThat(APP.get("/api/materials/" + planned).status()).isEqualTo(200);
    }

    @Test
    void aDesignThatIsPutAwayIsOfferedNowhere() {
        Answer made = design("Last year's");
        assertThat(put("/api/designs/" + made.id(), true).body().get("putAway").asBoolean())
                .isTrue();
        assertThat(names("/api/design-names")).doesNotContain("Last year's");
        assertThat(names("/api/designs?size=200")).doesNotContain("Last year's");
        assertThat(names("/api/designs?size=200&putAway=true")).contains("Last year's");
        put("/api/designs/" + made.id(), false);
        assertThat(names("/api/design-names")).contains("Last year's");
    }

    @Test
    void aDesignIsRemovedUnlessABatchWasPlannedOfIt() {
        Answer begun = design("Only begun");
        assertThat(remove("/api/designs/" + begun.id()).status()).isEqualTo(204);
        assertThat(APP.get("/api/designs/" + begun.id()).status()).isEqualTo(404);

        long made = design("Made of").id();
        long batch = batch(made, cloth("For it", "", "9 yd")).id();
        Answer refused = remove("/api/designs/" + made);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("Batch " + batch + " was planned from it");
    }

    @Test
    void aMaterialThatADesignIsUsuallyMadeOfStays() {
        long id = cloth("Usual", "", "");
        Answer begun = design("Takes the usual");
        JsonNode document = begun.body().get("document").deepCopy();
        ((ObjectNode) document.get("slots").get(0)).put("materialId", id);
        assertThat(APP.put(
                                "/api/designs/" + begun.id(),
                                Map.of("version", begun.body().get("version").asLong(), "document", document))
                        .status())
                .isEqualTo(200);
        assertThat(remove("/api/materials/" + id).detail()).contains("The design “Takes the usual” uses it");
    }
}
