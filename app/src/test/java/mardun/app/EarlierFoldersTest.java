package mardun.app;

import static mardun.app.RunningApp.JSON;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Folders that earlier versions made open in this one, with the same figures in them. Each is kept under the number of its last
 * migration; before a migration that changes what is stored, a new one is written by running this class with
 * {@code -Dmardun.write=true}.
 */
class EarlierFoldersTest {

    private static final Path KEPT = Path.of("src/test/resources/folders");
    private static final String DATABASE = "mardun.mv.db";

    @TempDir
    Path folder;

    static Stream<String> versions() throws IOException {
        try (Stream<Path> files = Files.list(KEPT)) {
            return files
                    .map(file -> file.getFileName().toString())
                    .filter(name -> name.endsWith(".zip"))
                    .map(name -> name.replace(".zip", ""))
                    .sorted()
                    .toList()
                    .stream();
        }
    }

    @ParameterizedTest
    @MethodSource("versions")
    void opensWithTheSameFiguresInIt(String version) throws IOException {
        unpack(KEPT.resolve(version + ".zip"));
        RunningApp app = RunningApp.on(folder);
        try {
            Map<String, String> stored = new TreeMap<>();
            JSON.readTree(Files.readString(KEPT.resolve(version + ".json")))
                    .properties()
                    .forEach(figure ->
                            stored.put(figure.getKey(), figure.getValue().asString()));
            assertThat(stored).hasSizeGreaterThan(30);
            assertThat(figures(app)).containsAllEntriesOf(stored);
        } finally {
            app.stop();
        }
    }

    /** What a maker would miss: what lies there and what it is worth, batches, what they hold and cost, finished bags. */
    private static Map<String, String> figures(RunningApp app) {
        Map<String, String> figures = new TreeMap<>();
        for (JsonNode line : app.get("/api/stock-value").body().get("lines")) {
            String name = "material " + line.get("name").asString();
            figures.put(name + ", on hand", line.get("onHand").get("exact").asString());
            figures.put(name + ", pieces", line.get("pieces").asString());
            figures.put(name + ", worth", line.get("worth").get("amount").asString());
        }
        for (JsonNode row : app.get("/api/batches").body().get("items")) {
            long id = row.get("id").asLong();
            JsonNode batch = app.get("/api/batches/" + id).body();
            JsonNode sheet = batch.get("sheet");
            String name = "batch " + id;
            JsonNode line = batch.get("lines").get(0);
            figures.put(
                    name + ", of",
                    line.get("designName").asString() + ", "
                            + line.get("sizeName").asString());
            figures.put(name + ", stage", batch.get("stage").asString());
            figures.put(name + ", units", sheet.get("units").asString());
            figures.put(
                    name + ", good",
                    batch.get("stage").asString().equals("FINISHED")
                            ? line.get("good").asString()
                            : "none");
            figures.put(
                    name + ", cost of one",
                    sheet.get("lines").get(0).get("each").get("amount").asString());
            for (int i = 1; i < batch.get("lines").size(); i++) {
                JsonNode further = batch.get("lines").get(i);
                String of = name + ", line " + further.get("number").asString();
                figures.put(of + ", begun", further.get("started").asString());
                figures.put(of + ", good", further.get("good").asString());
                figures.put(
                        of + ", costs",
                        sheet.get("lines").get(i).get("total").get("amount").asString());
            }
            for (JsonNode need : sheet.get("needs")) {
                String of = name + ", " + need.get("name").asString();
                figures.put(of + ", takes", need.get("needed").get("exact").asString());
                figures.put(of + ", holds", need.get("held").get("exact").asString());
            }
            for (JsonNode cloth :
                    app.get("/api/batches/" + id + "/cutting").body().get("cloths")) {
                String of = name + ", sheets of " + cloth.get("name").asString();
                figures.put(of, Integer.toString(cloth.get("mats").size()));
                figures.put(
                        of + ", pieces",
                        Long.toString(cloth.get("mats")
                                .valueStream()
                                .mapToLong(mat -> mat.get("pieces").size())
                                .sum()));
                figures.put(
                        of + ", ticked",
                        Long.toString(cloth.get("mats")
                                .valueStream()
                                .flatMap(mat -> mat.get("steps").valueStream())
                                .filter(step -> step.get("done").asBoolean())
                                .count()));
            }
        }
        for (JsonNode bags : app.get("/api/finished-goods").body().get("page").get("items")) {
            String name = "bags of batch " + bags.path("batchId").asString("none");
            figures.put(name, bags.get("units").asString());
            figures.put(
                    name + ", cost of one", bags.get("unitCost").get("amount").asString());
        }
        return figures;
    }

