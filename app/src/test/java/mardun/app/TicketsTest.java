package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Price tickets: which bags have one that holds, and that each is printed once per touch, whatever the printer does. */
class TicketsTest {

    private static final String PRINTER = "/api/simulated/label-printer";

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;
    private static long usual;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "900 yd");
        usual = bench.ok(APP.get("/api/prices/choice")).get("usualChannel").asLong();
    }

    /** A pouch of which so many are done, at a price that is set. */
    private static long bags(String name, String units, String price) {
        long pouch = APP.pouch(name);
        price(pouch, price);
        long batch = bench.batch(pouch, units);
        bench.cut(batch);
        finish(batch, units);
        return pouch;
    }

    private static void price(long pouch, String price) {
        Map<String, Object> place = Map.of("designId", pouch, "sizeKey", "s2", "channelId", usual);
        bench.ok(APP.post(
                "/api/prices", Map.of("prices", List.of(Map.of("place", place, "price", price)), "reason", "")));
    }

    private static JsonNode goods(String name) {
        return bench.ok(APP.get("/api/price-tickets"))
                .get("goods")
                .valueStream()
                .filter(one -> one.get("designName").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Map<String, Object> line(String name, String units, String price) {
        return new HashMap<>(
                Map.of("goodsId", goods(name).get("goodsId").asLong(), "cloth", "", "units", units, "price", price));
    }

    private static Map<String, Object> form(String target, String sheet, List<Map<String, Object>> lines) {
        Map<String, Object> form = new HashMap<>();
        form.put("requestId", UUID.randomUUID());
        form.put("target", target);
        form.put("channelId", usual);
        form.put("sheetKey", sheet);
        form.put("first", "1");
        form.put("shown", List.of("SIZE", "CLOTH", "FIBRE", "CARE", "BATCH"));
        form.put("code", "QR");
        form.put("more", "");
        form.put("lines", lines);
        return form;
    }

    private static JsonNode print(Map<String, Object> form) {
        return bench.ok(APP.post("/api/price-tickets", form));
    }

    private static JsonNode act(String act) {
        return bench.ok(APP.post(PRINTER, Map.of("act", act)));
    }

    private static void load(int labels) {
        bench.ok(APP.post(PRINTER, Map.of("act", "LOAD", "labels", Integer.toString(labels))));
    }

    private static long whole(String name) {
        return bench.ok(APP.get(PRINTER))
                .get("latest")
                .valueStream()
                .filter(one -> !one.get("crumpled").asBoolean())
                .filter(one -> one.get("label")
                        .get("texts")
                        .get(0)
                        .get("text")
                        .asString()
                        .startsWith(name))
                .count();
    }

    private static List<Integer> counts(String name) {
        JsonNode its = goods(name);
        return List.of(
                its.get("right").asInt(),
                its.get("outOfDate").asInt(),
                its.get("without").asInt());
    }

    @Test
    void aPriceThatChangesMakesPrintedTicketsOutOfDate() {
        long pouch = bags("Ticketed", "5", "19.50");
        assertThat(counts("Ticketed")).containsExactly(0, 0, 5);
        JsonNode run = print(form("SHEET", "A4_24", List.of(line("Ticketed", "5", ""))));
        assertThat(run.get("cameOut").asInt()).isEqualTo(5);
        assertThat(counts("Ticketed")).containsExactly(5, 0, 0);

        price(pouch, "21");
        assertThat(counts("Ticketed")).containsExactly(0, 5, 0);
        assertThat(goods("Ticketed").get("wrongPrice").get("amount").asString()).isEqualTo("19.50");
        print(form("SHEET", "A4_24", List.of(line("Ticketed", "2", ""))));
        assertThat(counts("Ticketed")).containsExactly(2, 3, 0);

        JsonNode own = print(form("SHEET", "A4_24", List.of(line("Ticketed", "3", "15"))));
        assertThat(counts("Ticketed")).as("a price of their own holds").containsExactly(5, 0, 0);
        bench.ok(APP.post("/api/price-tickets/" + own.get("id").asLong() + "/take-back", Map.of()));
        assertThat(counts("Ticketed")).containsExactly(2, 3, 0);
    }

    /** Tickets for bags that are still to be made go onto them as they are done, and follow the price as others do. */
    @Test
    void ticketsMayBePrintedAheadForABatch() {
        long pouch = APP.pouch("Ahead");
        price(pouch, "14");
        long batch = bench.batch(pouch, "6");
        JsonNode toBeMade = goods("Ahead");
        assertThat(toBeMade.hasNonNull("goodsId")).isFalse();
        assertThat(toBeMade.get("batchId").asLong()).isEqualTo(batch);
        assertThat(toBeMade.get("price").get("amount").asString()).isEqualTo("14.00");
        assertThat(counts("Ahead")).containsExactly(0, 0, 6);

        print(form("SHEET", "A4_24", List.of(ahead(batch, 1, "4"))));
        assertThat(counts("Ahead")).containsExactly(4, 0, 2);
        price(pouch, "15");
        assertThat(counts("Ahead")).containsExactly(0, 4, 2);
        assertThat(goods("Ahead").get("wrongPrice").get("amount").asString()).isEqualTo("14.00");
        price(pouch, "14");

        bench.cut(batch);
        finish(batch, "3");
        assertThat(counts("Ahead")).as("of those that are there each has one").containsExactly(3, 0, 0);
        JsonNode open = bench.ok(APP.get("/api/price-tickets"))
                .get("goods")
                .valueStream()
                .filter(one -> one.path("batchId").asLong() == batch && !one.hasNonNull("goodsId"))
                .findFirst()
                .orElseThrow();
        assertThat(open.get("units").asInt()).isEqualTo(3);
        assertThat(open.get("right").asInt()).isEqualTo(1);
        assertThat(open.get("without").asInt()).isEqualTo(2);
        finish(batch, "3");
        assertThat(counts("Ahead"))
                .as("those that were done first wear three of the four")
                .containsExactly(1, 0, 2);
        assertThat(APP.post("/api/price-tickets", form("SHEET", "A4_24", List.of(ahead(batch, 1, "1"))))
                        .status())
                .as("nothing of it is to be made any more")
                .isEqualTo(422);
    }

    private static Map<String, Object> ahead(long batch, int line, String units) {
        return new HashMap<>(Map.of("batchId", batch, "lineNumber", line, "cloth", "", "units", units, "price", ""));
    }

    private static void finish(long batch, String good) {
        long version = bench.ok(APP.get("/api/batches/" + batch)).get("version").asLong();
        bench.ok(APP.post(
                "/api/batches/" + batch + "/finish",
                Map.of(
                        "version",
                        version,
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", good, "seconds", "", "scrap", "")))));
    }

    @Test
    void theNextTicketsBeginWhereTheSheetWasLeft() {
        bags("Left over", "3", "12");
        print(form("SHEET", "A4_65", List.of(line("Left over", "3", ""))));
        JsonNode sheet = bench.ok(APP.get("/api/price-tickets"))
                .get("sheets")
                .valueStream()
                .filter(one -> one.get("key").asString().equals("A4_65"))
                .findFirst()
                .orElseThrow();
        assertThat(sheet.get("next").asInt()).isEqualTo(4);
        Map<String, Object> form = form("SHEET", "A4_65", List.of(line("Left over", "63", "")));
        form.put("first", "4");
        assertThat(bench.ok(APP.post("/api/price-tickets/preview", form))
                        .get("pages")
                        .asInt())
                .isEqualTo(2);
        form.put("first", "66");
        assertThat(APP.post("/api/price-tickets/preview", form).on("first")).contains("66");
    }

    @Test
    void theSameFormSentTwiceIsPrintedOnce() {
        bags("Clicked twice", "2", "9");
        load(50);
        Map<String, Object> form = form("PRINTER", "A4_24", List.of(line("Clicked twice", "2", "")));
        List<CompletableFuture<Answer>> both = List.of(
                CompletableFuture.supplyAsync(() -> APP.post("/api/price-tickets", form)),
                CompletableFuture.supplyAsync(() -> APP.post("/api/price-tickets", form)));
        both.forEach(one -> bench.ok(one.join()));
        assertThat(whole("Clicked twice")).isEqualTo(2);
        assertThat(counts("Clicked twice")).containsExactly(2, 0, 0);
    }

    @Test
    void afterAJamARollAndAnHourOfflineEachTicketHasComeOutOnce() {
        bags("Stuck", "7", "9");
        load(2);
        JsonNode run = print(form("PRINTER", "A4_24", List.of(line("Stuck", "7", ""))));
        assertThat(run.get("trouble").asString()).contains("out of labels");
        assertThat(run.get("cameOut").asInt()).isEqualTo(2);
        assertThat(counts("Stuck")).containsExactly(2, 0, 5);

        load(50);
        act("JAM_NEXT");
        String goOn = "/api/price-tickets/" + run.get("id").asLong() + "/go-on";
        assertThat(bench.ok(APP.post(goOn, Map.of())).get("trouble").asString()).contains("stuck");
        assertThat(bench.ok(APP.post(goOn, Map.of())).get("trouble").asString())
                .as("it stays stuck until somebody takes it out")
                .contains("stuck");
        act("CLEAR_JAM");
        act("SWITCH_OFF");
        assertThat(bench.ok(APP.post(goOn, Map.of())).get("trouble").asString()).contains("offline");
        act("SWITCH_ON");
        List<CompletableFuture<Answer>> touches = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            touches.add(CompletableFuture.supplyAsync(() -> APP.post(goOn, Map.of())));
        }
        touches.forEach(one -> bench.ok(one.join()));
        assertThat(whole("Stuck")).isEqualTo(7);
        assertThat(counts("Stuck")).containsExactly(7, 0, 0);
        assertThat(bench.ok(APP.get(PRINTER))
                        .get("latest")
                        .valueStream()
                        .filter(one -> one.get("crumpled").asBoolean())
                        .count())
                .isEqualTo(1);
    }

    @Test
    void whatIsTooMuchForALabelIsRefusedAndSaysSo() {
        bags("A pouch with a long name for a small label {ç} \uD83E\uDDF5", "1", "9");
        Map<String, Object> form = form(
                "SHEET",
                "A4_65",
                List.of(line("A pouch with a long name for a small label {ç} \uD83E\uDDF5", "1", "")));
        form.put("more", "Every one is sewn by hand in a small workroom, and no two are alike. ".repeat(2));
        assertThat(APP.post("/api/price-tickets", form).on("sheetKey")).contains("there isn't room");
        form.put("sheetKey", "A4_10_CARDS");
        JsonNode label = bench.ok(APP.post("/api/price-tickets/preview", form))
                .get("labels")
                .get(0);
        assertThat(label.get("width").asDouble()).isEqualTo(85);
        assertThat(label.get("code").get("path").asString()).isNotEmpty();
    }

    @Test
    void aSheetOfOnesOwnIsMeasuredAndASlipIsToldAtItsField() {
        Map<String, Object> sheet = new HashMap<>(Map.of(
                "requestId", UUID.randomUUID(),
                "name", "Kraft tags",
                "pageWidth", "210 mm",
                "pageHeight", "297 mm",
                "left", "10 mm",
                "top", "12 mm",
                "labelWidth", "60 mm",
                "labelHeight", "40 mm",
                "stepAcross", "55 mm",
                "stepDown", "45 mm"));
        sheet.put("across", "3");
        sheet.put("down", "6");
        assertThat(APP.post("/api/price-tickets/sheets", sheet).on("stepAcross"))
                .contains("over one another");
        sheet.put("stepAcross", "71 mm");
        assertThat(APP.post("/api/price-tickets/sheets", sheet).on("across")).contains("right edge");
        sheet.put("stepAcross", "65 mm");
        String key = bench.ok(APP.post("/api/price-tickets/sheets", sheet))
                .get("key")
                .asString();
        JsonNode kept = bench.ok(APP.get("/api/price-tickets")).get("sheets").get(0);
        assertThat(kept.get("key").asString()).isEqualTo(key);
        assertThat(kept.get("stepAcross").asDouble()).isEqualTo(65);
        assertThat(APP.delete("/api/price-tickets/sheets/" + key.substring(4)).status())
                .isEqualTo(204);
    }

    @Test
    void aTicketWithoutAPriceAsksForNone() {
        bags("Priceless", "1", "9");
        Map<String, Object> form = form("SHEET", "LETTER_10", List.of(line("Priceless", "1", "")));
        form.remove("channelId");
        JsonNode label = bench.ok(APP.post("/api/price-tickets/preview", form))
                .get("labels")
                .get(0);
        assertThat(label.get("texts").valueStream().map(text -> text.get("text").asString()))
                .noneMatch(text -> text.contains("9.00"));
        form.put("channelId", usual);
        form.put("lines", List.of(line("Priceless", "0", "many")));
        Answer refused = APP.post("/api/price-tickets/preview", form);
        assertThat(refused.on("lines.0.units")).contains("0");
        assertThat(refused.on("lines.0.price")).contains("many");
    }

    @Test
    void whatALicenceSaysAgainstSellingIsToldAndItsCreditStandsOnTheTicket() {
        long pouch = bags("Borrowed pattern", "1", "9");
        assertThat(goods("Borrowed pattern").hasNonNull("licence")).isFalse();
        JsonNode stored = bench.ok(APP.get("/api/designs/" + pouch));
        var document =
                (tools.jackson.databind.node.ObjectNode) stored.get("document").deepCopy();
        document.set(
                "source",
                document.objectNode()
                        .put("licence", "NOT_FOR_SALE")
                        .put("designer", "Pat Tern")
                        .put("most", 0)
                        .put("credit", "Pattern by Pat Tern"));
        bench.ok(APP.put(
                "/api/designs/" + pouch, Map.of("version", stored.get("version").asLong(), "document", document)));
        assertThat(goods("Borrowed pattern").get("licence").asString()).contains("Pat Tern", "isn't for selling");
        JsonNode label = bench.ok(APP.post(
                        "/api/price-tickets/preview",
                        form("SHEET", "A4_24", List.of(line("Borrowed pattern", "1", "")))))
                .get("labels")
                .get(0);
        assertThat(label.get("texts").valueStream().map(text -> text.get("text").asString()))
                .contains("Pattern by Pat Tern");
    }
}
