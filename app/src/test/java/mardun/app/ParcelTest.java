package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Bags of a design, from the batch over an online order into a parcel, and back among the seconds. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ParcelTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;
    private static long pouch;
    private static long orderId;

    @BeforeAll
    static void anOrder() {
        bench = new AtTheBench(APP, "60 yd");
        bench.ok(APP.put("/api/settings", APP.settings("INCH")));
        pouch = APP.pouch("Posted pouch");
        long batch = bench.batch(pouch, "5");
        bench.ok(APP.post("/api/batches/" + batch + "/finish", RunningApp.finish(bench.cut(batch), "5")));
        JsonNode channel = bench.ok(APP.get("/api/channels")).get(0);
        bench.ok(APP.put(
                "/api/online-shop",
                Map.of("connected", true, "channelId", channel.get("id").asLong())));
        JsonNode listing = bench.ok(APP.get("/api/online-shop")).get("listings").get(0);
        bench.ok(APP.put(
                "/api/online-shop/listings",
                Map.of("kind", listing.get("kind").asString(), "price", "16", "offered", true)));
        bench.ok(APP.post("/api/simulated/online-shop", Map.of("act", "ORDER")));
        orderId = looked().get("open").get(0).get("id").asLong();
    }

    private static JsonNode looked() {
        return bench.ok(APP.put("/api/online-shop/looked", Map.of()));
    }

    private static JsonNode parcel() {
        return bench.ok(APP.get("/api/posting/orders/" + orderId));
    }

    private static Map<String, Object> rate(String zone, String name, String most, String shortest, String price) {
        Map<String, Object> rate =
                new HashMap<>(Map.of("zone", zone, "name", name, "most", most, "shortest", shortest, "price", price));
        rate.put("longest", "");
        rate.put("middle", "");
        return rate;
    }

    private static void rates(List<Map<String, Object>> rates) {
        JsonNode before = bench.ok(APP.get("/api/posting"));
        Map<String, Object> form = new HashMap<>();
        form.put("version", before.get("version").asLong());
        form.put("sender", "Sandpiper Bags\nLaundry Yard 4");
        form.put("packing", "1 oz");
        form.put("pressCard", "Press it {gently}.");
        form.put("unironedCard", "No iron.");
        form.put("rates", rates);
        bench.ok(APP.put("/api/posting", form));
    }

    @Test
    @Order(1)
    void whatNobodyWeighedIsSaid() {
        JsonNode parcel = parcel();
        assertThat(parcel.get("missing").get(0).asString()).contains("Posted pouch");
        assertThat(parcel.get("zones")).isEmpty();
        assertThat(parcel.get("address")).isNotEmpty();
    }

    @Test
    @Order(2)
    void theCheapestThatTakesItIsProposedForEachZone() {
        int units = looked().get("open").get(0).get("lines").get(0).get("units").asInt();
        bench.ok(APP.put(
                "/api/posting/weights", Map.of("designId", pouch, "sizeKey", "s2", "weight", "3 oz", "thick", "3/4")));
        rates(List.of(
                rate("home", "parcel", "5 kg", "", "6.40"),
                rate("home", "packet", "1 kg", "3", "3.80"),
                rate("home", "thin letter", "1 kg", "1/8", "1.10"),
                rate("abroad", "card", "1 oz", "", "2.00")));
        JsonNode parcel = parcel();
        assertThat(parcel.get("missing")).isEmpty();
        assertThat(parcel.get("weight").get("text").asString()).isEqualTo(3 * units + 1 + " oz");
        // Finished 7 1/2 by 2 1/2 by 6 1/4: flat 10 by 7 1/2.
        assertThat(parcel.get("longest").get("inch").asString()).isEqualTo("10 in");
        assertThat(parcel.get("middle").get("inch").asString()).isEqualTo("7 ½ in");
        assertThat(parcel.get("zones").get(0).get("rate").asString()).isEqualTo("packet");
        assertThat(parcel.get("zones").get(0).get("price").get("minor").asLong())
                .isEqualTo(380);
        assertThat(parcel.get("zones").get(1).hasNonNull("rate")).isFalse();
        assertThat(parcel.get("zones").get(1).get("why").asString()).contains("heavier");
        assertThat(parcel.get("customs").asString()).contains("Posted pouch", "handmade", "EUR");
    }

    @Test
    @Order(3)
    void theAddressAndTheCardGoAlong() throws IOException, InterruptedException {
        byte[] pdf = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/posting/orders/"
                                        + orderId + "/parcel.pdf"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        String name = parcel().get("address").get(0).asString();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains(name, "Sandpiper Bags", "Press it {gently}.", "Posted pouch");
        }
    }

    @Test
    @Order(4)
    void whatComesBackCrookedIsASecondAndANoteOfTheDesign() {
        JsonNode open = looked().get("open").get(0);
        String path = "/api/online-shop/orders/" + orderId;
        bench.ok(APP.put(path + "/posted", Map.of("version", open.get("version").asLong())));
        JsonNode order =
                bench.ok(APP.get("/api/online-shop/orders")).get("items").get(0);
        JsonNode bags = APP.get(path + "/buyers-bags").body().get(0);
        bench.ok(APP.post(
                path + "/came-back",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "version",
                        order.get("version").asLong(),
                        "ended",
                        "SECONDS",
                        "reason",
                        "the {zip} sits askew",
                        "refund",
                        "",
                        "bags",
                        List.of(Map.of(
                                "kind",
                                bags.get("kind").asString(),
                                "units",
                                bags.get("units").asString())))));

        JsonNode seconds = bench.ok(APP.get("/api/finished-goods?quality=SECOND"))
                .get("page")
                .get("items");
        assertThat(seconds).hasSize(1);
        assertThat(seconds.get(0).get("places").get(0).get("place").asString()).isEqualTo("home");
        assertThat(seconds.get(0).get("unitCost").get("minor").asLong()).isPositive();
        assertThat(bench.ok(APP.get("/api/notes"))
                        .valueStream()
                        .map(note -> note.get("text").asString()))
                .contains("One came back: the {zip} sits askew");
    }

    @Test
    @Order(5)
    void aSecondIsAskedLikeAGoodOneNowUntilItsOwnPriceIsTyped() {
        long channel =
                bench.ok(APP.get("/api/prices/choice")).get("usualChannel").asLong();
        List<Map<String, Object>> prices = bench.ok(APP.get("/api/prices/book"))
                .get("rows")
                .valueStream()
                .map(row -> Map.<String, Object>of(
                        "place",
                        Map.of("designId", pouch, "sizeKey", row.get("sizeKey").asString(), "channelId", channel),
                        "price",
                        "33.30"))
                .toList();
        bench.ok(APP.post("/api/prices", Map.of("prices", prices, "reason", "")));
        AtTheStall stall = new AtTheStall(APP);
        long fair = stall.fair("Second {yard}", LocalDate.now().plusDays(3));
        JsonNode second = second(fair);
        assertThat(second.get("price").get("minor").asLong()).isEqualTo(3330);
        stall.pack(fair, second.get("bag").get("key").asString(), 1);
        assertThat(AtTheStall.tile(
                                stall.stall(fair), second.get("bag").get("key").asString())
                        .get("price")
                        .get("minor")
                        .asLong())
                .isEqualTo(3330);
        bench.ok(APP.put(
                "/api/fairs/" + fair + "/packing",
                Map.of("kind", second.get("bag").get("key").asString(), "units", "1", "box", "", "ownPrice", "20")));
        assertThat(second(fair).get("price").get("minor").asLong()).isEqualTo(2000);
    }

    private static JsonNode second(long fair) {
        return bench.ok(APP.get("/api/fairs/" + fair + "/packing"))
                .get("rows")
                .valueStream()
                .filter(row -> row.get("bag").get("quality").asString().equals("SECOND"))
                .findFirst()
                .orElseThrow();
    }

    /** More was sold online than is at home: what is missing asks for a batch, and is put aside once that is finished. */
    @Test
    @Order(6)
    void whatAnOrderLacksIsMadeByABatchOfItsOwn() {
        JsonNode lot = bench.ok(APP.get("/api/finished-goods?quality=GOOD"))
                .get("page")
                .get("items")
                .get(0);
        String home = lot.get("places")
                .valueStream()
                .filter(place -> place.get("place").asString().equals("home"))
                .map(place -> place.get("units").asString())
                .findFirst()
                .orElseThrow();
        // It doesn't hear meanwhile that they are gone.
        bench.ok(APP.post("/api/simulated/online-shop", Map.of("act", "GO_AWAY")));
        bench.ok(APP.post(
                "/api/finished-goods/" + lot.get("id") + "/movements",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        "MOVED",
                        "place",
                        "home",
                        "toPlace",
                        "stall box",
                        "units",
                        home,
                        "reason",
                        "")));
        bench.ok(APP.post("/api/simulated/online-shop", Map.of("act", "ORDER")));
        bench.ok(APP.post("/api/simulated/online-shop", Map.of("act", "COME_BACK")));
        JsonNode lacking = looked().get("open").get(0);
        assertThat(lacking.get("state").asString()).isEqualTo("SHORT");
        JsonNode line = lacking.get("lines").get(0);
        assertThat(line.has("batchId")).isFalse();
        JsonNode toMake = line.get("toMake");
        assertThat(toMake.get("designId").asLong()).isEqualTo(pouch);
        assertThat(toMake.get("slot").asString()).isEqualTo("outer");
        Map<String, Object> form = RunningApp.batch(pouch, line.get("missing").asString(), bench.shelf(), List.of());
        assertThat(RunningApp.line(form).get("sizeName"))
                .isEqualTo(toMake.get("sizeName").asString());
        form.put("forWhat", lacking.get("forWhat").asString());
        long batch = bench.ok(APP.post("/api/batches", form)).get("id").asLong();
        JsonNode named = looked().get("open").get(0).get("lines").get(0);
        assertThat(named.get("batchId").asLong()).isEqualTo(batch);
        assertThat(named.has("toMake")).as("no second batch of the same").isFalse();

        String made = line.get("missing").asString();
        bench.ok(APP.post("/api/batches/" + batch + "/finish", RunningApp.finish(bench.cut(batch), made)));
        JsonNode filled = looked().get("open").get(0);
        assertThat(filled.get("state").asString()).isEqualTo("RESERVED");
        assertThat(filled.get("lines").get(0).has("batchId")).isFalse();
        assertThat(filled.get("lines").get(0).has("toMake")).isFalse();
    }
}
