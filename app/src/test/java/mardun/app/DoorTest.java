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
            return send("POST", "/api/door/enter", Map.of("passphrase", passphrase));
        }

        HttpResponse<String> send(String method, String path, Object body) throws IOException, InterruptedException {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(cookie -> cookie.getValue())
                    .findFirst()
                    .orElse("");
            return client.send(
                    HttpRequest.newBuilder(uri(path))
                            .timeout(PATIENCE)
                            .header("Content-Type", "application/json")
                            .header("X-XSRF-TOKEN", token)
                            .method(
                                    method,
                                    HttpRequest.BodyPublishers.ofString(RunningApp.JSON.writeValueAsString(body)))
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
        if (door.get("keys").isEmpty()) {
            assertThat(open(true).get("detail").asString()).contains("Set a passphrase first");
        }
        assertThatThrownBy(() -> new Tablet().get("/")).isInstanceOf(IOException.class);
        assertThat(APP.put("/api/door/keys/MAKER", Map.of("passphrase", "short"))
                        .on("passphrase"))
                .contains("at least 10");
        assertThat(APP.put("/api/door/keys/MAKER", Map.of("passphrase", "x".repeat(80)))
                        .on("passphrase"))
                .contains("at most 72");
    }

    @Test
    void whoSaysThePassphraseIsIn() throws Exception {
        assertThat(APP.put("/api/door/keys/MAKER", Map.of("passphrase", PASSPHRASE))
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
        assertThat(APP.put("/api/door/keys/MAKER", Map.of("passphrase", PASSPHRASE + "!"))
                        .status())
                .isEqualTo(200);
        assertThat(tablet.get("/api/settings").statusCode())
                .as("the lock was changed")
                .isEqualTo(401);
        open(false);
        assertThatThrownBy(() -> new Tablet().get("/")).isInstanceOf(IOException.class);
    }

    private static Tablet guest(String role, String passphrase) throws Exception {
        assertThat(APP.put("/api/door/keys/" + role, Map.of("passphrase", passphrase))
                        .status())
                .isEqualTo(200);
        open(true);
        Tablet tablet = new Tablet();
        assertThat(tablet.enter(passphrase).statusCode()).isEqualTo(204);
        assertThat(RunningApp.JSON
                        .readTree(tablet.get("/api/door").body())
                        .get("role")
                        .asString())
                .isEqualTo(role);
        return tablet;
    }

    private static void isNotAmongWhatItMayDo(HttpResponse<String> answer, String as) {
        assertThat(answer.statusCode()).as(answer.uri().toString()).isEqualTo(403);
        assertThat(answer.body()).contains("This device came in as " + as);
    }

    @Test
    void aHelperWorksAtTheBenchAndSeesNothingOfSalesAndSettings() throws Exception {
        long pouch = APP.pouch("A helper's pouch");
        Tablet helper = guest("HELPER", "the red bobbin helps");
        for (String path : new String[] {
            "/api/bench", "/api/batches", "/api/designs/" + pouch, "/api/materials", "/api/settings", "/api/days"
        }) {
            assertThat(helper.get(path).statusCode()).as(path).isEqualTo(200);
        }
        for (String path : new String[] {
            "/api/year?year=2026",
            "/api/quotes",
            "/api/orders",
            "/api/backups",
            "/api/backups/archive.zip",
            "/api/prices/book",
            "/api/fairs",
            "/api/log.txt",
            "/api/design-book.json",
            "/v3/api-docs",
            "/api/bench/../year",
            "/api/bench/%2e%2e/backups",
            "/api/designs/" + pouch + ";a=/../../year"
        }) {
            HttpResponse<String> answer = helper.get(path);
            assertThat(answer.statusCode()).as(path).isIn(400, 403);
        }
        isNotAmongWhatItMayDo(helper.get("/api/year?year=2026"), "a helper");
        long version = APP.get("/api/designs/" + pouch).body().get("version").asLong();
        isNotAmongWhatItMayDo(
                helper.send(
                        "PUT",
                        "/api/designs/" + pouch,
                        Map.of(
                                "version",
                                version,
                                "document",
                                APP.get("/api/designs/" + pouch).body().get("document"))),
                "a helper");
        assertThat(APP.get("/api/designs/" + pouch).body().get("version").asLong())
                .isEqualTo(version);
        isNotAmongWhatItMayDo(
                helper.send("PUT", "/api/settings", APP.get("/api/settings").body()), "a helper");
        assertThat(helper.send("PUT", "/api/door", Map.of("open", false)).body())
                .contains("opened, closed and locked at the machine itself");
        assertThat(APP.get("/api/door").body().get("open").asBoolean()).isTrue();
        isNotAmongWhatItMayDo(
                helper.send("PUT", "/api/door/keys/MAKER", Map.of("passphrase", "I am the maker now")), "a helper");
    }

    @Test
    void theStallSellsAndNothingElse() throws Exception {
        Tablet stall = guest("STALL", "umbrella and small change");
        assertThat(stall.get("/api/fairs").statusCode()).isEqualTo(200);
        isNotAmongWhatItMayDo(stall.get("/api/fairs/1/settlement"), "the stall");
        isNotAmongWhatItMayDo(stall.get("/api/designs"), "the stall");
        isNotAmongWhatItMayDo(stall.get("/api/bench"), "the stall");
        isNotAmongWhatItMayDo(stall.send("POST", "/api/fairs", Map.of("name", "Mine")), "the stall");
        // What is let through is looked at as always.
        assertThat(stall.get("/api/fairs/999999/stall").statusCode()).isEqualTo(404);
        assertThat(stall.send("POST", "/api/fairs/999999/stall", Map.of()).statusCode())
                .isIn(404, 422);
    }

    @Test
    void eachRoleHasAPassphraseOfItsOwnWhichIsTakenAwayByItself() throws Exception {
        Tablet helper = guest("HELPER", "the red bobbin helps");
        Tablet stall = guest("STALL", "umbrella and small change");
        assertThat(APP.put("/api/door/keys/STALL", Map.of("passphrase", "the red bobbin helps"))
                        .on("passphrase"))
                .isEqualTo("This one lets devices in as a helper already. Take another.");
        assertThat(APP.get("/api/door").body().get("devices")).hasSizeGreaterThanOrEqualTo(2);
        assertThat(APP.delete("/api/door/keys/HELPER").status()).isEqualTo(200);
        assertThat(helper.get("/api/bench").statusCode()).isEqualTo(401);
        assertThat(helper.enter("the red bobbin helps").statusCode()).isEqualTo(422);
        assertThat(stall.get("/api/fairs").statusCode()).isEqualTo(200);
        APP.delete("/api/door/keys/MAKER");
        JsonNode last = APP.delete("/api/door/keys/STALL").body();
        assertThat(last.get("open").asBoolean())
                .as("nobody could come in any more")
                .isFalse();
        assertThat(open(true).get("detail").asString()).contains("Set a passphrase first");
    }

    @Test
    void guessingTakesLongerEachTime() throws Exception {
        APP.put("/api/door/keys/MAKER", Map.of("passphrase", PASSPHRASE));
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
