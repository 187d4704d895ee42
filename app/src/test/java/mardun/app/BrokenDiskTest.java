package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import mardun.app.stored.CutFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The disk fails while something is written: the database closes itself, and every answer says so until the next start. */
class BrokenDiskTest {

    static {
        CutFiles.register();
    }

    @RegisterExtension
    static final RunningApp APP = new RunningApp(
            "--spring.datasource.url=jdbc:h2:cut:${mardun.data}/mardun;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE");

    private static Answer newFair() {
        return APP.post(
                "/api/fairs", Map.of("requestId", UUID.randomUUID(), "name", "Harbour", "heldOn", "2027-05-04"));
    }

    @Test
    void everyAnswerSaysThatTheWorkroomIsClosed() throws IOException {
        assertThat(newFair().status()).isEqualTo(201);
        assertThat(APP.get("/actuator/health").status()).isEqualTo(200);

        CutFiles.cut(APP.folder().resolve("mardun.mv.db"));
        for (Answer answer : new Answer[] {newFair(), newFair(), APP.get("/api/fairs"), APP.get("/api/materials")}) {
            assertThat(answer.status()).isEqualTo(503);
            assertThat(answer.detail()).contains("disk failed", "stop Mardun, and start it again");
        }
        Answer health = APP.get("/actuator/health");
        assertThat(health.status()).isEqualTo(503);
        assertThat(health.body().get("status").asString()).isEqualTo("DOWN");
        assertThat(health.body().get("components").get("db").toString()).contains("disk failed");
    }
}
