package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What lies on the shelf before the workroom begins: of unknown price, or given. */
class FirstClothTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @BeforeAll
    static void aWorkroomInInches() {
        ObjectNode settings = APP.settings("INCH");
        ((ObjectNode) settings.get("shelf")).put("givenCostsNothing", true).put("valueSchool", "FIRST_IN_FIRST_OUT");
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
        assertThat(isDone("MATERIALS")).isFalse();
    }

    private static String worth(long id) {
        return APP.get("/api/materials/" + id + "/shelf")
                .body()
                .get("worth")
                .get("amount")
                .asString();
    }

    private static Answer price(long id, String price, String per) {
        JsonNode now = APP.get("/api/materials/" + id).body();
        Map<String, Object> form = new HashMap<>(
                APP.material(now.get("kind").asString(), now.get("name").asString(), "44 in", price, per, ""));
        form.put("version", now.get("version").asLong());
        return APP.put("/api/materials/" + id, form);
    }

    @Test
    void oneClothIsEnoughForTheStepToBeDone() {
        APP.enter(APP.cloth("The very first", "44 in", "", "3 yd"));
        assertThat(isDone("MATERIALS")).isTrue();
    }

    private static boolean isDone(String key) {
        return APP.get("/api/bench")
                .body()
                .get("firstSteps")
                .valueStream()
                .anyMatch(step -> step.get("key").asString().equals(key)
                        && step.get("done").asBoolean());
    }

    @Test
    void whatWasThereBeforeItsPriceWasKnownIsWorthThatPrice() {
        long id = APP.enter(APP.material("CLOTH", "No bill left", "44 in", "", "", "3 yd"));
        assertThat(worth(id)).isEqualTo("0.00");
        assertThat(price(id, "8.40", "1 yd").status()).isEqualTo(200);
        assertThat(worth(id)).isEqualTo("25.20");
        price(id, "9.00", "1 yd");
        assertThat(worth(id)).as("only the first price that is known").isEqualTo("25.20");
    }

    @Test
    void halvesAreWorthHalfOfASet() {
        Map<String, Object> snap = new HashMap<>(APP.material("NOTION", "Old snaps", "", "", "", "20"));
        snap.put("facts", StockTest.with(snap, Map.of("twoPart", true)).get("facts"));
        long id = APP.enter(snap);
        JsonNode now = APP.get("/api/materials/" + id).body();
        Map<String, Object> form = new HashMap<>(APP.material("NOTION", "Old snaps", "", "5.00", "10", ""));
        form.put("version", now.get("version").asLong());
        form.put("facts", snap.get("facts"));
        assertThat(APP.put("/api/materials/" + id, form).status()).isEqualTo(200);
        assertThat(worth(id)).isEqualTo("10.00");
    }

    @Test
    void whatWasGivenCostsNothingWhateverItsPrice() {
        Map<String, Object> given = new HashMap<>(APP.cloth("From an aunt", "44 in", "9.00", "3 yd"));
        given.put("given", true);
        long id = APP.enter(given);
        assertThat(worth(id)).isEqualTo("0.00");
        assertThat(APP.get("/api/materials/" + id + "/movements")
                        .body()
                        .get("items")
                        .get(0)
                        .get("kind")
                        .asString())
                .isEqualTo("GIVEN");
    }

    @Test
    void whatWasBoughtForNothingStaysSo() {
        long id = APP.enter(APP.cloth("A free sample", "44 in", "", ""));
        Answer came = APP.post(
                "/api/materials/" + id + "/movements",
                Map.of("requestId", UUID.randomUUID(), "kind", "BOUGHT", "amount", "2 yd", "reason", "", "paid", "0"));
        assertThat(came.status()).as(came.body().toString()).isLessThan(300);
        price(id, "9.00", "1 yd");
        assertThat(worth(id)).isEqualTo("0.00");
    }

    @Test
    void aPriceIsForSomething() {
        Answer refused = APP.post("/api/materials", APP.material("NOTION", "Ring", "", "3.00", "", "10"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("pricePer")).isNotEmpty();
        assertThat(APP.post("/api/materials", APP.material("NOTION", "Ring", "", "", "", "10"))
                        .status())
                .isEqualTo(201);
    }
}
