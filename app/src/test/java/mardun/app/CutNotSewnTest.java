package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Cut pieces that aren't sewn: put by when a batch is cut short, taken up again, sewn in another batch, parted off with bags. */
class CutNotSewnTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static Map<String, Long> shelf;

    private long pouch;

    @BeforeAll
    static void shelf() {
        ok(APP.put("/api/settings", APP.settings("INCH")));
        shelf = APP.pouchShelf("190 yd");
    }

    /** Each test has a design of its own, so that no pieces of another one fit. */
    @BeforeEach
    void design() {
        pouch = APP.pouch("Pouch " + UUID.randomUUID());
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isIn(200, 201);
        return answer.body();
    }

    private static JsonNode made(Map<String, Object> form) {
        return ok(APP.post("/api/batches", form));
    }

    private JsonNode cut(String units) {
        JsonNode batch = made(RunningApp.batch(pouch, units, shelf, List.of()));
        return ok(
                APP.post("/api/batches/" + batch.get("id") + "/cut", Map.of("version", version(batch), "reason", "")));
    }

    private static long version(JsonNode batch) {
        return batch.get("version").asLong();
    }

    private static JsonNode batch(JsonNode one) {
        return APP.get("/api/batches/" + one.get("id")).body();
    }

    private static Answer cutShort(JsonNode batch, String units, boolean throwAway) {
        return APP.post(
                "/api/batches/" + batch.get("id") + "/cut-short",
                Map.of(
                        "version",
                        version(batch),
                        "throwAway",
                        throwAway,
                        "reason",
                        "the fair was called off",
                        "lines",
                        List.of(Map.of("number", 1, "units", units))));
    }

    private static Answer takeUp(JsonNode batch, String units) {
        return APP.post(
                "/api/batches/" + batch.get("id") + "/take-up",
                Map.of("version", version(batch), "line", 1, "units", units));
    }

    private static List<JsonNode> pieces(JsonNode batch) {
        return APP.get("/api/cut-pieces?size=200")
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .filter(piece -> piece.get("batchId").equals(batch.get("id")))
                .toList();
    }

    private static long worth(List<JsonNode> pieces) {
        return pieces.stream()
                .mapToLong(piece -> piece.get("worth").get("minor").asLong())
                .sum();
    }

    private static long total(JsonNode batch) {
        return batch.get("sheet").get("total").get("minor").asLong();
    }

    private static JsonNode line(JsonNode batch) {
        return batch.get("lines").get(0);
    }

    @Test
    void whatIsntMadeGoesOnTheShelfWithWhatItsClothCostAndComesBackAsItWas() {
        JsonNode whole = cut("10");
        long shelfBefore = stockValue();
        JsonNode shorter = ok(cutShort(whole, "4", false));
        assertThat(shorter.get("stage").asString()).isEqualTo("CUT");
        assertThat(line(shorter).get("started").asInt()).isEqualTo(6);
        assertThat(line(shorter).get("putBy").asInt()).isEqualTo(4);
        List<JsonNode> putBy = pieces(whole);
        assertThat(putBy)
                .allSatisfy(piece -> assertThat(piece.get("pieces").asLong())
                        .isEqualTo(4 * piece.get("perBag").asLong()));
        assertThat(putBy).extracting(piece -> piece.get("clothName").asString()).contains("Outer", "Lining");
        assertThat(stockValue()).isEqualTo(shelfBefore + worth(putBy));
        assertThat(shorter.get("sheet").get("cutList"))
                .isEqualTo(whole.get("sheet").get("cutList"));
        JsonNode again = ok(takeUp(shorter, "4"));
        assertThat(again.get("lines")).isEqualTo(whole.get("lines"));
        assertThat(total(again)).isEqualTo(total(whole));
        assertThat(pieces(whole)).isEmpty();
        assertThat(stockValue()).isEqualTo(shelfBefore);
        Answer tooMany = takeUp(again, "1");
        assertThat(tooMany.status()).isEqualTo(422);
    }

    private static long stockValue() {
        return APP.get("/api/stock-value").body().get("total").get("minor").asLong();
    }

    /** Ten bags, three done, the rest not made: the three are the batch, and carry what is left of it. */
    @Test
    void aBatchThatIsCutShortIsFinishedAndItsGoodsCarryTheRest() {
        JsonNode batch = cut("10");
        batch = ok(APP.post(
                "/api/batches/" + batch.get("id") + "/finish",
                Map.of(
                        "version",
                        version(batch),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", "3", "seconds", "", "scrap", "")))));
        Answer tooMany = cutShort(batch, "8", false);
        assertThat(tooMany.on("lines.0.units")).contains("is more than 7");
        assertThat(cutShort(batch, "some", false).on("lines.0.units")).contains("isn't a number");
        assertThat(cutShort(batch, "", false).detail()).contains("Type how many bags aren't made");
        JsonNode closed = ok(cutShort(batch, "7", false));
        assertThat(closed.get("stage").asString()).isEqualTo("FINISHED");
        assertThat(goods(closed)).isEqualTo(total(closed));
        assertThat(takeUp(closed, "1").detail()).contains("Plan a new one");
        assertThat(pieces(closed)).isNotEmpty();
    }

    private static long goods(JsonNode batch) {
        return APP.get("/api/finished-goods?size=100")
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .filter(one -> one.path("batchId").equals(batch.get("id")))
                .mapToLong(one -> one.get("totalCost").get("minor").asLong())
                .sum();
    }

    @Test
    void aBatchIsDroppedAndRevived() {
        JsonNode whole = cut("5");
        JsonNode dropped = ok(cutShort(whole, "5", false));
        assertThat(dropped.get("stage").asString()).isEqualTo("DROPPED");
        assertThat(line(dropped).get("started").asInt()).isZero();
        assertThat(APP.get("/api/batches?list=OPEN").body().toString())
                .doesNotContain("\"id\":" + whole.get("id") + ",");
        assertThat(cutShort(dropped, "1", false).detail()).contains("is finished already");
        JsonNode again = ok(takeUp(dropped, "5"));
        assertThat(again.get("stage").asString()).isEqualTo("CUT");
        assertThat(total(again)).isEqualTo(total(whole));
        assertThat(again.get("lines")).isEqualTo(whole.get("lines"));
    }

    @Test
    void whatIsThrownAwayIsBorneByTheOthers() {
        JsonNode whole = cut("10");
        JsonNode shorter = ok(cutShort(whole, "4", true));
        assertThat(pieces(whole)).isEmpty();
        JsonNode kept = ok(cutShort(cut("10"), "4", false));
        // What each of the three cloths cost is rounded once.
        assertThat(total(shorter)).isCloseTo(total(kept) + worth(pieces(kept)), offset(3L));
    }

    @Test
    void whatLiesThereCutIsOfferedFirstAndNotCutAgain() {
        JsonNode from = cut("6");
        ok(cutShort(from, "6", false));
        long worth = worth(pieces(from));
        Map<String, Object> form = RunningApp.batch(pouch, "8", shelf, List.of());
        JsonNode sheet = ok(APP.post("/api/batches/preview", form));
        List<JsonNode> offers = sheet.get("cutBefore").valueStream().toList();
        assertThat(offers).extracting(offer -> offer.get("name").asString()).contains("Outer", "Lining");
        assertThat(offers).allSatisfy(offer -> {
            assertThat(offer.get("bags").asInt()).isEqualTo(6);
            assertThat(offer.get("chosen").asInt()).isZero();
        });
        List<Map<String, Object>> brought = new ArrayList<>();
        offers.forEach(offer ->
                brought.add(Map.of("materialId", offer.get("materialId").asLong(), "bags", 6)));
        RunningApp.line(form).put("brought", brought);
        JsonNode planned = made(form);
        JsonNode other = ok(APP.post("/api/batches/preview", RunningApp.batch(pouch, "8", shelf, List.of())));
        assertThat(other.get("cutBefore")).as("they are held for the first").isEmpty();
        assertThat(planned.get("sheet").get("cutList"))
                .allSatisfy(row -> assertThat(row.get("count").asLong())
                        .isEqualTo(2 * row.get("piece").get("count").asLong()));
        assertThat(planned.get("sheet")
                        .get("lines")
                        .get(0)
                        .get("ticket")
                        .get("lines")
                        .toString())
                .contains("Outer, cut pieces");
        Answer gone = leave(pieces(from), "GIVEN_AWAY");
        assertThat(gone.on("count")).contains("a planned batch will take");
        JsonNode cut = ok(APP.post(
                "/api/batches/" + planned.get("id") + "/cut",
                Map.of(
                        "version",
                        version(planned),
                        "reason",
                        "",
                        "mark",
                        planned.get("sheet").get("mark").asString())));
        assertThat(pieces(from)).isEmpty();
        assertThat(total(cut)).isCloseTo(total(planned), offset(3L));
        JsonNode short6 = ok(cutShort(cut, "8", false));
        assertThat(worth(pieces(short6))).isGreaterThan(worth);
        ok(takeUp(short6, "8"));
    }

    @Test
    void whereAllOfItLiesThereNothingIsCut() {
        JsonNode from = cut("3");
        ok(cutShort(from, "3", false));
        Map<String, Object> form = RunningApp.batch(pouch, "3", shelf, List.of());
        List<Map<String, Object>> brought = new ArrayList<>();
        ok(APP.post("/api/batches/preview", form))
                .get("cutBefore")
                .forEach(offer ->
                        brought.add(Map.of("materialId", offer.get("materialId").asLong(), "bags", 3)));
        RunningApp.line(form).put("brought", brought);
        JsonNode planned = made(form);
        assertThat(planned.get("sheet").get("cutList")).isEmpty();
        assertThat(planned.get("cloths"))
                .allSatisfy(cloth -> assertThat(cloth.get("cut").asBoolean()).isTrue());
        JsonNode cut = ok(APP.post(
                "/api/batches/" + planned.get("id") + "/cut",
                Map.of("version", version(planned), "reason", "", "cloths", List.of())));
        assertThat(cut.get("stage").asString()).isEqualTo("CUT");
        JsonNode done = ok(APP.post("/api/batches/" + planned.get("id") + "/finish", RunningApp.finish(cut, "3")));
        assertThat(goods(done)).isEqualTo(total(done));
    }

    private static Answer leave(List<JsonNode> pieces, String kind) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "kind",
                kind,
                "ids",
                pieces.stream().map(piece -> piece.get("id").asLong()).toList(),
                "count",
                "1",
                "forBags",
                true,
                "reason",
                ""));
        return APP.post("/api/cut-pieces/movements", form);
    }

    @Test
    void whoGetsTheCutPiecesOfABagGetsAllOfThem() {
        JsonNode from = cut("2");
        ok(cutShort(from, "2", false));
        List<JsonNode> two = pieces(from);
        assertThat(leave(two, "SOLD_AS_KIT").on("kind"))
                .as("its price would be nowhere")
                .contains("bundle them to kits");
        assertThat(leave(two, "GIVEN_AWAY").status()).isEqualTo(204);
        List<JsonNode> one = pieces(from);
        assertThat(one).allSatisfy(piece -> assertThat(piece.get("pieces")).isEqualTo(piece.get("perBag")));
        assertThat(worth(two)).isCloseTo(2 * worth(one), offset((long) two.size()));
        assertThat(leave(one, "GIVEN_AWAY").status()).isEqualTo(204);
        assertThat(pieces(from)).isEmpty();
        Answer none = leave(one, "GIVEN_AWAY");
        assertThat(none.on("count")).contains("0 are there").contains("enough for 0");
        ok(takeUpRefused(from));
    }

    private static Map<String, Object> kits(String units, String price, boolean withNotions) {
        return new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "line",
                1,
                "units",
                units,
                "minutes",
                "6",
                "price",
                price,
                "withNotions",
                withNotions));
    }

    private static Answer bundle(JsonNode from, Map<String, Object> form) {
        return APP.post("/api/batches/" + from.get("id") + "/kits", form);
    }

    private static List<JsonNode> kitsOf(JsonNode from) {
        return APP.get("/api/finished-goods?quality=KIT&all=true&size=200")
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .filter(one -> one.get("designName").equals(line(from).get("designName")))
                .toList();
    }

    @Test
    void aBatchThatEndsCutGivesKitsThatCarryTheirClothNotionsAndWork() {
        JsonNode from = cut("4");
        ok(cutShort(from, "4", false));
        long pieces = worth(pieces(from));
        long before = stockValue();
        Map<String, Object> form = kits("4", "9,50", true);
        assertThat(bundle(from, kits("5", "9.50", true)).on("units")).contains("is more than 4");
        assertThat(bundle(from, kits("4", "dear", true)).on("price")).isNotEmpty();
        assertThat(kitsOf(from)).isEmpty();
        ok(bundle(from, form));
        ok(bundle(from, form));
        assertThat(bundle(from, kits("1", "9.50", true)).detail()).contains("No cut pieces for a whole bag");
        assertThat(kitsOf(from)).as("sent twice they are bundled once").hasSize(1);
        JsonNode lot = kitsOf(from).get(0);
        assertThat(lot.get("units").asInt()).isEqualTo(4);
        assertThat(lot.get("price").get("amount").asString()).isEqualTo("9.50");
        assertThat(lot.has("batchId"))
                .as("the batch’s own figures go by its bags")
                .isFalse();
        assertThat(pieces(from)).isEmpty();
        // What left the shelf, cut pieces among it, is in them, with the work: 4 × 6 minutes.
        long shelf = before - stockValue();
        long work = Math.round(APP.get("/api/settings").body().get("hourlyRate").asDouble() * 100 * 24 / 60);
        assertThat(shelf).isGreaterThan(pieces);
        assertThat(lot.get("totalCost").get("minor").asLong()).isEqualTo(shelf + work);
        JsonNode story =
                APP.get("/api/finished-goods/" + lot.get("id") + "/movements").body();
        assertThat(story.toString()).contains("cut pieces of batch " + from.get("id"));
        Map<String, Object> second = Map.of(
                "requestId",
                UUID.randomUUID(),
                "kind",
                "BECAME_SECONDS",
                "place",
                "home",
                "units",
                "1",
                "reason",
                "frayed");
        assertThat(APP.post("/api/finished-goods/" + lot.get("id") + "/movements", second)
                        .on("kind"))
                .contains("Kits aren’t sewn");
    }

    /** Fewer kits than bags came out well: what those cost doesn't stand in their way. */
    @Test
    void kitsAreBundledAfterTheOtherBagsAreDone() {
        JsonNode from = cut("5");
        JsonNode fewer = ok(cutShort(from, "2", false));
        ok(APP.post("/api/batches/" + from.get("id") + "/finish", RunningApp.finish(fewer, "3")));
        long before = stockValue();
        ok(bundle(from, kits("1", "9.50", true)));
        JsonNode one = kitsOf(from).stream()
                .filter(lot -> lot.get("units").asInt() == 1)
                .findFirst()
                .orElseThrow();
        assertThat(one.get("totalCost").get("minor").asLong()).isGreaterThan(before - stockValue());
        assertThat(before - stockValue()).as("its notions left the shelf").isPositive();
        assertThat(batch(from).get("stage").asString()).isEqualTo("FINISHED");
    }

    @Test
    void kitsGoAlongToAFairAtTheirOwnPrice() {
        JsonNode from = cut("2");
        ok(cutShort(from, "2", false));
        ok(bundle(from, kits("2", "9.50", false)));
        AtTheStall at = new AtTheStall(APP);
        long fair = at.fair("Kits " + UUID.randomUUID(), LocalDate.now());
        JsonNode row = APP.get("/api/fairs/" + fair + "/packing")
                .body()
                .get("rows")
                .valueStream()
                .filter(one -> one.get("bag").get("quality").asString().equals("KIT"))
                .filter(one -> one.get("bag").get("design").equals(line(from).get("designName")))
                .findFirst()
                .orElseThrow();
        assertThat(row.get("price").get("amount").asString()).isEqualTo("9.50");
        String kind = row.get("bag").get("key").asString();
        at.pack(fair, kind, 2);
        JsonNode stall = at.tell(
                        fair,
                        UUID.randomUUID(),
                        List.of(AtTheStall.sale("CASH", 950, List.of(AtTheStall.bag(kind, 1, 950)))))
                .body();
        assertThat(AtTheStall.tile(stall, kind).get("left").asInt()).isEqualTo(1);
        assertThat(stall.get("sales").get(0).get("words").asString()).endsWith(", kit");
    }

    @Test
    void aPatternThatLetsOnlyFinishedBagsBeSoldGivesNoKits() {
        JsonNode from = cut("2");
        ok(cutShort(from, "2", false));
        JsonNode there = APP.get("/api/designs/" + pouch).body();
        ObjectNode document = (ObjectNode) there.get("document").deepCopy();
        ObjectNode source = document.putObject("source");
        source.put("licence", "SO_MANY_A_YEAR")
                .put("designer", "Mina Orr")
                .put("most", 50)
                .put("credit", "");
        source.putArray("conditions").add("ONLY_FINISHED");
        ok(APP.put(
                "/api/designs/" + pouch, Map.of("version", there.get("version").asLong(), "document", document)));
        Answer refused = bundle(from, kits("2", "9.50", false));
        assertThat(refused.detail()).contains("Mina Orr").contains("only finished bags");
        assertThat(pieces(from)).isNotEmpty();
    }

    private static Answer takeUpRefused(JsonNode from) {
        Answer refused = takeUp(batch(from), "1");
        assertThat(refused.status()).isEqualTo(422);
        return APP.get("/api/batches/" + from.get("id"));
    }

    /** Parted off a batch that is cut, bags take their pieces and minutes along; put back, all is as it was. */
    @Test
    void partedOffWhenCutAndPutBackIsTheIdentity() {
        JsonNode whole = cut("9");
        JsonNode part = split(whole, "4");
        JsonNode rest = batch(whole);
        assertThat(part.get("stage").asString()).isEqualTo("CUT");
        assertThat(line(part).get("started").asInt()).isEqualTo(4);
        assertThat(line(rest).get("started").asInt()).isEqualTo(5);
        // Together they cost what the whole did, and what is set up once for the sewing of the second one.
        long onceMore = total(part) + total(rest) - total(whole);
        assertThat(onceMore).isPositive().isLessThan(total(whole) / 10);
        assertThat(seconds(part) + seconds(rest)).isGreaterThan(seconds(whole));
        JsonNode joined = ok(putBack(whole, part));
        assertThat(joined.get("lines")).isEqualTo(whole.get("lines"));
        assertThat(joined.get("sheet").get("needs"))
                .isEqualTo(whole.get("sheet").get("needs"));
        assertThat(joined.get("sheet").get("times"))
                .isEqualTo(whole.get("sheet").get("times"));
        assertThat(total(joined)).isEqualTo(total(whole));
        assertThat(APP.get("/api/batches/" + part.get("id")).status()).isEqualTo(404);
    }

    @Test
    void aPartWithBagsThatWerePutByIsPutBackOnceTheyAreTakenUp() {
        JsonNode whole = cut("6");
        JsonNode part = split(whole, "3");
        JsonNode shorter = ok(cutShort(part, "1", false));
        assertThat(putBack(whole, shorter).detail()).contains("They stay apart");
        JsonNode again = ok(takeUp(shorter, "1"));
        assertThat(ok(putBack(whole, again)).get("lines")).isEqualTo(whole.get("lines"));
    }

    private static JsonNode split(JsonNode batch, String units) {
        return ok(APP.post(
                "/api/batches/" + batch.get("id") + "/split",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "version",
                        version(batch),
                        "lines",
                        List.of(Map.of("number", 1, "units", units)))));
    }

    private static Answer putBack(JsonNode whole, JsonNode part) {
        return APP.post(
                "/api/batches/" + whole.get("id") + "/join",
                Map.of(
                        "version",
                        version(batch(whole)),
                        "otherId",
                        part.get("id").asLong(),
                        "otherVersion",
                        version(part)));
    }

    private static long seconds(JsonNode batch) {
        return batch.get("sheet")
                .get("times")
                .get("asBatch")
                .get("value")
                .get("seconds")
                .asLong();
    }
}
