package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Resellers: bags go there and come back, what is sold there is settled to the cent, and no place goes below none. */
class ResellersTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final AtTheStall AT = new AtTheStall(APP);
    private static long commission;

    @BeforeAll
    static void aWorkroom() {
        assertThat(APP.put("/api/settings", APP.settings("METRIC")).status()).isEqualTo(200);
        Map<String, Object> terms = new HashMap<>();
        terms.put("version", 0);
        terms.put("name", "On commission");
        terms.put("kind", "BUYERS");
        terms.put("fees", List.of(fee()));
        terms.put("taxMode", "NONE");
        terms.put("unitsPerSale", "1");
        List.of("taxRate", "postagePaid", "postage", "packing", "packingMinutes")
                .forEach(none -> terms.put(none, ""));
        commission = APP.post("/api/channels", Map.of("requestId", UUID.randomUUID(), "terms", terms))
                .id();
    }

    private static Map<String, Object> fee() {
        Map<String, Object> fee =
                new HashMap<>(Map.of("name", "commission", "basis", "SHARE", "amount", "33.3", "likelihood", "100"));
        List.of("above", "then", "least", "most").forEach(none -> fee.put(none, ""));
        return fee;
    }

    private static JsonNode add(String name) {
        Answer made = APP.post(
                "/api/resellers", Map.of("requestId", UUID.randomUUID(), "name", name, "channelId", commission));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.body();
    }

    private static JsonNode bag(JsonNode reseller, String design) {
        return reseller.get("bags")
                .valueStream()
                .filter(one -> one.get("words").asString().startsWith(design))
                .findFirst()
                .orElseThrow();
    }

    private static Answer post(JsonNode reseller, String what, Map<String, Object> more) {
        Map<String, Object> form = new HashMap<>(more);
        form.putIfAbsent("requestId", UUID.randomUUID());
        return APP.post("/api/resellers/" + reseller.get("id").asLong() + "/" + what, form);
    }

    private static Map<String, Object> some(JsonNode bag, String units) {
        return Map.of("kind", bag.get("kind").asString(), "units", units);
    }

    private static Map<String, Object> sold(JsonNode bag, String units, String price) {
        return Map.of("kind", bag.get("kind").asString(), "units", units, "price", price);
    }

    /** The design as somebody else's pattern whose licence has conditions, and allows so many a year. */
    private static void lend(long design, int most, String... conditions) {
        JsonNode there = APP.get("/api/designs/" + design).body();
        ObjectNode document = (ObjectNode) there.get("document").deepCopy();
        ObjectNode source = document.putObject("source");
        source.put("licence", "SO_MANY_A_YEAR")
                .put("designer", "Pat Tern {ç}")
                .put("most", most)
                .put("credit", "");
        List.of(conditions).forEach(source.putArray("conditions")::add);
        Answer saved = APP.put(
                "/api/designs/" + design, Map.of("version", there.get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
    }

    @Test
    void bagsOfALentPatternAreTakenBackWhereItsLicenceLetsNobodyElseSellThem() throws InterruptedException {
        long design = APP.pouch("Lent pouch");
        JsonNode planned = APP.post("/api/batches", RunningApp.batch(design, "9", APP.pouchShelf("90 yd"), List.of()))
                .body();
        String batch = "/api/batches/" + planned.get("id");
        JsonNode cut = APP.post(
                        batch + "/cut", Map.of("version", planned.get("version").asLong(), "reason", ""))
                .body();
        assertThat(APP.post(batch + "/finish", RunningApp.finish(cut, "9")).status())
                .isEqualTo(200);
        JsonNode shop = add("Shop for lent bags");
        JsonNode there = post(
                        shop, "moves", Map.of("back", false, "lines", List.of(some(bag(shop, "Lent pouch"), "5"))))
                .body();
        assertThat(bag(there, "Lent pouch").get("barred").asBoolean()).isFalse();
        post(there, "settlements", Map.of("lines", List.of(sold(bag(there, "Lent pouch"), "2", "12.50"))));
        lend(design, 50, "NO_RESELLERS");
        JsonNode barred =
                bag(APP.get("/api/resellers/" + shop.get("id").asLong()).body(), "Lent pouch");
        assertThat(barred.get("barred").asBoolean()).isTrue();
        assertThat(barred.get("advice").asString()).isEqualTo("TAKE_BACK");
        assertThat(barred.get("advised").asInt()).isEqualTo(3);
        assertThat(barred.get("reason").asString())
                .isEqualTo("The licence for this pattern by Pat Tern {ç} doesn't let others sell the bags.");
        JsonNode counted = APP.get("/api/designs/" + design + "/licence").body();
        assertThat(counted.get("byYear").asBoolean()).isTrue();
        assertThat(counted.get("most").asInt()).isEqualTo(50);
        assertThat(counted.get("made").asInt()).isEqualTo(9);
        assertThat(counted.get("sold").asInt()).isEqualTo(2);
        lend(design, 50);
        assertThat(bag(APP.get("/api/resellers/" + shop.get("id").asLong()).body(), "Lent pouch")
                        .get("barred")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void whatIsSoldThereIsSettledToTheCentAndCanBeTakenBack() throws InterruptedException {
        AT.bags("Quay pouch,small,6,4.00,12.50,home", "Quay tote,large,3,9.10,28.00,home");
        JsonNode shop = add("Quay shop {ç}");
        assertThat(post(shop, "moves", Map.of("back", false, "lines", List.of(some(bag(shop, "Quay tote"), "4"))))
                        .on("lines.0.units"))
                .contains("3 of these lie at “home”");
        JsonNode there = post(
                        shop,
                        "moves",
                        Map.of(
                                "back",
                                false,
                                "lines",
                                List.of(some(bag(shop, "Quay pouch"), "5"), some(bag(shop, "Quay tote"), "2"))))
                .body();
        JsonNode pouch = bag(there, "Quay pouch");
        assertThat(pouch.get("there").asInt()).isEqualTo(5);
        assertThat(pouch.get("home").asInt()).isEqualTo(1);
        assertThat(pouch.get("since").asString()).isEqualTo(LocalDate.now().toString());
        assertThat(pouch.get("advice").asString()).isEqualTo("LEAVE");

        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "lines",
                List.of(sold(pouch, "3", "12.50"), sold(bag(there, "Quay tote"), "", ""))));
        JsonNode sum = post(there, "settlements/preview", form).body();
        assertThat(sum.get("sold").get("minor").asLong()).isEqualTo(3750);
        assertThat(sum.get("taken").get("minor").asLong())
                .as("33.3 %, rounded once")
                .isEqualTo(1249);
        assertThat(sum.get("rest").get("minor").asLong()).isEqualTo(2501);
        List<CompletableFuture<Answer>> both = List.of(
                CompletableFuture.supplyAsync(() -> post(there, "settlements", form)),
                CompletableFuture.supplyAsync(() -> post(there, "settlements", form)));
        both.forEach(one -> assertThat(one.join().status()).isEqualTo(201));

        JsonNode settled = both.get(0).join().body();
        assertThat(settled.get("settlements")).hasSize(1);
        assertThat(settled.get("settlements").get(0).get("rest").get("minor").asLong())
                .isEqualTo(2501);
        assertThat(bag(settled, "Quay pouch").get("there").asInt()).isEqualTo(2);
        assertThat(bag(settled, "Quay pouch").get("sold").asInt()).isEqualTo(3);
        assertThat(bag(settled, "Quay pouch").get("advice").asString())
                .as("three in a week: they last no month")
                .isEqualTo("BRING");
        assertThat(post(settled, "settlements", Map.of("lines", List.of(sold(pouch, "3", "12.50"))))
                        .on("lines.0.units"))
                .contains("2 of these lie");
        assertThat(post(settled, "settlements", Map.of("lines", List.of(sold(pouch, "", ""))))
                        .on("lines"))
                .contains("Nothing was sold");

        JsonNode undone = APP.post(
                        "/api/resellers/" + shop.get("id").asLong() + "/settlements/"
                                + settled.get("settlements").get(0).get("id").asString() + "/undo",
                        "")
                .body();
        assertThat(bag(undone, "Quay pouch").get("there").asInt()).isEqualTo(5);
        assertThat(undone.get("settlements").get(0).get("takenBack").asBoolean())
                .isTrue();
        AT.placesAddUp();
    }

    /** What lies with a reseller isn't packed for a fair. */
    @Test
    void noFairTakesWhatLiesThere() throws InterruptedException {
        AT.bags("Held pouch,small,5,4.00,12.50,home");
        JsonNode shop = add("Holding shop");
        String kind = bag(shop, "Held pouch").get("kind").asString();
        post(shop, "moves", Map.of("back", false, "lines", List.of(some(bag(shop, "Held pouch"), "4"))));
        long fair = AT.fair("Held fair", LocalDate.now().plusDays(3));
        JsonNode row = APP.get("/api/fairs/" + fair + "/packing")
                .body()
                .get("rows")
                .valueStream()
                .filter(one -> one.get("bag").get("key").asString().equals(kind))
                .findFirst()
                .orElseThrow();
        assertThat(row.get("elsewhere").asInt()).isEqualTo(1);
        assertThat(row.get("proposed").asInt()).isLessThanOrEqualTo(1);
        AT.pack(fair, kind, 1);
        assertThat(bag(APP.get("/api/resellers/" + shop.get("id").asLong()).body(), "Held pouch")
                        .get("there")
                        .asInt())
                .isEqualTo(4);
    }

    @Test
    void aNameIsAPlaceAndStandsOnce() {
        JsonNode shop = add("Pier kiosk");
        assertThat(APP.post(
                                "/api/resellers",
                                Map.of("requestId", UUID.randomUUID(), "name", " PIER kiosk ", "channelId", commission))
                        .on("name"))
                .contains("already");
        assertThat(APP.post(
                                "/api/resellers",
                                Map.of("requestId", UUID.randomUUID(), "name", "Home", "channelId", commission))
                        .on("name"))
                .contains("your own bags");
        Map<String, Object> change = Map.of(
                "version",
                shop.get("version").asLong(),
                "channelId",
                commission,
                "reach",
                "Moira, at the till",
                "putAway",
                true);
        JsonNode changed =
                APP.put("/api/resellers/" + shop.get("id").asLong(), change).body();
        assertThat(changed.get("reach").asString()).isEqualTo("Moira, at the till");
        assertThat(APP.put("/api/resellers/" + shop.get("id").asLong(), change).status())
                .isEqualTo(409);
    }

    /** Whatever is brought, taken back, sold and undone: each bag is at home, there, or sold. */
    @Test
    void noBagIsLostOrSoldTwiceUnderAnyCommands() throws InterruptedException {
        AT.bags("Random pouch,small,12,4.00,12.50,home", "Random tote,large,8,9.10,28.00,home");
        JsonNode shop = add("Random shop");
        Map<String, Integer> all = Map.of("Random pouch", 12, "Random tote", 8);
        Map<String, Integer> home = new HashMap<>(all);
        Map<String, Integer> there = new HashMap<>(Map.of("Random pouch", 0, "Random tote", 0));
        List<Map.Entry<String, Map.Entry<String, Integer>>> settled = new ArrayList<>();
        Random random = new Random(5);
        JsonNode now = shop;
        for (int step = 0; step < 120; step++) {
            String design = random.nextBoolean() ? "Random pouch" : "Random tote";
            int units = random.nextInt(6);
            JsonNode bag = bag(now, design);
            int act = random.nextInt(4);
            Answer answer;
            if (act < 2) {
                boolean back = act == 1;
                answer = post(now, "moves", Map.of("back", back, "lines", List.of(some(bag, Integer.toString(units)))));
                Map<String, Integer> from = back ? there : home;
                if (units > 0 && units <= from.get(design)) {
                    assertThat(answer.status()).isEqualTo(200);
                    from.merge(design, -units, Integer::sum);
                    (back ? home : there).merge(design, units, Integer::sum);
                } else {
                    assertThat(answer.status()).isEqualTo(422);
                }
            } else if (act == 2 || settled.isEmpty()) {
                answer = post(
                        now,
                        "settlements",
                        Map.of("lines", List.of(sold(bag, Integer.toString(units), "1" + random.nextInt(10)))));
                if (units > 0 && units <= there.get(design)) {
                    assertThat(answer.status()).isEqualTo(201);
                    there.merge(design, -units, Integer::sum);
                    settled.add(Map.entry(
                            answer.body().get("settlements").get(0).get("id").asString(), Map.entry(design, units)));
                } else {
                    assertThat(answer.status()).isEqualTo(422);
                }
            } else {
                Map.Entry<String, Map.Entry<String, Integer>> one = settled.remove(random.nextInt(settled.size()));
                answer = APP.post(
                        "/api/resellers/" + shop.get("id").asLong() + "/settlements/" + one.getKey() + "/undo", "");
                assertThat(answer.status()).isEqualTo(200);
                there.merge(one.getValue().getKey(), one.getValue().getValue(), Integer::sum);
            }
            now = APP.get("/api/resellers/" + shop.get("id").asLong()).body();
            for (String each : all.keySet()) {
                JsonNode row = now.get("bags")
                        .valueStream()
                        .filter(one -> one.get("words").asString().startsWith(each))
                        .findFirst()
                        .orElse(null);
                assertThat(row == null ? 0 : row.get("home").asInt())
                        .as("step %s", step)
                        .isEqualTo(home.get(each));
                assertThat(row == null ? 0 : row.get("there").asInt())
                        .as("step %s", step)
                        .isEqualTo(there.get(each));
            }
        }
        AT.placesAddUp();
    }
}
