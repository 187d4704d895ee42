package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mardun.app.RunningApp.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Quotes: set-ups spread over what is ordered, versions that stay, and one order with its batch of one that is accepted. */
class QuotesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;
    private static long pouch;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "900 yd");
        bench.ok(APP.put("/api/settings", APP.settings("INCH")));
        pouch = APP.pouch("Quoted pouch {ç}");
    }

    private static Map<String, Object> line(String units, String numbers) {
        List<Map<String, Object>> materials = new ArrayList<>();
        bench.shelf().forEach((slot, id) -> materials.add(Map.of("slot", slot, "materialId", id)));
        Map<String, Object> line = new HashMap<>(
                Map.of("designId", pouch, "sizeKey", "s2", "materials", materials, "units", units, "numbers", numbers));
        Stream.of("wish", "wishMinutes", "wishMaterial", "ownPrice").forEach(field -> line.put(field, ""));
        return line;
    }

    private static Map<String, Object> form(Map<String, Object> line) {
        Map<String, Object> form = new HashMap<>();
        form.put("requestId", UUID.randomUUID());
        form.put("version", 0);
        form.put("who", "Ida Maré");
        form.put("reach", "ida@example.org");
        form.put("by", LocalDate.now().plusDays(60).toString());
        form.put("favour", "NONE");
        form.put("deposit", "30");
        form.put("note", "");
        form.put("lines", List.of(line));
        return form;
    }

    private static JsonNode figures(Map<String, Object> form) {
        return bench.ok(APP.post("/api/quotes/preview", form));
    }

    private static long minor(JsonNode money) {
        return money.get("minor").asLong();
    }

    private static JsonNode step(JsonNode quote, String what, Map<String, Object> more) {
        Map<String, Object> form = new HashMap<>(more);
        form.put("version", quote.get("form").get("version").asLong());
        return bench.ok(APP.post("/api/quotes/" + quote.get("id").asLong() + "/" + what, form));
    }

    private static Map<String, Object> accept(JsonNode quote, int number, String units) {
        return new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "version",
                quote.get("form").get("version").asLong(),
                "number",
                number,
                "units",
                List.of(units)));
    }

    @Test
    void moreBagsSpreadTheSetUpsAndCostLessEach() {
        JsonNode figures = figures(form(line("6", "12, 24; 48 6")));
        JsonNode line = figures.get("lines").get(0);
        List<Long> costs = Stream.concat(Stream.of(line), line.get("byNumber").valueStream())
                .map(one -> minor(one.get("cost")))
                .toList();
        assertThat(line.get("byNumber")
                        .valueStream()
                        .map(one -> one.get("units").asInt()))
                .containsExactly(12, 24, 48);
        assertThat(costs).isSortedAccordingTo((one, other) -> Long.compare(other, one));
        assertThat(costs.get(0)).isGreaterThan(costs.get(3));
        assertThat(minor(figures.get("total"))).isEqualTo(6 * minor(line.get("pays")));
        assertThat(minor(figures.get("deposit")) + minor(figures.get("rest"))).isEqualTo(minor(figures.get("total")));
        assertThat(line.get("picture").get("parts")).as("the bag is drawn").isNotEmpty();
        assertThat(line.hasNonNull("photo")).isFalse();
        assertThat(figures.hasNonNull("likely"))
                .as("a maker without free hours promises no day")
                .isFalse();
    }

    @Test
    void aWishAndAFavourChangeTheFigures() {
        Map<String, Object> plain = line("12", "");
        JsonNode usual = figures(form(plain)).get("lines").get(0);
        Map<String, Object> wished = line("12", "");
        wished.put("wish", "a name on the label");
        wished.put("wishMinutes", "4");
        wished.put("wishMaterial", "0.50");
        JsonNode withWish = figures(form(wished)).get("lines").get(0);
        assertThat(minor(withWish.get("cost"))).isGreaterThan(minor(usual.get("cost")) + 50);
        assertThat(withWish.get("each").get("seconds").asLong()
                        - usual.get("each").get("seconds").asLong())
                .isBetween(239L, 241L);

        Map<String, Object> favour = form(plain);
        favour.put("favour", "AT_COST");
        JsonNode atCost = figures(favour);
        JsonNode line = atCost.get("lines").get(0);
        assertThat(minor(line.get("left"))).isNotNegative();
        assertThat(minor(atCost.get("given")))
                .isEqualTo(12 * (minor(line.get("usual")) - minor(line.get("price"))))
                .isPositive();
    }

    @Test
    void whatIsTypedWrongIsToldAtItsField() {
        Map<String, Object> line = line("no", "6, many");
        line.put("wishMinutes", "-1");
        line.put("ownPrice", "9999999999");
        Map<String, Object> form = form(line);
        form.put("who", " ");
        form.put("deposit", "130");
        Answer refused = APP.post("/api/quotes/preview", form);
        assertThat(refused.status()).isEqualTo(422);
        Stream.of("lines.0.units", "lines.0.numbers", "lines.0.wishMinutes", "lines.0.ownPrice", "who", "deposit")
                .forEach(field -> assertThat(refused.on(field)).as(field).isNotEmpty());
        Map<String, Object> many = form(line("1", "2 3 4 5 6 7 8 9"));
        assertThat(APP.post("/api/quotes/preview", many).on("lines.0.numbers")).contains("at most 6");
    }

    @Test
    void aBagWithoutItsMaterialSaysSoAndIsNotGiven() {
        Map<String, Object> line = line("6", "");
        line.put("materials", List.of());
        JsonNode quote = bench.ok(APP.post("/api/quotes", form(line)));
        assertThat(quote.get("figures").get("lines").get(0).get("problem").asString())
                .isNotEmpty();
        Answer refused = APP.post(
                "/api/quotes/" + quote.get("id").asLong() + "/give",
                Map.of("version", quote.get("form").get("version").asLong()));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("Quoted pouch");
    }

    @Test
    void aVersionStaysAsItWasGivenAndIsReadOnPaper() throws Exception {
        bench.ok(APP.put(
                "/api/quotes/paper",
                Map.of(
                        "version",
                        bench.ok(APP.get("/api/quotes/paper")).get("version").asLong(),
                        "heading",
                        "Sandpiper Bags\n3 Quay Lane",
                        "terms",
                        "The law of your place holds.",
                        "deposit",
                        "25",
                        "validDays",
                        "14")));
        Map<String, Object> form = form(line("6", "12"));
        JsonNode quote = step(bench.ok(APP.post("/api/quotes", form)), "give", Map.of());
        assertThat(quote.get("state").asString()).isEqualTo("GIVEN");
        assertThat(quote.get("changed").asBoolean()).isFalse();
        String first = paper(quote, 1);
        assertThat(first)
                .contains("Sandpiper Bags", "3 Quay Lane", "Ida Mar\u00e9", "Quoted pouch {ç}", "6 at ", "12 at ")
                .contains("The law of your place holds.", "Deposit");

        Map<String, Object> changed = form(line("8", ""));
        changed.put("version", quote.get("form").get("version").asLong());
        JsonNode again = bench.ok(APP.put("/api/quotes/" + quote.get("id").asLong(), changed));
        assertThat(again.get("changed").asBoolean()).isTrue();
        JsonNode second = step(again, "give", Map.of());
        assertThat(second.get("versions").size()).isEqualTo(2);
        assertThat(paper(second, 1)).isEqualTo(first);
        assertThat(paper(second, 2)).contains("Version 2");
        assertThat(APP.put("/api/quotes/" + quote.get("id").asLong(), changed).status())
                .as("from an older state")
                .isEqualTo(409);
    }

    private static String paper(JsonNode quote, int number) throws IOException, InterruptedException {
        byte[] pdf = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/quotes/"
                                        + quote.get("id").asLong() + "/versions/" + number + "/quote.pdf"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void acceptedTwiceItIsOneOrderAndOneBatchAtTheAgreedPrice() {
        JsonNode quote = step(bench.ok(APP.post("/api/quotes", form(line("6", "12")))), "give", Map.of());
        String path = "/api/quotes/" + quote.get("id").asLong() + "/accept";
        assertThat(APP.post(path, accept(quote, 1, "7")).on("units.0")).contains("6, 12");

        Map<String, Object> form = accept(quote, 1, "12");
        int before = batches();
        List<CompletableFuture<Answer>> both = List.of(
                CompletableFuture.supplyAsync(() -> APP.post(path, form)),
                CompletableFuture.supplyAsync(() -> APP.post(path, form)));
        both.forEach(one -> bench.ok(one.join()));
        assertThat(batches()).isEqualTo(before + 1);

        JsonNode accepted = bench.ok(APP.get("/api/quotes/" + quote.get("id").asLong()));
        JsonNode order = accepted.get("order");
        JsonNode batch = bench.ok(APP.get("/api/batches/" + order.get("batchId").asLong()));
        assertThat(batch.get("forWhat").asString()).contains("Order", "Ida Maré");
        JsonNode line = batch.get("lines").get(0);
        assertThat(line.get("started").asInt()).isEqualTo(12);
        long agreed = minor(
                quote.get("figures").get("lines").get(0).get("byNumber").get(0).get("pays"));
        assertThat(minor(order.get("total"))).isEqualTo(12 * agreed);
        assertThat(order.hasNonNull("depositPaidOn")).isFalse();
        JsonNode paid = bench.ok(APP.post(
                "/api/orders/" + order.get("id").asLong() + "/deposit",
                Map.of("version", order.get("version").asLong(), "paid", true)));
        assertThat(paid.get("depositPaidOn").asString())
                .isEqualTo(LocalDate.now().toString());
        assertThat(APP.post(path, accept(accepted, 1, "6")).detail()).contains("was accepted");
    }

    private static int batches() {
        return bench.ok(APP.get("/api/batches?size=1")).get("total").asInt();
    }

    @Test
    void aDeclinedOneKeepsItsReasonAndCanBeOpenedAgain() {
        JsonNode quote = step(bench.ok(APP.post("/api/quotes", form(line("3", "")))), "give", Map.of());
        JsonNode declined = step(quote, "decline", Map.of("reason", "found it cheaper"));
        assertThat(declined.get("state").asString()).isEqualTo("DECLINED");
        assertThat(declined.get("reason").asString()).isEqualTo("found it cheaper");
        JsonNode open = step(declined, "open-again", Map.of());
        assertThat(open.get("state").asString()).isEqualTo("GIVEN");
        assertThat(bench.ok(APP.get("/api/quotes")).get(0).get("about").asString())
                .contains("3 × Quoted pouch");
    }

    @Test
    void aMaterialThatAQuoteWaitsWithIsNotRemoved() {
        long cloth = APP.enter(APP.cloth("Only quoted {ç}", "44 in", "9.00", ""));
        Map<String, Object> line = line("2", "");
        line.put("materials", List.of(Map.of("slot", "outer", "materialId", cloth)));
        JsonNode quote = bench.ok(APP.post("/api/quotes", form(line)));
        assertThat(APP.delete("/api/materials/" + cloth + "?version=0").detail())
                .contains("Quote " + quote.get("id").asLong() + " for Ida Mar\u00e9");
        step(quote, "decline", Map.of("reason", ""));
        assertThat(APP.delete("/api/materials/" + cloth + "?version=0").status())
                .isEqualTo(204);
    }

    @Test
    void aQuoteFollowsItsSizeByItsKeyAndIsReadEvenWhenTheSizeIsGone() {
        long other = APP.pouch("Renamed under a quote");
        Map<String, Object> line = line("2", "");
        line.put("designId", other);
        JsonNode quote = bench.ok(APP.post("/api/quotes", form(line)));
        assertThat(size(quote)).isEqualTo("medium");
        changeSizes(other, "medium", "middle");
        JsonNode renamed = bench.ok(APP.get("/api/quotes/" + quote.get("id").asLong()));
        assertThat(size(renamed)).isEqualTo("middle");
        assertThat(renamed.hasNonNull("trouble")).isFalse();

        Map<String, Object> gone = line("2", "");
        gone.put("sizeKey", "s99");
        assertThat(APP.post("/api/quotes/preview", form(gone)).on("lines.0.sizeKey"))
                .contains("no longer");
    }

    private static String size(JsonNode quote) {
        return quote.get("figures").get("lines").get(0).get("size").asString();
    }

    private static void changeSizes(long design, String from, String to) {
        JsonNode stored = bench.ok(APP.get("/api/designs/" + design));
        var document =
                (tools.jackson.databind.node.ObjectNode) stored.get("document").deepCopy();
        var sizes = document.putArray("sizes");
        stored.get("document")
                .get("sizes")
                .forEach(size -> sizes.add(size.asString().equals(from) ? to : size.asString()));
        bench.ok(APP.put(
                "/api/designs/" + design,
                Map.of("version", stored.get("version").asLong(), "document", document)));
    }

    @Test
    void whatIsStoredIsShownWithWhatIsWrongWithItWhenItCannotBeWorkedOutAnyMore() {
        long other = APP.pouch("Losing a size");
        Map<String, Object> line = line("2", "");
        line.put("designId", other);
        line.put("sizeKey", "s1");
        JsonNode quote = bench.ok(APP.post("/api/quotes", form(line)));
        JsonNode stored = bench.ok(APP.get("/api/designs/" + other));
        int sizes = stored.get("document").get("sizes").size();
        JsonNode without = bench.ok(APP.post(
                "/api/designs/arranged",
                Map.of(
                        "document",
                        stored.get("document"),
                        "order",
                        IntStream.range(1, sizes).boxed().toList())));
        bench.ok(APP.put(
                "/api/designs/" + other, Map.of("version", stored.get("version").asLong(), "document", without)));
        JsonNode read = bench.ok(APP.get("/api/quotes/" + quote.get("id").asLong()));
        assertThat(read.get("trouble").asString()).contains("no longer");
        assertThat(read.hasNonNull("figures")).isFalse();
        assertThat(read.get("form").get("who").asString()).isEqualTo("Ida Mar\u00e9");
    }

    @Test
    void theDepositOfAnotherNumberIsTheShareThatWasSaid() {
        Map<String, Object> form = form(line("3", "7"));
        form.put("deposit", "33.3");
        JsonNode quote = step(bench.ok(APP.post("/api/quotes", form)), "give", Map.of());
        bench.ok(APP.post("/api/quotes/" + quote.get("id").asLong() + "/accept", accept(quote, 1, "7")));
        JsonNode order =
                bench.ok(APP.get("/api/quotes/" + quote.get("id").asLong())).get("order");
        long total = minor(order.get("total"));
        assertThat(minor(order.get("deposit"))).isEqualTo((total * 333 + 999) / 1000);
    }

    @Test
    void aQuoteThatWouldBeOverAlreadyIsNotGiven() {
        Map<String, Object> form = form(line("1", ""));
        form.put("validUntil", LocalDate.now().minusDays(1).toString());
        JsonNode quote = bench.ok(APP.post("/api/quotes", form));
        assertThat(APP.post(
                                "/api/quotes/" + quote.get("id").asLong() + "/give",
                                Map.of(
                                        "version",
                                        quote.get("form").get("version").asLong()))
                        .detail())
                .contains("which is over");
    }
}
