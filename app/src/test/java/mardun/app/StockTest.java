package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Lots, deliveries, reservations, offcuts, stock-takes and the shelf's worth, over HTTP and the real database. */
class StockTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long shop;
    private static long design;
    private static final Map<String, Long> SHELF = new LinkedHashMap<>();

    @BeforeAll
    static void aWorkroom() {
        school("FIRST_IN_FIRST_OUT");
        shop = APP.post(
                        "/api/suppliers",
                        Map.of("requestId", UUID.randomUUID(), "version", 0, "name", "A shop", "postage", "3.90"))
                .id();
        SHELF.putAll(APP.pouchShelf("100 yd"));
        design = APP.pouch("Test pouch");
    }

    private static void school(String school) {
        ObjectNode settings = APP.settings("INCH");
        ((ObjectNode) settings.get("shelf"))
                .put("valueSchool", school)
                .put("offcutShort", "2 in")
                .put("offcutLong", "6 in");
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
    }

    static Map<String, Object> with(Map<String, Object> form, Map<String, Object> facts) {
        Map<String, Object> all = new HashMap<>(form);
        Map<String, Object> said = new HashMap<>();
        for (String text : List.of(
                "fullWidth",
                "selvage",
                "fibre",
                "repeat",
                "shrinkage",
                "layersAtOnce",
                "needle",
                "care",
                "zipLength",
                "usePerHour",
                "target",
                "place")) {
            said.put(text, "");
        }
        for (String flag : List.of("nap", "shrinksAfterCutting", "oneDyeLot", "twoPart", "zipMetal")) {
            said.put(flag, false);
        }
        said.put("print", "PLAIN");
        said.putAll(facts);
        all.put("facts", said);
        return all;
    }

    private static Map<String, Object> line(long material, String packs, String content, String price, String dye) {
        return new HashMap<>(Map.of(
                "materialId",
                material,
                "packs",
                packs,
                "content",
                content,
                "price",
                price,
                "dyeLot",
                dye,
                "place",
                "",
                "measuredWidth",
                "",
                "pieceWidth",
                "",
                "pieceHeight",
                ""));
    }

    private static Map<String, Object> delivery(String number, String postage, String total, List<?> lines) {
        return Map.of(
                "requestId", UUID.randomUUID(),
                "supplierId", shop,
                "paperNumber", number,
                "cameOn", LocalDate.now().toString(),
                "postage", postage,
                "duty", "",
                "total", total,
                "lines", lines);
    }

    private static Map<String, Object> movement(String kind, String amount, String reason) {
        return new HashMap<>(Map.of("requestId", UUID.randomUUID(), "kind", kind, "amount", amount, "reason", reason));
    }

    private static Answer move(long material, String kind, String amount, String reason) {
        return APP.post("/api/materials/" + material + "/movements", movement(kind, amount, reason));
    }

    private static Map<String, Object> batch(String units, Map<String, Long> shelf, List<Long> offcuts) {
        return RunningApp.batch(design, units, shelf, offcuts);
    }

    private static Map<String, Long> shelfWith(String slot, long material) {
        Map<String, Long> shelf = new LinkedHashMap<>(SHELF);
        shelf.put(slot, material);
        return shelf;
    }

    private static Answer planned(String units, Map<String, Long> shelf) {
        Answer made = APP.post("/api/batches", batch(units, shelf, List.of()));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made;
    }

    private static JsonNode need(JsonNode batch, long material) {
        for (JsonNode need : batch.get("sheet").get("needs")) {
            if (need.get("materialId").asLong() == material) {
                return need;
            }
        }
        throw new AssertionError("no need of " + material);
    }

    private static JsonNode shelf(long material) {
        return APP.get("/api/materials/" + material + "/shelf").body();
    }

    private static long worth(long material) {
        return shelf(material).get("worth").get("minor").asLong();
    }

    private static Answer reserve(Answer batch) {
        return hold(batch, "reserve");
    }

    private static Answer release(Answer batch) {
        return hold(batch, "release");
    }

    private static Answer hold(Answer batch, String what) {
        long version =
                APP.get("/api/batches/" + batch.id()).body().get("version").asLong();
        return APP.post("/api/batches/" + batch.id() + "/" + what, Map.of("version", version));
    }

    private static long heldOf(long material) {
        return APP.get("/api/materials/" + material)
                .body()
                .get("held")
                .get("value")
                .asLong();
    }

    @Test
    void aHoldFollowsThePlanAndEndsWithIt() {
        long first = APP.enter(APP.cloth("Held first", "44 in", "9.00", "6 yd"));
        long second = APP.enter(APP.cloth("Held second", "44 in", "9.00", "6 yd"));
        Answer made = planned("4", shelfWith("outer", first));
        long labels = heldOf(SHELF.get("label"));
        assertThat(reserve(made).status()).isEqualTo(200);
        assertThat(heldOf(first)).isPositive();
        Map<String, Object> changed = batch("4", shelfWith("outer", second), List.of());
        changed.put("version", made.body().get("version").asLong());
        Answer after = APP.put("/api/batches/" + made.id(), changed);
        assertThat(after.status()).as(after.body().toString()).isEqualTo(200);
        assertThat(heldOf(first)).isZero();
        assertThat(heldOf(second))
                .isEqualTo(need(after.body(), second).get("needed").get("value").asLong());
        Answer stale = APP.post("/api/batches/" + made.id() + "/reserve", Map.of("version", 0));
        assertThat(stale.status()).isEqualTo(409);
        long version = after.body().get("version").asLong();
        Answer cut = APP.post("/api/batches/" + made.id() + "/cut", Map.of("version", version, "reason", ""));
        assertThat(heldOf(second)).isZero();
        assertThat(heldOf(SHELF.get("label"))).isEqualTo(labels + 4);
        APP.post("/api/batches/" + made.id() + "/finish", RunningApp.finish(cut.body(), "4"));
        assertThat(heldOf(SHELF.get("label"))).isEqualTo(labels);
        assertThat(reserve(made).detail()).contains("is finished already");
    }

    @Test
    void keptOffcutsAreNeverWorthMoreThanTheirCloth() {
        long cloth = APP.enter(APP.cloth("Kept whole", "44 in", "9.00", "6 yd"));
        Answer made = planned("4", shelfWith("outer", cloth));
        long version = made.body().get("version").asLong();
        Map<String, Object> large =
                Map.of("materialId", cloth, "width", "40 in", "height", "20 in", "count", "2", "place", "");
        Answer refused = APP.post(
                "/api/batches/" + made.id() + "/cut", Map.of("version", version, "reason", "", "keep", List.of(large)));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("There can't be 2 of 40 in × 20 in left of “Kept whole”");
        assertThat(shelf(cloth).get("lots")).hasSize(1);
    }

    @Test
    void anOffcutOfGivenClothIsGivenAndOfItsDyeLot() {
        long cloth = APP.enter(APP.cloth("Given away", "44 in", "9.00", ""));
        Map<String, Object> given = movement("GIVEN", "6 yd", "");
        given.put("dyeLot", "0815");
        APP.post("/api/materials/" + cloth + "/movements", given);
        for (String school : List.of("FIRST_IN_FIRST_OUT", "MOVING_AVERAGE", "REPLACEMENT")) {
            school(school);
            ObjectNode settings = APP.settings("INCH");
            ((ObjectNode) settings.get("shelf")).put("givenCostsNothing", true);
            APP.put("/api/settings", settings);
            Answer made = planned("4", shelfWith("outer", cloth));
            Map<String, Object> small =
                    Map.of("materialId", cloth, "width", "8 in", "height", "6 in", "count", "1", "place", "");
            Answer cut = APP.post(
                    "/api/batches/" + made.id() + "/cut",
                    Map.of("version", made.body().get("version").asLong(), "reason", "", "keep", List.of(small)));
            assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
            for (JsonNode line :
                    cut.body().get("sheet").get("lines").get(0).get("ticket").get("lines")) {
                assertThat(line.get("cost").get("value").get("minor").asLong())
                        .as("%s, %s", school, line.get("name"))
                        .isNotNegative();
            }
            JsonNode offcut = shelf(cloth).get("lots").get(1);
            assertThat(offcut.get("origin").asString()).isEqualTo("OFFCUT_KEPT");
            assertThat(offcut.get("dyeLot").asString()).isEqualTo("0815");
            assertThat(worth(cloth)).isZero();
        }
        ObjectNode settings = APP.settings("INCH");
        ((ObjectNode) settings.get("shelf")).put("givenCostsNothing", false);
        APP.put("/api/settings", settings);
        school("FIRST_IN_FIRST_OUT");
    }

    @Test
    void whatABagCostIsTheSameEverywhereOnceSomeAreSpoiled() {
        Answer made = planned("12", SHELF);
        Answer cut = APP.post(
                "/api/batches/" + made.id() + "/cut",
                Map.of("version", made.body().get("version").asLong(), "reason", ""));
        assertThat(cut.body()
                        .get("lines")
                        .get(0)
                        .get("plannedCost")
                        .get("amount")
                        .asString())
                .isEqualTo(cost(made.body()));
        Answer finished = APP.post("/api/batches/" + made.id() + "/finish", RunningApp.finish(cut.body(), "11"));
        JsonNode ticket = finished.body().get("sheet").get("lines").get(0).get("ticket");
        String each = cost(finished.body());
        assertThat(each).isNotEqualTo(cost(cut.body()));
        assertThat(ticket.get("good").asInt()).isEqualTo(11);
        assertThat(ticket.get("spoiled").get("working").get("rule").asString())
                .contains("bear what the spoiled ones took");
        assertThat(finished.body()
                        .get("lines")
                        .get(0)
                        .get("plannedCost")
                        .get("amount")
                        .asString())
                .isEqualTo(cost(made.body()));
        JsonNode line = APP.get("/api/batches").body().get("items").get(0);
        assertThat(line.get("id").asLong()).isEqualTo(made.id());
        assertThat(line.get("cost").get("amount").asString()).isEqualTo(each);
        assertThat(line.get("perHour").get("amount").asString())
                .isEqualTo(ticket.get("perHour").get("value").get("amount").asString());
        JsonNode goods = APP.get("/api/finished-goods?query=test%20pouch")
                .body()
                .get("page")
                .get("items")
                .get(0);
        assertThat(goods.get("batchId").asLong()).isEqualTo(made.id());
        assertThat(goods.get("unitCost").get("amount").asString()).isEqualTo(each);
    }

    @Test
    void aDeliveryIsEnteredInOneGoAndItsTotalHasToAddUp() {
        long ring = APP.enter(APP.material("NOTION", "Ring", "", "2.00", "10", ""));
        long twill = APP.enter(APP.cloth("Twill", "44 in", "9.00", ""));
        List<Map<String, Object>> lines =
                List.of(line(ring, "3", "10", "6,00", ""), line(twill, "2", "1/2 yd", "12.00", "0412"));
        Answer wrong = APP.post("/api/deliveries", delivery("R-1", "3.60", "23.60", lines));
        assertThat(wrong.on("total"))
                .isEqualTo(
                        "The paper says 23.60, and the lines with postage and duty add up to 21.60: 2.00 are missing."
                                + " Look for the line that differs.");
        assertThat(shelf(ring).get("lots")).isEmpty();
        JsonNode sum = APP.post("/api/deliveries/sum", delivery("R-1", "3.60", "", lines))
                .body();
        assertThat(sum.get("sum").get("amount").asString()).isEqualTo("21.60");

        Answer right = APP.post("/api/deliveries", delivery("R-1", "3.60", "21.60", lines));
        assertThat(right.status()).as(right.body().toString()).isEqualTo(201);
        JsonNode lot = shelf(twill).get("lots").get(0);
        assertThat(lot.get("soldAs").asString()).isEqualTo("2 × 1/2 yd");
        assertThat(lot.get("quantity").get("exact").asString()).isEqualTo("1 yd");
        assertThat(lot.get("worth").get("amount").asString()).isEqualTo("14.40");
        assertThat(lot.get("extra").get("amount").asString()).isEqualTo("2.40");
        assertThat(lot.get("dyeLot").asString()).isEqualTo("0412");
        assertThat(worth(ring)).isEqualTo(720);
        assertThat(APP.post("/api/deliveries", delivery("R-1", "3.60", "21.60", lines))
                        .on("paperNumber"))
                .contains("is entered already");
    }

    @Test
    void whatIsUsedCostsWhatWasPaidForTheOldestAndAPastDayKnowsNothingOfIt() {
        long bead = APP.enter(APP.material("NOTION", "Bead", "", "3.00", "10", ""));
        APP.post("/api/deliveries", delivery("", "", "1.00", List.of(line(bead, "1", "10", "1.00", ""))));
        Map<String, Object> second = movement("BOUGHT", "10", "");
        second.put("paid", "2.00");
        APP.post("/api/materials/" + bead + "/movements", second);
        move(bead, "USED", "15", "");
        assertThat(worth(bead)).isEqualTo(100);
        school("MOVING_AVERAGE");
        assertThat(worth(bead)).isEqualTo(75);
        school("REPLACEMENT");
        assertThat(worth(bead)).isEqualTo(150);
        school("FIRST_IN_FIRST_OUT");
        JsonNode yesterday = APP.get("/api/materials/" + bead + "/shelf?on="
                        + LocalDate.now().minusDays(1))
                .body();
        assertThat(yesterday.get("onHand").get("value").asLong()).isZero();
        assertThat(yesterday.get("worth").get("minor").asLong()).isZero();
    }

    @Test
    void theShelfsWorthIsASheetForTheTaxYear() {
        APP.enter(APP.material("NOTION", "=Counted snap", "", "5.00", "10", "30"));
        JsonNode value = APP.get("/api/stock-value").body();
        long byKind = 0;
        for (JsonNode kind : value.get("kinds")) {
            byKind += kind.get("worth").get("minor").asLong();
        }
        long byLine = 0;
        for (JsonNode one : value.get("lines")) {
            byLine += one.get("worth").get("minor").asLong()
                    + one.get("worthOfPieces").get("minor").asLong();
        }
        assertThat(value.get("total").get("minor").asLong()).isEqualTo(byKind).isEqualTo(byLine);
        String csv = APP.text("/api/stock-value.csv?on=" + LocalDate.now());
        assertThat(csv).contains("'=Counted snap,30,0,15.00,EUR,\"first in, first out\"");
        assertThat(csv).contains("everything,all together");
    }

    @Test
    void halvesAreBoughtAsSetsAndCountedApart() {
        long snap = APP.enter(with(APP.material("NOTION", "Snap", "", "5.00", "50", "20"), Map.of("twoPart", true)));
        Map<String, Object> studs = movement("USED", "6", "");
        studs.put("part", "STUD");
        APP.post("/api/materials/" + snap + "/movements", studs);
        JsonNode view = APP.get("/api/materials/" + snap).body();
        assertThat(view.get("onHand").get("count").asLong()).isEqualTo(14);
        assertThat(view.get("parts").get(0).get("onHand").get("count").asLong()).isEqualTo(20);
        assertThat(view.get("parts").get(1).get("onHand").get("count").asLong()).isEqualTo(14);
        // twenty sockets and fourteen studs at half of 0.10 each
        assertThat(worth(snap)).isEqualTo(170);
    }

    @Test
    void twoWhoReserveTheLastMetreAtOnceDoNotBothGetIt() throws Exception {
        long scarce = APP.enter(APP.cloth("Scarce", "44 in", "9.00", "1 yd"));
        List<Answer> batches = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            batches.add(planned("6", shelfWith("outer", scarce)));
        }
        ExecutorService pool = Executors.newFixedThreadPool(6);
        List<Callable<Answer>> reserving = batches.stream()
                .<Callable<Answer>>map(one -> () -> reserve(one))
                .toList();
        long held = 0;
        for (var answer : pool.invokeAll(reserving)) {
            assertThat(answer.get().status()).isEqualTo(200);
            held += need(answer.get().body().get("batch"), scarce)
                    .get("held")
                    .get("value")
                    .asLong();
        }
        pool.shutdown();
        long yard = 914_400_000L;
        assertThat(held).isLessThanOrEqualTo(yard);
        assertThat(APP.get("/api/materials/" + scarce)
                        .body()
                        .get("held")
                        .get("value")
                        .asLong())
                .isEqualTo(yard);
        assertThat(APP.get("/api/materials/" + scarce)
                        .body()
                        .get("free")
                        .get("value")
                        .asLong())
                .isZero();
    }

    @Test
    void aClashSaysWhichBatchGoesShortAndByHowMuch() {
        long cloth = APP.enter(APP.cloth("Wanted twice", "44 in", "9.00", "1 1/2 yd"));
        Answer first = planned("8", shelfWith("outer", cloth));
        Answer second = planned("8", shelfWith("outer", cloth));
        reserve(second);
        JsonNode seen = need(APP.get("/api/batches/" + first.id()).body(), cloth);
        assertThat(seen.get("heldForOthers").get("value").asLong())
                .isEqualTo(need(second.body(), cloth).get("needed").get("value").asLong());
        assertThat(seen.get("shortBy")).isNotNull();
        JsonNode clash = null;
        for (JsonNode line : APP.get("/api/bench").body().get("shortages")) {
            clash = line.get("materialId").asLong() == cloth ? line : clash;
        }
        assertThat(clash.get("batches")).hasSize(1);
        assertThat(clash.get("batches").get(0).get("batchId").asLong()).isEqualTo(first.id());
        assertThat(clash.get("batches").get(0).get("shortBy").get("value").asLong())
                .isEqualTo(seen.get("shortBy").get("value").asLong())
                .isEqualTo(clash.get("shortBy").get("value").asLong());
        Answer taken = move(cloth, "USED", "1 1/2 yd", "");
        assertThat(taken.detail()).contains("are held for batch " + second.id());
        assertThat(release(second).status()).isEqualTo(200);
        assertThat(move(cloth, "USED", "1 1/2 yd", "").status()).isEqualTo(201);
    }

    @Test
    void aLotOfAnotherMaterialIsRefused() {
        long one = APP.enter(APP.material("NOTION", "Toggle", "", "1.00", "10", "40"));
        long other = APP.enter(APP.material("NOTION", "Buckle", "", "1.00", "10", "40"));
        long lot = shelf(other).get("lots").get(0).get("id").asLong();
        Map<String, Object> used = movement("USED", "5", "");
        used.put("lotId", lot);
        Answer refused = APP.post("/api/materials/" + one + "/movements", used);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("is one of “Buckle”, not of “Toggle”");
        for (long material : List.of(one, other)) {
            assertThat(shelf(material)
                            .get("lots")
                            .get(0)
                            .get("left")
                            .get("count")
                            .asLong())
                    .isEqualTo(40);
        }
    }

    @Test
    void allOfABatchComesFromOneDyeLot() {
        long dyed = APP.enter(with(APP.cloth("Dyed", "44 in", "9.00", ""), Map.of("oneDyeLot", true)));
        APP.post(
                "/api/deliveries",
                delivery(
                        "",
                        "",
                        "40.00",
                        List.of(line(dyed, "1", "1 yd", "10.00", "A"), line(dyed, "1", "3 yd", "30.00", "B"))));
        Answer small = planned("3", shelfWith("outer", dyed));
        Answer large = planned("30", shelfWith("outer", dyed));
        JsonNode reserved = reserve(large).body();
        assertThat(reserved.get("missing").get(0).asString())
                .contains("No one dye lot of “Dyed” has")
                .contains("the largest has 3 yd");
        Map<String, Object> stage =
                new HashMap<>(Map.of("version", large.body().get("version").asLong(), "reason", ""));
        Answer mixed = APP.post("/api/batches/" + large.id() + "/cut", stage);
        assertThat(mixed.detail()).contains("say why dyes may be mixed");
        reserve(small);
        JsonNode lots = shelf(dyed).get("lots");
        assertThat(lots.get(0).get("dyeLot").asString()).isEqualTo("A");
        assertThat(lots.get(0).get("held").get("value").asLong()).isPositive();
        assertThat(lots.get(1).get("held").get("value").asLong()).isZero();
    }

    @Test
    void cuttingProposesWhatToKeepAndPlanningUsesItFirst() {
        long cloth = APP.enter(APP.cloth("With offcuts", "44 in", "9.00", "6 yd"));
        Answer made = planned("5", shelfWith("outer", cloth));
        JsonNode left = null;
        for (JsonNode line : made.body().get("sheet").get("leftOver")) {
            left = line.get("materialId").asLong() == cloth ? line : left;
        }
        assertThat(left).isNotNull();
        long before = worth(cloth);
        Map<String, Object> keep = Map.of(
                "materialId",
                cloth,
                "width",
                left.get("width").get("exact").asString(),
                "height",
                left.get("height").get("exact").asString(),
                "count",
                "1",
                "place",
                "basket");
        Answer cut = APP.post(
                "/api/batches/" + made.id() + "/cut",
                Map.of("version", made.body().get("version").asLong(), "reason", "", "keep", List.of(keep)));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        JsonNode offcut = null;
        for (JsonNode lot : shelf(cloth).get("lots")) {
            offcut = lot.get("origin").asString().equals("OFFCUT_KEPT") ? lot : offcut;
        }
        assertThat(offcut.get("place").asString()).isEqualTo("basket");
        long clothCost = 0;
        for (JsonNode line :
                cut.body().get("sheet").get("lines").get(0).get("ticket").get("lines")) {
            clothCost += line.path("name").asString("").equals("With offcuts")
                    ? line.get("cost").get("value").get("minor").asLong()
                    : 0;
        }
        long needed = need(cut.body(), cloth).get("needed").get("value").asLong();
        assertThat(worth(cloth)).isGreaterThan(before - Math.round(900.0 * needed / 914_400_000L));
        assertThat(5 * clothCost - (before - worth(cloth)))
                .as("what the five bags cost of it has left the shelf, but for each one's rounding")
                .isBetween(-5L, 5L);

        Answer next = APP.post("/api/batches/preview", batch("5", shelfWith("outer", cloth), List.of()));
        JsonNode offers = next.body().get("offcuts");
        assertThat(offers).isNotEmpty();
        assertThat(offers.get(0).get("chosen").asBoolean()).isFalse();
        JsonNode using = APP.post(
                        "/api/batches/preview",
                        batch(
                                "5",
                                shelfWith("outer", cloth),
                                List.of(offers.get(0).get("lotId").asLong())))
                .body();
        assertThat(using.get("offcuts").get(0).get("chosen").asBoolean()).isTrue();
        long without = needIn(next.body(), cloth);
        assertThat(needIn(using, cloth)).isLessThanOrEqualTo(without);
        Answer stored = APP.post(
                "/api/batches",
                batch(
                        "5",
                        shelfWith("outer", cloth),
                        List.of(offers.get(0).get("lotId").asLong())));
        reserve(stored);
        Answer used = APP.post(
                "/api/batches/" + stored.id() + "/cut",
                Map.of("version", stored.body().get("version").asLong(), "reason", ""));
        assertThat(used.status()).as(used.body().toString()).isEqualTo(200);
        for (JsonNode lot : shelf(cloth).get("lots")) {
            assertThat(lot.get("origin").asString()).isNotEqualTo("OFFCUT_KEPT");
        }
    }

    private static long needIn(JsonNode sheet, long material) {
        for (JsonNode need : sheet.get("needs")) {
            if (need.get("materialId").asLong() == material) {
                return need.get("needed").get("value").asLong();
            }
        }
        throw new AssertionError("no need of " + material);
    }

    @Test
    void aFinishedBatchKeepsItsCostWhenTheSchoolChanges() {
        long cloth = APP.enter(APP.cloth("Cheap then dear", "44 in", "20.00", ""));
        APP.post("/api/deliveries", delivery("", "", "10.00", List.of(line(cloth, "5", "1 yd", "10.00", ""))));
        Answer made = planned("4", shelfWith("outer", cloth));
        Answer cut = APP.post(
                "/api/batches/" + made.id() + "/cut",
                Map.of("version", made.body().get("version").asLong(), "reason", ""));
        String first = cost(cut.body());
        school("REPLACEMENT");
        String replaced = cost(APP.get("/api/batches/" + made.id()).body());
        assertThat(replaced).isNotEqualTo(first);
        school("FIRST_IN_FIRST_OUT");
        assertThat(cost(APP.get("/api/batches/" + made.id()).body())).isEqualTo(first);
        Answer finished = APP.post("/api/batches/" + made.id() + "/finish", RunningApp.finish(cut.body(), "4"));
        String atTheEnd = cost(finished.body());
        school("REPLACEMENT");
        assertThat(cost(APP.get("/api/batches/" + made.id()).body())).isEqualTo(atTheEnd);
        school("FIRST_IN_FIRST_OUT");
    }

    private static String cost(JsonNode batch) {
        return batch.get("sheet")
                .get("lines")
                .get(0)
                .get("ticket")
                .get("cost")
                .get("value")
                .get("amount")
                .asString();
    }

    @Test
    void aStockTakeShowsTheShelfPageByPageAndByName() {
        for (int i = 1; i <= 3; i++) {
            APP.enter(
                    with(APP.material("NOTION", "Toggle " + i, "", "1.00", "10", "40"), Map.of("place", "toggle box")));
        }
        JsonNode first = APP.get("/api/stock-take?place=toggle%20box&size=2").body();
        assertThat(first.at("/page/items")
                        .valueStream()
                        .map(line -> line.get("name").asString()))
                .containsExactly("Toggle 1", "Toggle 2");
        assertThat(first.at("/page/total").asInt()).isEqualTo(3);
        assertThat(first.get("places").valueStream().map(JsonNode::asString)).contains("toggle box");
        JsonNode second =
                APP.get("/api/stock-take?place=toggle%20box&size=2&page=1").body();
        assertThat(second.at("/page/items")
                        .valueStream()
                        .map(line -> line.get("name").asString()))
                .containsExactly("Toggle 3");
        JsonNode named = APP.get("/api/stock-take?query=toggle%202").body();
        assertThat(named.at("/page/items")
                        .valueStream()
                        .map(line -> line.get("name").asString()))
                .containsExactly("Toggle 2");
        assertThat(APP.get("/api/stock-take?place=toggle%20box&page=9").body().at("/page/items"))
                .isEmpty();
    }

    @Test
    void aStockTakeIsAllOrNothingAndNoticesWhatMovedMeanwhile() {
        long one = APP.enter(with(APP.material("NOTION", "Hook", "", "1.00", "10", "40"), Map.of("place", "drawer 3")));
        long other =
                APP.enter(with(APP.material("NOTION", "Eye", "", "1.00", "10", "40"), Map.of("place", "drawer 3")));
        JsonNode walk = APP.get("/api/stock-take?place=drawer%203").body();
        assertThat(walk.get("page").get("items")).hasSize(2);
        List<Map<String, Object>> lines = new ArrayList<>();
        for (JsonNode line : walk.get("page").get("items")) {
            lines.add(new HashMap<>(Map.of(
                    "materialId", line.get("materialId").asLong(),
                    "part", line.get("part").asString(),
                    "bookValue", line.get("book").get("value").asLong(),
                    "there", "37",
                    "reason", "")));
        }
        move(other, "USED", "5", "");
        Map<String, Object> form =
                new HashMap<>(Map.of("requestId", UUID.randomUUID(), "reason", "stock-take", "lines", lines));
        Answer refused = APP.post("/api/stock-takes", form);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().toString()).contains("“Eye” has moved since you counted it");
        assertThat(APP.get("/api/materials/" + one)
                        .body()
                        .get("onHand")
                        .get("count")
                        .asLong())
                .isEqualTo(40);
        lines.forEach(line -> line.put("bookValue", line.get("materialId").equals(other) ? 35 : 40));
        Answer done = APP.post("/api/stock-takes", form);
        assertThat(done.body().get("differences").asInt()).isEqualTo(2);
        assertThat(APP.post("/api/stock-takes", form).body().get("differences").asInt())
                .isEqualTo(2);
        assertThat(APP.get("/api/materials/" + other)
                        .body()
                        .get("onHand")
                        .get("count")
                        .asLong())
                .isEqualTo(37);
        assertThat(APP.get("/api/materials/" + one + "/movements")
                        .body()
                        .get("items")
                        .get(0)
                        .get("reason")
                        .asString())
                .isEqualTo("stock-take");
    }

    @Test
    void aClosedZipInTheHandSaysWhatItMakes() {
        long zip = APP.enter(
                with(APP.material("NOTION", "Zip 10 in", "", "9.00", "10", "7"), Map.of("zipLength", "10 in")));
        JsonNode hand = APP.get("/api/in-hand?material=" + zip).body();
        assertThat(hand.get("makeable")).isNotEmpty();
        JsonNode best = hand.get("makeable").get(0);
        assertThat(best.get("units").asInt()).isEqualTo(7);
        assertThat(best.get("missing").asString()).contains("Nothing is chosen");
        long precut = APP.enter(APP.cloth("Precuts", "44 in", "9.00", ""));
        Answer pieces = APP.post(
                "/api/materials/" + precut + "/pieces",
                Map.of(
                        "requestId", UUID.randomUUID(),
                        "width", "22",
                        "height", "18",
                        "count", "3",
                        "place", "",
                        "given", true));
        assertThat(pieces.status()).as(pieces.body().toString()).isEqualTo(201);
        long lot = pieces.body().get("lots").get(0).get("id").asLong();
        JsonNode fromPieces =
                APP.get("/api/in-hand?material=" + precut + "&lot=" + lot).body();
        assertThat(fromPieces.get("makeable").toString()).contains("\"sizeName\":\"medium\"");
        assertThat(fromPieces.get("makeable").get(0).get("takes").get("count").asLong())
                .isPositive();
    }

    @Test
    void finishedBagsMoveAreGivenAwayAndWrittenOff() {
        Answer made = planned("3", SHELF);
        Answer cut = APP.post(
                "/api/batches/" + made.id() + "/cut",
                Map.of("version", made.body().get("version").asLong(), "reason", ""));
        APP.post("/api/batches/" + made.id() + "/finish", RunningApp.finish(cut.body(), "3"));
        JsonNode goods = APP.get("/api/finished-goods?query=test%20pouch")
                .body()
                .get("page")
                .get("items")
                .get(0);
        String path = "/api/finished-goods/" + goods.get("id").asLong() + "/movements";
        Answer moved = APP.post(path, goods("MOVED", "home", "stall box", "2", ""));
        assertThat(moved.body().get("places")).hasSize(2);
        assertThat(APP.post(path, goods("GIVEN_AWAY", "home", null, "2", "")).on("units"))
                .contains("At “home” are 1");
        assertThat(APP.post(path, goods("WRITTEN_OFF", "stall box", null, "1", ""))
                        .on("reason"))
                .contains("Say why");
        Answer sample = APP.post(path, goods("SAMPLE", "stall box", null, "1", ""));
        assertThat(sample.body().get("units").asInt()).isEqualTo(2);
        assertThat(APP.get(path).body()).hasSize(4);
    }

    private static Map<String, Object> goods(String kind, String place, String to, String units, String reason) {
        Map<String, Object> form = new HashMap<>(
                Map.of("requestId", UUID.randomUUID(), "kind", kind, "place", place, "units", units, "reason", reason));
        form.put("toPlace", to);
        return form;
    }

    @Test
    void aPhotoIsKeptReplacedAndTakenAway() {
        long cloth = APP.enter(APP.cloth("With a photo", "44 in", "9.00", ""));
        byte[] png = TestPhoto.png();
        String path = "/api/materials/" + cloth + "/photo?version=";
        assertThat(APP.put(path + "0", Map.of()).status()).isEqualTo(415);
        assertThat(APP.uploadInPlace(path + "0", "no picture".getBytes()).detail())
                .contains("Choose a JPEG, PNG or WebP");
        Answer first = APP.uploadInPlace(path + "0", png);
        assertThat(first.status()).as(first.body().toString()).isEqualTo(200);
        assertThat(APP.uploadInPlace(path + "0", png).status()).isEqualTo(409);
        String shown = first.body().get("photo").asString();
        assertThat(APP.text(shown)).contains("PNG");
        Answer second = APP.uploadInPlace(path + first.body().get("version").asLong(), png);
        assertThat(second.body().get("photo").asString()).isNotEqualTo(shown);
        assertThat(APP.folder().resolve("pictures").toFile().list()).hasSize(1);
        Answer none = APP.delete(path + second.body().get("version").asLong());
        assertThat(none.body().get("photo")).isNull();
        assertThat(APP.folder().resolve("pictures").toFile().list()).isEmpty();
    }

    @Test
    void aNewPhotoStaysEvenIfTheOldOneCantBeRemoved() throws IOException {
        long cloth = APP.enter(APP.cloth("With a stubborn photo", "44 in", "9.00", ""));
        byte[] png = TestPhoto.png();
        String path = "/api/materials/" + cloth + "/photo?version=";
        Answer first = APP.uploadInPlace(path + "0", png);
        Path pictures = APP.folder().resolve("pictures");
        Path old = pictures.resolve(pictures.toFile().list()[0]);
        Files.delete(old);
        Files.createDirectories(old.resolve("not empty"));
        Answer second = APP.uploadInPlace(path + first.body().get("version").asLong(), png);
        assertThat(second.status()).isEqualTo(200);
        assertThat(APP.text(second.body().get("photo").asString())).contains("PNG");
        Files.delete(old.resolve("not empty"));
        Files.delete(old);
        APP.delete(path + second.body().get("version").asLong());
    }

    @Test
    void theNextLongerZipIsBoughtWhereTheOneWantedIsNotSold() {
        Map<String, Object> wanted =
                with(APP.material("NOTION", "Zip 9 in", "", "9.00", "10", ""), Map.of("zipLength", "9 in"));
        wanted.put("lowAt", "5");
        APP.enter(wanted);
        long longer = APP.enter(
                with(APP.material("NOTION", "Zip 11 in", "", "9.00", "10", ""), Map.of("zipLength", "11 in")));
        long longest = APP.enter(
                with(APP.material("NOTION", "Zip 14 in", "", "9.00", "10", ""), Map.of("zipLength", "14 in")));
        for (long zip : List.of(longer, longest)) {
            APP.post(
                    "/api/materials/" + zip + "/offers",
                    Map.of("requestId", UUID.randomUUID(), "supplierId", shop, "content", "5", "price", "4.50"));
        }
        JsonNode found = null;
        for (JsonNode at : APP.get("/api/buying").body().get("shops")) {
            for (JsonNode line : at.get("lines")) {
                found = line.get("want").get("name").asString().equals("Zip 9 in") ? line : found;
            }
        }
        assertThat(found.get("insteadName").asString()).isEqualTo("Zip 11 in");
        assertThat(found.get("soldMaterialId").asLong()).isEqualTo(longer);
        assertThat(found.get("packs").asInt()).isEqualTo(1);
    }

    @Test
    void whatElseTheDesignAllowsIsOfferedWhereEnoughOfItIsFree() {
        long scarce = APP.enter(APP.cloth("Too little", "44 in", "9.00", "10 in"));
        long enough = APP.enter(APP.cloth("Plenty of it", "44 in", "6.00", "8 yd"));
        long narrow = APP.enter(APP.cloth("A ribbon of it", "4 in", "6.00", "8 yd"));
        JsonNode found = APP.post(
                        "/api/batches/replacements?slot=outer", batch("4", shelfWith("outer", scarce), List.of()))
                .body();
        List<Long> ids = new ArrayList<>();
        found.forEach(one -> ids.add(one.get("materialId").asLong()));
        assertThat(ids).contains(enough).doesNotContain(scarce, narrow);
    }

    /** Random movements: at each step on hand is their sum, the lots hold it, and in money nothing is lost. */
    @Test
    void theBookAlwaysAddsUp() {
        Random random = new Random(33);
        long thing = APP.enter(APP.material("NOTION", "Shuffled", "", "3.00", "10", "20"));
        for (int i = 0; i < 60; i++) {
            String kind = List.of("BOUGHT", "GIVEN", "USED", "SPOILED", "SOLD_ON", "COUNTED")
                    .get(random.nextInt(6));
            move(thing, kind, Integer.toString(1 + random.nextInt(30)), random.nextInt(3) == 0 ? "" : "for the test");
            JsonNode shelf = shelf(thing);
            long onHand = shelf.get("onHand").get("value").asLong();
            long sum = 0;
            for (JsonNode movement : APP.get("/api/materials/" + thing + "/movements?size=500")
                    .body()
                    .get("items")) {
                sum += movement.get("change").get("value").asLong();
            }
            long inLots = 0;
            for (JsonNode lot : shelf.get("lots")) {
                assertThat(lot.get("left").get("value").asLong()).isPositive();
                inLots += lot.get("left").get("value").asLong();
            }
            long unplaced = shelf.path("unplaced").path("value").asLong(0);
            assertThat(onHand).isEqualTo(sum).isEqualTo(inLots + unplaced);
        }
    }
}
