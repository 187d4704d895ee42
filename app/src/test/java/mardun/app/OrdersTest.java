package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import mardun.app.RunningApp.Answer;
import mardun.app.goods.GoodsLedger;
import mardun.app.id.BatchId;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Private orders: bags handed over and paid are a sale, what is cancelled is none, and who asked can be forgotten. */
class OrdersTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "900 yd");
        bench.ok(APP.put("/api/settings", APP.settings("INCH")));
    }

    /** An order of six pouches; answers its quote. */
    private static JsonNode ordered(String design) {
        long pouch = APP.pouch(design);
        List<Map<String, Object>> materials = new ArrayList<>();
        bench.shelf().forEach((slot, id) -> materials.add(Map.of("slot", slot, "materialId", id)));
        Map<String, Object> line = new HashMap<>(
                Map.of("designId", pouch, "sizeKey", "s2", "materials", materials, "units", "6", "numbers", ""));
        line.put("wish", "“Ida” on the label");
        line.put("wishMinutes", "2");
        line.put("wishMaterial", "");
        line.put("ownPrice", "");
        Map<String, Object> form = new HashMap<>();
        form.put("requestId", UUID.randomUUID());
        form.put("version", 0);
        form.put("who", "Ida Maré");
        form.put("reach", "ida@example.org");
        form.put("by", LocalDate.now().plusDays(60).toString());
        form.put("favour", "NONE");
        form.put("deposit", "30");
        form.put("note", "for Ida’s sister");
        form.put("lines", List.of(line));
        JsonNode quote = bench.ok(APP.post("/api/quotes", form));
        JsonNode given = bench.ok(APP.post(path(quote, "give"), Map.of("version", version(quote))));
        return bench.ok(APP.post(
                path(given, "accept"),
                Map.of("requestId", UUID.randomUUID(), "version", version(given), "number", 1, "units", List.of("6"))));
    }

    private static String path(JsonNode quote, String what) {
        return "/api/quotes/" + quote.get("id").asLong() + "/" + what;
    }

    private static long version(JsonNode quote) {
        return quote.get("form").get("version").asLong();
    }

    private static JsonNode order(JsonNode quote) {
        return bench.ok(APP.get("/api/orders/" + quote.get("order").get("id").asLong()));
    }

    private static Answer post(JsonNode order, String what, Map<String, Object> more) {
        Map<String, Object> form = new HashMap<>(more);
        form.putIfAbsent("version", order.get("version").asLong());
        return APP.post("/api/orders/" + order.get("id").asLong() + "/" + what, form);
    }

    /** All six of an order's batch are made; one of them is a second. */
    private static void make(JsonNode order) {
        long batch = order.get("batchId").asLong();
        JsonNode cut = bench.cut(batch);
        bench.ok(APP.post(
                "/api/batches/" + batch + "/finish",
                Map.of(
                        "version",
                        cut.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", "5", "seconds", "1", "scrap", "")))));
    }

    private static JsonNode bags(JsonNode order) {
        return bench.ok(APP.get("/api/orders/" + order.get("id").asLong() + "/bags"));
    }

    private static Map<String, Object> handOver(String kind, String units, String paid) {
        Map<String, Object> form = new HashMap<>();
        form.put("requestId", UUID.randomUUID());
        form.put("place", "home");
        form.put("bags", List.of(Map.of("kind", kind, "units", units)));
        form.put("paid", paid);
        form.put("tender", "CASH");
        return form;
    }

    private static int left(String design) {
        return bench.ok(APP.get("/api/finished-goods?query=" + URLEncoder.encode(design, StandardCharsets.UTF_8)))
                .get("page")
                .get("items")
                .valueStream()
                .mapToInt(line -> line.get("units").asInt())
                .sum();
    }

    @Test
    void whatIsHandedOverIsOneSaleAndCanBeTakenBack() {
        JsonNode order = order(ordered("Ordered pouch {ç}"));
        assertThat(order.get("state").asString()).isEqualTo("AGREED");
        assertThat(order.get("units").asInt()).isEqualTo(6);
        assertThat(order.get("made").asInt()).isZero();
        JsonNode paid = bench.ok(post(order, "deposit", Map.of("paid", true)));
        assertThat(paid.get("rest").get("minor").asLong())
                .isEqualTo(paid.get("total").get("minor").asLong()
                        - paid.get("deposit").get("minor").asLong());
        make(paid);

        JsonNode bags = bags(paid);
        assertThat(bags.get(0).get("own").asBoolean()).isTrue();
        String kind = bags.valueStream()
                .filter(one -> one.get("proposed").asInt() == 5)
                .findFirst()
                .orElseThrow()
                .get("kind")
                .asString();
        assertThat(post(paid, "hand-over", handOver(kind, "6", "150.00")).on("bags.0.units"))
                .contains("There are 5 of these bags at “home”");
        assertThat(post(paid, "hand-over", handOver(kind, "0", "150.00")).on("bags"))
                .contains("Nothing is handed over");
        assertThat(post(paid, "hand-over", handOver(kind, "5", "a lot")).on("paid"))
                .contains("a lot");
        Map<String, Object> tomorrow = handOver(kind, "5", "150.00");
        tomorrow.put("on", LocalDate.now().plusDays(1).toString());
        assertThat(post(paid, "hand-over", tomorrow).on("on")).contains("still to come");

        Map<String, Object> form = handOver(kind, "5", "150.00");
        List<CompletableFuture<Answer>> both = List.of(
                CompletableFuture.supplyAsync(() -> post(paid, "hand-over", form)),
                CompletableFuture.supplyAsync(() -> post(paid, "hand-over", form)));
        both.forEach(one -> bench.ok(one.join()));
        JsonNode done = bench.ok(APP.get("/api/orders/" + order.get("id").asLong()));
        assertThat(done.get("state").asString()).isEqualTo("HANDED_OVER");
        assertThat(done.get("paid").get("amount").asString()).contains("150.00");
        assertThat(left("Ordered pouch {ç}")).as("the second stays").isEqualTo(1);
        assertThat(post(done, "cancel", Map.of("reason", "", "keepsDeposit", false))
                        .detail())
                .contains("handed over already");

        JsonNode open = bench.ok(post(done, "open-again", Map.of()));
        assertThat(open.get("state").asString()).isEqualTo("AGREED");
        assertThat(open.hasNonNull("paid")).isFalse();
        assertThat(open.get("depositPaidOn").asString())
                .isEqualTo(LocalDate.now().toString());
        assertThat(left("Ordered pouch {ç}")).isEqualTo(6);

        JsonNode aside = bench.ok(post(open, "put-aside", Map.of()));
        assertThat(aside.get("putAside").asInt()).as("the second isn’t").isEqualTo(5);
        assertThat(aside.get("atHome").asInt()).isZero();
        assertThat(post(open, "put-aside", Map.of()).detail()).contains("No bags");
        assertThat(bags(aside).get(0).get("place").asString())
                .isEqualTo("order " + order.get("id").asLong());
        JsonNode cancelled = bench.ok(post(aside, "cancel", Map.of("reason", "", "keepsDeposit", false)));
        assertThat(cancelled.get("atHome").asInt()).isEqualTo(5);

        JsonNode again = bench.ok(post(bench.ok(post(cancelled, "open-again", Map.of())), "put-aside", Map.of()));
        Map<String, Object> fewer = handOver(kind, "3", "90.00");
        fewer.put("place", "order " + order.get("id").asLong());
        JsonNode some = bench.ok(post(again, "hand-over", fewer));
        assertThat(some.get("putAside").asInt()).isZero();
        assertThat(some.get("atHome").asInt())
                .as("what isn’t taken is for anybody")
                .isEqualTo(2);
    }

    private static Map<String, Object> back(String kind, String units, String ended, String refund) {
        return new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "ended",
                ended,
                "reason",
                "the zip came out {ç}",
                "refund",
                refund,
                "bags",
                List.of(Map.of("kind", kind, "units", units))));
    }

    @Test
    void whatComesBackGoesWhereItBelongsAndComesOffTheSaleToTheCent() {
        JsonNode order = order(ordered("Returned pouch"));
        make(order);
        String kind = bags(order)
                .valueStream()
                .filter(one -> one.get("proposed").asInt() == 5)
                .findFirst()
                .orElseThrow()
                .get("kind")
                .asString();
        assertThat(post(order, "came-back", back(kind, "1", "INTO_STOCK", "")).detail())
                .contains("Nothing of this order is with the customer");
        JsonNode done = bench.ok(post(order, "hand-over", handOver(kind, "5", "100.00")));
        String address = "/api/orders/" + order.get("id").asLong();
        assertThat(APP.get(address + "/customers-bags")
                        .body()
                        .get(0)
                        .get("units")
                        .asInt())
                .isEqualTo(5);
        assertThat(post(done, "came-back", back(kind, "6", "INTO_STOCK", "")).on("bags.0.units"))
                .contains("The customer has 5");
        assertThat(post(done, "came-back", back(kind, "", "INTO_STOCK", "")).on("bags"))
                .contains("Nothing came back");
        assertThat(post(done, "came-back", back(kind, "1", "INTO_STOCK", "100.01"))
                        .on("refund"))
                .contains("Paid was 100.00");
        Map<String, Object> noReason = back(kind, "1", "INTO_STOCK", "");
        noReason.put("reason", " ");
        assertThat(post(done, "came-back", noReason).on("reason")).contains("Say why");

        Map<String, Object> one = back(kind, "1", "SECONDS", "20.00");
        JsonNode four = bench.ok(post(done, "came-back", one));
        assertThat(bench.ok(post(done, "came-back", one))
                        .get("paid")
                        .get("minor")
                        .asLong())
                .as("sent twice, booked once")
                .isEqualTo(8000);
        assertThat(four.get("state").asString()).isEqualTo("HANDED_OVER");
        assertThat(four.get("reason").asString()).isEqualTo("1 of 5 among the seconds: the zip came out {ç}");
        assertThat(APP.get(address + "/customers-bags")
                        .body()
                        .get(0)
                        .get("units")
                        .asInt())
                .isEqualTo(4);
        assertThat(left("Returned pouch"))
                .as("two seconds, one of them sold before")
                .isEqualTo(2);

        JsonNode mended = bench.ok(post(four, "came-back", back(kind, "2", "MENDED", "")));
        assertThat(mended.get("paid").get("minor").asLong()).isEqualTo(8000);
        assertThat(APP.get(address + "/customers-bags")
                        .body()
                        .get(0)
                        .get("units")
                        .asInt())
                .as("they have them again")
                .isEqualTo(4);
        assertThat(APP.get("/api/notes").body().toString()).contains("One came back: the zip came out {ç}");

        assertThat(post(mended, "came-back", back(kind, "4", "SCRAPPED", "79.99"))
                        .on("refund"))
                .contains("all that was paid goes back: 80.00");
        JsonNode none = bench.ok(post(mended, "came-back", back(kind, "4", "SCRAPPED", "")));
        assertThat(none.get("state").asString()).isEqualTo("CAME_BACK");
        assertThat(none.get("paid").get("minor").asLong()).isZero();
        assertThat(left("Returned pouch")).as("the scrapped ones are gone").isEqualTo(2);
        assertThat(post(none, "open-again", Map.of()).detail()).contains("Agree a new order");
        assertThat(APP.get(address + "/customers-bags").body()).isEmpty();
    }

    @Test
    void aCancelledOneSellsNothingAndSaysWhatBecameOfItsDeposit() {
        JsonNode order = order(ordered("Cancelled pouch"));
        JsonNode unpaid = bench.ok(post(order, "cancel", Map.of("reason", "moved away", "keepsDeposit", true)));
        assertThat(unpaid.get("depositKept").asBoolean()).as("none was paid").isFalse();
        JsonNode open = bench.ok(post(unpaid, "open-again", Map.of()));
        JsonNode paid = bench.ok(post(open, "deposit", Map.of("paid", true)));
        JsonNode cancelled = bench.ok(post(paid, "cancel", Map.of("reason", "moved away", "keepsDeposit", true)));
        assertThat(cancelled.get("state").asString()).isEqualTo("CANCELLED");
        assertThat(cancelled.get("reason").asString()).isEqualTo("moved away");
        assertThat(cancelled.get("depositKept").asBoolean()).isTrue();
        String kept = paid.get("deposit").get("amount").asString();
        assertThat(keptDeposits()).as("money that came in, though no bag went").contains(kept);
        assertThat(APP.text("/api/year/books/SALES.csv?from=" + LocalDate.now().withDayOfYear(1)))
                .contains("order " + order.get("id").asLong() + " was cancelled");
        assertThat(post(order, "cancel", Map.of("reason", "", "keepsDeposit", false))
                        .status())
                .as("another tab has the order as it was")
                .isEqualTo(409);
        long number = order.get("id").asLong();
        assertThat(closed(order.get("who").asString().toUpperCase(Locale.ROOT))).contains(number);
        assertThat(closed("order " + number)).containsExactly(number);
        assertThat(closed("nobody of this name")).isEmpty();

        bench.ok(post(cancelled, "open-again", Map.of()));
        assertThat(keptDeposits())
                .as("it is the deposit of an open order again")
                .isEmpty();
    }

    /** The numbers of closed orders that are found by some words. */
    private static List<Long> closed(String query) {
        return bench.ok(APP.get("/api/orders?query=" + URLEncoder.encode(query, StandardCharsets.UTF_8)))
                .get("closed")
                .get("items")
                .valueStream()
                .map(row -> row.get("id").asLong())
                .toList();
    }

    /** What the books of this year say of deposits that were kept; empty where they have no column for them. */
    private static String keptDeposits() {
        JsonNode table = bench.ok(
                        APP.get("/api/year/books?from=" + LocalDate.now().withDayOfYear(1)))
                .get("table");
        List<String> columns = table.get("columns")
                .valueStream()
                .map(column -> column.get("name").asString())
                .toList();
        int column = columns.indexOf("deposits kept");
        return column < 0
                ? ""
                : table.get("rows").get(12).get("cells").get(column).get("text").asString();
    }

    private static String one(JsonNode rows, long id) {
        return rows.valueStream()
                .filter(row -> row.get("id").asLong() == id)
                .findFirst()
                .orElseThrow()
                .toString();
    }

    @Test
    void whoAskedIsGivenOutAndForgottenEverywhere() {
        JsonNode quote = ordered("Forgotten pouch");
        JsonNode order = order(quote);
        Map<String, Object> note = Map.of("id", UUID.randomUUID(), "text", "Ida rang: the red one");
        bench.ok(post(order, "notes", note));
        JsonNode noted = bench.ok(post(order, "notes", note));
        assertThat(noted.get("notes")).hasSize(1);
        assertThat(post(order, "notes", Map.of("id", UUID.randomUUID(), "text", "  "))
                        .on("text"))
                .contains("says something");

        JsonNode kept = bench.ok(APP.get(path(quote, "customer.json")));
        assertThat(kept.toString()).contains("Ida Maré", "ida@example.org", "Ida rang", "“Ida” on the label");

        assertThat(APP.post(path(quote, "forget"), Map.of("version", version(quote)))
                        .detail())
                .contains("still open");
        long batch = order.get("batchId").asLong();
        GoodsLedger ledger = APP.part(GoodsLedger.class);
        assertThat(ledger.promised()).as("no plan counts on its bags").contains(new BatchId(batch));
        bench.ok(post(noted, "cancel", Map.of("reason", "Ida didn’t want it", "keepsDeposit", false)));
        assertThat(ledger.promised()).doesNotContain(new BatchId(batch));
        bench.ok(APP.post(
                "/api/batches/" + batch + "/split",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "version",
                        bench.ok(APP.get("/api/batches/" + batch))
                                .get("version")
                                .asLong(),
                        "lines",
                        List.of(Map.of("number", 1, "units", "2")))));
        JsonNode forgotten = bench.ok(APP.post(path(quote, "forget"), Map.of("version", version(quote))));

        assertThat(forgotten.get("forgotten").asBoolean()).isTrue();
        assertThat(forgotten.get("versions").get(0).get("total").get("minor").asLong())
                .as("figures stay")
                .isEqualTo(order.get("total").get("minor").asLong());
        long number = order.get("id").asLong();
        assertThat(List.of(
                        forgotten.toString(),
                        bench.ok(APP.get(path(quote, "customer.json"))).toString(),
                        one(bench.ok(APP.get("/api/orders")).get("closed").get("items"), number),
                        one(bench.ok(APP.get("/api/quotes")), quote.get("id").asLong()),
                        bench.ok(APP.get("/api/batches?size=200"))
                                .get("items")
                                .valueStream()
                                .map(row -> row.get("forWhat").asString())
                                .filter(forWhat -> forWhat.startsWith("Order " + number))
                                .toList()
                                .toString()))
                .noneMatch(text -> text.contains("Ida") || text.contains("ida@example.org"));
        assertThat(post(order(forgotten), "open-again", Map.of()).detail()).contains("forgotten");
        assertThat(post(order(forgotten), "notes", Map.of("id", UUID.randomUUID(), "text", "again"))
                        .detail())
                .contains("forgotten");
    }
}