    private void unpack(Path zip) throws IOException {
        try (InputStream file = Files.newInputStream(zip);
                ZipInputStream entries = new ZipInputStream(file)) {
            for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
                Files.copy(entries, folder.resolve(DATABASE));
            }
        }
    }

    @Test
    @EnabledIfSystemProperty(
            named = "mardun.write",
            matches = "true",
            disabledReason = "keeps a folder on request only")
    void keepAFolderOfThisVersion() throws IOException, InterruptedException {
        RunningApp app = RunningApp.on(folder);
        workroom(app);
        Map<String, String> figures = figures(app);
        app.stop();
        Files.createDirectories(KEPT);
        String version = lastMigration();
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(KEPT.resolve(version + ".zip")))) {
            zip.putNextEntry(new ZipEntry(DATABASE));
            Files.copy(folder.resolve(DATABASE), zip);
        }
        Files.writeString(
                KEPT.resolve(version + ".json"),
                JSON.writerWithDefaultPrettyPrinter().writeValueAsString(figures) + "\n");
    }

    private static String lastMigration() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/db/migration"))) {
            return files.map(file -> file.getFileName().toString().replaceAll("^V(\\d+)__.*", "$1"))
                    .max(Comparator.comparing(Integer::valueOf))
                    .orElseThrow();
        }
    }

    /** A batch in each stage, one with its layout ticked and a piece cut once more, and one that holds what it takes. */
    private static void workroom(RunningApp app) throws InterruptedException {
        done(app.put("/api/settings", app.settings("INCH")));
        Map<String, Long> shelf = app.pouchShelf("30 yd");
        Map<String, Object> sheets = new HashMap<>(app.material("SHEET", "Felt", "18 in", "2.00", "1", "60"));
        sheets.put("sheetHeight", "12 in");
        Map<String, Long> felt = new LinkedHashMap<>(shelf);
        felt.put("lining", app.enter(sheets));
        long pouch = app.pouch("Kept pouch {ç}");
        done(app.post(
                "/api/materials/" + shelf.get("outer") + "/movements",
                Map.of("requestId", UUID.randomUUID(), "kind", "SPOILED", "amount", "1/2 yd", "reason", "a stain")));
        done(app.post(
                "/api/materials/" + shelf.get("outer") + "/pieces",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "width",
                        "20 in",
                        "height",
                        "18 in",
                        "count",
                        "2",
                        "place",
                        "",
                        "given",
                        false)));

        long finished = batch(app, pouch, "12", shelf);
        laidOut(app, finished);
        stage(app, finished, "cut", "");
        stage(app, finished, "finish", "11");
        long sewn = batch(app, pouch, "7", felt);
        laidOut(app, sewn);
        stage(app, sewn, "cut", "");
        long planned = batch(app, pouch, "20", shelf);
        laidOut(app, planned);
        String cutting = "/api/batches/" + planned + "/cutting";
        JsonNode outer = app.get(cutting).body().get("cloths").get(0);
        done(app.put(
                cutting + "/step",
                Map.of(
                        "materialId",
                        outer.get("materialId").asLong(),
                        "step",
                        outer.get("mats").get(0).get("steps").get(0).get("key").asString(),
                        "done",
                        true)));
        done(app.post(
                cutting + "/spoiled",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "materialId",
                        outer.get("materialId").asLong(),
                        "letter",
                        outer.get("pieces").get(0).get("letter").asString(),
                        "count",
                        "2")));
        long version = app.get("/api/batches/" + planned).body().get("version").asLong();
        done(app.post("/api/batches/" + planned + "/reserve", Map.of("version", version)));
        batch(app, pouch, "5", felt);
        severalLines(app, pouch, shelf);
    }

    /** Two sizes and two linings together, of which some are done. */
    private static void severalLines(RunningApp app, long pouch, Map<String, Long> shelf) {
        Map<String, Object> form = RunningApp.batch(pouch, "6", shelf, List.of());
        Map<String, Object> other = new HashMap<>(RunningApp.line(form));
        other.put("sizeName", "small");
        other.put("units", "4");
        form.put("lines", List.of(RunningApp.line(form), other));
        long together = done(app.post("/api/batches", form)).id();
        stage(app, together, "cut", "");
        JsonNode now = app.get("/api/batches/" + together).body();
        done(app.post(
                "/api/batches/" + together + "/finish",
                Map.of(
                        "version",
                        now.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(
                                Map.of("number", 1, "good", "3", "seconds", "1", "scrap", ""),
                                Map.of("number", 2, "good", "1", "seconds", "", "scrap", "1")))));
    }

    private static long batch(RunningApp app, long design, String units, Map<String, Long> shelf) {
        return done(app.post("/api/batches", RunningApp.batch(design, units, shelf, List.of())))
                .id();
    }

    private static void laidOut(RunningApp app, long batch) throws InterruptedException {
        String search = "/api/batches/" + batch + "/cutting/search";
        done(app.post(search, Map.of("aim", "MONEY", "seconds", 0.2, "fromOffcuts", true)));
        while (app.get(search).body().get("running").asBoolean()) {
            Thread.sleep(20);
        }
    }

    private static void stage(RunningApp app, long batch, String next, String good) {
        JsonNode now = app.get("/api/batches/" + batch).body();
        done(app.post(
                "/api/batches/" + batch + "/" + next,
                next.equals("finish")
                        ? RunningApp.finish(now, good)
                        : Map.of("version", now.get("version").asLong(), "reason", "", "keep", List.of())));
    }

    private static Answer done(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isIn(200, 201);
        return answer;
    }
}
