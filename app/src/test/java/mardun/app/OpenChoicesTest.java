package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import mardun.app.RunningApp.Answer;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.Quality;
import mardun.app.id.ChannelId;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A pouch that is made with a pocket or without, chosen for the design, for a line of a batch and for an order. */
class OpenChoicesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static Map<String, Long> shelf;
    private static long canvas;
    private static int number;

    private long design;
    private ObjectNode document;

    @BeforeAll
    static void aShelf() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        shelf = APP.pouchShelf("90 yd");
        canvas = APP.enter(APP.cloth("Canvas", "44 in", "10.00", "20 yd"));
    }

    @BeforeEach
    void aPouchWithOrWithoutAPocket() {
        design = APP.pouch("Pouch " + ++number);
        document = (ObjectNode) APP.get("/api/designs/" + design).body().get("document");
        ObjectNode slot = copy("slots", 0);
        slot.put("key", "pocket").put("label", "Pocket cloth").put("materialId", canvas);
        ObjectNode piece = copy("pieces", 0);
        piece.put("letter", "K").put("name", "Pocket").put("slot", "pocket").put("quantity", "1");
        piece.put("role", "POCKET").put("boxed", false).put("width", "5 in").put("height", "8 in");
        piece.putArray("marks");
        piece.putArray("shapes");
        ObjectNode step = copy("steps", 1);
        step.put("key", "pocket").put("name", "Fold and sew the pocket").put("minutesPerUnit", "9");
        step.put("minutesPerBatch", "0").put("uses", "2K").putArray("after");
        document.get("slots")
                .forEach(row -> shelf.computeIfPresent(row.get("key").asString(), (key, material) -> {
                    ((ObjectNode) row).put("materialId", material);
                    return material;
                }));
        ArrayNode choices = document.putArray("openChoices");
        ObjectNode choice = choices.addObject();
        choice.put("key", "c1").put("name", "Pocket inside").put("usual", "no");
        ArrayNode alternatives = choice.putArray("alternatives");
        alternative(alternatives, "no", "none");
        ObjectNode with = alternative(alternatives, "yes", "one");
        ((ArrayNode) with.get("slots")).add("pocket");
        ((ArrayNode) with.get("steps")).add("pocket");
        document = (ObjectNode) saved().get("document");
    }

    private ObjectNode copy(String list, int of) {
        ArrayNode rows = (ArrayNode) document.get(list);
        ObjectNode copy = (ObjectNode) rows.get(of).deepCopy();
        rows.add(copy);
        return copy;
    }

    private static ObjectNode alternative(ArrayNode alternatives, String key, String name) {
        ObjectNode one = alternatives.addObject();
        one.put("key", key).put("name", name);
        Stream.of("letters", "slots", "steps", "measures").forEach(one::putArray);
        return one;
    }

    private JsonNode saved() {
        Answer saved = save();
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        return saved.body();
    }

    private Answer save() {
        long version = APP.get("/api/designs/" + design).body().get("version").asLong();
        return APP.put("/api/designs/" + design, Map.of("version", version, "document", document));
    }

    private Map<String, Object> batch(String units, List<Map<String, String>> picks) {
        Map<String, Object> form = RunningApp.batch(design, units, shelf, List.of());
        Map<String, Object> line = RunningApp.line(form);
        line.put(
                "materials",
                Stream.concat(shelf.entrySet().stream(), Map.of("pocket", canvas).entrySet().stream())
                        .map(slot -> Map.of("slot", slot.getKey(), "materialId", slot.getValue()))
                        .toList());
        line.put("picks", picks);
        return form;
    }

    private static List<Map<String, String>> pocket(String which) {
        return List.of(Map.of("choice", "c1", "alternative", which));
    }

    private static JsonNode made(Map<String, Object> form) {
        Answer made = APP.post("/api/batches", form);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.body();
    }

    private static List<String> texts(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(row -> row.get(field).asString())
                .toList();
    }

    private static JsonNode size(JsonNode view) {
        return view.get("sheet").get("sizes").get(0);
    }

    @Test
    void aDesignIsReckonedAsItIsUsuallyMadeAndSaysWhatTheOtherWayChanges() {
        JsonNode usual = APP.get("/api/designs/" + design).body();
        assertThat(texts(size(usual).get("pieces"), "letter")).doesNotContain("K");
        JsonNode other = size(usual).get("alternatives").get(0);
        assertThat(other.get("key").asString()).isEqualTo("yes");
        assertThat(other.get("time").asString()).isEqualTo("+9 min");
        assertThat(other.get("cost").asString()).startsWith("+");
        long before = minor(usual);

        ((ObjectNode) document.get("openChoices").get(0)).put("usual", "yes");
        JsonNode withPocket = saved();

        assertThat(texts(size(withPocket).get("pieces"), "letter")).contains("K");
        JsonNode less = size(withPocket).get("alternatives").get(0);
        assertThat(less.get("time").asString()).isEqualTo("−9 min");
        assertThat(less.get("cost").asString().substring(1))
                .isEqualTo(other.get("cost").asString().substring(1));
        assertThat(minor(withPocket) - before)
                .isEqualTo(Math.round(
                        Double.parseDouble(other.get("cost").asString().substring(1)) * 100));
    }

    private static long minor(JsonNode view) {
        return size(view).get("ticket").get("cost").get("value").get("minor").asLong();
    }

    @Test
    void aLineOfABatchIsMadeAsWasChosenForIt() {
        JsonNode plain = made(batch("10", List.of()));
        JsonNode withPocket = made(batch("10", pocket("yes")));

        assertThat(texts(plain.get("sheet").get("needs"), "name")).doesNotContain("Canvas");
        assertThat(texts(withPocket.get("sheet").get("needs"), "name")).contains("Canvas");
        assertThat(withPocket.get("lines").get(0).get("picked").asString()).isEqualTo("Pocket inside: one");
        assertThat(withPocket.get("sheet").get("lines").get(0).get("sizeName").asString())
                .endsWith(", Pocket inside: one");
        assertThat(plain.get("lines").get(0).get("picked").asString()).isEmpty();
        assertThat(plain.get("lines").get(0).get("picks")).isEmpty();
        assertThat(each(withPocket)).isGreaterThan(each(plain));
        // Once its cloth is cut, it is sewn as it was chosen, whatever the design's usual is by then.
        long id = withPocket.get("id").asLong();
        Answer cut = APP.post(
                "/api/batches/" + id + "/cut",
                Map.of("version", withPocket.get("version").asLong(), "reason", ""));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        assertThat(each(cut.body())).isEqualTo(each(withPocket));
        assertThat(cut.body().get("lines").get(0).get("picked").asString()).isEqualTo("Pocket inside: one");
    }

    private static long each(JsonNode batch) {
        return batch.get("sheet").get("lines").get(0).get("each").get("minor").asLong();
    }

    @Test
    void twoLinesOfOneDesignMayBeChosenDifferently() {
        Map<String, Object> form = batch("6", pocket("yes"));
        form.put("lines", List.of(RunningApp.line(form), RunningApp.line(batch("6", List.of()))));
        JsonNode batch = made(form);
        assertThat(texts(batch.get("lines"), "picked")).containsExactly("Pocket inside: one", "");
        JsonNode lines = batch.get("sheet").get("lines");
        assertThat(lines.get(0).get("each").get("minor").asLong())
                .isGreaterThan(lines.get(1).get("each").get("minor").asLong());
        JsonNode order =
                APP.get("/api/batches/" + batch.get("id").asLong() + "/order").body();
        assertThat(order.toString()).contains("Fold and sew the pocket");
    }

    @Test
    void finishedBagsThatWereChosenOtherwiseAreAKindOfTheirOwn() {
        Map<String, Object> form = batch("6", pocket("yes"));
        form.put("lines", List.of(RunningApp.line(form), RunningApp.line(batch("6", List.of()))));
        long id = made(form).get("id").asLong();
        Answer cut = APP.post("/api/batches/" + id + "/cut", Map.of("version", version(id), "reason", ""));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        Answer finished = APP.post(
                "/api/batches/" + id + "/finish",
                Map.of(
                        "version",
                        version(id),
                        "reason",
                        "",
                        "lines",
                        List.of(
                                Map.of("number", 1, "good", "5", "second", "1", "seconds", "", "scrap", ""),
                                Map.of("number", 2, "good", "6", "seconds", "", "scrap", ""))));
        assertThat(finished.status()).as(finished.body().toString()).isEqualTo(200);
        List<BagKind> kinds = APP.part(GoodsLedger.class).kinds().values().stream()
                .map(GoodsLedger.KnownKind::kind)
                .filter(kind ->
                        kind.designId().filter(one -> one.value() == design).isPresent())
                .filter(kind -> kind.quality() == Quality.GOOD)
                .sorted(Comparator.comparing(BagKind::isUsual))
                .toList();
        assertThat(kinds).hasSize(2);
        assertThat(kinds.get(0).isUsual()).isFalse();
        assertThat(kinds.get(0).words()).contains("Pocket inside: one");
        assertThat(kinds.get(0).inBook(new ChannelId(1)))
                .as("a price that is set counts for bags as usual")
                .isEmpty();
        assertThat(kinds.get(1).words()).doesNotContain("Pocket inside");
        assertThat(kinds.get(1).inBook(new ChannelId(1))).isPresent();
        String tickets = APP.get(
                        "/api/finished-goods?query=" + kinds.get(0).designName().replace(" ", "+"))
                .body()
                .toString();
        assertThat(tickets).contains("medium, Pocket inside: one");
    }

    private static long version(long batch) {
        return APP.get("/api/batches/" + batch).body().get("version").asLong();
    }

    @Test
    void whatCanNotBeChosenIsRefusedAndNothingIsKept() {
        Answer refused = APP.post("/api/batches", batch("6", pocket("two")));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("picks")).contains("leaves nothing open that could be chosen so");

        ObjectNode choice = (ObjectNode) document.get("openChoices").get(0);
        ((ObjectNode) choice.get("alternatives").get(1)).put("name", "none");
        choice.put("usual", "perhaps");
        Answer twice = save();
        assertThat(twice.status()).isEqualTo(422);
        assertThat(twice.on("openChoices.0.alternatives.1.name")).contains("is there twice");
        assertThat(twice.on("openChoices.0.usual")).contains("Say which of “Pocket inside” is usually taken");
    }

    @Test
    void aChoiceOfNothingIsRefusedInASentence() {
        ((ObjectNode) document.get("openChoices").get(0)).putArray("alternatives");
        Answer preview = APP.post("/api/designs/preview", Map.of("document", document));
        assertThat(preview.status()).as(preview.body().toString()).isEqualTo(200);
        assertThat(preview.body().toString()).contains("has 0 to choose from");
        assertThat(save().on("openChoices.0.alternatives")).contains("A choice has from 2 to 8");
    }

    @Test
    void anAlternativeThatCanNotBeSewnIsRefusedByItsName() {
        StreamSupport.stream(document.get("pieces").spliterator(), false)
                .filter(piece -> piece.get("letter").asString().equals("K"))
                .forEach(piece -> ((ObjectNode) piece).put("width", "0 in"));
        Answer refused = save();
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().toString()).contains("Pocket inside: one, ");
    }

    /** Pieces are renamed and taken out in the editor; a choice follows, and names nothing that isn't there. */
    @Test
    void aChoiceFollowsWhatIsRenamedAndTakenOut() {
        ((ArrayNode) document.get("openChoices")
                        .get(0)
                        .get("alternatives")
                        .get(1)
                        .get("letters"))
                .add("K");
        document = (ObjectNode) saved().get("document");
        JsonNode renamed = APP.post(
                        "/api/designs/renamed", Map.of("document", document, "what", "LETTER", "from", "K", "to", "P1"))
                .body();
        assertThat(renamed.get("openChoices")
                        .get(0)
                        .get("alternatives")
                        .get(1)
                        .get("letters")
                        .get(0)
                        .asString())
                .isEqualTo("P1");
        ArrayNode pieces = (ArrayNode) document.get("pieces");
        pieces.remove(pieces.size() - 1);
        ((ArrayNode) document.get("steps")).remove(document.get("steps").size() - 1);
        JsonNode left = saved().get("document")
                .get("openChoices")
                .get(0)
                .get("alternatives")
                .get(1);
        assertThat(left.get("letters")).isEmpty();
        assertThat(left.get("steps")).isEmpty();
        assertThat(texts(left.get("slots").isEmpty() ? left : document.get("slots"), "key"))
                .contains("pocket");
    }

    @Test
    void itsTemplatesAndItsPatternSheetAreThoseOfWhatWasChosen() throws Exception {
        String templates = "/api/designs/" + design + "/templates?paper=LETTER";
        assertThat(texts(APP.get(templates).body().get("pieces"), "letter")).doesNotContain("K");
        JsonNode chosen = APP.get(templates + "&picks=yes").body();
        assertThat(texts(chosen.get("pieces"), "letter")).contains("K");
        assertThat(chosen.get("choices").get(0).get("name").asString()).isEqualTo("Pocket inside");
        assertThat(sheet("")).doesNotContain("Fold and sew the pocket");
        assertThat(sheet("&picks=yes"))
                .contains("Pocket inside: one")
                .contains("Fold and sew the pocket")
                .contains("Pocket cloth");
    }

    private String sheet(String more) throws Exception {
        byte[] file = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/designs/" + design
                                        + "/pattern-sheet.pdf?units=2" + more))
                                .build(),
                        BodyHandlers.ofByteArray())
                .body();
        try (PDDocument read = Loader.loadPDF(file)) {
            return new PDFTextStripper().getText(read);
        }
    }

    @Test
    void aQuoteIsPricedAsWasChosen() {
        assertThat(quoted(pocket("yes"))).isGreaterThan(quoted(List.of()));
    }

    private long quoted(List<Map<String, String>> picks) {
        Map<String, Object> line = new HashMap<>(Map.of(
                "designId", design,
                "sizeKey", document.get("sizeKeys").get(0).asString(),
                "materials", RunningApp.line(batch("1", List.of())).get("materials"),
                "units", "6",
                "numbers", "",
                "wish", "",
                "wishMinutes", "",
                "wishMaterial", "",
                "ownPrice", ""));
        line.put("picks", picks);
        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId", UUID.randomUUID(),
                "version", 0,
                "who", "Ada",
                "reach", "",
                "favour", "NONE",
                "deposit", "",
                "note", "",
                "lines", List.of(line)));
        Answer quoted = APP.post("/api/quotes/preview", form);
        assertThat(quoted.status()).as(quoted.body().toString()).isEqualTo(200);
        return quoted.body().get("lines").get(0).get("cost").get("minor").asLong();
    }

    @Test
    void itGoesIntoAFileAndComesBackTheSame() {
        ObjectNode file =
                (ObjectNode) APP.get("/api/designs/" + design + "/design.json").body();
        assertThat(file.get("format").asInt()).isEqualTo(4);
        String name = "Taken in " + UUID.randomUUID();
        Answer taken = upload(file, name);
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
        JsonNode again = APP.get("/api/designs/"
                        + taken.body().get("designs").get(0).get("id").asLong())
                .body();
        assertThat(again.get("document").get("openChoices")).isEqualTo(document.get("openChoices"));

        ((ArrayNode) file.get("design")
                        .get("openChoices")
                        .get(0)
                        .get("alternatives")
                        .get(1)
                        .get("letters"))
                .add("Q");
        Answer refused = upload(file, "Other " + UUID.randomUUID());
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("openChoices.0.alternatives.1.letters")).contains("no piece, panel or trim “Q”");
    }

    private static Answer upload(JsonNode file, String name) {
        return APP.upload(
                "/api/design-files?requestId=" + UUID.randomUUID() + "&name=" + name.replace(" ", "%20"),
                RunningApp.JSON.writeValueAsBytes(file));
    }

    @Test
    void whatChangedIsToldInWords() {
        ((ObjectNode) document.get("openChoices").get(0)).put("name", "Inner pocket");
        long revision = saved().get("revision").asLong();
        JsonNode told = APP.get("/api/designs/" + design + "/revisions/" + (revision - 1) + "/to/" + revision)
                .body();
        assertThat(told.toString()).contains("Choices").contains("Inner pocket");
    }
}
