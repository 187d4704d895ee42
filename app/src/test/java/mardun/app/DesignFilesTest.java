package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Designs go out as files that a person can read, and are the same when they come in elsewhere. */
class DesignFilesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @TempDir
    static Path elsewhere;

    private static RunningApp other;

    @BeforeAll
    static void another() throws IOException {
        other = RunningApp.on(elsewhere);
    }

    @AfterAll
    static void stop() {
        other.stop();
    }

    private static String path(String name) {
        return "/api/design-files?requestId=" + UUID.randomUUID() + "&name="
                + URLEncoder.encode(name, StandardCharsets.UTF_8);
    }

    private static byte[] bytes(JsonNode file) {
        return RunningApp.JSON.writeValueAsBytes(file);
    }

    private static final Map<RunningApp, Map<String, Long>> SHELVES = new HashMap<>();

    /** The pouch's materials on a shelf, put there once. */
    private static Map<String, Long> shelf(RunningApp of) {
        return SHELVES.computeIfAbsent(of, one -> one.pouchShelf("20 yd"));
    }

    private static ObjectNode file(long design) {
        return (ObjectNode) APP.get("/api/designs/" + design + "/design.json").body();
    }

    /** A pouch whose outer and lining have their usual cloths. */
    private static long filledPouch(String name, Map<String, Long> shelf) {
        long pouch = APP.pouch(name);
        JsonNode design = APP.get("/api/designs/" + pouch).body();
        JsonNode document = design.get("document").deepCopy();
        document.get("slots").forEach(slot -> {
            Long material = shelf.get(slot.get("key").asString());
            if (material != null) {
                ((ObjectNode) slot).put("materialId", material);
            }
        });
        assertThat(APP.put(
                                "/api/designs/" + pouch,
                                Map.of("version", design.get("version").asLong(), "document", document))
                        .status())
                .isEqualTo(200);
        return pouch;
    }

    @Test
    void isTheSameWhenItComesInElsewhere() {
        long pouch = filledPouch("Sent pouch {ç} 🧵", shelf(APP));
        Map<String, Long> shelf = shelf(other);
        ObjectNode file = file(pouch);
        assertThat(file.get("kind").asString()).isEqualTo("mardun design");
        assertThat(file.get("materials").get("outer").get("name").asString()).isEqualTo("Outer");
        assertThat(file.toString()).doesNotContain("materialId").doesNotContain("threadId");

        ((ObjectNode) file.get("materials").get("outer")).put("name", "Moss canvas");
        Answer taken = other.upload(path(""), bytes(file));
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
        long there = taken.body().get("designs").get(0).get("id").asLong();
        List<String> unmatched = new ArrayList<>();
        taken.body().get("unmatched").forEach(one -> unmatched.add(one.asString()));
        assertThat(unmatched).anyMatch(one -> one.endsWith(": Moss canvas")).noneMatch(one -> one.endsWith(": Lining"));

        JsonNode read = other.get("/api/designs/" + there).body();
        assertThat(read.get("document").get("slots").toString()).contains("materialId");
        ObjectNode again =
                (ObjectNode) other.get("/api/designs/" + there + "/design.json").body();
        assertThat(again.get("design")).isEqualTo(file.get("design"));
        // What it measures is the same too, and a batch of it can be planned with the materials that are there.
        JsonNode sizes = APP.get("/api/designs/" + pouch).body().get("sheet").get("sizes");
        for (int i = 0; i < sizes.size(); i++) {
            assertThat(read.get("sheet").get("sizes").get(i).get("pieces"))
                    .isEqualTo(sizes.get(i).get("pieces"));
        }
        Answer batch = other.post("/api/batches", RunningApp.batch(there, "3", shelf, List.of()));
        assertThat(batch.status()).as(batch.body().toString()).isEqualTo(201);
    }

    @Test
    void aNameThatIsTakenIsAskedFor() {
        long pouch = APP.pouch("Twice pouch");
        ObjectNode file = file(pouch);
        Answer clash = APP.upload(path(""), bytes(file));
        assertThat(clash.on("name")).isEqualTo("There is a design called “Twice pouch” already. Give it another name.");
        Answer taken = APP.upload(path("Twice pouch, again"), bytes(file));
        assertThat(taken.status()).isEqualTo(201);
        assertThat(taken.body().get("designs").get(0).get("name").asString()).isEqualTo("Twice pouch, again");
    }

    @Test
    void sentTwiceItIsTakenOnce() {
        ObjectNode file = file(APP.pouch("Once pouch"));
        String path = path("Once pouch elsewhere");
        Answer first = other.upload(path, bytes(file));
        Answer second = other.upload(path, bytes(file));
        assertThat(first.status()).isEqualTo(201);
        assertThat(second.status()).as(second.body().toString()).isEqualTo(201);
        assertThat(second.body().get("designs")).isEqualTo(first.body().get("designs"));
        assertThat(other.get("/api/designs?search=Once").body().get("items")).hasSize(1);
    }

    @Test
    void allDesignsGoTogetherOrNotAtAll() {
        APP.pouch("Booked pouch");
        APP.pouch("Booked purse");
        ObjectNode book = (ObjectNode) APP.get("/api/design-book.json").body();
        ArrayNode designs = (ArrayNode) book.get("designs");
        for (int i = designs.size() - 1; i >= 0; i--) {
            if (!designs.get(i).get("design").get("name").asString().startsWith("Booked")) {
                designs.remove(i);
            }
        }
        ((ObjectNode) designs.get(1).get("design").get("pieces").get(0)).put("width", "7 elephants");
        int before = other.get("/api/designs").body().get("total").asInt();
        assertThat(other.upload(path(""), bytes(book)).status()).isEqualTo(422);
        assertThat(other.get("/api/designs").body().get("total").asInt()).isEqualTo(before);
        ((ObjectNode) designs.get(1).get("design").get("pieces").get(0)).put("width", "7 in");
        assertThat(other.upload(path(""), bytes(book)).body().get("designs")).hasSize(2);
        assertThat(other.upload(path(""), bytes(book)).on("name")).contains("“Booked pouch”, “Booked purse”");
    }

    @Test
    void whatIsWrongIsSaidWithItsPlace() {
        ObjectNode file = file(APP.pouch("Wrong pouch"));
        ((ObjectNode) file.get("design")).put("name", "Wrong pouch elsewhere");
        assertThat(other.upload(path(""), "{\"kind\":".getBytes(StandardCharsets.UTF_8))
                        .detail())
                .contains("can't be read as JSON at line 1");
        assertThat(other.upload(path(""), bytes(RunningApp.JSON.readTree("{\"kind\":\"recipe\"}")))
                        .detail())
                .contains("its kind is “recipe”");
        ObjectNode later = file.deepCopy();
        later.put("format", 7);
        assertThat(other.upload(path(""), bytes(later)).detail()).contains("format 7");
        ObjectNode wrongRole = file.deepCopy();
        ((ObjectNode) wrongRole.get("design").get("pieces").get(1)).put("role", "SAIL");
        assertThat(other.upload(path(""), bytes(wrongRole)).detail())
                .startsWith("At design.pieces[1].role: ")
                .contains("“SAIL” can't be read here; it would be one of OUTER, ");
        ObjectNode unknown = file.deepCopy();
        ((ObjectNode) unknown.get("design")).put("colourCode", 7);
        assertThat(other.upload(path(""), bytes(unknown)).detail())
                .isEqualTo("At design.colourCode: no design says anything by this name. Nothing was taken in.");
        ObjectNode none = file.deepCopy();
        ((ObjectNode) none.get("design")).remove("usualUnits");
        assertThat(other.upload(path(""), bytes(none)).detail())
                .isEqualTo("At design.usualUnits: it is missing. Nothing was taken in.");
        ObjectNode list = file.deepCopy();
        ((ObjectNode) list.get("design")).put("pieces", "a front and a back");
        assertThat(other.upload(path(""), bytes(list)).detail())
                .isEqualTo("At design.pieces: this isn't what a design has here. Nothing was taken in.");
        ObjectNode bare = file.deepCopy();
        ((ObjectNode) bare.get("design")).remove("slots");
        assertThat(other.upload(path(""), bytes(bare)).detail()).isEqualTo("“slots” is missing.");
        ObjectNode hole = file.deepCopy();
        ((ArrayNode) hole.get("design").get("pieces")).addNull();
        assertThat(other.upload(path(""), bytes(hole)).detail()).startsWith("At design.pieces[");
        ObjectNode many = file.deepCopy();
        ((ObjectNode) many.get("design")).put("usualUnits", 999_999);
        assertThat(other.upload(path(""), bytes(many)).detail()).startsWith("At design.usualUnits: ");
        assertThat(other.get("/api/designs?search=Wrong").body().get("items")).isEmpty();
    }

    private static byte[] zip(String path) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    /** The files of a ZIP file, in their order. */
    private static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    private static byte[] packed(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                out.putNextEntry(new ZipEntry(file.getKey()));
                out.write(file.getValue());
            }
        }
        return bytes.toByteArray();
    }

    @Test
    void aSetGoesOutWithItsPhotosAndComesInTheSame() throws Exception {
        Map<String, Long> shelf = shelf(APP);
        long one = filledPouch("Photographed pouch {ç}", shelf);
        long two = APP.pouch("Photographed purse");
        APP.pouch("Left at home");
        assertThat(APP.uploadInPlace("/api/designs/" + one + "/photos", TestPhoto.png())
                        .status())
                .isEqualTo(200);
        assertThat(APP.uploadInPlace("/api/designs/" + one + "/photos?cloth=" + shelf.get("outer"), TestPhoto.png())
                        .status())
                .isEqualTo(200);
        Map<String, byte[]> files = unpacked(zip("/api/design-book.zip?ids=" + one + "," + two));
        assertThat(files.keySet()).hasSize(3).first().isEqualTo("designs.json");
        JsonNode book = RunningApp.JSON.readTree(files.get("designs.json"));
        assertThat(book.get("designs").findValuesAsString("cloth")).hasSize(2).contains("");
        assertThat(APP.get("/api/design-book.json?ids=" + two).body().get("designs"))
                .hasSize(1);

        shelf(other);
        String path = path("");
        Answer taken = other.upload(path, packed(files));
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
        List<Path> kept = pictures();
        assertThat(other.upload(path, packed(files)).body().get("designs"))
                .as("sent twice")
                .isEqualTo(taken.body().get("designs"));
        long there = taken.body().get("designs").get(0).get("id").asLong();
        JsonNode photos = other.get("/api/designs/" + there + "/photos").body();
        assertThat(photos).hasSize(2);
        assertThat(other.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + other.port()
                                        + photos.get(0).get("address").asString()))
                                .build())
                        .statusCode())
                .isEqualTo(200);
        assertThat(other.get("/api/designs/" + there).body().get("document").get("pieces"))
                .isEqualTo(APP.get("/api/designs/" + one).body().get("document").get("pieces"));
        assertThat(pictures()).as("the second time kept none").containsExactlyInAnyOrderElementsOf(kept);
    }

    private static List<Path> pictures() throws IOException {
        Path folder = elsewhere.resolve("pictures");
        if (!Files.exists(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.toList();
        }
    }

    @Test
    void aDamagedOrStrangeArchiveChangesNothing() throws Exception {
        long design = APP.pouch("Packed pouch");
        APP.uploadInPlace("/api/designs/" + design + "/photos", TestPhoto.png());
        byte[] whole = zip("/api/design-book.zip?ids=" + design);
        Map<String, byte[]> files = unpacked(whole);
        String photo = files.keySet().stream().skip(1).findFirst().orElseThrow();
        List<Path> before = pictures();

        assertThat(other.upload(path(""), Arrays.copyOf(whole, whole.length / 2))
                        .detail())
                .contains("damaged or cut off");
        Map<String, byte[]> strange = new LinkedHashMap<>(files);
        strange.put("../../evil.sh", new byte[] {1});
        assertThat(other.upload(path(""), packed(strange)).detail()).contains("has no place in a file of designs");
        Map<String, byte[]> missing = new LinkedHashMap<>(files);
        missing.remove(photo);
        assertThat(other.upload(path(""), packed(missing)).detail()).contains("names a photo that isn't in the file");
        Map<String, byte[]> noPhoto = new LinkedHashMap<>(files);
        noPhoto.put(photo, "<svg onload=alert(1)>".getBytes(StandardCharsets.UTF_8));
        assertThat(other.upload(path(""), packed(noPhoto)).status()).isEqualTo(422);
        Map<String, byte[]> noDesigns = new LinkedHashMap<>(files);
        noDesigns.remove("designs.json");
        assertThat(other.upload(path(""), packed(noDesigns)).detail()).contains("no designs.json");
        byte[] torn = whole.clone();
        torn[60] ^= 0x55;
        assertThat(other.upload(path(""), torn).status()).isEqualTo(422);
        assertThat(other.get("/api/designs?search=Packed").body().get("items")).isEmpty();
        assertThat(pictures()).isEqualTo(before);
        assertThat(other.upload(path(""), whole).status()).isEqualTo(201);
    }

    private static JsonNode taken(String fixture) throws IOException {
        try (InputStream file = DesignFilesTest.class.getResourceAsStream("/designs/" + fixture)) {
            Answer taken = other.upload(path(""), file.readAllBytes());
            assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
            return other.get("/api/designs/"
                            + taken.body().get("designs").get(0).get("id").asLong())
                    .body();
        }
    }

    @Test
    void filesOfTheFormatsBeforeAreRead() throws IOException {
        JsonNode drawn = taken("format-2.json");
        assertThat(drawn.get("document").get("name").asString()).isEqualTo("Sandpiper tote");
        assertThat(drawn.get("document").toString()).contains("DRAWN");
        assertThat(drawn.get("document").has("openChoices")
                        && !drawn.get("document").get("openChoices").isNull())
                .isFalse();
        assertThat(drawn.get("sheet").get("canBeSewn").asBoolean()).isTrue();
        JsonNode open = taken("format-3.json");
        assertThat(open.get("document").get("openChoices")).isNotEmpty();
        assertThat(open.get("sheet").get("canBeSewn").asBoolean()).isTrue();
    }

    @Test
    void aFileOfTheFirstFormatIsRead() throws IOException {
        JsonNode design = taken("format-1.json");
        assertThat(design.get("document").get("name").asString()).isEqualTo("Dipper wash bag");
        assertThat(design.get("document").get("source").get("conditions")).isEmpty();
        assertThat(design.get("sheet").get("canBeSewn").asBoolean()).isTrue();
    }
}
