package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Photos of what was made of a design, in each cloth. */
class DesignPhotosTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static int made;

    private long design;
    private long cloth;

    @BeforeEach
    void aDesignAndACloth() {
        made++;
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        design = APP.pouch("Photographed " + made);
        cloth = APP.enter(APP.cloth("Dots {ç} " + made, "44 in", "9.00", "10 yd"));
    }

    private String path() {
        return "/api/designs/" + design + "/photos";
    }

    private static long files() throws IOException {
        Path folder = APP.folder().resolve("pictures");
        if (!Files.isDirectory(folder)) {
            return 0;
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.count();
        }
    }

    @Test
    void oneInEachClothAndOneInWhateverCloth() throws IOException {
        long before = files();
        assertThat(APP.uploadInPlace(path() + "?cloth=" + cloth, TestPhoto.png())
                        .status())
                .isEqualTo(200);
        assertThat(APP.uploadInPlace(path(), TestPhoto.png()).status()).isEqualTo(200);
        Answer again = APP.uploadInPlace(path() + "?cloth=" + cloth, TestPhoto.png());
        assertThat(again.body()).hasSize(2);
        assertThat(files()).isEqualTo(before + 2);
        JsonNode photos = APP.get(path()).body();
        assertThat(photos.findValuesAsString("cloth")).containsExactlyInAnyOrder("", "Dots {ç} " + made);
        photos.forEach(photo ->
                assertThat(APP.get(photo.get("address").asString()).status()).isEqualTo(200));
    }

    @Test
    void itStandsForTheDesignInTheList() {
        APP.uploadInPlace(path() + "?cloth=" + cloth, TestPhoto.png());
        String ofTheCloth = inTheList();
        assertThat(ofTheCloth).startsWith(path() + "/");
        APP.uploadInPlace(path(), TestPhoto.png());
        assertThat(inTheList()).startsWith(path() + "/").isNotEqualTo(ofTheCloth);
    }

    /** On a batch's lines it stands in the place of the drawing: that of the line's cloth, or that in whatever cloth, and no other. */
    @Test
    void itStandsForTheBagsOfABatch() {
        Map<String, Long> shelf = APP.pouchShelf("90 yd");
        long batch = APP.post("/api/batches", RunningApp.batch(design, "4", shelf, List.of()))
                .id();
        APP.uploadInPlace(path() + "?cloth=" + cloth, TestPhoto.png());
        assertThat(onTheLine(batch).isMissingNode()).as("in another cloth").isTrue();
        APP.uploadInPlace(path(), TestPhoto.png());
        String whatever = onTheLine(batch).asString();
        assertThat(whatever).startsWith(path() + "/");
        APP.uploadInPlace(path() + "?cloth=" + shelf.get("outer"), TestPhoto.png());
        assertThat(onTheLine(batch).asString()).startsWith(path() + "/").isNotEqualTo(whatever);
    }

    private static JsonNode onTheLine(long batch) {
        return APP.get("/api/batches/" + batch).body().at("/sheet/lines/0/photo");
    }

    private String inTheList() {
        return APP.get("/api/designs?search=Photographed%20" + made)
                .body()
                .at("/items/0/photo")
                .asString();
    }

    @Test
    void itIsTakenAwayAndGoesWithItsDesign() throws IOException {
        long before = files();
        JsonNode photos = APP.uploadInPlace(path(), TestPhoto.png()).body();
        String address = photos.get(0).get("address").asString();
        assertThat(APP.delete(address).body()).isEmpty();
        assertThat(APP.get(address).status()).isEqualTo(404);
        assertThat(files()).isEqualTo(before);
        APP.uploadInPlace(path(), TestPhoto.png());
        long version = APP.get("/api/designs/" + design).body().get("version").asLong();
        assertThat(APP.delete("/api/designs/" + design + "?version=" + version).status())
                .isEqualTo(204);
        assertThat(files()).isEqualTo(before);
    }

    @Test
    void whatIsNoPhotoOrOfNothingIsRefused() throws IOException {
        long before = files();
        assertThat(APP.uploadInPlace(path(), "<svg onload='x'/>".getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(422);
        assertThat(APP.uploadInPlace(path() + "?cloth=999999", TestPhoto.png()).status())
                .isEqualTo(404);
        assertThat(APP.uploadInPlace("/api/designs/999999/photos", TestPhoto.png())
                        .status())
                .isEqualTo(404);
        long other = APP.post(
                        "/api/designs",
                        Map.of("requestId", UUID.randomUUID(), "name", "Copy " + made, "copyOf", design))
                .body()
                .get("id")
                .asLong();
        long photo = APP.uploadInPlace(path(), TestPhoto.png())
                .body()
                .get(0)
                .get("id")
                .asLong();
        assertThat(APP.delete("/api/designs/" + other + "/photos/" + photo).status())
                .isEqualTo(404);
        assertThat(files()).isEqualTo(before + 1);
    }
}
