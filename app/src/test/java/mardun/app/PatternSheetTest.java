package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A design on paper for a helper: what it takes, what is cut, and how it is sewn, in both units. */
class PatternSheetTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long pouch;

    @BeforeAll
    static void aPouchOfUsualMaterials() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        pouch = APP.pouch("Pouch <{ç}> & co");
        Map<String, Long> shelf = APP.pouchShelf("30 yd");
        JsonNode now = APP.get("/api/designs/" + pouch).body();
        ObjectNode document = (ObjectNode) now.get("document");
        document.get("slots")
                .forEach(slot -> ((ObjectNode) slot)
                        .putPOJO("materialId", shelf.get(slot.get("key").asString())));
        ObjectNode step = (ObjectNode) document.get("steps").get(0);
        step.put("caution", "Mind the ✂ & the <pins>");
        assertThat(APP.put("/api/designs/" + pouch, Map.of("version", now.get("version"), "document", document))
                        .status())
                .isEqualTo(200);
    }

    private static String sheet(String query, int pages) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/designs/" + pouch
                                        + "/pattern-sheet.pdf" + query))
                                .build(),
                        BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        try (PDDocument read = Loader.loadPDF(answer.body())) {
            assertThat(read.getNumberOfPages()).isGreaterThanOrEqualTo(pages);
            return new PDFTextStripper().getText(read);
        }
    }

    @Test
    void itTellsAllThatAHelperNeeds() throws IOException, InterruptedException {
        JsonNode view = APP.get("/api/designs/" + pouch).body();
        String text = sheet("?units=12", 2);
        assertThat(text).contains("Pouch <{ç}> & co", "Materials", "for 1", "for 12", "Cut", "Templates", "Steps");
        view.at("/document/pieces")
                .forEach(piece -> assertThat(text).contains(piece.get("name").asString()));
        view.at("/document/steps")
                .forEach(step -> assertThat(text).contains(step.get("name").asString()));
        assertThat(text).contains("& the <pins>");
        assertThat(text).containsPattern("in \\((about )?[0-9.]+ cm\\)");
    }

    @Test
    void whoMeasuresInCentimetresReadsThemFirst() throws IOException, InterruptedException {
        assertThat(APP.put("/api/settings", APP.settings("METRIC")).status()).isEqualTo(200);
        assertThat(sheet("?paper=A4", 2))
                .containsPattern("cm \\((about )?[0-9/ ]+ in\\)")
                .doesNotContain("for 12");
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
    }

    @Test
    void whatCanNotBeIsRefused() {
        String path = "/api/designs/" + pouch + "/pattern-sheet.pdf";
        assertThat(APP.get(path + "?size=77").detail()).contains("none at place 77");
        assertThat(APP.get(path + "?units=0").status()).isEqualTo(400);
        assertThat(APP.get(path + "?paper=A0").status()).isEqualTo(400);
        assertThat(APP.get("/api/designs/999999/pattern-sheet.pdf").status()).isEqualTo(404);
    }
}
