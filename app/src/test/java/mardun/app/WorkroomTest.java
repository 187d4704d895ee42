package mardun.app;

import static mardun.app.RunningApp.JSON;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The contract of settings, materials, designs and batches, over HTTP and the real database. */
class WorkroomTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final Map<String, Long> SHELF = new LinkedHashMap<>();
    private static long design;

    @BeforeAll
    static void aWorkroom() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        shelf("outer", APP.cloth("Outer cloth", "43 in", "9,00", "6 yd"));
        shelf("lining", APP.cloth("Lining cloth", "44 in", "7.20", "6 yd"));
        shelf("interfacing", APP.cloth("Fusible", "90 cm", "4.50", "6 yd"));
        shelf("zip", APP.material("TRIM", "Zip tape", "", "1.80", "1 m", "20 yd"));
        shelf("slider", APP.material("NOTION", "Slider", "", "2.50", "10", "200"));
        shelf("label", APP.material("NOTION", "Label", "", "12.00", "50", "200"));
        Answer begun = APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "Test pouch"));
        assertThat(begun.status()).isEqualTo(201);
        design = begun.id();
    }

    private static void shelf(String slot, Map<String, Object> form) {
        Answer made = APP.post("/api/materials", form);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        SHELF.put(slot, made.id());
    }

    @Test
    void theNewDesignHasTheMakersUnitsAndSeam() {
        JsonNode stored = APP.get("/api/designs/" + design).body();
        assertThat(measurement(stored, "seam").get("values").get(0).asString()).isEqualTo("¼ in");
        JsonNode medium = stored.get("sheet").get("sizes").get(1);
        assertThat(medium.get("pieces")
                        .get(0)
                        .get("width")
                        .get("value")
                        .get("inch")
                        .asString())
                .isEqualTo("10 ½ in");
        assertThat(medium.get("finished")
                        .get("measures")
                        .get(1)
                        .get("figure")
                        .get("value")
                        .get("exact")
                        .asString())
                .isEqualTo("6 ¼ in");
        assertThat(medium.get("pieces")
                        .get(0)
                        .get("width")
                        .get("working")
                        .get("calculation")
                        .asString())
                .isEqualTo("7 ½ in + 2 ½ in + 2 × ¼ in");
    }

    @Test
    void aPreviewFollowsEveryEditAndStoresNothing() {
        ObjectNode document = document();
        setMeasurement(document, "width", "8");
        JsonNode sheet =
                APP.post("/api/designs/preview", Map.of("document", document)).body();
        assertThat(sheet.get("sizes")
                        .get(1)
                        .get("pieces")
                        .get(0)
                        .get("width")
                        .get("value")
                        .get("exact")
                        .asString())
                .isEqualTo("11 in");
        assertThat(measurement(APP.get("/api/designs/" + design).body(), "width")
                        .get("values")
                        .get(1)
                        .asString())
                .isEqualTo("7 1/2 in");
    }

    @Test
    void aPreviewOfWhatCannotBeSewnSaysSoAndKeepsTheRest() {
        ObjectNode document = document();
        setMeasurement(document, "depth", "1/4");
        JsonNode sheet =
                APP.post("/api/designs/preview", Map.of("document", document)).body();
        assertThat(sheet.get("canBeSewn").asBoolean()).isFalse();
        assertThat(sheet.get("sizes").get(1).get("findings").toString()).contains("it can't be sewn");
        assertThat(sheet.get("sizes").get(0).get("findings")).isEmpty();
    }

    @Test
    void savingWhatCannotBeSewnIsRefusedAndNothingChanges() {
        ObjectNode document = document();
        setMeasurement(document, "height", "minus two");
        Answer refused = APP.put("/api/designs/" + design, Map.of("version", version(), "document", document));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("measurements.height")).contains("medium").contains("minus two");
        document = document();
        ((ObjectNode) document.get("steps").get(0)).put("minutesPerUnit", "a while");
        refused = APP.put("/api/designs/" + design, Map.of("version", version(), "document", document));
        assertThat(refused.on("steps.0.minutesPerUnit")).contains("isn't a number");
    }

    @Test
    void theSecondTabThatSavesIsTold() {
        Answer begun = APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "Clash pouch"));
        JsonNode first = begun.body();
        ObjectNode mine = (ObjectNode) first.get("document").deepCopy();
        mine.put("name", "Clash pouch of mine");
        Map<String, Object> change = Map.of("version", first.get("version").asLong(), "document", mine);
        assertThat(APP.put("/api/designs/" + begun.id(), change).status()).isEqualTo(200);
        Answer clash = APP.put("/api/designs/" + begun.id(), change);
        assertThat(clash.status()).isEqualTo(409);
        assertThat(clash.detail()).contains("changed in another tab");
        long current = clash.body().get("currentVersion").asLong();
        assertThat(APP.put("/api/designs/" + begun.id(), Map.of("version", current, "document", mine))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void anAddressThatLacksSomethingOrSaysItWrongIsToldWhat() {
        Answer lacking = APP.get("/api/year/books");
        assertThat(lacking.status()).isEqualTo(400);
        assertThat(lacking.detail()).contains("“from”").contains("Add from=…");
        Answer notADay = APP.get("/api/year/books?from=spring");
        assertThat(notADay.status()).isEqualTo(400);
        assertThat(notADay.detail())
                .isEqualTo("The address says “spring” for “from”, which should be a day such as 2027-05-31.");
        assertThat(APP.get("/api/materials/felt").detail()).contains("“felt”").contains("a whole number");
        assertThat(APP.get("/api/logbook?kind=GOSSIP").detail())
                .contains("“GOSSIP”")
                .contains("one of ");
    }

    @Test
    void aDoubleClickMakesOneThing() {
        Map<String, Object> form = Map.of("requestId", UUID.randomUUID(), "name", "Twice clicked");
        assertThat(APP.post("/api/designs", form).id())
                .isEqualTo(APP.post("/api/designs", form).id());
        Answer again = APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "twice CLICKED"));
        assertThat(again.on("name")).contains("There is a design called “Twice clicked” already");
    }

    @Test
    void everySlipInAMaterialIsToldAtOnce() {
        Map<String, Object> form = new LinkedHashMap<>(APP.cloth("", "-3", "9.999", "x"));
        form.put("pricePer", "0");
        Answer refused = APP.post("/api/materials", form);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("name")).contains("This is empty");
        assertThat(refused.on("usableWidth")).contains("less than nothing");
        assertThat(refused.on("price")).contains("more decimals than EUR has coins");
        assertThat(refused.on("onHand")).contains("doesn't begin with a number");
        assertThat(refused.on("pricePer")).contains("A price is for something");
    }

    @Test
    void stockIsCorrectedByMovementsWithAReason() {
        long id = APP.post("/api/materials", APP.cloth("Moved cloth", "44 in", "9", "2 yd"))
                .id();
        String path = "/api/materials/" + id + "/movements";
        assertThat(APP.post(path, movement("COUNTED", "1.5 yd", "")).detail()).contains("Say why");
        assertThat(APP.post(path, movement("SPOILED", "3 yd", "moths")).status())
                .isEqualTo(201);
        assertThat(onHand(id)).isEqualTo("−1 yd");
        assertThat(APP.post(path, movement("COUNTED", "1 1/4 yd", "found the rest"))
                        .status())
                .isEqualTo(201);
        assertThat(onHand(id)).isEqualTo("1 yd 9 in");
        assertThat(APP.post(path, movement("USED", "2 yd", "")).detail())
                .contains("Only 1 yd 9 in of “Moved cloth” are on the shelf");
        JsonNode movements = APP.get(path).body().get("items");
        // entered, what was there of the spoiled, what wasn't, and counted
        assertThat(movements).hasSize(4);
        long sum = 0;
        for (JsonNode movement : movements) {
            sum += movement.get("change").get("value").asLong();
        }
        assertThat(sum)
                .isEqualTo(APP.get("/api/materials/" + id)
                        .body()
                        .get("onHand")
                        .get("value")
                        .asLong());
    }

    @Test
    void twoWhoTakeTheLastMetreAtOnceDoNotBothGetIt() throws Exception {
        long id = APP.post("/api/materials", APP.cloth("Last metre", "44 in", "9", "1 m"))
                .id();
        ExecutorService pool = Executors.newFixedThreadPool(8);
        List<Callable<Answer>> takers = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            takers.add(() -> APP.post("/api/materials/" + id + "/movements", movement("USED", "60 cm", "")));
        }
        int taken = 0;
        for (Future<Answer> answer : pool.invokeAll(takers)) {
            taken += answer.get().status() == 201 ? 1 : 0;
        }
        pool.shutdown();
        assertThat(taken).isEqualTo(1);
        assertThat(APP.get("/api/materials/" + id)
                        .body()
                        .get("onHand")
                        .get("value")
                        .asLong())
                .isEqualTo(400_000_000L);
    }

    @Test
    void aBatchGoesFromPlanToFinishedBags() {
        long cloth = SHELF.get("outer");
        long before = value(cloth);
        long slidersBefore = value(SHELF.get("slider"));
        Map<String, Object> form = batch("6", "");
        JsonNode preview = APP.post("/api/batches/preview", form).body();
        Answer made = APP.post("/api/batches", form);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        assertThat(made.body().get("sheet")).isEqualTo(preview);
        assertThat(APP.post("/api/batches", form).id()).isEqualTo(made.id());
        assertThat(value(cloth)).isEqualTo(before);

        long id = made.id();
        Answer tooEarly = APP.post("/api/batches/" + id + "/finish", RunningApp.finish(made.body(), "6"));
        assertThat(tooEarly.detail()).contains("must be cut first");
        Answer cut = APP.post("/api/batches/" + id + "/cut", stage(made, ""));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        long needed = need(made.body(), cloth).get("needed").get("value").asLong();
        assertThat(value(cloth)).isEqualTo(before - needed);
        assertThat(value(SHELF.get("slider"))).isEqualTo(slidersBefore);
        assertThat(APP.post("/api/batches/" + id + "/cut", stage(made, "")).detail())
                .isEqualTo("Batch " + id + " is cut already.");
        assertThat(value(cloth)).isEqualTo(before - needed);

        assertThat(APP.post("/api/batches/" + id + "/finish", RunningApp.finish(cut.body(), "7"))
                        .on("good"))
                .contains("is more than 6");
        Answer finished = APP.post("/api/batches/" + id + "/finish", RunningApp.finish(cut.body(), "5"));
        assertThat(finished.status()).isEqualTo(200);
        assertThat(value(SHELF.get("slider"))).isEqualTo(slidersBefore - 6);
        JsonNode goods = goodsOf(id);
        assertThat(goods.get("units").asInt()).isEqualTo(5);
        long fullCost = made.body()
                .get("sheet")
                .get("lines")
                .get(0)
                .get("ticket")
                .get("cost")
                .get("value")
                .get("minor")
                .asLong();
        assertThat(goods.get("unitCost").get("minor").asLong()).isEqualTo(Math.round(fullCost * 6 / 5.0));
        assertThat(APP.put("/api/batches/" + id, form).status()).isEqualTo(409);
    }

    @Test
    void aCutBatchKeepsItsFiguresWhateverChangesLater() {
        Answer made = APP.post("/api/batches", batch("2", "21.50"));
        Answer cut = APP.post("/api/batches/" + made.id() + "/cut", stage(made, ""));
        String before =
                cut.body().get("sheet").get("lines").get(0).get("ticket").toString();
        Map<String, Object> dearer = new LinkedHashMap<>(APP.cloth("Lining cloth", "44 in", "70.20", ""));
        dearer.put(
                "version",
                APP.get("/api/materials/" + SHELF.get("lining"))
                        .body()
                        .get("version")
                        .asLong());
        assertThat(APP.put("/api/materials/" + SHELF.get("lining"), dearer).status())
                .isEqualTo(200);
        ObjectNode document = document();
        setMeasurement(document, "height", "7 in");
        assertThat(APP.put("/api/designs/" + design, Map.of("version", version(), "document", document))
                        .status())
                .isEqualTo(200);
        assertThat(APP.get("/api/batches/" + made.id())
                        .body()
                        .get("sheet")
                        .get("lines")
                        .get(0)
                        .get("ticket")
                        .toString())
                .isEqualTo(before);
        setMeasurement(document, "height", "6 1/4 in");
        APP.put("/api/designs/" + design, Map.of("version", version(), "document", document));
        dearer.put("price", "7.20");
        dearer.put(
                "version",
                APP.get("/api/materials/" + SHELF.get("lining"))
                        .body()
                        .get("version")
                        .asLong());
        APP.put("/api/materials/" + SHELF.get("lining"), dearer);
    }

    @Test
    void cuttingMoreThanTheShelfHoldsNeedsAReason() {
        Answer made = APP.post("/api/batches", batch("400", ""));
        JsonNode need = need(made.body(), SHELF.get("outer"));
        assertThat(need.has("shortBy")).isTrue();
        assertThat(APP.get("/api/bench").body().get("shortages").toString()).contains("Outer cloth");
        List<Long> before = SHELF.values().stream().map(WorkroomTest::value).toList();
        Answer refused = APP.post("/api/batches/" + made.id() + "/cut", stage(made, ""));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("give a reason");
        assertThat(SHELF.values().stream().map(WorkroomTest::value).toList())
                .as("all or nothing")
                .isEqualTo(before);
        assertThat(APP.delete("/api/batches/" + made.id() + "?version="
                                + made.body().get("version"))
                        .status())
                .isEqualTo(204);
    }

    @Test
    void aSizeThatTheDesignHasntAndAnotherDesignAreRefused() {
        Map<String, Object> form = new HashMap<>(batch("3", ""));
        RunningApp.line(form).put("sizeName", "colossal");
        for (String path : List.of("/api/batches", "/api/batches/preview")) {
            Answer refused = APP.post(path, form);
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.on("sizeName")).contains("has no size “colossal”; it has small, medium");
        }
        Answer made = APP.post("/api/batches", batch("3", ""));
        Answer other = APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "Another pouch"));
        assertThat(other.status()).as(other.body().toString()).isEqualTo(201);
        RunningApp.line(form).put("sizeName", "small");
        RunningApp.line(form).put("designId", other.id());
        RunningApp.line(form).put("number", 1);
        form.put("version", made.body().get("version").asLong());
        Answer refused = APP.put("/api/batches/" + made.id(), form);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("is of another design").contains("stays so");
        JsonNode stored = APP.get("/api/batches/" + made.id()).body();
        assertThat(stored.get("lines").get(0).get("designId").asLong()).isEqualTo(design);
        APP.delete("/api/batches/" + made.id() + "?version=" + stored.get("version"));
    }

    @Test
    void aBatchOfAbsurdSizeIsRefused() {
        assertThat(APP.post("/api/batches", batch("0", "")).on("units")).contains("is less than 1");
        assertThat(APP.post("/api/batches", batch("-3", "")).on("units")).contains("is less than 1");
        assertThat(APP.post("/api/batches", batch("1e9", "")).on("units")).contains("isn't a number");
        assertThat(APP.post("/api/batches", batch("99999999", "")).on("units")).contains("is more than 5000");
        assertThat(APP.post("/api/batches/preview", batch("2.5", "")).on("units"))
                .contains("isn't a whole number");
        assertThat(APP.post("/api/batches", batch("3", "a lot")).on("ownPrice")).contains("isn't a number");
    }

    @Test
    void settingsAreReadWithDecimalCommasAndRefusedWithReasons() {
        ObjectNode form = APP.settings("INCH");
        form.put("usualSeam", "0").put("currency", "gold").put("hourlyRate", "-1");
        Answer refused = APP.put("/api/settings", form);
        assertThat(refused.on("usualSeam")).contains("is nothing");
        assertThat(refused.on("currency")).contains("isn't a currency's code");
        assertThat(refused.on("hourlyRate")).contains("is less than 0");
        form = APP.settings("INCH");
        form.put("currency", "JPY");
        assertThat(APP.put("/api/settings", form).on("currency")).contains("other coins");
        assertThat(APP.get("/api/settings").body().get("hourlyRate").asString()).isEqualTo("18.00");
    }

    @Test
    void minutesToChangeAMachineAreReadToTheSecondAndRefusedWithReasons() {
        ObjectNode form = APP.settings("INCH");
        ObjectNode changes = (ObjectNode) form.get("changes");
        assertThat(changes.get("foot").asString()).isEqualTo("0.8");
        changes.put("needle", "-2").put("thread", "soon").put("foot", "61").put("walk", "");
        Answer refused = APP.put("/api/settings", form);
        assertThat(refused.on("changes.needle")).contains("is less than 0");
        assertThat(refused.on("changes.thread")).contains("“soon”");
        assertThat(refused.on("changes.foot")).contains("is more than 60");
        assertThat(refused.on("changes.walk")).isNotEmpty();
        changes.put("needle", "2,25").put("thread", "1.5").put("foot", "0").put("walk", "0,4");
        Answer saved = APP.put("/api/settings", form);
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        assertThat(saved.body().get("changes").get("needle").asString()).isEqualTo("2.25");
        assertThat(saved.body().get("changes").get("foot").asString()).isEqualTo("0");
    }

    @Test
    void aMeasureIsReadBackInBothUnits() {
        JsonNode read = APP.get("/api/measures?text=13%201/2").body();
        assertThat(read.get("inch").asString()).isEqualTo("13 ½ in");
        assertThat(read.get("metric").asString()).isEqualTo("≈ 34.3 cm");
        assertThat(APP.get("/api/measures?text=13%20qm").detail())
                .contains("“13 qm”")
                .contains("Units are");
    }

    @Test
    void aFairIsPinnedToTheTape() {
        Map<String, Object> far = Map.of("requestId", UUID.randomUUID(), "name", "Far fair", "heldOn", "2091-01-01");
        assertThat(APP.post("/api/fairs", far).on("heldOn")).contains("This is years away");
        String soon = LocalDate.now().plusDays(3).toString();
        Answer made =
                APP.post("/api/fairs", Map.of("requestId", UUID.randomUUID(), "name", "Mill yard", "heldOn", soon));
        assertThat(APP.get("/api/bench").body().get("tape").get("pins").toString())
                .contains("Mill yard");
        APP.delete("/api/fairs/" + made.id());
        assertThat(APP.get("/api/bench").body().get("tape").get("pins").toString())
                .doesNotContain("Mill yard");
    }

    private static ObjectNode document() {
        return (ObjectNode) APP.get("/api/designs/" + design).body().get("document");
    }

    private static long version() {
        return APP.get("/api/designs/" + design).body().get("version").asLong();
    }

    private static JsonNode measurement(JsonNode stored, String symbol) {
        for (JsonNode row : stored.get("document").get("measurements")) {
            if (row.get("symbol").asString().equals(symbol)) {
                return row;
            }
        }
        throw new AssertionError("no measurement " + symbol);
    }

    private static void setMeasurement(ObjectNode document, String symbol, String value) {
        for (JsonNode row : document.get("measurements")) {
            if (row.get("symbol").asString().equals(symbol)) {
                ArrayNode values = (ArrayNode) row.get("values");
                values.set(values.size() - 1, JSON.getNodeFactory().stringNode(value));
            }
        }
    }

    private static Map<String, Object> movement(String kind, String amount, String reason) {
        return Map.of("requestId", UUID.randomUUID(), "kind", kind, "amount", amount, "reason", reason);
    }

    private static Map<String, Object> batch(String units, String ownPrice) {
        List<Map<String, Object>> materials = SHELF.entrySet().stream()
                .map(slot -> Map.<String, Object>of("slot", slot.getKey(), "materialId", slot.getValue()))
                .toList();
        return RunningApp.oneLine(Map.of(
                "requestId",
                UUID.randomUUID(),
                "version",
                0,
                "designId",
                design,
                "sizeName",
                "medium",
                "units",
                units,
                "materials",
                materials,
                "ownPrice",
                ownPrice,
                "forWhat",
                ""));
    }

    private static Map<String, Object> stage(Answer batch, String reason) {
        return Map.of("version", batch.body().get("version").asLong(), "reason", reason);
    }

    private static JsonNode need(JsonNode batch, long materialId) {
        for (JsonNode need : batch.get("sheet").get("needs")) {
            if (need.get("materialId").asLong() == materialId) {
                return need;
            }
        }
        throw new AssertionError("no need of " + materialId);
    }

    private static JsonNode goodsOf(long batchId) {
        for (JsonNode goods : APP.get("/api/finished-goods").body().get("page").get("items")) {
            if (goods.get("batchId").asLong() == batchId) {
                return goods;
            }
        }
        throw new AssertionError("no goods of batch " + batchId);
    }

    private static long value(long materialId) {
        return APP.get("/api/materials/" + materialId)
                .body()
                .get("onHand")
                .get("value")
                .asLong();
    }

    private static String onHand(long materialId) {
        return APP.get("/api/materials/" + materialId)
                .body()
                .get("onHand")
                .get("length")
                .get("inch")
                .asString();
    }
}
