package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import mardun.app.RunningApp.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** From a batch to its cutting sheet and to offcuts in stock, over HTTP and the real database. */
class CuttingTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long design;
    private static final Map<String, Long> SHELF = new LinkedHashMap<>();

    @BeforeAll
    static void aWorkroom() {
        ObjectNode settings = APP.settings("INCH");
        ((ObjectNode) settings.get("shelf")).put("offcutShort", "2 in").put("offcutLong", "6 in");
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
        SHELF.putAll(APP.pouchShelf("30 yd"));
        design = APP.pouch("Test pouch");
    }

    private static Map<String, Object> form(String units) {
        return form(units, SHELF);
    }

    private static Map<String, Object> form(String units, Map<String, Long> shelf) {
        return RunningApp.batch(design, units, shelf, List.of());
    }

    private static Answer batch(String units) {
        Answer made = APP.post("/api/batches", form(units));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made;
    }

    /** A batch with its layouts. */
    private static Answer laidOut(String units) {
        Answer made = batch(units);
        search(made.id());
        return made;
    }

    private static void search(long id) {
        Answer begun = APP.post(path(id) + "/search", Map.of("aim", "MONEY", "seconds", 0.1, "fromOffcuts", true));
        assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
        long end = System.nanoTime() + Duration.ofSeconds(60).toNanos();
        while (APP.get(path(id) + "/search").body().get("running").asBoolean()) {
            assertThat(System.nanoTime()).as("the search ends").isLessThan(end);
        }
        assertThat(APP.get(path(id) + "/search").body().get("failed").asBoolean())
                .isFalse();
    }

    private static String path(long id) {
        return "/api/batches/" + id + "/cutting";
    }

    private static List<JsonNode> list(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false).toList();
    }

    private static JsonNode cloth(JsonNode cutting, String slot) {
        return list(cutting.get("cloths")).stream()
                .filter(cloth -> cloth.get("materialId").asLong() == SHELF.get(slot))
                .findFirst()
                .orElseThrow();
    }

    private static long needed(JsonNode batch, String slot) {
        return needed(batch, SHELF.get(slot));
    }

    private static long needed(JsonNode batch, long material) {
        return list(batch.get("sheet").get("needs")).stream()
                .filter(need -> need.get("materialId").asLong() == material)
                .mapToLong(need -> need.get("needed").get("value").asLong())
                .sum();
    }

    private static List<JsonNode> steps(JsonNode cloth) {
        List<JsonNode> steps = new ArrayList<>();
        cloth.get("mats").forEach(mat -> mat.get("steps").forEach(steps::add));
        return steps;
    }

    @Test
    void aBatchOfThreeClothsIsLaidOutAndItsPlanGoesByIt() {
        Answer made = batch("18");
        long byPencil = needed(made.body(), "outer");
        assertThat(cloth(APP.get(path(made.id())).body(), "outer").get("mats")).isEmpty();
        search(made.id());
        JsonNode cutting = APP.get(path(made.id())).body();
        assertThat(cutting.get("cloths")).hasSize(3);
        for (JsonNode cloth : cutting.get("cloths")) {
            long pieces = list(cloth.get("mats")).stream()
                    .mapToLong(mat -> mat.get("pieces").size())
                    .sum();
            long wanted = list(cloth.get("pieces")).stream()
                    .mapToLong(kind -> kind.get("count").asLong())
                    .sum();
            assertThat(pieces).isEqualTo(wanted);
            assertThat(cloth.get("aims")).hasSize(4);
            assertThat(cloth.get("bill").get("total").get("minor").asLong()).isPositive();
        }
        JsonNode outer = cloth(cutting, "outer");
        long byLayout = needed(APP.get("/api/batches/" + made.id()).body(), "outer");
        assertThat(outer.get("needed").get("value").asLong()).isEqualTo(byLayout);
        assertThat(steps(outer).get(0).get("kind").asString()).isEqualTo("SQUARE");
        List<Integer> bags = new ArrayList<>();
        outer.get("mats")
                .forEach(mat -> mat.get("pieces")
                        .forEach(piece -> bags.add(piece.get("bag").asInt())));
        assertThat(bags).allMatch(bag -> bag >= 1 && bag <= 18);
        Answer least = APP.put(path(made.id()) + "/aim", Map.of("aim", "LEAST_CLOTH"));
        assertThat(least.body().get("aim").asString()).isEqualTo("LEAST_CLOTH");
        long squaring = 6_350_000;
        assertThat(needed(APP.get("/api/batches/" + made.id()).body(), "outer"))
                .isLessThanOrEqualTo(byPencil + squaring);
    }

    @Test
    void aChangedBatchLeavesItsLayoutAside() {
        Answer made = laidOut("6");
        Map<String, Object> more = form("7");
        more.put("version", made.body().get("version").asLong());
        assertThat(APP.put("/api/batches/" + made.id(), more).status()).isEqualTo(200);
        assertThat(cloth(APP.get(path(made.id())).body(), "outer").get("mats")).isEmpty();
    }

    @Test
    void ticksStayAndHoldTheLayout() {
        Answer made = laidOut("6");
        JsonNode outer = cloth(APP.get(path(made.id())).body(), "outer");
        String step = steps(outer).get(1).get("key").asString();
        Map<String, Object> tick = Map.of("materialId", SHELF.get("outer"), "step", step, "done", true);
        assertThat(APP.put(path(made.id()) + "/step", tick).status()).isEqualTo(200);
        assertThat(APP.put(path(made.id()) + "/step", tick).status()).isEqualTo(200);
        JsonNode after = APP.get(path(made.id())).body();
        assertThat(after.get("begun").asBoolean()).isTrue();
        assertThat(steps(cloth(after, "outer")).stream()
                        .filter(one -> one.get("done").asBoolean()))
                .singleElement()
                .matches(one -> one.get("key").asString().equals(step));
        Answer refused = APP.put(path(made.id()) + "/aim", Map.of("aim", "LEAST_CLOTH"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("take the ticks away first");
        APP.put(path(made.id()) + "/step", Map.of("materialId", SHELF.get("outer"), "step", step, "done", false));
        assertThat(APP.put(path(made.id()) + "/aim", Map.of("aim", "LEAST_CLOTH"))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aStepThatIsNotThereIsRefused() {
        Answer made = laidOut("3");
        Answer refused = APP.put(
                path(made.id()) + "/step",
                Map.of("materialId", SHELF.get("outer"), "step", "0:STRIP:1:1", "done", true));
        assertThat(refused.status()).isEqualTo(404);
        assertThat(APP.get(path(made.id())).body().get("begun").asBoolean()).isFalse();
    }

    @Test
    void spoiledPiecesAreCutOnceMore() {
        Answer made = laidOut("5");
        long before = needed(APP.get("/api/batches/" + made.id()).body(), "lining");
        JsonNode kind =
                cloth(APP.get(path(made.id())).body(), "lining").get("pieces").get(0);
        Map<String, Object> form = Map.of(
                "requestId",
                UUID.randomUUID(),
                "materialId",
                SHELF.get("lining"),
                "letter",
                kind.get("letter").asString(),
                "count",
                "9");
        APP.post(path(made.id()) + "/spoiled", form);
        Answer again = APP.post(path(made.id()) + "/spoiled", form);
        assertThat(again.status()).as(again.body().toString()).isEqualTo(200);
        JsonNode lining = cloth(again.body(), "lining");
        assertThat(lining.get("pieces").get(0).get("again").asLong()).isEqualTo(9);
        assertThat(steps(lining).stream().filter(step -> step.get("again").asBoolean()))
                .hasSize(9);
        assertThat(needed(APP.get("/api/batches/" + made.id()).body(), "lining"))
                .isGreaterThan(before);
        Answer refused = APP.post(
                path(made.id()) + "/spoiled",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "materialId",
                        SHELF.get("lining"),
                        "letter",
                        kind.get("letter").asString(),
                        "count",
                        "some"));
        assertThat(refused.status()).isEqualTo(422);
    }

    @Test
    void whatIsCutLeavesTheShelfByTheLayoutAndOffcutsGoBack() {
        Answer made = laidOut("7");
        JsonNode batch = APP.get("/api/batches/" + made.id()).body();
        long outer = SHELF.get("outer");
        long before = onHand(outer);
        long needed = needed(batch, "outer");
        List<JsonNode> left = list(batch.get("sheet").get("leftOver")).stream()
                .filter(line -> line.get("materialId").asLong() == outer)
                .toList();
        List<Map<String, Object>> keep = left.stream()
                .map(line -> Map.<String, Object>of(
                        "materialId", outer,
                        "width", line.get("width").get("exact").asString(),
                        "height", line.get("height").get("exact").asString(),
                        "count", line.get("count").asString(),
                        "place", "basket"))
                .toList();
        Answer cut = APP.post(
                "/api/batches/" + made.id() + "/cut",
                Map.of("version", batch.get("version").asLong(), "reason", "", "keep", keep));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        assertThat(onHand(outer)).isEqualTo(before - needed);
        long lots = list(APP.get("/api/materials/" + outer + "/shelf").body().get("lots")).stream()
                .filter(lot -> lot.get("place").asString("").equals("basket"))
                .count();
        assertThat(lots).isEqualTo(left.size());
        assertThat(needed(cut.body(), "outer")).isEqualTo(needed);
        JsonNode cutting = APP.get(path(made.id())).body();
        assertThat(cloth(cutting, "outer").get("mats")).isNotEmpty();
        Answer late =
                APP.post(path(made.id()) + "/search", Map.of("aim", "MONEY", "seconds", 0.1, "fromOffcuts", true));
        assertThat(late.status()).isEqualTo(422);
    }

    private static long onHand(long material) {
        return APP.get("/api/materials/" + material)
                .body()
                .get("onHand")
                .get("value")
                .asLong();
    }

    private static void bought(long material, String amount, String dyeLot) {
        Answer came = APP.post(
                "/api/materials/" + material + "/movements",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        "BOUGHT",
                        "amount",
                        amount,
                        "reason",
                        "",
                        "dyeLot",
                        dyeLot));
        assertThat(came.status()).as(came.body().toString()).isEqualTo(201);
    }

    private static Map<Long, Long> left(long material) {
        Map<Long, Long> left = new LinkedHashMap<>();
        APP.get("/api/materials/" + material + "/shelf")
                .body()
                .get("lots")
                .forEach(lot -> left.put(
                        lot.get("id").asLong(), lot.get("left").get("value").asLong()));
        return left;
    }

    private static Answer cutAll(long id) {
        long version = APP.get("/api/batches/" + id).body().get("version").asLong();
        return APP.post("/api/batches/" + id + "/cut", Map.of("version", version, "reason", "", "keep", List.of()));
    }

    @Test
    void eachRollGivesWhatItsSheetSays() {
        Map<String, Long> shelf = new LinkedHashMap<>(SHELF);
        long cloth = APP.enter(APP.cloth("Two rolls", "44 in", "9.00", "30 in"));
        bought(cloth, "40 in", "");
        shelf.put("outer", cloth);
        Answer made = APP.post("/api/batches", form("14", shelf));
        search(made.id());
        JsonNode laid = list(APP.get(path(made.id())).body().get("cloths")).stream()
                .filter(one -> one.get("materialId").asLong() == cloth)
                .findFirst()
                .orElseThrow();
        assertThat(list(laid.get("mats")).stream().map(mat -> mat.get("title").asString()))
                .hasSize(2)
                .allMatch(title -> title.startsWith("From roll "));
        Map<Long, Long> before = left(cloth);
        assertThat(cutAll(made.id()).status()).isEqualTo(200);
        Map<Long, Long> after = left(cloth);
        for (JsonNode mat : laid.get("mats")) {
            long lot = Long.parseLong(mat.get("title").asString().replaceAll("\\D", ""));
            long squaring = 6_350_000;
            assertThat(before.get(lot) - after.get(lot))
                    .isEqualTo(mat.get("length").asLong() + squaring);
        }
        JsonNode frozen = APP.get(path(made.id())).body();
        assertThat(list(frozen.get("cloths")))
                .as("what was cut is shown as it was, though the rolls are shorter now")
                .allMatch(one -> !one.get("mats").isEmpty());
    }

    @Test
    void allPiecesOfABagComeFromOneDyeLot() {
        Map<String, Long> shelf = new LinkedHashMap<>(SHELF);
        long cloth = APP.enter(APP.cloth("Two dyes", "44 in", "9.00", "0"));
        bought(cloth, "1 yd", "A");
        bought(cloth, "1 1/4 yd", "B");
        shelf.put("outer", cloth);
        Answer made = APP.post("/api/batches", form("20", shelf));
        search(made.id());
        JsonNode laid = list(APP.get(path(made.id())).body().get("cloths")).stream()
                .filter(one -> one.get("materialId").asLong() == cloth)
                .findFirst()
                .orElseThrow();
        Map<Integer, String> dyeOfBag = new LinkedHashMap<>();
        for (JsonNode mat : laid.get("mats")) {
            String title = mat.get("title").asString().replaceAll("\\d+", "");
            mat.get("pieces")
                    .forEach(piece -> assertThat(
                                    dyeOfBag.putIfAbsent(piece.get("bag").asInt(), title))
                            .isIn(null, title));
        }
        assertThat(dyeOfBag).hasSize(20);
        assertThat(dyeOfBag.values()).contains("From roll , dye lot A", "From roll , dye lot B");
        assertThat(laid.get("severalDyes").asBoolean()).isTrue();
        JsonNode mat = laid.get("mats").get(1);
        Map<String, Object> spoiled =
                new LinkedHashMap<>(Map.of("requestId", UUID.randomUUID(), "materialId", cloth, "count", "1"));
        spoiled.put("letter", mat.get("pieces").get(0).get("letter").asString());
        Answer refused = APP.post(path(made.id()) + "/spoiled", spoiled);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().toString()).contains("of several dye lots");
        spoiled.put("cloth", mat.get("cloth").asInt());
        Answer again = APP.post(path(made.id()) + "/spoiled", spoiled);
        assertThat(again.status()).as(again.body().toString()).isEqualTo(200);
    }

    @Test
    void lengthsComeFromLeftOversFirstAndSoTheyLeaveTheShelf() {
        ObjectNode before = APP.settings("INCH");
        ObjectNode settings = before.deepCopy();
        ((ObjectNode) settings.get("cutting")).put("endTrim", "1/4 in").put("keptLength", "3 in");
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
        Map<String, Long> shelf = new LinkedHashMap<>(SHELF);
        long tape = APP.enter(APP.material("TRIM", "Tape with left-overs", "", "1.80", "1 yd", "10 yd"));
        bought(tape, "20 in", "");
        shelf.put("zip", tape);
        Answer made = APP.post("/api/batches", form("6", shelf));
        JsonNode trim = list(APP.get(path(made.id())).body().get("trims")).stream()
                .filter(one -> one.get("materialId").asLong() == tape)
                .findFirst()
                .orElseThrow();
        assertThat(trim.get("rolls")).hasSize(2);
        assertThat(trim.get("trimmed").get("exact").asString()).isEqualTo("¼ in");
        assertThat(trim.get("isLeast").asBoolean()).isTrue();
        JsonNode leftOver = trim.get("rolls").get(0);
        assertThat(leftOver.get("isKept").asBoolean()).isFalse();
        assertThat(cutAll(made.id()).status()).isEqualTo(200);
        Answer cut = APP.get("/api/batches/" + made.id());
        Answer finished = APP.post("/api/batches/" + made.id() + "/finish", RunningApp.finish(cut.body(), "6"));
        assertThat(finished.status()).as(finished.body().toString()).isEqualTo(200);
        assertThat(left(tape)).as("the left-over is used up").hasSize(1);
        assertThat(needed(finished.body(), tape)).isEqualTo(needed(made.body(), tape));
        ObjectNode back = APP.settings("INCH");
        back.set("cutting", before.get("cutting"));
        assertThat(APP.put("/api/settings", back).status()).isEqualTo(200);
    }

    @Test
    void anotherClothIsTriedWithItsPriceAndWhatThereIsOfIt() {
        Answer made = laidOut("10");
        long wide = APP.enter(APP.cloth("Wide", "60 in", "6.00", "10 in"));
        Answer answer = APP.post(path(made.id()) + "/what-if", whatIf(wide));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        assertThat(answer.body().get("sentences").get(0).asString())
                .startsWith("From Wide, 60 in wide, it takes ")
                .contains("; now it is ")
                .contains("would be missing");
        long narrow = APP.enter(APP.cloth("Narrow", "5 in", "6.00", "1 yd"));
        assertThat(APP.post(path(made.id()) + "/what-if", whatIf(narrow))
                        .body()
                        .get("sentences")
                        .get(0)
                        .asString())
                .contains("a piece is wider than the cloth");
        assertThat(APP.post(path(made.id()) + "/what-if", whatIf(SHELF.get("zip")))
                        .status())
                .isEqualTo(404);
    }

    @Test
    void piecesOfClothThatShrinksAfterwardsAreCutLarger() {
        Map<String, Object> raw = APP.cloth("Unwashed", "44 in", "9.00", "30 yd");
        raw = StockTest.with(raw, Map.of("shrinkage", "5", "shrinksAfterCutting", true));
        Map<String, Long> shelf = new LinkedHashMap<>(SHELF);
        long unwashed = APP.enter(raw);
        shelf.put("outer", unwashed);
        Answer made = APP.post("/api/batches", form("6", shelf));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        search(made.id());
        JsonNode outer = list(APP.get(path(made.id())).body().get("cloths")).stream()
                .filter(cloth -> cloth.get("materialId").asLong() == unwashed)
                .findFirst()
                .orElseThrow();
        assertThat(outer.get("cutLarger").asString()).startsWith("It shrinks by 5 % after cutting");
        JsonNode panel = outer.get("pieces").get(0);
        JsonNode line = list(
                        APP.get("/api/batches/" + made.id()).body().get("sheet").get("cutList"))
                .stream()
                .filter(one -> one.get("piece").get("letter").equals(panel.get("letter")))
                .findFirst()
                .orElseThrow();
        assertThat(line.get("cutAs").get("wide")).isEqualTo(panel.get("width"));
        assertThat(panel.get("width").get("inch").asString()).isEqualTo("11 ⅛ in");
        assertThat(line.get("piece").get("width").get("value").get("inch").asString())
                .isEqualTo("10 ½ in");
        JsonNode facts = APP.get("/api/materials/" + unwashed).body().get("facts");
        assertThat(facts.get("shrinksAfterCutting").asBoolean()).isTrue();
    }

    private static Map<String, Object> whatIf(long from) {
        return Map.of(
                "materialId", SHELF.get("outer"), "width", "", "fewer", 0, "turned", false, "more", "", "from", from);
    }

    @Test
    void aLayoutGoesOutAndComesInAndABrokenOneIsRefused() {
        Answer made = laidOut("4");
        String file = path(made.id()) + "/" + SHELF.get("outer") + "/layout";
        ObjectNode layout = (ObjectNode) APP.get(file).body();
        assertThat(layout.get("format").asString()).isEqualTo("mardun-layout-1");
        assertThat(APP.put(file, layout).status()).isEqualTo(200);
        Answer other = APP.put(path(made.id()) + "/aim", Map.of("aim", "FEWEST_CUTS"));
        assertThat(cloth(other.body(), "outer").get("mats"))
                .as("the maker's own layout stays whatever is chosen for the other cloths")
                .isNotEmpty();
        ObjectNode piece =
                (ObjectNode) layout.get("cloths").get(0).get("pieces").get(0);
        piece.put("x", piece.get("x").asLong() + 3_000_000_000L);
        Answer refused = APP.put(file, layout);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("over the edge of the cloth");
        layout.put("format", "other");
        assertThat(APP.put(file, layout).detail()).contains("mardun-layout-1");
        layout.remove("cloths");
        assertThat(APP.put(file, layout).status()).isEqualTo(422);
    }

    @Test
    void theSheetIsDrawnAndPrinted() {
        Answer made = laidOut("4");
        String svg = APP.text(path(made.id()) + "/" + SHELF.get("outer") + "/drawing");
        assertThat(svg).startsWith("<svg ").contains("From roll ");
        String pdf = APP.text(path(made.id()) + "/print");
        assertThat(pdf).startsWith("%PDF-");
        assertThat(APP.get(path(batch("2").id()) + "/print").detail()).contains("isn't laid out yet");
    }

    @Test
    void whatIfIsAnsweredInSentences() {
        Answer made = laidOut("10");
        Answer answer = APP.post(
                path(made.id()) + "/what-if",
                Map.of("materialId", SHELF.get("outer"), "width", "56 in", "fewer", 1, "turned", true, "more", "1 yd"));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        List<String> sentences = list(answer.body().get("sentences")).stream()
                .map(JsonNode::asString)
                .toList();
        assertThat(sentences).hasSize(4);
        assertThat(sentences.get(0)).contains("56 in").contains("less");
        assertThat(sentences.get(1)).startsWith("With one bag fewer");
        assertThat(sentences.get(3)).contains("more you can cut");
        Answer refused = APP.post(
                path(made.id()) + "/what-if",
                Map.of("materialId", SHELF.get("outer"), "width", "wide", "fewer", 0, "turned", false, "more", ""));
        assertThat(refused.on("width")).contains("wide");
    }

    @Test
    void theTimesOfCuttingAndTheSquaringAreSettings() {
        ObjectNode before = APP.settings("INCH");
        ObjectNode settings = before.deepCopy();
        ObjectNode cutting = (ObjectNode) settings.get("cutting");
        assertThat(cutting.get("rulerSeconds").asString()).isEqualTo("60");
        cutting.put("rulerSeconds", "soon").put("squaring", "2 m").put("curveSeconds", "quick");
        Answer refused = APP.put("/api/settings", settings);
        assertThat(refused.on("cutting.rulerSeconds")).contains("soon");
        assertThat(refused.on("cutting.squaring")).contains("at most 20 cm");
        assertThat(refused.on("cutting.curveSeconds")).contains("quick");
        cutting.put("rulerSeconds", "90").put("squaring", "1/2 in").put("curveSeconds", "12");
        cutting.put("curvesByScissors", true);
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
        Answer made = laidOut("3");
        JsonNode square = steps(cloth(APP.get(path(made.id())).body(), "outer")).get(0);
        assertThat(square.get("size").get("exact").asString()).isEqualTo("½ in");
        ObjectNode back = APP.settings("INCH");
        back.set("cutting", before.get("cutting"));
        assertThat(APP.put("/api/settings", back).status()).isEqualTo(200);
    }

    @Test
    void aBatchThatIsNotThereIsSaidSo() {
        assertThat(APP.get(path(99_999)).status()).isEqualTo(404);
        assertThat(APP.post(path(99_999) + "/search", Map.of("aim", "MONEY", "seconds", 1, "fromOffcuts", true))
                        .detail())
                .contains("no such batch");
        Answer never =
                APP.post(path(batch("2").id()) + "/search", Map.of("aim", "MONEY", "seconds", 0, "fromOffcuts", true));
        assertThat(never.status()).isEqualTo(422);
    }

    @Test
    void theSheetsMinutesAndTheStepsMeet() {
        long own = APP.pouch("Takes the sheet's minutes");
        Answer made = APP.post("/api/batches", RunningApp.batch(own, "8", SHELF, List.of()));
        String path = "/api/batches/" + made.id() + "/cutting";
        assertThat(APP.get(path).body().has("minutes")).isFalse();
        search(made.id());
        JsonNode minutes = APP.get(path).body().get("minutes");
        long sheet = minutes.get("sheet").get("seconds").asLong();
        long steps = minutes.get("steps").get("seconds").asLong();
        assertThat(steps).isEqualTo((3 * 8 + 15) * 60);
        assertThat(minutes.get("names").get(0).asString()).isEqualTo("Cut all pieces");

        assertThat(APP.post(path + "/minutes", Map.of("sheetSeconds", sheet + 60, "stepsSeconds", steps))
                        .detail())
                .contains("Nothing was changed");
        long before = batchSeconds(made.id());
        Answer met = APP.post(path + "/minutes", Map.of("sheetSeconds", sheet, "stepsSeconds", steps));

        assertThat(met.status()).as(met.body().toString()).isEqualTo(200);
        assertThat(met.body().get("minutes").get("meets").asBoolean()).isTrue();
        assertThat(batchSeconds(made.id()) - before).isCloseTo(sheet - steps, within(60L));
    }

    private static long batchSeconds(long batch) {
        return APP.get("/api/batches/" + batch)
                .body()
                .get("sheet")
                .get("lines")
                .get(0)
                .get("ticket")
                .get("batchTime")
                .get("value")
                .get("seconds")
                .asLong();
    }

    @Test
    void everyNamePrintsAndWhatIsCutAwayStandsBesideIt() throws Exception {
        long own = APP.pouch("Alça {grande} čšž Жук 👜 №2");
        Answer made = APP.post("/api/batches", RunningApp.batch(own, "2", SHELF, List.of()));
        search(made.id());
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(
                                        URI.create("http://localhost:" + APP.port() + path(made.id()) + "/print"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        try (PDDocument paper = Loader.loadPDF(answer.body())) {
            String text = new PDFTextStripper().getText(paper);
            assertThat(text).contains("Alça {grande} čšž Жук 👜").contains("Corners cut out for boxing: 1 1/4 in");
            for (PDPage page : paper.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    assertThat(page.getResources().getFont(name).isEmbedded())
                            .as(page.getResources().getFont(name).getName())
                            .isTrue();
                }
            }
        }
    }
}
