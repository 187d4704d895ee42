package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** All that was entered goes out as one archive and comes in again; what is no archive changes nothing. */
class BackupsTest {

    @TempDir
    Path folder;

    @TempDir
    Path stick;

    private RunningApp app;

    @BeforeEach
    void aWorkroom() throws IOException {
        app = RunningApp.on(folder);
    }

    @AfterEach
    void stop() {
        app.stop();
    }

    private byte[] archive() throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(
                                        URI.create("http://localhost:" + app.port() + "/api/backups/archive.zip"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    private JsonNode opened(byte[] archive) {
        Answer answer = app.upload("/api/backups/restore", archive);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private void accept(JsonNode opened) {
        assertThat(app.post(
                                "/api/backups/restore/accept",
                                Map.of("id", opened.get("id").asString()))
                        .status())
                .isEqualTo(204);
        app.stop();
        app.start();
    }

    private static JsonNode line(JsonNode opened, String what) {
        return opened.get("lines")
                .valueStream()
                .filter(line -> line.get("what").asString().equals(what))
                .findFirst()
                .orElseThrow();
    }

    private List<String> inFolder(String begins) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> name.startsWith(begins))
                    .toList();
        }
    }

    @Test
    void whatWasEnteredComesBackAsItWas() throws Exception {
        AtTheBench bench = new AtTheBench(app, "60 yd");
        long pouch = app.pouch("Kept pouch {ç} 🧵");
        long batch = bench.batch(pouch, "4");
        bench.cut(batch);
        new AtTheStall(app).bags("Kept fob,small,4,4.00,15.00,home");
        new AtTheStall(app).fair("Kept market", LocalDate.now().plusDays(3));
        JsonNode design = app.get("/api/designs/" + pouch).body();
        JsonNode shelf = app.get("/api/materials").body();
        JsonNode read = app.get("/api/batches/" + batch).body();
        byte[] archive = archive();

        app.pouch("Another pouch");
        bench.batch(pouch, "9");
        JsonNode opened = opened(archive);
        assertThat(line(opened, "designs").get("now").asInt()).isEqualTo(2);
        assertThat(line(opened, "designs").get("then").asInt()).isEqualTo(1);
        assertThat(app.get("/api/designs").body().get("items"))
                .as("nothing is changed yet")
                .hasSize(2);
        accept(opened);

        assertThat(app.get("/api/designs").body().get("items")).hasSize(1);
        assertThat(app.get("/api/designs/" + pouch).body()).isEqualTo(design);
        assertThat(app.get("/api/materials").body()).isEqualTo(shelf);
        assertThat(app.get("/api/batches/" + batch).body()).isEqualTo(read);
        assertThat(app.get("/api/fairs").body().toString()).contains("Kept market");
        // Numbers go on after the last one that there is.
        assertThat(app.pouch("Third pouch")).isGreaterThan(pouch);
        assertThat(bench.batch(pouch, "3")).isGreaterThan(batch);
        assertThat(inFolder("replaced-")).as("what was there is kept").hasSize(1);
        assertThat(inFolder("restore")).isEmpty();
    }

    @Test
    void goesIntoAnEmptyWorkroomElsewhere(@TempDir Path elsewhere) throws Exception {
        app.pouch("Travelling pouch");
        byte[] archive = archive();
        RunningApp other = RunningApp.on(elsewhere);
        try {
            JsonNode opened = other.upload("/api/backups/restore", archive).body();
            other.post(
                    "/api/backups/restore/accept", Map.of("id", opened.get("id").asString()));
            other.stop();
            other.start();
            assertThat(other.get("/api/designs").body().toString()).contains("Travelling pouch");
        } finally {
            other.stop();
        }
    }

    @Test
    void whatIsNoArchiveIsRefusedWithWhatIsWrong() throws Exception {
        app.pouch("Steady pouch");
        byte[] archive = archive();
        assertThat(app.upload("/api/backups/restore", "no archive".getBytes(StandardCharsets.UTF_8))
                        .detail())
                .contains("can't be opened as a ZIP file");
        assertThat(app.upload("/api/backups/restore", Arrays.copyOf(archive, archive.length / 2))
                        .detail())
                .contains("only a part of one");
        assertThat(app.upload("/api/backups/restore", zip(Map.of("readme.txt", "hello")))
                        .detail())
                .contains("has no manifest.json");
        assertThat(app.upload("/api/backups/restore", zip(Map.of("manifest.json", "{\"kind\":\"recipes\"}")))
                        .detail())
                .contains("manifest.json");
        String hollow = "{\"kind\":\"mardun archive\",\"format\":1,\"schema\":40,\"madeAt\":\"2026-11-29T07:00:00Z\","
                + "\"tables\":[{\"rows\":0}],\"pictures\":[]}";
        assertThat(app.upload("/api/backups/restore", zip(Map.of("manifest.json", hollow)))
                        .detail())
                .contains("says something else");
        assertThat(app.upload("/api/backups/restore", changed(archive, "tables/DESIGN.jsonl", "Steady", "Shaken"))
                        .detail())
                .contains("tables/DESIGN.jsonl isn’t what was saved");
        assertThat(app.upload(
                                "/api/backups/restore",
                                changed(archive, "manifest.json", "\"schema\" : ", "\"schema\" : 9"))
                        .detail())
                .contains("of a newer Mardun");
        assertThat(app.get("/api/backups").body().path("restore").isMissingNode())
                .isTrue();
        assertThat(app.post("/api/backups/restore/accept", Map.of("id", "any")).status())
                .isEqualTo(422);
        app.stop();
        app.start();
        assertThat(app.get("/api/designs").body().toString()).contains("Steady pouch");
    }

