package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Somebody sends hundreds of bodies of which the first byte comes and then nothing: others are answered meanwhile. */
class SlowBodiesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final int AS_FEW_AS_MAKERS_MEET = 200;
    private static final int MORE_THAN_ARE_LET_IN = 450;
    /** Slow bodies take half a minute; who shares a busy machine with other tests waits a little too. */
    private static final long SOON_NS = 5_000_000_000L;

    private final List<Socket> slow = new ArrayList<>();

    @BeforeEach
    void settings() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
    }

    @AfterEach
    void away() throws IOException {
        for (Socket one : slow) {
            one.close();
        }
    }

    private void send(int bodies) throws IOException {
        byte[] begin = ("POST /api/fairs HTTP/1.1\r\nHost: localhost:" + APP.port()
                        + "\r\nContent-Type: application/json\r\nContent-Length: 200\r\nX-XSRF-TOKEN: "
                        + APP.csrfToken()
                        + "\r\nCookie: XSRF-TOKEN=" + APP.csrfToken() + "\r\n\r\n{")
                .getBytes(StandardCharsets.US_ASCII);
        for (int i = 0; i < bodies; i++) {
            Socket socket = new Socket("localhost", APP.port());
            slow.add(socket);
            OutputStream out = socket.getOutputStream();
            out.write(begin);
            out.flush();
        }
    }

    @Test
    void othersReadAndWriteMeanwhile() throws IOException {
        send(AS_FEW_AS_MAKERS_MEET);
        long begin = System.nanoTime();
        assertThat(APP.get("/api/bench").status()).isEqualTo(200);
        assertThat(APP.post(
                                "/api/fairs",
                                Map.of("requestId", UUID.randomUUID(), "name", "Harbour", "heldOn", "2027-05-04"))
                        .status())
                .isEqualTo(201);
        assertThat(System.nanoTime() - begin).isLessThan(SOON_NS);
    }

    @Test
    void withEvenMoreOfThemAllCanBeRead() throws IOException {
        send(MORE_THAN_ARE_LET_IN);
        long begin = System.nanoTime();
        assertThat(APP.get("/api/bench").status()).isEqualTo(200);
        assertThat(System.nanoTime() - begin).isLessThan(SOON_NS);
    }
}
