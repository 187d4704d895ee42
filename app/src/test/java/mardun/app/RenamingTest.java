package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

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
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Pieces, measurements and sizes that get another name, over HTTP: everywhere at once, and nothing is lost by it. */
class RenamingTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long shelf;
    private ObjectNode document;
    private Answer design;

    @BeforeAll
    static void aWorkroom() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        shelf = APP.post("/api/materials", APP.cloth("Cloth", "44 in", "9.00", "40 yd"))
                .id();
    }

    @BeforeEach
    void aPouch() {
        design = APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "Pouch " + UUID.randomUUID()));
        document = (ObjectNode) design.body().get("document");
    }

    private Answer rename(String what, String from, String to) {
        return APP.post("/api/designs/renamed", Map.of("document", document, "what", what, "from", from, "to", to));
    }

    private JsonNode previewOf(JsonNode what) {
        Answer preview = APP.post("/api/designs/preview", Map.of("document", what));
        assertThat(preview.status()).as(preview.body().toString()).isEqualTo(200);
        return preview.body();
    }

    /** All sizes with what they measure: renaming changes none of it. */
    private static String measured(JsonNode sheet) {
        StringBuilder measured = new StringBuilder();
        for (JsonNode size : sheet.get("sizes")) {
            size.get("pieces")
                    .forEach(piece -> measured.append(
                                    piece.get("width").get("value").get("exact").asString())
                            .append(' ')
                            .append(piece.get("height")
                                    .get("value")
                                    .get("exact")
                                    .asString())
                            .append(' '));
            measured.append(size.path("finished")
                            .path("width")
                            .path("value")
                            .path("exact")
                            .asString("-"))
                    .append(size.get("findings").size())
                    .append('\n');
        }
        return measured.toString();
    }

    @Test
    void whatThePaperSaysGoesWithWhatItIsSaidOf() {
        String letter = document.get("pieces").get(0).get("letter").asString();
        String symbol = document.get("measurements").get(0).get("symbol").asString();
        ArrayNode paper = document.putArray("paper");
        paper.addObject().put("place", "pieces." + letter).put("says", "cut 2, 10 x 8 {ç}");
        paper.addObject().put("place", "measurements." + symbol).put("says", "3/8 in");
        document = (ObjectNode) rename("LETTER", letter, "7x").body();
        document = (ObjectNode) rename("MEASUREMENT", symbol, "renamed").body();
        assertThat(document.get("paper").get(0).get("place").asString()).isEqualTo("pieces.7x");
        assertThat(document.get("paper").get(1).get("place").asString()).isEqualTo("measurements.renamed");
        long id = design.id();
        Answer saved = APP.put(
                "/api/designs/" + id,
                Map.of("version", design.body().get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        assertThat(APP.get("/api/designs/" + id).body().get("document").get("paper"))
                .hasSize(2);
    }

    @Test
    void aLetterIsRenamedEverywhereAndNothingElseChanges() {
        String before = measured(previewOf(document));
        for (JsonNode piece : document.get("pieces")) {
            String letter = piece.get("letter").asString();
            Answer renamed = rename("LETTER", letter, "2" + letter.toLowerCase());
            assertThat(renamed.status()).as(renamed.body().toString()).isEqualTo(200);
            assertThat(measured(previewOf(renamed.body()))).isEqualTo(before);
            document = (ObjectNode) renamed.body();
        }
        assertThat(document.get("form").get("outer").asString()).isEqualTo("2a");
        Answer saved = APP.put(
                "/api/designs/" + design.id(),
                Map.of("version", design.body().get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
    }

    @Test
    void aMeasurementIsRenamedInEveryFormulaAndWhatWasSetAsideStaysSo() {
        String before = measured(previewOf(document));
        for (JsonNode row : document.get("measurements")) {
            String symbol = row.get("symbol").asString();
            Answer renamed = rename("MEASUREMENT", symbol, "alça_" + symbol);
            assertThat(renamed.status()).as(renamed.body().toString()).isEqualTo(200);
            assertThat(measured(previewOf(renamed.body()))).as(symbol).isEqualTo(before);
            document = (ObjectNode) renamed.body();
        }
        assertThat(document.get("measurements"))
                .allMatch(row -> row.get("symbol").asString().startsWith("alça_"));
    }

    @Test
    void aTakenAnEmptyOrAnUnfitNameIsRefusedAsAWhole() {
        assertThat(rename("LETTER", "A", "B").on("to")).isEqualTo("“B” is taken. Type another name; so far it is “A”.");
        assertThat(rename("LETTER", "A", " ").on("to")).contains("This is empty");
        assertThat(rename("LETTER", "A", "A-1").on("to")).contains("up to four letters or digits");
        assertThat(rename("LETTER", "Q", "R").on("from")).contains("no “Q” any more");
        assertThat(rename("MEASUREMENT", "width", "depth").on("to")).contains("is taken");
        assertThat(rename("MEASUREMENT", "width", "cm").on("to")).contains("units and pi are taken");
        assertThat(rename("MEASUREMENT", "width", "{0}").on("to")).contains("can't be a measurement's name");
        assertThat(rename("SIZE", "small", "medium").on("to")).contains("is taken");
    }

    private Answer saved(JsonNode changed) {
        Answer saved = APP.put(
                "/api/designs/" + design.id(),
                Map.of(
                        "version",
                        APP.get("/api/designs/" + design.id())
                                .body()
                                .get("version")
                                .asLong(),
                        "document",
                        changed));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        return saved;
    }

    private Map<String, Object> form(String size) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "version",
                0,
                "designId",
                design.id(),
                "sizeName",
                size,
                "units",
                "4",
                "ownPrice",
                "",
                "forWhat",
                "",
                "materials",
                List.of(Map.of("slot", "outer", "materialId", shelf))));
        return RunningApp.oneLine(form);
    }

    /** Without trims and notions, so that one cloth is all that a batch needs. */
    private void onlyCloth() {
        ObjectNode changed = document.deepCopy();
        for (String list : List.of("trims", "zips", "notions", "panels", "casings", "straps")) {
            ((ArrayNode) changed.get(list)).removeAll();
        }
        changed.get("steps").forEach(step -> ((ObjectNode) step).put("uses", ""));
        ArrayNode pieces = (ArrayNode) changed.get("pieces");
        pieces.forEach(piece -> ((ObjectNode) piece).put("slot", "outer"));
        document = (ObjectNode) saved(changed).body().get("document");
    }

    @Test
    void aBatchKeepsItsDesignUntilItTakesAChangeOverWhateverItsSizeIsCalledThen() {
        onlyCloth();
        Answer batch = APP.post("/api/batches", form("medium"));
        assertThat(batch.status()).as(batch.body().toString()).isEqualTo(201);
        String width = widthOf(batch.body());
        JsonNode renamed = rename("SIZE", "medium", "grande {0}").body();
        JsonNode turned = APP.post("/api/designs/arranged", Map.of("document", renamed, "order", List.of(1, 0)))
                .body();
        assertThat(turned.get("sizes").get(0).asString()).isEqualTo("grande {0}");
        saved(turned);
        JsonNode before = APP.get("/api/batches/" + batch.id()).body();
        assertThat(before.get("lines").get(0).get("sizeName").asString()).isEqualTo("medium");
        assertThat(before.get("changedDesigns")).hasSize(1);
        Answer taken = takeDesign(before);
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(200);
        JsonNode after = APP.get("/api/batches/" + batch.id()).body();
        assertThat(after.get("lines").get(0).get("sizeName").asString()).isEqualTo("grande {0}");
        assertThat(after.get("changedDesigns")).isEmpty();
        assertThat(widthOf(after)).isEqualTo(width);

        saved(APP.post("/api/designs/arranged", Map.of("document", turned, "order", List.of(1)))
                .body());
        Answer refused = takeDesign(after);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("has no size “grande {0}” any more; it has small");
        JsonNode kept = APP.get("/api/batches/" + batch.id()).body();
        assertThat(kept.get("changedDesigns")).hasSize(1);
        assertThat(widthOf(kept)).isEqualTo(width);
        assertThat(APP.get("/api/bench").status()).isEqualTo(200);
        assertThat(APP.get("/api/batches").status()).isEqualTo(200);
        assertThat(APP.get("/api/buying").status()).isEqualTo(200);
    }

    private Answer takeDesign(JsonNode batch) {
        return APP.post(
                "/api/batches/" + batch.get("id").asLong() + "/take-design",
                Map.of(
                        "version",
                        batch.get("version").asLong(),
                        "designId",
                        batch.get("lines").get(0).get("designId").asLong()));
    }

    private static String widthOf(JsonNode batch) {
        return batch.get("sheet")
                .get("cutList")
                .get(0)
                .get("piece")
                .get("width")
                .get("value")
                .get("exact")
                .asString();
    }

    @Test
    void theLastSizeStaysAndNoneComesTwice() {
        assertThat(APP.post("/api/designs/arranged", Map.of("document", document, "order", List.of()))
                        .on("order"))
                .contains("at least one size");
        assertThat(APP.post("/api/designs/arranged", Map.of("document", document, "order", List.of(0, 0)))
                        .status())
                .isEqualTo(422);
    }

    /** Names that look like templates, and letters of other languages, are shown and not run. */
    @Test
    void namesWithBracesAreNames() {
        ObjectNode changed = document.deepCopy();
        ((ObjectNode) changed.get("pieces").get(0)).put("name", "Outer {0} ${x} %s");
        ((ObjectNode) changed.get("measurements").get(0))
                .put("label", "Width {1}")
                .put("symbol", "largura_ç");
        ((ObjectNode) changed.get("pieces").get(0)).put("width", "{0} + largura_ç");
        JsonNode sheet = previewOf(changed);
        assertThat(sheet.toString()).contains("{0} + largura_ç");
        assertThat(sheet.get("canBeSewn").asBoolean()).isFalse();
    }
}
