package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SafetyTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @ParameterizedTest
    @ValueSource(strings = {"evil.example", "mardun.local:8080", "10.0.0.5"})
    void anotherHostsNameIsNotAnswered(String host) throws IOException {
        assertThat(statusLine("GET /api/settings HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n"))
                .contains("421");
    }

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "127.0.0.1:8080", "[::1]:8080"})
    void thisMachinesNamesAreAnswered(String host) throws IOException {
        assertThat(statusLine("GET /api/settings HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n"))
                .contains("200");
    }

    /** A page of another port of this machine is another page, whatever token it brings. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Origin: http://localhost:3000",
                "Origin: null",
                "Sec-Fetch-Site: cross-site",
                "Sec-Fetch-Site: same-site"
            })
    void anotherPageIsNotAnswered(String header) throws IOException {
        String token = "X-XSRF-TOKEN: own\r\nCookie: XSRF-TOKEN=own\r\n";
        assertThat(statusLine("POST /api/designs HTTP/1.1\r\nHost: localhost\r\n" + header + "\r\n" + token
                        + "Content-Type: application/json\r\nContent-Length: 2\r\nConnection: close\r\n\r\n{}"))
                .contains("403");
        assertThat(statusLine(
                        "GET /api/settings HTTP/1.1\r\nHost: localhost\r\n" + header + "\r\nConnection: close\r\n\r\n"))
                .contains("403");
    }

    @Test
    void theTokenGoesToOwnPagesAlone() throws IOException {
        assertThat(answer("GET /api/settings HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n"))
                .contains("XSRF-TOKEN=")
                .contains("SameSite=Strict");
    }

    @Test
    void onlyTheLoopbackAddressListens() throws IOException {
        List<InetAddress> others = new ArrayList<>();
        // Another address of the same machine, which every machine has: a server on all addresses would answer there.
        others.add(InetAddress.getByName("127.0.0.2"));
        for (NetworkInterface network : Collections.list(NetworkInterface.getNetworkInterfaces())) {
            Collections.list(network.getInetAddresses()).stream()
                    .filter(address -> !address.isLoopbackAddress() && address.getAddress().length == 4)
                    .forEach(others::add);
        }
        for (InetAddress address : others) {
            assertThatThrownBy(() -> {
                        try (Socket socket = new Socket()) {
                            socket.connect(new InetSocketAddress(address, APP.port()), 500);
                        }
                    })
                    .as(address.toString())
                    .isInstanceOf(IOException.class);
        }
    }

    @Test
    void sentencesDontDependOnTheBrowsersLanguage() throws IOException {
        APP.get("/api/settings");
        String inEnglish = refusalIn("en");
        assertThat(inEnglish).contains("must not be null");
        assertThat(refusalIn("de-DE,de;q=0.9")).isEqualTo(inEnglish);
        assertThat(refusalIn("fr")).isEqualTo(inEnglish);
    }

    /** What is said of a form in which everything is missing. */
    private static String refusalIn(String languages) {
        return APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/fairs"))
                        .header("Content-Type", "application/json")
                        .header("Accept-Language", languages)
                        .header("X-XSRF-TOKEN", APP.csrfToken())
                        .POST(HttpRequest.BodyPublishers.ofString("{}"))
                        .build())
                .body();
    }

    @Test
    void whatIsFarTooLargeIsTurnedAwayUnread() throws IOException {
        String head =
                "PUT /api/batches/1/cutting/1/layout HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n";
        assertThat(answer(head + "Content-Length: 60000000\r\n\r\n"))
                .startsWith("HTTP/1.1 413")
                .contains("This has 60 MB, and Mardun takes at most 25 MB");
        assertThat(answer(head + "Transfer-Encoding: chunked\r\n\r\n0\r\n\r\n"))
                .startsWith("HTTP/1.1 411")
                .contains("Send it with its length");
    }

    @Test
    void aRequestWithoutTheTokenChangesNothing() {
        HttpResponse<String> answer =
                APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/designs"))
                        .header("Content-Type", "application/json")
                        .POST(BodyPublishers.ofString("{}"))
                        .build());
        assertThat(answer.statusCode()).isEqualTo(403);
    }

    @Test
    void pagesCarryAPolicyThatForbidsForeignScripts() {
        HttpResponse<String> page =
                APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/bench"))
                        .build());
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.body()).contains("<div id=\"root\">");
        assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'self'")
                .doesNotContain("script-src");
        assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
    }

    @Test
    void troubleIsToldWithoutItsInsides() {
        var missing = APP.get("/api/designs/999");
        assertThat(missing.status()).isEqualTo(404);
        assertThat(missing.detail()).isEqualTo("There is no such design, or no longer.");
        var unreadable = APP.post("/api/designs", "not an object");
        assertThat(unreadable.status()).isEqualTo(400);
        assertThat(unreadable.body().toString()).doesNotContain("Exception").doesNotContain("trace");
        assertThat(APP.get("/api/materials?size=100000").status()).isEqualTo(400);
        assertThat(APP.get("/api/materials/seven").status()).isEqualTo(400);
        assertThat(APP.get("/actuator/env").status()).isEqualTo(404);
        assertThat(APP.get("/api/nothing-here").detail())
                .isEqualTo("There is nothing at this address. Begin at the places on the left.");
    }

    @Test
    void aSecondStartOnTheSameFolderGetsASentence() {
        assertThatThrownBy(() -> Mardun.run("--mardun.data=" + APP.folder(), "--server.port=0"))
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("already runs on the data folder");
    }

    @Test
    void aTakenPortGetsASentence() throws IOException {
        var other = java.nio.file.Files.createTempDirectory("mardun-other");
        assertThatThrownBy(() -> Mardun.run("--mardun.data=" + other, "--server.port=" + APP.port()))
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("Port " + APP.port() + " is taken");
    }

    @Test
    void theDemoDoesNotStartOnAMakersOwnData() {
        APP.stop();
        try {
            assertThatThrownBy(
                            () -> Mardun.run("--mardun.data=" + APP.folder(), "--server.port=0", "--mardun.demo=true"))
                    .hasMessageContaining("maker's own data");
        } finally {
            APP.start();
        }
    }

    @Test
    void whatWasSavedIsThereAfterAStopAndAStart() {
        long id = APP.post("/api/materials", APP.cloth("Sea canvas", "44 in", "9.00", "3 yd"))
                .id();
        APP.stop();
        APP.start();
        assertThat(APP.get("/api/materials/" + id).body().get("name").asString())
                .isEqualTo("Sea canvas");
    }

    @Test
    void aVeryLongNameIsRefusedWithItsLength() {
        var answer = APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "x".repeat(5000)));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.on("name")).contains("5000 characters").contains("at most 120");
    }

    private static String statusLine(String request) throws IOException {
        try (Socket socket = asked(request)) {
            return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))
                    .readLine();
        }
    }

    /** What is answered, as far as the end of its sentence. */
    private static String answer(String request) throws IOException {
        try (Socket socket = asked(request)) {
            StringBuilder answer = new StringBuilder();
            while (answer.indexOf("}") < 0) {
                int read = socket.getInputStream().read();
                assertThat(read).as(answer.toString()).isNotNegative();
                answer.append((char) read);
            }
            return answer.toString();
        }
    }

    private static Socket asked(String request) throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), APP.port());
        OutputStream out = socket.getOutputStream();
        out.write(request.getBytes(StandardCharsets.US_ASCII));
        out.flush();
        return socket;
    }
}
