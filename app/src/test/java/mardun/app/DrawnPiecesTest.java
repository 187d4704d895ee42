package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Pieces with an outline drawn by hand: kept as drawn, sent and taken in the same, and right on paper. */
class DrawnPiecesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    /** A flap 20 cm wide: straight sides of 8 cm that go over into half a round. */
    private static final String FLAP = """
            {"kind": "DRAWN", "place": "BOTH", "across": "", "along": "", "drawn": {
                "mirrored": true, "line": "CUT", "tips": "MITRED", "tallerAt": "%s", "tallerBy": "%s",
                "points": [
                    {"across": "piece_width / 2", "down": "0 cm", "curved": false, "corner": false, "side": "TOP"},
                    {"across": "piece_width / 2", "down": "8 cm", "curved": false, "corner": false, "side": "RIGHT"},
                    {"across": "0 cm", "down": "%s", "curved": true, "corner": false, "side": "BOTTOM"}]}}""";

    private static JsonNode flap(String at, String by, String end) {
        return RunningApp.JSON.readTree(String.format(FLAP, at, by, end));
    }

    /** A pouch with one more piece, a flap of the given height and outline. */
    private static JsonNode withFlap(long pouch, String height, JsonNode outline) {
        JsonNode document =
                APP.get("/api/designs/" + pouch).body().get("document").deepCopy();
        ObjectNode piece = (ObjectNode) document.get("pieces").get(0).deepCopy();
        piece.put("letter", "F")
                .put("name", "Flap {ç} 🧵")
                .put("width", "20 cm")
                .put("height", height);
        piece.put("boxed", false).put("fold", "NONE").put("quantity", "1");
        piece.putArray("marks");
        piece.putArray("shapes").add(outline);
        document.get("pieces").asArray().add(piece);
        return document;
    }

    private static Answer save(long pouch, JsonNode document) {
        long version = APP.get("/api/designs/" + pouch).body().get("version").asLong();
        return APP.put("/api/designs/" + pouch, Map.of("version", version, "document", document));
    }

    private static JsonNode flapOf(JsonNode sheet) {
        return sheet.get("sizes")
                .get(0)
                .get("pieces")
                .valueStream()
                .filter(piece -> piece.get("letter").asString().equals("F"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void isKeptAsItWasDrawnWithTheHandlesOfItsPoints() {
        long pouch = APP.pouch("Pouch with a drawn flap");
        JsonNode document = withFlap(pouch, "18 cm", flap("", "", "18 cm"));
        Answer saved = save(pouch, document);
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        JsonNode design = APP.get("/api/designs/" + pouch).body();
        assertThat(design.get("document").get("pieces").get(4).get("shapes"))
                .isEqualTo(document.get("pieces").get(4).get("shapes"));
        JsonNode drawing = flapOf(design.get("sheet")).get("drawing");
        assertThat(drawing.get("outline").asString()).contains("A100.00 100.00 0 0 1");
        assertThat(drawing.get("handles")).hasSize(3);
        JsonNode last = drawing.get("handles").get(2);
        assertThat(last.get("x").asDouble()).isCloseTo(100, within(1e-6));
        assertThat(last.get("y").asDouble()).isCloseTo(180, within(1e-6));
        assertThat(last.get("fromX").asDouble()).isCloseTo(100, within(1e-6));
        assertThat(flapOf(design.get("sheet")).get("notes").get(0).toString()).contains("Cut by its template", "88 %");
    }

    @Test
    void goesOutAndComesInAgainTheSame() {
        long pouch = APP.pouch("Sent flap");
        save(pouch, withFlap(pouch, "21 cm", flap("5 cm", "3 cm", "18 cm")));
        JsonNode file = APP.get("/api/designs/" + pouch + "/design.json").body();
        Answer taken = APP.upload(
                "/api/design-files?requestId=" + UUID.randomUUID() + "&name="
                        + URLEncoder.encode("Sent flap again", StandardCharsets.UTF_8),
                RunningApp.JSON.writeValueAsBytes(file));
        assertThat(taken.status()).as(taken.body().toString()).isLessThan(300);
        long id = APP.get("/api/designs?search=Sent+flap+again")
                .body()
                .get("items")
                .get(0)
                .get("id")
                .asLong();
        JsonNode there = APP.get("/api/designs/" + id).body().get("document").get("pieces");
        assertThat(there)
                .isEqualTo(
                        APP.get("/api/designs/" + pouch).body().get("document").get("pieces"));
    }

    @Test
    void whatCannotBeCutIsToldAtItsPlaceWithItsPointsToBeMoved() {
        long pouch = APP.pouch("Flap beyond its rectangle");
        Answer drawn =
                APP.post("/api/designs/preview", Map.of("document", withFlap(pouch, "15 cm", flap("", "", "18 cm"))));
        assertThat(drawn.status()).isEqualTo(200);
        JsonNode findings = drawn.body().get("sizes").get(0).get("findings");
        assertThat(findings.valueStream()
                        .filter(one -> one.get("place").asString().startsWith("pieces.F.shapes.0")))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.get("severity").asString()).isEqualTo("REFUSED");
                    assertThat(finding.get("sentence").asString())
                            .contains(
                                    "Flap {ç} 🧵: its outline is 20 cm wide and 18 cm high, its rectangle 20 cm × 15 cm.");
                });
        assertThat(flapOf(drawn.body()).get("drawing").get("handles"))
                .as("to be moved inside")
                .hasSize(3);
    }

    @Test
    void aPointWithoutAPlaceOrAShapeWithoutItsPointsIsRefused() {
        long pouch = APP.pouch("Flap with a missing place");
        JsonNode noPlace = flap("", "", "18 cm").deepCopy();
        ((ObjectNode) noPlace.get("drawn").get("points").get(1)).putNull("across");
        Answer refused = save(pouch, withFlap(pouch, "18 cm", noPlace));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().toString()).contains("pieces.4.shapes.0.drawn.points.1.across");
        JsonNode noOutline = flap("", "", "18 cm").deepCopy();
        ((ObjectNode) noOutline).remove("drawn");
        Answer without = save(pouch, withFlap(pouch, "18 cm", noOutline));
        assertThat(without.status()).isEqualTo(422);
        assertThat(without.body().toString()).contains("pieces.4.shapes.0.drawn");
    }

    /** A triangle drawn by hand, so many a bag. */
    private static final String EAR = """
            {"kind": "DRAWN", "place": "BOTH", "across": "", "along": "", "drawn": {
                "mirrored": true, "line": "CUT", "tips": "MITRED", "tallerAt": "", "tallerBy": "",
                "points": [
                    {"across": "0 cm", "down": "0 cm", "curved": false, "corner": true, "side": "RIGHT"},
                    {"across": "piece_width / 2", "down": "18 cm", "curved": false, "corner": true, "side": "RIGHT"},
                    {"across": "0 cm", "down": "18 cm", "curved": false, "corner": true, "side": "BOTTOM"}]}}""";

    /** The layout takes two of them as one block, tells where both lie, and goes out and comes in as a file. */
    @Test
    void twoLieHeadToTailInTheLayout() throws Exception {
        APP.put("/api/settings", APP.settings("INCH"));
        Map<String, Long> shelf = APP.pouchShelf("90 yd");
        long pouch = APP.pouch("Eared pouch");
        JsonNode document = withFlap(pouch, "18 cm", RunningApp.JSON.readTree(EAR));
        document.get("pieces").forEach(piece -> ((ObjectNode) piece).put("directional", false));
        Answer saved = save(pouch, document);
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        Answer made = APP.post("/api/batches", RunningApp.batch(pouch, "12", shelf, List.of()));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        String cutting = "/api/batches/" + made.body().get("id").asLong() + "/cutting";
        APP.post(cutting + "/search", Map.of("aim", "MONEY", "seconds", 1, "fromOffcuts", true));
        while (APP.get(cutting + "/search").body().get("running").asBoolean()) {
            Thread.sleep(100);
        }
        JsonNode outer = APP.get(cutting).body().get("cloths").get(0);
        List<JsonNode> ears = outer.get("mats")
                .valueStream()
                .flatMap(mat -> mat.get("pieces").valueStream())
                .filter(piece -> piece.get("letter").asString().equals("F"))
                .toList();
        assertThat(ears)
                .hasSize(6)
                .allMatch(ear -> ear.get("other").get("outlines").size() == 2);
        assertThat(outer.toString()).contains("\"F+F\"").contains("12 of F");
        String file = cutting + "/" + shelf.get("outer") + "/layout";
        JsonNode layout = APP.get(file).body();
        assertThat(layout.toString()).contains("\"pair\":true");
        assertThat(APP.put(file, layout).status()).isEqualTo(200);
        assertThat(APP.get(file).body()).isEqualTo(layout);
        assertThat(APP.text(cutting + "/" + shelf.get("outer") + "/drawing"))
                .contains("F1 F2")
                .contains("<path d=");
    }

    /** What is let in across, the curve below it and the straight sides are where they should be, to 0.3 mm. */
    @Test
    void itsTemplateMeasuresRightOnTheRenderedPage() throws Exception {
        long pouch = APP.pouch("Printed flap");
        save(pouch, withFlap(pouch, "21 cm", flap("5 cm", "3 cm", "18 cm")));
        String query = "pieces=F&sizes=0&paper=ROLL&rollWidth=60+cm";
        JsonNode view = APP.get("/api/designs/" + pouch + "/templates?" + query).body();
        JsonNode template = view.get("templates")
                .valueStream()
                .filter(one -> one.get("name").asString().startsWith("F "))
                .findFirst()
                .orElseThrow();
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/designs/" + pouch
                                        + "/templates.pdf?" + query))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        try (PDDocument document = Loader.loadPDF(answer.body())) {
            PrintedPage page = new PrintedPage(new PDFRenderer(document).renderImageWithDPI(0, PrintedPage.DPI));
            double left = PrintedPage.MARGIN + template.get("left").asDouble();
            double top = PrintedPage.MARGIN + template.get("top").asDouble();
            // Straight sides above, where it was let in, and the half round from 11 cm on, 9 cm farther down.
            for (double down : new double[] {20, 60, 90}) {
                assertThat(page.across(top + down, left - 2, left + 202).width())
                        .isCloseTo(200, within(0.3));
            }
            double half = Math.sqrt(100 * 100 - 90 * 90);
            assertThat(page.across(top + 200, left - 2, left + 202).width()).isCloseTo(2 * half, within(0.3));
        }
    }
}
