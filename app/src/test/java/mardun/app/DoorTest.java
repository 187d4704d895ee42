package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The door to the workroom's network: closed, until it is opened, and then locked. */
class DoorTest {

    /** An address of this machine that stands for one on the workroom's network: what comes there isn't the machine itself. */
    private static final String HOUSE = "127.0.0.2";

    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private static final String PASSPHRASE = "blue thread – ç 🧵 lies";

    @RegisterExtension
    static final RunningApp APP = new RunningApp("--mardun.door.addresses=" + HOUSE);

    /** A device of the workroom. */
    private static final class Tablet {

        private final CookieManager cookies = new CookieManager();
        private final HttpClient client =
                HttpClient.newBuilder().cookieHandler(cookies).build();

        HttpResponse<String> get(String path) throws IOException, InterruptedException {
            return client.send(
                    HttpRequest.newBuilder(uri(path)).timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofString());
        }

        HttpResponse<String> enter(String passphrase) throws IOException, InterruptedException {
            get("/api/door");
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(cookie -> cookie.getValue())
                    .findFirst()
                    .orElse("");
            return client.send(
                    HttpRequest.newBuilder(uri("/api/door/enter"))
                            .timeout(PATIENCE)
                            .header("Content-Type", "application/json")
                            .header("X-XSRF-TOKEN", token)
                            .POST(HttpRequest.BodyPublishers.ofString(
                                    RunningApp.JSON.writeValueAsString(Map.of("passphrase", passphrase))))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        }

        private static URI uri(String path) {
            return URI.create("http://" + HOUSE + ":" + APP.port() + path);
        }
    }

    private static JsonNode open(boolean open) {
        return APP.put("/api/door", Map.of("open", open)).body();
    }

    @AfterEach
    void close() {
        open(false);
    }

    @Test
    void nobodyComesInUnlessItIsOpenedAndItIsNotOpenedWithoutAPassphrase() {
        JsonNode door = APP.get("/api/door").body();
        assertThat(door.get("here").asBoolean()).isTrue();
        assertThat(door.get("open").asBoolean()).isFalse();
        if (!door.get("hasPassphrase").asBoolean()) {
            assertThat(open(true).get("detail").asString()).contains("Set a passphrase first");
        }
        assertThatThrownBy(() -> new Tablet().get("/")).isInstanceOf(IOException.class);
        assertThat(APP.put("/api/door/passphrase", Map.of("passphrase", "short"))
                        .on("passphrase"))
                .contains("at least 10");
        assertThat(APP.put("/api/door/passphrase", Map.of("passphrase", "x".repeat(80)))
                        .on("passphrase"))
                .contains("at most 72");
    }

    @Test
    void whoSaysThePassphraseIsIn() throws Exception {
        assertThat(APP.put("/api/door/passphrase", Map.of("passphrase", PASSPHRASE))
                        .status())
                .isEqualTo(200);
        assertThat(open(true).get("addresses").get(0).asString()).isEqualTo("http://" + HOUSE + ":" + APP.port() + "/");
        assertThat(APP.text("/api/door/code.svg")).startsWith("<svg");
        Tablet tablet = new Tablet();
        assertThat(tablet.get("/api/settings").statusCode()).isEqualTo(401);
        assertThat(tablet.get("/v3/api-docs").statusCode()).isEqualTo(401);
        assertThat(tablet.get("/api/door/code.svg").statusCode()).isEqualTo(401);
        JsonNode outside = RunningApp.JSON.readTree(tablet.get("/api/door").body());
        assertThat(outside.get("inside").asBoolean()).isFalse();
        assertThat(outside.get("devices")).isEmpty();
        assertThat(tablet.enter("blue thread").statusCode()).isEqualTo(422);
        HttpResponse<String> in = tablet.enter(PASSPHRASE);
        assertThat(in.statusCode()).isEqualTo(204);
        assertThat(in.headers().firstValue("set-cookie").orElse(""))
                .contains("HttpOnly")
                .contains("SameSite=Strict");
        assertThat(tablet.get("/api/settings").statusCode()).isEqualTo(200);
        assertThat(new Tablet().get("/api/settings").statusCode())
                .as("another device")
                .isEqualTo(401);
        assertThat(APP.get("/api/door").body().get("devices")).hasSize(1);
        assertThat(APP.put("/api/door/passphrase", Map.of("passphrase", PASSPHRASE + "!"))
                        .status())
                .isEqualTo(200);
        assertThat(tablet.get("/api/settings").statusCode())
                .as("the lock was changed")
                .isEqualTo(401);
        open(false);
        assertThatThrownBy(() -> new Tablet().get("/")).isInstanceOf(IOException.class);
    }

    @Test
    void guessingTakesLongerEachTime() throws Exception {
        APP.put("/api/door/passphrase", Map.of("passphrase", PASSPHRASE));
        open(true);
        Tablet tablet = new Tablet();
        int refused = 0;
        while (tablet.enter("guess " + refused).statusCode() == 422) {
            refused++;
            assertThat(refused).isLessThan(10);
        }
        HttpResponse<String> waits = tablet.enter(PASSPHRASE);
        assertThat(waits.statusCode()).as("also with the right one").isEqualTo(429);
        assertThat(waits.body()).contains("Try again in");
        assertThat(Integer.parseInt(waits.headers().firstValue("Retry-After").orElse("0")))
                .isBetween(1, 60);
        assertThat(refused).isEqualTo(5);
    }

    @Test
    void noOtherHostAndNoOtherPage() throws Exception {
        assertThat(APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/settings"))
                                .header("Origin", "null")
                                .build())
                        .statusCode())
                .as("a page that hides where it is from")
                .isEqualTo(403);
        assertThat(APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/settings"))
                                .header("Origin", "http://evil.example")
                                .build())
                        .statusCode())
                .isEqualTo(403);
        assertThat(APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/settings"))
                                .header("Origin", "http://localhost:" + APP.port())
                                .build())
                        .statusCode())
                .isEqualTo(200);
    }
}
