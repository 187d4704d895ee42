package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What is fetched before a batch is begun, and what lies beside the machine on paper. */
class GatherTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "5 yd");
    }

    private static JsonNode gather(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch + "/gather"));
    }

    private static PDDocument paper(String path) throws Exception {
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        return Loader.loadPDF(answer.body());
    }

    private static List<String> checks(JsonNode gather, boolean ok) {
        return gather.get("checks")
                .valueStream()
                .filter(check -> check.get("ok").asBoolean() == ok)
                .map(check -> check.get("sentence").asString())
                .toList();
    }

    @Test
    void whatIsStillNeededAndWhetherItIsThere() {
        long batch = bench.batch(APP.pouch("Gathered pouch"), "6");
        JsonNode gather = gather(batch);
        assertThat(gather.get("items")
                        .valueStream()
                        .map(item -> item.get("name").asString()))
                .contains("Outer", "Lining", "Tape", "Slider", "Label");
        assertThat(gather.get("items")
                        .valueStream()
                        .map(item -> item.get("isShort").asBoolean()))
                .containsOnly(false);
        assertThat(checks(gather, true)).contains("All material is there.");
        assertThat(gather.get("tools")
                        .valueStream()
                        .map(tool -> tool.get("kind").asString()))
                .contains("Places", "Needles", "Feet");
        bench.cut(batch);
        assertThat(gather(batch)
                        .get("items")
                        .valueStream()
                        .map(item -> item.get("name").asString()))
                .as("the cloth is cut")
                .doesNotContain("Outer")
                .contains("Slider");
        JsonNode tooMany = gather(bench.batch(APP.pouch("Greedy pouch"), "200"));
        assertThat(checks(tooMany, false).get(0))
                .startsWith("Not enough is free of ")
                .contains("Outer");
        assertThat(checks(tooMany, false)).anyMatch(check -> check.contains("begin more"));
    }

    /** The cards tell each step with its gates and marks, A4 as well as Letter; a ticket is of so many bags. */
    @Test
    void papersAreOfTheSizeThatIsThere() throws Exception {
        long batch = bench.batch(APP.pouch("Printed {pouch} ç"), "12");
        String path = "/api/batches/" + batch;
        try (PDDocument cards = paper(path + "/step-cards.pdf?paper=A4")) {
            String text = new PDFTextStripper().getText(cards);
            assertThat(text)
                    .contains("Sew zip to outer and lining")
                    .contains("First look: Slider face down on the right side")
                    .contains("12 × Printed {pouch} ç medium");
            assertThat(Math.round(cards.getPage(0).getMediaBox().getWidth())).isEqualTo(595);
        }
        try (PDDocument sheet = paper(path + "/gather.pdf?paper=LETTER")) {
            assertThat(Math.round(sheet.getPage(0).getMediaBox().getWidth())).isEqualTo(612);
            assertThat(new PDFTextStripper().getText(sheet))
                    .contains("Gather: Printed {pouch} ç")
                    .contains("Slider");
        }
        try (PDDocument tickets = paper(path + "/bundle-tickets.pdf?bags=5")) {
            assertThat(new PDFTextStripper().getText(tickets))
                    .contains("bags 1 to 5 of 12", "bags 6 to 10 of 12", "bags 11 to 12 of 12");
        }
        assertThat(APP.get(path + "/bundle-tickets.pdf?bags=0").status()).isEqualTo(400);
    }

    /** One goes through all seams before the others are begun, until the maker says that it is right. */
    @Test
    void oneIsSewnFirst() {
        long batch = bench.batch(APP.pouch("First pouch"), "6");
        bench.cut(batch);
        assertThat(APP.put("/api/batches/" + batch + "/one-first?on=true", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(gather(batch).get("oneFirst").asBoolean()).isTrue();
        JsonNode work = bench.work(batch, List.of());
        JsonNode first = work.get("turns").get(0).get("parts").get(0);
        assertThat(first.get("started").asInt()).isEqualTo(1);
        assertThat(first.get("all").asInt()).isEqualTo(6);
        assertThat(work.get("firstIsSewn").asBoolean()).isFalse();
        List<Map<String, Object>> entries = work.get("turns")
                .valueStream()
                .filter(turn -> turn.get("parts").get(0).get("started").asInt() == 1)
                .map(turn -> bench.worked(batch, turn, 1, 60))
                .toList();
        JsonNode sewn = bench.work(batch, entries);
        assertThat(sewn.get("firstIsSewn").asBoolean()).isTrue();
        assertThat(APP.put("/api/batches/" + batch + "/one-first?on=false", Map.of())
                        .status())
                .isEqualTo(204);
        JsonNode others = bench.work(batch, List.of());
        assertThat(others.get("oneFirst").asBoolean()).isFalse();
        assertThat(others.get("turns").valueStream().map(turn -> {
                    JsonNode part = turn.get("parts").get(0);
                    return part.get("done").asInt() + " of "
                            + part.get("started").asInt();
                }))
                .containsOnly("1 of 6");
    }
}
