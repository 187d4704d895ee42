package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The spare room was given up and can't be taken anew: everything can be read, nothing is written, and then it goes on. */
class FullDiskTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @BeforeEach
    void noRoom() throws IOException {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        Files.delete(spare());
        // In the place where it would be written, so that it can't be.
        Files.createDirectories(half().resolve("in-the-way"));
    }

    @AfterEach
    void roomAgain() throws IOException {
        Files.deleteIfExists(half().resolve("in-the-way"));
        Files.deleteIfExists(half());
    }

    private static Path spare() {
        return APP.folder().resolve("spare-room");
    }

    private static Path half() {
        return APP.folder().resolve("spare-room.half");
    }

    private static Answer newFair() {
        return APP.post(
                "/api/fairs", Map.of("requestId", UUID.randomUUID(), "name", "Harbour", "heldOn", "2027-05-04"));
    }

    @Test
    void everythingCanStillBeRead() {
        JsonNode api = JsonMapper.builder().build().readTree(APP.text("/v3/api-docs"));
        List<String> unread = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            // The simulated shop writes when it is looked at: orders arrive by themselves.
            if (path.getValue().has("get")
                    && !path.getKey().startsWith("/api/simulated/")
                    && APP.get(path.getKey().replaceAll("\\{[^}]*}", "1")).status() >= 500) {
                unread.add(path.getKey());
            }
        }
        assertThat(unread).isEmpty();
    }

    @Test
    void nothingNewIsStoredAndItSaysWhyUntilThereIsRoom() throws IOException {
        Answer refused = newFair();
        assertThat(refused.status()).isEqualTo(507);
        assertThat(refused.detail()).contains("disk", "full", "nothing was stored");
        assertThat(APP.text("/actuator/health")).contains("OUT_OF_SERVICE", "full");
        assertThat(APP.text("/api/fairs")).doesNotContain("Harbour");

        roomAgain();
        assertThat(newFair().status()).isEqualTo(201);
        assertThat(Files.size(spare())).isEqualTo(16 << 20);
        assertThat(APP.text("/actuator/health")).doesNotContain("OUT_OF_SERVICE");
    }
}
