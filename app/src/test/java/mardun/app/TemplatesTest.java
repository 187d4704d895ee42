package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import mardun.app.RunningApp.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Templates measure what they shall on the rendered page, whichever paper they are printed on. */
class TemplatesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    /** On which templates lie as they are; on pages they may lie upright. */
    private static final String ROLL = "&paper=ROLL&rollWidth=60+cm";

    private static long pouch;

    @BeforeAll
    static void aPouch() {
        pouch = APP.pouch("Templated pouch {ç}");
    }

    private static JsonNode templates(String query) {
        Answer answer = APP.get("/api/designs/" + pouch + "/templates?" + query);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static List<BufferedImage> pages(String query) throws IOException, InterruptedException {
        return pages(pouch, query);
    }

    private static List<BufferedImage> pages(long design, String query) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/designs/" + design
                                        + "/templates.pdf?" + query))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        try (PDDocument document = Loader.loadPDF(answer.body())) {
            PDFRenderer renderer = new PDFRenderer(document);
            List<BufferedImage> pages = new ArrayList<>();
            for (int i = 0; i < document.getNumberOfPages(); i++) {
                pages.add(renderer.renderImageWithDPI(i, PrintedPage.DPI));
            }
            return pages;
        }
    }

    private static JsonNode template(JsonNode view, String name) {
        return view.get("templates")
                .valueStream()
                .filter(one -> one.get("name").asString().startsWith(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no template " + name + " in " + view));
    }

    private static List<Double> across(BufferedImage page, double y, double from, double to) {
        return new PrintedPage(page).across(y, from, to).lines();
    }

    /** The snap of a card lies on the printed page where it lies on the piece, to a third of a millimetre. */
    @Test
    void aCardToPlaceByMeasuresRight() throws Exception {
        long design = APP.pouch("Snapped pouch");
        JsonNode there = APP.get("/api/designs/" + design).body();
        ObjectNode document = (ObjectNode) there.get("document").deepCopy();
        ObjectNode piece = (ObjectNode) document.get("pieces").get(0);
        ArrayNode marks = piece.get("marks") instanceof ArrayNode some ? some : piece.putArray("marks");
        marks.removeAll();
        ObjectNode snap = marks.addObject();
        snap.put("kind", "HARDWARE").put("label", "snap {ç}").put("from", "RAW");
        snap.put("across", "3 cm").put("down", "4 cm").put("width", "").put("height", "");
        snap.put("pair", "").put("half", "WHOLE");
        Answer saved = APP.put(
                "/api/designs/" + design, Map.of("version", there.get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        String letter = piece.get("letter").asString();
        String query = "placing=true&paper=ROLL&rollWidth=60+cm&pieces=" + letter;
        JsonNode view =
                APP.get("/api/designs/" + design + "/templates?" + query).body();
        JsonNode card = view.get("templates")
                .valueStream()
                .filter(one -> one.get("words").toString().contains("on the top left corner"))
                .findFirst()
                .orElseThrow();
        assertThat(card.get("words").toString()).contains("snap {ç}:");
        BufferedImage page = pages(design, query).get(0);
        double left = PrintedPage.MARGIN + card.get("left").asDouble();
        double top = PrintedPage.MARGIN + card.get("top").asDouble();
        // Just below the middle of the cross, where only its upright and the edges of the card are.
        List<Double> lines = across(page, top + 43.3, left - 2, left + 34);
        assertThat(lines.get(lines.size() - 1) - lines.get(0)).isCloseTo(30, within(0.3));
        String plain = view.get("pieces")
                .valueStream()
                .filter(one -> one.get("plain").asBoolean())
                .findFirst()
                .orElseThrow()
                .get("letter")
                .asString();
        assertThat(APP.get("/api/designs/" + design + "/templates?placing=true&pieces=" + plain)
                        .detail())
                .contains("nothing is placed");
    }

    @Test
    void theTestSquareAndAPieceMeasureRightOnARoll() throws Exception {
        String query = "pieces=A&sizes=1&paper=ROLL&rollWidth=24+in";
        JsonNode view = templates(query);
        List<BufferedImage> pages = pages(query);
        assertThat(pages).hasSize(1);
        BufferedImage page = pages.get(0);
        assertThat(page.getWidth() * PrintedPage.MM_PER_PIXEL).isCloseTo(609.6, within(0.2));
        JsonNode square = template(view, "Test square");
        double left = PrintedPage.MARGIN + square.get("left").asDouble();
        double top = PrintedPage.MARGIN + square.get("top").asDouble();
        List<Double> sides = across(page, top + 4, left - 2, left + 52);
        assertThat(sides.get(sides.size() - 1) - sides.get(0)).isCloseTo(50, within(0.3));

        JsonNode piece = template(view, "A ");
        double pieceLeft = PrintedPage.MARGIN + piece.get("left").asDouble();
        double wide = piece.get("width").asDouble();
        List<Double> edges = across(
                page, PrintedPage.MARGIN + piece.get("top").asDouble() + 15, pieceLeft - 2, pieceLeft + wide + 2);
        assertThat(edges.get(edges.size() - 1) - edges.get(0)).isCloseTo(wide, within(0.3));
        JsonNode sheet = APP.get("/api/designs/" + pouch)
                .body()
                .get("sheet")
                .get("sizes")
                .get(1)
                .get("pieces")
                .get(0);
        assertThat(wide).isCloseTo(sheet.get("drawing").get("width").asDouble(), within(0.01));
    }

    @Test
    void aPieceOverTwoPagesMeasuresRightOnceTheyAreLaidTogether() throws Exception {
        String query = "pieces=A&sizes=1&paper=A4";
        JsonNode view = templates(query);
        List<BufferedImage> pages = pages(query);
        JsonNode tiles = view.get("pages").get("pages");
        assertThat(tiles.size()).isGreaterThan(1);
        assertThat(pages).as("with the map").hasSize(tiles.size() + 1);
        JsonNode piece = template(view, "A ");
        double y = piece.get("top").asDouble() + 15;
        double left = piece.get("left").asDouble();
        double right = left + piece.get("width").asDouble();
        List<Double> edges = new ArrayList<>();
        for (int i = 0; i < tiles.size(); i++) {
            double tileLeft = tiles.get(i).get("left").asDouble();
            double tileTop = tiles.get(i).get("top").asDouble();
            double tileBottom = tiles.get(i).get("bottom").asDouble();
            if (y > tileTop + 1 && y < tileBottom - 1) {
                across(pages.get(i + 1), PrintedPage.MARGIN + y - tileTop, PrintedPage.MARGIN, 210 - PrintedPage.MARGIN)
                        .forEach(x -> edges.add(x - PrintedPage.MARGIN + tileLeft));
            }
        }
        assertThat(edges).anySatisfy(x -> assertThat(x).isCloseTo(left, within(0.3)));
        assertThat(edges).anySatisfy(x -> assertThat(x).isCloseTo(right, within(0.3)));
    }

    @Test
    void thePiecesThatARulerDoesNotDrawAreChosenByThemselves() {
        JsonNode view = templates("");
        assertThat(view.get("chosenSizes")).hasSize(1);
        view.get("pieces")
                .forEach(piece -> assertThat(view.get("chosenPieces")
                                .valueStream()
                                .anyMatch(letter -> letter.equals(piece.get("letter"))))
                        .as(piece.toString())
                        .isEqualTo(!piece.get("plain").asBoolean()));
        assertThat(template(view, "A ").get("words").toString())
                .contains("cut 2 of")
                .contains("seam ");
    }

    @Test
    void oneTemplateServesPiecesThatAreCutAlike() {
        long design = APP.pouch("Twin pouch");
        JsonNode read = APP.get("/api/designs/" + design).body();
        ObjectNode document = (ObjectNode) read.get("document").deepCopy();
        ArrayNode pieces = (ArrayNode) document.get("pieces");
        ObjectNode twin = (ObjectNode) pieces.get(0).deepCopy();
        twin.put("letter", "Y").put("name", "Second front");
        pieces.add(twin);
        Answer saved = APP.put(
                "/api/designs/" + design, Map.of("version", read.get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        JsonNode view = APP.get("/api/designs/" + design + "/templates?pieces=A&pieces=Y")
                .body();
        assertThat(view.get("templates")).hasSize(2);
        assertThat(view.get("templates").toString()).contains("Y Second front");
    }

    @Test
    void sizesLieOverOneAnotherOrApart() {
        assertThat(templates("pieces=A&sizes=0&sizes=1").get("templates")).hasSize(3);
        JsonNode nested = templates("pieces=A&sizes=0&sizes=1&drawn=NESTED");
        assertThat(nested.get("templates")).hasSize(2);
        assertThat(template(nested, "A ").get("words").toString())
                .contains("small: ")
                .contains("medium: ");
    }

    private static long changed(String name, Consumer<ObjectNode> change) {
        long design = APP.pouch(name);
        JsonNode there = APP.get("/api/designs/" + design).body();
        ObjectNode document = (ObjectNode) there.get("document").deepCopy();
        change.accept(document);
        Answer saved = APP.put(
                "/api/designs/" + design, Map.of("version", there.get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        return design;
    }

    @Test
    void oneTemplateServesSizesThatDifferInHeightAlone() {
        long design = changed(
                "Taller pouch", document -> ((ObjectNode) document.get("pieces").get(2)).put("width", "9 in"));
        String query = "/api/designs/" + design + "/templates?pieces=C&sizes=0&sizes=1&drawn=";
        JsonNode shifted = APP.get(query + "SHIFTED").body();
        assertThat(shifted.get("templates")).hasSize(2);
        assertThat(shifted.get("notShifted")).isEmpty();
        assertThat(template(shifted, "C ").get("words").toString())
                .contains("small: as it is")
                .contains("medium: trace up to the line, move it down ");
        assertThat(APP.text("/api/designs/" + design + "/templates.svg?pieces=C&sizes=0&sizes=1&drawn=SHIFTED"))
                .contains("class=\"shift\"");
        // Where they differ both ways, each has its own.
        JsonNode each = templates("pieces=A&sizes=0&sizes=1&drawn=SHIFTED");
        assertThat(each.get("templates")).hasSize(3);
        assertThat(each.get("notShifted").toString()).isEqualTo("[\"A\"]");
        assertThat(templates("pieces=A&sizes=0&sizes=1&drawn=APART").get("notShifted"))
                .isEmpty();
    }

    @Test
    void oneTemplateServesAnotherDesignToo() {
        long design = APP.pouch("Twin of the templated one");
        JsonNode view =
                APP.get("/api/designs/" + design + "/templates?pieces=A").body();
        assertThat(template(view, "A ").get("words").toString()).contains("also Templated pouch {ç}, small: A");
        putAway(true);
        view = APP.get("/api/designs/" + design + "/templates?pieces=A").body();
        assertThat(template(view, "A ").get("words").toString()).doesNotContain("also Templated pouch");
        putAway(false);
    }

    private static void putAway(boolean away) {
        long version = APP.get("/api/designs/" + pouch).body().get("version").asLong();
        Answer put = APP.put("/api/designs/" + pouch + "/put-away", Map.of("version", version, "putAway", away));
        assertThat(put.status()).as(put.body().toString()).isEqualTo(200);
    }

    @Test
    void twoPiecesAreJoinedAtTheMarksThatBothHave() {
        long design = changed("Joined pouch", document -> {
            for (int i : new int[] {0, 1}) {
                ObjectNode piece = (ObjectNode) document.get("pieces").get(i);
                ArrayNode marks = piece.get("marks") instanceof ArrayNode some ? some : piece.putArray("marks");
                ObjectNode notch = marks.addObject();
                notch.put("kind", "NOTCH").put("label", "join {ç}").put("from", "RAW");
                notch.put("across", "1 in").put("down", i == 0 ? "0 in" : "piece_height");
                notch.put("width", "").put("height", "").put("half", "WHOLE");
            }
        });
        String path = "/api/designs/" + design + "/templates";
        JsonNode view = APP.get(path).body();
        JsonNode pair = view.get("joins").get(0);
        assertThat(pair.get("marks").get(0).asString()).isEqualTo("join {ç}");
        String one = pair.get("one").asString();
        String other = pair.get("other").asString();
        JsonNode joined =
                APP.get(path + "?join=" + one + "&join=" + other + ROLL).body();
        assertThat(joined.get("templates")).hasSize(2);
        JsonNode both = template(joined, one + " + " + other);
        assertThat(both.get("words").toString()).contains("joined at “join {ç}”");
        double high = template(APP.get(path + "?pieces=" + one + ROLL).body(), one + " ")
                        .get("height")
                        .asDouble()
                + template(APP.get(path + "?pieces=" + other + ROLL).body(), other + " ")
                        .get("height")
                        .asDouble();
        assertThat(both.get("height").asDouble()).isCloseTo(high, within(0.01));
        assertThat(APP.get(path + "?join=" + one).detail()).contains("Name one and another one");
        assertThat(APP.get(path + "?join=" + one + "&join=Q").detail()).contains("has no piece “Q”");
        assertThat(APP.get("/api/designs/" + pouch + "/templates?join=" + one + "&join=" + other)
                        .detail())
                .contains("no mark by the same name");
    }

    @Test
    void theDrawingIsInRealMillimetres() {
        String svg = APP.text("/api/designs/" + pouch + "/templates.svg?pieces=A");
        JsonNode pages = templates("pieces=A").get("pages");
        assertThat(svg)
                .startsWith("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\""
                        + String.format(
                                Locale.ROOT, "%.3fmm", pages.get("width").asDouble()));
        assertThat(svg)
                .contains("<title>A Outer panel</title>")
                .contains("class=\"seam\"")
                .contains("Templated pouch {ç}");
    }

    @Test
    void refusesWhatCanNotBePrinted() {
        String path = "/api/designs/" + pouch + "/templates";
        assertThat(APP.get(path + "?pieces=Q").detail()).contains("has no piece “Q”");
        assertThat(APP.get(path + "?sizes=9").detail()).contains("and none at place 9");
        assertThat(APP.get(path + "?paper=ROLL&rollWidth=wide").on("rollWidth")).isNotEmpty();
        assertThat(APP.get(path + "?paper=ROLL&rollWidth=5+in").on("rollWidth")).contains("between 20 cm and 160 cm");
        assertThat(APP.get(path + "?paper=ROLL&rollWidth=8+in").on("rollWidth")).contains("wider");
        assertThat(APP.get("/api/designs/99999/templates").status()).isEqualTo(404);
        assertThat(APP.get(path + "?paper=NAPKIN").status()).isBetween(400, 422);
    }
}