    private static byte[] zip(Map<String, String> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    private static byte[] changed(byte[] archive, String name, String from, String to) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(archive));
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                byte[] bytes = in.readAllBytes();
                if (entry.getName().equals(name)) {
                    String text = new String(bytes, StandardCharsets.UTF_8);
                    assertThat(text).contains(from);
                    bytes = text.replace(from, to).getBytes(StandardCharsets.UTF_8);
                }
                zip.putNextEntry(new ZipEntry(entry.getName()));
                zip.write(bytes);
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    @Test
    void aBackupIsKeptCopiedAndRestored() throws IOException {
        app.pouch("First pouch");
        JsonNode before = app.get("/api/backups").body();
        assertThat(before.get("kept")).isEmpty();
        JsonNode place = app.put(
                        "/api/backups/place",
                        Map.of("version", before.get("place").get("version").asLong(), "folder", stick.toString()))
                .body()
                .get("place");
        assertThat(place.get("late").asBoolean()).as("nothing was copied yet").isTrue();
        JsonNode made = app.post("/api/backups", "").body();
        assertThat(made.get("kept")).hasSize(1);
        assertThat(made.get("place").get("late").asBoolean()).isFalse();
        String name = made.get("kept").get(0).get("name").asString();
        assertThat(stick.resolve(name)).exists();
        assertThat(Files.mismatch(stick.resolve(name), folder.resolve("backups").resolve(name)))
                .isEqualTo(-1);

        app.pouch("Second pouch");
        JsonNode opened = app.post("/api/backups/kept/" + name + "/restore", "").body();
        accept(opened);
        assertThat(app.get("/api/designs").body().get("items")).hasSize(1);
        assertThat(app.get("/api/backups").body().get("kept")).hasSize(1);
        assertThat(app.get("/api/backups/kept/..%2Fmardun.mv.db").status()).isBetween(400, 404);
    }

    @Test
    void aPlaceThatCanNotBeIsRefusedAndOneThatIsGoneIsTold() throws IOException {
        long version =
                app.get("/api/backups").body().get("place").get("version").asLong();
        assertThat(app.put("/api/backups/place", Map.of("version", version, "folder", "stick"))
                        .on("folder"))
                .contains("whole path");
        assertThat(app.put("/api/backups/place", Map.of("version", version, "folder", stick + "/none"))
                        .on("folder"))
                .contains("There is no folder");
        assertThat(app.put("/api/backups/place", Map.of("version", version, "folder", folder.toString()))
                        .on("folder"))
                .contains("where the workroom itself lies");
        Path gone = Files.createDirectory(stick.resolve("gone"));
        assertThat(app.put("/api/backups/place", Map.of("version", version, "folder", gone.toString()))
                        .status())
                .isEqualTo(200);
        Files.delete(gone);
        JsonNode place = app.post("/api/backups", "").body().get("place");
        assertThat(place.get("trouble").asString()).contains("isn't there");
        assertThat(place.get("late").asBoolean()).isTrue();
        assertThat(app.put("/api/backups/place", Map.of("version", version, "folder", ""))
                        .status())
                .isEqualTo(409);
    }

    @Test
    void aDamagedDatabaseIsNotBegunAnew() throws IOException {
        app.pouch("Precious pouch");
        app.post("/api/backups", "");
        app.stop();
        Path database = folder.resolve("mardun.mv.db");
        byte[] whole = Files.readAllBytes(database);
        try {
            for (byte[] damaged : List.of(new byte[0], new byte[8192], Arrays.copyOf(whole, 8192))) {
                Files.write(database, damaged);
                assertThatThrownBy(() -> app.start())
                        .isInstanceOf(StartRefusedException.class)
                        .hasMessageContaining("Nothing was changed")
                        .hasMessageContaining("./mardun restore");
                assertThat(Files.readAllBytes(database)).isEqualTo(damaged);
            }
            // Whole at its beginning, and not further on.
            byte[] torn = whole.clone();
            Arrays.fill(torn, 8192, torn.length, (byte) 7);
            Files.write(database, torn);
            assertThatThrownBy(() -> app.start())
                    .isInstanceOf(StartRefusedException.class)
                    .hasMessageContaining("no workroom can be read");
            assertThat(Files.readAllBytes(database)).isEqualTo(torn);
            Files.delete(database);
            assertThatThrownBy(() -> app.start())
                    .isInstanceOf(StartRefusedException.class)
                    .hasMessageContaining("is gone");
        } finally {
            Files.write(database, whole);
            app.start();
        }
        assertThat(app.get("/api/designs").body().toString()).contains("Precious pouch");
    }
}
