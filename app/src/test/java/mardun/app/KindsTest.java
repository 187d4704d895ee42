package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.ToLongFunction;
import java.util.stream.StreamSupport;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The contract of beginning a design from a kind of bag, and of changing its choices later. */
class KindsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    /** What was named once serves all kinds. */
    private static final Map<String, Long> NAMED = new HashMap<>();

    @BeforeAll
    static void aWorkroomInInches() {
        assertThat(APP.put("/api/settings", APP.settings("INCH").put("usualSeam", "1/4"))
                        .status())
                .isEqualTo(200);
    }

    private static Map<String, Object> brief(
            String kind, String name, String known, Map<String, String> chosen, Map<String, String> measures) {
        return Map.of(
                "kind", kind,
                "name", name,
                "known", known,
                "chosen", chosen,
                "measures", measures,
                "materials", Map.of(),
                "paper", List.of());
    }

    private static JsonNode draft(Map<String, Object> brief) {
        Answer answer = APP.post("/api/kinds/draft", brief);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static Answer begin(Map<String, Object> brief) {
        return APP.post("/api/kinds/designs", Map.of("requestId", UUID.randomUUID(), "brief", brief));
    }

    private static JsonNode rechoose(JsonNode document, Map<String, String> chosen) {
        Answer answer = APP.post("/api/designs/rechosen", Map.of("document", document, "chosen", chosen));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static JsonNode byKey(JsonNode rows, String field, String value) {
        return StreamSupport.stream(rows.spliterator(), false)
                .filter(row -> row.get(field).asString().equals(value))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + value + " in " + rows));
    }

    private static boolean has(JsonNode rows, String field, String value) {
        return StreamSupport.stream(rows.spliterator(), false)
                .anyMatch(row -> row.get(field).asString().equals(value));
    }

    private static String width(JsonNode sheet, String letter) {
        return byKey(sheet.get("sizes").get(0).get("pieces"), "letter", letter)
                .get("width")
                .get("value")
                .get("inch")
                .asString();
    }

    @Test
    void everyKindIsShownAsItUsuallyIs() {
        JsonNode kinds = APP.get("/api/kinds").body();
        assertThat(kinds.size()).isGreaterThanOrEqualTo(20);
        assertThat(kinds)
                .allSatisfy(kind -> assertThat(kind.get("picture").get("parts").size())
                        .as(kind.get("words").asString())
                        .isPositive());
        assertThat(byKey(kinds, "kind", "BOXED_POUCH").get("measures").toString())
                .isEqualTo("[\"8 in\",\"6 in\",\"3 in\"]");
    }

    @Test
    void aDraftFollowsWhatIsTypedInTheMakersUnits() {
        JsonNode draft = draft(
                brief("BOXED_POUCH", "", "FINISHED", Map.of(), Map.of("width", "8", "height", "6", "depth", "3")));

        assertThat(width(draft.get("sheet"), "A")).isEqualTo("11 ½ in");
        assertThat(draft.get("document").get("name").asString()).isEqualTo("Boxed zip pouch");
        JsonNode first = draft.get("measures").get(0);
        assertThat(first.get("value").asString()).isEqualTo("8 in");
        assertThat(first.get("asked").asBoolean()).isTrue();
    }

    @Test
    void whatCantBeReadIsSaidAtItsMeasure() {
        JsonNode draft = draft(brief("BOXED_POUCH", "", "FINISHED", Map.of(), Map.of("width", "wide")));

        JsonNode findings = draft.get("sheet").get("sizes").get(0).get("findings");
        assertThat(has(findings, "place", "measurements.width"))
                .as(findings.toString())
                .isTrue();
        assertThat(draft.get("sheet").get("canBeSewn").asBoolean()).isFalse();
    }

    @Test
    void whatAPaperSaysIsKeptAndWhatDoesntAgreeIsNamed() {
        Map<String, Object> brief = new HashMap<>(brief(
                "BOXED_POUCH",
                "From paper",
                "CUT",
                Map.of("CORNERS", "CUT_OUT_AFTER"),
                Map.of("cut_width", "12", "cut_height", "10", "corner", "1 1/4")));
        brief.put("paper", List.of(Map.of("letter", "B", "width", "12", "height", "9 1/2")));
        JsonNode draft = draft(brief);

        assertThat(width(draft.get("sheet"), "A")).isEqualTo("12 in");
        assertThat(draft.get("disagreements").size()).isEqualTo(1);
        assertThat(draft.get("disagreements").get(0).asString())
                .isEqualTo(
                        "Lining panel: the paper says 12 in × 9 ½ in, and with these measures it comes to 12 in × 10 in.");
        JsonNode finished =
                draft.get("sheet").get("sizes").get(0).get("finished").get("measures");
        assertThat(finished.get(0).get("figure").get("value").get("inch").asString())
                .isEqualTo("8 ½ in");
    }

    @Test
    void aPaperThatCantBeReadIsRefusedAtItsField() {
        Map<String, Object> brief = new HashMap<>(brief("BOXED_POUCH", "", "CUT", Map.of(), Map.of()));
        brief.put("paper", List.of(Map.of("letter", "B", "width", "a hand", "height", "")));
        Answer answer = APP.post("/api/kinds/draft", brief);

        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.on("paper.B.width")).contains("a hand");
    }

    @Test
    void aBriefBecomesADesignOnce() {
        UUID request = UUID.randomUUID();
        Map<String, Object> form = Map.of(
                "requestId", request, "brief", brief("BASKET", "Basket for eggs", "FINISHED", Map.of(), Map.of()));
        Answer first = APP.post("/api/kinds/designs", form);
        Answer again = APP.post("/api/kinds/designs", form);

        assertThat(first.status()).as(first.body().toString()).isEqualTo(201);
        assertThat(again.id()).isEqualTo(first.id());
        assertThat(first.body().get("document").get("begun").get("kind").asString())
                .isEqualTo("BASKET");
        assertThat(begin(brief("BASKET", "basket FOR eggs", "FINISHED", Map.of(), Map.of()))
                        .on("name"))
                .contains("already");
        assertThat(begin(brief("BASKET", " ", "FINISHED", Map.of(), Map.of())).status())
                .isEqualTo(422);
    }

    @Test
    void aChoiceIsChangedLaterAndAllElseStays() {
        Answer begun = begin(brief("BOXED_POUCH", "To be changed", "FINISHED", Map.of(), Map.of("width", "9")));
        ObjectNode document = (ObjectNode) begun.body().get("document").deepCopy();
        ((ObjectNode) byKey(document.get("steps"), "key", "topstitch")).put("minutesPerUnit", "2.25");
        ((ObjectNode) byKey(document.get("pieces"), "letter", "B")).put("name", "Lining, waxed");

        JsonNode changed = rechoose(document, Map.of("ZIP_ENDS", "CAUGHT", "POCKET", "ZIP_POCKET"));
        JsonNode after = changed.get("document");

        assertThat(has(after.get("pieces"), "letter", "D"))
                .as("no tabs any more")
                .isFalse();
        assertThat(has(after.get("pieces"), "letter", "P")).as("a pocket").isTrue();
        assertThat(byKey(after.get("measurements"), "symbol", "width")
                        .get("values")
                        .get(0)
                        .asString())
                .isEqualTo("9 in");
        assertThat(byKey(after.get("steps"), "key", "topstitch")
                        .get("minutesPerUnit")
                        .asString())
                .isEqualTo("2.25");
        assertThat(byKey(after.get("pieces"), "letter", "B").get("name").asString())
                .isEqualTo("Lining, waxed");
        assertThat(byKey(after.get("trims"), "letter", "Z").get("length").asString())
                .startsWith("zip_full_length");
        assertThat(changed.get("kept").size()).isZero();

        JsonNode back = rechoose(after, Map.of("ZIP_ENDS", "FOLDED_TABS", "POCKET", "NO_POCKET"));
        assertThat(back.get("document")).as("back again is as it was").isEqualTo(document);
    }

    @Test
    void aMakerOfTheCommaReadsCommasAndNothingIsChangedByHandForThat() {
        JsonNode before = APP.get("/api/settings").body();
        ObjectNode comma = (ObjectNode) before.deepCopy();
        comma.put("decimalMark", "COMMA").put("unitSystem", "METRIC");
        assertThat(APP.put("/api/settings", comma).status()).isEqualTo(200);
        try {
            Map<String, Object> brief = brief(
                    "BASKET", "Commas {ç}", "FINISHED", Map.of("HANDLES", "WEBBING_HANDLES"), Map.of("width", "20.5"));
            JsonNode band = byKey(draft(brief).get("measures"), "symbol", "band");
            assertThat(band.get("value").asString()).isEqualTo("2,5 cm");
            JsonNode document = begin(brief).body().get("document");
            assertThat(value(document, "width")).isEqualTo("20,5 cm");
            assertThat(value(document, "band")).isEqualTo("2,5 cm");
            assertThat(document.get("steps").toString()).contains("2.5 mm").doesNotContain("2,5 mm");

            JsonNode fewer = rechoose(document, Map.of("HANDLES", "NO_HANDLE"));
            assertThat(fewer.get("kept").size()).isZero();
            assertThat(value(fewer.get("document"), "band")).isEqualTo("2,5 cm");
            JsonNode again = rechoose(fewer.get("document"), Map.of("HANDLES", "WEBBING_HANDLES"));
            assertThat(again.get("document")).isEqualTo(document);
            JsonNode pouch = APP.post(
                            "/api/designs",
                            Map.of("requestId", UUID.randomUUID(), "name", "Commas by hand", "pattern", "pouch"))
                    .body()
                    .get("document");
            JsonNode strapped = APP.post(
                            "/api/designs/with-block", Map.of("document", document, "block", "strap-four-fold"))
                    .body();
            assertThat(value(strapped, "strap")).isEqualTo("2,5 cm");
            assertThat(pouch.get("measurements").toString()).doesNotContainPattern("\\d\\.\\d");
        } finally {
            ObjectNode back = (ObjectNode) before.deepCopy();
            back.put("version", APP.get("/api/settings").body().get("version").asLong());
            assertThat(APP.put("/api/settings", back).status()).isEqualTo(200);
        }
    }

    private static String value(JsonNode document, String symbol) {
        return byKey(document.get("measurements"), "symbol", symbol)
                .get("values")
                .get(0)
                .asString();
    }

    @Test
    void whatWasChangedByHandDoesntFollowAndThatIsSaid() {
        Answer begun = begin(brief("BOXED_POUCH", "Changed by hand", "FINISHED", Map.of(), Map.of()));
        ObjectNode document = (ObjectNode) begun.body().get("document").deepCopy();
        ((ObjectNode) byKey(document.get("trims"), "letter", "Z")).put("length", "10 in");

        JsonNode changed = rechoose(document, Map.of("ZIP_ENDS", "CAUGHT"));

        assertThat(byKey(changed.get("document").get("trims"), "letter", "Z")
                        .get("length")
                        .asString())
                .isEqualTo("10 in");
        assertThat(changed.get("kept").get(0).asString())
                .isEqualTo("“Zip”: its length was changed by hand, so it stays as it is.");
    }

    @Test
    void aDesignDrawnByHandHasNoChoices() {
        Answer blank =
                APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "By hand", "pattern", "blank"));
        Answer answer = APP.post(
                "/api/designs/rechosen", Map.of("document", blank.body().get("document"), "chosen", Map.of()));

        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains("drawn by hand");
    }

    /** Something for each slot, named once for all that asks for the same. */
    private static Map<String, Long> materials(JsonNode slots) {
        Map<String, Long> chosen = new HashMap<>();
        slots.forEach(slot -> {
            String what = slot.get("kind").asString()
                    + (slot.has("cloth") ? slot.get("cloth").asString() : "")
                    + (slot.has("ware") ? slot.get("ware").asString() : "")
                    + (slot.get("kind").asString().startsWith("FILLING")
                            ? slot.get("label").asString()
                            : "");
            chosen.put(slot.get("slot").asString(), NAMED.computeIfAbsent(what, its -> {
                Map<String, Object> form = new HashMap<>(Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        slot.get("kind").asString(),
                        "name",
                        its,
                        "price",
                        "4,50",
                        "colour",
                        "#5b7f8c",
                        "print",
                        "DOTS"));
                for (String key : List.of("cloth", "ware")) {
                    if (slot.has(key)) {
                        form.put(key, slot.get(key).asString());
                    }
                }
                Answer answer = APP.post("/api/materials/named", form);
                assertThat(answer.status()).as(answer.body().toString()).isEqualTo(201);
                return answer.id();
            }));
        });
        return chosen;
    }

    @Test
    void everyKindIsCostedPricedAndPlannedInWhatItAsksFor() {
        APP.get("/api/kinds").body().forEach(kind -> {
            String words = kind.get("words").asString();
            Map<String, Object> brief = new HashMap<>(
                    brief(kind.get("kind").asString(), "Costed " + words, "FINISHED", Map.of(), Map.of()));
            JsonNode slots = draft(brief).get("slots");
            slots.forEach(
                    slot -> assertThat(slot.get("per").asString()).as(words).isNotBlank());
            brief.put("materials", materials(slots));

            JsonNode size = draft(brief).get("sheet").get("sizes").get(0);
            assertThat(size.has("ticket"))
                    .as(words + ": " + size.get("ticketMissing"))
                    .isTrue();
            assertThat(size.get("ticket").get("price").get("minor").asLong())
                    .as(words)
                    .isPositive();
            assertThat(size.get("finished").get("picture").get("cloths").size())
                    .as(words)
                    .isPositive();

            Answer begun = begin(brief);
            assertThat(begun.status()).as(begun.body().toString()).isEqualTo(201);
            JsonNode planned = planned(begun.id(), brief);
            assertThat(planned.get("lines").get(0).has("total")).as(words).isTrue();
            assertThat(planned.get("cutList").size()).as(words).isPositive();
        });
    }

    /** Each piece of a batch of any kind of bag has its place on a cloth, in the search for the least money. */
    @Test
    void everyKindIsLaidOut() {
        APP.get("/api/kinds").body().forEach(kind -> {
            String words = kind.get("words").asString();
            Map<String, Object> brief = new HashMap<>(
                    brief(kind.get("kind").asString(), "Laid out " + words, "FINISHED", Map.of(), Map.of()));
            brief.put("materials", materials(draft(brief).get("slots")));
            long batch = ok(APP.post("/api/batches", batch(begin(brief).id(), brief)))
                    .get("id")
                    .asLong();
            String cutting = "/api/batches/" + batch + "/cutting";
            ok(APP.post(cutting + "/search", Map.of("aim", "MONEY", "seconds", 0.1, "fromOffcuts", false)));
            long end = System.nanoTime() + Duration.ofSeconds(60).toNanos();
            while (ok(APP.get(cutting + "/search")).get("running").asBoolean()) {
                assertThat(System.nanoTime()).as("the search ends").isLessThan(end);
            }
            JsonNode cloths = ok(APP.get(cutting)).get("cloths");
            assertThat(cloths.size()).as(words).isPositive();
            cloths.forEach(cloth -> assertThat(laid(cloth))
                    .as(words + " from " + cloth.get("name"))
                    .isEqualTo(
                            sum(cloth.get("pieces"), piece -> piece.get("count").asLong()))
                    .isPositive());
        });
    }

    private static long laid(JsonNode cloth) {
        return sum(cloth.get("mats"), mat -> mat.get("pieces").size());
    }

    private static long sum(JsonNode rows, ToLongFunction<JsonNode> of) {
        return StreamSupport.stream(rows.spliterator(), false).mapToLong(of).sum();
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 299);
        return answer.body();
    }

    private static JsonNode planned(long design, Map<String, Object> brief) {
        return ok(APP.post("/api/batches/preview", batch(design, brief)));
    }

    private static Map<String, Object> batch(long design, Map<String, Object> brief) {
        List<Map<String, Object>> materials = ((Map<?, ?>) brief.get("materials"))
                .entrySet().stream()
                        .map(slot -> Map.<String, Object>of("slot", slot.getKey(), "materialId", slot.getValue()))
                        .toList();
        Map<String, Object> line = Map.of(
                "designId", design, "sizeName", "one size", "units", "24", "ownPrice", "", "materials", materials);
        return new HashMap<>(Map.of(
                "requestId", UUID.randomUUID(),
                "version", 0,
                "forWhat", "",
                "offcuts", List.of(),
                "lines", List.of(line)));
    }
}
