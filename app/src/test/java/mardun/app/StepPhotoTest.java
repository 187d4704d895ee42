package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The maker's own photo of a step is shown whenever the step comes up, in whatever batch. */
class StepPhotoTest {

    private static final byte[] PNG = TestPhoto.png();

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @Test
    void isKeptReplacedAndTakenAway() {
        AtTheBench bench = new AtTheBench(APP, "60 yd");
        long pouch = APP.pouch("Photographed pouch");
        long batch = bench.batch(pouch, "4");
        bench.cut(batch);
        String key = part(bench, batch).get("step").asString();
        String path = "/api/bench/step-photo?design=" + pouch + "&step=" + key;
        assertThat(APP.uploadInPlace(path, "no picture".getBytes()).detail()).contains("Choose a JPEG, PNG or WebP");
        assertThat(APP.uploadInPlace(path + "x", PNG).detail()).contains("no such step");
        assertThat(part(bench, batch).hasNonNull("photo")).isFalse();

        assertThat(APP.uploadInPlace(path, PNG).status()).isEqualTo(204);
        String first = part(bench, batch).get("photo").asString();
        assertThat(APP.text(first)).contains("PNG");
        APP.uploadInPlace(path, PNG);
        assertThat(part(bench, batch).get("photo").asString())
                .as("another address, as the browser keeps the first")
                .isNotEqualTo(first);
        assertThat(APP.folder().resolve("pictures").toFile().list()).hasSize(1);

        long next = bench.batch(pouch, "2");
        assertThat(part(bench, next).hasNonNull("photo")).isTrue();
        assertThat(APP.delete(path).status()).isEqualTo(204);
        assertThat(part(bench, batch).hasNonNull("photo")).isFalse();
        assertThat(APP.folder().resolve("pictures").toFile().list()).isEmpty();
        assertThat(APP.get(path).status()).isEqualTo(404);
    }

    private static JsonNode part(AtTheBench bench, long batch) {
        return bench.turn(bench.work(batch, List.of()), "Sew zip to outer and lining")
                .get("parts")
                .get(0);
    }
}
