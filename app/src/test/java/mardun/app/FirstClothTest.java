package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What lies on the shelf before the workroom begins: of unknown price, given, or by the sheet. */
class FirstClothTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final Map<String, Long> SHELF = new LinkedHashMap<>();

    @BeforeAll
    static void aWorkroomInInches() {
        ObjectNode settings = APP.settings("INCH");
        ((ObjectNode) settings.get("shelf")).put("givenCostsNothing", true).put("valueSchool", "FIRST_IN_FIRST_OUT");
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
        assertThat(isDone("MATERIALS")).isFalse();
        APP.enter(APP.cloth("The very first", "44 in", "", "3 yd"));
        assertThat(isDone("MATERIALS")).as("one cloth is enough").isTrue();
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

    private static Map<String, Object> sheets(String name, String width, String height, String price, String onHand) {
        Map<String, Object> form = new HashMap<>(APP.material("SHEET", name, width, price, "1", onHand));
        form.put("sheetHeight", height);
        return form;
    }

    private static Map<String, Long> shelf() {
        if (SHELF.isEmpty()) {
            SHELF.putAll(APP.pouchShelf("9 yd"));
        }
        return new LinkedHashMap<>(SHELF);
    }

    @Test
    void whatIsBoughtByTheSheetHasAPriceAndAPackOfItsOwn() {
        long felt = APP.enter(sheets("Felt sheets", "11 in", "8 in", "0.80", "30"));
        assertThat(worth(felt)).isEqualTo("24.00");
        Map<String, Long> shelf = shelf();
        shelf.put("outer", felt);
        long design = APP.pouch("Of felt");
        Answer planned = APP.post("/api/batches", RunningApp.batch(design, "20", shelf, List.of()));
        assertThat(planned.status()).as(planned.body().toString()).isEqualTo(201);
        JsonNode need = planned.body()
                .get("sheet")
                .get("needs")
                .valueStream()
                .filter(one -> one.get("materialId").asLong() == felt)
                .findFirst()
                .orElseThrow();
        long sheets = need.get("needed").get("count").asLong();
        assertThat(sheets).isGreaterThan(30);
        assertThat(need.get("shortBy").get("count").asLong()).isEqualTo(sheets - 30);
        assertThat(need.get("kind").asString()).isEqualTo("SHEET");

        assertThat(APP.get("/api/buying").body().get("nowhere").valueStream()).anySatisfy(want -> {
            assertThat(want.get("materialId").asLong()).isEqualTo(felt);
            assertThat(want.get("toBuy").get("count").asLong()).isEqualTo(sheets - 30);
        });

        Answer came = APP.post(
                "/api/materials/" + felt + "/movements",
                Map.of(
                        "requestId", UUID.randomUUID(),
                        "kind", "BOUGHT",
                        "amount", Long.toString(sheets - 30),
                        "reason", "",
                        "paid", "5.00"));
        assertThat(came.status()).as(came.body().toString()).isLessThan(300);
        JsonNode now = APP.get("/api/batches/" + planned.id()).body();
        Answer cut = APP.post(
                "/api/batches/" + planned.id() + "/cut",
                Map.of(
                        "version", now.get("version").asLong(),
                        "mark", now.get("sheet").get("mark").asString(),
                        "reason", "",
                        "keep", List.of()));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        assertThat(APP.get("/api/materials/" + felt)
                        .body()
                        .get("onHand")
                        .get("count")
                        .asLong())
                .isZero();
    }

    @Test
    void whatIsBoughtByTheSheetIsLaidOutAndCutFromSheets() throws InterruptedException {
        long felt = APP.enter(sheets("Large felt", "18 in", "12 in", "2.00", "200"));
        Map<String, Long> shelf = shelf();
        shelf.put("outer", felt);
        long batch = APP.post("/api/batches", RunningApp.batch(APP.pouch("Of large felt"), "20", shelf, List.of()))
                .id();
        String path = "/api/batches/" + batch + "/cutting";
        JsonNode before = feltIn(APP.get(path).body(), felt);
        assertThat(before.get("bySheet").asBoolean()).isTrue();
        long byPencil = before.get("needed").get("count").asLong();

        APP.post(path + "/search", Map.of("aim", "MONEY", "seconds", 0.2, "fromOffcuts", true));
        while (APP.get(path + "/search").body().get("running").asBoolean()) {
            Thread.sleep(20);
        }
        JsonNode laid = feltIn(APP.get(path).body(), felt);
        long sheets = laid.get("mats").size();
        assertThat(sheets).isPositive().isLessThanOrEqualTo(byPencil);
        assertThat(laid.get("needed").get("count").asLong()).isEqualTo(sheets);
        assertThat(laid.get("mats").get(0).get("title").asString()).isEqualTo("Sheet 1 of " + sheets);
        assertThat(laid.get("bill").get("cloth").get("amount").asString()).isEqualTo(2 * sheets + ".00");
        assertThat(laid.get("bill").get("kept").asLong()).isZero();
        assertThat(laid.get("aims"))
                .hasSize(4)
                .allSatisfy(aim -> assertThat(aim.get("sheets").asLong()).isGreaterThanOrEqualTo(sheets));
        assertThat(APP.post(path + "/what-if", whatIf(felt)).detail()).contains("bought by the sheet");
        assertThat(APP.text(path + "/" + felt + "/drawing")).contains("<svg");
        JsonNode file = APP.get(path + "/" + felt + "/layout").body();
        assertThat(APP.put(path + "/" + felt + "/layout", file).status()).isEqualTo(200);

        String letter = laid.get("pieces").get(0).get("letter").asString();
        Answer again = APP.post(
                path + "/spoiled",
                Map.of("requestId", UUID.randomUUID(), "materialId", felt, "letter", letter, "count", "3"));
        assertThat(again.status()).as(again.body().toString()).isEqualTo(200);
        long withSpoiled = feltIn(again.body(), felt).get("mats").size();
        assertThat(withSpoiled).isGreaterThanOrEqualTo(sheets);
        JsonNode now = APP.get("/api/batches/" + batch).body();
        assertThat(now.get("sheet").get("needs").valueStream())
                .filteredOn(need -> need.get("materialId").asLong() == felt)
                .allSatisfy(need ->
                        assertThat(need.get("needed").get("count").asLong()).isEqualTo(withSpoiled));
        Answer cut = APP.post(
                "/api/batches/" + batch + "/cut",
                Map.of(
                        "version", now.get("version").asLong(),
                        "mark", now.get("sheet").get("mark").asString(),
                        "reason", "",
                        "keep", List.of()));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        assertThat(APP.get("/api/materials/" + felt)
                        .body()
                        .get("onHand")
                        .get("count")
                        .asLong())
                .isEqualTo(200 - withSpoiled);
        assertThat(feltIn(APP.get(path).body(), felt).get("mats")).hasSize((int) withSpoiled);
    }

    private static JsonNode feltIn(JsonNode cutting, long felt) {
        return cutting.get("cloths")
                .valueStream()
                .filter(cloth -> cloth.get("materialId").asLong() == felt)
                .findFirst()
                .orElseThrow();
    }

    private static Map<String, Object> whatIf(long material) {
        return Map.of("materialId", material, "width", "", "fewer", 1, "turned", false, "more", "");
    }

    @Test
    void aSheetHasTwoSides() {
        Answer refused = APP.post("/api/materials", sheets("Half said", "11 in", "", "0.80", "30"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("sheetHeight")).isNotEmpty();
    }
}
