package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Channels with their terms, the schools, the price book, and what a price leaves, over HTTP. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PricesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;
    private static long pouch;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "90 yd");
        pouch = APP.pouch("Priced pouch {ç}");
        fill(pouch, bench.shelf());
    }

    /** Puts materials in a design's slots. */
    private static void fill(long pouch, Map<String, Long> materials) {
        JsonNode document = bench.ok(APP.get("/api/designs/" + pouch));
        Map<String, Object> form = new HashMap<>();
        form.put("version", document.get("version").asLong());
        var typed = (tools.jackson.databind.node.ObjectNode)
                document.get("document").deepCopy();
        typed.get("slots").forEach(slot -> {
            Long material = materials.get(slot.get("key").asString());
            if (material != null) {
                ((tools.jackson.databind.node.ObjectNode) slot).put("materialId", material);
            }
        });
        form.put("document", typed);
        bench.ok(APP.put("/api/designs/" + pouch, form));
    }

    private static Map<String, Object> fee(String name, String basis, String amount) {
        Map<String, Object> fee = new HashMap<>(Map.of("name", name, "basis", basis, "amount", amount));
        List.of("above", "then", "least", "most").forEach(field -> fee.put(field, ""));
        fee.put("likelihood", "100");
        return fee;
    }

    private static Map<String, Object> channel(String name, Object... fees) {
        Map<String, Object> form = new HashMap<>(
                Map.of("version", 0, "name", name, "kind", "BUYERS", "fees", List.of(fees), "taxMode", "NONE"));
        form.put("taxRate", "");
        form.put("unitsPerSale", "1");
        List.of("postagePaid", "postage", "packing", "packingMinutes").forEach(field -> form.put(field, ""));
        return form;
    }

    private static Answer add(Map<String, Object> terms) {
        return APP.post("/api/channels", Map.of("requestId", UUID.randomUUID(), "terms", terms));
    }

    private static Map<String, Object> place(String size, long channel) {
        return Map.of("designId", pouch, "sizeKey", size, "channelId", channel);
    }

    private static Answer set(String size, long channel, String price, String reason) {
        return APP.post(
                "/api/prices",
                Map.of("prices", List.of(Map.of("place", place(size, channel), "price", price)), "reason", reason));
    }

    private static JsonNode row(JsonNode book, String size) {
        return book.get("rows")
                .valueStream()
                .filter(row -> row.get("designId").asLong() == pouch
                        && row.get("size").asString().equals(size))
                .findFirst()
                .orElseThrow();
    }

    private static long usual() {
        return bench.ok(APP.get("/api/prices/choice")).get("usualChannel").asLong();
    }

    private static String medium() {
        return row(bench.ok(APP.get("/api/prices/book")), "medium")
                .get("sizeKey")
                .asString();
    }

    @Test
    @Order(1)
    void theStallOfTheSettingsIsTheFirstChannel() {
        JsonNode channels = bench.ok(APP.get("/api/channels"));
        assertThat(channels).hasSize(1);
        assertThat(channels.get(0).get("usual").asBoolean()).isTrue();
        assertThat(channels.get(0).get("terms").get("name").asString()).isEqualTo("the stall");
    }

    @Test
    @Order(2)
    void aChannelKeepsTheTermsThatItHad() {
        Answer made = add(channel("Online {shop}", fee("share", "SHARE", "6,5"), fee("listing", "UNIT", "0.20")));
        JsonNode shop = bench.ok(made);
        assertThat(shop.get("says").asString()).isEqualTo("share 6.5 %; listing 0.20 a bag");
        assertThat(shop.get("former")).isEmpty();
        Map<String, Object> twice = Map.of("requestId", UUID.randomUUID(), "terms", channel("Sent twice"));
        assertThat(APP.post("/api/channels", twice).id())
                .isEqualTo(APP.post("/api/channels", twice).id());
        Map<String, Object> dearer = channel("Online {shop}", fee("share", "SHARE", "8"));
        dearer.put("packingMinutes", "6");
        JsonNode changed = bench.ok(APP.put("/api/channels/" + shop.get("id").asLong(), dearer));
        assertThat(changed.get("former").get(0).get("says").asString()).isEqualTo("share 6.5 %; listing 0.20 a bag");
        assertThat(APP.put("/api/channels/" + shop.get("id").asLong(), dearer).status())
                .as("it was changed meanwhile")
                .isEqualTo(409);
        assertThat(add(channel("online {SHOP}")).on("name")).contains("called “Online {shop}” already");
    }

    @Test
    @Order(3)
    void whatIsNoFeeIsToldAtItsField() {
        Map<String, Object> all = channel("Bad", fee("share", "SHARE", "100"), fee("", "SALE", "much"));
        all.put("taxMode", "INCLUDED");
        all.put("taxRate", "-5");
        all.put("unitsPerSale", "0");
        all.put("postage", "9999999999");
        Answer refused = add(all);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("fees.0.amount")).contains("“100”");
        assertThat(refused.on("fees.1.name")).contains("This is empty");
        assertThat(refused.on("fees.1.amount")).contains("“much”");
        assertThat(refused.on("taxRate")).contains("“-5”");
        assertThat(refused.on("unitsPerSale")).contains("“0”");
        assertThat(refused.on("postage")).contains("“9999999999”");
        Map<String, Object> crossed = fee("share", "SHARE", "5");
        crossed.put("least", "3");
        crossed.put("most", "2");
        assertThat(add(channel("Crossed", crossed)).on("fees.0.most")).contains("can't be both");
    }

    @Test
    @Order(4)
    void theSchoolIsChosenWithItsFigures() {
        JsonNode form = bench.ok(APP.get("/api/prices/choice"));
        Map<String, Object> choice = new HashMap<>();
        form.properties().forEach(field -> choice.put(field.getKey(), field.getValue()));
        choice.put("school", "HOURLY");
        choice.put("leastRate", "32");
        choice.put("point", "OWN");
        choice.put("own", "8; 12; 17,50");
        JsonNode chosen = bench.ok(APP.put("/api/prices/choice", choice));
        assertThat(chosen.get("own").asString()).isEqualTo("8.00; 12.00; 17.50");
        assertThat(APP.put("/api/prices/choice", choice).status()).isEqualTo(409);
        choice.put("version", chosen.get("version").asLong());
        choice.put("factor", "0");
        choice.put("own", "");
        choice.put("margin", "100");
        Answer refused = APP.put("/api/prices/choice", choice);
        assertThat(refused.on("factor")).contains("“0”");
        assertThat(refused.on("own")).contains("parted by semicolons");
        assertThat(refused.on("margin")).contains("“100”");
        choice.put("factor", "2");
        choice.put("margin", "30");
        choice.put("school", "MARKET");
        choice.put("point", "HALF");
        assertThat(APP.put("/api/prices/choice", choice).on("school")).contains("looked up");
        choice.put("school", "MATERIALS_AND_LABOUR");
        choice.put("leastRate", "");
        assertThat(APP.put("/api/prices/choice", choice).status()).isEqualTo(200);
    }

    /** A sort of bags may be priced by a school of its own: in the book, on its sheet, in a batch. */
    @Test
    @Order(4)
    void aSortOfBagsHasItsOwnSchool() {
        String usual = suggested();
        JsonNode chosen = bench.ok(APP.put("/api/prices/choice", choosing("TRADE")));
        assertThat(chosen.get("sorts").get(0).get("sort").asString()).isEqualTo("pouch");
        assertThat(chosen.get("sorts").get(0).get("school").asString()).isEqualTo("TRADE");
        String byTrade = suggested();
        assertThat(byTrade).isNotEqualTo(usual);
        assertThat(sheet(medium()).get("suggested").get("amount").asString()).isEqualTo(byTrade);
        assertThat(APP.put("/api/prices/choice", choosing("MARKET")).on("sorts.0.school"))
                .contains("looked up");
        bench.ok(APP.put("/api/prices/choice", choosing(null)));
        assertThat(suggested()).isEqualTo(usual);
    }

    private static String suggested() {
        return row(bench.ok(APP.get("/api/prices/book")), "medium")
                .get("suggested")
                .get("amount")
                .asString();
    }

    private static Map<String, Object> choosing(@Nullable String school) {
        Map<String, Object> choice = new HashMap<>();
        bench.ok(APP.get("/api/prices/choice"))
                .properties()
                .forEach(field -> choice.put(field.getKey(), field.getValue()));
        Map<String, Object> sort = new HashMap<>(Map.of("sort", "Pouch"));
        sort.put("school", school);
        choice.put("sorts", List.of(sort));
        return choice;
    }

    /** The sum a year from which tax is due is the maker's to say; the book tells when the year's sales come near it. */
    @Test
    @Order(4)
    void theSumFromWhichTaxIsDueIsWatched() {
        Map<String, Object> choice = choosing(null);
        choice.put("taxThreshold", "0");
        assertThat(APP.put("/api/prices/choice", choice).on("taxThreshold")).contains("leave this empty");
        choice.put("taxThreshold", "many");
        assertThat(APP.put("/api/prices/choice", choice).on("taxThreshold")).contains("“many”");
        choice.put("taxThreshold", "22 000");
        assertThat(bench.ok(APP.put("/api/prices/choice", choice))
                        .get("taxThreshold")
                        .asString())
                .isEqualTo("22000.00");
        assertThat(bench.ok(APP.get("/api/prices/book")).hasNonNull("tax"))
                .as("nothing is sold yet")
                .isFalse();
    }

    /** A price that is set holds for tickets and next batches until it is taken away; its history stays. */
    @Test
    @Order(5)
    void aSetPriceHolds() {
        String medium = medium();
        JsonNode before = row(bench.ok(APP.get("/api/prices/book")), "medium");
        assertThat(before.get("own").asBoolean()).isFalse();
        assertThat(before.get("price")).isEqualTo(before.get("suggested"));
        JsonNode book = bench.ok(set(medium, usual(), "17,50", "as others do"));
        JsonNode row = row(book, "medium");
        assertThat(row.get("own").asBoolean()).isTrue();
        assertThat(row.get("price").get("amount").asString()).isEqualTo("17.50");
        assertThat(row.get("reason").asString()).isEqualTo("as others do");
        assertThat(row(book, "small").get("own").asBoolean()).isFalse();

        long batch = bench.batch(pouch, "4");
        assertThat(priceOf(batch)).isEqualTo("17.50");
        bench.cut(batch);
        bench.ok(set(medium, usual(), "19", "sold out"));
        assertThat(priceOf(batch)).as("its cloth was cut at the old price").isEqualTo("17.50");
        assertThat(priceOf(bench.batch(pouch, "2"))).isEqualTo("19.00");

        bench.ok(set(medium, usual(), "", ""));
        assertThat(row(bench.ok(APP.get("/api/prices/book")), "medium").get("price"))
                .isEqualTo(before.get("price"));
        JsonNode history = sheet(medium).get("history");
        assertThat(history).hasSize(3);
        assertThat(history.get(0).hasNonNull("price")).isFalse();
        assertThat(history.get(2).get("price").get("amount").asString()).isEqualTo("17.50");
        assertThat(set(medium, usual(), "many", "").on("prices.0.price")).contains("“many”");
        assertThat(set("none", usual(), "3", "").status()).isEqualTo(404);
    }

    private static String priceOf(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch))
                .get("sheet")
                .get("lines")
                .get(0)
                .get("ticket")
                .get("price")
                .get("amount")
                .asString();
    }

    private static JsonNode sheet(String size) {
        return bench.ok(APP.get("/api/prices/sheet?design=" + pouch + "&size=" + size));
    }

    /** 15 % of material and labour come on top of what an hour bears; the page says so, and without them it costs what it did. */
    @Test
    @Order(8)
    void overheadsMayBeAShareOfMaterialAndLabour() {
        long before = overheads(sheet(medium()));
        JsonNode parts = sheet(medium()).get("parts");
        long others = 0;
        for (JsonNode part : parts) {
            String name = part.get("name").asString();
            others += name.equals("overheads") || name.equals("spoiled")
                    ? 0
                    : part.at("/cost/value/minor").asLong();
        }
        assertThat(share("much").on("overheadShare")).contains("much");
        assertThat(share("-3").on("overheadShare")).contains("less than 0");
        assertThat(share("100").on("overheadShare")).contains("more than");
        assertThat(bench.ok(share("15")).get("overheadShare").asString()).isEqualTo("15");
        assertThat(overheads(sheet(medium())))
                .isBetween(before + others * 15 / 100 - 1, before + others * 15 / 100 + 1);
        bench.ok(share(""));
        assertThat(overheads(sheet(medium()))).isEqualTo(before);
    }

    private static long overheads(JsonNode sheet) {
        return sheet.get("parts")
                .valueStream()
                .filter(part -> part.get("name").asString().equals("overheads"))
                .findFirst()
                .orElseThrow()
                .at("/cost/value/minor")
                .asLong();
    }

    private static Answer share(String percent) {
        var settings = (tools.jackson.databind.node.ObjectNode)
                APP.get("/api/settings").body();
        return APP.put("/api/settings", settings.put("overheadShare", percent));
    }

    /** 12 minutes of packing a sale at 30.00 an hour are 6.00, 6 minutes of listing a bag at 10.00 are 1.00. */
    @Test
    @Order(9)
    void packingPhotographingAndListingHaveRatesOfTheirOwn() {
        Map<String, Object> posted = channel("By post {ç}");
        posted.put("packingMinutes", "12");
        posted.put("listingMinutes", "often");
        assertThat(add(posted).on("listingMinutes")).contains("often");
        posted.put("listingMinutes", "6");
        JsonNode channel = bench.ok(add(posted));
        assertThat(channel.get("says").asString()).contains("photographing and listing 6 min a bag");
        long id = channel.get("id").asLong();
        var choice = (tools.jackson.databind.node.ObjectNode) bench.ok(APP.get("/api/prices/choice"));
        choice.set("rates", choice.objectNode().put("PACKING", "30").put("LISTING", "10"));
        var kept = (tools.jackson.databind.node.ObjectNode) bench.ok(APP.put("/api/prices/choice", choice));
        assertThat(taken(id, "packing, 12 min")).isEqualTo(600);
        assertThat(taken(id, "photographing and listing, 6 min")).isEqualTo(100);
        kept.set("rates", choice.objectNode());
        bench.ok(APP.put("/api/prices/choice", kept));
    }

    private static long taken(long channel, String fee) {
        JsonNode curve = bench.ok(
                        APP.get("/api/prices/sheet?design=" + pouch + "&size=" + medium() + "&channel=" + channel))
                .get("curve");
        JsonNode lines = curve.get(curve.size() - 1).get("lines");
        return lines.valueStream()
                .filter(line -> line.get("name").asString().equals(fee))
                .findFirst()
                .orElseThrow()
                .get("amount")
                .get("minor")
                .asLong();
    }

    /** Three of a set for 40.00 are 13.33 each; what was taken back wasn't sold. */
    @Test
    @Order(7)
    void theSheetTellsAtWhichPricesItWasSold() throws InterruptedException {
        assertThat(sheet(medium()).get("sold")).isEmpty();
        AtTheStall at = new AtTheStall(APP);
        String kind = AtTheStall.kind("Priced pouch {ç}", "medium");
        at.bags("Priced pouch {ç},medium,9,4.00,15.00,home");
        long fair = at.fair("Market of prices", LocalDate.now());
        at.pack(fair, kind, 9);
        Map<String, Object> taken = AtTheStall.sale("CASH", 1900, List.of(AtTheStall.bag(kind, 1, 1900)));
        at.tell(
                fair,
                UUID.randomUUID(),
                List.of(
                        AtTheStall.sale("CASH", 1500, List.of(AtTheStall.bag(kind, 1, 1500))),
                        AtTheStall.sale("CASH", 3000, List.of(AtTheStall.bag(kind, 2, 1500))),
                        AtTheStall.sale("CASH", 4000, List.of(AtTheStall.bag(kind, 3, 1333))),
                        taken,
                        AtTheStall.about("UNDONE", taken)));
        JsonNode sold = sheet(medium()).get("sold");
        assertThat(sold.valueStream()
                        .map(one -> one.get("price").get("amount").asString() + " × "
                                + one.get("units").asInt()))
                .containsExactly("13.33 × 3", "15.00 × 3");
    }

    /** The parts add up to the cost, every price of the curve to what it leaves, and dearer is never less. */
    @Test
    @Order(6)
    void theSheetAddsUp() {
        JsonNode sheet = sheet(medium());
        long cost = sheet.get("cost").get("value").get("minor").asLong();
        assertThat(sheet.get("parts")
                        .valueStream()
                        .mapToLong(part ->
                                part.get("cost").get("value").get("minor").asLong())
                        .sum())
                .isEqualTo(cost);
        assertThat(sheet.get("schools")).hasSize(5);
        long last = Long.MIN_VALUE;
        for (JsonNode point : sheet.get("curve")) {
            long off = point.get("lines")
                    .valueStream()
                    .mapToLong(line -> line.get("amount").get("minor").asLong())
                    .sum();
            long left = point.get("left").get("minor").asLong();
            assertThat(point.get("price").get("minor").asLong() - off - cost).isEqualTo(left);
            assertThat(left).isGreaterThanOrEqualTo(last);
            last = left;
        }
        assertThat(sheet.get("curve").valueStream())
                .filteredOn(point -> point.get("price").equals(sheet.get("breakEven")))
                .singleElement()
                .satisfies(point ->
                        assertThat(point.get("left").get("minor").asLong()).isZero());
        assertThat(sheet.get("anHour")).hasSizeBetween(3, 5);
    }

    @Test
    @Order(7)
    void whatOthersAskIsTheMarket() {
        UUID id = UUID.randomUUID();
        Map<String, Object> seen =
                new HashMap<>(Map.of("id", id, "designId", pouch, "what", "a pouch ✂", "where", "fair", "price", "24"));
        assertThat(APP.post("/api/prices/seen", seen).status()).isEqualTo(204);
        assertThat(APP.post("/api/prices/seen", seen).status()).isEqualTo(204);
        JsonNode sheet = sheet(medium());
        assertThat(sheet.get("seen")).hasSize(1);
        assertThat(sheet.get("schools")).hasSize(6);
        assertThat(sheet.get("schools").get(5).get("price").get("amount").asString())
                .isEqualTo("24.00");
        assertThat(APP.delete("/api/prices/seen/" + id).status()).isEqualTo(204);
        assertThat(sheet(medium()).get("seen")).isEmpty();
    }

    @Test
    @Order(8)
    void manyPricesGoUpTogetherAfterALook() {
        String medium = medium();
        long channel = usual();
        bench.ok(set(medium, channel, "12", ""));
        Map<String, Object> step = new HashMap<>(Map.of(
                "places",
                List.of(place(medium, channel)),
                "points",
                1,
                "percent",
                "",
                "reason",
                "all up",
                "keep",
                false));
        JsonNode look = bench.ok(APP.post("/api/prices/step", step));
        assertThat(look.get(0).get("before").get("amount").asString()).isEqualTo("12.00");
        assertThat(look.get(0).get("after").get("amount").asString()).isEqualTo("12.50");
        assertThat(row(bench.ok(APP.get("/api/prices/book")), "medium")
                        .get("price")
                        .get("amount")
                        .asString())
                .as("only looked at")
                .isEqualTo("12.00");
        step.put("points", 0);
        step.put("percent", "10");
        JsonNode dearer = bench.ok(APP.post("/api/prices/step", step));
        bench.ok(set(medium, channel, dearer.get(0).get("after").get("amount").asString(), "all up"));
        JsonNode row = row(bench.ok(APP.get("/api/prices/book")), "medium");
        assertThat(row.get("price").get("amount").asString())
                .as("13.20 to the next half")
                .isEqualTo("13.50");
        assertThat(row.get("reason").asString()).isEqualTo("all up");
    }

    @Test
    @Order(9)
    void whatIfNothingIsKept() {
        String path = "/api/prices/what-if?design=" + pouch + "&size=" + medium() + "&price=17.50";
        JsonNode same = bench.ok(APP.get(path));
        assertThat(same.get("changed")).isEmpty();
        assertThat(same.get("then")).isEqualTo(same.get("now"));
        JsonNode otherwise = bench.ok(APP.get(path + "&material=12,5&faster=3&rate=25&units=48"));
        assertThat(otherwise.get("changed").valueStream().map(JsonNode::asString))
                .containsExactly(
                        "made 48 at a time and not "
                                + same.get("now").get("units").asInt(),
                        "material dearer by 12.5 %",
                        "3 min faster each",
                        "an hour at 25.00");
        assertThat(otherwise.get("now")).isEqualTo(same.get("now"));
        assertThat(otherwise.get("then").get("perHour").get("minor").asLong())
                .isGreaterThan(same.get("now").get("perHour").get("minor").asLong());
        Answer refused = APP.get(path + "&material=-95&faster=soon&units=0");
        assertThat(refused.on("material")).contains("“-95”");
        assertThat(refused.on("faster")).contains("“soon”");
        assertThat(refused.on("units")).contains("“0”");
    }

    @Test
    @Order(10)
    void theUsualChannelStays() {
        JsonNode channels = bench.ok(APP.get("/api/channels"));
        JsonNode stall = channels.get(0);
        String path = "/api/channels/" + stall.get("id").asLong() + "/away";
        long version = stall.get("terms").get("version").asLong();
        assertThat(APP.put(path, Map.of("version", version, "putAway", true)).detail())
                .contains("the usual one first");
        JsonNode shop = channels.get(1);
        JsonNode away = bench.ok(APP.put(
                "/api/channels/" + shop.get("id").asLong() + "/away",
                Map.of("version", shop.get("terms").get("version").asLong(), "putAway", true)));
        assertThat(away.get("putAway").asBoolean()).isTrue();
        JsonNode form = bench.ok(APP.get("/api/prices/choice"));
        Map<String, Object> choice = new HashMap<>();
        form.properties().forEach(field -> choice.put(field.getKey(), field.getValue()));
        choice.put("usualChannel", shop.get("id").asLong());
        assertThat(APP.put("/api/prices/choice", choice).on("usualChannel")).contains("is put away");
    }

    @Test
    void theYearlySheetIsSpreadOverTheHoursAndReckonedWithOnlyWhenWanted() {
        JsonNode before = bench.ok(APP.get("/api/prices/overheads"));
        String now = before.get("now").get("amount").asString();
        Map<String, Object> form = new HashMap<>(Map.of(
                "version",
                before.get("form").get("version").asLong(),
                "hours",
                "",
                "lines",
                List.of(
                        Map.of("name", "insurance", "amount", "240"),
                        Map.of("name", "needles and blades", "amount", "60")),
                "take",
                true));
        assertThat(APP.put("/api/prices/overheads", form).detail())
                .as("nothing is logged yet")
                .contains("Too few hours are logged");
        form.put("hours", "8761");
        assertThat(APP.put("/api/prices/overheads", form).on("hours")).contains("8761");
        form.put("hours", "200");
        form.put("take", false);
        JsonNode kept = bench.ok(APP.put("/api/prices/overheads", form));
        assertThat(kept.get("perHour").get("amount").asString()).isEqualTo("1.50");
        assertThat(kept.get("now").get("amount").asString()).isEqualTo(now);
        assertThat(APP.put("/api/prices/overheads", form).status())
                .as("from an older state")
                .isEqualTo(409);
        form.put("version", kept.get("form").get("version").asLong());
        form.put("take", true);
        JsonNode taken = bench.ok(APP.put("/api/prices/overheads", form));
        assertThat(taken.get("now").get("amount").asString()).isEqualTo("1.50");
    }

    @Test
    void aSetFreePostageAndTheLastOneOfTheDay() {
        long shop = add(channel("Posted shop {ç}", fee("shop", "SHARE", "10"))).id();
        String asked = "/api/prices/bargains?design=" + pouch + "&size=" + medium() + "&channel=" + shop + "&price=20";
        JsonNode nothing = bench.ok(APP.get(asked));
        assertThat(nothing.hasNonNull("together")).isFalse();
        assertThat(nothing.hasNonNull("postedFree")).as("nobody pays postage").isFalse();
        JsonNode both =
                bench.ok(APP.get(asked + "&units=3&together=50&later=" + shop + "&laterPrice=20&likelihood=50"));
        assertThat(both.get("leastToday").get("amount").asString()).isEqualTo("10.00");
        assertThat(both.get("together").get("left").get("minor").asLong())
                .as("45.00 of three is 15.00 each, less what it costs")
                .isEqualTo(1_500 - minorCost());
        assertThat(APP.get(asked + "&units=0&together=50").on("units")).contains("0");
        assertThat(APP.get(asked + "&later=" + shop + "&laterPrice=20&likelihood=101")
                        .on("likelihood"))
                .contains("101");
    }

    private static long minorCost() {
        return row(bench.ok(APP.get("/api/prices/book")), "medium")
                .get("cost")
                .get("minor")
                .asLong();
    }

    @Test
    void whatWasGivenIsShownAtNothingAndAtWhatItWouldHaveCost() {
        assertThat(bench.ok(APP.get("/api/prices/sheet?design=" + pouch + "&size=" + medium()))
                        .hasNonNull("given"))
                .as("all of it was bought")
                .isFalse();
        long gift = APP.enter(APP.cloth("A gift {ç}", "44 in", "12.00", ""));
        Map<String, Object> came = new HashMap<>(
                Map.of("requestId", UUID.randomUUID(), "kind", "GIVEN", "amount", "20 yd", "reason", "from a friend"));
        bench.ok(APP.post("/api/materials/" + gift + "/movements", came));
        long given = APP.pouch("Pouch of a gift");
        Map<String, Long> materials = new HashMap<>(bench.shelf());
        materials.put("outer", gift);
        fill(given, materials);
        JsonNode sheet = bench.ok(APP.get("/api/prices/sheet?design=" + given + "&size=" + medium()));
        JsonNode other = sheet.get("given");
        long cost = sheet.get("cost").get("value").get("minor").asLong();
        assertThat(other.get("costsNothing").asBoolean()).isFalse();
        assertThat(other.get("cost").get("minor").asLong()).isLessThan(cost);
        assertThat(other.get("prices").size()).isEqualTo(sheet.get("schools").size());
    }

    @Test
    void aKindOfWorkThatIsPaidOtherwiseChangesWhatBagsCost() {
        var choice = (tools.jackson.databind.node.ObjectNode) bench.ok(APP.get("/api/prices/choice"));
        assertThat(choice.get("rates").get("SEWING").asString()).isEmpty();
        long before = minorCost();
        choice.set("rates", choice.objectNode().put("SEWING", "-4").put("CUTTING", ""));
        assertThat(APP.put("/api/prices/choice", choice).on("rates.SEWING")).contains("-4");
        choice.set("rates", choice.objectNode().put("SEWING", "45").put("CUTTING", ""));
        JsonNode dearer = bench.ok(APP.put("/api/prices/choice", choice));
        assertThat(minorCost()).isGreaterThan(before);
        JsonNode sheet = bench.ok(APP.get("/api/prices/sheet?design=" + pouch + "&size=" + medium()));
        assertThat(sheet.get("parts").toString()).contains("an hour of sewing");
        assertThat(oneRate())
                .as("the ticket names no rate that isn't that of all work")
                .isFalse();
        var back = (tools.jackson.databind.node.ObjectNode) dearer.deepCopy();
        back.set("rates", choice.objectNode());
        bench.ok(APP.put("/api/prices/choice", back));
        assertThat(minorCost()).isEqualTo(before);
        assertThat(oneRate()).isTrue();
    }

    private static boolean oneRate() {
        return bench.ok(APP.get("/api/designs/" + pouch)).toString().contains("\"oneRate\":{");
    }

    @Test
    void bagsSideBySideSayWhichLeavesTheMost() {
        long channel = add(channel("Side by side {ç}")).id();
        String medium = medium();
        set("s1", channel, "9", "");
        set(medium, channel, "40", "");
        JsonNode compared = bench.ok(APP.post(
                "/api/prices/compare", Map.of("places", List.of(place("s1", channel), place(medium, channel)))));
        assertThat(compared.get("mostAnHour").asInt()).isEqualTo(1);
        assertThat(compared.get("mostOfOne").asInt()).isEqualTo(1);
        assertThat(APP.post("/api/prices/compare", Map.of("places", List.of(place(medium, channel))))
                        .on("places"))
                .contains("2 to 6");
    }

    /** A size in another cloth than its usual one stands in the book by itself, costs what it costs, and may have a price of its own. */
    @Test
    @Order(11)
    void anotherClothMayHaveItsOwnPrice() {
        bench.ok(set(medium(), usual(), "20", "for all"));
        long waxed = APP.enter(APP.cloth("Waxed {ç}", "44 in", "39.00", "90 yd"));
        Map<String, Long> materials = new HashMap<>(bench.shelf());
        materials.put("outer", waxed);
        JsonNode before = bench.ok(APP.get("/api/prices/book"));
        long batch = bench.ok(APP.post("/api/batches", RunningApp.batch(pouch, "4", materials, List.of())))
                .get("id")
                .asLong();

        JsonNode book = bench.ok(APP.get("/api/prices/book"));
        assertThat(book.get("rows")).hasSize(before.get("rows").size() + 1);
        JsonNode row = inCloth(book, waxed);
        assertThat(row.get("cost").get("minor").asLong())
                .isGreaterThan(row(book, "medium").get("cost").get("minor").asLong());
        assertThat(row.get("follows").asBoolean()).isTrue();
        assertThat(row.get("price").get("amount").asString()).isEqualTo("20.00");
        assertThat(row.get("left").get("minor").asLong())
                .isLessThan(row(book, "medium").get("left").get("minor").asLong());
        assertThat(priceOf(batch)).isEqualTo("20.00");

        book = bench.ok(setInCloth(waxed, "26"));
        assertThat(inCloth(book, waxed).get("price").get("amount").asString()).isEqualTo("26.00");
        assertThat(inCloth(book, waxed).get("follows").asBoolean()).isFalse();
        assertThat(row(book, "medium").get("price").get("amount").asString()).isEqualTo("20.00");
        assertThat(priceOf(batch)).isEqualTo("26.00");
        assertThat(bench.ok(APP.get("/api/prices/sheet?design=" + pouch + "&size=" + medium() + "&cloth=" + waxed))
                        .get("own")
                        .get("amount")
                        .asString())
                .isEqualTo("26.00");
        assertThat(APP.text("/api/lists/prices.csv")).contains(",medium,Waxed {ç},");
        assertThat(setInCloth(999_999, "26").status()).isEqualTo(404);
        assertThat(APP.get("/api/prices/sheet?design=" + pouch + "&size=" + medium() + "&cloth=999999")
                        .status())
                .isEqualTo(404);

        bench.ok(setInCloth(waxed, ""));
        assertThat(priceOf(batch)).isEqualTo("20.00");
    }

    /** Prices that change together take along a cloth that follows them, and leave it following. */
    @Test
    @Order(12)
    void aClothThatFollowsGoesAlong() {
        JsonNode book = bench.ok(APP.get("/api/prices/book"));
        long waxed = book.get("rows")
                .valueStream()
                .filter(row -> row.hasNonNull("clothId"))
                .findFirst()
                .orElseThrow()
                .get("clothId")
                .asLong();
        Map<String, Object> form =
                Map.of("places", List.of(place(medium(), usual()), inCloth(waxed)), "points", 1, "percent", "");
        assertThat(bench.ok(APP.post("/api/prices/step", form))).hasSize(1);
        bench.ok(setInCloth(waxed, "30"));
        assertThat(bench.ok(APP.post("/api/prices/step", form))).hasSize(2);
    }

    private static Map<String, Object> inCloth(long cloth) {
        Map<String, Object> place = new HashMap<>(place(medium(), usual()));
        place.put("clothId", cloth);
        return place;
    }

    private static Answer setInCloth(long cloth, String price) {
        return APP.post(
                "/api/prices",
                Map.of("prices", List.of(Map.of("place", inCloth(cloth), "price", price)), "reason", ""));
    }

    private static JsonNode inCloth(JsonNode book, long cloth) {
        return book.get("rows")
                .valueStream()
                .filter(row -> row.path("clothId").asLong() == cloth)
                .findFirst()
                .orElseThrow();
    }
}
